<script setup lang="ts">
import { thingWord } from "../words/words";

/** What a drawn thing is called and what it is. */
defineProps<{ title?: string; kind: string; kinds: string[] }>();
const emit = defineEmits<{ change: [said: { title?: string; kind?: string }] }>();
</script>

<template>
  <label class="wide">
    <span class="label">{{ $gettext("Title") }}</span>
    <input
      class="field"
      maxlength="80"
      :value="title"
      @change="emit('change', { title: ($event.target as HTMLInputElement).value })"
    />
  </label>
  <label class="wide">
    <span class="label">{{ $gettext("What it is") }}</span>
    <select
      class="field"
      :value="kind"
      @change="emit('change', { kind: ($event.target as HTMLSelectElement).value })"
    >
      <option v-for="each in kinds" :key="each" :value="each">{{ thingWord(each) }}</option>
    </select>
  </label>
</template>
