<script setup lang="ts">
import { $gettext } from "../language/language";
import { computed, ref } from "vue";
import { at } from "../api/address";
import { api, ProblemError, type Problem, type Schemas } from "../api/client";
import { sentence } from "../api/problems";
import { notice } from "../frame/notice";
import { useUnits } from "../frame/useUnits";
import TrialResult from "../trial/TrialResult.vue";
import { useTrial } from "../trial/useTrial";
import type { useDraft } from "./useDraft";

/** A draft of the next version: tried on the archive, published with a note, installations moved to it on purpose. */
const props = defineProps<{
  book: string;
  draft: ReturnType<typeof useDraft>;
  schools: Schemas["BookSchool"][];
}>();
const emit = defineEmits<{ published: [version: number] }>();

const { chosen: units } = useUnits();
const changes = ref<Schemas["ChangeView"][]>();
const problem = ref<Problem>();
const busy = ref(false);
/** Asked for once what would be published turns out not to have been tried. */
const untried = ref("");
const asksWhy = ref(false);
const { note, limits, settings } = props.draft;
/** Limits and settings alike: a value and where it comes from. */
const numbers = computed(() =>
  [limits, settings].flatMap((changes) =>
    [...changes].map(([key, change]) => ({ key, change, giveUp: () => changes.delete(key) })),
  ),
);

function told(thrown: unknown) {
  asksWhy.value ||= thrown instanceof ProblemError && !!thrown.problem.fields?.untried;
  problem.value = thrown instanceof ProblemError ? thrown.problem : { status: 0, detail: sentence(thrown) };
}
const { trial, begin, stop } = useTrial(told);

async function text(): Promise<Schemas["DraftView"]> {
  const view = await api.post(
    at("/api/rule-books/{id}/draft", { path: { id: props.book }, query: { units: units.value } }),
    props.draft.body(),
  );
  changes.value = view.changes;
  return view;
}

async function attempt() {
  busy.value = true;
  problem.value = undefined;
  try {
    const { yaml } = await text();
    await begin(
      api.post(at("/api/rule-books/{id}/trials", { path: { id: props.book } }), yaml, "text/plain"),
    );
  } catch (thrown) {
    told(thrown);
  } finally {
    busy.value = false;
  }
}

async function publish() {
  busy.value = true;
  problem.value = undefined;
  try {
    const { yaml } = await text();
    const why = { untried: untried.value || undefined };
    const added = await api.post(at("/api/rule-books", { query: why }), yaml, "text/plain");
    props.draft.clear();
    notice.done(
      $gettext("Version %{version} is published. No installation is moved to it yet.", {
        version: added.version,
      }),
    );
    emit("published", added.version);
  } catch (thrown) {
    told(thrown);
  } finally {
    busy.value = false;
  }
}
</script>

<template>
  <section class="draft" :aria-label="$gettext('Draft of the next version')">
    <h2>
      {{
        $ngettext("Draft: %{count} change", "Draft: %{count} changes", draft.count.value, {
          count: draft.count.value,
        })
      }}
    </h2>
    <div v-for="{ key, change, giveUp } in numbers" :key="key" class="change">
      <span>{{ change.title }}</span>
      <input
        v-model="change.value"
        class="field mono"
        :aria-label="$gettext('Value of %{title}', { title: change.title })"
      />
      <input
        v-model="change.source"
        class="field"
        :placeholder="$gettext('Where it comes from')"
        :aria-label="$gettext('Source of %{title}', { title: change.title })"
      />
      <button type="button" class="button" @click="giveUp">{{ $gettext("Give up") }}</button>
    </div>
    <div v-for="[topic, school] in draft.schools" :key="topic" class="change">
      <span>{{ schools.find((each) => each.id === topic)?.topic }}</span>
      <strong>{{
        schools.find((each) => each.id === topic)?.others.find((other) => other.id === school)?.title
      }}</strong>
      <span></span>
      <button type="button" class="button" @click="draft.schools.delete(topic)">
        {{ $gettext("Give up") }}
      </button>
    </div>
    <label class="label" for="draft-note">{{ $gettext("What changed and why") }}</label>
    <input id="draft-note" v-model="note" class="field" maxlength="1000" />
    <div v-if="problem" class="error" role="alert">
      <p>{{ problem.detail }}</p>
      <ul v-if="problem.problems">
        <li v-for="(item, index) in problem.problems" :key="index">
          <span class="mono">{{ item.key }}</span>: {{ item.message }}
        </li>
      </ul>
    </div>
    <label v-if="asksWhy" class="label">
      {{ $gettext("Why it is published untried") }}
      <input v-model="untried" class="field" maxlength="1000" />
    </label>
    <div class="buttons">
      <button type="button" class="button primary" :disabled="busy" @click="attempt">
        {{ $gettext("Try on the archive") }}
      </button>
      <button type="button" class="button" :disabled="busy || trial?.state === 'RUNNING'" @click="publish">
        {{ $gettext("Publish as the next version") }}
      </button>
      <button type="button" class="button" @click="draft.clear()">{{ $gettext("Give all up") }}</button>
    </div>
    <p v-if="!trial" class="quiet">
      {{ $gettext("Published as it was tried, to the letter; or with a word why not.") }}
    </p>
    <TrialResult v-if="trial" :trial="trial" @cancel="stop" />
  </section>
</template>

<style scoped>
.draft {
  margin: 12px 0;
  padding: 12px 14px;
  border: 1px solid var(--lake);
  background: var(--paper);
}

.change {
  display: grid;
  grid-template-columns: minmax(0, 1.2fr) 160px minmax(0, 1fr) auto;
  gap: 8px;
  align-items: center;
  padding: 4px 0;
}

.buttons {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin: 10px 0;
}

@media (max-width: 760px) {
  .change {
    grid-template-columns: 1fr;
  }
}
</style>
