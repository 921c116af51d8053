<script setup lang="ts">
import { computed, ref } from "vue";
import { at } from "../api/address";
import { api, type Schemas } from "../api/client";
import { sentence } from "../api/problems";
import { words } from "../words/words";

/** What joins or serves the units: told from them, or added here. */
const props = defineProps<{ installation: Schemas["InstallationView"] }>();
const emit = defineEmits<{ changed: [] }>();

const kind = ref<Schemas["NewSubject"]["kind"]>("JOINT");
const title = ref("");
const joins = ref<string[]>([]);
const problem = ref("");
const id = computed(() => props.installation.id);

async function attempt(change: () => Promise<unknown>) {
  problem.value = "";
  try {
    await change();
    title.value = "";
    emit("changed");
  } catch (thrown) {
    problem.value = sentence(thrown);
  }
}

const add = () =>
  attempt(() =>
    api.post(at("/api/installations/{id}/subjects", { path: { id: id.value } }), {
      kind: kind.value,
      title: title.value,
      joins: joins.value,
    }),
  );
const remove = (subject: string) =>
  attempt(() =>
    api.remove(at("/api/installations/{id}/subjects/{subject}", { path: { id: id.value, subject } })),
  );
</script>

<template>
  <section class="parts">
    <h2>{{ $gettext("Parts of this system") }}</h2>
    <ul>
      <li v-for="part in installation.subjects" :key="part.id">
        <span>
          {{ part.title }}
          <span v-if="part.added" class="quiet">{{ part.kindTitle }}, {{ part.joins.join(" to ") }}</span>
        </span>
        <button v-if="part.added" type="button" class="button" @click="remove(part.id)">
          {{ $gettext("Remove") }}
        </button>
      </li>
    </ul>
    <form class="form" @submit.prevent="add">
      <label>
        <span class="label">{{ $gettext("Add") }}</span>
        <select v-model="kind" class="field">
          <option v-for="part in words.parts" :key="part.id" :value="part.id">{{ part.title }}</option>
        </select>
      </label>
      <label>
        <span class="label">{{ $gettext("Title") }}</span>
        <input v-model="title" class="field" maxlength="120" required />
      </label>
      <fieldset>
        <legend class="label">{{ $gettext("Between or of") }}</legend>
        <label v-for="unit in installation.components" :key="unit.id" class="unit">
          <input v-model="joins" type="checkbox" :value="unit.id" /> {{ unit.title }}
        </label>
      </fieldset>
      <p v-if="problem" class="error" role="alert">{{ problem }}</p>
      <button type="submit" class="button" :disabled="!joins.length">{{ $gettext("Add this part") }}</button>
    </form>
  </section>
</template>

<style scoped>
.parts {
  margin-top: 18px;
  padding-top: 12px;
  border-top: 1px solid var(--hair);
}

ul {
  display: grid;
  gap: 4px;
  margin: 6px 0 12px;
  padding: 0;
  list-style: none;
}

li {
  display: flex;
  gap: 8px;
  align-items: center;
  justify-content: space-between;
}

.form {
  display: grid;
  gap: 8px;
}

fieldset {
  display: grid;
  margin: 0;
  padding: 0;
  border: 0;
}

.unit {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 36px;
}
</style>
