<script setup lang="ts">
import { ref } from "vue";
import { at } from "../api/address";
import { api, type Schemas } from "../api/client";
import { sentence } from "../api/problems";
import { when } from "../frame/when";

/** What would have gone out by mail: nothing is sent from here, each letter is a file that mail programs read. */
const letters = ref<Schemas["Letter"][]>();
const problem = ref("");

async function load() {
  problem.value = "";
  try {
    letters.value = await api.get(at("/api/letters"));
  } catch (thrown) {
    problem.value = sentence(thrown);
  }
}
void load();
</script>

<template>
  <div class="page">
    <div class="page-head">
      <div>
        <h1>{{ $gettext("What was written to whom?") }}</h1>
        <p class="quiet">
          {{
            $gettext(
              "A stand-in for mail: nothing is sent from here. Each letter is a file that every mail program opens.",
            )
          }}
        </p>
      </div>
    </div>
    <p v-if="problem" class="error" role="alert">
      {{ problem }} <button type="button" class="button" @click="load">{{ $gettext("Try again") }}</button>
    </p>
    <p v-if="letters && !letters.length">{{ $gettext("No letter has been written yet.") }}</p>
    <table v-if="letters?.length" class="table">
      <thead>
        <tr>
          <th>{{ $gettext("When") }}</th>
          <th>{{ $gettext("To") }}</th>
          <th>{{ $gettext("About") }}</th>
          <th>
            <span class="visually-hidden">{{ $gettext("What can be done") }}</span>
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="letter in letters" :key="letter.id">
          <td>{{ when(letter.writtenAt) }}</td>
          <td>{{ letter.crew || $gettext("Inspection office") }}</td>
          <td>
            <RouterLink :to="{ path: '/corrections', query: { installation: letter.installationId } }">
              {{ letter.subject }}
            </RouterLink>
          </td>
          <td>
            <a class="button" :href="at('/api/letters/{id}', { path: { id: letter.id } })" download>{{
              $gettext("Open")
            }}</a>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>
