<script setup lang="ts">
import { $gettext } from "../language/language";
import { computed } from "vue";
import type { Schemas } from "../api/client";
import { verdictWord, type Verdict } from "../words/words";
import { COLOURS } from "./colours";

const props = defineProps<{ bar: Schemas["BarView"]; verdict: Verdict }>();

const WIDTH = 320;
const EDGE = 8;
const ROW = 13;

const axis = computed(() => Math.max(...props.bar.ticks.map((tick) => tick.row), 0) * ROW + 26);
const colour = computed(() => COLOURS[props.verdict]);

function x(position: number): number {
  return EDGE + Math.max(0, Math.min(1, position)) * (WIDTH - 2 * EDGE);
}

/** Half of what a letter of a label takes. */
const HALF_LETTER = 3.8;

/** In the middle of its place, unless it would run over an edge. */
function anchor(position: number, text: string): "start" | "middle" | "end" {
  const half = Math.max(text.length * HALF_LETTER, 0.2 * (WIDTH - 2 * EDGE));
  return x(position) < half ? "start" : x(position) > WIDTH - half ? "end" : "middle";
}

const spoken = computed(() =>
  $gettext("%{verdict}: %{reading}; limits: %{limits}", {
    verdict: verdictWord(props.verdict),
    reading: props.bar.reading,
    limits: props.bar.ticks.map((t) => t.label).join(", "),
  }),
);
</script>

<template>
  <svg class="bar" :viewBox="`0 0 ${WIDTH} ${axis + 22}`" role="img" :aria-label="spoken">
    <rect
      :x="x(bar.permittedFrom)"
      :y="axis - 9"
      :width="x(bar.permittedTo) - x(bar.permittedFrom)"
      height="9"
      fill="var(--permitted)"
    />
    <line :x1="EDGE" :x2="WIDTH - EDGE" :y1="axis" :y2="axis" stroke="var(--ink)" />
    <line
      v-for="(tick, index) in bar.ticks"
      :key="`tick${index}`"
      :x1="x(tick.position)"
      :x2="x(tick.position)"
      :y1="axis - 11 - tick.row * ROW"
      :y2="axis + 3"
      :stroke="tick.defers ? 'var(--quiet)' : 'var(--ink)'"
      :stroke-width="tick.binds ? 2 : 1"
      :stroke-dasharray="tick.defers ? '2 2' : undefined"
    />
    <text
      v-for="(tick, index) in bar.ticks"
      :key="`label${index}`"
      class="label"
      :x="x(tick.position)"
      :y="axis - 14 - tick.row * ROW"
      :text-anchor="anchor(tick.position, tick.label)"
      :font-weight="tick.binds ? 600 : 400"
      :fill="tick.defers ? 'var(--quiet)' : 'var(--ink)'"
    >
      {{ tick.label }}
    </text>
    <line
      :x1="x(bar.whiskerFrom)"
      :x2="x(bar.whiskerTo)"
      :y1="axis"
      :y2="axis"
      :stroke="colour"
      stroke-width="4"
      stroke-linecap="round"
    />
    <line
      :x1="x(bar.needle)"
      :x2="x(bar.needle)"
      :y1="axis - 10"
      :y2="axis + 6"
      :stroke="colour"
      stroke-width="2.5"
    />
    <circle :cx="x(bar.needle)" :cy="axis" r="3.5" :fill="colour" />
    <text
      :x="x(bar.needle)"
      :y="axis + 18"
      :text-anchor="anchor(bar.needle, bar.reading)"
      :fill="colour"
      font-weight="600"
    >
      {{ bar.reading }}
    </text>
  </svg>
</template>

<style scoped>
.bar {
  display: block;
  width: 100%;
  max-width: 400px;
}

text {
  font-family: var(--mono);
  font-size: 11.5px;
}

/* a higher row's tick passes behind a lower row's words */
.label {
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 3px;
}
</style>
