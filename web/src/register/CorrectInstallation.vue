<script setup lang="ts">
import { reactive, ref, watch } from "vue";
import { at } from "../api/address";
import { api, type Schemas } from "../api/client";
import { useAttempt } from "../api/useAttempt";
import { verdictWord, words } from "../words/words";
import UnitRow from "./UnitRow.vue";

/** Puts right what the register says of an installation; what that changes is shown before it is saved. */
const props = defineProps<{ installation?: Schemas["InstallationView"] }>();
const open = defineModel<boolean>({ required: true });
const emit = defineEmits<{ changed: [] }>();

const books = ref<Schemas["BookSummary"][]>([]);
const crews = ref<string[]>([]);
const asked = reactive({
  title: "",
  system: "",
  crew: "",
  owner: "",
  address: "",
  replacement: false,
  ruleBook: "",
  version: 0,
  components: [] as Schemas["AmendedUnit"][],
});
const shown = ref<Schemas["AmendmentView"]>();
/** What was shown, as it was asked for: anything else is looked at anew. */
const looked = ref("");
const { busy, problem, fields, attempt } = useAttempt();

watch(open, async (now) => {
  const from = props.installation;
  if (!now || !from) {
    return;
  }
  shown.value = undefined;
  looked.value = problem.value = "";
  fields.value = {};
  Object.assign(asked, {
    title: from.title,
    system: from.system,
    crew: from.crew,
    owner: from.owner,
    address: from.address,
    replacement: from.replacement,
    ruleBook: from.ruleBook,
    version: from.version,
    components: from.components.map(({ id, title, kind, ownSupply }) => ({ id, title, kind, ownSupply })),
  });
  await attempt(async () => {
    const [all, choices] = await Promise.all([
      api.get(at("/api/rule-books")),
      api.get(at("/api/installations/choices")),
    ]);
    books.value = all;
    crews.value = choices.crews;
  });
});

const path = () => ({ path: { id: props.installation?.id ?? "" } });
const same = () => looked.value === JSON.stringify(asked);

const look = () =>
  attempt(async () => {
    const now = JSON.stringify(asked);
    shown.value = await api.post(at("/api/installations/{id}/amendment", path()), { ...asked });
    looked.value = now;
  });

const save = () =>
  attempt(async () => {
    await api.put(at("/api/installations/{id}", path()), { ...asked });
    open.value = false;
    emit("changed");
  });

function add() {
  const kind = "INDOOR_WALL" as const;
  asked.components.push({
    title: words.units.find((known) => known.id === kind)?.title ?? "",
    kind,
    ownSupply: false,
  });
}
</script>

<template>
  <el-dialog
    v-model="open"
    :title="$gettext('Put this installation right')"
    width="min(640px, 94vw)"
    top="5vh"
  >
    <form @submit.prevent="same() ? save() : look()">
      <label class="label" for="right-title">{{ $gettext("Name") }}</label>
      <input id="right-title" v-model="asked.title" class="field" :aria-invalid="!!fields.title" />
      <p v-if="fields.title" class="error">{{ fields.title }}</p>
      <h2>{{ $gettext("Units") }}</h2>
      <UnitRow
        v-for="(unit, index) in asked.components"
        :key="unit.id ?? index"
        v-model:kind="unit.kind"
        v-model:own-supply="unit.ownSupply"
        :number="index + 1"
        :named="unit.title"
        :alone="asked.components.length === 1"
        @leave-out="asked.components.splice(index, 1)"
      >
        <input
          v-model="unit.title"
          class="field"
          :aria-label="$gettext('Title of unit %{number}', { number: index + 1 })"
        />
      </UnitRow>
      <button type="button" class="button" @click="add">{{ $gettext("Add a unit") }}</button>
      <div class="grid">
        <div>
          <label class="label" for="right-system">{{ $gettext("System") }}</label>
          <input id="right-system" v-model="asked.system" class="field" :aria-invalid="!!fields.system" />
        </div>
        <div>
          <label class="label" for="right-crew">{{ $gettext("Crew") }}</label>
          <input
            id="right-crew"
            v-model="asked.crew"
            class="field"
            list="right-crews"
            :aria-invalid="!!fields.crew"
          />
          <datalist id="right-crews">
            <option v-for="crew in crews" :key="crew" :value="crew" />
          </datalist>
        </div>
        <div>
          <label class="label" for="right-owner">{{ $gettext("Owner") }}</label>
          <input
            id="right-owner"
            v-model="asked.owner"
            class="field"
            maxlength="200"
            :aria-invalid="!!fields.owner"
          />
        </div>
        <div>
          <label class="label" for="right-address">{{ $gettext("Address") }}</label>
          <input
            id="right-address"
            v-model="asked.address"
            class="field"
            maxlength="300"
            :aria-invalid="!!fields.address"
          />
        </div>
        <div>
          <label class="label" for="right-book">{{ $gettext("Rule book") }}</label>
          <select id="right-book" v-model="asked.ruleBook" class="field">
            <option v-for="book in books" :key="book.id" :value="book.id">{{ book.title }}</option>
          </select>
        </div>
        <label class="check"
          ><input v-model="asked.replacement" type="checkbox" />
          {{ $gettext("replaces an older system") }}</label
        >
      </div>
      <section v-if="shown && same()" class="changes" aria-live="polite">
        <p>
          {{
            $ngettext(
              "%{changed} judgement changes, %{come} lines come, %{go} go.",
              "%{changed} judgements change, %{come} lines come, %{go} go.",
              shown.verdicts.length,
              { changed: shown.verdicts.length, come: shown.come, go: shown.go },
            )
          }}
        </p>
        <p v-if="shown.putAway.length" class="error">
          {{
            $gettext(
              "Read already, and out of sight then: %{putAway}. It is kept, and is there again when the line is.",
              { putAway: shown.putAway.join("; ") },
            )
          }}
        </p>
        <ul>
          <li v-for="(each, index) in shown.verdicts" :key="index">
            {{ each.title }}<template v-if="each.subject">, {{ each.subject }}</template
            >: {{ each.before ? verdictWord(each.before) : $gettext("not asked") }} →
            {{ each.now ? verdictWord(each.now) : $gettext("not asked") }}
          </li>
        </ul>
      </section>
      <p v-if="problem" class="error" role="alert">{{ problem }}</p>
      <div class="buttons">
        <button type="submit" class="button primary" :disabled="busy">
          {{ same() ? $gettext("Save it so") : $gettext("Show what that changes") }}
        </button>
        <button type="button" class="button" @click="open = false">{{ $gettext("Cancel") }}</button>
      </div>
    </form>
  </el-dialog>
</template>

<style scoped>
h2 {
  margin: 12px 0 4px;
  font-size: 14px;
}

.grid {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(220px, 1fr));
  gap: 8px 14px;
  margin: 12px 0;
}

.check {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 44px;
}

.changes {
  padding: 8px 12px;
  border-left: 3px solid var(--brass);
  font-size: 13.5px;
}

ul {
  overflow: auto;
  max-height: 30vh;
  margin: 4px 0 0;
  padding-left: 18px;
}

.buttons {
  display: flex;
  gap: 8px;
  margin-top: 12px;
}

.button {
  min-height: 44px;
}
</style>
