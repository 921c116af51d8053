<script setup lang="ts">
import { computed } from "vue";
import type { Schemas } from "../../api/client";
import { COLOURS, WORDS } from "../verdicts";

/**
 * A plan or elevation of one unit, to scale: what was taped is drawn as a wall at that distance with a dimension line,
 * what is asked for as a dashed keep-out. An open side without a reading shows the keep-out alone.
 */
const props = defineProps<{ unit: Schemas["SitedUnitView"]; kind: "plan" | "elevation" }>();

type Side = Schemas["SideView"];

const WIDTH = 350;
const HEIGHT = 215;
const MARGIN = { x: 40, y: 24 };
/** Farther than this a wall is drawn at the edge; the text still says where it is. */
const FARTHEST = 2.2;

function side(name: string): Side | undefined {
  return props.unit.sides.find((s) => s.name === name);
}

function reach(s: Side | undefined): number {
  return Math.min(FARTHEST, Math.max(s?.clear?.metres ?? 0, s?.asked?.metres ?? 0, 0.25));
}

const shown = computed(() => {
  const left = side("left");
  const right = side("right");
  if (props.kind === "plan") {
    return { left, right, top: side("back"), bottom: side("front"), deep: props.unit.depth, ground: false };
  }
  const bottom = props.unit.outdoor ? undefined : side("height");
  return {
    left: props.unit.outdoor ? undefined : left,
    right: props.unit.outdoor ? undefined : right,
    top: side("above"),
    bottom,
    deep: props.unit.height,
    ground: true,
  };
});

const scale = computed(() => {
  const v = shown.value;
  const wide = reach(v.left) + props.unit.width + reach(v.right);
  const high = reach(v.top) + v.deep + (v.ground && !v.bottom ? 0.08 : reach(v.bottom));
  return Math.min((WIDTH - 2 * MARGIN.x) / wide, (HEIGHT - 2 * MARGIN.y) / high);
});

const box = computed(() => {
  const v = shown.value;
  const s = scale.value;
  const w = props.unit.width * s;
  const h = v.deep * s;
  const left = reach(v.left) * s;
  const right = reach(v.right) * s;
  const top = reach(v.top) * s;
  const bottom = v.ground && !v.bottom ? 0.08 * s : reach(v.bottom) * s;
  const x = (WIDTH - (left + w + right)) / 2 + left;
  const y = (HEIGHT - (top + h + bottom)) / 2 + top;
  return { x, y, w, h };
});

interface Drawn {
  name: string;
  side: Side;
  wall?: { x1: number; y1: number; x2: number; y2: number };
  dimension?: { x1: number; y1: number; x2: number; y2: number };
  text: { x: number; y: number; anchor: "start" | "middle" | "end"; turned: boolean };
}

const keepOut = computed(() => {
  const v = shown.value;
  const s = scale.value;
  const b = box.value;
  const ask = (x: Side | undefined) => Math.min(FARTHEST, x?.asked?.metres ?? 0) * s;
  return {
    x: b.x - ask(v.left),
    y: b.y - ask(v.top),
    w: b.w + ask(v.left) + ask(v.right),
    h: b.h + ask(v.top) + ask(v.bottom),
  };
});

const drawn = computed<Drawn[]>(() => {
  const v = shown.value;
  const s = scale.value;
  const b = box.value;
  const midX = b.x + b.w / 2;
  const midY = b.y + b.h / 2;
  const found: Drawn[] = [];
  function add(name: string, the: Side | undefined, dx: number, dy: number) {
    if (!the) {
      return;
    }
    const metres = the.clear?.metres;
    const away = Math.min(FARTHEST, metres ?? reach(the)) * s;
    const fromX = midX + (dx * b.w) / 2;
    const fromY = midY + (dy * b.h) / 2;
    const toX = fromX + dx * away;
    const toY = fromY + dy * away;
    const along = dx ? Math.max(b.h * 0.7, 26) : Math.max(b.w * 0.7, 26);
    found.push({
      name,
      side: the,
      wall:
        metres === undefined || (name === "height" && v.ground)
          ? undefined
          : {
              x1: dx ? toX : toX - along,
              x2: dx ? toX : toX + along,
              y1: dy ? toY : toY - along,
              y2: dy ? toY : toY + along,
            },
      dimension: metres === undefined ? undefined : { x1: fromX, y1: fromY, x2: toX, y2: toY },
      text: {
        x: dx ? toX + dx * 5 : midX + 6,
        y: dy ? (fromY + toY) / 2 + 4 : midY - 6,
        anchor: dx > 0 ? "start" : dx < 0 ? "end" : "start",
        turned: false,
      },
    });
  }
  add("left", v.left, -1, 0);
  add("right", v.right, 1, 0);
  add(props.kind === "plan" ? "back" : "above", v.top, 0, -1);
  add(props.kind === "plan" ? "front" : "height", v.bottom, 0, 1);
  return found;
});

const ground = computed(() => {
  const b = box.value;
  const v = shown.value;
  const below = v.bottom
    ? Math.min(FARTHEST, v.bottom.clear?.metres ?? reach(v.bottom)) * scale.value
    : 0.08 * scale.value;
  return b.y + b.h + below;
});

const spoken = computed(() =>
  drawn.value
    .map(
      (d) =>
        `${d.name} ${d.side.clear?.text ?? "not read"}, asked ${d.side.asked?.text ?? "nothing"}: ${WORDS[d.side.verdict]}`,
    )
    .join("; "),
);
</script>

<template>
  <svg :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" role="img" :aria-label="`${kind} of ${unit.title}. ${spoken}`">
    <text x="8" y="14" class="caption">{{ kind === "plan" ? "Plan" : "Elevation" }}</text>
    <rect
      :x="keepOut.x"
      :y="keepOut.y"
      :width="keepOut.w"
      :height="keepOut.h"
      fill="var(--permitted)"
      fill-opacity="0.5"
      stroke="var(--lake)"
      stroke-dasharray="4 3"
    />
    <line
      v-if="shown.ground"
      x1="14"
      :x2="WIDTH - 14"
      :y1="ground"
      :y2="ground"
      stroke="var(--ink)"
      stroke-width="1.5"
    />
    <rect
      v-if="kind === 'elevation' && !shown.bottom"
      :x="box.x"
      :y="box.y + box.h"
      :width="box.w"
      :height="Math.max(0, ground - box.y - box.h)"
      fill="var(--wall)"
    />
    <rect
      :x="box.x"
      :y="box.y"
      :width="box.w"
      :height="box.h"
      fill="var(--paper)"
      stroke="var(--ink)"
      stroke-width="1.5"
    />
    <g v-if="unit.outdoor && kind === 'plan'" stroke="var(--ink)" fill="none">
      <circle :cx="box.x + box.w / 2" :cy="box.y + box.h / 2" :r="Math.min(box.w, box.h) * 0.32" />
      <path :d="`M${box.x + box.w * 0.2} ${box.y + box.h} v4 m${box.w * 0.3} -4 v4 m${box.w * 0.3} -4 v4`" />
    </g>
    <g v-for="d in drawn" :key="d.name">
      <line v-if="d.wall" v-bind="d.wall" stroke="var(--wall)" stroke-width="5" />
      <g v-if="d.dimension" :stroke="COLOURS[d.side.verdict]">
        <line v-bind="d.dimension" stroke-width="1.5" />
        <circle :cx="d.dimension.x1" :cy="d.dimension.y1" r="2" :fill="COLOURS[d.side.verdict]" />
        <circle :cx="d.dimension.x2" :cy="d.dimension.y2" r="2" :fill="COLOURS[d.side.verdict]" />
      </g>
      <text
        :x="d.text.x"
        :y="d.text.y"
        :text-anchor="d.text.anchor"
        :fill="COLOURS[d.side.verdict]"
        class="halo"
      >
        {{ d.side.clear?.text ?? `${d.name}?` }}
      </text>
    </g>
  </svg>
</template>

<style scoped>
svg {
  flex: 1;
  min-width: 0;
  width: 100%;
  max-height: 100%;
}

text {
  font: 600 12px var(--mono);
}

.caption {
  font: 600 12px var(--text);
  fill: var(--quiet);
}

.halo {
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 4px;
  stroke-linejoin: round;
}
</style>
