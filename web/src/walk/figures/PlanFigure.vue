<script setup lang="ts">
import { computed, ref } from "vue";
import type { Schemas } from "../../api/client";
import PlanSvg from "../../site/PlanSvg.vue";

const props = defineProps<{ plan: Schemas["PlanView"]; id: string }>();
const mayTurn = ref(false);
const cure = computed(() => (mayTurn.value ? props.plan.turnedCure : props.plan.cure));
</script>

<template>
  <div class="site">
    <PlanSvg :view="plan" :cure="cure" />
    <div class="words">
      <p v-for="overlap in plan.overlaps" :key="overlap" class="error">{{ overlap }}</p>
      <p role="status">{{ cure.sentence }}</p>
      <label><input v-model="mayTurn" type="checkbox" /> Units may be turned by quarter turns</label>
      <RouterLink class="button" :to="`/installations/${id}/site`">Open the drawing</RouterLink>
    </div>
  </div>
</template>

<style scoped>
.site {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 190px;
  grid-template-rows: minmax(0, 1fr);
  height: 100%;
}

.words {
  display: flex;
  flex-direction: column;
  gap: 8px;
  padding: 10px;
  overflow: auto;
  font-size: 13px;
}

@media (max-width: 760px) {
  .site {
    grid-template-columns: 1fr;
    grid-template-rows: none;
  }
}
</style>
