<script setup lang="ts">
import { $gettext } from "../language/language";
import { computed, ref } from "vue";
import { useLive } from "../shown/useLive";
import type { Line, Option } from "../shown/lines";

/** Where a line is answered: a few choices as buttons, many as a list, anything else typed. */
const props = defineProps<{
  line: Line;
  options: Option[];
  busy: boolean;
  unsaved: boolean;
  invalid: boolean;
  /** What a bare number will be taken in. */
  unit?: string;
  id: string;
  /** Whether it stands by itself, with room for long answers. */
  one?: boolean;
  logAddress: (sha256: string) => string;
}>();
const emit = defineEmits<{ typing: []; commit: []; choose: [option: string]; log: [file: File] }>();
const typed = defineModel<string>({ required: true });

const live = useLive();
const FEW_OPTIONS = 4;
/** Longer answers do not fit on buttons beside each other in the column. */
const SHORT_ANSWERS = 22;
const buttons = computed(
  () =>
    props.options.length > 0 &&
    props.options.length <= FEW_OPTIONS &&
    (props.one || props.options.map((option) => option.words).join("").length <= SHORT_ANSWERS),
);
const hint = computed(() =>
  props.line.kind === "QUANTITY" || props.line.kind === "LIST"
    ? props.line.example
    : props.line.kind === "MONTH"
      ? $gettext("2025-03 or 2025-W14")
      : "",
);
const field = ref<HTMLElement>();

/** Whether a closed list is gone through by keys: that chooses nothing before Enter or leaving. */
let byKey = false;
function pressedInList(event: KeyboardEvent) {
  byKey = event.key !== "Enter";
  if (!byKey) {
    emit("commit");
  }
}
function changedInList() {
  if (byKey) {
    emit("typing");
  } else {
    emit("commit");
  }
}

/** Along the buttons by arrows; Enter or the space bar answers. */
function along(event: KeyboardEvent, by: number) {
  const all = [
    ...((event.currentTarget as HTMLElement).querySelectorAll("button") as NodeListOf<HTMLElement>),
  ];
  const at = all.indexOf(document.activeElement as HTMLElement);
  all[(at + by + all.length) % all.length]?.focus();
}

function chosen(event: Event) {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0];
  input.value = "";
  if (file) {
    emit("log", file);
  }
}

defineExpose({ buttons, focus: () => field.value?.focus() });
</script>

<template>
  <div
    v-if="buttons"
    class="options"
    role="group"
    :aria-label="line.title"
    @keydown.right.prevent="along($event, 1)"
    @keydown.left.prevent="along($event, -1)"
  >
    <button
      v-for="(option, index) in options"
      :key="option.id"
      :ref="index === 0 ? (el) => (field = el as HTMLElement) : undefined"
      type="button"
      class="option"
      :aria-pressed="line.reading?.typed === option.id"
      :disabled="busy"
      @click="emit('choose', option.id)"
    >
      {{ option.words }}
    </button>
  </div>
  <div v-else-if="line.kind === 'CURVE'" class="log">
    <label class="button">
      {{
        busy
          ? $gettext("Reading the file")
          : line.reading
            ? $gettext("Another file")
            : $gettext("Logger's file")
      }}
      <input
        :id="id"
        ref="field"
        type="file"
        accept=".csv,.txt,.tsv,text/*"
        class="file"
        :aria-label="line.title"
        :disabled="busy"
        @change="chosen"
      />
    </label>
    <a
      v-if="line.reading && !live.on(line)"
      :href="logAddress(line.reading.typed)"
      :title="line.reading.said"
      :aria-label="$gettext('%{title}: %{said}, as CSV', { title: line.title, said: line.reading.said })"
      download
      >{{ $gettext("CSV") }}</a
    >
    <a
      v-if="line.reading && !live.on(line)"
      :href="`${logAddress(line.reading.typed)}/senml`"
      :aria-label="$gettext('%{title}: %{said}, as SenML', { title: line.title, said: line.reading.said })"
      download
      >{{ $gettext("SenML") }}</a
    >
  </div>
  <select
    v-else-if="options.length"
    :id="id"
    ref="field"
    v-model="typed"
    :aria-label="line.title"
    class="field mono"
    :class="{ unsaved }"
    @pointerdown="byKey = false"
    @keydown="pressedInList"
    @change="changedInList"
  >
    <option value="" disabled>{{ $gettext("choose") }}</option>
    <option v-for="option in options" :key="option.id" :value="option.id">{{ option.words }}</option>
  </select>
  <textarea
    v-else-if="line.kind === 'LIST'"
    :id="id"
    ref="field"
    v-model="typed"
    :aria-label="line.title"
    class="field mono many"
    :class="{ unsaved }"
    :placeholder="hint"
    :aria-invalid="invalid"
    :rows="typed.length > 70 ? Math.min(6, Math.ceil(typed.length / 44)) : 2"
    maxlength="2000"
    autocomplete="off"
    autocapitalize="off"
    spellcheck="false"
    @input="emit('typing')"
    @keydown.enter.prevent="emit('commit')"
  />
  <span v-else class="typed">
    <input
      :id="id"
      ref="field"
      v-model="typed"
      :aria-label="line.title"
      class="field mono"
      :class="{ unsaved }"
      :placeholder="unit ? '' : hint"
      :aria-invalid="invalid"
      :aria-description="unit && $gettext('A bare number is taken in %{unit}', { unit })"
      autocomplete="off"
      autocapitalize="off"
      spellcheck="false"
      enterkeyhint="next"
      @input="emit('typing')"
      @keydown.enter.prevent="emit('commit')"
    />
    <span v-if="unit" class="unit mono" aria-hidden="true">{{ unit }}</span>
  </span>
</template>

<style scoped>
.field {
  font-size: 15px;
}

.many {
  width: 100%;
  height: auto;
  padding: 8px;
  font-size: 14px;
  line-height: 1.35;
  resize: vertical;
}

.typed {
  display: block;
  position: relative;
}

.unit {
  position: absolute;
  top: 0;
  right: 10px;
  bottom: 0;
  display: flex;
  align-items: center;
  color: var(--quiet);
  pointer-events: none;
}

.unsaved {
  border-color: var(--brass);
}

.options {
  display: flex;
  flex-wrap: wrap;
  gap: 2px;
}

.log {
  display: flex;
  gap: 10px;
  align-items: center;
}

.log .button {
  position: relative;
  flex: 1;
  text-align: center;
}

.log .button:focus-within {
  outline: 2px solid var(--lake);
  outline-offset: 1px;
}

/* the button around it is what is seen and tapped */
.file {
  position: absolute;
  inset: 0;
  opacity: 0;
  cursor: pointer;
}

.option {
  flex: 1 0 auto;
  min-height: 44px;
  padding: 0 3px;
  border: 1px solid var(--hair);
  border-radius: 4px;
  background: var(--paper);
  color: var(--ink);
  font: 14px var(--mono);
  cursor: pointer;
}

.option[aria-pressed="true"] {
  background: var(--lake);
  color: var(--on-lake);
}

@media (max-width: 760px) {
  .field {
    font-size: 16px;
  }
}
</style>
