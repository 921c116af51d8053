<script setup lang="ts">
import { computed, onScopeDispose, ref, shallowRef, watch } from "vue";
import { useRouter } from "vue-router";
import { at } from "../api/address";
import type { paths } from "../api/generated/types";
import { useLatest } from "../api/useLatest";
import { useSession } from "../session/useSession";
import { countsInWords, words as known, type Verdict } from "../words/words";
import VerdictMark from "../walk/VerdictMark.vue";
import ImportButton from "./ImportButton.vue";
import NewInstallation from "./NewInstallation.vue";

const router = useRouter();
const { person } = useSession();

const SIZE = 50;
/** Letters typed one after another are asked for together. */
const PAUSE_MS = 250;
type Order = NonNullable<NonNullable<paths["/api/installations"]["get"]["parameters"]["query"]>["order"]>;
const ORDERS: [Order, string][] = [
  ["REFERENCE", "by reference"],
  ["PRESSING", "most pressing first"],
  ["VISITED", "last visited first"],
  ["BUILDING", "by place"],
  ["CREW", "by crew"],
];

const words = ref("");
const crew = ref("");
const worst = ref<Verdict | "">("");
const order = ref<Order>("REFERENCE");
const number = ref(0);
const entering = ref(false);
const again = ref(0);

const path = computed(() =>
  at("/api/installations", {
    query: {
      order: order.value,
      page: number.value,
      size: SIZE,
      words: words.value || undefined,
      crew: crew.value || undefined,
      worst: worst.value || undefined,
    },
  }),
);
const typed = shallowRef(path.value);
let pause: ReturnType<typeof setTimeout> | undefined;
watch(path, (now) => {
  clearTimeout(pause);
  pause = setTimeout(() => (typed.value = now), PAUSE_MS);
});
watch([words, crew, worst, order], () => (number.value = 0));
onScopeDispose(() => clearTimeout(pause));

const ofRegister = ref("register");
const { value: register, problem } = useLatest(
  ofRegister,
  () => typed.value,
  computed(() => `${typed.value} ${again.value}`),
);
const shown = computed(() => register.value?.entries ?? []);
const last = computed(() => Math.max(0, Math.ceil((register.value?.total ?? 0) / SIZE) - 1));

function load() {
  again.value++;
}

function open(id: string) {
  void router.push(`/installations/${id}/papers`);
}

function entered(id: string) {
  entering.value = false;
  open(id);
}
</script>

<template>
  <div class="page">
    <div class="page-head">
      <div>
        <h1>Which installations still need something?</h1>
        <p class="quiet">Each stands under its most pressing verdict. Open one to walk it.</p>
      </div>
      <div class="actions">
        <ImportButton v-if="person?.role === 'QUALITY_LEAD'" @imported="load" />
        <button v-if="person?.role !== 'CREW'" type="button" class="button primary" @click="entering = true">
          New installation
        </button>
      </div>
    </div>
    <div class="filters">
      <input
        v-model="words"
        class="field"
        placeholder="Find by reference, place or system"
        aria-label="Find"
      />
      <select v-model="crew" class="field" aria-label="Crew">
        <option value="">All crews</option>
        <option v-for="name in register?.crews" :key="name">{{ name }}</option>
      </select>
      <select v-model="worst" class="field" aria-label="Most pressing verdict">
        <option value="">Any verdict</option>
        <option v-for="verdict in known.verdicts" :key="verdict.id" :value="verdict.id">
          {{ verdict.title }}
        </option>
      </select>
      <select v-model="order" class="field" aria-label="Sorted">
        <option v-for="[key, word] in ORDERS" :key="key" :value="key">{{ word }}</option>
      </select>
    </div>
    <p v-if="problem" class="error" role="alert">
      {{ problem }} <button type="button" class="button" @click="load">Try again</button>
    </p>
    <p v-if="register?.outdated" class="quiet" role="status">
      {{ register.outdated }} installations are being judged again; load once more to see how they stand.
      <button type="button" class="button" @click="load">Load</button>
    </p>
    <table v-if="shown.length" class="table register">
      <thead>
        <tr>
          <th>Most pressing</th>
          <th>Installation</th>
          <th>System</th>
          <th>Crew</th>
          <th>Visit</th>
          <th>Open</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="entry in shown" :key="entry.id" @click="open(entry.id)">
          <td>
            <VerdictMark v-if="entry.worst" :verdict="entry.worst" worded /><template v-else>–</template>
          </td>
          <td>
            <RouterLink :to="`/installations/${entry.id}/papers`" @click.stop>{{ entry.title }}</RouterLink>
            <div class="quiet">
              <span class="mono">{{ entry.reference }}</span> {{ entry.building }}
            </div>
          </td>
          <td>{{ entry.system }}</td>
          <td>{{ entry.crew }}</td>
          <td>
            {{ entry.stage }}
            <div class="quiet mono">{{ entry.visitedOn }}</div>
          </td>
          <td>{{ entry.readings ? countsInWords(entry.counts) : "nothing read yet" }}</td>
        </tr>
      </tbody>
    </table>
    <p v-else-if="register && !register.all" class="empty">
      The register is empty. Enter the first installation, or have the quality lead import a case file.
    </p>
    <p v-else-if="register" class="empty">
      No installation fits these filters.
      <button
        type="button"
        class="button"
        @click="
          words = '';
          crew = '';
          worst = '';
        "
      >
        Show all
      </button>
    </p>
    <nav v-if="register && last > 0" class="pages" aria-label="Pages of the register">
      <button type="button" class="button" :disabled="number === 0" @click="number--">Back</button>
      <span>{{ number * SIZE + 1 }} to {{ number * SIZE + shown.length }} of {{ register.total }}</span>
      <button type="button" class="button" :disabled="number >= last" @click="number++">Next</button>
    </nav>
    <NewInstallation v-model="entering" @entered="entered" />
  </div>
</template>

<style scoped>
.actions {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
}

.filters {
  display: grid;
  grid-template-columns: minmax(0, 2fr) repeat(3, minmax(0, 1fr));
  gap: 8px;
  margin-bottom: 12px;
}

.register tbody tr {
  cursor: pointer;
}

.register tbody tr:hover {
  background: var(--lake-soft);
}

.register .mono {
  white-space: nowrap;
}

.register a {
  font-weight: 600;
  text-decoration: none;
}

.pages {
  display: flex;
  gap: 12px;
  align-items: center;
  padding: 14px 0;
}

.empty {
  padding: 24px 0;
}

@media (max-width: 760px) {
  .page {
    padding: 12px 12px 40px;
  }

  .filters {
    grid-template-columns: 1fr 1fr;
  }

  .filters input {
    grid-column: 1 / -1;
  }

  .register thead {
    display: none;
  }

  .register tr {
    display: grid;
    grid-template-columns: 1fr auto;
    padding: 8px 0;
    border-bottom: 1px solid var(--hair);
  }

  .register td {
    padding: 2px 4px;
    border: 0;
  }

  .register td:nth-child(2) {
    grid-row: 1;
    grid-column: 1 / -1;
  }

  .register td:nth-child(n + 3):nth-child(-n + 5) {
    display: none;
  }
}
</style>
