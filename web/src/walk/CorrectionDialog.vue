<script setup lang="ts">
import { useAttempt } from "../api/useAttempt";
import { $gettext } from "../language/language";
import { notice } from "../frame/notice";
import { ref, watch } from "vue";
import type { Judgement } from "../shown/lines";

const props = defineProps<{
  judgement?: Judgement;
  raise: (judgement: Judgement, words: string, due?: string) => Promise<number>;
}>();
const open = defineModel<boolean>({ required: true });

const words = ref("");
const due = ref<string>();
const { busy, problem, attempt } = useAttempt();

watch(open, (now) => {
  if (now) {
    words.value = props.judgement?.remedy ?? "";
    due.value = undefined;
    problem.value = "";
  }
});

async function submit() {
  const judgement = props.judgement;
  if (!judgement) {
    return;
  }
  await attempt(async () => {
    const number = await props.raise(judgement, words.value, due.value || undefined);
    open.value = false;
    notice.done($gettext("Correction %{number} raised; the crew gets a letter.", { number }));
  });
}
</script>

<template>
  <el-dialog v-model="open" :title="$gettext('Raise a correction')" width="520px">
    <form v-if="judgement" @submit.prevent="submit">
      <p>
        <strong>{{ judgement.title }}</strong>
        <template v-if="judgement.subject">, {{ judgement.subject }}</template>
      </p>
      <p>{{ judgement.because }}</p>
      <p class="quiet">{{ $gettext("Limits and their sources are saved with it as they now stand.") }}</p>
      <label class="label" for="correction-words">{{ $gettext("What is to be done") }}</label>
      <textarea id="correction-words" v-model="words" class="field" rows="4" maxlength="2000"></textarea>
      <label class="label" for="correction-due"
        >{{ $gettext("By when") }}
        <span class="quiet">{{ $gettext("(empty: as the rule book says)") }}</span></label
      >
      <el-date-picker id="correction-due" v-model="due" value-format="YYYY-MM-DD" format="YYYY-MM-DD" />
      <p class="error" role="alert">{{ problem }}</p>
      <button class="button primary" :disabled="busy">{{ $gettext("Raise correction") }}</button>
    </form>
  </el-dialog>
</template>

<style scoped>
form > * + * {
  margin-top: 8px;
}

.label {
  margin-top: 12px;
}
</style>
