<script setup lang="ts">
import FromLayer from "./FromLayer.vue";
import { notice } from "../frame/notice";
import { ref, watch } from "vue";
import { at } from "../api/address";
import { api, ProblemError, type Problem, type Schemas } from "../api/client";
import { sentence } from "../api/problems";
import { useUnits } from "../frame/useUnits";
import { useSession } from "../session/useSession";

const { person } = useSession();
const { chosen: chosenUnits } = useUnits();
const books = ref<Schemas["BookSummary"][]>([]);
const shown = ref("");
const book = ref<Schemas["BookView"]>();
const problem = ref<Problem>();
const text = ref("");
const adding = ref(false);

function told(thrown: unknown): Problem {
  return thrown instanceof ProblemError ? thrown.problem : { status: 0, detail: sentence(thrown) };
}

async function load() {
  try {
    books.value = await api.get(at("/api/rule-books"));
    shown.value ||= books.value[0]?.id ?? "";
  } catch (thrown) {
    problem.value = told(thrown);
  }
}
void load();

watch([shown, chosenUnits], async () => {
  if (shown.value) {
    try {
      book.value = await api.get(
        at("/api/rule-books/{id}", { path: { id: shown.value }, query: { units: chosenUnits.value } }),
      );
    } catch (thrown) {
      problem.value = told(thrown);
    }
  }
});

function startAdding() {
  text.value = book.value?.yaml ?? "";
  problem.value = undefined;
  adding.value = true;
}

async function add() {
  problem.value = undefined;
  try {
    const added = await api.post(at("/api/rule-books"), text.value, "text/plain");
    adding.value = false;
    notice.done(`${added.title}, version ${added.version}, is saved.`);
    shown.value = "";
    await load();
    shown.value = added.id;
  } catch (thrown) {
    problem.value = told(thrown);
  }
}
</script>

<template>
  <div class="page">
    <div class="page-head">
      <div>
        <h1>Whose limits are these?</h1>
        <p class="quiet">
          Every limit with its authority and source. Installations keep the version they were entered with.
        </p>
      </div>
      <button
        v-if="person?.role === 'QUALITY_LEAD'"
        type="button"
        class="button primary"
        @click="startAdding"
      >
        New version
      </button>
    </div>
    <div class="books" role="group" aria-label="Rule book">
      <button
        v-for="item in books"
        :key="item.id"
        type="button"
        class="button"
        :aria-pressed="item.id === shown"
        @click="shown = item.id"
      >
        {{ item.title }}, version {{ item.version }}
      </button>
    </div>
    <p v-if="problem && !adding" class="error" role="alert">{{ problem.detail }}</p>
    <template v-if="book">
      <p class="quiet">{{ book.book.note }} Decision rule: {{ book.decisionRule }}.</p>
      <p v-if="book.book.extending.length">
        Extends {{ book.book.extending.join(", which extends ") }}. What comes from there says so.
      </p>
      <h2>Limits</h2>
      <table class="table">
        <thead>
          <tr>
            <th>What</th>
            <th>Authority</th>
            <th>Limit</th>
            <th>Source</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(limit, index) in book.limits" :key="index">
            <td>
              {{ limit.title }}
              <div class="quiet mono">{{ limit.key }}</div>
            </td>
            <td>{{ limit.authority }}</td>
            <td class="mono">{{ limit.bound }} {{ limit.value }}</td>
            <td>{{ limit.source }}<FromLayer :layer="limit.layer" /></td>
          </tr>
        </tbody>
      </table>
      <h2>Schools</h2>
      <p v-for="school in book.schools" :key="school.topic">
        {{ school.topic }}: <strong>{{ school.chosen }}</strong>
        <span class="quiet">; also {{ school.others.join(", ") }}</span>
        <FromLayer :layer="school.layer" />
      </p>
      <h2>Settings</h2>
      <table class="table">
        <tbody>
          <tr v-for="setting in book.settings" :key="setting.title">
            <td>{{ setting.title }}</td>
            <td class="mono">{{ setting.value }}</td>
            <td>{{ setting.source }}<FromLayer :layer="setting.layer" /></td>
          </tr>
        </tbody>
      </table>
    </template>
    <el-dialog v-model="adding" title="New version of a rule book" width="860px" top="4vh">
      <p class="quiet">
        Change the text, raise the version number. Nothing is saved unless all of it can be read.
      </p>
      <textarea
        v-model="text"
        class="field mono yaml"
        rows="20"
        spellcheck="false"
        aria-label="Rule book, YAML"
      ></textarea>
      <div v-if="problem" class="error" role="alert">
        <p>{{ problem.detail }}</p>
        <ul v-if="problem.problems">
          <li v-for="(item, index) in problem.problems" :key="index">
            Line {{ item.line
            }}<template v-if="item.key"
              >, <span class="mono">{{ item.key }}</span></template
            >:
            {{ item.message }}
          </li>
        </ul>
      </div>
      <button type="button" class="button primary" @click="add">Save this version</button>
    </el-dialog>
  </div>
</template>

<style scoped>
.books {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-bottom: 12px;
}

.books [aria-pressed="true"] {
  border-color: var(--lake);
  background: var(--lake-soft);
  font-weight: 600;
}

h2 {
  margin: 20px 0 6px;
}

.yaml {
  margin: 8px 0;
  font-size: 12.5px;
  white-space: pre;
}

td .mono {
  font-size: 11.5px;
  overflow-wrap: anywhere;
}

.table {
  display: block;
  overflow-x: auto;
}
</style>
