<script setup lang="ts">
import { computed, ref } from "vue";
import { useRouter } from "vue-router";
import { api, type Schemas } from "../api/client";
import { sentence } from "../api/problems";
import { useSession } from "../session/useSession";
import { countsInWords, ORDER, WORDS, type Verdict } from "../walk/verdicts";
import VerdictMark from "../walk/VerdictMark.vue";
import ImportButton from "./ImportButton.vue";
import NewInstallation from "./NewInstallation.vue";

const router = useRouter();
const { person } = useSession();

const entries = ref<Schemas["RegisterEntry"][]>();
const problem = ref("");
const words = ref("");
const crew = ref("");
const worst = ref<Verdict | "">("");
const entering = ref(false);

async function load() {
  problem.value = "";
  try {
    entries.value = await api.get("/api/installations");
  } catch (thrown) {
    problem.value = sentence(thrown);
  }
}
void load();

const crews = computed(() => [...new Set(entries.value?.map((e) => e.crew))].sort());
const shown = computed(() =>
  (entries.value ?? []).filter((entry) => {
    const text = `${entry.reference} ${entry.title} ${entry.building} ${entry.system}`.toLowerCase();
    return (
      text.includes(words.value.toLowerCase()) &&
      (!crew.value || entry.crew === crew.value) &&
      (!worst.value || entry.worst === worst.value)
    );
  }),
);

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
        <option v-for="name in crews" :key="name">{{ name }}</option>
      </select>
      <select v-model="worst" class="field" aria-label="Most pressing verdict">
        <option value="">Any verdict</option>
        <option v-for="verdict in ORDER" :key="verdict" :value="verdict">{{ WORDS[verdict] }}</option>
      </select>
    </div>
    <p v-if="problem" class="error" role="alert">
      {{ problem }} <button type="button" class="button" @click="load">Try again</button>
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
          <td><VerdictMark :verdict="entry.worst" worded /></td>
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
    <p v-else-if="entries && !entries.length" class="empty">
      The register is empty. Enter the first installation, or have the quality lead import a case file.
    </p>
    <p v-else-if="entries" class="empty">
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
  grid-template-columns: minmax(0, 2fr) minmax(0, 1fr) minmax(0, 1fr);
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
