<script setup lang="ts">
import { computed, ref, watch } from "vue";
import { at } from "../api/address";
import { api, type Schemas } from "../api/client";
import { sentence } from "../api/problems";
import { capital, words } from "../words/words";
import PartsList from "./PartsList.vue";

/** The visits so far, and the next one: its stage decides which lines are due. */
const props = defineProps<{ installation?: Schemas["InstallationView"] }>();
const emit = defineEmits<{ begun: []; changed: []; correct: [] }>();
const open = defineModel<boolean>({ required: true });

const stage = ref<Schemas["NewVisit"]["stage"]>("FINAL");
const on = ref("");
const unannounced = ref(false);
const problem = ref("");
const today = computed(() => new Date().toLocaleDateString("sv-SE"));

/** What the visit that goes on is confined to; nothing where it looks at the whole. */
const scopes = ref<string[]>([]);
const sealed = computed(() => !!props.installation?.visits.at(-1)?.sealedAs);

async function confine() {
  problem.value = "";
  try {
    await api.put(at("/api/installations/{id}/scopes", { path: { id: props.installation?.id ?? "" } }), {
      scopes: scopes.value,
    });
    emit("changed");
  } catch (thrown) {
    problem.value = sentence(thrown);
  }
}

watch(open, () => {
  scopes.value = [...(props.installation?.visits.at(-1)?.scopes ?? [])];
  problem.value = "";
  on.value = today.value;
});

async function begin() {
  try {
    await api.post(at("/api/installations/{id}/visits", { path: { id: props.installation?.id ?? "" } }), {
      stage: stage.value,
      visitedOn: on.value,
      unannounced: unannounced.value,
    });
    open.value = false;
    emit("begun");
  } catch (thrown) {
    problem.value = sentence(thrown);
  }
}
</script>

<template>
  <el-dialog v-model="open" :title="$gettext('Visits')" width="min(440px, 94vw)">
    <ol class="visits">
      <li v-for="(visit, index) in installation?.visits" :key="index">
        {{ visit.stage }}, <span class="mono">{{ visit.visitedOn }}</span><template v-if="visit.unannounced"
          >, {{ $gettext("unannounced") }}</template
        ><template v-if="visit.sealedAs"
          >, {{ $gettext("sealed as %{seal}", { seal: visit.sealedAs }) }}</template
        >
      </li>
    </ol>
    <fieldset v-if="installation?.scopes.length && !sealed" class="scopes">
      <legend class="label">
        {{
          scopes.length
            ? $gettext("This visit looks at")
            : $gettext("This visit looks at the whole; confine it to")
        }}
      </legend>
      <label v-for="scope in installation.scopes" :key="scope.id" class="scope">
        <input v-model="scopes" type="checkbox" :value="scope.id" @change="confine" /> {{ scope.title }}
      </label>
    </fieldset>
    <form class="form" @submit.prevent="begin">
      <label>
        <span class="label">{{ $gettext("Next visit") }}</span>
        <select v-model="stage" class="field">
          <option v-for="known in words.stages" :key="known.id" :value="known.id">
            {{ capital(known.title) }}
          </option>
        </select>
      </label>
      <label>
        <span class="label">{{ $gettext("On") }}</span>
        <input v-model="on" class="field mono" type="date" />
      </label>
      <label class="told"
        ><input v-model="unannounced" type="checkbox" /> {{ $gettext("nobody was told beforehand") }}</label
      >
      <p class="quiet">
        {{
          $gettext(
            "What was read stays with the visit it was read on. Lines hidden by then need that earlier evidence.",
          )
        }}
      </p>
      <p v-if="problem" class="error" role="alert">{{ problem }}</p>
      <button type="submit" class="button primary">{{ $gettext("Begin this visit") }}</button>
    </form>
    <button type="button" class="button right" @click="emit('correct')">
      {{ $gettext("Put name, units, crew or rule book right") }}
    </button>
    <PartsList v-if="installation" :installation="installation" @changed="emit('changed')" />
  </el-dialog>
</template>

<style scoped>
.visits {
  margin: 0 0 12px;
  padding-left: 20px;
}

.scopes {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(180px, 1fr));
  margin: 0 0 12px;
  padding: 8px 12px;
  border: 1px solid var(--hair);
}

.scope {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 44px;
}

.right {
  min-height: 44px;
  margin: 12px 0 0;
}

.form {
  display: grid;
  gap: 10px;
}
</style>
