<script setup lang="ts">
import { useIntervalFn } from "@vueuse/core";
import { computed, ref } from "vue";

/** Times what is read on a clock: one tap starts, the next one stops and writes the seconds in. */
const emit = defineEmits<{ timed: [seconds: string] }>();

const TENTH_MS = 100;
const began = ref<number>();
const now = ref(0);
const ticking = useIntervalFn(() => (now.value = performance.now()), TENTH_MS, { immediate: false });

const shown = computed(() =>
  began.value === undefined ? "" : ((now.value - began.value) / 1000).toFixed(1),
);

function tap() {
  now.value = performance.now();
  if (began.value === undefined) {
    began.value = now.value;
    ticking.resume();
    return;
  }
  emit("timed", `${shown.value} s`);
  stop();
}

function stop() {
  ticking.pause();
  began.value = undefined;
}
</script>

<template>
  <button
    type="button"
    class="button watch"
    :class="{ running: shown }"
    :aria-label="
      shown ? $gettext('Stop the watch at %{shown} s', { shown }) : $gettext('Start the stopwatch')
    "
    @click="tap()"
  >
    {{ shown || $gettext("Time") }}
  </button>
</template>

<style scoped>
.watch {
  min-width: 64px;
  min-height: 44px;
  padding: 0 8px;
}

.running {
  background: var(--brass);
  color: var(--paper);
  font-family: var(--mono);
}
</style>
