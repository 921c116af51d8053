<script setup lang="ts">
import { $gettext } from "../language/language";
import { computed, onMounted, ref, watch } from "vue";
import { useRoute, useRouter } from "vue-router";
import { at } from "../api/address";
import { api, type Schemas } from "../api/client";
import { lastOnly } from "../api/lastOnly";
import { sentence } from "../api/problems";
import { saysAll } from "../frame/saysAll";
import { notice } from "../frame/notice";
import { useUnits } from "../frame/useUnits";
import { useSession } from "../session/useSession";
import DrawingFigure from "../shown/figures/DrawingFigure.vue";
import TrialResult from "../trial/TrialResult.vue";
import { useTrial } from "../trial/useTrial";
import RefrigerantTable from "./RefrigerantTable.vue";

const JSON_FILE = "application/json";

const route = useRoute();
const router = useRouter();
const { person } = useSession();
const { units } = useUnits();
const leads = computed(() => person.value?.role === "QUALITY_LEAD");

const { trial, begin, stop, leave } = useTrial((thrown) => (problem.value = sentence(thrown)));

const all = ref<Schemas["SheetLine"][]>([]);
const sheet = ref<Schemas["SheetView"]>();
const from = ref<number>();
const differences = ref<Schemas["Difference"][]>();
const problem = ref("");
/** A file that has been read but not brought in. */
const waiting = ref<{ text: string; preview: Schemas["SheetPreview"] }>();

async function load() {
  try {
    all.value = await api.get(at("/api/data-sheets"));
    const model = (route.query.model as string | undefined) ?? all.value[0]?.model;
    if (model) {
      await show(model);
    }
  } catch (thrown) {
    problem.value = sentence(thrown);
  }
}

const last = lastOnly();
const lastCompared = lastOnly();

async function show(model: string, version?: number) {
  differences.value = undefined;
  from.value = undefined;
  try {
    sheet.value = await last(
      api.get(at("/api/data-sheets/sheet", { query: { model, version, units: units() } })),
    );
    problem.value = "";
  } catch (thrown) {
    problem.value = sentence(thrown);
  }
}

function choose(model: string) {
  void router.replace({ query: { model } });
  void show(model);
}

watch(from, async (version) => {
  const shown = sheet.value;
  if (!version || !shown) {
    differences.value = undefined;
    return;
  }
  try {
    differences.value = await lastCompared(
      api.get(
        at("/api/data-sheets/differences", {
          query: { model: shown.model, from: version, to: shown.version },
        }),
      ),
    );
  } catch (thrown) {
    problem.value = sentence(thrown);
  }
});

async function read(event: Event) {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0];
  input.value = "";
  if (!file) {
    return;
  }
  const text = await file.text();
  try {
    const preview = await api.file(at("/api/data-sheets/preview"), new Blob([text]), JSON_FILE);
    waiting.value = { text, preview };
    problem.value = "";
    if (person.value?.role !== "CREW") {
      await begin(api.file(at("/api/data-sheets/trials"), new Blob([text]), JSON_FILE));
    }
  } catch (thrown) {
    problem.value = sentence(thrown);
  }
}

async function cancel() {
  waiting.value = undefined;
  await leave();
}

async function bring() {
  const held = waiting.value;
  if (!held) {
    return;
  }
  try {
    const brought = await api.file(at("/api/data-sheets"), new Blob([held.text]), JSON_FILE);
    notice.done(
      brought.models.length
        ? $gettext("Saved: %{models}.", { models: brought.models.join(", ") })
        : $gettext("Nothing in it was new."),
    );
    await cancel();
    await load();
    const first = brought.models[0];
    if (first) {
      choose(first);
    }
  } catch (thrown) {
    problem.value = sentence(thrown);
  }
}

function file(model: string, version: number) {
  return at("/api/data-sheets/file.json", { query: { model, version } });
}

/** A field of a table: torques[2].torque. */
const NUMBERED = /^(\w+)\[(\d+)\]/;

/** What comes row by row, a row for each number. */
function rowsOf(section: Schemas["SectionView"]): Schemas["FieldView"][][] {
  const rows = new Map<string, Schemas["FieldView"][]>();
  for (const field of section.fields) {
    const row = NUMBERED.exec(field.key)?.[0];
    if (row) {
      rows.set(row, [...(rows.get(row) ?? []), field]);
    }
  }
  return [...rows.values()];
}

const find = ref("");
const found = computed(() =>
  all.value.filter((line) => saysAll(find.value, line.maker, line.model, line.document, line.refrigerant)),
);

onMounted(load);
</script>

<template>
  <div class="page">
    <div class="page-head">
      <div>
        <h1>{{ $gettext("Data sheets") }}</h1>
        <p class="quiet">
          {{ $gettext("What makers say of each model. The newest version of a sheet is judged by.") }}
        </p>
      </div>
      <div class="tools">
        <label class="button">
          {{ $gettext("Read a file") }}
          <input class="visually-hidden" type="file" accept=".json,application/json" @change="read" />
        </label>
        <a class="button" :href="at('/api/data-sheets/file.json')" download>{{
          $gettext("All as a file")
        }}</a>
      </div>
    </div>
    <p v-if="problem" class="error" role="alert">{{ problem }}</p>

    <section v-if="waiting" class="waiting" :aria-label="$gettext('What this file would change')">
      <h2>{{ $gettext("What this file would change") }}</h2>
      <div v-for="change in waiting.preview.sheets" :key="change.model">
        <h3>{{ change.known ? change.model : $gettext("%{model}, new", { model: change.model }) }}</h3>
        <p v-if="change.known && !change.differences.length" class="quiet">
          {{ $gettext("Nothing: it is saved as it is.") }}
        </p>
        <table v-else-if="change.known" class="table">
          <tbody>
            <tr v-for="d in change.differences" :key="d.key">
              <td>{{ d.title }}</td>
              <td class="mono">{{ d.before ?? "–" }}</td>
              <td class="mono">→ {{ d.after ?? "–" }}</td>
            </tr>
          </tbody>
        </table>
      </div>
      <TrialResult v-if="trial" :trial="trial" @cancel="stop" />
      <div class="tools">
        <button type="button" class="button primary" :disabled="!leads" @click="bring">
          {{ $gettext("Import") }}
        </button>
        <button type="button" class="button" @click="cancel">{{ $gettext("Cancel") }}</button>
        <span v-if="!leads" class="quiet">{{ $gettext("The library is kept by the quality lead.") }}</span>
      </div>
    </section>

    <div class="library">
      <div>
        <input
          v-model="find"
          class="field"
          :placeholder="$gettext('Find a model')"
          :aria-label="$gettext('Find a model')"
        />
        <p v-if="all.length && !found.length" class="quiet">{{ $gettext("No sheet is called so.") }}</p>
        <ul :aria-label="$gettext('Models')">
          <li v-for="line in found" :key="line.model">
            <button type="button" :aria-pressed="line.model === sheet?.model" @click="choose(line.model)">
              <strong>{{ line.model }}</strong>
              <span class="quiet">{{ line.maker }} · {{ line.refrigerant }}</span>
              <span class="quiet">{{
                $gettext("%{installations} in use", { installations: line.installations })
              }}</span>
            </button>
          </li>
        </ul>
      </div>
      <section v-if="sheet">
        <div class="page-head">
          <div>
            <h2>{{ sheet.maker }} {{ sheet.model }}</h2>
            <p class="quiet">
              {{
                $gettext("%{document}, version %{version}", {
                  document: sheet.document,
                  version: sheet.version,
                })
              }}
            </p>
          </div>
          <div class="tools">
            <label v-if="sheet.versions.length > 1">
              <span class="visually-hidden">{{ $gettext("Version shown") }}</span>
              <select
                class="field"
                :value="sheet.version"
                @change="show(sheet.model, Number(($event.target as HTMLSelectElement).value))"
              >
                <option v-for="v in sheet.versions" :key="v.version" :value="v.version">
                  {{
                    $gettext("Version %{version}, %{document}", { version: v.version, document: v.document })
                  }}
                </option>
              </select>
            </label>
            <label v-if="sheet.versions.length > 1">
              <span class="visually-hidden">{{ $gettext("Compare with") }}</span>
              <select v-model="from" class="field">
                <option :value="undefined">{{ $gettext("Compare with…") }}</option>
                <option
                  v-for="v in sheet.versions.filter((each) => each.version !== sheet?.version)"
                  :key="v.version"
                  :value="v.version"
                >
                  {{ $gettext("version %{version}", { version: v.version }) }}
                </option>
              </select>
            </label>
            <a class="button" :href="file(sheet.model, sheet.version)" download>{{
              $gettext("As a file")
            }}</a>
          </div>
        </div>
        <table v-if="differences" class="table">
          <caption class="quiet">
            {{
              $gettext("Version %{from} → version %{version}", { from: from ?? "", version: sheet.version })
            }}
          </caption>
          <tbody>
            <tr v-for="d in differences" :key="d.key">
              <td>{{ d.title }}</td>
              <td class="mono">{{ d.before ?? "–" }}</td>
              <td class="mono">→ {{ d.after ?? "–" }}</td>
            </tr>
            <tr v-if="!differences.length">
              <td>{{ $gettext("They do not differ.") }}</td>
            </tr>
          </tbody>
        </table>
        <template v-else>
          <section v-for="section in sheet.sections" :key="section.part" class="section">
            <h3>{{ section.title }}</h3>
            <DrawingFigure
              v-if="section.part === 'CLEARANCES' && sheet.figure"
              class="figure"
              :drawing="sheet.figure"
              :lit="[]"
            />
            <table v-if="rowsOf(section).length" class="table">
              <tbody>
                <tr v-for="(row, index) in rowsOf(section)" :key="index" class="mono">
                  <td v-for="cell in row" :key="cell.key">
                    <span class="quiet">{{ cell.title.split(/[ ,]+/).at(-1) }}</span> {{ cell.value }}
                  </td>
                </tr>
              </tbody>
            </table>
            <dl class="fields">
              <div v-for="f in section.fields.filter((each) => !NUMBERED.test(each.key))" :key="f.key">
                <dt>{{ f.title }}</dt>
                <dd class="mono">{{ f.value }}</dd>
              </div>
            </dl>
          </section>
          <section v-for="pair in sheet.pairs" :key="pair.indoorModel" class="pair">
            <h3>{{ $gettext("Listed with %{indoorModel}", { indoorModel: pair.indoorModel }) }}</h3>
            <p class="mono">
              {{
                [
                  pair.cooling && $gettext("cooling %{cooling}", { cooling: pair.cooling }),
                  pair.heating && $gettext("heating %{heating}", { heating: pair.heating }),
                  pair.airflow,
                  pair.sensibleRatio &&
                    $gettext("sensible %{sensibleRatio}", { sensibleRatio: pair.sensibleRatio }),
                  pair.meteringSize &&
                    $gettext("orifice %{meteringSize}", { meteringSize: pair.meteringSize }),
                ]
                  .filter(Boolean)
                  .join(" · ")
              }}
            </p>
            <table v-if="pair.capacities?.length" class="table">
              <thead>
                <tr>
                  <th>
                    <span class="visually-hidden">{{ $gettext("What can be done") }}</span>
                  </th>
                  <th>{{ $gettext("Outdoors") }}</th>
                  <th>{{ $gettext("Indoors") }}</th>
                  <th>{{ $gettext("Total") }}</th>
                  <th>{{ $gettext("Sensible") }}</th>
                  <th>{{ $gettext("Power taken") }}</th>
                </tr>
              </thead>
              <tbody>
                <tr v-for="(c, index) in pair.capacities" :key="index" class="mono">
                  <td>{{ c.mode }}</td>
                  <td>{{ c.outdoor }}</td>
                  <td>{{ c.indoor }}</td>
                  <td>{{ c.total }}</td>
                  <td>{{ c.sensible ?? "–" }}</td>
                  <td>{{ c.input ?? "–" }}</td>
                </tr>
              </tbody>
            </table>
          </section>
        </template>
      </section>
    </div>
    <RefrigerantTable :leads="leads" />
  </div>
</template>

<style scoped>
.tools {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
}

.waiting {
  display: grid;
  gap: 8px;
  margin-bottom: 18px;
  padding: 12px 14px;
  border: 1px solid var(--lake);
  border-radius: 4px;
  background: var(--paper);
  overflow: auto;
}

.library {
  display: grid;
  grid-template-columns: 230px minmax(0, 1fr);
  gap: 24px;
}

ul {
  display: grid;
  align-content: start;
  gap: 2px;
  margin: 0;
  padding: 0;
  list-style: none;
}

li button {
  display: grid;
  width: 100%;
  padding: 6px 8px;
  border: 0;
  border-radius: 4px;
  background: none;
  color: var(--ink);
  font: inherit;
  text-align: left;
  cursor: pointer;
}

li button[aria-pressed="true"] {
  background: var(--lake-soft);
}

li .quiet {
  font-size: 12px;
}

.section {
  margin-bottom: 18px;
}

.section h3 {
  margin-bottom: 4px;
  padding-bottom: 2px;
  border-bottom: 1px solid var(--ink);
}

.figure {
  display: block;
  width: 380px;
  max-width: 100%;
}

.fields {
  columns: 2 320px;
  margin: 0;
  column-gap: 28px;
}

.fields div {
  display: flex;
  gap: 12px;
  justify-content: space-between;
  padding: 4px 0;
  border-bottom: 1px solid var(--hair);
  break-inside: avoid;
}

.fields dd {
  margin: 0;
  text-align: right;
}

.pair {
  margin-top: 16px;
}

caption {
  text-align: left;
}

@media (max-width: 760px) {
  .library {
    grid-template-columns: 1fr;
  }

  ul {
    grid-template-columns: repeat(auto-fill, minmax(140px, 1fr));
  }
}
</style>
