<script setup lang="ts">
import { ref } from "vue";
import type { Schemas } from "../../api/client";
import { COLOURS } from "../colours";

type Piece = Schemas["FigurePiece"];

/** Any drawing, as it was laid out: nothing is placed or measured here. */
const props = defineProps<{
  drawing: Schemas["FigureView"];
  /** Keys of the judgement and the line that are looked at elsewhere. */
  lit: string[];
}>();
const emit = defineEmits<{ open: [piece: Piece]; grab: [thing: string, event: PointerEvent] }>();

const sheet = ref<SVGSVGElement>();

/** Metres to dots, and an event's place in metres. */
const onSheet = (x: number, y: number) => {
  const { x0, y0, across, up } = props.drawing.measure;
  return { x: x0 + x * across, y: y0 - y * up };
};
defineExpose({
  place(event: MouseEvent): [number, number] {
    const box = sheet.value?.getBoundingClientRect();
    if (!box?.width) {
      return [0, 0];
    }
    const { x0, y0, across, up } = props.drawing.measure;
    const dots = props.drawing.width / box.width;
    return [((event.clientX - box.left) * dots - x0) / across, (y0 - (event.clientY - box.top) * dots) / up];
  },
});

const ANCHORS = { START: "start", MIDDLE: "middle", END: "end" } as const;

function at(piece: Piece): { x: number; y: number } {
  const [x = 0, y = 0] = piece.points.split(",").map(Number);
  return { x, y };
}

function opens(piece: Piece): boolean {
  return Boolean(piece.judgement ?? piece.line);
}

function look(piece: Piece) {
  return {
    class: [
      piece.role.toLowerCase(),
      piece.kind.toLowerCase(),
      piece.weight.toLowerCase(),
      {
        opens: opens(piece) || piece.thing,
        judged: piece.verdict,
        // of a list's line the part in hand is lit, not all of it
        lit: [piece.judgement, piece.thing ? undefined : piece.line, piece.thing].some(
          (key) => key && props.lit.includes(key),
        ),
      },
    ],
    "data-thing": piece.thing,
    style: piece.verdict ? { "--tone": COLOURS[piece.verdict] } : undefined,
  };
}

function grab(piece: Piece, event: PointerEvent) {
  if (piece.thing) {
    emit("grab", piece.thing, event);
  }
}

function open(piece: Piece) {
  if (opens(piece)) {
    emit("open", piece);
  }
}
</script>

<template>
  <svg
    ref="sheet"
    :width="drawing.width"
    :height="drawing.height"
    :viewBox="`0 0 ${drawing.width} ${drawing.height}`"
    role="img"
    :aria-label="[drawing.title, drawing.spoken].filter(Boolean).join('. ')"
  >
    <template v-for="(piece, index) in drawing.pieces" :key="index">
      <!-- a thin line that can be taken in hand is reached by a glove -->
      <polyline
        v-if="piece.kind === 'LINE' && piece.thing && opens(piece)"
        :points="piece.points"
        class="reach"
        @click="open(piece)"
      />
      <polyline
        v-if="piece.kind === 'LINE'"
        :points="piece.points"
        v-bind="look(piece)"
        @click="open(piece)"
        @pointerdown="grab(piece, $event)"
      />
      <polygon
        v-else-if="piece.kind === 'AREA'"
        :points="piece.points"
        v-bind="look(piece)"
        @click="open(piece)"
        @pointerdown="grab(piece, $event)"
      />
      <circle
        v-else-if="piece.kind === 'CIRCLE'"
        :cx="at(piece).x"
        :cy="at(piece).y"
        :r="piece.radius"
        v-bind="look(piece)"
        @click="open(piece)"
        @pointerdown="grab(piece, $event)"
      />
      <text
        v-else
        :x="at(piece).x"
        :y="at(piece).y"
        :text-anchor="ANCHORS[piece.anchor]"
        v-bind="look(piece)"
        @click="open(piece)"
        @pointerdown="grab(piece, $event)"
      >
        {{ piece.text }}
      </text>
    </template>
    <slot :on-sheet="onSheet" />
  </svg>
</template>

<style scoped>
svg {
  display: block;
  max-width: 100%;
  margin: 0 auto;
}

polyline,
polygon,
circle {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.4;
}

.body,
.cabinet {
  fill: var(--paper);
}

.cabinet {
  stroke-width: 2;
}

.front {
  stroke-width: 4;
}

.ground {
  stroke: none;
}

.boundary {
  stroke: var(--lake);
  stroke-dasharray: 12 4 2 4;
}

.hazard {
  stroke: var(--brass);
  stroke-width: 4;
}

circle.hazard {
  fill: var(--brass);
  stroke: none;
}

.ghost {
  stroke: var(--lake);
  stroke-width: 2;
  stroke-dasharray: 6 4;
}

.wall {
  stroke: var(--wall);
}

.wall.line {
  stroke-width: 5;
}

.wall.area {
  fill: var(--wall);
}

.grid {
  stroke: var(--hair);
}

.permitted {
  fill: var(--permitted);
  stroke: none;
}

.asked {
  fill: var(--permitted);
  fill-opacity: 0.5;
  stroke: var(--lake);
  stroke-dasharray: 4 3;
}

.run {
  stroke-width: 3;
}

.read.line {
  stroke-width: 2;
}

circle.read {
  fill: var(--lake);
  stroke: none;
}

.judged {
  stroke: var(--tone);
}

circle.read.judged {
  fill: var(--tone);
}

text,
text.judged {
  font: 12px var(--mono);
  fill: var(--ink);
  stroke: var(--paper);
  stroke-width: 4px;
  stroke-linejoin: round;
  paint-order: stroke;
}

text.judged {
  fill: var(--tone);
}

text.strong {
  font-weight: 650;
}

text.quiet {
  fill: var(--quiet);
}

.opens {
  cursor: pointer;
}

.reach {
  stroke: transparent;
  stroke-width: 24;
  cursor: pointer;
}

.lit {
  stroke-width: 4;
}

.wall.lit,
.hazard.lit,
.boundary.lit,
.permitted.lit {
  stroke: var(--lake);
}

text.lit {
  stroke-width: 4px;
  text-decoration: underline;
}
</style>
