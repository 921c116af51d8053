<script setup lang="ts">
import { computed, ref } from "vue";
import type { Schemas } from "../../api/client";
import { COLOURS, WORDS } from "../verdicts";
import UnitTabs from "./UnitTabs.vue";

const props = defineProps<{ coils: Schemas["CoilView"][] }>();
const at = ref("");
const coil = computed(() => props.coils.find((c) => c.component === at.value) ?? props.coils[0]);

const WIDTH = 640;
const HEIGHT = 215;
const LEFT = 34;
const RIGHT = 66;
const TOP = 14;
const BOTTOM = 28;
const MOST_GRAMS = 24;

const warmest = computed(() => Math.max(...(coil.value?.saturation.map((s) => s.celsius) ?? [40])));
const coldest = computed(() => Math.min(...(coil.value?.saturation.map((s) => s.celsius) ?? [0])));

function x(celsius: number): number {
  return LEFT + ((celsius - coldest.value) / (warmest.value - coldest.value)) * (WIDTH - LEFT - RIGHT);
}

function y(grams: number): number {
  return HEIGHT - BOTTOM - (Math.min(MOST_GRAMS, grams) / MOST_GRAMS) * (HEIGHT - TOP - BOTTOM);
}

const line = computed(() =>
  (coil.value?.saturation ?? [])
    .filter((s) => s.gramsPerKilogram <= MOST_GRAMS)
    .map((s) => `${x(s.celsius)},${y(s.gramsPerKilogram)}`)
    .join(" "),
);
const floor = HEIGHT - BOTTOM;
const spoken = computed(() => {
  const c = coil.value;
  return c
    ? `Return ${c.returning?.text ?? "not read"}, supply ${c.supply?.text ?? "not read"}, expected ${c.expectedFrom?.text ?? "not known"} to ${c.expectedTo?.text ?? "not known"}: ${WORDS[c.verdict]}`
    : "";
});
</script>

<template>
  <div class="psychrometric">
    <UnitTabs v-model="at" :units="coils" label="Unit drawn" />
    <svg
      v-if="coil"
      :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
      role="img"
      :aria-label="`Psychrometric sketch. ${spoken}`"
    >
      <line :x1="LEFT" :x2="WIDTH - RIGHT" :y1="floor" :y2="floor" stroke="var(--ink)" />
      <g v-for="tick in coil.ticks" :key="tick.celsius" class="axis">
        <line :x1="x(tick.celsius)" :x2="x(tick.celsius)" :y1="floor" :y2="floor + 4" stroke="var(--ink)" />
        <text :x="x(tick.celsius)" :y="floor + 17" text-anchor="middle">{{ tick.text }}</text>
      </g>
      <g v-for="grams in [0, 5, 10, 15, 20]" :key="grams" class="axis">
        <line :x1="LEFT" :x2="WIDTH - RIGHT" :y1="y(grams)" :y2="y(grams)" stroke="var(--hair)" />
        <text :x="WIDTH - RIGHT + 5" :y="y(grams) + 4">{{ grams }}{{ grams === 20 ? " g/kg" : "" }}</text>
      </g>
      <polyline :points="line" fill="none" stroke="var(--ink)" stroke-width="1.5" />
      <text :x="x(27.5)" :y="y(21.5)" class="axis">saturation</text>

      <g v-if="coil.expectedFrom && coil.expectedTo">
        <rect
          :x="x(coil.expectedFrom.celsius)"
          :width="x(coil.expectedTo.celsius) - x(coil.expectedFrom.celsius)"
          :y="TOP"
          :height="floor - TOP"
          fill="var(--permitted)"
        />
        <text :x="x(coil.expectedTo.celsius) + 6" :y="y(2)" fill="var(--ink)" class="halo">
          expected {{ coil.expectedFrom.text }} to {{ coil.expectedTo.text }}
        </text>
      </g>
      <g v-if="coil.supply">
        <line
          :x1="x(coil.supply.celsius)"
          :x2="x(coil.supply.celsius)"
          :y1="TOP"
          :y2="floor"
          :stroke="COLOURS[coil.verdict]"
          stroke-width="2.5"
        />
        <text
          :x="x(coil.supply.celsius) - 5"
          :y="TOP + 14"
          text-anchor="end"
          :fill="COLOURS[coil.verdict]"
          class="strong halo"
        >
          supply {{ coil.supply.text }}
        </text>
      </g>
      <g v-if="coil.returning">
        <circle
          :cx="x(coil.returning.celsius)"
          :cy="y(coil.returning.gramsPerKilogram)"
          r="5"
          fill="var(--lake)"
        />
        <text
          :x="x(coil.returning.celsius) + 9"
          :y="y(coil.returning.gramsPerKilogram) + 4"
          fill="var(--lake)"
          class="strong halo"
        >
          return {{ coil.returning.text }}
        </text>
      </g>
      <text v-if="!coil.returning" :x="x(27)" :y="y(9)" class="axis">return air: both bulbs to be read</text>
    </svg>
  </div>
</template>

<style scoped>
.psychrometric {
  display: flex;
  flex-direction: column;
  height: 100%;
}

svg {
  flex: 1;
  min-height: 0;
  width: 100%;
}

text {
  font: 12px var(--mono);
}

.axis text,
text.axis {
  fill: var(--quiet);
}

.strong {
  font-weight: 700;
}

.halo {
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 4px;
  stroke-linejoin: round;
}
</style>
