<script setup lang="ts">
import { computed, nextTick, ref, watch } from "vue";
import { ProblemError, type Schemas } from "../api/client";
import { sentence } from "../api/problems";
import PhotoStrip from "../photos/PhotoStrip.vue";
import type { Photo } from "../photos/usePhotos";
import { useSession } from "../session/useSession";
import type { Grade, Judgement, Line, Tool } from "./useWalk";
import VerdictMark from "./VerdictMark.vue";
import { ORDER } from "./verdicts";

const props = defineProps<{
  line: Line;
  judgements: Judgement[];
  instruments: Tool[];
  understand: (line: Line, typed: string, instrument?: string) => Promise<Schemas["Echo"]>;
  save: (line: Line, reading: Schemas["TypedReading"]) => Promise<void>;
  photos?: Photo[];
}>();
const emit = defineEmits<{ focused: []; done: []; history: []; photo: [files: File[]] }>();

const FEW_OPTIONS = 4;
const GRADES: { value: Grade; word: string }[] = [
  { value: "WITNESSED", word: "Witnessed" },
  { value: "LOGGED", word: "Logged" },
  { value: "RECORDED", word: "Recorded" },
  { value: "STATED", word: "Stated" },
];

const { person } = useSession();
const inspects = computed(() => person.value?.role !== "CREW");

const typed = ref("");
const grade = ref<Grade>("WITNESSED");
const instrument = ref("");
const echo = ref<Schemas["Echo"]>();
const problem = ref("");
const ask = ref(false);
/** What may have been meant by what was refused. */
const meant = ref<string[]>([]);
const theirs = ref<Schemas["ReadingView"]>();
const busy = ref(false);
const field = ref<HTMLInputElement | HTMLSelectElement>();
const answer = ref<HTMLElement>();
/** Kept while a save is tried again, so that the server keeps one reading however often it hears of it. */
let attempt: { id: string; typed: string } | undefined;

// by its id: the same reading loaded anew must not wipe what is being typed over it
watch(
  () => props.line.reading?.id,
  () => {
    const reading = props.line.reading;
    typed.value = reading?.typed ?? "";
    grade.value = inspects.value ? (reading?.grade ?? "WITNESSED") : "RECORDED";
    instrument.value = reading?.instrument ?? "";
    echo.value = undefined;
    problem.value = "";
    ask.value = false;
    meant.value = [];
    theirs.value = undefined;
    attempt = undefined;
  },
  { immediate: true },
);

const fitting = computed(() => props.instruments.filter((i) => i.kind === props.line.instrumentKind));
const options = computed(() => (props.line.kind === "YES_NO" ? ["yes", "no"] : props.line.options));
const buttons = computed(() => options.value.length > 0 && options.value.length <= FEW_OPTIONS);
const changed = computed(() => typed.value.trim() !== (props.line.reading?.typed ?? ""));
const worst = computed(() =>
  [...props.judgements].sort((a, b) => ORDER.indexOf(a.verdict) - ORDER.indexOf(b.verdict)).at(0),
);
const understood = computed(() => {
  const shown = changed.value ? echo.value : props.line.reading;
  return shown
    ? [shown.us, shown.si].filter((text, i, all) => text && all.indexOf(text) === i).join(" · ")
    : "";
});
const uncertainty = computed(() =>
  changed.value ? echo.value?.uncertainty : props.line.reading?.uncertainty,
);
const fieldId = computed(() => `field-${props.line.point}-${props.line.component}`);
const hint = computed(() =>
  props.line.kind === "QUANTITY"
    ? props.line.example.split(/,| or /)[0]
    : props.line.kind === "MONTH"
      ? "2025-03 or 2025-W14"
      : "",
);

let timer: ReturnType<typeof setTimeout> | undefined;
function typing() {
  problem.value = "";
  ask.value = false;
  meant.value = [];
  echo.value = undefined;
  clearTimeout(timer);
  if (props.line.kind === "QUANTITY" && typed.value.trim()) {
    const asked = typed.value;
    timer = setTimeout(async () => {
      try {
        const heard = await props.understand(props.line, asked, instrument.value || undefined);
        if (asked === typed.value) {
          echo.value = heard;
          meant.value = heard.choices;
        }
      } catch {
        // without an answer there is simply nothing to echo
      }
    }, 250);
  }
}

function fresh(): string {
  if (attempt?.typed !== typed.value.trim()) {
    attempt = { id: crypto.randomUUID(), typed: typed.value.trim() };
  }
  return attempt.id;
}

async function commit(confirmed = false, basedOn = props.line.reading?.id) {
  clearTimeout(timer);
  if (!typed.value.trim()) {
    if (props.line.reading) {
      typed.value = props.line.reading.typed;
      problem.value = "A reading is never erased. Write the right value over it.";
    } else {
      emit("done");
    }
    return;
  }
  const same =
    !changed.value &&
    grade.value === props.line.reading?.grade &&
    instrument.value === (props.line.reading?.instrument ?? "");
  if (same) {
    emit("done");
    return;
  }
  busy.value = true;
  problem.value = "";
  try {
    await props.save(props.line, {
      id: fresh(),
      point: props.line.point,
      component: props.line.component,
      typed: typed.value.trim(),
      instrument: instrument.value || undefined,
      grade: grade.value,
      basedOn,
      confirmed,
    });
    emit("done");
  } catch (thrown) {
    const known = thrown instanceof ProblemError ? thrown.problem : undefined;
    ask.value = known?.ask === true;
    meant.value = known?.choices ?? [];
    theirs.value = known?.status === 409 ? (known.theirs as Schemas["ReadingView"] | undefined) : undefined;
    problem.value = sentence(thrown);
    field.value?.focus();
    // what is said of it stands below the field, perhaps out of sight
    void nextTick(() => answer.value?.scrollIntoView?.({ block: "nearest" }));
  } finally {
    busy.value = false;
  }
}

function choose(option: string) {
  typed.value = option;
  void commit();
}

function regrade() {
  if (props.line.reading) {
    void commit();
  }
}

/** The crew's words go into the field; the inspector looks, and saves them under the own grade. */
function offer() {
  typed.value = props.line.beside?.typed ?? "";
  field.value?.focus();
}

/** On a crew's screen a line that the inspection office has read is no field until the crew says otherwise. */
const otherwise = ref(false);
const closed = computed(
  () => !inspects.value && !!props.line.reading && !props.line.reading.byCrew && !otherwise.value,
);

defineExpose({ focus: () => field.value?.focus() });
</script>

<template>
  <div class="line" :class="{ open: !line.reading && !line.optional && line.due }" @focusin="emit('focused')">
    <component
      :is="buttons ? 'span' : 'label'"
      :for="buttons ? undefined : fieldId"
      class="title"
      :title="line.how"
    >
      {{ line.title }}<span v-if="line.optional" class="quiet optional"> optional</span
      ><span v-else-if="!line.due && !line.reading" class="quiet optional"> due at {{ line.dueAt }}</span
      ><span v-if="line.hidden" class="hidden" title="Out of sight once covers are closed: read it before."
        >hidden later</span
      >
    </component>
    <div v-if="closed" class="entry closed">
      <span class="mono">{{ line.reading?.typed }}</span>
      <button type="button" class="button" @click="otherwise = true">Record otherwise</button>
    </div>
    <div v-else class="entry">
      <div v-if="buttons" class="options" role="group" :aria-label="line.title">
        <button
          v-for="(option, index) in options"
          :key="option"
          :ref="index === 0 ? (el) => (field = el as HTMLInputElement) : undefined"
          type="button"
          class="option"
          :aria-pressed="line.reading?.typed === option"
          :disabled="busy"
          @click="choose(option)"
        >
          {{ option }}
        </button>
      </div>
      <select
        v-else-if="options.length"
        :id="fieldId"
        ref="field"
        v-model="typed"
        :aria-label="line.title"
        class="field mono"
        @change="commit()"
      >
        <option value="" disabled>choose</option>
        <option v-for="option in options" :key="option">{{ option }}</option>
      </select>
      <input
        v-else
        :id="fieldId"
        ref="field"
        v-model="typed"
        :aria-label="line.title"
        class="field mono"
        :class="{ unsaved: changed && typed }"
        :placeholder="hint"
        :aria-invalid="!!problem"
        autocomplete="off"
        autocapitalize="off"
        spellcheck="false"
        enterkeyhint="next"
        @input="typing"
        @keydown.enter.prevent="commit()"
      />
    </div>
    <div class="understood mono">
      <span>{{ understood }}</span>
      <span v-if="uncertainty" class="quiet">{{ uncertainty }}</span>
    </div>
    <div v-if="!closed" class="how-known">
      <select v-model="grade" class="small" :aria-label="`Grade of ${line.title}`" @change="regrade">
        <option
          v-for="g in GRADES"
          :key="g.value"
          :value="g.value"
          :disabled="!inspects && g.value !== 'RECORDED'"
        >
          {{ g.word }}
        </option>
      </select>
      <select
        v-if="fitting.length"
        v-model="instrument"
        class="small"
        :aria-label="`Instrument for ${line.title}`"
        @change="regrade"
      >
        <option value="">any {{ line.instrumentKind.replace("-", " ") }}</option>
        <option v-for="i in fitting" :key="i.id" :value="i.id">
          {{ i.title }}{{ i.lapsed ? ", out of calibration" : "" }}
        </option>
      </select>
      <span v-else class="quiet small-text">{{ line.instrumentKind.replace("-", " ") }}</span>
    </div>
    <div class="verdict">
      <button
        v-if="line.earlier"
        type="button"
        class="earlier"
        :title="`${line.earlier} earlier`"
        :aria-label="`${line.earlier} earlier readings of ${line.title}`"
        @click="emit('history')"
      >
        +{{ line.earlier }}
      </button>
      <VerdictMark v-if="worst && line.reading" :verdict="worst.verdict" />
    </div>
    <div v-if="problem || meant.length" ref="answer" class="problem" role="alert">
      <span v-if="problem" class="error">{{ problem }}</span>
      <span v-else class="quiet">Which one is meant?</span>
      <button v-for="choice in meant" :key="choice" type="button" class="button mono" @click="choose(choice)">
        {{ choice }}
      </button>
      <button v-if="ask" type="button" class="button" @click="commit(true)">Save as it is</button>
      <template v-if="theirs">
        <button type="button" class="button" @click="commit(false, theirs.id)">Save mine, {{ typed }}</button>
        <button type="button" class="button" @click="emit('history')">Take theirs, {{ theirs.typed }}</button>
      </template>
    </div>
    <p v-if="worst && line.reading && worst.verdict !== 'MEETS'" class="answer">
      <VerdictMark :verdict="worst.verdict" :size="12" worded /> {{ worst.because }}
    </p>
    <p v-if="line.beside" class="beside">
      {{ line.beside.byCrew ? "The crew says" : "Also said" }}
      <span class="mono">{{ line.beside.typed }}</span> ({{ line.beside.grade.toLowerCase() }}). What was read
      before stands.
      <button v-if="inspects" type="button" class="button" @click="offer">Write it in</button>
    </p>
    <p v-if="line.reading?.setAside" class="answer">
      Saved but set aside: {{ line.reading.setAside }} Read it again.
    </p>
    <p v-if="line.goodEnough" class="better">{{ line.goodEnough }}</p>
    <PhotoStrip
      v-if="photos"
      class="photos"
      :class="{ some: photos.length }"
      :photos="photos"
      :label="line.title"
      @add="emit('photo', $event)"
    />
    <p v-if="line.caution" class="caution">{{ line.caution }}</p>
  </div>
</template>

<style scoped>
.line {
  display: grid;
  grid-template-columns: minmax(120px, 1.15fr) minmax(140px, 1fr) minmax(110px, 0.95fr) 118px 44px;
  gap: 0 10px;
  align-items: center;
  padding: 2px 0;
  border-bottom: 1px solid var(--hair);
}

.title {
  line-height: 1.25;
}

.optional {
  font-size: 12px;
}

.line:focus-within .title {
  font-weight: 700;
}

.field {
  font-size: 15px;
}

.open .field {
  border-left: 3px solid var(--brass);
}

.unsaved {
  border-color: var(--brass);
}

.closed {
  display: flex;
  align-items: center;
  gap: 10px;
}

.beside {
  display: flex;
  flex-wrap: wrap;
  grid-column: 1 / -1;
  gap: 4px 8px;
  align-items: center;
  margin: 2px 0 4px;
  padding-left: 8px;
  border-left: 3px solid var(--brass);
}

.options {
  display: flex;
}

.option {
  flex: 1;
  min-height: 44px;
  padding: 0 4px;
  border: 1px solid var(--hair);
  background: var(--paper);
  color: var(--ink);
  font: 14px var(--mono);
  cursor: pointer;
}

.option + .option {
  border-left: 0;
}

.option:first-child {
  border-radius: 4px 0 0 4px;
}

.option:last-child {
  border-radius: 0 4px 4px 0;
}

.option[aria-pressed="true"] {
  background: var(--lake);
  color: var(--on-lake);
}

.open .option:first-child {
  border-left: 3px solid var(--brass);
}

.understood {
  display: grid;
  font-size: 12.5px;
  line-height: 1.3;
}

.how-known {
  display: grid;
}

.small {
  width: 100%;
  min-height: 24px;
  padding: 0;
  border: 0;
  background: none;
  color: var(--ink);
  font: 12.5px var(--text);
}

.small option {
  background: var(--paper);
}

.small-text {
  padding-left: 4px;
  font-size: 12px;
}

.verdict {
  display: flex;
  gap: 4px;
  align-items: center;
  justify-content: flex-end;
}

.earlier {
  padding: 4px 2px;
  border: 0;
  background: none;
  color: var(--quiet);
  font: 12px var(--mono);
  text-decoration: underline dotted;
  cursor: pointer;
}

.problem {
  display: flex;
  flex-wrap: wrap;
  grid-column: 1 / -1;
  gap: 4px 10px;
  align-items: center;
  padding: 4px 0 6px;
}

.hidden {
  margin-left: 6px;
  padding: 0 4px;
  border: 1px dashed var(--brass);
  border-radius: 3px;
  color: var(--brass);
  font-size: 11px;
  white-space: nowrap;
}

.better {
  grid-column: 1 / -1;
  padding-bottom: 4px;
  font-size: 13px;
}

.photos {
  display: none;
  grid-column: 1 / -1;
  padding: 2px 0 6px;
}

.photos.some,
.line:focus-within .photos {
  display: flex;
}

.caution {
  display: none;
  grid-column: 1 / -1;
  margin: 2px 0 6px;
  padding-left: 8px;
  border-left: 3px solid var(--brass);
  font-size: 13px;
}

/* where the ledger is out of sight the line itself says why */
.answer {
  display: none;
  grid-column: 1 / -1;
  font-size: 13px;
}

.line:focus-within .caution {
  display: block;
}

@media (max-width: 1100px) {
  .answer {
    display: block;
    padding-bottom: 4px;
  }
}

@media (max-width: 760px) {
  .line {
    grid-template-columns: minmax(0, 1fr) 118px 40px;
    gap: 2px 8px;
    padding: 6px 0;
  }

  .title {
    grid-column: 1 / -1;
  }

  .entry {
    grid-column: 1;
  }

  .understood {
    grid-row: 3;
    grid-column: 1 / -1;
    display: flex;
    gap: 8px;
  }

  .field {
    font-size: 16px;
  }
}
</style>
