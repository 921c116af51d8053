<script setup lang="ts">
import { $gettext } from "../language/language";
import { computed, onBeforeUnmount, reactive, ref, watch } from "vue";
import { at } from "../api/address";
import { api, type Schemas } from "../api/client";
import { lastOnly } from "../api/lastOnly";
import { sentence } from "../api/problems";
import { notice } from "../frame/notice";
import { usePlaces } from "../frame/usePlaces";
import { useUnits } from "../frame/useUnits";
import { when } from "../frame/when";
import { useSession } from "../session/useSession";
import AnswerForm from "./AnswerForm.vue";
import FoundCard from "./FoundCard.vue";
import PaperBoxes from "./PaperBoxes.vue";

/** A commissioning record on the left, what does not fit together on the right. */
const props = defineProps<{ id: string }>();
const { units } = useUnits();
const { heading } = usePlaces();
const { person } = useSession();
const inspects = computed(() => person.value?.role !== "CREW");

const record = ref<Schemas["RecordView"]>();
const minutes = ref(20);
const problem = ref("");
const refusal = ref("");
const chosen = reactive<Record<string, boolean>>({});
const last = lastOnly();
const weather = reactive({ coldest: "", warmest: "" });

const AGREEMENT = {
  AGREES: $gettext("agrees"),
  DISAGREES: $gettext("disagrees"),
  CANNOT_TELL: $gettext("cannot tell"),
};

const doubts = computed(() => record.value?.found.filter((each) => each.outcome === "DOUBTFUL") ?? []);
const others = computed(() => record.value?.found.filter((each) => each.outcome !== "DOUBTFUL") ?? []);
const told = computed(() => record.value?.found.filter((each) => each.outcome !== "CANNOT_TELL").length ?? 0);
const wanted = computed(() => doubts.value.filter((each) => chosen[key(each)] && !asked(each)));
const path = computed(() => ({
  path: { id: props.id },
  query: { units: units(), minutes: minutes.value },
}));

const key = (found: Schemas["FoundView"]) => `${found.check}@${found.subject}@${found.because}`;
const asked = (found: Schemas["FoundView"]) =>
  record.value?.questions.some((each) => each.check === found.check && each.subject === found.subject);

function shown(now: Schemas["RecordView"]) {
  record.value = now;
  weather.coldest = now.coldest ?? "";
  weather.warmest = now.warmest ?? "";
  heading.value = { title: now.title, detail: `${now.reference} · ${now.building}`, counts: "" };
}

async function load() {
  problem.value = "";
  try {
    shown(await last(api.get(at("/api/records/{id}", path.value))));
  } catch (thrown) {
    problem.value = sentence(thrown);
  }
}
watch(path, load, { immediate: true });
onBeforeUnmount(() => (heading.value = undefined));

async function done(change: () => Promise<unknown>, said: string) {
  refusal.value = "";
  try {
    await change();
    notice.done(said);
    await load();
  } catch (thrown) {
    refusal.value = sentence(thrown);
  }
}

const ask = () =>
  done(
    () =>
      api.post(at("/api/records/{id}/questions", { path: { id: props.id } }), {
        questions: wanted.value.map(({ check, subject }) => ({ check, subject })),
      }),
    $gettext("The letter is in the outbox."),
  );

const amend = (released: boolean) =>
  done(
    () =>
      api.put(at("/api/records/{id}", { path: { id: props.id } }), {
        coldest: weather.coldest || undefined,
        warmest: weather.warmest || undefined,
        released,
        version: record.value?.version ?? 0,
      }),
    $gettext("Saved."),
  );
</script>

<template>
  <div class="page wide">
    <p v-if="problem" class="error" role="alert">
      {{ problem }} <button type="button" class="button" @click="load">{{ $gettext("Try again") }}</button>
    </p>
    <template v-if="record">
      <div class="page-head">
        <div>
          <h1 v-if="record.found.length" :class="{ doubtful: doubts.length }">
            {{
              doubts.length
                ? $ngettext(
                    "%{doubts} of %{told} checks leaves a doubt",
                    "%{doubts} of %{told} checks leave a doubt",
                    doubts.length,
                    { doubts: doubts.length, told },
                  )
                : $gettext("%{told} checks, nothing doubted", { told })
            }}
          </h1>
          <h1 v-else>{{ $gettext("Commissioning record") }}</h1>
          <p class="quiet">
            {{
              $gettext(
                "%{reference} %{title}: record of %{day}, signed by %{signedBy}, %{crew}. A doubt is a question, not a charge: there is often a plain explanation.",
                {
                  reference: record.reference,
                  title: record.title,
                  day: record.day,
                  signedBy: record.signedBy,
                  crew: record.crew,
                },
              )
            }}
          </p>
        </div>
        <div class="tools">
          <RouterLink class="button" :to="`/installations/${record.installationId}/record`">{{
            $gettext("Records")
          }}</RouterLink>
          <RouterLink class="button" :to="`/installations/${record.installationId}/papers`">{{
            $gettext("Walk")
          }}</RouterLink>
        </div>
      </div>
      <p v-if="refusal" class="error" role="alert">{{ refusal }}</p>
      <div class="halves">
        <div class="left">
          <h2>{{ $gettext("The record") }}</h2>
          <table class="table">
            <thead>
              <tr>
                <th>{{ $gettext("Line") }}</th>
                <th>{{ $gettext("Record") }}</th>
                <th>{{ $gettext("Own reading") }}</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="each in record.values" :key="each.id" :class="{ doubted: each.doubted }">
                <td>
                  {{ each.title }}
                  <span v-if="each.doubted" class="flag">{{ $gettext("doubt") }}</span>
                </td>
                <td>
                  <span class="mono">{{ each.typed }}</span>
                  <span v-if="each.readAt || each.instrument" class="quiet beside">
                    {{ each.readAt }} {{ each.instrument }}
                  </span>
                </td>
                <td>
                  <span class="mono">{{ each.own ?? "–" }}</span>
                  <span v-if="each.agreement" class="beside" :class="each.agreement.toLowerCase()">
                    {{ AGREEMENT[each.agreement] }}
                  </span>
                </td>
              </tr>
            </tbody>
          </table>
          <PaperBoxes :record="record" :inspects="inspects" @changed="load" />
          <form v-if="inspects" class="weather" @submit.prevent="amend(record.released)">
            <label
              >{{ $gettext("Coldest that day") }} <input v-model="weather.coldest" class="field mono"
            /></label>
            <label
              >{{ $gettext("Warmest that day") }} <input v-model="weather.warmest" class="field mono"
            /></label>
            <button type="submit" class="button">{{ $gettext("Save weather") }}</button>
          </form>
        </div>
        <div class="right">
          <section v-if="record.found.length">
            <h2>{{ $gettext("What does not fit together") }}</h2>
            <p v-if="!doubts.length">
              {{ $gettext("Nothing. %{told} checks could tell, and all fit.", { told }) }}
            </p>
            <FoundCard
              v-for="each in doubts"
              :key="key(each)"
              v-model="chosen[key(each)]"
              :found="each"
              :asked="asked(each)"
              :askable="inspects"
            />
            <div v-if="inspects && doubts.length" class="tools">
              <button type="button" class="button primary" :disabled="!wanted.length" @click="ask">
                {{
                  $ngettext(
                    "Write to the crew: %{count} question",
                    "Write to the crew: %{count} questions",
                    wanted.length,
                    { count: wanted.length },
                  )
                }}
              </button>
              <button type="button" class="button" @click="amend(!record.released)">
                {{
                  record.released
                    ? $gettext("Take back from the crew's copy")
                    : $gettext("Release to the crew's copy")
                }}
              </button>
            </div>
            <details>
              <summary>
                {{
                  $gettext("%{others} more checks: consistent, or nothing can be told", {
                    others: others.length,
                  })
                }}
              </summary>
              <FoundCard v-for="each in others" :key="key(each)" :found="each" />
            </details>
          </section>
          <section v-if="record.readAgain.length" class="again">
            <h2>{{ $gettext("Read again, in this order") }}</h2>
            <p>
              <label class="time">
                {{ $gettext("in") }}
                <input
                  v-model.number.lazy="minutes"
                  class="field mono minutes"
                  type="number"
                  min="0"
                  max="1000"
                />
                {{ $gettext("minutes") }}
              </label>
            </p>
            <ol>
              <li v-for="(each, index) in record.readAgain" :key="each.point + each.component">
                <RouterLink :to="`/installations/${record.installationId}/${each.station}`">{{
                  each.title
                }}</RouterLink>
                <p v-if="each.why !== record.readAgain[index - 1]?.why" class="quiet">{{ each.why }}</p>
              </li>
            </ol>
          </section>
          <section v-if="record.questions.length">
            <h2>{{ $gettext("Questions to the crew") }}</h2>
            <article v-for="each in record.questions" :key="each.id" class="question">
              <p>{{ each.question }}</p>
              <p class="quiet">{{ each.askedBy }}, {{ when(each.askedAt) }}</p>
              <p v-if="each.answeredAt" class="answer">
                {{ each.answer }}
                <span v-for="read in each.readings" :key="read" class="read">{{ read }}</span>
                <span class="quiet">{{ each.answeredBy }}, {{ when(each.answeredAt) }}</span>
              </p>
              <AnswerForm v-else-if="!inspects" :record="record" :question="each" @answered="load" />
              <p v-else class="quiet">{{ $gettext("Not answered yet.") }}</p>
            </article>
          </section>
        </div>
      </div>
    </template>
  </div>
</template>

<style scoped>
.halves {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 24px;
  align-items: start;
}

.left > * + *,
.right > * + *,
section > * + * {
  margin-top: 12px;
}

.disagrees {
  color: var(--close);
  font-weight: 700;
}

.doubted td {
  background: var(--brass-soft);
}

h1.doubtful {
  color: var(--close);
}

.tools {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}

.beside {
  display: block;
}

.time {
  display: flex;
  gap: 8px;
  align-items: center;
}

.flag {
  padding: 1px 6px;
  border: 1px solid var(--close);
  color: var(--close);
  font-size: 12px;
}

.weather {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: end;
}

.weather label {
  display: grid;
  gap: 4px;
}

.weather .field {
  width: 120px;
}

.minutes {
  width: 80px;
}

.again {
  padding: 10px 14px;
  border: 1px solid var(--lake);
}

.again li {
  padding: 6px 0;
}

.question {
  padding: 10px 14px;
  background: var(--paper);
}

.question form {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}

.question textarea {
  width: 100%;
}

.answer {
  padding-left: 12px;
  border-left: 3px solid var(--lake);
}

summary {
  min-height: 44px;
  padding: 10px 0;
  cursor: pointer;
}

@media (max-width: 900px) {
  .halves {
    grid-template-columns: minmax(0, 1fr);
  }

  .right {
    order: -1;
  }
}
</style>
