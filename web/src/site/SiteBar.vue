<script setup lang="ts">
import { $gettext } from "../language/language";
import { at } from "../api/address";
import { notice } from "../frame/notice";
import UnitTabs from "../shown/figures/UnitTabs.vue";
import type { useSite } from "./useSite";

/** Which drawing is shown, what is done with it as a whole, and its files. */
const props = defineProps<{
  id: string;
  site: ReturnType<typeof useSite>;
  tabs: { component: string; title: string }[];
}>();
const tab = defineModel<string>({ required: true });
const { past, unsaved } = props.site;

async function save() {
  if (await props.site.save()) {
    notice.done($gettext("The drawing is saved."));
  }
}

async function bringIn(event: Event) {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0];
  input.value = "";
  if (!file) {
    return;
  }
  let read: unknown;
  try {
    read = JSON.parse(await file.text());
  } catch {
    props.site.refuse($gettext("This file is not JSON. The drawing is as it was."));
    return;
  }
  await props.site.bring(read);
}
</script>

<template>
  <div class="bar">
    <RouterLink class="button" :to="`/installations/${id}/siting`">{{
      $gettext("Back to siting")
    }}</RouterLink>
    <UnitTabs v-model="tab" :units="tabs" :label="$gettext('Drawing')" />
    <span class="space"></span>
    <button type="button" class="button" :disabled="!past.length" @click="site.undo()">
      {{ $gettext("Undo") }}
    </button>
    <details class="files">
      <summary class="button">{{ $gettext("Files") }}</summary>
      <div class="sheet">
        <label class="button">
          {{ $gettext("Import GeoJSON") }}
          <input
            class="visually-hidden"
            type="file"
            accept=".geojson,.json,application/geo+json"
            @change="bringIn"
          />
        </label>
        <a
          class="button"
          :href="at('/api/installations/{id}/site-plan.geojson', { path: { id } })"
          download
          >{{ $gettext("GeoJSON") }}</a
        >
        <a class="button" :href="at('/api/installations/{id}/site-plan.svg', { path: { id } })" download>{{
          $gettext("SVG")
        }}</a>
      </div>
    </details>
    <button type="button" class="button primary" :disabled="!unsaved" @click="save">
      {{ $gettext("Save the drawing") }}
    </button>
  </div>
</template>

<style scoped>
.bar {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  align-items: center;
  padding-bottom: 8px;
}

.bar :deep(.tabs) {
  padding: 0;
}

.bar :deep(.tabs button) {
  min-height: 40px;
}

.files {
  position: relative;
}

.files summary {
  list-style: none;
}

.sheet {
  display: grid;
  gap: 6px;
  position: absolute;
  z-index: 5;
  top: calc(100% + 4px);
  right: 0;
  width: 180px;
  padding: 8px;
  border: 1px solid var(--ink);
  border-radius: 4px;
  background: var(--paper);
}

.space {
  flex: 1;
}
</style>
