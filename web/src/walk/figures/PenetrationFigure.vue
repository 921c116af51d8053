<script setup lang="ts">
import { computed, ref } from "vue";
import type { Schemas } from "../../api/client";
import { COLOURS } from "../verdicts";
import VerdictMark from "../VerdictMark.vue";
import UnitTabs from "./UnitTabs.vue";

/** The hole in the wall: the bundle packed into it, and the hole in section with its fall. */
const props = defineProps<{ holes: Schemas["HoleView"][] }>();
const at = ref("");
const hole = computed(() => props.holes.find((h) => h.component === at.value) ?? props.holes[0]);

const HALF = 78;
const radius = computed(() =>
  Math.max(
    (hole.value?.diameter?.metres ?? 0) / 2,
    (hole.value?.wanted?.metres ?? 0) / 2,
    (hole.value?.packed?.metres ?? 0) / 2,
    0.01,
  ),
);
const scale = computed(() => HALF / radius.value);
const drop = computed(() => {
  const fall = hole.value?.fall?.ratio ?? 0;
  const shown = Math.max(-0.25, Math.min(0.25, fall * 3));
  return shown * 120;
});
</script>

<template>
  <div v-if="hole" class="penetration">
    <UnitTabs v-model="at" :units="holes" label="Hole drawn" />
    <div class="views">
      <svg viewBox="-100 -96 200 192" role="img" aria-label="Bundle in the hole">
        <circle
          v-if="hole.diameter"
          r="1"
          :transform="`scale(${(hole.diameter.metres / 2) * scale})`"
          class="hole"
          :style="{ stroke: COLOURS[hole.fits] }"
          vector-effect="non-scaling-stroke"
        />
        <circle v-if="hole.wanted" :r="(hole.wanted.metres / 2) * scale" class="wanted" />
        <g v-for="part in hole.parts" :key="part.title">
          <circle :cx="part.x * scale" :cy="-part.y * scale" :r="part.radius * scale" class="part" />
          <text :x="part.x * scale" :y="-part.y * scale + 3">{{ part.title.split(/[ ,]/)[0] }}</text>
        </g>
      </svg>
      <svg viewBox="0 0 240 192" role="img" aria-label="Hole in section, inside on the left">
        <rect x="60" y="10" width="120" height="172" class="wall" />
        <polygon
          :points="`60,${80 - drop / 2} 180,${80 + drop / 2} 180,${112 + drop / 2} 60,${112 - drop / 2}`"
          class="bore"
          :style="{ stroke: COLOURS[hole.drains] }"
        />
        <text x="28" y="98">inside</text>
        <text x="212" y="98">outside</text>
        <text x="120" y="176">{{ hole.thickness?.text ?? "" }}</text>
        <text x="120" :y="70 - Math.abs(drop) / 2" class="strong">
          {{ hole.fall ? `fall ${hole.fall.text}` : "fall not read" }}
        </text>
      </svg>
      <dl>
        <dt>Will it fit?</dt>
        <dd><VerdictMark :verdict="hole.fits" worded /></dd>
        <dt>Will it drain?</dt>
        <dd><VerdictMark :verdict="hole.drains" worded /></dd>
        <dt>Hole as drilled</dt>
        <dd class="mono">{{ hole.diameter?.text ?? "–" }}</dd>
        <dt>Bundle, packed</dt>
        <dd class="mono">{{ hole.packed?.text ?? "–" }}</dd>
        <dt>Hole to ask for (dashed)</dt>
        <dd class="mono">{{ hole.wanted?.text ?? "–" }}</dd>
      </dl>
    </div>
  </div>
</template>

<style scoped>
.penetration {
  display: flex;
  flex-direction: column;
  height: 100%;
}

.views {
  display: grid;
  flex: 1;
  grid-template-columns: 1fr 1.2fr 1.1fr;
  align-items: center;
  min-height: 0;
}

svg {
  width: 100%;
  height: 100%;
  min-height: 150px;
}

.hole {
  fill: var(--ground);
  stroke-width: 2.5;
}

.wanted {
  fill: none;
  stroke: var(--lake);
  stroke-width: 1.4;
  stroke-dasharray: 5 4;
}

.part {
  fill: var(--paper);
  stroke: var(--ink);
}

.wall {
  fill: var(--wall);
}

.bore {
  fill: var(--paper);
  stroke-width: 2;
}

text {
  fill: var(--ink);
  font: 10px var(--text);
  text-anchor: middle;
}

.strong {
  font-weight: 700;
}

dl {
  display: grid;
  grid-template-columns: auto auto;
  gap: 3px 10px;
  margin: 0;
  padding: 0 10px;
  font-size: 13px;
}

dt {
  color: var(--quiet);
}

dd {
  margin: 0;
}

@media (max-width: 760px) {
  .views {
    grid-template-columns: 1fr 1fr;
  }

  dl {
    grid-column: 1 / -1;
    padding-bottom: 8px;
  }
}
</style>
