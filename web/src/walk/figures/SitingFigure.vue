<script setup lang="ts">
import { computed, ref } from "vue";
import type { Schemas } from "../../api/client";
import PlanFigure from "./PlanFigure.vue";
import SitingView from "./SitingView.vue";
import UnitTabs from "./UnitTabs.vue";

const props = defineProps<{
  id: string;
  units: Schemas["SitedUnitView"][];
  plan?: Schemas["PlanView"];
}>();
const SITE = "site";
const at = ref("");
const tabs = computed(() => [
  ...(props.plan ? [{ component: SITE, title: "Site" }] : []),
  ...props.units.map(({ component, title }) => ({ component, title })),
]);
const shown = computed(() => at.value || tabs.value[0]?.component);
const unit = computed(() => props.units.find((u) => u.component === shown.value));
</script>

<template>
  <div v-if="tabs.length" class="siting">
    <UnitTabs v-model="at" :units="tabs" label="Unit drawn" />
    <PlanFigure v-if="plan && shown === SITE" :id="id" :plan="plan" class="site" />
    <template v-else-if="unit">
      <div class="views">
        <SitingView v-if="unit.outdoor" :unit="unit" kind="plan" />
        <SitingView :unit="unit" kind="elevation" />
      </div>
      <p class="quiet note">
        <template v-if="!unit.sized"
          >Cabinet size is not known from a sheet; drawn at a usual size.
        </template>
        <RouterLink v-if="!plan" :to="`/installations/${id}/site`">Draw the site</RouterLink>
      </p>
    </template>
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

.site {
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
