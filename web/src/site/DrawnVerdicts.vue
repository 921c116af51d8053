<script setup lang="ts">
import { computed } from "vue";
import type { Schemas } from "../api/client";
import VerdictMark from "../shown/VerdictMark.vue";
import { pressing, words } from "../words/words";

/** What is open as drawn, of one unit or of all; what would turn out otherwise than kept comes first. */
const props = defineProps<{ judgements?: Schemas["VerdictView"][]; unit: string }>();

const listed = computed(() =>
  props.judgements
    ?.filter((j) => !props.unit || j.key.endsWith(`@${props.unit}`))
    .filter((j) => j.before || words.verdicts.find((word) => word.id === j.verdict)?.open)
    .sort((a, b) => Number(!!b.before) - Number(!!a.before) || pressing(a.verdict) - pressing(b.verdict)),
);
</script>

<template>
  <p v-if="!listed" class="quiet">{{ $gettext("Not judged yet.") }}</p>
  <p v-else-if="!listed.length" class="quiet">{{ $gettext("Nothing is open here, as drawn.") }}</p>
  <ul class="verdicts" :aria-label="$gettext('Judged as drawn')">
    <li v-for="j in listed" :key="j.key">
      <VerdictMark :verdict="j.verdict" worded />
      <span>
        {{ j.title }}<template v-if="j.subject">, {{ j.subject }}</template>
        <span v-if="j.before" class="quiet">
          ({{ $gettext("saved:") }} <VerdictMark :verdict="j.before" :size="12" />)</span
        >
      </span>
      <span class="quiet because">{{ j.because }}</span>
      <span v-if="j.drawn" class="quiet because">{{
        $gettext("The tape stands. In the drawing: %{drawn}.", { drawn: j.drawn })
      }}</span>
    </li>
  </ul>
</template>

<style scoped>
.verdicts {
  display: grid;
  gap: 6px;
  margin: 0;
  padding: 0;
  list-style: none;
  font-size: 13px;
}

.verdicts li {
  display: grid;
  gap: 1px;
  padding-bottom: 5px;
  border-bottom: 1px solid var(--hair);
}
</style>
