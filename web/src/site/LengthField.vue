<script setup lang="ts">
import { ref, watch } from "vue";
import { at } from "../api/address";
import { api } from "../api/client";
import { sentence } from "../api/problems";
import { useUnits } from "../frame/useUnits";

/** A length typed in any notation of the field; what it means is the server's to say. */
const props = defineProps<{ label: string; optional?: boolean }>();
const metres = defineModel<number | undefined>({ required: true });
const { units } = useUnits();

const typed = ref("");
const problem = ref("");
/** What stands there as the value, so that leaving the field changes nothing. */
let shown = "";

let asked = 0;

/** In the reader's units, which the server knows how to write. */
watch(
  [metres, units],
  async ([value]) => {
    const mine = ++asked;
    problem.value = "";
    const plain = value === undefined ? "" : `${Math.round(value * 1000) / 1000} m`;
    shown = plain;
    typed.value = plain;
    if (plain && units() === "US") {
      try {
        const said = await api.get(at("/api/length", { query: { typed: plain, units: "US" } }));
        if (mine === asked && typed.value === plain) {
          shown = said.text;
          typed.value = said.text;
        }
      } catch {
        // metres do as well
      }
    }
  },
  { immediate: true },
);

async function commit() {
  const text = typed.value.trim();
  if (text === shown) {
    return;
  }
  if (!text && props.optional) {
    metres.value = undefined;
    return;
  }
  try {
    const length = await api.get(at("/api/length", { query: { typed: text, units: units() } }));
    problem.value = "";
    metres.value = length.metres;
  } catch (thrown) {
    problem.value = sentence(thrown);
  }
}
</script>

<template>
  <label class="length">
    <span class="label">{{ label }}</span>
    <input
      v-model="typed"
      class="field mono"
      :aria-invalid="!!problem"
      autocomplete="off"
      @change="commit"
      @keydown.enter.prevent="commit"
    />
    <span v-if="problem" class="error" role="alert">{{ problem }}</span>
  </label>
</template>

<style scoped>
.length {
  display: grid;
  gap: 2px;
}

.field {
  min-height: 40px;
}
</style>
