<script setup lang="ts">
import { onMounted, ref } from "vue";
import { at } from "../api/address";
import { api } from "../api/client";
import { sentence } from "../api/problems";

/** What lets an instrument send by itself: shown once, and the one before is worth nothing then. */
const props = defineProps<{ instrument: string }>();
const token = ref("");
/** Those it can be handed to; without one the office alone hears it. */
const crews = ref<string[]>([]);
const crew = ref("");
onMounted(async () => {
  try {
    crews.value = (await api.get(at("/api/installations/choices"))).crews;
  } catch (thrown) {
    problem.value = sentence(thrown);
  }
});
const problem = ref("");

async function give() {
  problem.value = "";
  try {
    const about = { path: { id: props.instrument }, query: { crew: crew.value || undefined } };
    const given = await api.post(at("/api/instruments/{id}/token", about), undefined as never);
    token.value = given.token;
  } catch (thrown) {
    problem.value = sentence(thrown);
  }
}
</script>

<template>
  <div class="token">
    <h3>{{ $gettext("Sends by itself") }}</h3>
    <p v-if="token">
      {{ $gettext("Its token, shown once:") }} <code class="mono">{{ token }}</code>
    </p>
    <p v-else class="quiet">
      {{
        $gettext(
          "With a token it sends what it shows to a line that listens. A new token ends the one before.",
        )
      }}
    </p>
    <label class="label">
      {{ $gettext("Who hears it") }}
      <select v-model="crew" class="field">
        <option value="">{{ $gettext("the inspection office alone") }}</option>
        <option v-for="each in crews" :key="each" :value="each">
          {{ $gettext("handed to %{crew}", { crew: each }) }}
        </option>
      </select>
    </label>
    <button type="button" class="button" @click="give">
      {{ token ? $gettext("Another token") : $gettext("Give it a token") }}
    </button>
    <p v-if="problem" class="error" role="alert">{{ problem }}</p>
  </div>
</template>

<style scoped>
.token {
  grid-column: 1 / -1;
  display: grid;
  gap: 8px;
  justify-items: start;
}

.token .label {
  margin: 0;
}

code {
  user-select: all;
  overflow-wrap: anywhere;
}
</style>
