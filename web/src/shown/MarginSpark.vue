<script setup lang="ts">
import type { Schemas } from "../api/client";
import type { Verdict } from "../words/words";
import { COLOURS } from "./colours";

/** The margin bar without its words: they stand beside it. */
defineProps<{ bar: Schemas["BarView"]; verdict: Verdict }>();

const WIDTH = 64;
const AXIS = 10;

function x(position: number): number {
  return 2 + Math.max(0, Math.min(1, position)) * (WIDTH - 4);
}
</script>

<template>
  <svg class="spark" :viewBox="`0 0 ${WIDTH} 16`" aria-hidden="true">
    <rect
      :x="x(bar.permittedFrom)"
      y="3"
      :width="x(bar.permittedTo) - x(bar.permittedFrom)"
      height="10"
      fill="var(--permitted)"
    />
    <line x1="2" :x2="WIDTH - 2" :y1="AXIS" :y2="AXIS" stroke="var(--hair)" />
    <line
      v-for="(tick, index) in bar.ticks.filter((each) => each.binds)"
      :key="index"
      :x1="x(tick.position)"
      :x2="x(tick.position)"
      y1="2"
      y2="14"
      stroke="var(--ink)"
      stroke-width="1.5"
    />
    <line
      :x1="x(bar.whiskerFrom)"
      :x2="x(bar.whiskerTo)"
      :y1="AXIS"
      :y2="AXIS"
      :stroke="COLOURS[verdict]"
      stroke-width="3"
    />
    <line
      :x1="x(bar.needle)"
      :x2="x(bar.needle)"
      y1="4"
      y2="15"
      :stroke="COLOURS[verdict]"
      stroke-width="2"
    />
  </svg>
</template>

<style scoped>
.spark {
  flex: none;
  width: 64px;
  height: 16px;
}
</style>
