<script setup lang="ts">
import { computed, onMounted, reactive, ref } from "vue";
import { api, ProblemError, type Schemas } from "../api/client";
import { sentence } from "../api/problems";
import { notice } from "../frame/notice";
import { useSession } from "../session/useSession";

type Instrument = Schemas["InstrumentRecord"];
type Shown = Schemas["InstrumentView"];

const { person } = useSession();
const leads = computed(() => person.value?.role === "QUALITY_LEAD");
const all = ref<Shown[]>([]);
const kinds = ref<Schemas["KindView"][]>([]);
const problem = ref("");
const fields = ref<Record<string, string>>({});
const open = ref(false);
const shown = ref<Shown>();
const form = reactive({
  id: "",
  title: "",
  kind: "tape",
  ofReading: "",
  ofFullScale: "",
  fullScale: "",
  constant: "",
  resolution: "",
  lowest: "",
  highest: "",
  refrigerants: "",
  flammable: false,
  mostPressure: "",
  on: "",
  months: 12,
  certificate: "",
});

async function load() {
  try {
    [all.value, kinds.value] = await Promise.all([
      api.get<Shown[]>("/api/instruments"),
      api.get<Schemas["KindView"][]>("/api/instruments/kinds"),
    ]);
    problem.value = "";
  } catch (thrown) {
    problem.value = sentence(thrown);
  }
}
onMounted(load);

function edit(view?: Shown) {
  const i = view?.instrument;
  shown.value = view;
  fields.value = {};
  Object.assign(form, {
    id: i?.id ?? "",
    title: i?.title ?? "",
    kind: i?.kind ?? "tape",
    ofReading: i?.ofReading ?? "",
    ofFullScale: i?.ofFullScale ?? "",
    fullScale: i?.fullScale ?? "",
    constant: i?.constant ?? "",
    resolution: i?.resolution ?? "",
    lowest: i?.range?.lowest ?? "",
    highest: i?.range?.highest ?? "",
    refrigerants: (i?.refrigerants ?? []).join(", "),
    flammable: i?.flammable ?? false,
    mostPressure: i?.mostPressure ?? "",
    on: "",
    months: 12,
    certificate: "",
  });
  open.value = true;
}

function given(text: string): string | undefined {
  return text.trim() || undefined;
}

function record(file?: string): Instrument {
  const before = shown.value?.instrument;
  const calibrations = [...(before?.calibrations ?? [])];
  if (form.on) {
    calibrations.push({ on: form.on, months: form.months, certificate: given(form.certificate), file });
  }
  const refrigerants = form.refrigerants
    .split(",")
    .map((name) => name.trim())
    .filter(Boolean);
  return {
    id: form.id.trim(),
    title: form.title.trim(),
    kind: form.kind,
    dimension: before?.dimension,
    ofReading: given(form.ofReading),
    ofFullScale: given(form.ofFullScale),
    fullScale: given(form.fullScale),
    constant: given(form.constant),
    resolution: given(form.resolution),
    range:
      given(form.lowest) && given(form.highest)
        ? { lowest: form.lowest.trim(), highest: form.highest.trim() }
        : undefined,
    refrigerants: refrigerants.length ? refrigerants : undefined,
    flammable: form.flammable || undefined,
    mostPressure: given(form.mostPressure),
    calibrations: calibrations.length ? calibrations : undefined,
  };
}

const certificate = ref<HTMLInputElement>();

async function save() {
  fields.value = {};
  try {
    const before = shown.value;
    const file = certificate.value?.files?.[0];
    let sha256: string | undefined;
    if (before && file) {
      sha256 = (
        await api.file<Schemas["KeptCertificate"]>(`/api/instruments/${before.id}/certificates`, file)
      ).sha256;
    }
    if (before) {
      await api.put<Shown>(`/api/instruments/${before.id}`, {
        instrument: record(sha256),
        version: before.version,
      });
    } else {
      await api.post<Shown>("/api/instruments", record());
    }
    open.value = false;
    notice.done("Saved.");
    await load();
  } catch (thrown) {
    fields.value = (thrown instanceof ProblemError && thrown.problem.fields) || {};
    notice.problem(sentence(thrown));
  }
}

/** As its maker states it: "1 % of reading + 0.3 V". */
function accuracy(i: Instrument): string {
  return [
    i.ofReading && `${i.ofReading} of reading`,
    i.ofFullScale && `${i.ofFullScale} of ${i.fullScale}`,
    i.constant,
  ]
    .filter(Boolean)
    .join(" + ");
}

function last(i: Instrument) {
  return i.calibrations?.at(-1);
}
</script>

<template>
  <div class="page">
    <div class="page-head">
      <div>
        <h1>Instruments</h1>
        <p class="quiet">Choosing an instrument on a line sets that reading's uncertainty.</p>
      </div>
      <button v-if="leads" type="button" class="button primary" @click="edit()">Add an instrument</button>
    </div>
    <p v-if="problem" class="error" role="alert">{{ problem }}</p>
    <div class="scroll">
      <table class="table">
        <thead>
          <tr>
            <th>Instrument</th>
            <th>Accuracy ±</th>
            <th>Step</th>
            <th>Range</th>
            <th>Rated for</th>
            <th>Calibration valid until</th>
            <th></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="view in all" :key="view.id" :class="{ lapsed: view.lapsed }">
            <td>
              <strong>{{ view.title }}</strong><br /><span class="quiet">{{ view.kindTitle }}</span>
            </td>
            <td class="mono">{{ accuracy(view.instrument) || "–" }}</td>
            <td class="mono">{{ view.instrument.resolution ?? "–" }}</td>
            <td class="mono">
              {{
                view.instrument.range
                  ? `${view.instrument.range.lowest} … ${view.instrument.range.highest}`
                  : "–"
              }}
            </td>
            <td>
              {{ view.instrument.refrigerants?.join(", ") ?? "–"
              }}<template v-if="view.instrument.flammable">, flammable</template>
              <template v-if="view.instrument.mostPressure">, {{ view.instrument.mostPressure }}</template>
            </td>
            <td>
              <span class="mono">{{ view.until ?? "none on record" }}</span>
              <strong v-if="view.lapsed" class="error"> lapsed</strong><br />
              <a
                v-if="last(view.instrument)?.file"
                :href="`/api/instruments/${view.id}/certificate?sha256=${last(view.instrument)?.file}`"
                download
                >{{ last(view.instrument)?.certificate ?? "certificate" }}</a
              >
              <span v-else class="quiet">{{ last(view.instrument)?.certificate }}</span>
            </td>
            <td>
              <button v-if="leads" type="button" class="button" @click="edit(view)">
                Change<span class="visually-hidden"> {{ view.title }}</span>
              </button>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <el-dialog v-model="open" :title="shown ? shown.title : 'Add an instrument'" width="min(720px, 94vw)">
      <form class="form" @submit.prevent="save">
        <label v-if="!shown">
          <span class="label">Id, lower-case</span>
          <input v-model="form.id" class="field mono" placeholder="tape-3" />
        </label>
        <label>
          <span class="label">Title</span>
          <input v-model="form.title" class="field" />
        </label>
        <label v-if="!shown">
          <span class="label">Kind</span>
          <select v-model="form.kind" class="field">
            <option v-for="kind in kinds" :key="kind.key" :value="kind.key">{{ kind.title }}</option>
          </select>
        </label>
        <label>
          <span class="label">± of the reading</span>
          <input v-model="form.ofReading" class="field mono" placeholder="1 %" />
        </label>
        <label>
          <span class="label">± of the full scale</span>
          <input v-model="form.ofFullScale" class="field mono" placeholder="0.5 %" />
        </label>
        <label>
          <span class="label">Full scale</span>
          <input v-model="form.fullScale" class="field mono" />
        </label>
        <label>
          <span class="label">± fixed</span>
          <input v-model="form.constant" class="field mono" placeholder="3 mm" />
        </label>
        <label>
          <span class="label">Step of its display</span>
          <input v-model="form.resolution" class="field mono" placeholder="1 mm" />
        </label>
        <label>
          <span class="label">Range, lowest</span>
          <input v-model="form.lowest" class="field mono" />
        </label>
        <label>
          <span class="label">Range, highest</span>
          <input v-model="form.highest" class="field mono" />
        </label>
        <label>
          <span class="label">Refrigerants, by commas</span>
          <input v-model="form.refrigerants" class="field mono" placeholder="R32, R410A" />
        </label>
        <label>
          <span class="label">Greatest pressure</span>
          <input v-model="form.mostPressure" class="field mono" placeholder="800 psig" />
        </label>
        <label class="check"
          ><input v-model="form.flammable" type="checkbox" /> Rated for flammable refrigerant</label
        >
        <h3>{{ shown ? "New calibration" : "Calibration" }}</h3>
        <label>
          <span class="label">Calibrated on</span>
          <input v-model="form.on" class="field mono" type="date" />
        </label>
        <label>
          <span class="label">Holds for, months</span>
          <input v-model.number="form.months" class="field mono" type="number" min="1" max="120" />
        </label>
        <label>
          <span class="label">Certificate, number</span>
          <input v-model="form.certificate" class="field mono" />
        </label>
        <label v-if="shown">
          <span class="label">Certificate, file (PDF or picture)</span>
          <input ref="certificate" class="field" type="file" accept=".pdf,image/png,image/jpeg" />
        </label>
        <p v-for="(words, field) in fields" :key="field" class="error" role="alert">{{ words }}</p>
        <div class="buttons">
          <button type="submit" class="button primary">Keep it</button>
          <button type="button" class="button" @click="open = false">Leave it</button>
        </div>
      </form>
    </el-dialog>
  </div>
</template>

<style scoped>
.scroll {
  overflow: auto;
}

.lapsed td {
  background: var(--brass-soft);
}

.form {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(180px, 1fr));
  gap: 10px 12px;
}

.form h3,
.form p,
.buttons,
.check {
  grid-column: 1 / -1;
}

.buttons {
  display: flex;
  gap: 8px;
}
</style>
