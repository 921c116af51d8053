<script setup lang="ts">
import { ref } from "vue";
import { at } from "../api/address";
import { api } from "../api/client";
import { sentence } from "../api/problems";
import { useFollowing } from "../frame/useFollowing";
import { useUnits } from "../frame/useUnits";
import FoundCard from "./FoundCard.vue";

/** The records of every crew beside each other: how many checks were made, how many leave a doubt, of what kind and when. */
const { units } = useUnits();
const problem = ref("");
const told = (thrown: unknown) => (problem.value = sentence(thrown));
const {
  followed: audit,
  begin: follow,
  stop,
} = useFollowing(
  (id) => api.get(at("/api/record-audits/{id}", { path: { id } })),
  (id) => api.remove(at("/api/record-audits/{id}", { path: { id } })),
  told,
);

async function begin() {
  problem.value = "";
  await follow(api.post(at("/api/record-audits", { query: { units: units() } }), undefined)).catch(told);
}
void begin();
</script>

<template>
  <div class="page">
    <div class="page-head">
      <div>
        <h1>Whose records fit together?</h1>
        <p class="quiet">
          Every record held against physics, and those of a crew beside each other. Of all doubts told here
          chance alone raises no more than the rule book allows.
        </p>
      </div>
      <div class="tools">
        <button v-if="audit?.state === 'RUNNING'" type="button" class="button" @click="stop">Stop</button>
        <button v-else type="button" class="button" @click="begin">Audit again</button>
      </div>
    </div>
    <p v-if="problem" class="error" role="alert">{{ problem }}</p>
    <template v-if="audit">
      <progress
        v-if="audit.state === 'RUNNING'"
        :value="audit.done"
        :max="Math.max(1, audit.total)"
        aria-label="Records audited"
      ></progress>
      <p v-if="audit.state === 'CANCELLED'">Stopped after {{ audit.done }} of {{ audit.total }} records.</p>
      <p v-if="audit.problem" class="error" role="alert">{{ audit.problem }}</p>
      <p v-if="audit.state === 'DONE' && !audit.total">No record has come in yet.</p>
      <section v-for="crew in audit.crews" :key="crew.crew" :aria-label="crew.crew">
        <h2>{{ crew.crew }}</h2>
        <p class="verdict" :class="{ doubtful: crew.doubtful }">
          {{ crew.doubtful }} of {{ crew.checks }} checks leave a doubt
          <span class="quiet">
            {{ crew.records }} {{ crew.records === 1 ? "record" : "records" }}, {{ crew.doubted }} with a
            doubt of its own
          </span>
        </p>
        <div class="tables">
          <table v-if="crew.kinds.length" class="table">
            <thead>
              <tr>
                <th>Kind</th>
                <th>Doubts</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="kind in crew.kinds" :key="kind.check">
                <td>{{ kind.title }}</td>
                <td class="mono">{{ kind.doubtful }}</td>
              </tr>
            </tbody>
          </table>
          <table class="table">
            <thead>
              <tr>
                <th>Month</th>
                <th>Records with a doubt</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="month in crew.months" :key="month.month">
                <td class="mono">{{ month.month }}</td>
                <td class="mono">{{ month.doubtful }} of {{ month.records }}</td>
              </tr>
            </tbody>
          </table>
        </div>
        <ul v-if="crew.named.length" class="named">
          <li v-for="each in crew.named" :key="each.id">
            <RouterLink :to="`/records/${each.id}`">
              <strong>{{ each.reference }} {{ each.title }}</strong>
              <span class="quiet">{{ each.day }}, {{ each.signedBy }}</span>
              <span>{{ each.doubts.join(", ") }}</span>
            </RouterLink>
          </li>
        </ul>
        <template v-if="crew.among.length">
          <h3>Beside each other</h3>
          <div v-for="(each, index) in crew.among" :key="index">
            <RouterLink v-if="each.record" :to="`/records/${each.record}`">{{ each.reference }}</RouterLink>
            <FoundCard :found="each.found" />
          </div>
        </template>
      </section>
    </template>
  </div>
</template>

<style scoped>
section {
  margin-top: 18px;
  padding-top: 10px;
  border-top: 1px solid var(--hair);
}

section > * + * {
  margin-top: 8px;
}

.verdict {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  align-items: baseline;
  font-size: 18px;
  font-weight: 700;
}

.verdict .quiet {
  font-size: 14px;
  font-weight: 400;
}

.verdict.doubtful {
  color: var(--close);
}

.tables {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(240px, 1fr));
  gap: 8px 24px;
  align-items: start;
}

progress {
  width: 100%;
  accent-color: var(--lake);
}

.named {
  padding: 0;
  list-style: none;
}

.named a {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  align-items: center;
  min-height: 48px;
  padding: 6px 0;
  border-bottom: 1px solid var(--hair);
}
</style>
