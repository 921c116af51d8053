<script setup lang="ts">
import { ref, watch } from "vue";
import type { Schemas } from "../api/client";
import { sentence } from "../api/problems";
import { useLive } from "../shown/useLive";
import type { Line } from "../shown/lines";

/** What instruments that send show now; a tap takes it over as the line's reading. */
const props = defineProps<{ line: Line }>();
const emit = defineEmits<{ take: [shown: Schemas["ShownView"]] }>();
const { shownNow } = useLive();
const shown = ref<Schemas["ShownView"][]>();
const problem = ref("");

async function look() {
  problem.value = "";
  try {
    shown.value = await shownNow(props.line);
  } catch (thrown) {
    problem.value = sentence(thrown);
  }
}

function take(each: Schemas["ShownView"]) {
  shown.value = undefined;
  emit("take", each);
}

watch(
  () => props.line.reading?.id,
  () => (shown.value = undefined),
);
</script>

<template>
  <span class="shown">
    <button
      type="button"
      class="button"
      :aria-label="$gettext('What instruments show for %{title}', { title: line.title })"
      @mousedown.prevent
      @click="look"
    >
      {{ $gettext("Shown now") }}
    </button>
    <span v-if="problem" class="error" role="alert">{{ problem }}</span>
    <span v-else-if="shown && !shown.length" class="quiet" role="status">{{
      $gettext("No instrument sends this.")
    }}</span>
    <button
      v-for="each in shown ?? []"
      :key="each.instrument + each.name"
      type="button"
      class="button mono"
      :title="$gettext('%{title}, %{ago} s ago', { title: each.title, ago: each.ago })"
      @mousedown.prevent
      @click="take(each)"
    >
      {{ each.name || each.title }} {{ each.value }}
    </button>
  </span>
</template>

<style scoped>
.shown {
  display: inline-flex;
  flex-wrap: wrap;
  gap: 6px;
  align-items: center;
}

.button {
  min-height: 44px;
}
</style>
