<script setup lang="ts">
import { $ngettext } from "../language/language";
import { computed, nextTick, ref, watchEffect } from "vue";
import type { Photo } from "../photos/usePhotos";
import { homes } from "./homes";
import LineRow from "./LineRow.vue";
import type { Place } from "../shown/lines";
import type { Using } from "./useUsing";
import { lineKey, type Judgement, type Line, type Tool } from "../shown/lines";

const props = defineProps<{
  /** Where these lines stand; another place wants another table. */
  place: Place;
  lines: Line[];
  instruments: Tool[];
  judgementsOf: (line: Line) => Judgement[];
  using: Using;
  photosOf?: (line: Line) => Photo[];
  /** One line at a time, for a hand's screen. */
  one?: boolean;
}>();
const emit = defineEmits<{
  focused: [line: Line];
  history: [line: Line];
  photo: [line: Line, files: File[]];
  hold: [line: Line];
  heard: [];
}>();

/** So many lines that need not be read are shown without asking. */
const FEW = 1;

const rows = new Map<string, InstanceType<typeof LineRow>>();
const at = ref("");

/** The one line that is shown: the one in hand, else the first that is open. */
const only = computed(
  () => props.lines.find((line) => lineKey(line) === at.value) ?? props.lines.find(isOpen) ?? props.lines[0],
);
// what is shown stays shown when it is answered, until the person goes on
watchEffect(() => {
  if (props.one && only.value && !at.value) {
    at.value = lineKey(only.value);
  }
});
const walked = computed(() => props.lines.filter((line) => !spare(line) || line === only.value));
const number = computed(() => walked.value.findIndex((line) => line === only.value) + 1);

const groups = computed(() => {
  const found: { title: string; lines: Line[] }[] = [];
  for (const line of props.one ? (only.value ? [only.value] : []) : props.lines) {
    const last = found.at(-1);
    if (last?.title === line.group) {
      last.lines.push(line);
    } else {
      found.push({ title: line.group, lines: [line] });
    }
  }
  // a group of which nothing is shown unasked is no way in
  return [...found.filter((group) => shown(group).length), ...found.filter((group) => !shown(group).length)];
});

/** Where each judgement stands, so that it stands once. */
const home = computed(() => {
  const all = new Map(
    props.lines.flatMap((line) => props.judgementsOf(line)).map((each) => [each.key, each]),
  );
  return homes(
    props.lines.filter((line) => !spare(line)),
    [...all.values()],
  );
});

function saidAt(line: Line): Judgement[] {
  const all = props.judgementsOf(line);
  return props.one ? all : all.filter((each) => home.value.get(each.key) === lineKey(line));
}

/** Whether what it comes to stands below, under lines that feed the same. */
function feeds(line: Line): boolean {
  return !props.one && !!line.reading && props.judgementsOf(line).length > 0 && !saidAt(line).length;
}

/** Units whose optional lines have been asked for. */
const unfolded = ref(new Set<string>());

function spare(line: Line): boolean {
  // a logger's file spares other lines: it is not put away with what is seldom wanted
  const offered = line.kind === "CURVE" && !line.pointless;
  return (line.optional || !!line.pointless || !line.within) && !line.reading && !offered;
}

/** Whether the visit still asks for it. */
function isOpen(line: Line): boolean {
  return !line.reading && !spare(line) && line.due;
}

function folded(group: { title: string; lines: Line[] }): number {
  if (props.one) {
    return 0;
  }
  const count = group.lines.filter(spare).length;
  const unasked = group.lines.some((line) => line.pointless || !line.within);
  return (count > FEW || unasked) && !unfolded.value.has(group.title) ? count : 0;
}

/** What is folded, and why: in words, the answers that leave nothing to read first. */
function foldedWords(group: { title: string; lines: Line[] }): string {
  const pointless = group.lines.filter((line) => line.pointless && !line.reading);
  const outside = group.lines.filter((line) => !line.within && !line.pointless && !line.reading);
  const rest = folded(group) - pointless.length - outside.length;
  const answers = [...new Set(pointless.map((line) => line.pointless))].join(", ");
  return [
    pointless.length &&
      $ngettext(
        "%{lines} line does not apply (%{answers})",
        "%{lines} lines do not apply (%{answers})",
        pointless.length,
        { lines: pointless.length, answers },
      ),
    outside.length &&
      $ngettext(
        "%{lines} line is outside of what this visit looks at",
        "%{lines} lines are outside of what this visit looks at",
        outside.length,
        { lines: outside.length },
      ),
    rest &&
      $ngettext(
        "%{lines} more line, read only where it applies",
        "%{lines} more lines, read only where they apply",
        rest,
        { lines: rest },
      ),
  ]
    .filter(Boolean)
    .join("; ");
}

function shown(group: { title: string; lines: Line[] }): Line[] {
  return folded(group) ? group.lines.filter((line) => !spare(line)) : group.lines;
}

function unfold(title: string) {
  unfolded.value = new Set([...unfolded.value, title]);
}

function keep(line: Line, row: unknown) {
  if (row) {
    rows.set(lineKey(line), row as InstanceType<typeof LineRow>);
  } else {
    rows.delete(lineKey(line));
  }
}

function focused(line: Line) {
  at.value = lineKey(line);
  emit("focused", line);
}

async function go(line: Line | undefined) {
  if (line) {
    if (props.one) {
      at.value = lineKey(line);
      await nextTick();
    }
    if (spare(line)) {
      unfold(line.group);
      await nextTick();
    }
    rows.get(lineKey(line))?.focus();
  }
}

function inHand(): string {
  return at.value;
}

function index(): number {
  return props.lines.findIndex((line) => lineKey(line) === at.value);
}

/** The next line after this one that is open, wrapping round; the next optional one when all else is read. */
async function nextOpen() {
  await nextTick();
  const from = index();
  const after = [...props.lines.slice(from + 1), ...props.lines.slice(0, from + 1)];
  await go(after.find(isOpen) ?? after.find((line) => !line.reading && !line.pointless));
}

/** The first line that is open, from the top; where none is, the first. */
function firstOpen() {
  return go(props.lines.find(isOpen) ?? props.lines.find((line) => !spare(line)));
}

function previous() {
  const lines = props.one ? walked.value : props.lines;
  const from = lines.findIndex(
    (line) => lineKey(line) === (props.one && only.value ? lineKey(only.value) : at.value),
  );
  void go(lines[Math.max(0, from - 1)]);
}

/** By itself one line goes on only when the person says so: what it comes to is looked at first. */
function done() {
  if (!props.one) {
    void nextOpen();
  }
}

function following() {
  if (only.value) {
    at.value = lineKey(only.value);
  }
  void nextOpen();
}

function goTo(key: string) {
  void go(props.lines.find((line) => lineKey(line) === key));
}

/** Words for the line in hand. */
function put(key: string, words: string) {
  rows.get(key)?.put(words);
}

defineExpose({ firstOpen, nextOpen, previous, goTo, put });
</script>

<template>
  <div class="lines" tabindex="0" role="group" :aria-label="$gettext('Lines')">
    <section v-for="group in groups" :key="group.title" :aria-label="group.title || $gettext('System')">
      <h2 v-if="group.title || one">
        {{ group.title || $gettext("System")
        }}<span v-if="one" class="quiet place">{{
          $gettext("%{number} of %{walked}", { number, walked: walked.length })
        }}</span>
      </h2>
      <LineRow
        v-for="line in shown(group)"
        :key="lineKey(line)"
        :ref="(row) => keep(line, row)"
        :place="place"
        :line="line"
        :in-hand="one || at === lineKey(line)"
        :one="one"
        :judgements="saidAt(line)"
        :feeds="feeds(line)"
        :instruments="instruments"
        :using="using"
        :photos="photosOf?.(line)"
        :at="inHand"
        @photo="emit('photo', line, $event)"
        @focused="focused(line)"
        @done="done"
        @history="emit('history', line)"
        @hold="emit('hold', line)"
        @heard="emit('heard')"
      />
      <button v-if="folded(group)" type="button" class="unfold" @click="unfold(group.title)">
        {{ foldedWords(group) }}
      </button>
    </section>
    <div v-if="one && walked.length" class="steps">
      <button type="button" class="button" :disabled="number <= 1" @click="previous">
        {{ $gettext("Back") }}
      </button>
      <button type="button" class="button primary" @click="following">{{ $gettext("Next line") }}</button>
    </div>
  </div>
</template>

<style scoped>
.place {
  float: right;
  font-weight: 400;
}

.steps {
  display: grid;
  grid-template-columns: 1fr 2fr;
  gap: 8px;
  margin: 8px 0;
}

.steps .button {
  min-height: 52px;
}

h2 {
  position: sticky;
  z-index: 2;
  top: 0;
  padding: 3px 0 2px;
  background: var(--ground);
  font-size: 13px;
}

.unfold {
  width: 100%;
  min-height: 40px;
  padding: 0;
  border: 0;
  border-bottom: 1px solid var(--hair);
  background: none;
  color: var(--lake);
  font: 13px var(--text);
  text-align: left;
  text-decoration: underline;
  cursor: pointer;
}
</style>
