<script setup lang="ts">
import { reactive, ref, watch } from "vue";
import { at } from "../api/address";
import { api, ProblemError, type Schemas } from "../api/client";
import { sentence } from "../api/problems";
import { capital, words } from "../words/words";

const open = defineModel<boolean>({ required: true });
const emit = defineEmits<{ entered: [id: string] }>();

const books = ref<Schemas["BookSummary"][]>([]);
const fields = ref<Record<string, string>>({});
const problem = ref("");
const busy = ref(false);
const asked = reactive<Schemas["NewInstallation"]>({
  reference: "",
  title: "",
  building: "",
  elevation: "",
  system: "",
  crew: "",
  replacement: false,
  stage: "FINAL",
  visitedOn: new Date().toISOString().slice(0, 10),
  ruleBook: "",
  components: [
    { title: "Outdoor unit", kind: "OUTDOOR", ownSupply: true },
    { title: "Wall unit", kind: "INDOOR_WALL", ownSupply: false },
  ],
});

watch(open, async (now) => {
  if (now && !books.value.length) {
    try {
      books.value = await api.get(at("/api/rule-books"));
      asked.ruleBook ||= books.value[0]?.id ?? "";
    } catch (thrown) {
      problem.value = sentence(thrown);
    }
  }
});

function add() {
  asked.components.push({
    title: `Wall unit ${asked.components.length}`,
    kind: "INDOOR_WALL",
    ownSupply: false,
  });
}

async function submit() {
  busy.value = true;
  problem.value = "";
  fields.value = {};
  try {
    const made = await api.post(at("/api/installations"), asked);
    emit("entered", made.id);
  } catch (thrown) {
    problem.value = sentence(thrown);
    fields.value = thrown instanceof ProblemError ? (thrown.problem.fields ?? {}) : {};
  } finally {
    busy.value = false;
  }
}

const TEXTS: ["reference" | "title" | "building" | "elevation" | "system" | "crew", string, string][] = [
  ["reference", "Reference", "LH-50"],
  ["title", "What it is", "Reading room, wall split"],
  ["building", "Building", "Map Library"],
  ["elevation", "Height above sea level", "640 m or 2100 ft"],
  ["system", "System", "Wall split heat pump"],
  ["crew", "Crew", "Nettlebank Mechanical"],
];
</script>

<template>
  <el-dialog v-model="open" title="New installation" width="640px" top="6vh">
    <form @submit.prevent="submit">
      <div class="grid">
        <div v-for="[name, title, example] in TEXTS" :key="name">
          <label class="label" :for="`new-${name}`">{{ title }}</label>
          <input
            :id="`new-${name}`"
            v-model="asked[name]"
            class="field"
            :placeholder="example"
            :aria-invalid="!!fields[name]"
          />
          <p v-if="fields[name]" class="error">{{ fields[name] }}</p>
        </div>
        <div>
          <label class="label" for="new-stage">Visit</label>
          <select id="new-stage" v-model="asked.stage" class="field">
            <option v-for="stage in words.stages" :key="stage.id" :value="stage.id">
              {{ capital(stage.title) }}
            </option>
          </select>
        </div>
        <div>
          <label class="label" for="new-date">Day of the visit</label>
          <el-date-picker
            id="new-date"
            v-model="asked.visitedOn"
            value-format="YYYY-MM-DD"
            format="YYYY-MM-DD"
            :clearable="false"
          />
        </div>
        <div>
          <label class="label" for="new-book">Rule book</label>
          <select id="new-book" v-model="asked.ruleBook" class="field">
            <option v-for="book in books" :key="book.id" :value="book.id">{{ book.title }}</option>
          </select>
        </div>
        <label class="check"
          ><input v-model="asked.replacement" type="checkbox" /> Replaces an older system</label
        >
      </div>
      <h2>Units</h2>
      <div v-for="(component, index) in asked.components" :key="index" class="unit">
        <select v-model="component.kind" class="field" :aria-label="`Kind of unit ${index + 1}`">
          <option v-for="kind in words.units" :key="kind.id" :value="kind.id">{{ kind.title }}</option>
        </select>
        <input v-model="component.title" class="field" :aria-label="`Title of unit ${index + 1}`" />
        <label class="check"><input v-model="component.ownSupply" type="checkbox" /> own circuit</label>
        <button
          type="button"
          class="button"
          :disabled="asked.components.length === 1"
          :aria-label="`Leave out unit ${index + 1}`"
          @click="asked.components.splice(index, 1)"
        >
          −
        </button>
      </div>
      <button type="button" class="button" @click="add">Add a unit</button>
      <p class="error" role="alert">{{ problem }}</p>
      <button class="button primary" :disabled="busy">Enter in the register</button>
    </form>
  </el-dialog>
</template>

<style scoped>
.grid {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px 14px;
}

h2 {
  margin: 16px 0 6px;
}

.unit {
  display: grid;
  grid-template-columns: 1fr 1.3fr auto 44px;
  gap: 8px;
  margin-bottom: 6px;
}

.check {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 44px;
}

.error {
  min-height: 20px;
}

:deep(.el-date-editor) {
  width: 100%;
}

@media (max-width: 560px) {
  .grid {
    grid-template-columns: 1fr;
  }

  .unit {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
