<script setup lang="ts">
import { nextTick, ref, watch } from "vue";
import type { Schemas } from "../api/client";
import JudgementItem from "./JudgementItem.vue";
import type { Judgement } from "../shown/lines";

const props = defineProps<{
  judgements: Judgement[];
  chosen: string;
  correctionOf: (judgement: Judgement) => Schemas["Correction"] | undefined;
}>();
const emit = defineEmits<{
  choose: [key: string];
  why: [judgement: Judgement];
  evidence: [judgement: Judgement];
  correct: [judgement: Judgement];
}>();

const list = ref<HTMLElement>();

watch(
  () => props.chosen,
  async () => {
    await nextTick();
    const ledger = list.value;
    // where the ledger stands below the lines it must not pull the page away from the field in hand
    if (ledger && ledger.scrollHeight > ledger.clientHeight) {
      ledger.querySelector(".chosen")?.scrollIntoView({ block: "nearest" });
    }
  },
);
</script>

<template>
  <aside ref="list" class="ledger" :aria-label="$gettext('Judgements')" tabindex="0">
    <div class="head">
      <h2>{{ $gettext("Judgements") }}</h2>
    </div>
    <JudgementItem
      v-for="judgement in judgements"
      :key="judgement.key"
      :judgement="judgement"
      :chosen="judgement.key === chosen"
      :correction="correctionOf(judgement)"
      @choose="emit('choose', judgement.key)"
      @why="emit('why', judgement)"
      @evidence="emit('evidence', judgement)"
      @correct="emit('correct', judgement)"
    />
  </aside>
</template>

<style scoped>
.ledger {
  overflow: auto;
  border-left: 1px solid var(--hair);
  background: var(--paper);
}

.head {
  display: flex;
  justify-content: space-between;
  padding: 10px 16px 6px;
  border-bottom: 1px solid var(--hair);
}

.head h2 {
  font-size: 13px;
  color: var(--quiet);
}
</style>
