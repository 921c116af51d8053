<script setup lang="ts">
import { notice } from "../frame/notice";
import { ref } from "vue";
import { api, type Schemas } from "../api/client";
import { sentence } from "../api/problems";

const emit = defineEmits<{ imported: [] }>();
const input = ref<HTMLInputElement>();

async function take() {
  const file = input.value?.files?.[0];
  if (!file) {
    return;
  }
  try {
    const text = await file.text();
    const made = await api.post<Schemas["Imported"]>("/api/imports", text, "application/json");
    notice.done(`Brought in: ${made.installations.length}.`);
    emit("imported");
  } catch (thrown) {
    notice.problem(sentence(thrown));
  } finally {
    if (input.value) {
      input.value.value = "";
    }
  }
}
</script>

<template>
  <label class="button">
    Bring in a case file
    <input ref="input" class="visually-hidden" type="file" accept="application/json,.json" @change="take" />
  </label>
</template>

<style scoped>
.button:focus-within {
  outline: 2px solid var(--lake);
}
</style>
