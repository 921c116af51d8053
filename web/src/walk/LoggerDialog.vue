<script setup lang="ts">
import { computed, ref } from "vue";
import type { Schemas } from "../api/client";
import { useLog, type Taking } from "./useLog";
import type { Line } from "../shown/lines";

/** A logger's own file as it is understood: put right where it was guessed wrong, then taken in. */
const props = defineProps<{ installation: string }>();

const { file, look, writing, takes, problem, sent, begin, again, take, cancel } = useLog(
  () => props.installation,
);
const open = ref(false);
let answer: (taken: Schemas["Taken"][] | undefined) => void = () => {};

/** Takes a file in once the person agrees with how it is read; nothing where they do not. */
async function bring(line: Line, chosen: File): Promise<Schemas["Taken"][] | undefined | "plain"> {
  const seen = await begin(line, chosen);
  if (seen.plain) {
    return "plain";
  }
  open.value = true;
  return new Promise((done) => (answer = done));
}

async function accept() {
  const taken = await take();
  if (taken) {
    answer(taken);
    open.value = false;
  }
}

function closed() {
  cancel();
  answer(undefined);
}

const values = computed(() =>
  (look.value?.titles ?? []).map((_, column) => {
    const timed =
      column === writing.value?.time || (writing.value?.parted && column === writing.value.time + 1);
    return { column, timed, taker: look.value?.takers.find((t) => takes.value[t.point]?.column === column) };
  }),
);

/** A line takes one column, a column goes to one line. */
function give(column: number, point: string) {
  const others = Object.entries(takes.value).map(([each, taking]): [string, Taking] =>
    each === point || taking.column === column ? [each, { unit: taking.unit }] : [each, taking],
  );
  takes.value = Object.fromEntries(others);
  const taken = takes.value[point];
  if (taken) {
    taken.column = column;
  }
}

const first = computed(() => {
  const at = look.value?.first;
  return at
    ? new Date(at).toLocaleString("en-GB", {
        dateStyle: "full",
        timeStyle: "medium",
        timeZone: writing.value?.zone,
      })
    : undefined;
});
const elapsed = computed(() => writing.value?.clock === "SECONDS" || writing.value?.clock === "MINUTES");
const zones = Intl.supportedValuesOf("timeZone");

/** The start as this device's clock shows it. */
const start = computed({
  get: () => {
    const at = writing.value?.start ? new Date(writing.value.start) : undefined;
    return at ? new Date(at.getTime() - at.getTimezoneOffset() * 60_000).toISOString().slice(0, 19) : "";
  },
  set: (local) => {
    if (writing.value && local) {
      writing.value.start = new Date(local).toISOString();
    }
  },
});

defineExpose({ bring });
</script>

<template>
  <el-dialog
    v-model="open"
    :title="$gettext(`Logger's file`)"
    width="min(820px, 96vw)"
    top="5vh"
    @closed="closed"
  >
    <template v-if="look && writing">
      <p class="first">
        <strong v-if="first">{{ $gettext("First sample: %{first}.", { first }) }}</strong>
        <strong v-else>{{ $gettext("Its first time cannot be read so.") }}</strong>
        <span class="quiet">{{
          $gettext("Is that when %{name} begins, and is each column what it says?", {
            name: file?.name ?? "",
          })
        }}</span>
      </p>
      <div class="sheet">
        <table class="table" :aria-label="$gettext('First rows')">
          <thead>
            <tr>
              <th v-for="value in values" :key="value.column">
                <span v-if="value.timed" class="quiet">{{ $gettext("time") }}</span>
                <template v-else>
                  <select
                    class="field"
                    :aria-label="$gettext('Line for column %{column}', { column: value.column + 1 })"
                    :value="value.taker?.point ?? ''"
                    @change="give(value.column, ($event.target as HTMLSelectElement).value)"
                  >
                    <option value="">{{ $gettext("not taken") }}</option>
                    <option v-for="taker in look.takers" :key="taker.point" :value="taker.point">
                      {{ taker.title }}
                    </option>
                  </select>
                  <select
                    v-if="value.taker"
                    v-model="takes[value.taker.point]!.unit"
                    class="field"
                    :aria-label="$gettext('Unit of column %{column}', { column: value.column + 1 })"
                  >
                    <option :value="undefined" disabled>{{ $gettext("unit?") }}</option>
                    <option v-for="unit in value.taker.units" :key="unit">{{ unit }}</option>
                  </select>
                </template>
              </th>
            </tr>
            <tr>
              <th v-for="(title, column) in look.titles" :key="column" class="quiet">{{ title }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(row, index) in look.rows" :key="index">
              <td v-for="(cell, column) in row" :key="column" class="mono">{{ cell }}</td>
            </tr>
          </tbody>
        </table>
      </div>
      <p v-if="problem" class="error" role="alert">{{ problem }}</p>
      <div class="end">
        <template v-if="sent !== undefined">
          <progress :value="sent < 1 ? sent : undefined" :aria-label="$gettext('Sent')"></progress>
          <span class="quiet">{{
            sent < 1 ? $gettext("%{sent} % sent", { sent: Math.round(sent * 100) }) : $gettext("Being read")
          }}</span>
          <button type="button" class="button" @click="cancel">{{ $gettext("Cancel") }}</button>
        </template>
        <template v-else>
          <button type="button" class="button primary" @click="accept">{{ $gettext("Take it in") }}</button>
          <button type="button" class="button" @click="open = false">{{ $gettext("Leave it") }}</button>
        </template>
      </div>
      <fieldset class="writing" @change="again">
        <legend class="label">{{ $gettext("How it is written") }}</legend>
        <label>
          <span class="label">{{ $gettext("Columns parted by") }}</span>
          <select v-model="writing.delimiter" class="field">
            <option value=",">{{ $gettext("comma") }}</option>
            <option value=";">{{ $gettext("semicolon") }}</option>
            <option :value="'\t'">{{ $gettext("tab") }}</option>
            <option value="|">{{ $gettext("upright stroke") }}</option>
          </select>
        </label>
        <label>
          <span class="label">{{ $gettext("Decimals after") }}</span>
          <select v-model="writing.decimalComma" class="field">
            <option :value="false">{{ $gettext("a point") }}</option>
            <option :value="true">{{ $gettext("a comma") }}</option>
          </select>
        </label>
        <label>
          <span class="label">{{ $gettext("Rows of heading") }}</span>
          <input v-model.number="writing.headings" class="field mono" type="number" min="0" max="200" />
        </label>
        <label>
          <span class="label">{{ $gettext("Times") }}</span>
          <select v-model="writing.clock" class="field">
            <option value="YEAR_FIRST">{{ $gettext("year first") }}</option>
            <option value="DAY_FIRST">{{ $gettext("day first") }}</option>
            <option value="MONTH_FIRST">{{ $gettext("month first") }}</option>
            <option value="SECONDS">{{ $gettext("seconds from its start") }}</option>
            <option value="MINUTES">{{ $gettext("minutes from its start") }}</option>
          </select>
        </label>
        <label>
          <span class="label">{{ $gettext("Time in column") }}</span>
          <select v-model="writing.time" class="field">
            <option v-for="(title, column) in look.titles" :key="column" :value="column">
              {{ column + 1 }}{{ title ? `, ${title}` : "" }}
            </option>
          </select>
        </label>
        <label v-if="elapsed">
          <span class="label">{{ $gettext("Started, by this device's clock") }}</span>
          <input v-model="start" class="field mono" type="datetime-local" step="1" />
        </label>
        <label v-else>
          <span class="label">{{ $gettext("Time zone of its clock") }}</span>
          <input v-model="writing.zone" class="field" list="time-zones" autocomplete="off" />
          <datalist id="time-zones">
            <option v-for="zone in zones" :key="zone" :value="zone" />
          </datalist>
        </label>
      </fieldset>
    </template>
  </el-dialog>
</template>

<style scoped>
.first {
  margin: 0 0 10px;
}

.sheet {
  overflow-x: auto;
}

.sheet th,
.sheet td {
  white-space: nowrap;
}

.sheet select {
  min-width: 120px;
  max-width: 210px;
  margin-right: 4px;
}

.writing {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(200px, 1fr));
  gap: 8px 12px;
  margin: 14px 0 0;
  padding: 0;
  border: 0;
}

.end {
  display: flex;
  gap: 10px;
  align-items: center;
  margin-top: 14px;
}

progress {
  flex: 1;
}
</style>
