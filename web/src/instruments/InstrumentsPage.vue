<script setup lang="ts">
import { $gettext } from "../language/language";
import { computed, onMounted, reactive, ref } from "vue";
import { at } from "../api/address";
import { api, ProblemError, type Schemas } from "../api/client";
import { sentence } from "../api/problems";
import { saysAll } from "../frame/saysAll";
import { notice } from "../frame/notice";
import { useSession } from "../session/useSession";
import TokenGiver from "./TokenGiver.vue";

type Instrument = Schemas["InstrumentRecord"];
type Shown = Schemas["InstrumentView"];
type Channel = Schemas["ChannelRecord"];
type ChannelForm = typeof EMPTY;

const EMPTY = {
  name: "",
  dimension: "",
  ofReading: "",
  ofFullScale: "",
  fullScale: "",
  constant: "",
  resolution: "",
  lowest: "",
  highest: "",
};
/** What of a channel is typed, with an example. */
const FIGURES: [Exclude<keyof ChannelForm, "dimension">, string, string][] = [
  ["name", $gettext("Name, where it shows several things"), $gettext("low side")],
  ["ofReading", $gettext("± of the reading"), "1 %"],
  ["ofFullScale", $gettext("± of the full scale"), "0.5 %"],
  ["fullScale", $gettext("Full scale"), "500 psig"],
  ["constant", $gettext("± fixed"), "3 mm"],
  ["resolution", $gettext("Step of its display"), "1 mm"],
  ["lowest", $gettext("Range, lowest"), "0 psig"],
  ["highest", $gettext("Range, highest"), "500 psig"],
];

const { person } = useSession();
const leads = computed(() => person.value?.role === "QUALITY_LEAD");
const all = ref<Shown[]>([]);
const kinds = ref<Schemas["KindView"][]>([]);
const problem = ref("");
const fields = ref<Record<string, string>>({});
const open = ref(false);
const shown = ref<Shown>();
function emptyChannel(): ChannelForm {
  return { ...EMPTY };
}

function channelForm(c: Channel): ChannelForm {
  return {
    name: c.name ?? "",
    dimension: c.dimension ?? "",
    ofReading: c.ofReading ?? "",
    ofFullScale: c.ofFullScale ?? "",
    fullScale: c.fullScale ?? "",
    constant: c.constant ?? "",
    resolution: c.resolution ?? "",
    lowest: c.range?.lowest ?? "",
    highest: c.range?.highest ?? "",
  };
}

function channelOf(c: ChannelForm): Channel {
  return {
    name: given(c.name),
    dimension: given(c.dimension),
    ofReading: given(c.ofReading),
    ofFullScale: given(c.ofFullScale),
    fullScale: given(c.fullScale),
    constant: given(c.constant),
    resolution: given(c.resolution),
    range:
      given(c.lowest) && given(c.highest)
        ? { lowest: c.lowest.trim(), highest: c.highest.trim() }
        : undefined,
  };
}

/** One thing is said of the instrument itself, several as channels. */
function shownBy(channels: ChannelForm[]): Partial<Instrument> {
  const all = channels.map(channelOf);
  const only = all[0];
  if (all.length > 1 || !only) {
    return { channels: all };
  }
  const { name, ...own } = only;
  return name ? { channels: all } : own;
}

const form = reactive({
  id: "",
  title: "",
  kind: "tape",
  channels: [emptyChannel()],
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
      api.get(at("/api/instruments")),
      api.get(at("/api/instruments/kinds")),
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
    channels: i ? (i.channels ?? [i]).map(channelForm) : [emptyChannel()],
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
    ...shownBy(form.channels),
    refrigerants: refrigerants.length ? refrigerants : undefined,
    flammable: form.flammable || undefined,
    mostPressure: given(form.mostPressure),
    calibrations: calibrations.length ? calibrations : undefined,
  };
}

const certificate = ref<HTMLInputElement>();

function certificateAddress(view: Shown): string {
  return at("/api/instruments/{id}/certificate", {
    path: { id: view.id },
    query: { sha256: last(view.instrument)?.file ?? "" },
  });
}

async function save() {
  fields.value = {};
  try {
    const before = shown.value;
    const file = certificate.value?.files?.[0];
    let sha256: string | undefined;
    if (before && file) {
      sha256 = (await api.file(at("/api/instruments/{id}/certificates", { path: { id: before.id } }), file))
        .sha256;
    }
    if (before) {
      await api.put(at("/api/instruments/{id}", { path: { id: before.id } }), {
        instrument: record(sha256),
        version: before.version,
      });
    } else {
      await api.post(at("/api/instruments"), record());
    }
    open.value = false;
    notice.done($gettext("Saved."));
    await load();
  } catch (thrown) {
    fields.value = (thrown instanceof ProblemError && thrown.problem.fields) || {};
    notice.problem(sentence(thrown));
  }
}

const find = ref("");

/** Those that are called so, kind by kind. */
const byKind = computed(() => {
  const kinds = new Map<string, Shown[]>();
  for (const view of all.value) {
    if (saysAll(find.value, view.title, view.kindTitle, view.id)) {
      kinds.set(view.kindTitle, [...(kinds.get(view.kindTitle) ?? []), view]);
    }
  }
  return [...kinds];
});

function ratedFor(i: Instrument) {
  const rated = [...(i.refrigerants ?? []), ...(i.flammable ? [$gettext("flammable")] : []), i.mostPressure];
  return rated.filter(Boolean).join(", ") || "–";
}

function last(i: Instrument) {
  return i.calibrations?.at(-1);
}
</script>

<template>
  <div class="page">
    <div class="page-head">
      <div>
        <h1>{{ $gettext("Instruments") }}</h1>
        <p class="quiet">
          {{ $gettext("Choosing an instrument on a line sets that reading's uncertainty.") }}
        </p>
      </div>
      <button v-if="leads" type="button" class="button primary" @click="edit()">
        {{ $gettext("Add an instrument") }}
      </button>
    </div>
    <p v-if="problem" class="error" role="alert">{{ problem }}</p>
    <input
      v-model="find"
      class="field find"
      :placeholder="$gettext('Find an instrument')"
      :aria-label="$gettext('Find an instrument')"
    />
    <div class="scroll">
      <table class="table">
        <thead>
          <tr>
            <th>{{ $gettext("Instrument") }}</th>
            <th>{{ $gettext("Accuracy ±") }}</th>
            <th>{{ $gettext("Step") }}</th>
            <th>{{ $gettext("Range") }}</th>
            <th>{{ $gettext("Rated for") }}</th>
            <th>{{ $gettext("Calibration valid until") }}</th>
            <th>
              <span class="visually-hidden">{{ $gettext("What can be done") }}</span>
            </th>
          </tr>
        </thead>
        <tbody>
          <template v-for="[kind, views] in byKind" :key="kind">
            <tr class="kind">
              <th colspan="7" scope="rowgroup">{{ kind }}</th>
            </tr>
            <tr v-for="view in views" :key="view.id" :class="{ lapsed: view.lapsed }">
              <td>
                <strong>{{ view.title }}</strong>
              </td>
              <td class="mono">
                <div v-for="channel in view.channels" :key="channel.name" class="shows">
                  <span v-if="channel.name" class="quiet">{{ channel.name }}:&nbsp;</span
                  >{{ channel.accuracy || "–" }}
                </div>
              </td>
              <td class="mono">
                <div v-for="channel in view.channels" :key="channel.name" class="shows">
                  {{ channel.resolution ?? "–" }}
                </div>
              </td>
              <td class="mono">
                <div v-for="channel in view.channels" :key="channel.name" class="shows">
                  {{ channel.range ?? "–" }}
                </div>
              </td>
              <td>{{ ratedFor(view.instrument) }}</td>
              <td>
                <span class="mono">{{ view.until ?? $gettext("none on record") }}</span>{{ " "
                }}<strong v-if="view.lapsed" class="error">{{ $gettext("lapsed") }}</strong
                ><br />
                <a v-if="last(view.instrument)?.file" :href="certificateAddress(view)" download>{{
                  last(view.instrument)?.certificate ?? $gettext("certificate")
                }}</a>
                <span v-else class="quiet">{{ last(view.instrument)?.certificate }}</span>
              </td>
              <td>
                <button v-if="leads" type="button" class="button" @click="edit(view)">
                  {{ $gettext("Change") }}<span class="visually-hidden">: {{ view.title }}</span>
                </button>
              </td>
            </tr>
          </template>
          <tr v-if="all.length && !byKind.length">
            <td colspan="7">{{ $gettext("No instrument is called so.") }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <el-dialog
      v-model="open"
      :title="shown ? shown.title : $gettext('Add an instrument')"
      width="min(720px, 94vw)"
    >
      <form class="form" @submit.prevent="save">
        <label v-if="!shown">
          <span class="label">{{ $gettext("Id, lower-case") }}</span>
          <input v-model="form.id" class="field mono" placeholder="tape-3" />
        </label>
        <label>
          <span class="label">{{ $gettext("Title") }}</span>
          <input v-model="form.title" class="field" />
        </label>
        <label v-if="!shown">
          <span class="label">{{ $gettext("Kind") }}</span>
          <select v-model="form.kind" class="field">
            <option v-for="kind in kinds" :key="kind.key" :value="kind.key">{{ kind.title }}</option>
          </select>
        </label>
        <fieldset v-for="(channel, index) in form.channels" :key="index" class="channel">
          <legend class="label">
            {{
              form.channels.length > 1
                ? $gettext("What it shows (%{number})", { number: index + 1 })
                : $gettext("What it shows")
            }}
          </legend>
          <label v-for="[field, label, example] in FIGURES" :key="field">
            <span class="label">{{ label }}</span>
            <input v-model="channel[field]" class="field mono" :placeholder="example" />
          </label>
          <label>
            <span class="label">{{ $gettext("Quantity, where it is not that of its kind") }}</span>
            <input v-model="channel.dimension" class="field mono" placeholder="temperature-difference" />
          </label>
          <button
            v-if="form.channels.length > 1"
            type="button"
            class="button"
            @click="form.channels.splice(index, 1)"
          >
            {{ $gettext("Remove") }}
          </button>
        </fieldset>
        <button type="button" class="button wide" @click="form.channels.push(emptyChannel())">
          {{ $gettext("It shows another thing") }}
        </button>
        <label>
          <span class="label">{{ $gettext("Refrigerants, by commas") }}</span>
          <input v-model="form.refrigerants" class="field mono" placeholder="R32, R410A" />
        </label>
        <label>
          <span class="label">{{ $gettext("Greatest pressure") }}</span>
          <input v-model="form.mostPressure" class="field mono" :placeholder="$gettext('800 psig')" />
        </label>
        <label class="check"
          ><input v-model="form.flammable" type="checkbox" />
          {{ $gettext("Rated for flammable refrigerant") }}</label
        >
        <h3>{{ shown ? $gettext("New calibration") : $gettext("Calibration") }}</h3>
        <label>
          <span class="label">{{ $gettext("Calibrated on") }}</span>
          <input v-model="form.on" class="field mono" type="date" />
        </label>
        <label>
          <span class="label">{{ $gettext("Holds for, months") }}</span>
          <input v-model.number="form.months" class="field mono" type="number" min="1" max="120" />
        </label>
        <label>
          <span class="label">{{ $gettext("Certificate, number") }}</span>
          <input v-model="form.certificate" class="field mono" />
        </label>
        <label v-if="shown">
          <span class="label">{{ $gettext("Certificate, file (PDF or picture)") }}</span>
          <input ref="certificate" class="field" type="file" accept=".pdf,image/png,image/jpeg" />
        </label>
        <TokenGiver v-if="shown" :key="shown.id" :instrument="shown.id" />
        <p v-for="(words, field) in fields" :key="field" class="error" role="alert">{{ words }}</p>
        <div class="buttons">
          <button type="submit" class="button primary">{{ $gettext("Save") }}</button>
          <button type="button" class="button" @click="open = false">{{ $gettext("Cancel") }}</button>
        </div>
      </form>
    </el-dialog>
  </div>
</template>

<style scoped>
.find {
  max-width: 320px;
  margin-bottom: 10px;
}

.kind th {
  padding-top: 14px;
}

.kind th::first-letter {
  text-transform: uppercase;
}

.scroll {
  overflow: auto;
}

.shows {
  white-space: nowrap;
}

.lapsed td {
  background: var(--brass-soft);
}

.form {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(180px, 1fr));
  gap: 10px 12px;
}

.channel {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(180px, 1fr));
  gap: 10px 12px;
  align-items: end;
  margin: 0;
  padding: 8px 12px 12px;
  border: 1px solid var(--hair);
}

.form h3,
.form p,
.buttons,
.channel,
.wide,
.check {
  grid-column: 1 / -1;
}

.buttons {
  display: flex;
  gap: 8px;
}
</style>
