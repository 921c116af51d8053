<script setup lang="ts">
import { computed, ref } from "vue";
import { useSession } from "../session/useSession";
import { gradeWord, words } from "../words/words";
import type { Using } from "./useUsing";
import type { Line, Tool } from "../shown/lines";

/** Grade and instruments of a station, said once for all of its lines. */
const props = defineProps<{ using: Using; lines: Line[]; instruments: Tool[] }>();

const { person } = useSession();
const inspects = computed(() => person.value?.role !== "CREW");
const open = ref(false);
const used = computed(() => props.using);

function plain(kind: string): string {
  return kind.replaceAll("-", " ");
}

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
    return tool || held ? [`${tool?.title ?? plain(kind)}${held ? ` in ${held}` : ""}`] : [];
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
      <span class="quiet">Reading with</span> <span class="said">{{ said }}</span>
    </button>
    <div v-if="open" class="sheet">
      <label v-if="inspects">
        <span class="label">Grade</span>
        <select v-model="used.grade" class="field">
          <option v-for="grade in words.grades" :key="grade.id" :value="grade.id">{{ grade.title }}</option>
        </select>
      </label>
      <label v-for="{ kind, fitting } in kinds" :key="kind">
        <span class="label">{{ plain(kind) }}</span>
        <select v-model="used.instruments[kind]" class="field">
          <option :value="undefined">any {{ plain(kind) }}</option>
          <option v-for="tool in fitting" :key="tool.id" :value="tool.id">
            {{ tool.title }}{{ tool.lapsed ? ", out of calibration" : "" }}
          </option>
        </select>
        <button v-if="unit(kind)" type="button" class="button" @click="forget(kind)">
          Bare numbers in {{ unit(kind) }}: ask again
        </button>
      </label>
      <button type="button" class="button done" @click="open = false">Done</button>
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
