<script setup lang="ts">
import type { Schemas } from "../api/client";
import { words } from "../words/words";

/** One unit of a system as it is entered or put right; what it is called by stands in the slot. */
defineProps<{ number: number; alone: boolean; named: string }>();
const kind = defineModel<Schemas["NewComponent"]["kind"]>("kind", { required: true });
const ownSupply = defineModel<boolean>("ownSupply", { required: true });
const emit = defineEmits<{ chosen: []; leaveOut: [] }>();
</script>

<template>
  <div class="unit">
    <slot />
    <select
      v-model="kind"
      class="field"
      :aria-label="$gettext('Kind of unit %{number}', { number })"
      @change="emit('chosen')"
    >
      <option v-for="known in words.units" :key="known.id" :value="known.id">{{ known.title }}</option>
    </select>
    <label class="check"><input v-model="ownSupply" type="checkbox" /> {{ $gettext("own circuit") }}</label>
    <button
      type="button"
      class="button"
      :disabled="alone"
      :aria-label="$gettext('Leave out %{unit}', { unit: named })"
      @click="emit('leaveOut')"
    >
      −
    </button>
  </div>
</template>

<style scoped>
.unit {
  display: grid;
  grid-template-columns: minmax(0, 1.3fr) minmax(0, 1fr) auto 44px;
  gap: 8px;
  align-items: end;
  margin-bottom: 8px;
}

.check {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 44px;
}

@media (max-width: 600px) {
  .unit {
    grid-template-columns: minmax(0, 1fr) auto 44px;
  }

  .unit > :first-child {
    grid-column: 1 / -1;
  }
}
</style>
