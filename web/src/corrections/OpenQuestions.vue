<script setup lang="ts">
import { $gettext } from "../language/language";
import { computed, ref } from "vue";
import { at } from "../api/address";
import { api, type Schemas } from "../api/client";
import { useAttempt } from "../api/useAttempt";
import { grouped } from "../frame/grouped";
import { notice } from "../frame/notice";
import { when } from "../frame/when";

/** What crews are asked about their records, installation by installation: a crew answers as many as it likes at once. */
const props = defineProps<{ questions: Schemas["OpenQuestion"][]; answers: boolean }>();
const emit = defineEmits<{ answered: [] }>();

const words = ref<Record<string, string>>({});
const { busy, problem, attempt } = useAttempt();

const sections = computed(() => grouped(props.questions, (each) => each.installationId));
const ready = computed(() => props.questions.filter((each) => words.value[each.id]?.trim()));

async function send() {
  const sent = ready.value.map((each) => ({ question: each.id, words: words.value[each.id] ?? "" }));
  await attempt(async () => {
    await api.post(at("/api/questions/answers"), { answers: sent });
    sent.forEach((each) => delete words.value[each.question]);
    notice.done($gettext("Answered; the office gets a letter."));
    emit("answered");
  });
}
</script>

<template>
  <form class="questions" @submit.prevent="send">
    <h2>{{ $gettext("Questions about records") }}</h2>
    <section v-for="asked in sections" :key="asked[0]?.installationId">
      <h3>
        {{ asked[0]?.reference }} {{ asked[0]?.title }} <span class="quiet">{{ asked[0]?.crew }}</span>
      </h3>
      <div v-for="each in asked" :key="each.id" class="question">
        <p :id="`question-${each.id}`">{{ each.question }}</p>
        <p class="quiet">
          {{ each.askedBy }}, {{ when(each.askedAt) }}.
          <RouterLink :to="`/records/${each.recordId}`">{{
            $gettext("Record of %{day}", { day: each.recordedOn })
          }}</RouterLink>
          <template v-if="!answers"> · {{ $gettext("Not answered yet.") }}</template>
        </p>
        <textarea
          v-if="answers"
          v-model="words[each.id]"
          class="field"
          rows="2"
          maxlength="2000"
          :aria-labelledby="`question-${each.id}`"
          :placeholder="$gettext('Answer in words')"
        ></textarea>
      </div>
    </section>
    <template v-if="answers">
      <p v-if="problem" class="error" role="alert">{{ problem }}</p>
      <button type="submit" class="button primary" :disabled="busy || !ready.length">
        {{
          $ngettext("Send %{count} answer", "Send %{count} answers", ready.length, { count: ready.length })
        }}
      </button>
      <p class="quiet">
        {{ $gettext("Readings and papers that show it are added on the record's page.") }}
      </p>
    </template>
  </form>
</template>

<style scoped>
.questions {
  margin-bottom: 22px;
}

h3 {
  margin: 12px 0 0;
  font-size: 15px;
}

h3 .quiet {
  font-size: 13px;
  font-weight: 400;
}

.question {
  padding: 10px 0;
  border-bottom: 1px solid var(--hair);
}

.question p {
  margin: 0 0 4px;
  max-width: 80ch;
}

textarea {
  max-width: 80ch;
}

.error,
button {
  margin-top: 10px;
}
</style>
