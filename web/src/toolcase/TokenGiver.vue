<script setup lang="ts">
import { ref } from "vue";
import { at } from "../api/address";
import { api } from "../api/client";
import { sentence } from "../api/problems";

/** What lets an instrument send by itself: shown once, and the one before is worth nothing then. */
const props = defineProps<{ instrument: string }>();
const token = ref("");
const problem = ref("");

async function give() {
  problem.value = "";
  try {
    const path = { id: props.instrument };
    const given = await api.post(at("/api/instruments/{id}/token", { path }), undefined as never);
    token.value = given.token;
  } catch (thrown) {
    problem.value = sentence(thrown);
  }
}
</script>

<template>
  <div class="token">
    <h3>Sends by itself</h3>
    <p v-if="token">
      Its token, shown once: <code class="mono">{{ token }}</code>
    </p>
    <p v-else class="quiet">
      With a token it sends what it shows to a line that listens. A new token ends the one before.
    </p>
    <button type="button" class="button" @click="give">
      {{ token ? "Another token" : "Give it a token" }}
    </button>
    <p v-if="problem" class="error" role="alert">{{ problem }}</p>
  </div>
</template>

<style scoped>
.token {
  grid-column: 1 / -1;
}

code {
  user-select: all;
  overflow-wrap: anywhere;
}
</style>
