<script setup lang="ts">
import { onBeforeUnmount, onMounted, ref } from "vue";
import { sentence } from "../api/problems";
import { clockTime } from "../frame/when";
import { capital } from "../words/words";
import { useSimulated } from "./useSimulated";

/** Works the demo's simulated line set: its gauges send to the lines that listen, as real ones would. */
const { simulated, look, start, act, warm, stop, end } = useSimulated();
const SPEEDS = [1, 10, 60, 300];
const name = ref("dry");
const speed = ref(60);
const open = ref(false);
const problem = ref("");
const busy = ref(false);

async function tried(what: () => Promise<unknown>) {
  busy.value = true;
  problem.value = "";
  try {
    await what();
  } catch (thrown) {
    problem.value = sentence(thrown);
  } finally {
    busy.value = false;
  }
}

onMounted(() => void look().catch(() => undefined));
onBeforeUnmount(end);
</script>

<template>
  <div v-if="simulated?.there" class="simulated" role="group" aria-label="Simulated instruments">
    <template v-if="simulated.running">
      <span class="now" role="status">
        <span class="dot" aria-hidden="true"></span>Simulated, {{ simulated.running.name }}:
        <strong>{{ simulated.running.done ?? "nothing done yet" }}</strong>
        <span class="quiet"
          >{{ clockTime(simulated.running.clock) }} by its clock, {{ simulated.running.speed }} times as fast
          as life</span
        >
      </span>
      <button
        v-for="each in simulated.acts"
        :key="each.act"
        type="button"
        class="button"
        :disabled="busy"
        @click="tried(() => act(each.act))"
      >
        {{ capital(each.title) }}
      </button>
      <button
        type="button"
        class="button"
        :aria-pressed="simulated.running.warmed"
        :disabled="busy"
        @click="tried(() => warm(!simulated!.running!.warmed))"
      >
        Warm the lines
      </button>
      <button type="button" class="button" :disabled="busy" @click="tried(stop)">Switch off</button>
    </template>
    <template v-else-if="open">
      <label class="choice">
        <span class="label">Line set</span>
        <select v-model="name" class="field">
          <option v-for="each in simulated.names" :key="each" :value="each">{{ each }}</option>
        </select>
      </label>
      <label class="choice">
        <span class="label">Speed</span>
        <select v-model.number="speed" class="field">
          <option v-for="each in SPEEDS" :key="each" :value="each">{{ each }} times</option>
        </select>
      </label>
      <button
        type="button"
        class="button"
        :disabled="busy"
        @click="tried(() => start(name, speed).then(() => (open = false)))"
      >
        Switch on
      </button>
      <button type="button" class="button" @click="open = false">Close</button>
    </template>
    <button v-else type="button" class="button" @click="open = true">Simulated instruments</button>
    <span v-if="problem" class="error" role="alert">{{ problem }}</span>
  </div>
</template>

<style scoped>
.simulated {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  align-items: center;
}

.simulated .button {
  min-height: 44px;
}

.now {
  display: inline-flex;
  flex-wrap: wrap;
  gap: 0 6px;
  align-items: baseline;
}

.dot {
  width: 10px;
  height: 10px;
  border-radius: 50%;
  background: var(--brass);
}

.choice {
  display: flex;
  gap: 6px;
  align-items: center;
}
</style>
