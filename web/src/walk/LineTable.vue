<script setup lang="ts">
import { computed, nextTick, ref } from "vue";
import type { Schemas } from "../api/client";
import LineRow from "./LineRow.vue";
import { lineKey, type Judgement, type Line } from "./useWalk";

const props = defineProps<{
  lines: Line[];
  instruments: Schemas["InstrumentView"][];
  judgementsOf: (line: Line) => Judgement[];
  understand: (line: Line, typed: string, instrument?: string) => Promise<Schemas["Echo"]>;
  save: (line: Line, reading: Schemas["TypedReading"]) => Promise<void>;
}>();
const emit = defineEmits<{ focused: [line: Line]; history: [line: Line] }>();

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

function go(line: Line | undefined) {
  if (line) {
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
  go(after.find((line) => !line.reading && !line.optional) ?? after.find((line) => !line.reading));
}

function previous() {
  go(props.lines[Math.max(0, index() - 1)]);
}

function goTo(key: string) {
  go(props.lines.find((line) => lineKey(line) === key));
}

defineExpose({ nextOpen, previous, goTo });
</script>

<template>
  <div class="lines">
    <div class="heads" aria-hidden="true">
      <span>Line</span><span>Reading</span><span>Understood</span><span>Grade, instrument</span><span></span>
    </div>
    <section v-for="group in groups" :key="group.title" :aria-label="group.title || 'System'">
      <h3 v-if="group.title">{{ group.title }}</h3>
      <LineRow
        v-for="line in group.lines"
        :key="lineKey(line)"
        :ref="(row) => keep(line, row)"
        :line="line"
        :judgements="judgementsOf(line)"
        :instruments="instruments"
        :understand="understand"
        :save="save"
        @focused="focused(line)"
        @done="nextOpen"
        @history="emit('history', line)"
      />
    </section>
  </div>
</template>

<style scoped>
.heads {
  display: grid;
  grid-template-columns: minmax(120px, 1.15fr) minmax(140px, 1fr) minmax(110px, 0.95fr) 118px 44px;
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

@media (max-width: 760px) {
  .heads {
    display: none;
  }

  h3 {
    top: 0;
  }
}
</style>
