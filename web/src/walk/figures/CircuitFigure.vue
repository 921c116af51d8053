<script setup lang="ts">
import { computed, ref } from "vue";
import type { Schemas } from "../../api/client";
import { COLOURS, WORDS } from "../verdicts";
import UnitTabs from "./UnitTabs.vue";

const props = defineProps<{ circuits: Schemas["CircuitView"][] }>();
const at = ref("");
const circuit = computed(() => props.circuits.find((c) => c.component === at.value) ?? props.circuits[0]);

const PLACES = [
  { key: "panel", x: 68, top: 150 },
  { key: "device", x: 180, top: 128 },
  { key: "conductor", x: 312, top: 13 },
  { key: "disconnect", x: 448, top: 128 },
  { key: "unit", x: 610, top: 140 },
] as const;

const places = computed(() =>
  circuit.value ? PLACES.map((place) => ({ ...place, ...circuit.value![place.key] })) : [],
);
const spoken = computed(() =>
  places.value.map((p) => `${p.key}: ${p.title}, ${p.notes.join(", ")}: ${WORDS[p.verdict]}`).join("; "),
);

function colour(verdict: Schemas["PlaceView"]["verdict"]): string {
  return verdict === "DOES_NOT_APPLY" ? "var(--ink)" : COLOURS[verdict];
}
</script>

<template>
  <div class="circuit">
    <UnitTabs v-model="at" :units="circuits" label="Circuit drawn" />
    <svg v-if="circuit" viewBox="0 0 700 190" role="img" :aria-label="`One-line diagram. ${spoken}`">
      <g fill="none" stroke="var(--ink)" stroke-width="1.6">
        <rect x="38" y="22" width="60" height="110" />
        <path d="M68 32v90M68 60h85M68 86h85M207 60h205M207 86h205M484 60h66M484 86h66" />
        <rect x="550" y="30" width="120" height="90" rx="3" fill="var(--paper)" />
        <circle cx="610" cy="75" r="26" />
        <path d="M610 49v52M584 75h52" />
      </g>
      <g fill="var(--paper)" :stroke="colour(circuit.device.verdict)" stroke-width="2">
        <rect x="153" y="40" width="54" height="66" />
        <path d="M153 60h10l30-12M153 86h10l30-12M193 60h14M193 86h14" fill="none" />
      </g>
      <g fill="var(--paper)" :stroke="colour(circuit.disconnect.verdict)" stroke-width="2">
        <rect x="412" y="40" width="72" height="66" />
        <path d="M412 60h14l26-14M412 86h14l26-14M458 60h26M458 86h26" fill="none" />
      </g>
      <g :stroke="colour(circuit.conductor.verdict)" stroke-width="3" fill="none">
        <path d="M222 60h180M222 86h180" />
      </g>
      <g v-for="place in places" :key="place.key" text-anchor="middle">
        <text
          :x="place.x"
          :y="place.top"
          class="title"
          :fill="place.key === 'panel' || place.key === 'unit' ? 'var(--ink)' : colour(place.verdict)"
        >
          {{ place.title }}
        </text>
        <text
          v-for="(note, index) in place.notes"
          :key="index"
          :x="place.x"
          :y="place.top + 16 + index * 15"
          :fill="place.key === 'panel' || place.key === 'unit' ? colour(place.verdict) : 'var(--quiet)'"
        >
          {{ note }}
        </text>
      </g>
    </svg>
    <p v-else class="quiet none">No unit of this system has a power circuit of its own.</p>
  </div>
</template>

<style scoped>
.circuit {
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

.title {
  font: 700 13px var(--text);
}

.none {
  padding: 12px;
}
</style>
