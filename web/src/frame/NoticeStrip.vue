<script setup lang="ts">
import { said, unsay } from "./notice";
</script>

<template>
  <!-- a problem is an alert, said at once; the rest is said in its turn -->
  <div class="strip" :aria-live="said?.kind === 'problem' ? 'off' : 'polite'">
    <p v-if="said" :class="said.kind" :role="said.kind === 'problem' ? 'alert' : undefined">
      <span>{{ said.message }}</span>
      <button type="button" class="button" :aria-label="$gettext('Close this notice')" @click="unsay">
        {{ $gettext("Close") }}
      </button>
    </p>
  </div>
</template>

<style scoped>
.strip {
  position: sticky;
  bottom: 0;
  /* above a dialog and its shade too */
  z-index: 4000;
}

p {
  display: flex;
  gap: 12px;
  align-items: center;
  justify-content: space-between;
  margin: 0;
  padding: 4px 16px;
  border-top: 1px solid var(--hair);
  border-left: 5px solid var(--lake);
  background: var(--paper);
}

.problem {
  border-left-color: var(--fails);
}

.button {
  min-height: 44px;
}
</style>
