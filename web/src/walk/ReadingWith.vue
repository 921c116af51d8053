<script setup lang="ts">
import { $gettext } from "../language/language";
import { computed, ref } from "vue";
import { useSession } from "../session/useSession";
import { gradeWord, instrumentWord, words } from "../words/words";
import type { Using } from "./useUsing";
import type { Line, Tool } from "../shown/lines";

/** Grade and instruments of a station, said once for all of its lines. */
const props = defineProps<{ using: Using; lines: Line[]; instruments: Tool[] }>();

const { person } = useSession();
const inspects = computed(() => person.value?.role !== "CREW");
const open = ref(false);
const used = computed(() => props.using);

/** The kinds read here of which the toolcase holds one. */
const kinds = computed(() =>
  [...new Set(props.lines.filter((line) => line.kind === "QUANTITY").map((line) => line.instrumentKind))]
    .map((kind) => ({ kind, fitting: props.instruments.filter((tool) => tool.kind === kind) }))
    .filter(({ fitting }) => fitting.length),
);

function unit(kind: string): string | undefined {
  return props.using.units[props.using.instruments[kind] || kind]?.[0];
}

const said = computed(() => {
  const tools = kinds.value.flatMap(({ kind, fitting }) => {
    const tool = fitting.find((each) => each.id === props.using.instruments[kind]);
    const held = unit(kind);
    return tool || held
      ? [
          held
            ? $gettext("%{instrument} in %{unit}", {
                instrument: tool?.title ?? instrumentWord(kind),
                unit: held,
              })
            : (tool?.title ?? instrumentWord(kind)),
        ]
      : [];
  });
  return [inspects.value ? gradeWord(props.using.grade) : gradeWord("RECORDED"), ...tools].join(", ");
});

function forget(kind: string) {
  used.value.units[used.value.instruments[kind] || kind] = [];
}
</script>

<template>
  <div class="with" @keydown.escape="open = false">
    <button type="button" class="button" :aria-expanded="open" @click="open = !open">
      <span class="quiet">{{ $gettext("Reading with") }}</span> <span class="said">{{ said }}</span>
    </button>
    <div v-if="open" class="sheet">
      <label v-if="inspects">
        <span class="label">{{ $gettext("Grade") }}</span>
        <select v-model="used.grade" class="field">
          <option v-for="grade in words.grades" :key="grade.id" :value="grade.id">{{ grade.title }}</option>
        </select>
      </label>
      <label v-for="{ kind, fitting } in kinds" :key="kind">
        <span class="label">{{ instrumentWord(kind) }}</span>
        <select v-model="used.instruments[kind]" class="field">
          <option :value="undefined">{{ $gettext("any %{kind}", { kind: instrumentWord(kind) }) }}</option>
          <option v-for="tool in fitting" :key="tool.id" :value="tool.id">
            {{
              tool.lapsed
                ? $gettext("%{instrument}, out of calibration", { instrument: tool.title })
                : tool.title
            }}
          </option>
        </select>
        <button v-if="unit(kind)" type="button" class="button" @click="forget(kind)">
          {{ $gettext("Bare numbers in %{unit}: ask again", { unit: unit(kind) ?? "" }) }}
        </button>
      </label>
      <button type="button" class="button done" @click="open = false">{{ $gettext("Done") }}</button>
    </div>
  </div>
</template>

<style scoped>
.with {
  position: relative;
  flex: 0 1 auto;
  min-width: 0;
  max-width: 45%;
}

.with > .button {
  width: 100%;
  justify-content: flex-start;
  padding: 0 10px;
  white-space: nowrap;
}

.said {
  overflow: hidden;
  text-overflow: ellipsis;
}

.sheet {
  display: grid;
  gap: 8px;
  position: absolute;
  z-index: 6;
  top: calc(100% + 4px);
  left: 0;
  width: 300px;
  max-width: calc(100vw - 20px);
  padding: 12px;
  border: 1px solid var(--ink);
  border-radius: 4px;
  background: var(--paper);
}

.sheet label {
  display: grid;
  gap: 3px;
}

.label::first-letter {
  text-transform: uppercase;
}

@media (max-width: 760px) {
  .with {
    max-width: none;
  }
}
</style>
