<script setup lang="ts">
import type { Schemas } from "../../api/client";
import VerdictMark from "../VerdictMark.vue";

/** The way to the equipment, length by length: what was found against what is asked. */
defineProps<{ parts: Schemas["PartView"][] }>();
</script>

<template>
  <ol class="way" aria-label="The way to the equipment">
    <li v-for="part in parts" :key="part.judgement" :class="part.verdict.toLowerCase()">
      <VerdictMark :verdict="part.verdict" :size="14" />
      <span class="title">{{ part.title }}</span>
      <span class="mono found">{{ part.found ?? "–" }}</span>
      <span class="quiet mono">{{ part.asked ? `asked ${part.asked}` : "" }}</span>
    </li>
  </ol>
</template>

<style scoped>
.way {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(235px, 1fr));
  gap: 6px;
  margin: 0;
  padding: 8px;
  list-style: none;
}

li {
  display: grid;
  grid-template-columns: 18px minmax(0, 1fr) auto;
  gap: 0 6px;
  align-items: center;
  padding: 5px 8px;
  border: 1px solid var(--hair);
  border-radius: 3px;
  font-size: 13px;
}

li > :last-child {
  grid-column: 2 / -1;
  min-height: 17px;
  font-size: 12px;
}

.found {
  font-weight: 600;
}

.fails {
  border-color: var(--fails);
}

.too_close {
  border-color: var(--close);
}

.does_not_apply {
  color: var(--quiet);
}
</style>
