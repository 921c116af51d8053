<script setup lang="ts">
import { ref, watch } from "vue";
import { at } from "../api/address";
import { api, type Schemas } from "../api/client";
import { sentence } from "../api/problems";
import { useUnits } from "../frame/useUnits";
import VerdictMark from "./VerdictMark.vue";

/** What binds an installation, what could still change it, and what is left before its visit is closed. */
const props = defineProps<{ id: string; judged?: unknown; unfolded?: boolean }>();
const { units } = useUnits();
const summary = ref<Schemas["SummaryView"]>();
const problem = ref("");

watch(
  () => [props.id, props.judged, units()],
  async () => {
    try {
      summary.value = await api.get(
        at("/api/installations/{id}/summary", { path: { id: props.id }, query: { units: units() } }),
      );
      problem.value = "";
    } catch (thrown) {
      problem.value = sentence(thrown);
    }
  },
  { immediate: true },
);

function line(brief: Schemas["Brief"]): string {
  const query = brief.point ? `?line=${brief.point}@${brief.component}` : "";
  return `/installations/${props.id}/${brief.station}${query}`;
}
</script>

<template>
  <section :aria-label="$gettext('What the visit comes to')">
    <p v-if="problem" class="error" role="alert">{{ problem }}</p>
    <details v-if="summary" class="summary" :open="unfolded">
      <summary>{{ summary.outcome }}</summary>
      <div v-if="summary.decisive.length">
        <h2>{{ $gettext("What decides it") }}</h2>
        <ul>
          <li v-for="each in summary.decisive" :key="each.key">
            <VerdictMark :verdict="each.verdict" />
            <span>
              <RouterLink :to="line(each)"
                >{{ each.title }}<template v-if="each.subject">, {{ each.subject }}</template></RouterLink
              >: {{ each.found }} <span class="quiet">{{ each.remedy }}</span>
            </span>
          </li>
        </ul>
        <p v-if="summary.lesser" class="quiet">
          {{ $gettext("%{lesser} more fail.", { lesser: summary.lesser }) }}
        </p>
      </div>
      <div v-if="summary.couldChange.length">
        <h2>{{ $gettext("What could still change it") }}</h2>
        <ul>
          <li v-for="each in summary.couldChange" :key="each.key">
            <VerdictMark :verdict="each.verdict" />
            <span>
              <RouterLink :to="line(each)"
                >{{ each.title }}<template v-if="each.subject">, {{ each.subject }}</template></RouterLink
              >
              <span class="quiet">{{ " " }}{{ each.remedy ?? each.found }}</span>
            </span>
          </li>
        </ul>
        <p v-if="summary.more" class="quiet">{{ $gettext("%{more} more.", { more: summary.more }) }}</p>
      </div>
      <div v-if="summary.revisits.length">
        <h2>{{ $gettext("What waits for other weather") }}</h2>
        <p v-for="each in summary.revisits" :key="each.weather">
          <strong>{{ each.weather }}</strong>: {{ each.what.join(", ") }}
        </p>
      </div>
      <div v-if="summary.open.length">
        <h2>{{ $gettext("Still open before it is sealed") }}</h2>
        <p v-for="each in summary.open" :key="each.what + each.where">
          <strong>{{ each.what }}</strong>: {{ each.where }}
        </p>
      </div>
      <div v-if="summary.pictures.length">
        <h2>{{ $gettext("Photos still missing") }}</h2>
        <p>
          {{
            summary.pictures
              .map((each) => (each.where ? `${each.what}, ${each.where}` : each.what))
              .join(" · ")
          }}
        </p>
      </div>
    </details>
  </section>
</template>

<style scoped>
.summary > div {
  margin-top: 12px;
}

summary {
  min-height: 44px;
  padding-top: 10px;
  font-weight: 700;
  cursor: pointer;
}

h2 {
  margin: 0 0 4px;
}

ul {
  display: grid;
  gap: 6px;
  padding: 0;
  margin: 0;
  list-style: none;
}

li {
  display: flex;
  gap: 8px;
  align-items: baseline;
}

p {
  margin: 2px 0;
}
</style>
