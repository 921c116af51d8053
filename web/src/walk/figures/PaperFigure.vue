<script setup lang="ts">
import { computed, ref } from "vue";
import type { Schemas } from "../../api/client";
import PhotoStrip from "../../photos/PhotoStrip.vue";
import PhotoViewer from "../../photos/PhotoViewer.vue";
import type { Photo } from "../../photos/usePhotos";
import PlatesFigure from "./PlatesFigure.vue";
import UnitTabs from "./UnitTabs.vue";

/** The plates and how they go together, or the photo of one plate over the lines it is entered in. */
const props = defineProps<{ plates: Schemas["PlateView"][]; photosOf: (component: string) => Photo[] }>();
const emit = defineEmits<{ add: [component: string, files: File[]] }>();

const TOGETHER = "together";
const at = ref("");
const tabs = computed(() => [
  { component: TOGETHER, title: "Plates" },
  ...props.plates.map((p) => ({
    component: p.component,
    title: `${p.title}${props.photosOf(p.component).length ? ": photo" : ""}`,
  })),
]);
const plate = computed(() => props.plates.find((p) => p.component === at.value));
const photos = computed(() => (plate.value ? props.photosOf(plate.value.component) : []));
</script>

<template>
  <div class="papers">
    <UnitTabs v-model="at" :units="tabs" label="Plates and their photos" />
    <PlatesFigure v-if="!plate" :plates="plates" />
    <div v-else class="photo">
      <PhotoViewer v-if="photos.length" :photos="photos" />
      <p v-else class="quiet">No photo of this plate yet. Drop one here, or take it.</p>
      <PhotoStrip
        :photos="[]"
        :label="`the plate of ${plate.title}`"
        class="strip"
        @add="emit('add', plate.component, $event)"
      />
    </div>
  </div>
</template>

<style scoped>
.papers {
  display: flex;
  flex-direction: column;
  height: 100%;
}

.papers > :last-child {
  flex: 1;
  min-height: 0;
}

.photo {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 8px;
  padding: 6px 8px;
}

.photo > p {
  place-self: center;
}

.strip {
  align-self: end;
}
</style>
