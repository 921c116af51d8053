<script setup lang="ts">
import { computed, ref } from "vue";
import type { Schemas } from "../../api/client";
import SitingView from "./SitingView.vue";
import UnitTabs from "./UnitTabs.vue";

const props = defineProps<{ units: Schemas["SitedUnitView"][] }>();
const at = ref("");
const unit = computed(() => props.units.find((u) => u.component === at.value) ?? props.units[0]);
</script>

<template>
  <div v-if="unit" class="siting">
    <UnitTabs v-model="at" :units="units" label="Unit drawn" />
    <div class="views">
      <SitingView v-if="unit.outdoor" :unit="unit" kind="plan" />
      <SitingView :unit="unit" kind="elevation" />
    </div>
    <p v-if="!unit.sized" class="quiet note">
      Cabinet size is not known from a sheet; drawn at a usual size.
    </p>
  </div>
  <p v-else class="quiet none">No unit of this system is judged by its siting.</p>
</template>

<style scoped>
.siting {
  display: flex;
  flex-direction: column;
  height: 100%;
}

.views {
  display: flex;
  flex: 1;
  min-height: 0;
}

.note,
.none {
  padding: 0 10px 6px;
  font-size: 12px;
}

@media (max-width: 760px) {
  .views {
    flex-direction: column;
  }
}
</style>
