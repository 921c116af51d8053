<script setup lang="ts">
import type { Unsaved } from "./useUnsaved";

/** What was typed and is not saved, each a way to its line. */
defineProps<{ waiting: Unsaved[] }>();
</script>

<template>
  <p class="unsaved-lines" role="note">
    Not saved yet:
    <template v-for="(each, index) in waiting" :key="each.line"
      ><template v-if="index">, </template
      ><RouterLink :to="`/installations/${each.installation}/${each.station}?line=${each.line}`"
        >{{ each.title }} <span class="mono">{{ each.typed }}</span></RouterLink
      ></template
    >.
  </p>
</template>

<style scoped>
.unsaved-lines {
  margin: 4px 0 0;
  padding: 4px 8px;
  border-left: 3px solid var(--brass);
  font-size: 13px;
}
</style>
