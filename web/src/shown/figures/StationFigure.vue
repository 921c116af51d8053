<script setup lang="ts">
import { useResizeObserver } from "@vueuse/core";
import { computed, onMounted, ref, toRef, watch } from "vue";
import type { Schemas } from "../../api/client";
import DrawingFigure from "./DrawingFigure.vue";
import UnitTabs from "./UnitTabs.vue";
import { useDrawings, type Room } from "./useDrawings";

/** A station's drawings, one at a time; beside them whatever is put in the slot, each under its own name. */
const props = defineProps<{
  installation: string;
  station: string;
  /** Changes when what is drawn may have. */
  stamp: unknown;
  lit: string[];
  /** The line in hand: the drawing that shows it comes forward. */
  follow?: string;
  /** What the slot can hold. */
  beside?: { component: string; title: string }[];
}>();
const emit = defineEmits<{ open: [piece: Schemas["FigurePiece"]] }>();

/** A line of what is said under a drawing. */
const CAPTION_HEIGHT = 24;
/** On a screen without a height of its own a figure takes this share of its width. */
const SHARE = 0.62;

const box = ref<HTMLElement>();
const room = ref<Room>();
const at = ref("");
const { drawings, problem } = useDrawings(
  () => ({ id: props.installation, station: props.station }),
  toRef(props, "stamp"),
  room,
);

const tabs = computed(() => [
  ...(drawings.value ?? []).map((drawing, index) => ({ component: `${index}`, title: drawing.title })),
  ...(props.beside ?? []),
]);
const shown = computed(() =>
  tabs.value.some((tab) => tab.component === at.value) ? at.value : (tabs.value[0]?.component ?? ""),
);
const drawing = computed(() => drawings.value?.[Number(shown.value)]);

watch([() => props.installation, () => props.station], () => (at.value = ""));

watch(
  () => props.follow,
  (line) => {
    const shows = (each?: Schemas["FigureView"]) => each?.pieces.some((piece) => piece.line === line);
    const first = drawings.value?.findIndex(shows) ?? -1;
    if (line && first >= 0 && !shows(drawing.value)) {
      at.value = `${first}`;
    }
  },
);

function measure() {
  const element = box.value;
  if (!element) {
    return;
  }
  const tabs = element.querySelector<HTMLElement>(".tabs");
  const beside = getComputedStyle(element).flexDirection === "row";
  const width = element.clientWidth - (beside ? (tabs?.offsetWidth ?? 0) : 0);
  // what is around it says whether it has a height of its own; by what is drawn now it cannot be told
  const frame = element.parentElement;
  const bounded = frame && getComputedStyle(frame).getPropertyValue("--bounded").trim() === "yes";
  const high = bounded ? frame.clientHeight : width * SHARE;
  const lines = element.querySelector<HTMLElement>(".caption")?.offsetHeight ?? 0;
  const said = drawings.value?.some((each) => each.caption.length) ? Math.max(CAPTION_HEIGHT, lines) : 0;
  const height = high - (beside ? 0 : (tabs?.offsetHeight ?? 0)) - said;
  if (width && (room.value?.width !== width || room.value.height !== height)) {
    room.value = { width, height };
  }
}

onMounted(measure);
useResizeObserver(box, measure);
watch([drawings, drawing], measure, { flush: "post" });
</script>

<template>
  <div ref="box" class="station-figure">
    <UnitTabs
      :model-value="shown"
      :units="tabs"
      :label="$gettext('What is drawn')"
      @update:model-value="at = $event"
    />
    <div v-if="drawing" class="drawn">
      <DrawingFigure :drawing="drawing" :lit="lit" @open="emit('open', $event)" />
      <p v-if="drawing.caption.length" class="caption">
        <span v-for="said in drawing.caption" :key="said">{{ said }}</span>
      </p>
    </div>
    <slot v-else-if="beside?.some((each) => each.component === shown)" :at="shown" />
    <p v-else-if="problem" class="error" role="alert">{{ problem }}</p>
    <p v-else-if="drawings && !drawings.length" class="quiet nothing">
      {{ $gettext("Nothing of this system is drawn here.") }}
    </p>
  </div>
</template>

<style scoped>
.station-figure {
  display: flex;
  flex-direction: column;
  min-height: 100%;
}

:slotted(*) {
  flex: 1;
  min-height: 0;
}

.drawn {
  flex: 1;
  min-width: 0;
}

@media (min-width: 761px) {
  .station-figure {
    flex-direction: row;
  }

  .station-figure > :deep(.tabs) {
    flex: 0 0 132px;
    flex-direction: column;
    flex-wrap: nowrap;
    overflow: auto;
    max-height: 156px;
    padding: 4px;
  }

  .station-figure > :deep(.tabs button) {
    flex: none;
    text-align: left;
  }
}

p {
  padding: 8px 12px;
  font-size: 13px;
}

.caption {
  display: flex;
  flex-wrap: wrap;
  gap: 0 16px;
  padding: 0 12px 4px;
}
</style>
