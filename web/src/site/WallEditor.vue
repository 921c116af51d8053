<script setup lang="ts">
import { $gettext } from "../language/language";
import { computed, ref } from "vue";
import type { Schemas } from "../api/client";
import DrawingFigure from "../shown/figures/DrawingFigure.vue";
import LengthField from "./LengthField.vue";
import { ITEM_KINDS, snapped, type Wall, type WallItem } from "./plan";
import ThingFields from "./ThingFields.vue";

/** The wall an indoor unit hangs on, as seen from the room: drag the unit and what hangs beside it, or type. */
const props = defineProps<{
  /** As it is drawn; none yet where it is not. */
  wall?: Wall;
  unit: Schemas["SitedUnitView"];
  figure?: Schemas["FigureView"];
}>();
const emit = defineEmits<{ change: [wall: Wall, settled: boolean] }>();

/** A wall to begin with, metres. */
const USUAL = { width: 4, ceiling: 2.6, left: 1.5, underside: 2 };
const UNIT = "unit";
const ITEM = "item-";

type Lengths<T> = { [K in keyof T]-?: T[K] extends number | undefined ? K : never }[keyof T];
/** What is typed of a wall, and whether it may stay open. */
const SIZES: [Lengths<Wall>, string, boolean][] = [
  ["width", $gettext("Wall, width"), false],
  ["ceiling", $gettext("Ceiling"), false],
  ["left", $gettext("Unit from the left"), false],
  ["underside", $gettext("Unit over the floor"), false],
  ["throw", $gettext("Free throw"), true],
  ["drainOutlet", $gettext("Drain outlet"), true],
  ["drainExit", $gettext("Drain's end"), true],
  ["drainRun", $gettext("Drain, length"), true],
];
const ITEM_SIZES: [Lengths<WallItem>, string][] = [
  ["x", $gettext("From the left")],
  ["y", $gettext("Over the floor")],
  ["width", $gettext("Across")],
  ["height", $gettext("Height")],
];

const drawing = ref<InstanceType<typeof DrawingFigure>>();
const sheet = ref<HTMLElement>();
const chosen = ref(-1);
const item = computed(() => props.wall?.items[chosen.value]);

/** -1 stands for the unit itself. */
let drag: { index: number; fromX: number; fromY: number; x: number; y: number } | undefined;

function begin() {
  emit("change", { component: props.unit.component, ...USUAL, items: [] }, true);
}

function grab(thing: string, event: PointerEvent) {
  const index = thing === UNIT ? -1 : Number(thing.slice(ITEM.length));
  chosen.value = index;
  const [fromX, fromY] = drawing.value?.place(event) ?? [0, 0];
  const held =
    index < 0 ? { x: props.wall?.left, y: props.wall?.underside } : (props.wall?.items[index] ?? {});
  drag = { index, fromX, fromY, x: held.x ?? 0, y: held.y ?? 0 };
  sheet.value?.setPointerCapture(event.pointerId);
}

function move(event: PointerEvent) {
  if (!drag) {
    return;
  }
  const [x, y] = drawing.value?.place(event) ?? [0, 0];
  place(drag.index, snapped(drag.x + x - drag.fromX, [], 0), snapped(drag.y + y - drag.fromY, [], 0), false);
}

function drop() {
  if (drag && props.wall) {
    emit("change", props.wall, true);
  }
  drag = undefined;
}

function place(index: number, x: number, y: number, settled = true) {
  if (index < 0) {
    set({ left: x, underside: y }, settled);
  } else {
    setItem(index, { x, y }, settled);
  }
}

function setItem(index: number, values: Partial<WallItem>, settled = true) {
  set({ items: items().map((i, n) => (n === index ? { ...i, ...values } : i)) }, settled);
}

function set(values: Partial<Wall>, settled = true) {
  if (props.wall) {
    emit("change", { ...props.wall, ...values }, settled);
  }
}

function items(): WallItem[] {
  return props.wall?.items ?? [];
}

function add() {
  set({
    items: [
      ...items(),
      { kind: "obstacle", title: $gettext("Shelf"), x: 0.1, y: 1.2, width: 0.6, height: 0.3 },
    ],
  });
  chosen.value = items().length;
}

function remove() {
  set({ items: items().filter((_, n) => n !== chosen.value) });
  chosen.value = -1;
}
</script>

<template>
  <p v-if="!wall" class="begin">
    <span class="quiet">{{ $gettext("This wall is not drawn yet, and not judged by.") }}</span>
    <button type="button" class="button" @click="begin">{{ $gettext("Draw this wall") }}</button>
  </p>
  <div v-else class="wall-editor">
    <div ref="sheet" class="sheet" @pointermove="move" @pointerup="drop" @pointercancel="drop">
      <DrawingFigure
        v-if="figure"
        ref="drawing"
        :drawing="figure"
        :lit="[chosen < 0 ? UNIT : `${ITEM}${chosen}`]"
        @grab="grab"
      />
    </div>
    <div class="fields">
      <LengthField
        v-for="[size, label, optional] in SIZES"
        :key="size"
        :label="label"
        :optional="optional"
        :model-value="wall[size]"
        @update:model-value="(v) => set({ [size]: v })"
      />
      <button type="button" class="button" @click="add">{{ $gettext("Add to the wall") }}</button>
      <button type="button" class="button" :disabled="!item" @click="remove">{{ $gettext("Remove") }}</button>
      <template v-if="item">
        <ThingFields
          :title="item.title"
          :kind="item.kind"
          :kinds="ITEM_KINDS"
          @change="setItem(chosen, $event)"
        />
        <LengthField
          v-for="[size, label] in ITEM_SIZES"
          :key="size"
          :label="label"
          :model-value="item[size]"
          @update:model-value="(v) => setItem(chosen, { [size]: v })"
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

.sheet {
  border: 1px solid var(--hair);
  background: var(--paper);
  touch-action: none;
}

.begin {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
}

.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 6px 8px;
  align-items: end;
}
</style>
