<script setup lang="ts">
import { computed, ref, watch } from "vue";
import { at } from "../api/address";
import type { Photo } from "./usePhotos";

/** One photo large, to zoom, turn and push about; for plates beside the form they are entered in. */
const props = defineProps<{ photos: Photo[] }>();

const MOST_ZOOM = 8;
const index = ref(0);
const zoom = ref(1);
const turn = ref(0);
const shift = ref({ x: 0, y: 0 });
let from: { x: number; y: number } | undefined;

const photo = computed(() => props.photos[Math.min(index.value, props.photos.length - 1)]);
watch(
  () => props.photos.length,
  (length) => (index.value = Math.max(0, length - 1)),
  { immediate: true },
);
watch(photo, () => {
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

function hold(event: PointerEvent) {
  from = { x: event.clientX - shift.value.x, y: event.clientY - shift.value.y };
  (event.currentTarget as HTMLElement).setPointerCapture(event.pointerId);
}

function push(event: PointerEvent) {
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
      @pointerup="from = undefined"
      @pointercancel="from = undefined"
    >
      <img
        :src="at('/api/photos/{id}/picture', { path: { id: photo.id } })"
        alt="Photo, enlarged"
        draggable="false"
        :style="{ transform: `translate(${shift.x}px, ${shift.y}px) rotate(${turn}deg) scale(${zoom})` }"
      />
    </div>
    <div class="tools">
      <button type="button" class="button" aria-label="Closer" @click="closer(1.5)">+</button>
      <button type="button" class="button" aria-label="Farther" @click="closer(1 / 1.5)">−</button>
      <button type="button" class="button" @click="turn += 90">Turn</button>
      <button
        v-if="photos.length > 1"
        type="button"
        class="button"
        @click="index = (index + 1) % photos.length"
      >
        {{ index + 1 }} of {{ photos.length }}
      </button>
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

img {
  max-width: 100%;
  max-height: 100%;
  min-height: 0;
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
