<script setup lang="ts">
import { $gettext } from "../language/language";
import { computed, ref, watch } from "vue";
import { at } from "../api/address";
import { api, type Schemas } from "../api/client";
import { useAttempt } from "../api/useAttempt";
import { sentence } from "../api/problems";
import { notice } from "../frame/notice";
import { useUnits } from "../frame/useUnits";
import VerdictMark from "../shown/VerdictMark.vue";

/** Several corrections at once, trade by trade; what fails is chosen beforehand. */
const props = defineProps<{ installation: string }>();
const emit = defineEmits<{ raised: [] }>();
const open = defineModel<boolean>({ required: true });

const { units } = useUnits();
const trades = ref<Schemas["Proposed"][]>();
const chosen = ref<string[]>([]);
const { busy, problem, attempt } = useAttempt();

const items = computed(() => trades.value?.flatMap((trade) => trade.items) ?? []);

function only(verdict: string | undefined) {
  chosen.value = items.value
    .filter((item) => !verdict || item.verdict === verdict)
    .map((item) => item.judgement);
}

watch(
  open,
  async (now) => {
    if (!now) {
      return;
    }
    problem.value = "";
    trades.value = undefined;
    try {
      trades.value = await api.get(
        at("/api/installations/{id}/corrections/proposed", {
          path: { id: props.installation },
          query: { units: units() },
        }),
      );
      only("FAILS");
    } catch (thrown) {
      problem.value = sentence(thrown);
    }
  },
  { immediate: true },
);

async function raise() {
  await attempt(async () => {
    const raised = await api.post(
      at("/api/installations/{id}/corrections", {
        path: { id: props.installation },
        query: { units: units() },
      }),
      { judgements: chosen.value, words: "" },
    );
    open.value = false;
    notice.done(
      raised.length === 1
        ? $gettext("1 correction raised; the crew gets a letter.")
        : $gettext("%{raised} corrections raised; the crew gets one letter.", { raised: raised.length }),
    );
    emit("raised");
  });
}
</script>

<template>
  <el-dialog
    v-model="open"
    :title="$gettext('Raise corrections')"
    width="min(720px, 96vw)"
    top="4vh"
    append-to-body
  >
    <p v-if="trades && !items.length">
      {{ $gettext("Nothing is open that has not been asked for already.") }}
    </p>
    <form v-else @submit.prevent="raise">
      <div class="pick">
        <button type="button" class="button" :disabled="!trades" @click="only('FAILS')">
          {{ $gettext("All that fail") }}
        </button>
        <button type="button" class="button" :disabled="!trades" @click="only(undefined)">
          {{ $gettext("All that is open") }}
        </button>
        <button type="button" class="button" :disabled="!trades" @click="chosen = []">
          {{ $gettext("None") }}
        </button>
      </div>
      <div class="trades">
        <fieldset v-for="trade in trades" :key="trade.trade">
          <legend>{{ trade.title }}</legend>
          <label v-for="item in trade.items" :key="item.judgement">
            <input v-model="chosen" type="checkbox" :value="item.judgement" />
            <VerdictMark :verdict="item.verdict" />
            <span>
              <strong>{{ item.what }}</strong>
              <span class="quiet">{{ item.remedy || item.brief }}</span>
            </span>
            <span class="quiet due">{{
              item.due ? $gettext("by %{due}", { due: item.due }) : $gettext("no date")
            }}</span>
          </label>
        </fieldset>
      </div>
      <p class="error" role="alert">{{ problem }}</p>
      <button class="button primary" :disabled="busy || !chosen.length">
        {{
          $ngettext("Raise %{count} correction", "Raise %{count} corrections", chosen.length, {
            count: chosen.length,
          })
        }}
      </button>
    </form>
  </el-dialog>
</template>

<style scoped>
.pick {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}

.trades {
  max-height: 56vh;
  margin-top: 10px;
  overflow: auto;
}

fieldset {
  margin: 0 0 12px;
  padding: 0;
  border: 0;
}

legend {
  padding: 0;
  font-weight: 700;
}

legend::first-letter {
  text-transform: uppercase;
}

label {
  display: grid;
  grid-template-columns: 24px 20px minmax(0, 1fr) auto;
  gap: 8px;
  align-items: start;
  min-height: 44px;
  padding: 8px 0;
  border-bottom: 1px solid var(--hair);
}

label input {
  width: 22px;
  height: 22px;
  margin: 0;
  accent-color: var(--lake);
}

label strong,
label .quiet {
  display: block;
}

.due {
  white-space: nowrap;
}
</style>
