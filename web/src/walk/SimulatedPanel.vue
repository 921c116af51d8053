<script setup lang="ts">
import { useAttempt } from "../api/useAttempt";
import { onBeforeUnmount, onMounted, ref } from "vue";
import { clockTime } from "../frame/when";
import { capital } from "../words/words";
import { useSimulated } from "./useSimulated";

/**
 * Works the demo's simulated line set, or runs its machine: what hangs on it sends as real instruments would, to lines that listen
 * and for lines that take over what is shown.
 */
const props = defineProps<{ machine?: boolean }>();
const { simulated, look, start, act, warm, run, stop, end } = useSimulated();
const SPEEDS = [1, 10, 60, 300];
const name = ref(props.machine ? "sound" : "dry");
const refrigerant = ref("R410A");
const orifice = ref(false);
const speed = ref(60);
const open = ref(false);
const { busy, problem, attempt: tried } = useAttempt();

function on() {
  const machine = props.machine ? { refrigerant: refrigerant.value, orifice: orifice.value } : {};
  return start({ name: name.value, speed: speed.value, ...machine }).then(() => (open.value = false));
}

onMounted(() => void look().catch(() => undefined));
onBeforeUnmount(end);
</script>

<template>
  <div v-if="simulated?.there" class="simulated" role="group" :aria-label="$gettext('Simulated instruments')">
    <template v-if="simulated.running">
      <span class="sending" role="status">
        <span class="dot" aria-hidden="true"></span
        >{{ $gettext("Simulated, %{name}:", { name: simulated.running.name }) }}
        <strong v-if="simulated.running.machine">{{
          simulated.running.runs ? $gettext("running") : $gettext("at rest")
        }}</strong>
        <strong v-else>{{ simulated.running.done ?? $gettext("nothing done yet") }}</strong>
        <span class="quiet">{{
          $gettext("%{time} by its clock, %{speed} times as fast as life", {
            time: clockTime(simulated.running.clock),
            speed: simulated.running.speed,
          })
        }}</span>
      </span>
      <button
        v-if="simulated.running.machine"
        type="button"
        class="button"
        :disabled="busy"
        @click="tried(() => run(!simulated!.running!.runs))"
      >
        {{ simulated.running.runs ? $gettext("Stop the machine") : $gettext("Start the machine") }}
      </button>
      <template v-else>
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
          {{ $gettext("Warm the lines") }}
        </button>
      </template>
      <button type="button" class="button" :disabled="busy" @click="tried(stop)">
        {{ $gettext("Switch off") }}
      </button>
    </template>
    <template v-else-if="open">
      <label class="choice">
        <span class="label">{{ machine ? $gettext("Machine") : $gettext("Line set") }}</span>
        <select v-model="name" class="field">
          <option v-for="each in machine ? simulated.machines : simulated.names" :key="each" :value="each">
            {{ each }}
          </option>
        </select>
      </label>
      <label v-if="machine" class="choice">
        <span class="label">{{ $gettext("Refrigerant") }}</span>
        <select v-model="refrigerant" class="field">
          <option v-for="each in simulated.refrigerants" :key="each" :value="each">{{ each }}</option>
        </select>
      </label>
      <label v-if="machine" class="choice">
        <input v-model="orifice" type="checkbox" /> <span>{{ $gettext("fixed orifice") }}</span>
      </label>
      <label class="choice">
        <span class="label">{{ $gettext("Speed") }}</span>
        <select v-model.number="speed" class="field">
          <option v-for="each in SPEEDS" :key="each" :value="each">
            {{ $gettext("%{speed} times", { speed: each }) }}
          </option>
        </select>
      </label>
      <button type="button" class="button" :disabled="busy" @click="tried(on)">
        {{ $gettext("Switch on") }}
      </button>
      <button type="button" class="button" @click="open = false">{{ $gettext("Close") }}</button>
    </template>
    <button v-else type="button" class="button" @click="open = true">
      {{ $gettext("Simulated instruments") }}
    </button>
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

.choice {
  display: flex;
  gap: 6px;
  align-items: center;
}
</style>
