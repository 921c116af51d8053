<script setup lang="ts">
import { computed } from "vue";
import type { Schemas } from "../../api/client";
import VerdictMark from "../VerdictMark.vue";

const props = defineProps<{ plates: Schemas["PlateView"][] }>();
const outdoor = computed(() => props.plates.filter((plate) => plate.outdoor));
const indoor = computed(() => props.plates.filter((plate) => !plate.outdoor));
/** Several indoor plates show what they are paired by: model and refrigerant. */
const shown = computed<[number, number]>(() => (indoor.value.length > 1 ? [1, 3] : [0, 4]));
</script>

<template>
  <div class="plates" role="group" aria-label="Nameplates and how they go together">
    <div class="side">
      <div v-for="plate in outdoor" :key="plate.component" class="plate">
        <h3>{{ plate.title }}</h3>
        <dl>
          <template v-for="row in plate.rows" :key="row.label">
            <dt>{{ row.label }}</dt>
            <dd class="mono">{{ row.value }}</dd>
          </template>
        </dl>
      </div>
    </div>
    <div class="pairs">
      <div v-for="plate in indoor" :key="plate.component" class="pair">
        <ul class="links">
          <li v-for="link in plate.links" :key="link.label">
            <VerdictMark :verdict="link.verdict" worded />
            <span class="quiet">{{ link.label }}</span>
          </li>
        </ul>
        <div class="plate">
          <h3>{{ plate.title }}</h3>
          <dl>
            <template v-for="row in plate.rows.slice(...shown)" :key="row.label">
              <dt>{{ row.label }}</dt>
              <dd class="mono">{{ row.value }}</dd>
            </template>
          </dl>
        </div>
      </div>
    </div>
  </div>
</template>

<style scoped>
.plates {
  display: flex;
  height: 100%;
  gap: 0;
  align-items: safe center;
  padding: 8px 12px;
}

.side {
  flex: 0 0 256px;
}

.pairs {
  display: grid;
  flex: 1;
  gap: 6px;
}

.pair {
  display: grid;
  grid-template-columns: minmax(180px, 1fr) 226px;
  align-items: center;
}

/* the line set that joins the plates */
.links {
  position: relative;
  display: grid;
  gap: 2px;
  margin: 0;
  padding: 4px 12px;
  border-top: 2px solid var(--lake);
  list-style: none;
  font-size: 12px;
}

.links li {
  display: flex;
  flex-wrap: wrap;
  gap: 0 6px;
}

.plate {
  padding: 5px 12px;
  border: 1.5px solid var(--ink);
  border-radius: 3px;
  background: var(--paper);
}

h3 {
  margin-bottom: 2px;
  font-size: 13px;
}

dl {
  display: grid;
  grid-template-columns: auto auto;
  gap: 1px 10px;
  margin: 0;
  font-size: 12px;
}

dt {
  color: var(--quiet);
}

dd {
  margin: 0;
  text-align: right;
  overflow-wrap: anywhere;
}

@media (max-width: 760px) {
  .plates {
    display: grid;
  }

  .pair {
    grid-template-columns: 1fr;
  }
}
</style>
