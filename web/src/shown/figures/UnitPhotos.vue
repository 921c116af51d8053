<script setup lang="ts">
import PhotoStrip from "../../photos/PhotoStrip.vue";
import PhotoViewer from "../../photos/PhotoViewer.vue";
import type { Photo } from "../../photos/usePhotos";

/** The photos of a unit's plate over the lines it is entered in. */
defineProps<{ title: string; photos: Photo[] }>();
const emit = defineEmits<{ add: [files: File[]] }>();
</script>

<template>
  <div class="photo">
    <PhotoViewer v-if="photos.length" :photos="photos" />
    <p v-else class="quiet">{{ $gettext("No photo of this plate yet. Drop one here, or take it.") }}</p>
    <PhotoStrip
      :photos="[]"
      :label="$gettext('the plate of %{title}', { title })"
      class="strip"
      @add="emit('add', $event)"
    />
  </div>
</template>

<style scoped>
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
