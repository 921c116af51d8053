<script setup lang="ts">
import { ref } from "vue";
import { at } from "../api/address";
import PhotoViewer from "./PhotoViewer.vue";
import { isPaper, type Photo } from "./usePhotos";

/** The photos and papers that hang on one thing, and the place to drop or take another. */
defineProps<{ photos: Photo[]; label: string; /** Whether a PDF may hang here too. */ papers?: boolean }>();
const emit = defineEmits<{ add: [files: File[]] }>();
const open = ref(false);
const over = ref(false);

function taken(event: Event) {
  const input = event.target as HTMLInputElement;
  emit("add", [...(input.files ?? [])]);
  input.value = "";
}

function dropped(event: DragEvent) {
  over.value = false;
  emit("add", [...(event.dataTransfer?.files ?? [])]);
}
</script>

<template>
  <div
    class="strip"
    :class="{ over }"
    @dragover.prevent="over = true"
    @dragleave="over = false"
    @drop.prevent="dropped"
  >
    <button
      v-for="photo in photos"
      :key="photo.id"
      type="button"
      class="thumbnail"
      :aria-label="
        isPaper(photo)
          ? $gettext('Paper of %{label}, %{day}', { label, day: photo.addedAt.slice(0, 10) })
          : $gettext('Photo of %{label}, %{day}', { label, day: photo.addedAt.slice(0, 10) })
      "
      @click="open = true"
    >
      <img :src="at('/api/photos/{id}/thumbnail', { path: { id: photo.id } })" alt="" loading="lazy" />
    </button>
    <label class="button">
      {{ papers ? $gettext("Add photo or PDF") : $gettext("Add photo") }}
      <input
        class="visually-hidden"
        type="file"
        :accept="papers ? 'image/jpeg,image/png,application/pdf' : 'image/jpeg,image/png'"
        multiple
        :aria-label="$gettext('Photo of %{label}', { label })"
        @change="taken"
      />
    </label>
    <el-dialog v-model="open" :title="label" width="min(900px, 94vw)" append-to-body>
      <div class="large"><PhotoViewer v-if="open" :photos="photos" /></div>
    </el-dialog>
  </div>
</template>

<style scoped>
.strip {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  align-items: center;
}

.over {
  outline: 2px dashed var(--lake);
  outline-offset: 2px;
}

.thumbnail {
  width: 58px;
  height: 44px;
  padding: 0;
  border: 1px solid var(--hair);
  border-radius: 3px;
  background: none;
  overflow: hidden;
  cursor: pointer;
}

.thumbnail img {
  width: 100%;
  height: 100%;
  object-fit: cover;
}

.large {
  height: 70vh;
}
</style>
