<script setup lang="ts">
import { computed, nextTick, ref } from "vue";
import type { Schemas } from "../api/client";
import type { Photo } from "../photos/usePhotos";
import LineRow from "./LineRow.vue";
import { lineKey, type Judgement, type Line, type Tool } from "./useWalk";

const props = defineProps<{
  lines: Line[];
  instruments: Tool[];
  judgementsOf: (line: Line) => Judgement[];
  understand: (line: Line, typed: string, instrument?: string) => Promise<Schemas["Echo"]>;
  save: (line: Line, reading: Schemas["TypedReading"]) => Promise<void>;
  log: (line: Line, file: File) => Promise<string>;
  logAddress: (sha256: string) => string;
  photosOf?: (line: Line) => Photo[];
}>();
const emit = defineEmits<{
  focused: [line: Line];
  history: [line: Line];
  photo: [line: Line, files: File[]];
}>();

/** So many lines that need not be read are shown without asking. */
const FEW = 1;

const rows = new Map<string, InstanceType<typeof LineRow>>();
const at = ref("");

const groups = computed(() => {
  const found: { title: string; lines: Line[] }[] = [];
  for (const line of props.lines) {
    const last = found.at(-1);
    if (last?.title === line.group) {
      last.lines.push(line);
    } else {
      found.push({ title: line.group, lines: [line] });
    }
  }
  return found;
});

/** Units whose optional lines have been asked for. */
const unfolded = ref(new Set<string>());

function spare(line: Line): boolean {
  return line.optional && !line.reading;
}

function folded(group: { title: string; lines: Line[] }): number {
  const count = group.lines.filter(spare).length;
  return count > FEW && !unfolded.value.has(group.title) ? count : 0;
}

function shown(group: { title: string; lines: Line[] }): Line[] {
  return folded(group) ? group.lines.filter((line) => !spare(line)) : group.lines;
}

function unfold(title: string) {
  unfolded.value = new Set([...unfolded.value, title]);
}

function keep(line: Line, row: unknown) {
  if (row) {
    rows.set(lineKey(line), row as InstanceType<typeof LineRow>);
  } else {
    rows.delete(lineKey(line));
  }
}

function focused(line: Line) {
  at.value = lineKey(line);
  emit("focused", line);
}

async function go(line: Line | undefined) {
  if (line) {
    if (spare(line)) {
      unfold(line.group);
      await nextTick();
    }
    rows.get(lineKey(line))?.focus();
  }
}

function index(): number {
  return props.lines.findIndex((line) => lineKey(line) === at.value);
}

/** The next line after this one that is open, wrapping round; the next optional one when all else is read. */
async function nextOpen() {
  await nextTick();
  const from = index();
  const after = [...props.lines.slice(from + 1), ...props.lines.slice(0, from + 1)];
  await go(
    after.find((line) => !line.reading && !line.optional && line.due) ?? after.find((line) => !line.reading),
  );
}

function previous() {
  void go(props.lines[Math.max(0, index() - 1)]);
}

function goTo(key: string) {
  void go(props.lines.find((line) => lineKey(line) === key));
}

defineExpose({ nextOpen, previous, goTo });
</script>

<template>
  <div class="lines">
    <div class="heads" aria-hidden="true">
      <span>Line</span><span>Reading</span><span>What it says</span><span>Grade, instrument</span
      ><span></span>
    </div>
    <section v-for="group in groups" :key="group.title" :aria-label="group.title || 'System'">
      <h3 v-if="group.title">{{ group.title }}</h3>
      <LineRow
        v-for="line in shown(group)"
        :key="lineKey(line)"
        :ref="(row) => keep(line, row)"
        :line="line"
        :judgements="judgementsOf(line)"
        :instruments="instruments"
        :understand="understand"
        :save="save"
        :log="log"
        :log-address="logAddress"
        :photos="photosOf?.(line)"
        @photo="emit('photo', line, $event)"
        @focused="focused(line)"
        @done="nextOpen"
        @history="emit('history', line)"
      />
      <button v-if="folded(group)" type="button" class="unfold" @click="unfold(group.title)">
        {{ folded(group) }} more lines, read only where they apply
      </button>
    </section>
  </div>
</template>

<style scoped>
.heads {
  display: grid;
  grid-template-columns: minmax(110px, 1fr) minmax(146px, 0.95fr) minmax(180px, 1.4fr) 108px 22px;
  gap: 10px;
  position: sticky;
  z-index: 3;
  top: 0;
  padding: 4px 0;
  border-bottom: 1px solid var(--ink);
  background: var(--ground);
  font-size: 12px;
  color: var(--quiet);
}

h3 {
  position: sticky;
  z-index: 2;
  top: 25px;
  padding: 5px 0 3px;
  background: var(--ground);
  font-size: 13px;
}

.unfold {
  width: 100%;
  min-height: 40px;
  padding: 0;
  border: 0;
  border-bottom: 1px solid var(--hair);
  background: none;
  color: var(--lake);
  font: 13px var(--text);
  text-align: left;
  text-decoration: underline;
  cursor: pointer;
}

@media (max-width: 760px) {
  .heads {
    display: none;
  }

  h3 {
    top: 0;
  }
}
</style>
