<script setup lang="ts">
import { computed } from "vue";
import type { Schemas } from "../api/client";
import { COLOURS } from "../walk/verdicts";
import { bounds, cabinet, framed, type Position } from "./plan";

/**
 * A site's plan to scale: solids, hazards, boundary, units with their fronts, the distance before each face, and the ghost of
 * the smallest cure. Whoever edits lays handles over it.
 */
const props = defineProps<{
  view: Schemas["PlanView"];
  cure?: Schemas["CureView"];
  chosen?: string;
  frame?: { left: number; right: number; low: number; high: number };
}>();
const emit = defineEmits<{ grab: [id: string, event: PointerEvent]; distance: [judgement: string] }>();

const WIDTH = 640;
const HEIGHT = 400;
const MARGIN = 26;
const EDGES = ["boundary", "area"];
const FACES = ["front", "back", "left", "right"];

/** What stands on the site; the boundary only where nothing else is drawn. */
const frame = computed(() => props.frame ?? framed(props.view));
const scale = computed(() =>
  Math.min(
    (WIDTH - 2 * MARGIN) / Math.max(frame.value.right - frame.value.left, 0.5),
    (HEIGHT - 2 * MARGIN) / Math.max(frame.value.high - frame.value.low, 0.5),
  ),
);
const left = computed(
  () => (WIDTH - (frame.value.right - frame.value.left) * scale.value) / 2 - frame.value.left * scale.value,
);
const top = computed(
  () => (HEIGHT - (frame.value.high - frame.value.low) * scale.value) / 2 + frame.value.high * scale.value,
);
const px = (x: number) => left.value + x * scale.value;
const py = (y: number) => top.value - y * scale.value;
const path = (points: Position[]) => points.map(([x, y]) => `${px(x)},${py(y)}`).join(" ");

const features = computed(() => [...props.view.features].sort((a, b) => Number(a.solid) - Number(b.solid)));
const labels = computed(() =>
  props.view.features
    .filter((f) => f.title && f.kind !== "ground")
    .map((f) => {
      const b = bounds(f.points.map((p): Position => [p.x, p.y]));
      const edge = EDGES.includes(f.kind);
      return {
        id: f.id,
        title: f.title,
        x: Math.min(Math.max(px((b.left + b.right) / 2), 40), WIDTH - 40),
        // what lies on a wall's edge is named before it, clear of the wall's own name
        y: edge ? py(b.low) + 13 : f.closed ? py((b.low + b.high) / 2) + 4 : py(b.low) + 18,
      };
    })
    .filter((label) => label.y < HEIGHT),
);
const ghosts = computed(() =>
  (props.cure?.moves ?? []).flatMap((move) => {
    const unit = props.view.units.find((u) => u.component === move.component);
    return unit ? [{ move, unit, corners: cabinet({ ...unit, ...move }) }] : [];
  }),
);
/** Distances that are kept to vents and the like are left out until their unit is chosen: they cross the whole site. */
const distances = computed(() =>
  props.view.distances.filter(
    (d) => FACES.includes(d.name) || d.verdict !== "MEETS" || d.component === props.chosen,
  ),
);

/** The length a dimension has on the sheet tells whether its words fit beside it. */
function span(d: Schemas["DistanceView"]) {
  return Math.hypot(px(d.to.x) - px(d.from.x), py(d.to.y) - py(d.from.y));
}

defineExpose({
  /** Where on the site an event happened, in metres. */
  place(event: PointerEvent, svg: SVGSVGElement): Position {
    const box = svg.getBoundingClientRect();
    const fit = Math.min(box.width / WIDTH, box.height / HEIGHT);
    const x = (event.clientX - box.left - (box.width - WIDTH * fit) / 2) / fit;
    const y = (event.clientY - box.top - (box.height - HEIGHT * fit) / 2) / fit;
    return [(x - left.value) / scale.value, (top.value - y) / scale.value];
  },
});
</script>

<template>
  <svg :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" class="plan" role="img" aria-label="Plan of the site">
    <g v-for="feature in features" :key="feature.id" :class="['feature', feature.kind]">
      <polygon
        v-if="feature.closed"
        :points="path(feature.points.map((p) => [p.x, p.y]))"
        :class="{ solid: feature.solid, chosen: chosen === feature.id }"
        @pointerdown="emit('grab', feature.id, $event)"
      />
      <circle
        v-else-if="feature.points.length === 1"
        :cx="px(feature.points[0]?.x ?? 0)"
        :cy="py(feature.points[0]?.y ?? 0)"
        r="6"
        class="spot"
        :class="{ chosen: chosen === feature.id }"
        @pointerdown="emit('grab', feature.id, $event)"
      />
      <polyline
        v-else
        :points="path(feature.points.map((p) => [p.x, p.y]))"
        class="line"
        :class="{ chosen: chosen === feature.id }"
        @pointerdown="emit('grab', feature.id, $event)"
      />
    </g>
    <text v-for="label in labels" :key="label.id" :x="label.x" :y="label.y" class="label">
      {{ label.title }}
    </text>
    <g
      v-for="d in distances"
      :key="`${d.component}-${d.name}`"
      class="distance"
      :style="{ color: COLOURS[d.verdict] }"
      @click="emit('distance', d.judgement)"
    >
      <line :x1="px(d.from.x)" :y1="py(d.from.y)" :x2="px(d.to.x)" :y2="py(d.to.y)" />
      <text
        v-if="span(d) > 14"
        :x="(px(d.from.x) + 2 * px(d.to.x)) / 3 + 4"
        :y="(py(d.from.y) + 2 * py(d.to.y)) / 3 + 4"
      >
        {{ d.text }}
      </text>
    </g>
    <g
      v-for="unit in view.units"
      :key="unit.component"
      class="unit"
      :class="{ chosen: chosen === unit.component }"
      @pointerdown="emit('grab', unit.component, $event)"
    >
      <polygon :points="path(cabinet(unit))" :style="{ stroke: COLOURS[unit.verdict] }" />
      <polyline :points="path(cabinet(unit).slice(1, 3))" class="front" />
      <text :x="px(unit.x)" :y="py(bounds(cabinet(unit)).low) + 13">{{ unit.title }}</text>
    </g>
    <g v-for="ghost in ghosts" :key="ghost.move.component" class="ghost">
      <polygon :points="path(ghost.corners)" />
      <polyline :points="path(ghost.corners.slice(1, 3))" class="front" />
      <polyline
        :points="
          path([
            [ghost.unit.x, ghost.unit.y],
            [ghost.move.x, ghost.unit.y],
            [ghost.move.x, ghost.move.y],
          ])
        "
        class="way"
      />
      <text :x="px(bounds(ghost.corners).right) + 8" :y="py(ghost.move.y) - 2">
        {{ ghost.move.sideways }}
      </text>
      <text :x="px(bounds(ghost.corners).right) + 8" :y="py(ghost.move.y) + 12">{{ ghost.move.along }}</text>
    </g>
    <slot :px="px" :py="py" />
  </svg>
</template>

<style scoped>
.plan {
  display: block;
  width: 100%;
  height: 100%;
  touch-action: none;
}

polygon,
polyline,
line {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1;
}

.solid {
  fill: var(--wall);
}

.boundary polygon {
  stroke: var(--lake);
  stroke-dasharray: 12 4 2 4;
}

.area polygon {
  fill: var(--permitted);
  fill-opacity: 0.35;
  stroke: none;
}

.ground polygon {
  stroke: none;
}

.line {
  stroke: var(--brass);
  stroke-width: 4;
}

.spot {
  fill: var(--brass);
}

.feature .chosen {
  stroke: var(--lake);
  stroke-width: 2.5;
}

.unit polygon {
  fill: var(--paper);
  stroke-width: 2;
}

.unit.chosen polygon {
  stroke-width: 3.5;
}

.unit .front {
  stroke-width: 4;
}

.unit,
.distance {
  cursor: pointer;
}

text {
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 3;
  fill: var(--ink);
  font: 13px var(--text);
  text-anchor: middle;
  pointer-events: none;
}

.label {
  fill: var(--quiet);
}

.distance line {
  stroke: currentColor;
  stroke-width: 1.4;
}

.distance text {
  fill: currentColor;
  font: 600 13px var(--mono);
  text-anchor: start;
}

.ghost polygon {
  stroke: var(--lake);
  stroke-width: 2;
  stroke-dasharray: 6 4;
}

.ghost .front {
  stroke: var(--lake);
  stroke-width: 3;
}

.ghost .way {
  stroke: var(--lake);
  stroke-dasharray: 2 3;
}

.ghost text {
  text-anchor: start;
  fill: var(--lake);
  font: 600 13px var(--mono);
}

@media (max-width: 760px) {
  .plan {
    min-height: 230px;
  }

  text,
  .distance text,
  .ghost text {
    font-size: 17px;
  }
}
</style>
