<script lang="ts">
import type { Schemas } from "../api/client";

/** A reading that goes with an answer, of one of the lines asked about. */
export interface Given {
  line: number;
  typed: string;
  grade: "RECORDED" | "STATED";
}

interface Of {
  point: string;
  component: string;
  title: string;
}

/** Those that were typed, as they are sent. */
export function sent(given: Given[], lines: Of[]): Schemas["AnsweredReading"][] {
  return given.flatMap(({ line, typed, grade }) => {
    const to = lines[line];
    return to && typed.trim() ? [{ point: to.point, component: to.component, typed, grade }] : [];
  });
}
</script>

<script setup lang="ts">
defineProps<{ lines: Of[] }>();
const given = defineModel<Given[]>({ required: true });
</script>

<template>
  <div v-for="(reading, index) in given" :key="index" class="given">
    <select v-model="reading.line" class="field" :aria-label="$gettext('Line')">
      <option v-for="(line, place) in lines" :key="place" :value="place">{{ line.title }}</option>
    </select>
    <input
      v-model="reading.typed"
      class="field mono"
      :aria-label="$gettext('Reading, with its unit')"
      :placeholder="$gettext('Reading, with its unit')"
    />
    <select v-model="reading.grade" class="field" :aria-label="$gettext('How it is known')">
      <option value="RECORDED">{{ $gettext("recorded") }}</option>
      <option value="STATED">{{ $gettext("stated") }}</option>
    </select>
  </div>
</template>

<style scoped>
.given {
  display: grid;
  grid-template-columns: minmax(0, 1.4fr) minmax(0, 1fr) 130px;
  gap: 8px;
  margin-top: 8px;
}

@media (max-width: 560px) {
  .given {
    grid-template-columns: 1fr;
  }
}
</style>
