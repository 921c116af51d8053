<script setup lang="ts">
/** Chooses which of several units a figure draws; shows nothing where there is only one. */
defineProps<{ units: { component: string; title: string }[]; label: string }>();
const at = defineModel<string>({ required: true });
</script>

<template>
  <div v-if="units.length > 1" class="tabs" role="group" :aria-label="label">
    <button
      v-for="(unit, index) in units"
      :key="unit.component"
      type="button"
      :aria-pressed="at ? unit.component === at : index === 0"
      @click="at = unit.component"
    >
      {{ unit.title }}
    </button>
  </div>
</template>

<style scoped>
.tabs {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
  padding: 6px 8px 0;
}

button {
  min-height: 32px;
  padding: 0 10px;
  border: 1px solid var(--hair);
  border-radius: 4px;
  background: var(--paper);
  color: var(--ink);
  font: 12.5px var(--text);
  cursor: pointer;
}

button[aria-pressed="true"] {
  border-color: var(--lake);
  background: var(--lake-soft);
  font-weight: 600;
}
</style>
