<script setup lang="ts">
import { $gettext } from "../language/language";
import { ref } from "vue";
import { at } from "../api/address";
import { api, ProblemError, type Schemas } from "../api/client";
import { useAttempt } from "../api/useAttempt";
import { notice } from "../frame/notice";
import GivenReadings, { sent, type Given } from "../shown/GivenReadings.vue";
import { useUnits } from "../frame/useUnits";

/** A crew answers a question about its record: in words, by readings, or both. */
const props = defineProps<{ record: Schemas["RecordView"]; question: Schemas["QuestionView"] }>();
const emit = defineEmits<{ answered: [] }>();
const { units } = useUnits();

const words = ref("");
const given = ref<Given[]>([]);
/** Whether an unusual reading has been asked about. */
const confirmed = ref(false);
const { busy, problem: refusal, attempt } = useAttempt();

async function answer() {
  await attempt(
    async () => {
      await api.post(
        at("/api/questions/{id}/answer", { path: { id: props.question.id }, query: { units: units() } }),
        {
          words: words.value,
          readings: sent(given.value, props.record.values),
          confirmed: confirmed.value,
        },
      );
      notice.done($gettext("Answered; the office gets a letter."));
      emit("answered");
    },
    (thrown) => {
      confirmed.value = thrown instanceof ProblemError && !!thrown.problem.ask;
    },
  );
}
</script>

<template>
  <form class="answering" @submit.prevent="answer">
    <textarea
      v-model="words"
      class="field"
      rows="2"
      :aria-label="$gettext('Answer')"
      maxlength="2000"
    ></textarea>
    <GivenReadings v-model="given" :lines="record.values" />
    <p v-if="refusal" class="error" role="alert">{{ refusal }}</p>
    <div class="tools">
      <button type="submit" class="button primary" :disabled="busy">
        {{ confirmed ? $gettext("Answer with it as it is") : $gettext("Answer") }}
      </button>
      <button type="button" class="button" @click="given.push({ line: 0, typed: '', grade: 'RECORDED' })">
        {{ $gettext("Add a reading") }}
      </button>
    </div>
    <p class="quiet">
      {{ $gettext("A photo or PDF that shows it is added under the record's papers, before you answer.") }}
    </p>
  </form>
</template>

<style scoped>
.answering,
.answering > * + * {
  margin-top: 8px;
}

.tools {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
</style>
