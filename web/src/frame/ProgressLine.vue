<script setup lang="ts">
import { useTimeoutFn } from "@vueuse/core";
import { ref, watch } from "vue";
import { pending } from "../api/client";

const SHOWN_AFTER_MS = 500;
const shown = ref(false);
const soon = useTimeoutFn(() => (shown.value = true), SHOWN_AFTER_MS, { immediate: false });

watch(pending, (count) => {
  if (count > 0) {
    soon.start();
  } else {
    soon.stop();
    shown.value = false;
  }
});
</script>

<template>
  <div v-if="shown" class="progress" role="status">
    <span class="visually-hidden">{{ $gettext("Working") }}</span>
  </div>
</template>

<style scoped>
.progress {
  position: fixed;
  z-index: 3000;
  top: 0;
  left: 0;
  width: 100%;
  height: 3px;
  background: linear-gradient(90deg, transparent, var(--brass), transparent) 0 0 / 40% 100% no-repeat;
  animation: pass 1.2s linear infinite;
}

@keyframes pass {
  from {
    background-position: -40% 0;
  }
  to {
    background-position: 140% 0;
  }
}
</style>
