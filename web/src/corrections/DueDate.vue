<script setup lang="ts">
import { ended, overdue, STATES, type Correction } from "./states";

/** Where a correction stands, and by when it is due. */
defineProps<{ correction: Correction }>();
</script>

<template>
  <span class="state" :class="{ overdue: overdue(correction), ended: ended(correction) }">
    <strong>{{ STATES[correction.state] }}</strong>
    <template v-if="!ended(correction)">
      <span v-if="overdue(correction)">overdue since {{ correction.due }}</span>
      <span v-else-if="correction.due">by {{ correction.due }}</span>
      <span v-else class="quiet">no date set</span>
    </template>
  </span>
</template>

<style scoped>
.state {
  display: grid;
  align-content: start;
}

.overdue {
  color: var(--fails);
}

.ended strong {
  color: var(--quiet);
  font-weight: 400;
}
</style>
