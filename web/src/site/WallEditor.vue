<script setup lang="ts">
import { computed, ref } from "vue";
import type { Schemas } from "../api/client";
import LengthField from "./LengthField.vue";
import { ITEM_KINDS, snapped, type Wall, type WallItem } from "./plan";
import ThingFields from "./ThingFields.vue";

/** The wall an indoor unit hangs on, as seen from the room: drag the unit and what hangs beside it, or type. */
const props = defineProps<{
  wall: Wall;
  title: string;
  size: Schemas["SitedUnitView"];
  hung?: Schemas["HungView"];
}>();
const emit = defineEmits<{ change: [wall: Wall, settled: boolean] }>();

type Lengths<T> = { [K in keyof T]-?: T[K] extends number | undefined ? K : never }[keyof T];
/** What is typed of a wall, and whether it may stay open. */
const FIGURES: [Lengths<Wall>, string, boolean][] = [
  ["width", "Wall, width", false],
  ["ceiling", "Ceiling", false],
  ["left", "Unit from the left", false],
  ["underside", "Unit over the floor", false],
  ["throw", "Free throw", true],
  ["drainOutlet", "Drain outlet", true],
  ["drainExit", "Drain's end", true],
  ["drainRun", "Drain, length", true],
];
const ITEM_FIGURES: [Lengths<WallItem>, string][] = [
  ["x", "From the left"],
  ["y", "Over the floor"],
  ["width", "Across"],
  ["height", "Height"],
];

const WIDTH = 640;
const HEIGHT = 400;
const MARGIN = 24;

const svg = ref<SVGSVGElement>();
const chosen = ref(-1);
const scale = computed(() =>
  Math.min((WIDTH - 2 * MARGIN) / props.wall.width, (HEIGHT - 2 * MARGIN) / props.wall.ceiling),
);
const px = (x: number) => MARGIN + x * scale.value;
const py = (y: number) => MARGIN + (props.wall.ceiling - y) * scale.value;
const item = computed(() => props.wall.items[chosen.value]);

/** -1 stands for the unit itself. */
let drag: { index: number; fromX: number; fromY: number; x: number; y: number } | undefined;

function at(event: PointerEvent): [number, number] {
  const box = svg.value?.getBoundingClientRect();
  if (!box) {
    return [0, 0];
  }
  const fit = Math.min(box.width / WIDTH, box.height / HEIGHT);
  return [
    (event.clientX - box.left - (box.width - WIDTH * fit) / 2) / fit / scale.value,
    -(event.clientY - box.top - (box.height - HEIGHT * fit) / 2) / fit / scale.value,
  ];
}

function grab(index: number, event: PointerEvent) {
  chosen.value = index;
  const [fromX, fromY] = at(event);
  const held = index < 0 ? { x: props.wall.left, y: props.wall.underside } : props.wall.items[index];
  drag = { index, fromX, fromY, x: held?.x ?? 0, y: held?.y ?? 0 };
  svg.value?.setPointerCapture(event.pointerId);
}

function move(event: PointerEvent) {
  if (!drag) {
    return;
  }
  const [x, y] = at(event);
  place(drag.index, snapped(drag.x + x - drag.fromX, [], 0), snapped(drag.y + y - drag.fromY, [], 0), false);
}

function drop() {
  if (drag) {
    drag = undefined;
    emit("change", props.wall, true);
  }
}

function place(index: number, x: number, y: number, settled = true) {
  if (index < 0) {
    emit("change", { ...props.wall, left: x, underside: y }, settled);
  } else {
    setItem(index, { x, y }, settled);
  }
}

function setItem(index: number, values: Partial<WallItem>, settled = true) {
  emit(
    "change",
    { ...props.wall, items: props.wall.items.map((i, n) => (n === index ? { ...i, ...values } : i)) },
    settled,
  );
}

function set(values: Partial<Wall>) {
  emit("change", { ...props.wall, ...values }, true);
}

function add() {
  set({
    items: [
      ...props.wall.items,
      { kind: "obstacle", title: "Shelf", x: 0.1, y: 1.2, width: 0.6, height: 0.3 },
    ],
  });
  chosen.value = props.wall.items.length;
}

function remove() {
  set({ items: props.wall.items.filter((_, n) => n !== chosen.value) });
  chosen.value = -1;
}
</script>

<template>
  <div class="wall-editor">
    <svg
      ref="svg"
      :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
      role="img"
      :aria-label="`Wall of ${title}`"
      @pointermove="move"
      @pointerup="drop"
      @pointercancel="drop"
    >
      <rect
        :x="px(0)"
        :y="py(wall.ceiling)"
        :width="wall.width * scale"
        :height="wall.ceiling * scale"
        class="wall"
      />
      <g v-for="(each, index) in wall.items" :key="index" @pointerdown="grab(index, $event)">
        <rect
          :x="px(each.x)"
          :y="py(each.y + each.height)"
          :width="each.width * scale"
          :height="each.height * scale"
          class="item"
          :class="{ chosen: chosen === index }"
        />
        <text :x="px(each.x + each.width / 2)" :y="py(each.y + each.height / 2) + 4">{{ each.title }}</text>
      </g>
      <g @pointerdown="grab(-1, $event)">
        <rect
          :x="px(wall.left)"
          :y="py(wall.underside + size.height)"
          :width="size.width * scale"
          :height="size.height * scale"
          class="unit"
          :class="{ chosen: chosen === -1 }"
        />
        <text :x="px(wall.left + size.width / 2)" :y="py(wall.underside + size.height / 2) + 4">
          {{ title }}
        </text>
      </g>
      <template v-if="hung">
        <text :x="px(wall.left / 2)" :y="py(wall.underside) - 4" class="dimension">{{ hung.fromLeft }}</text>
        <text :x="px(wall.left + size.width / 2)" :y="py(wall.underside / 2)" class="dimension">
          {{ hung.overFloor }} over the floor
        </text>
      </template>
    </svg>
    <div class="fields">
      <LengthField
        v-for="[figure, label, optional] in FIGURES"
        :key="figure"
        :label="label"
        :optional="optional"
        :model-value="wall[figure]"
        @update:model-value="(v) => set({ [figure]: v })"
      />
      <button type="button" class="button" @click="add">Add to the wall</button>
      <button type="button" class="button" :disabled="!item" @click="remove">Take away</button>
      <template v-if="item">
        <ThingFields
          :title="item.title"
          :kind="item.kind"
          :kinds="ITEM_KINDS"
          @change="setItem(chosen, $event)"
        />
        <LengthField
          v-for="[figure, label] in ITEM_FIGURES"
          :key="figure"
          :label="label"
          :model-value="item[figure]"
          @update:model-value="(v) => setItem(chosen, { [figure]: v })"
        />
      </template>
    </div>
  </div>
</template>

<style scoped>
.wall-editor {
  display: grid;
  gap: 10px;
}

svg {
  width: 100%;
  max-height: 52vh;
  border: 1px solid var(--hair);
  background: var(--paper);
  touch-action: none;
}

.wall {
  fill: var(--ground);
  stroke: var(--ink);
}

.item {
  fill: var(--wall);
  stroke: var(--ink);
}

.unit {
  fill: var(--paper);
  stroke: var(--ink);
  stroke-width: 2;
}

.chosen {
  stroke: var(--lake);
  stroke-width: 3;
}

text {
  fill: var(--ink);
  font: 12px var(--text);
  text-anchor: middle;
  pointer-events: none;
}

.dimension {
  fill: var(--lake);
  font: 600 12px var(--mono);
}

g {
  cursor: pointer;
}

.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 6px 8px;
  align-items: end;
}
</style>
