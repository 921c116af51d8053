<script setup lang="ts">
import { $gettext } from "../language/language";
import { computed, ref } from "vue";
import { useRoute } from "vue-router";
import { at } from "../api/address";
import { api, type Schemas } from "../api/client";
import { sentence } from "../api/problems";
import { grouped } from "../frame/grouped";
import { saysAll } from "../frame/saysAll";
import { useSession } from "../session/useSession";
import DueDate from "./DueDate.vue";
import OpenQuestions from "./OpenQuestions.vue";
import RaiseDialog from "./RaiseDialog.vue";
import { ended } from "./states";

type Listed = Schemas["Listed"];

const { person } = useSession();
const inspects = computed(() => person.value?.role !== "CREW");
const listed = ref<Listed[]>();
const questions = ref<Schemas["OpenQuestion"][]>([]);
const route = useRoute();
/** The code on a site note leads to those of its installation. */
const only = computed(() => {
  const named = route.query.installation;
  return typeof named === "string" ? named : undefined;
});
const find = ref("");
const all = ref(false);
const raising = ref(false);
const problem = ref("");

const shown = computed(() =>
  listed.value?.filter(({ correction, reference, title, crew }) => {
    const { installationId, what, finding, words: asked } = correction;
    return (
      (!only.value || installationId === only.value) &&
      (all.value || !ended(correction)) &&
      saysAll(find.value, reference, title, crew, what, finding, asked)
    );
  }),
);
const toAnswer = computed(() =>
  questions.value.filter(
    (each) =>
      (!only.value || each.installationId === only.value) &&
      saysAll(find.value, each.reference, each.title, each.crew, each.question),
  ),
);
const late = computed(() => listed.value?.filter((each) => each.overdue).length ?? 0);
const waiting = computed(
  () => listed.value?.filter(({ correction }) => correction.state === "ANSWERED").length ?? 0,
);

/** Installation by installation; of each what is due first stands first. */
const sections = computed(() => {
  const day = ({ correction }: Listed) => (ended(correction) ? "9" : (correction.due ?? "8"));
  return grouped(shown.value ?? [], (item) => item.correction.installationId).map((items) =>
    items.sort((a, b) => day(a).localeCompare(day(b))),
  );
});

function openOf(items: Listed[]): string {
  const open = items.filter((item) => !ended(item.correction)).length;
  return open ? $gettext("%{open} open", { open }) : $gettext("none open");
}

async function load() {
  problem.value = "";
  try {
    [listed.value, questions.value] = await Promise.all([
      api.get(at("/api/corrections")),
      api.get(at("/api/questions")),
    ]);
  } catch (thrown) {
    problem.value = sentence(thrown);
  }
}
void load();
</script>

<template>
  <div class="page">
    <div class="page-head">
      <div>
        <h1>{{ $gettext("What is still to be put right?") }}</h1>
        <p class="quiet">
          <strong v-if="late" class="late">{{ $gettext("%{late} overdue.", { late }) }}</strong>{{ " " }}
          <template v-if="waiting && inspects">
            {{
              $ngettext(
                "%{waiting} answer waits to be looked at.",
                "%{waiting} answers wait to be looked at.",
                waiting,
                { waiting },
              )
            }}
          </template>
          {{ $gettext("Each keeps the limit and its source as they stood when it was raised.") }}
        </p>
      </div>
      <div class="actions">
        <button v-if="inspects && only" type="button" class="button primary" @click="raising = true">
          {{ $gettext("Raise corrections") }}
        </button>
        <a class="button" :href="at('/api/due-dates')" download>{{ $gettext("Dates for a calendar") }}</a>
        <RouterLink class="button" to="/letters">{{ $gettext("Letters") }}</RouterLink>
      </div>
    </div>
    <p v-if="problem" class="error" role="alert">
      {{ problem }} <button type="button" class="button" @click="load">{{ $gettext("Try again") }}</button>
    </p>
    <p v-else-if="listed && !listed.length && !questions.length && !only">
      {{
        $gettext("No correction has been raised. On a walk, choose a failed judgement and press %{key}.", {
          key: "f",
        })
      }}
    </p>
    <p v-else-if="only" class="only">
      {{
        shown?.length
          ? $gettext("Only those of %{title}.", { title: shown[0]?.title ?? "" })
          : $gettext("None is open for this installation.")
      }}
      <RouterLink class="button" to="/corrections">{{ $gettext("All installations") }}</RouterLink>
    </p>
    <div v-if="listed?.length || questions.length" class="filters">
      <input
        v-model="find"
        class="field find"
        :placeholder="$gettext('Find by installation, crew or words')"
        :aria-label="$gettext('Find')"
      />
      <button type="button" class="button" :aria-pressed="all" @click="all = !all">
        {{ $gettext("Ended ones too") }}
      </button>
    </div>
    <p v-if="listed?.length && find && !shown?.length && !toAnswer.length">
      {{ $gettext("No correction says so. Try fewer letters.") }}
    </p>
    <OpenQuestions v-if="toAnswer.length" :questions="toAnswer" :answers="!inspects" @answered="load" />
    <section v-for="items in sections" :key="items[0]?.correction.installationId" class="of">
      <h2>
        {{ items[0]?.reference }} {{ items[0]?.title }}
        <span class="quiet">{{ items[0]?.crew }} · {{ openOf(items) }}</span>
      </h2>
      <ul class="corrections">
        <li v-for="{ correction, overdue } in items" :key="correction.id">
          <RouterLink :to="`/corrections/${correction.id}`">
            <strong>{{ correction.number }}. {{ correction.what }}</strong>
            <span class="words">{{ correction.words || correction.finding }}</span>
            <DueDate :correction="correction" :overdue="overdue" />
          </RouterLink>
        </li>
      </ul>
    </section>
    <RaiseDialog v-if="only" v-model="raising" :installation="only" @raised="load" />
  </div>
</template>

<style scoped>
.late {
  color: var(--fails);
}

.actions,
.filters {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}

.filters {
  margin-bottom: 12px;
}

.find {
  max-width: 420px;
}

[aria-pressed="true"] {
  border-color: var(--lake);
  background: var(--lake-soft);
}

.of {
  margin-bottom: 22px;
}

.of h2 {
  margin-bottom: 4px;
}

.of h2 .quiet {
  font-size: 13px;
  font-weight: 400;
}

.corrections {
  margin: 0;
  padding: 0;
  border-top: 1px solid var(--ink);
  list-style: none;
}

li a {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.4fr) 190px;
  gap: 4px 16px;
  min-height: 44px;
  padding: 10px 0;
  border-bottom: 1px solid var(--hair);
  color: var(--ink);
  text-decoration: none;
}

li a:hover {
  background: var(--lake-soft);
}

@media (max-width: 760px) {
  li a {
    grid-template-columns: 1fr;
  }
}
</style>
