<script setup lang="ts">
import type { Unsaved } from "./useUnsaved";

/** What was typed and is not saved, each a way to its line. */
defineProps<{ waiting: Unsaved[] }>();
</script>

<template>
  <span v-if="waiting.length" class="unsaved-lines" role="note">
    {{ $gettext("Not saved yet:") }}
    <template v-for="(each, index) in waiting" :key="each.line"
      ><template v-if="index">, </template
      ><RouterLink :to="`/installations/${each.installation}/${each.station}?line=${each.line}`"
        >{{ each.title }} <span class="mono">{{ each.said ?? each.typed }}</span></RouterLink
      ></template
    >.&ensp;
  </span>
</template>

<style scoped>
.unsaved-lines {
  color: var(--ink);
  font-weight: 600;
}
</style>
