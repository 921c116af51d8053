<script setup lang="ts">
import { $gettext } from "../language/language";
import { useTimeoutFn } from "@vueuse/core";
import { computed, onMounted, reactive, ref, watch } from "vue";
import { useRoute, useRouter } from "vue-router";
import { at } from "../api/address";
import { api, ProblemError, type Schemas } from "../api/client";
import { sentence } from "../api/problems";
import { notice } from "../frame/notice";
import { carried } from "../frame/carried";
import { useUnits } from "../frame/useUnits";
import DrawingFigure from "../shown/figures/DrawingFigure.vue";

/** Each computation by itself: type, see, copy. The address carries what was typed. */
const route = useRoute();
const router = useRouter();
const { units } = useUnits();

const all = ref<Schemas["ComputationView"][]>([]);
const typed = reactive<Record<string, string>>({});
const answer = ref<Schemas["ReckonedStep"][]>([]);
const figure = ref<Schemas["FigureView"]>();
const fields = ref<Record<string, string>>({});
const problem = ref("");

const PAUSE_MS = 250;

const chosen = computed(() => all.value.find((c) => c.id === route.params.id) ?? all.value[0]);
const stations = computed(() => [...new Set(all.value.map((c) => c.stationTitle))]);

onMounted(async () => {
  try {
    all.value = await api.get(at("/api/calculators"));
  } catch (thrown) {
    problem.value = sentence(thrown);
  }
});

watch(
  chosen,
  (computation) => {
    Object.keys(typed).forEach((key) => delete typed[key]);
    computation?.inputs.forEach((input) => {
      const carried = route.query[input.id];
      typed[input.id] = typeof carried === "string" ? carried : input.example;
    });
    void ask();
  },
  { immediate: true },
);
watch(units, () => void ask());

/** Not once the page is left: asking writes its address. */
const pause = useTimeoutFn(() => void ask(), PAUSE_MS, { immediate: false });

let asked = 0;
async function ask() {
  const computation = chosen.value;
  if (!computation) {
    return;
  }
  const mine = ++asked;
  void router.replace({ name: "calculators", params: { id: computation.id }, query: { ...typed } });
  try {
    const answered = await api.post(
      at("/api/calculators/{id}", { path: { id: computation.id }, query: { units: units() } }),
      { ...typed },
    );
    if (mine === asked) {
      answer.value = answered.steps;
      figure.value = answered.figure;
      fields.value = {};
      problem.value = "";
    }
  } catch (thrown) {
    if (mine === asked) {
      answer.value = [];
      figure.value = undefined;
      fields.value = (thrown instanceof ProblemError && thrown.problem.fields) || {};
      problem.value = sentence(thrown);
    }
  }
}

/** To be put into a line of a visit. */
function take(step: Schemas["ReckonedStep"]) {
  carried.value = { name: step.name, value: step.value };
  notice.done($gettext("%{step} goes along. On a walk, tap its line and put it in.", { step: step.value }));
}

async function copy() {
  const computation = chosen.value;
  if (!computation) {
    return;
  }
  const lines = [
    computation.title,
    ...computation.inputs.map((input) => `${input.title}: ${typed[input.id]}`),
    ...answer.value.map((step) => `${step.name}: ${step.value}${step.how ? ` (${step.how})` : ""}`),
    $gettext("Source: %{source}", { source: computation.source }),
    window.location.href,
  ];
  try {
    await navigator.clipboard.writeText(lines.join("\n"));
    notice.done($gettext("Copied as text."));
  } catch {
    notice.problem($gettext("The browser does not let this page copy. Select the text instead."));
  }
}
</script>

<template>
  <div class="page calculators">
    <nav :aria-label="$gettext('Computations')">
      <section v-for="station in stations" :key="station">
        <h2>{{ station }}</h2>
        <RouterLink
          v-for="c in all.filter((each) => each.stationTitle === station)"
          :key="c.id"
          :to="{ name: 'calculators', params: { id: c.id } }"
          :class="{ here: c.id === chosen?.id }"
        >
          {{ c.title }}
        </RouterLink>
      </section>
    </nav>
    <section v-if="chosen" class="sheet">
      <h1>{{ chosen.title }}</h1>
      <form class="inputs" @submit.prevent="ask">
        <label v-for="input in chosen.inputs" :key="input.id">
          <span class="label">{{ input.title }}</span>
          <select v-if="input.options.length" v-model="typed[input.id]" class="field mono" @change="ask">
            <option v-for="option in input.options" :key="option">{{ option }}</option>
          </select>
          <input
            v-else
            v-model="typed[input.id]"
            class="field mono"
            :aria-invalid="!!fields[input.id]"
            autocomplete="off"
            @input="pause.start()"
          />
          <span v-if="fields[input.id]" class="error" role="alert">{{ fields[input.id] }}</span>
          <span v-else-if="input.several" class="quiet hint">{{
            $gettext("Several, parted by semicolons")
          }}</span>
        </label>
      </form>
      <p v-if="problem && !Object.keys(fields).length" class="error" role="alert">{{ problem }}</p>
      <dl class="answer" aria-live="polite">
        <div v-for="(step, index) in answer" :key="step.name" :class="{ last: index === answer.length - 1 }">
          <dt>
            {{ step.name }} <span class="quiet">{{ step.how }}</span>
          </dt>
          <dd class="mono">
            {{ step.value }}
            <button
              type="button"
              class="button"
              :aria-label="$gettext('Take %{name} along', { name: step.name })"
              @click="take(step)"
            >
              {{ $gettext("Take along") }}
            </button>
          </dd>
        </div>
      </dl>
      <DrawingFigure v-if="figure" :drawing="figure" :lit="[]" />
      <p class="quiet">{{ chosen.source }}</p>
      <button type="button" class="button" :disabled="!answer.length" @click="copy">
        {{ $gettext("Copy as text") }}
      </button>
    </section>
    <p v-else-if="problem" class="error" role="alert">{{ problem }}</p>
  </div>
</template>

<style scoped>
.calculators {
  display: grid;
  grid-template-columns: 240px minmax(0, 1fr);
  gap: 28px;
}

nav section {
  display: grid;
  margin-bottom: 12px;
}

nav h2 {
  padding: 4px 8px;
  font-size: 12px;
  color: var(--quiet);
}

nav a {
  padding: 9px 8px;
  border-radius: 4px;
  color: var(--ink);
  text-decoration: none;
}

nav a:hover,
nav .here {
  background: var(--lake-soft);
}

nav .here {
  font-weight: 600;
}

.inputs {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(220px, 1fr));
  gap: 10px 14px;
  margin: 12px 0;
}

.hint {
  font-size: 12px;
}

.answer {
  margin: 0 0 12px;
  border-top: 1px solid var(--ink);
}

.answer div {
  display: flex;
  flex-wrap: wrap;
  gap: 0 16px;
  justify-content: space-between;
  padding: 6px 0;
  border-bottom: 1px solid var(--hair);
}

.answer dd {
  margin: 0;
}

.answer .last {
  font-size: 18px;
  font-weight: 700;
}

.answer .last .quiet {
  font-size: 13px;
  font-weight: 400;
}

.sheet > p {
  margin-bottom: 10px;
}

@media (max-width: 760px) {
  .calculators {
    grid-template-columns: 1fr;
  }

  nav {
    display: flex;
    gap: 4px;
    overflow: auto;
  }

  nav section {
    display: flex;
    margin: 0;
    white-space: nowrap;
  }

  nav h2 {
    display: none;
  }
}
</style>
