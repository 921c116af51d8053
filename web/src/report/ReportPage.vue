<script setup lang="ts">
import { computed, onBeforeUnmount, reactive, ref, watch } from "vue";
import { at } from "../api/address";
import { api, type Schemas } from "../api/client";
import { lastOnly } from "../api/lastOnly";
import { sentence } from "../api/problems";
import { usePlaces } from "../frame/usePlaces";
import { useUnits } from "../frame/useUnits";
import VisitSummary from "../shown/VisitSummary.vue";

const props = defineProps<{ id: string }>();
const { units, ofBook } = useUnits();
const { heading } = usePlaces();

const paper = ref<"A4" | "LETTER">("A4");
const photos = ref<"NONE" | "STRIPPED" | "POSITIONED">("NONE");
/** What the report holds besides its findings. */
const holds = reactive({ stations: true, readings: true, derivations: false, photos: false });
const pages = ref<number>();
const problem = ref("");
const installation = ref<Schemas["InstallationView"]>();
const last = lastOnly();

const own = computed(() => ({ path: { id: props.id } }));
const asked = computed(() => ({ ...own.value, query: { paper: paper.value, units: units(), ...holds } }));
/** For a screen it has no paper. */
const onScreen = computed(() => ({ ...own.value, query: { units: units(), ...holds } }));

async function load() {
  problem.value = "";
  pages.value = undefined;
  try {
    if (!installation.value) {
      const facts = await api.get(at("/api/installations/{id}", own.value));
      ofBook.value = facts.display;
      installation.value = facts;
      heading.value = { title: facts.title, detail: `${facts.building} · ${facts.system}`, counts: "" };
    }
    const preview = await last(api.get(at("/api/installations/{id}/report", asked.value)));
    pages.value = preview.pages;
  } catch (thrown) {
    problem.value = sentence(thrown);
  }
}

watch(asked, load, { immediate: true });

function page(number: number): string {
  return at("/api/installations/{id}/report/pages/{number}", {
    path: { id: props.id, number },
    query: asked.value.query,
  });
}
onBeforeUnmount(() => (heading.value = undefined));
</script>

<template>
  <div class="page">
    <div class="page-head">
      <div>
        <h1>{{ $gettext("Does the report say it all?") }}</h1>
        <p class="quiet">
          {{
            $gettext("%{reference}: what is printed below is the PDF itself, page by page.", {
              reference: installation?.reference ?? "",
            })
          }}
        </p>
      </div>
      <div class="actions">
        <RouterLink class="button" :to="`/installations/${id}/papers`">{{ $gettext("Walk") }}</RouterLink>
        <RouterLink class="button" :to="`/installations/${id}/after`">{{
          $gettext("After the walk")
        }}</RouterLink>
        <div class="papers" role="group" :aria-label="$gettext('Paper')">
          <button type="button" class="button" :aria-pressed="paper === 'A4'" @click="paper = 'A4'">
            A4
          </button>
          <button type="button" class="button" :aria-pressed="paper === 'LETTER'" @click="paper = 'LETTER'">
            {{ $gettext("Letter") }}
          </button>
        </div>
        <a class="button" :href="at('/api/installations/{id}/report.html', onScreen)" target="_blank">{{
          $gettext("For a phone")
        }}</a>
        <a class="button" :href="at('/api/installations/{id}/site-note.pdf', asked)" download>{{
          $gettext("Site note")
        }}</a>
        <a class="button" :href="at('/api/installations/{id}/owner.pdf', asked)" download>{{
          $gettext("Owner's page")
        }}</a>
        <a class="button primary" :href="at('/api/installations/{id}/report.pdf', asked)" download>{{
          $gettext("Report, PDF")
        }}</a>
      </div>
    </div>
    <div class="holds">
      <fieldset>
        <legend class="label">{{ $gettext("The report also holds") }}</legend>
        <label><input v-model="holds.stations" type="checkbox" /> {{ $gettext("stations in detail") }}</label>
        <label><input v-model="holds.readings" type="checkbox" /> {{ $gettext("readings") }}</label>
        <label
          ><input v-model="holds.derivations" type="checkbox" />
          {{ $gettext("how each judgement follows") }}</label
        >
        <label><input v-model="holds.photos" type="checkbox" /> {{ $gettext("photos") }}</label>
      </fieldset>
      <div class="data">
        <span class="label">{{ $gettext("Open data") }}</span>
        <select v-model="photos" class="field photos" :aria-label="$gettext('Photos in the open data')">
          <option value="NONE">{{ $gettext("without photos") }}</option>
          <option value="STRIPPED">{{ $gettext("with photos") }}</option>
          <option value="POSITIONED">{{ $gettext("with photos and where they were taken") }}</option>
        </select>
        <a
          class="button"
          :href="at('/api/installations/{id}/case.json', { ...own, query: { photos } })"
          download
          >{{ $gettext("JSON") }}</a
        >
        <a
          class="button"
          :href="at('/api/installations/{id}/case.zip', { ...own, query: { photos } })"
          download
          >{{ $gettext("ZIP") }}</a
        >
      </div>
    </div>
    <VisitSummary :id="id" />
    <p v-if="problem" class="error" role="alert">
      {{ problem }} <button type="button" class="button" @click="load">{{ $gettext("Try again") }}</button>
    </p>
    <p v-else-if="!pages" class="quiet">{{ $gettext("Laying out the pages.") }}</p>
    <div class="sheets">
      <img
        v-for="number in pages ?? 0"
        :key="page(number)"
        :src="page(number)"
        :alt="$gettext('Page %{number} of %{pages}', { number, pages: pages ?? 0 })"
        loading="lazy"
      />
    </div>
  </div>
</template>

<style scoped>
.photos {
  width: auto;
  min-height: 40px;
}

.actions,
.papers {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}

.papers {
  gap: 0;
}

.holds {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 28px;
  align-items: center;
  margin-bottom: 14px;
}

.holds fieldset,
.data {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  align-items: center;
  margin: 0;
  padding: 0;
  border: 0;
}

.holds legend {
  float: left;
}

.holds .label {
  margin: 0;
}

.holds fieldset label {
  display: flex;
  gap: 6px;
  align-items: center;
  min-height: 44px;
}

.data {
  gap: 8px;
}

.papers .button:first-child {
  border-radius: 4px 0 0 4px;
}

.papers .button:last-child {
  border-left: 0;
  border-radius: 0 4px 4px 0;
}

.papers [aria-pressed="true"] {
  background: var(--lake-soft);
  font-weight: 600;
}

.sheets {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(480px, 100%), 1fr));
  gap: 16px;
}

.sheets img {
  width: 100%;
  min-height: 300px;
  border: 1px solid var(--hair);
  background: #fff;
}
</style>
