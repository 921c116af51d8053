<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, ref } from "vue";
import type { Schemas } from "../api/client";
import { COLOURS } from "../walk/verdicts";
import { alongside, laid, type Spot, type Wish } from "./labels";
import LaidText from "./LaidText.vue";
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

/** A shape's rectangle on the sheet. */
function boxed(points: Position[]) {
  const b = bounds(points);
  return { left: px(b.left), right: px(b.right), low: py(b.high), high: py(b.low) };
}

/** Letters never come out smaller than a gloved hand's distance allows. */
const LETTERS = 13;
const LEAST_PIXELS = 11;
const sheet = ref<SVGSVGElement>();
const letters = ref(LETTERS);
const watching = new ResizeObserver(([seen]) => {
  const box = seen?.contentRect;
  const fit = box ? Math.min(box.width / WIDTH, box.height / HEIGHT) : 1;
  letters.value = Math.max(LETTERS, fit > 0 ? LEAST_PIXELS / fit : LETTERS);
});
onMounted(() => sheet.value && watching.observe(sheet.value));
onBeforeUnmount(() => watching.disconnect());

const SHEET = { left: 0, right: WIDTH, low: 0, high: HEIGHT };
/** Dimensions choose first, then units, then what stands about. */
const words = computed(() => {
  const centred = (x: number, ys: number[]): Spot[] => ys.map((y) => ({ x, y, anchor: "middle" }));
  const beside = (b: ReturnType<typeof boxed>): Spot[] => [
    { x: b.right + 8, y: (b.low + b.high) / 2 + 4, anchor: "start" },
    { x: b.left - 8, y: (b.low + b.high) / 2 + 4, anchor: "end" },
  ];
  const wishes: Wish[] = [
    ...ghosts.value.map((ghost) => {
      const b = boxed(ghost.corners);
      return {
        key: `move of ${ghost.move.component}`,
        text: [ghost.move.sideways, ghost.move.along].filter(Boolean).join(", "),
        size: letters.value,
        spots: [...centred((b.left + b.right) / 2, [b.high + letters.value + 2, b.low - 6]), ...beside(b)],
        needed: true,
      };
    }),
    ...distances.value.map((d) => ({
      key: `${d.component}-${d.name}`,
      text: d.text,
      size: letters.value,
      spots: alongside({ x: px(d.from.x), y: py(d.from.y) }, { x: px(d.to.x), y: py(d.to.y) }, letters.value),
      needed: true,
    })),
    ...props.view.units.map((unit) => {
      const b = boxed(cabinet(unit));
      return {
        key: unit.component,
        text: unit.title,
        size: letters.value,
        spots: [
          ...centred((b.left + b.right) / 2, [b.high + letters.value, b.low - 4]),
          ...beside(b),
          ...centred((b.left + b.right) / 2, [b.high + 2 * letters.value + 4, b.low - letters.value - 8]),
        ],
        needed: true,
      };
    }),
    ...props.view.features
      .filter((f) => f.title && f.kind !== "ground")
      .map((f) => {
        const b = boxed(f.points.map((p): Position => [p.x, p.y]));
        const inside = (b.low + b.high) / 2 + 4;
        const about = [b.high + letters.value + 2, b.low - 5];
        return {
          key: f.id,
          text: f.title,
          size: letters.value,
          spots: centred(
            (b.left + b.right) / 2,
            f.closed ? (EDGES.includes(f.kind) ? about : [inside, ...about]) : about,
          ),
        };
      }),
  ];
  const standing = props.view.units.map((unit) => boxed(cabinet(unit)));
  return new Map(laid(wishes, standing, SHEET).map((l) => [l.key, l]));
});

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
  <svg
    ref="sheet"
    :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
    class="plan"
    role="img"
    aria-label="Plan of the site"
    :style="{ '--letters': `${letters}px` }"
  >
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
    <template v-for="feature in features" :key="feature.id">
      <LaidText :laid="words.get(feature.id)" class="label" />
    </template>
    <g
      v-for="d in distances"
      :key="`${d.component}-${d.name}`"
      class="distance"
      :style="{ color: COLOURS[d.verdict] }"
      @click="emit('distance', d.judgement)"
    >
      <line :x1="px(d.from.x)" :y1="py(d.from.y)" :x2="px(d.to.x)" :y2="py(d.to.y)" />
      <LaidText :laid="words.get(`${d.component}-${d.name}`)" />
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
      <LaidText :laid="words.get(unit.component)" />
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
      <LaidText :laid="words.get(`move of ${ghost.move.component}`)" />
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
  font: var(--letters) var(--text);
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
  font: 600 var(--letters) var(--mono);
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
  fill: var(--lake);
  font: 600 var(--letters) var(--mono);
}

@media (max-width: 760px) {
  .plan {
    min-height: 230px;
  }
}
</style>
