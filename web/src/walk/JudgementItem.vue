<script setup lang="ts">
import type { Schemas } from "../api/client";
import MarginBar from "../shown/MarginBar.vue";
import type { Judgement } from "../shown/lines";
import VerdictMark from "../shown/VerdictMark.vue";

defineProps<{ judgement: Judgement; chosen: boolean; correction?: Schemas["Correction"] }>();
const emit = defineEmits<{ choose: []; why: []; evidence: []; correct: [] }>();

function open(judgement: Judgement): boolean {
  return judgement.verdict !== "MEETS" && judgement.verdict !== "DOES_NOT_APPLY";
}
</script>

<template>
  <article
    class="judgement"
    :class="{ chosen }"
    :aria-label="`${judgement.title} ${judgement.subject}`"
    @click="emit('choose')"
  >
    <header>
      <h3>
        <button type="button" class="choose" :aria-pressed="chosen" @click.stop="emit('choose')">
          {{ judgement.title }}
          <span v-if="judgement.subject" class="quiet subject">{{ judgement.subject }}</span>
        </button>
      </h3>
      <VerdictMark :verdict="judgement.verdict" worded />
    </header>
    <MarginBar v-if="judgement.bar" :bar="judgement.bar" :verdict="judgement.verdict" />
    <p v-if="judgement.verdict !== 'DOES_NOT_APPLY' || chosen">{{ judgement.because }}</p>
    <p v-if="judgement.remedy && (chosen || judgement.verdict === 'FAILS')" class="remedy">
      {{ judgement.remedy }}
    </p>
    <template v-if="chosen">
      <p v-for="caution in judgement.cautions" :key="caution" class="caution">{{ caution }}</p>
      <div class="actions">
        <button type="button" class="button" :title="$gettext('Why (w)')" @click.stop="emit('why')">
          <span class="key">{{ "w" }}</span>{{ $gettext("why") }}
        </button>
        <button type="button" class="button" :title="$gettext('Evidence (e)')" @click.stop="emit('evidence')">
          <span class="key">{{ "e" }}</span>{{ $gettext("evidence") }}
        </button>
        <button
          v-if="open(judgement) && !correction"
          type="button"
          class="button"
          :title="$gettext('Raise a correction (f)')"
          @click.stop="emit('correct')"
        >
          <span class="key">{{ "f" }}</span>{{ $gettext("correction") }}
        </button>
      </div>
      <p v-for="school in judgement.otherSchools" :key="school.title" class="school">
        <VerdictMark :verdict="school.verdict" :size="12" worded />
        <span>{{ $gettext("by %{school}", { school: school.title }) }}</span>
      </p>
    </template>
    <p v-if="correction" class="raised">
      {{ $gettext("Correction %{number} is open.", { number: correction.number }) }}
    </p>
  </article>
</template>

<style scoped>
.judgement {
  padding: 4px 12px 8px;
  border-bottom: 1px solid var(--hair);
  border-left: 4px solid transparent;
  cursor: pointer;
}

.chosen {
  border-left-color: var(--lake);
  background: var(--lake-soft);
  cursor: default;
}

header {
  display: flex;
  gap: 8px;
  align-items: center;
  justify-content: space-between;
}

h3 {
  font-size: 13.5px;
  line-height: 1.25;
}

.choose {
  min-height: 44px;
  padding: 0;
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  text-align: left;
  cursor: pointer;
}

.subject {
  display: block;
  font-size: 12px;
  font-weight: 400;
}

header :deep(.word) {
  font-size: 13px;
}

p {
  margin-top: 3px;
  font-size: 13px;
}

.remedy {
  font-weight: 600;
}

.caution {
  padding-left: 8px;
  border-left: 3px solid var(--brass);
}

.actions {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin-top: 8px;
}

.actions .button {
  min-height: 44px;
  padding: 0 10px;
}

.school {
  display: flex;
  gap: 6px;
  font-size: 12.5px;
}

.raised {
  color: var(--brass);
}
</style>
