<script setup lang="ts">
import { $gettext } from "../language/language";
import { onMounted, ref } from "vue";
import { at } from "../api/address";
import { api, type Schemas } from "../api/client";
import { sentence } from "../api/problems";
import { notice } from "../frame/notice";
import { useUnits } from "../frame/useUnits";

/** The refrigerants that can be computed with, and how another is brought in. */
defineProps<{ leads: boolean }>();
const { units } = useUnits();
const all = ref<Schemas["RefrigerantList"]>();
const problem = ref("");

async function load() {
  try {
    all.value = await api.get(at("/api/refrigerants", { query: { units: units() } }));
  } catch (thrown) {
    problem.value = sentence(thrown);
  }
}

async function bring(event: Event) {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0];
  input.value = "";
  if (!file) {
    return;
  }
  problem.value = "";
  try {
    const brought = await api.file(at("/api/refrigerants"), file, "text/csv");
    notice.done($gettext("%{name} is known now.", { name: brought.name }));
    await load();
  } catch (thrown) {
    problem.value = sentence(thrown);
  }
}

onMounted(load);
</script>

<template>
  <section v-if="all" class="refrigerants" :aria-label="$gettext('Refrigerants')">
    <div class="page-head">
      <div>
        <h2>{{ $gettext("Refrigerants") }}</h2>
        <p class="quiet">
          {{ $gettext("Saturation, density and enthalpy of each are known over the range named here.") }}
        </p>
      </div>
      <label v-if="leads" class="button">
        {{ $gettext("Import a refrigerant") }}
        <input type="file" accept=".csv,text/csv" class="visually-hidden" @change="bring" />
      </label>
    </div>
    <p v-if="problem" class="error" role="alert">{{ problem }}</p>
    <div class="scrolled">
      <table class="table">
        <thead>
          <tr>
            <th>{{ $gettext("Designation") }}</th>
            <th>{{ $gettext("Safety class") }}</th>
            <th>{{ $gettext("Lower flammability limit") }}</th>
            <th>{{ $gettext("Warming potential, 100 years") }}</th>
            <th>{{ $gettext("Described") }}</th>
            <th>{{ $gettext("Imported by") }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="each in all.refrigerants" :key="each.name">
            <td>
              <strong>{{ each.name }}</strong>
            </td>
            <td>{{ each.safetyClass }}</td>
            <td class="mono">{{ each.lowerFlammabilityLimit ?? "–" }}</td>
            <td class="mono">{{ each.warmingPotential.toLocaleString("en") }}</td>
            <td class="mono">{{ each.described }}</td>
            <td>{{ each.broughtBy ?? "–" }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <details v-if="leads">
      <summary>{{ $gettext("How the file is written") }}</summary>
      <p>
        {{
          $gettext(
            "Comma-separated values, UTF-8: a heading row, then a row for each temperature from cold to warm. The first six columns are the same in every row.",
          )
        }}
      </p>
      <p class="mono columns">{{ all.columns.join(", ") }}</p>
    </details>
  </section>
</template>

<style scoped>
.refrigerants {
  margin-top: 24px;
}

.scrolled {
  overflow-x: auto;
}

summary {
  min-height: 44px;
  padding-top: 12px;
  cursor: pointer;
}

.columns {
  overflow-wrap: anywhere;
}
</style>
