<script setup lang="ts">
import { ended, stateWord, type Correction } from "./states";

/** Where a correction stands, and by when it is due. */
defineProps<{ correction: Correction; overdue: boolean }>();
</script>

<template>
  <span class="state" :class="{ overdue, ended: ended(correction) }">
    <strong>{{ stateWord(correction) }}</strong>
    <template v-if="!ended(correction)">
      <span v-if="overdue">{{ $gettext("overdue since %{due}", { due: correction.due ?? "" }) }}</span>
      <span v-else-if="correction.due">{{ $gettext("by %{due}", { due: correction.due }) }}</span>
      <span v-else class="quiet">{{ $gettext("no date set") }}</span>
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
