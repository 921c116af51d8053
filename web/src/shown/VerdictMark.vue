<script setup lang="ts">
import { verdictWord, type Verdict } from "../words/words";
import { COLOURS } from "./colours";

withDefaults(defineProps<{ verdict: Verdict; size?: number; worded?: boolean }>(), {
  size: 16,
  worded: false,
});
</script>

<template>
  <span class="mark" :style="{ color: COLOURS[verdict] }">
    <svg
      viewBox="0 0 12 12"
      :width="size"
      :height="size"
      :role="worded ? undefined : 'img'"
      :aria-hidden="worded"
    >
      <title v-if="!worded">{{ verdictWord(verdict) }}</title>
      <template v-if="verdict === 'MEETS'">
        <circle cx="6" cy="6" r="5.5" fill="currentColor" />
        <path d="M3.4 6.2 5.2 8l3.4-3.8" fill="none" stroke="var(--paper)" stroke-width="1.5" />
      </template>
      <path v-else-if="verdict === 'FAILS'" d="M.5 1h11L6 11.5Z" fill="currentColor" />
      <path
        v-else-if="verdict === 'TOO_CLOSE'"
        d="M5 .6a5.5 5.5 0 0 0 0 10.8ZM7 .6a5.5 5.5 0 0 1 0 10.8Z"
        fill="currentColor"
      />
      <path
        v-else-if="verdict === 'NOT_SHOWN'"
        d="M9.9 2.6a5 5 0 1 0 1 4"
        fill="none"
        stroke="currentColor"
        stroke-width="1.6"
      />
      <path v-else-if="verdict === 'DOES_NOT_APPLY'" d="M2 6h8" stroke="currentColor" stroke-width="1.6" />
      <path
        v-else
        d="M2 .5v11M2 1h9L8.4 4 11 7H2"
        fill="currentColor"
        stroke="currentColor"
        stroke-width="1.2"
      />
    </svg>
    <span v-if="worded" class="word">{{ verdictWord(verdict) }}</span>
  </span>
</template>

<style scoped>
.mark {
  display: inline-flex;
  flex: none;
  gap: 6px;
  align-items: center;
  vertical-align: -3px;
}

.word {
  font-weight: 600;
  white-space: nowrap;
}
</style>
