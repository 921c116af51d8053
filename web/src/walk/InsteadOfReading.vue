<script setup lang="ts">
import { computed, ref } from "vue";
import type { Line } from "../shown/lines";

/** What may be said of a line instead of a reading: why there is none, or that the one that stands is taken back. */
const props = defineProps<{ line: Line; busy: boolean }>();
const emit = defineEmits<{ say: [words: string] }>();

const NOT_ACCESSIBLE = "Not accessible";
const TAKEN_BACK = "Taken back";
const asks = ref("");
const because = ref("");
const read = computed(() => props.line.reading?.says === "READ");

function say() {
  if (because.value.trim()) {
    emit("say", `${asks.value}: ${because.value.trim()}`);
  }
}
</script>

<template>
  <form v-if="asks" class="why" @submit.prevent="say" @keydown.escape.stop="asks = ''">
    <label class="label">
      {{ asks === TAKEN_BACK ? $gettext("Why it is taken back") : $gettext("Why it cannot be read") }}
      <input
        v-model="because"
        class="field"
        maxlength="200"
        autocomplete="off"
        enterkeyhint="done"
        :placeholder="
          asks === TAKEN_BACK ? $gettext('typed on the wrong line') : $gettext('hatch is screwed shut')
        "
      />
    </label>
    <button type="submit" class="button primary" :disabled="busy || !because.trim()">
      {{ asks === TAKEN_BACK ? $gettext("Take it back") : $gettext("Say so") }}
    </button>
    <button type="button" class="button" @click="asks = ''">{{ $gettext("Cancel") }}</button>
  </form>
  <div v-else class="choices">
    <button v-if="read" type="button" class="button" :disabled="busy" @click="asks = TAKEN_BACK">
      {{ $gettext("Take this reading back") }}
    </button>
    <template v-else>
      <button type="button" class="button" :disabled="busy" @click="asks = NOT_ACCESSIBLE">
        {{ $gettext("Not accessible") }}
      </button>
      <button type="button" class="button" :disabled="busy" @click="emit('say', 'Not looked at')">
        {{ $gettext("Not looked at") }}
      </button>
    </template>
  </div>
</template>

<style scoped>
.why,
.choices {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: flex-end;
}

.why .label {
  flex: 1 1 200px;
  margin: 0;
}

.button {
  min-height: 44px;
}
</style>
