<script setup lang="ts">
import { computed, ref, watch } from "vue";
import type { Schemas } from "../api/client";
import { sentence } from "../api/problems";
import MarginSpark from "../shown/MarginSpark.vue";
import VerdictMark from "../shown/VerdictMark.vue";

/** One field for a run of readings, spoken or typed; nothing is kept before it has been looked over. */
const props = defineProps<{
  station: string;
  hear: (text: string) => Promise<Schemas["SpokenView"]>;
  keep: (placed: Schemas["PlacedView"], id: string) => Promise<void>;
}>();

type Placed = Schemas["PlacedView"] & { id: string; problem?: string };

const text = ref("");
const heard = ref("");
const placed = ref<Placed[]>([]);
const left = ref<Schemas["LeftView"][]>([]);
const problem = ref("");
const busy = ref(false);
const field = ref<HTMLInputElement>();
const looked = computed(() => !!heard.value && heard.value === text.value.trim());

function clear() {
  heard.value = "";
  placed.value = [];
  left.value = [];
  problem.value = "";
}

watch(
  () => props.station,
  () => {
    text.value = "";
    clear();
  },
);

async function look() {
  const said = text.value.trim();
  if (!said || busy.value) {
    return;
  }
  if (looked.value && placed.value.length) {
    await keepAll();
    return;
  }
  busy.value = true;
  clear();
  try {
    const answer = await props.hear(said);
    placed.value = answer.placed.map((each) => ({ ...each, id: crypto.randomUUID() }));
    left.value = answer.left;
    heard.value = said;
  } catch (thrown) {
    problem.value = sentence(thrown);
  } finally {
    busy.value = false;
  }
}

/** What cannot be kept stays, in words, with what could not be placed. */
async function keepAll() {
  busy.value = true;
  const refused: Schemas["LeftView"][] = [];
  for (const each of placed.value) {
    try {
      await props.keep(each, each.id);
    } catch (thrown) {
      refused.push({ words: `${each.title} ${each.typed}`, why: sentence(thrown) });
    }
  }
  left.value = [...left.value, ...refused];
  placed.value = [];
  text.value = left.value.map((each) => each.words).join(", ");
  heard.value = text.value;
  busy.value = false;
  field.value?.focus();
}

function without(gone: Placed) {
  placed.value = placed.value.filter((each) => each !== gone);
}

defineExpose({ focus: () => field.value?.focus() });
</script>

<template>
  <form class="several" @submit.prevent="look()">
    <input
      ref="field"
      v-model="text"
      class="field mono"
      maxlength="2000"
      :aria-label="$gettext('Several readings at once')"
      :placeholder="$gettext('Several at once: back 7 in, left 12, pad sound')"
      autocomplete="off"
      autocapitalize="off"
      spellcheck="false"
      enterkeyhint="go"
      :aria-busy="busy"
    />
    <div v-if="problem || (looked && (placed.length || left.length))" class="heard" aria-live="polite">
      <p v-if="problem" class="error" role="alert">{{ problem }}</p>
      <ul v-if="placed.length">
        <li v-for="each in placed" :key="each.id">
          <span class="where"
            >{{ each.title }}<span v-if="each.subject" class="quiet"> · {{ each.subject }}</span></span
          >
          <span class="mono"
            >{{ each.typed
            }}<span v-if="each.before" class="quiet"
              >, {{ $gettext("was %{before}", { before: each.before }) }}</span
            ></span
          >
          <span v-if="each.judgement" class="says">
            <VerdictMark :verdict="each.judgement.verdict" :size="13" />
            <span>{{ each.judgement.brief }}</span>
            <MarginSpark
              v-if="each.judgement.bar"
              :bar="each.judgement.bar"
              :verdict="each.judgement.verdict"
            />
          </span>
          <button
            type="button"
            class="button"
            :aria-label="$gettext('Leave out %{title}', { title: each.title })"
            @click="without(each)"
          >
            {{ $gettext("Leave out") }}
          </button>
        </li>
      </ul>
      <p v-for="each in left" :key="each.words" class="left">
        <span class="mono">{{ each.words }}</span> {{ each.why }}
      </p>
      <div class="buttons">
        <button v-if="placed.length" type="submit" class="button primary" :disabled="busy">
          {{
            $ngettext("Keep this reading", "Keep these %{placed} readings", placed.length, {
              placed: placed.length,
            })
          }}
        </button>
        <button type="button" class="button" @click="clear()">
          {{ placed.length ? $gettext("Keep none") : $gettext("Close") }}
        </button>
      </div>
    </div>
  </form>
</template>

<style scoped>
.several {
  flex: 1 1 260px;
}

.heard {
  display: grid;
  gap: 6px;
  position: absolute;
  z-index: 6;
  top: calc(100% + 4px);
  right: 0;
  left: 0;
  max-height: 64vh;
  padding: 10px 12px;
  border: 1px solid var(--ink);
  border-radius: 4px;
  background: var(--paper);
  overflow: auto;
}

ul {
  margin: 0;
  padding: 0;
  list-style: none;
}

li {
  display: grid;
  grid-template-columns: minmax(120px, 1fr) minmax(100px, auto) minmax(180px, 1.6fr) auto;
  gap: 2px 12px;
  align-items: center;
  padding: 3px 0;
  border-bottom: 1px solid var(--hair);
}

.says {
  display: flex;
  gap: 6px;
  align-items: center;
  font-size: 13px;
}

li .button {
  grid-column: 4;
}

@media (max-width: 760px) {
  li {
    grid-template-columns: minmax(0, 1fr) auto;
  }

  .says {
    grid-column: 1;
  }

  li .button {
    grid-column: 2;
  }
}

.left {
  padding-left: 8px;
  border-left: 3px solid var(--brass);
  font-size: 13px;
}

.buttons {
  display: flex;
  gap: 8px;
}
</style>
