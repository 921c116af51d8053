<script setup lang="ts">
import { computed, ref, watch } from "vue";
import { at } from "../api/address";
import { sentence } from "../api/problems";
import { notice } from "../frame/notice";
import MarkedPhoto from "./MarkedPhoto.vue";
import { asDrawn, draw, isPaper, type Mark, type Photo } from "./usePhotos";

/** One photo large, to zoom, turn and push about, and to draw on; for plates beside the form they are entered in. */
const props = defineProps<{ photos: Photo[] }>();

const MOST_ZOOM = 8;
const index = ref(0);
const zoom = ref(1);
const turn = ref(0);
const shift = ref({ x: 0, y: 0 });
let from: { x: number; y: number } | undefined;

/** What a drag draws; without one it pushes the picture about. */
const pen = ref<Mark["kind"]>();
const draft = ref<Mark>();
const shown = ref<InstanceType<typeof MarkedPhoto>>();
/** Shorter than this, as a share of the picture, was no drag. */
const LEAST = 0.01;

const photo = computed(() => props.photos[Math.min(index.value, props.photos.length - 1)]);
watch(
  () => props.photos.length,
  (length) => (index.value = Math.max(0, length - 1)),
  { immediate: true },
);
watch(photo, () => {
  pen.value = undefined;
  zoom.value = 1;
  turn.value = 0;
  shift.value = { x: 0, y: 0 };
});

function closer(factor: number) {
  zoom.value = Math.min(MOST_ZOOM, Math.max(1, zoom.value * factor));
  if (zoom.value === 1) {
    shift.value = { x: 0, y: 0 };
  }
}

function take(kind: Mark["kind"]) {
  pen.value = pen.value === kind ? undefined : kind;
  turn.value = 0;
}

async function keep(marks: Mark[]) {
  if (photo.value) {
    try {
      await draw(photo.value, marks);
    } catch (thrown) {
      notice.problem(sentence(thrown));
    }
  }
}

async function drop() {
  from = undefined;
  const mark = draft.value;
  if (mark && photo.value && Math.hypot(mark.toX - mark.x, mark.toY - mark.y) > LEAST) {
    await keep([...asDrawn(photo.value).marks, mark]);
  }
  draft.value = undefined;
}

function hold(event: PointerEvent) {
  const at = pen.value && shown.value?.place(event);
  if (pen.value && at) {
    draft.value = { kind: pen.value, ...at, toX: at.x, toY: at.y };
    (event.currentTarget as HTMLElement).setPointerCapture(event.pointerId);
    return;
  }
  from = { x: event.clientX - shift.value.x, y: event.clientY - shift.value.y };
  (event.currentTarget as HTMLElement).setPointerCapture(event.pointerId);
}

function push(event: PointerEvent) {
  if (draft.value && shown.value) {
    const { x: toX, y: toY } = shown.value.place(event);
    draft.value = { ...draft.value, toX, toY };
    return;
  }
  if (from) {
    shift.value = { x: event.clientX - from.x, y: event.clientY - from.y };
  }
}
</script>

<template>
  <div v-if="photo" class="viewer">
    <div
      class="window"
      @wheel.prevent="closer($event.deltaY < 0 ? 1.2 : 1 / 1.2)"
      @pointerdown="hold"
      @pointermove="push"
      @pointerup="drop"
      @pointercancel="((from = undefined), (draft = undefined))"
    >
      <MarkedPhoto
        ref="shown"
        :photo="photo"
        :draft="draft"
        :style="{ transform: `translate(${shift.x}px, ${shift.y}px) rotate(${turn}deg) scale(${zoom})` }"
      />
    </div>
    <div class="tools">
      <button type="button" class="button" :aria-label="$gettext('Closer')" @click="closer(1.5)">+</button>
      <button type="button" class="button" :aria-label="$gettext('Farther')" @click="closer(1 / 1.5)">
        −
      </button>
      <button type="button" class="button" @click="turn += 90">{{ $gettext("Turn") }}</button>
      <button type="button" class="button" :aria-pressed="pen === 'ARROW'" @click="take('ARROW')">
        {{ $gettext("Arrow") }}
      </button>
      <button type="button" class="button" :aria-pressed="pen === 'CIRCLE'" @click="take('CIRCLE')">
        {{ $gettext("Circle") }}
      </button>
      <button
        v-if="asDrawn(photo).marks.length"
        type="button"
        class="button"
        @click="keep(asDrawn(photo).marks.slice(0, -1))"
      >
        {{ $gettext("Rub out the last") }}
      </button>
      <button
        v-if="photos.length > 1"
        type="button"
        class="button"
        @click="index = (index + 1) % photos.length"
      >
        {{ $gettext("%{number} of %{photos}", { number: index + 1, photos: photos.length }) }}
      </button>
      <a
        v-if="isPaper(photo)"
        class="button"
        :href="at('/api/photos/{id}/file', { path: { id: photo.id } })"
        download
        >{{ $gettext("Open the PDF") }}</a
      >
      <span class="quiet">{{ (photo.takenAt ?? photo.addedAt).slice(0, 10) }}, {{ photo.addedBy }}</span>
    </div>
  </div>
</template>

<style scoped>
.viewer {
  display: flex;
  flex-direction: column;
  height: 100%;
  min-height: 180px;
}

.window {
  display: grid;
  flex: 1;
  place-items: center;
  min-height: 0;
  background: var(--ground);
  overflow: hidden;
  touch-action: none;
  cursor: grab;
}

.tools [aria-pressed="true"] {
  border-color: var(--lake);
  background: var(--lake-soft);
}

.tools {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
  align-items: center;
  padding: 4px 6px;
  font-size: 12px;
}

.tools .button {
  min-height: 34px;
  padding: 0 10px;
}
</style>
