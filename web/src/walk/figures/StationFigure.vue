<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, ref, toRef, watch } from "vue";
import type { Schemas } from "../../api/client";
import DrawingFigure from "./DrawingFigure.vue";
import UnitTabs from "./UnitTabs.vue";
import { useDrawings, type Room } from "./useDrawings";

/** A station's drawings, one at a time; before them whatever is put in the slot, under its own name. */
const props = defineProps<{
  path: string;
  /** Changes when what is drawn may have. */
  stamp: unknown;
  lit: string[];
  /** Name of what the slot holds, empty where it holds nothing. */
  before: string;
}>();
const emit = defineEmits<{ open: [piece: Schemas["FigurePiece"]] }>();

const TABS_HEIGHT = 40;
/** On a screen without a height of its own a figure takes this share of its width. */
const SHARE = 0.62;

const box = ref<HTMLElement>();
const room = ref<Room>();
const at = ref("");
const { drawings, problem } = useDrawings(toRef(props, "path"), toRef(props, "stamp"), room);

const tabs = computed(() => [
  ...(props.before ? [{ component: "before", title: props.before }] : []),
  ...(drawings.value ?? []).map((drawing, index) => ({ component: `${index}`, title: drawing.title })),
]);
const shown = computed(() =>
  tabs.value.some((tab) => tab.component === at.value) ? at.value : (tabs.value[0]?.component ?? ""),
);
const drawing = computed(() => drawings.value?.[Number(shown.value)]);

watch(toRef(props, "path"), () => (at.value = ""));

function measure() {
  const element = box.value;
  if (!element) {
    return;
  }
  const width = element.clientWidth;
  const bounded = element.parentElement ? getComputedStyle(element.parentElement).height !== "auto" : false;
  const high = bounded && element.clientHeight > TABS_HEIGHT * 2 ? element.clientHeight : width * SHARE;
  const height = high - (tabs.value.length > 1 ? TABS_HEIGHT : 0);
  if (width && (room.value?.width !== width || room.value.height !== height)) {
    room.value = { width, height };
  }
}

let watcher: ResizeObserver | undefined;
onMounted(() => {
  measure();
  if (typeof ResizeObserver !== "undefined" && box.value) {
    watcher = new ResizeObserver(measure);
    watcher.observe(box.value);
  }
});
onBeforeUnmount(() => watcher?.disconnect());
watch(() => tabs.value.length, measure);
</script>

<template>
  <div ref="box" class="station-figure">
    <UnitTabs :model-value="shown" :units="tabs" label="What is drawn" @update:model-value="at = $event" />
    <slot v-if="shown === 'before'" />
    <DrawingFigure v-else-if="drawing" :drawing="drawing" :lit="lit" @open="emit('open', $event)" />
    <p v-else-if="problem" class="error" role="alert">{{ problem }}</p>
    <p v-else-if="drawings && !drawings.length" class="quiet">Nothing of this system is drawn here.</p>
  </div>
</template>

<style scoped>
.station-figure {
  display: flex;
  flex-direction: column;
  height: 100%;
  overflow: hidden;
}

:slotted(*) {
  flex: 1;
  min-height: 0;
}

.station-figure > svg {
  flex: none;
}

p {
  padding: 8px 12px;
  font-size: 13px;
}
</style>
