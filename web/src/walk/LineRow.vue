<script setup lang="ts">
import { useEventListener } from "@vueuse/core";
import { computed, inject, onBeforeUnmount, ref, watch } from "vue";
import { clock, useHolds } from "../frame/useHolds";
import PhotoStrip from "../photos/PhotoStrip.vue";
import type { Photo } from "../photos/usePhotos";
import { useSession } from "../session/useSession";
import { gradeWord, instrumentWord, words } from "../words/words";
import type { Judgement, Line, Tool } from "../shown/lines";
import LineField from "./LineField.vue";
import LiveLine from "./LiveLine.vue";
import ListEditor from "./ListEditor.vue";
import MarginSpark from "../shown/MarginSpark.vue";
import ShownNow from "./ShownNow.vue";
import StopWatch from "./StopWatch.vue";
import { useLive } from "../shown/useLive";
import { HAND } from "./hand";
import { KEEPER } from "./keeper";
import InsteadOfReading from "./InsteadOfReading.vue";
import type { Place } from "../shown/lines";
import { useReading } from "./useReading";
import type { Using } from "./useUsing";
import VerdictMark from "../shown/VerdictMark.vue";

const props = defineProps<{
  place: Place;
  line: Line;
  judgements: Judgement[];
  instruments: Tool[];
  using: Using;
  photos?: Photo[];
  /** The line that the person is at. */
  at?: () => string;
  /** Whether that is this one. */
  inHand?: boolean;
  /** Whether it stands by itself: how it is read and the units are in reach of the thumb. */
  one?: boolean;
  /** Whether what it comes to stands below, under lines that feed the same. */
  feeds?: boolean;
}>();
const emit = defineEmits<{
  focused: [];
  done: [];
  history: [];
  photo: [files: File[]];
  hold: [];
  heard: [];
}>();

const { person } = useSession();
const keeper = inject(KEEPER)!;
const inspects = computed(() => person.value?.role !== "CREW");

const {
  typed,
  grade,
  instrument,
  otherGrade,
  otherTool,
  unit,
  problem,
  ask,
  meant,
  theirs,
  busy,
  field,
  answer,
  fitting,
  options,
  changed,
  worst,
  understood,
  uncertainty,
  typing,
  commit,
  leave,
  vanish,
  say,
  choose,
  put,
  takeOver,
  mean,
  unitKey,
  byLetter,
  choosing,
  claimed,
  witness,
  regrade,
  offer,
  parts,
  inParts,
  alter,
  untry,
} = useReading({
  line: () => props.line,
  place: props.place,
  judgements: () => props.judgements,
  instruments: () => props.instruments,
  inspects: () => inspects.value,
  using: () => props.using,
  keeper,
  done: () => emit("done"),
  inHand: () => props.at?.() ?? "",
});
const { on, lasting } = useHolds();
const { sending } = useLive();
/** What is being left alone, where this line says for how long. */
const held = computed(() => (props.line.holds ? on(props.line) : undefined));

const fieldId = computed(() => `field-${props.line.point}-${props.line.component}`);
/** Buttons have names of their own; a label would be read twice. */
const buttons = computed(() => form.value?.buttons ?? false);
const form = ref<InstanceType<typeof LineField>>();
watch(form, (now) => (field.value = now), { flush: "sync" });

/** What it was read with, where that is not what the station is read with. */
const readWith = computed(() =>
  [
    otherGrade.value && gradeWord(grade.value),
    otherTool.value && fitting.value.find((tool) => tool.id === instrument.value)?.title,
  ]
    .filter(Boolean)
    .join(", "),
);

/** A choice that its closed list may cut off is said in full beside it. */
const LONG_CHOICE = 13;
const chosenAtLength = computed(
  () =>
    props.line.kind === "CHOICE" && !buttons.value && (props.line.reading?.said.length ?? 0) > LONG_CHOICE,
);

/** On a crew's screen a line that the inspection office has read is no field until the crew says otherwise. */
const otherwise = ref(false);
const closed = computed(
  () => !inspects.value && !!props.line.reading && !props.line.reading.byCrew && !otherwise.value,
);

/** What the watch says is saved at once: it was read in that moment. */
function timed(seconds: string) {
  typed.value = seconds;
  void commit();
}

/** Once a list is taken in hand its parts stand below it. */
const unfolded = ref(false);
function takeInHand() {
  emit("focused");
  if (props.line.list && !unfolded.value) {
    unfolded.value = true;
    void inParts();
  }
}

/** Where what belongs to the line in hand stands: beside the lines, so that no row changes its height. */
const hand = inject(HAND, undefined);
const row = ref<HTMLElement>();
const beside = ref<HTMLElement>();

/** Left for elsewhere: not where the window loses the focus, nor for what belongs to the line. */
function left(event: FocusEvent) {
  const to = event.relatedTarget as Node | null;
  if (document.hasFocus() && !row.value?.contains(to) && !beside.value?.contains(to)) {
    void leave();
  }
}

useEventListener("pagehide", vanish);
onBeforeUnmount(() => {
  vanish();
  untry();
});

defineExpose({ focus: () => field.value?.focus(), put });
</script>

<template>
  <div
    ref="row"
    class="line"
    :class="{
      one,
      feeds,
      listed: line.list,
      open: !line.reading && !line.optional && line.due,
      held: inHand,
    }"
    @focusin="takeInHand()"
    @focusout="left"
  >
    <component :is="buttons ? 'span' : 'label'" :for="buttons ? undefined : fieldId" class="title">
      {{ line.title }}
      <span v-if="line.optional" class="quiet optional"> {{ $gettext("optional") }}</span><span
        v-else-if="!line.due && !line.reading"
        class="quiet optional"
      >
        {{ $gettext("due at %{dueAt}", { dueAt: line.dueAt }) }}</span
      ><span
        v-if="line.hidden"
        class="hidden"
        :title="$gettext('Out of sight once covers are closed: read it before.')"
        >{{ $gettext("hidden later") }}</span
      >
    </component>
    <p v-if="one && line.caution" class="caution">{{ line.caution }}</p>
    <p v-if="one && line.how" class="how">{{ line.how }}</p>
    <div v-if="closed" class="entry closed">
      <span class="mono">{{ line.reading?.said }}</span>
      <button type="button" class="button" @click="otherwise = true">
        {{ $gettext("Record otherwise") }}
      </button>
    </div>
    <div v-else class="entry" :class="{ timed: line.instrumentKind === 'stopwatch' || line.holds }">
      <LineField
        :id="fieldId"
        ref="form"
        v-model="typed"
        :line="line"
        :options="options"
        :one="one"
        :busy="busy"
        :unsaved="changed && !!typed"
        :invalid="!!problem"
        :unit="unit"
        :log-address="keeper.logAddress"
        @typing="typing"
        @commit="commit()"
        @choose="choose"
        @log="choosing"
      />
      <button
        v-if="line.holds"
        type="button"
        class="button hold"
        :class="{ held }"
        :aria-label="
          held
            ? $gettext('End the hold of %{title}', { title: line.title })
            : $gettext('Begin the hold of %{title}', { title: line.title })
        "
        :title="held ? $gettext('End and save its time (h)') : $gettext('Left alone from now on (h)')"
        @click="emit('hold')"
      >
        {{ held ? clock(lasting(held)) : $gettext("Begin") }}
      </button>
      <StopWatch v-if="line.instrumentKind === 'stopwatch'" @timed="timed" />
    </div>
    <div
      v-if="one && !closed && line.kind === 'QUANTITY'"
      class="unit-keys"
      role="group"
      :aria-label="$gettext('Units')"
    >
      <button
        v-for="symbol in line.units"
        :key="symbol"
        type="button"
        class="button mono"
        :disabled="busy"
        @click="unitKey(symbol)"
      >
        {{ symbol }}
      </button>
    </div>
    <div class="understood">
      <span v-if="line.reading?.says === 'UNREAD' && !changed" class="quiet">{{ line.reading.said }}</span>
      <span v-else-if="chosenAtLength && !changed" class="value">{{ line.reading?.said }}</span>
      <span v-else-if="!claimed && (understood || (readWith && !changed))" class="mono value"
        >{{ understood }}<span v-if="uncertainty" class="quiet">&ensp;{{ uncertainty }}</span
        ><span v-if="readWith && !changed" class="quiet otherwise">&ensp;{{ readWith }}</span></span
      >
      <button
        v-if="claimed"
        type="button"
        class="button witness"
        :disabled="busy"
        :title="
          line.reading?.grade === 'STATED'
            ? $gettext('Stated as %{said}: seen so, it is witnessed', { said: line.reading.said })
            : $gettext('In the record as %{said}: seen so, it is witnessed', {
                said: line.reading?.said ?? '',
              })
        "
        @click="witness"
      >
        {{
          line.reading?.grade === "STATED"
            ? $gettext("stated: %{said} · witness", { said: line.reading.said })
            : $gettext("record: %{said} · witness", { said: line.reading?.said ?? "" })
        }}
      </button>
      <span v-if="worst && line.reading && !changed" class="said" :title="worst.judgement.title">
        <VerdictMark :verdict="worst.judgement.verdict" :size="13" />
        <span class="brief">{{ worst.said }}</span>
        <MarginSpark
          v-if="worst.judgement.bar"
          :bar="worst.judgement.bar"
          :verdict="worst.judgement.verdict"
        />
      </span>
    </div>
    <LiveLine v-if="line.kind === 'CURVE' && !closed" class="heard" :line="line" @changed="emit('heard')" />
    <div class="more">
      <button
        v-if="line.earlier"
        type="button"
        class="earlier"
        :title="$gettext('%{earlier} earlier', { earlier: line.earlier })"
        :aria-label="
          $gettext('%{earlier} earlier readings of %{title}', { earlier: line.earlier, title: line.title })
        "
        @click="emit('history')"
      >
        +{{ line.earlier }}
      </button>
    </div>
    <div
      v-if="problem || (meant.length && !one)"
      :ref="(el) => (answer = el as HTMLElement)"
      class="problem"
      role="alert"
    >
      <span v-if="problem" class="error">{{ problem }}</span>
      <span v-else class="quiet">{{ $gettext("Which one is meant?") }}</span>
      <span v-if="meant.length" class="meant" @keydown="byLetter">
        <button v-for="choice in meant" :key="choice" type="button" class="button mono" @click="mean(choice)">
          {{ choice }}
        </button>
      </span>
      <button v-if="ask" type="button" class="button" @click="commit(true)">
        {{ $gettext("Save as it is") }}
      </button>
      <template v-if="theirs">
        <button type="button" class="button" @click="commit(false, theirs.id)">
          {{ line.kind === "CURVE" ? $gettext("Save mine") : $gettext("Save mine, %{typed}", { typed }) }}
        </button>
        <button type="button" class="button" @click="emit('history')">
          {{ $gettext("Take theirs, %{said}", { said: theirs.said }) }}
        </button>
      </template>
    </div>
    <div v-if="line.list && unfolded && !closed" class="in-parts">
      <ListEditor :line="line" :list="line.list" :parts="parts" :change="alter" />
      <button
        v-if="changed && typed.trim()"
        type="button"
        class="button save"
        :disabled="busy"
        @click="commit()"
      >
        {{ $gettext("Save this list") }}
      </button>
    </div>
    <p v-if="line.beside" class="beside">
      {{ line.beside.byCrew ? $gettext("The crew says") : $gettext("Also said") }}
      <span class="mono">{{ line.beside.said }}</span>
      ({{ gradeWord(line.beside.grade) }}). {{ $gettext("What was read before stands.") }}
      <button v-if="inspects" type="button" class="button" @click="offer">
        {{ $gettext("Write it in") }}
      </button>
    </p>
    <p v-if="line.reading?.setAside" class="aside">
      {{ $gettext("Saved but set aside: %{setAside} Read it again.", { setAside: line.reading.setAside }) }}
    </p>
    <p v-if="line.goodEnough" class="better">{{ line.goodEnough }}</p>
    <PhotoStrip
      v-if="photos?.length"
      class="photos"
      :photos="photos"
      :label="line.title"
      papers
      @add="emit('photo', $event)"
    />
    <Teleport v-if="inHand && hand" :to="hand">
      <div ref="beside" class="beside-lines" @focusout="left">
        <template v-if="!one">
          <h2>{{ line.title }}</h2>
          <p v-if="line.caution" class="caution">{{ line.caution }}</p>
          <p v-if="line.how" class="how">{{ line.how }}</p>
        </template>
        <div v-if="!closed" class="how-known">
          <span class="quiet small-text">{{ $gettext("This line with") }}</span>
          <select
            v-model="grade"
            class="small"
            :aria-label="$gettext('Grade of %{title}', { title: line.title })"
            @change="regrade"
          >
            <option
              v-for="g in words.grades"
              :key="g.id"
              :value="g.id"
              :disabled="!inspects && g.id !== 'RECORDED'"
            >
              {{ g.title }}
            </option>
          </select>
          <select
            v-if="fitting.length"
            v-model="instrument"
            class="small"
            :aria-label="$gettext('Instrument for %{title}', { title: line.title })"
            @change="regrade"
          >
            <option value="">
              {{ $gettext("any %{kind}", { kind: instrumentWord(line.instrumentKind) }) }}
            </option>
            <option v-for="i in fitting" :key="i.id" :value="i.id">
              {{
                i.lapsed ? $gettext("%{instrument}, out of calibration", { instrument: i.title }) : i.title
              }}
            </option>
          </select>
          <ShownNow
            v-if="inspects && line.kind === 'QUANTITY' && fitting.some((tool) => sending.includes(tool.id))"
            :line="line"
            @take="takeOver($event.value, $event.instrument)"
          />
        </div>
        <PhotoStrip
          v-if="photos && !photos.length"
          :photos="photos"
          :label="line.title"
          papers
          @add="emit('photo', $event)"
        />
        <InsteadOfReading v-if="!closed" :key="line.reading?.id" :line="line" :busy="busy" @say="say" />
      </div>
    </Teleport>
  </div>
</template>

<style scoped>
.line {
  display: grid;
  grid-template-columns: minmax(120px, 1fr) minmax(150px, 0.9fr) minmax(200px, 1.6fr) 22px;
  gap: 0 10px;
  align-items: center;
  min-height: 46px;
  border-bottom: 1px solid var(--hair);
}

.title {
  line-height: 1.25;
}

.optional {
  font-size: 12px;
}

.timed {
  display: flex;
  gap: 4px;
}

.timed > :first-child {
  flex: 1;
  min-width: 0;
}

.timed :deep(.field) {
  padding: 0 6px;
}

.hold {
  min-width: 64px;
  min-height: 44px;
  padding: 0 8px;
}

.hold.held {
  background: var(--brass);
  color: var(--paper);
  font-family: var(--mono);
}

.heard {
  grid-row: 2;
  grid-column: 2 / -1;
  padding-bottom: 4px;
}

.in-parts {
  grid-column: 1 / -1;
}

.save {
  margin-bottom: 8px;
  border-color: var(--brass);
}

/* what has many parts takes the room of the row */
.listed {
  grid-template-columns: minmax(120px, 1fr) minmax(0, 2.5fr) 22px;
}

.listed .understood {
  grid-row: 2;
  grid-column: 1 / -1;
}

.line.held {
  background: var(--lake-soft);
  box-shadow:
    -6px 0 var(--lake-soft),
    4px 0 var(--lake-soft);
}

.open :deep(.field) {
  border-left: 3px solid var(--brass);
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

.open :deep(.option:first-child) {
  border-left: 3px solid var(--brass);
}

.understood {
  display: grid;
  gap: 1px;
  font-size: 12.5px;
  line-height: 1.3;
}

.witness {
  justify-self: start;
  min-height: 44px;
  padding: 0 8px;
  border-color: var(--brass);
  font-size: 12.5px;
}

.said {
  display: flex;
  gap: 5px;
  align-items: center;
}

.brief {
  flex: 1;
}

.line.feeds {
  border-bottom-color: transparent;
}

.line.feeds .understood {
  padding-left: 8px;
  border-left: 2px solid var(--hair);
}

.otherwise {
  font-family: var(--text);
}

.beside-lines {
  display: grid;
  gap: 6px;
  font-size: 14px;
}

.beside-lines h2 {
  font-size: 14px;
}

.how-known {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
  align-items: center;
}

.meant {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}

.small {
  max-width: 100%;
  min-height: 44px;
  padding: 0 8px;
  border: 1px solid var(--hair);
  border-radius: 4px;
  background: var(--paper);
  color: var(--ink);
  font: 13px var(--text);
}

.small option {
  background: var(--paper);
}

.small-text {
  font-size: 12px;
}

.more {
  display: flex;
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
  grid-column: 1 / -1;
  padding: 2px 0 6px;
}

.caution {
  padding-left: 8px;
  border-left: 3px solid var(--brass);
  font-size: 13px;
}

.aside {
  grid-column: 1 / -1;
  font-size: 13px;
}

.unit-keys {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}

.unit-keys .button {
  flex: 1 1 56px;
  min-height: 48px;
}

.line.one {
  grid-template-columns: minmax(0, 1fr);
  gap: 8px;
  border: 0;
  background: none;
  box-shadow: none;
}

.line.one > * {
  grid-row: auto;
  grid-column: 1;
}

.line.one .title {
  font-size: 18px;
  font-weight: 700;
}

.line.one .understood {
  min-height: 44px;
  font-size: 15px;
}

@media (max-width: 760px) {
  .line:not(.one) {
    grid-template-columns: minmax(0, 1fr) 24px;
    gap: 2px 8px;
    padding: 6px 0;
  }

  .line:not(.one) > .title {
    grid-column: 1 / -1;
  }

  .line:not(.one) > .entry {
    grid-column: 1;
  }

  .line:not(.one) > .understood {
    grid-row: 3;
    grid-column: 1 / -1;
  }

  .line:not(.one) > .heard {
    grid-row: 4;
    grid-column: 1 / -1;
  }
}
</style>
