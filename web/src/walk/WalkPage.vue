<script setup lang="ts">
import { $gettext } from "../language/language";
import type { Schemas } from "../api/client";
import { notice } from "../frame/notice";
import { useIntervalFn, useMediaQuery } from "@vueuse/core";
import { computed, nextTick, onBeforeUnmount, provide, ref, toRef, watch, watchEffect } from "vue";
import { onBeforeRouteLeave, onBeforeRouteUpdate, useRoute, useRouter } from "vue-router";
import { useHolds } from "../frame/useHolds";
import { useSwitch } from "../frame/useSwitch";
import { useKeys } from "../frame/useKeys";
import { mayNotify } from "../frame/signal";
import { sentence } from "../api/problems";
import { useSession } from "../session/useSession";
import { carried } from "../frame/carried";
import { usePlaces } from "../frame/usePlaces";
import { usePhotos } from "../photos/usePhotos";
import CorrectionDialog from "./CorrectionDialog.vue";
import StationFigure from "../shown/figures/StationFigure.vue";
import UnitPhotos from "../shown/figures/UnitPhotos.vue";
import { HAND } from "./hand";
import { KEEPER } from "./keeper";
import CorrectInstallation from "../register/CorrectInstallation.vue";
import HistoryDialog from "./HistoryDialog.vue";
import HourDialog from "./HourDialog.vue";
import LoggerDialog from "./LoggerDialog.vue";
import JudgementLedger from "./JudgementLedger.vue";
import LineTable from "./LineTable.vue";
import RoutePipe from "./RoutePipe.vue";
import { taken } from "../shown/figures/useTried";
import { lineKey, type Judgement, type Line } from "../shown/lines";
import { useWalk } from "./useWalk";
import ReadingWith from "./ReadingWith.vue";
import VisitSummary from "../shown/VisitSummary.vue";
import SimulatedPanel from "./SimulatedPanel.vue";
import SeveralAtOnce from "./SeveralAtOnce.vue";
import StopNotice from "./StopNotice.vue";
import { useHour } from "./useHour";
import { useLive } from "../shown/useLive";
import { useNotices } from "./useNotices";
import type { Place } from "../shown/lines";
import { useUnsaved } from "./useUnsaved";
import UnsavedLines from "./UnsavedLines.vue";
import { useUsing } from "./useUsing";
import { countsInWords, sumOfCounts } from "../words/words";
import VisitDialog from "./VisitDialog.vue";
import WhyDrawer from "./WhyDrawer.vue";

const props = defineProps<{ id: string; stationKey: string }>();
const router = useRouter();
const address = useRoute();
const walk = useWalk(toRef(props, "id"), toRef(props, "stationKey"));
const { installation, route, station, judgements, problem } = walk;
const { person } = useSession();
const inspects = computed(() => person.value?.role !== "CREW");
const photos = usePhotos(toRef(props, "id"));
const stops = useNotices(toRef(props, "id"));
const here = computed(() => route.value.find((each) => each.key === props.stationKey));
/** Earlier stations that are not all read. */
const early = computed(() => here.value?.waits ?? []);
const { ofPage, heading } = usePlaces();

const table = ref<InstanceType<typeof LineTable>>();
const chosen = ref("");
const whyOpen = ref(false);
const correctionOpen = ref(false);
const historyOpen = ref(false);
const visitOpen = ref(false);
const rightOpen = ref(false);
const hourOpen = ref(false);
const hour = useHour(toRef(props, "id"));
const historyLine = ref<Line>();

/** Units whose photos are held beside the lines; each has a place of its own beside the figure. */
const photographed = computed(() =>
  station.value?.aids.includes("UNIT_PHOTOS")
    ? (installation.value?.components ?? []).map((unit) => ({
        component: unit.id,
        title: photos.of({ component: unit.id }).length
          ? $gettext("%{unit}: photo", { unit: unit.title })
          : unit.title,
      }))
    : [],
);

const chosenJudgement = computed(
  () => judgements.value.find((j) => j.key === chosen.value) ?? judgements.value[0],
);
const built = computed(() => route.value.filter((s) => s.built));
const using = computed(() => useUsing(`${props.id} ${props.stationKey}`, person.value?.name));
/** Of the whole visit. */
const undecided = computed(() => route.value.reduce((sum, each) => sum + each.undecided, 0));

watchEffect(() => {
  const facts = installation.value;
  heading.value = facts && {
    title: facts.title,
    detail: `${facts.building} · ${facts.system} · ${facts.replacement ? $gettext("replacement") : $gettext("new")} · ${facts.stage}`,
    counts: countsInWords(sumOfCounts(route.value.map((s) => s.counts))),
  };
  ofPage.value = [
    ...built.value.map((s) => ({
      title: `${s.number} ${s.title}`,
      detail: $gettext("station"),
      go: () => void router.push(`/installations/${props.id}/${s.key}`),
    })),
    {
      title: $gettext("Report"),
      detail: $gettext("of this visit"),
      go: () => void router.push(`/installations/${props.id}/report`),
    },
    {
      title: $gettext("After the walk"),
      detail: $gettext("corrections, seal, visits"),
      go: () => void router.push(`/installations/${props.id}/after`),
    },
  ];
});
onBeforeUnmount(() => {
  heading.value = undefined;
  ofPage.value = [];
});

const figureFolded = useSwitch("figure-folded", false);
function foldFigure() {
  figureFolded.value = !figureFolded.value;
}

/** What is looked at: its elements are lit in the figure. */
const focused = ref("");
const lit = computed(() => [chosen.value, focused.value].filter(Boolean));

const lineInHand = computed(() => station.value?.lines.find((each) => lineKey(each) === focused.value));
/** The unit or part whose line is in hand. */
const inHand = computed(() => lineInHand.value?.component);

/** What was taken along from a calculator goes into the line in hand, to be looked at and saved. */
function putCarried() {
  const taken = carried.value;
  if (taken && lineInHand.value) {
    table.value?.put(focused.value, taken.value);
    carried.value = undefined;
  }
}

/** An address may lead to a line or a judgement. */
watch(
  [station, () => address.query],
  async ([shown, query]) => {
    await nextTick();
    if (shown?.key !== props.stationKey || !table.value) {
      return;
    }
    if (typeof query.line === "string") {
      table.value.goTo(query.line);
    } else if (typeof query.judgement === "string") {
      chosen.value = query.judgement;
    } else {
      return;
    }
    void router.replace({ query: {} });
  },
  { flush: "post" },
);

/** What was judged last stands on top, then what the line in hand is judged to. */
const inSight = computed(() => {
  const line = station.value?.lines.find((each) => lineKey(each) === focused.value);
  const first = new Set([
    ...walk.justJudged.value,
    ...(line ? walk.judgementsOf(line).map((j) => j.key) : []),
  ]);
  const keys = [...first, ...judgements.value.map((j) => j.key).filter((key) => !first.has(key))];
  return keys.flatMap((key) => judgements.value.find((j) => j.key === key) ?? []);
});

/** The line that can change most, other than the one in hand. */
const mostChanging = computed(() => station.value?.next.find((each) => lineKey(each) !== focused.value));

/** Where time is short its plan says what is next, at whichever station. */
function goPlanned(): boolean {
  const planned = hour.running.value ? hour.next.value : undefined;
  if (planned) {
    const line = `${planned.point}@${planned.component}`;
    void router.push({ path: `/installations/${props.id}/${planned.station}`, query: { line } });
  }
  return !!planned;
}

function goNext() {
  if (goPlanned()) {
    return;
  }
  const next = mostChanging.value;
  if (next) {
    table.value?.goTo(lineKey(next));
    notice.hint(`${next.title} ${next.reason}.`);
  } else {
    void table.value?.nextOpen();
  }
}

/** An element of the figure leads to its line, else to its judgement. */
function opened(piece: Schemas["FigurePiece"]) {
  const there = station.value?.lines.find((line) => lineKey(line) === piece.line);
  const judgement = judgements.value.find((j) => j.key === piece.judgement);
  if (judgement) {
    chosen.value = judgement.key;
  }
  if (there) {
    table.value?.goTo(lineKey(there));
    if (there.list && piece.thing) {
      taken.value = { line: lineKey(there), thing: piece.thing };
    }
  } else if (judgement) {
    evidence(judgement);
  }
}

function lineFocused(line: Line) {
  focused.value = lineKey(line);
  const first = walk.judgementsOf(line)[0];
  if (first && !walk.judgementsOf(line).some((j) => j.key === chosen.value)) {
    chosen.value = first.key;
  }
}

const holding = useHolds();

/** Begins to hold what a line says the time of; where it is held already, ends that and saves the time. */
async function hold(line: Line) {
  const running = holding.on(line);
  try {
    if (running) {
      const lasted = await holding.end(running, true);
      notice.done($gettext("%{title}: %{lasted}, saved.", { title: line.title, lasted }));
    } else {
      mayNotify();
      await holding.start(props.id, line);
    }
  } catch (thrown) {
    notice.problem(sentence(thrown));
  }
}

function holdByKey() {
  const line = lineInHand.value?.holds
    ? lineInHand.value
    : station.value?.lines.find((each) => each.holds && !each.pointless);
  if (line) {
    void hold(line);
  }
}

watch(holding.ended, (last) => {
  if (last?.installationId === props.id) {
    void walk.load();
  }
});

const { follow } = useLive();
let unfollow = () => {};
watch(
  () => props.id,
  (id) => {
    unfollow();
    unfollow = follow(id, () => void walk.load());
  },
  { immediate: true },
);
onBeforeUnmount(() => unfollow());

const AROUND_MS = 8000;
useIntervalFn(() => {
  hour.tick();
  void walk.lookAround();
}, AROUND_MS);

const logger = ref<InstanceType<typeof LoggerDialog>>();

/** A logger's file is looked at first; what it brings to other lines is saved there. */
async function log(line: Line, file: File): Promise<string | undefined> {
  const brought = await logger.value?.bring(line, file);
  if (brought === "plain") {
    return walk.log(line, file);
  }
  return brought && walk.taken(line, brought, using.value, inspects.value ? "LOGGED" : "RECORDED");
}

/** What a reading came to, for who listens instead of looking. */
const announced = ref("");

/** What was saved may be a reason to leave. */
async function save(line: Line, reading: Schemas["TypedReading"], place?: Place) {
  await walk.save(line, reading, place);
  hour.soon();
  announced.value = [
    $gettext("%{title} saved.", { title: line.title }),
    ...judgements.value
      .filter((each) => walk.justJudged.value.includes(each.key))
      .map((each) => `${each.title}: ${each.brief}.`),
  ].join(" ");
  if (line.instrumentKind === "gas-analyser") {
    await stops.look();
  }
}

provide(KEEPER, {
  understand: walk.understand,
  save,
  change: walk.change,
  log,
  logAddress: walk.logAddress,
});

/** What belongs to the line in hand stands here. */
const hand = ref<HTMLElement>();
provide(HAND, hand);
const handFolded = useSwitch("hand-folded", true);
function foldHand() {
  handFolded.value = !handFolded.value;
}

/** On a hand's screen one line at a time, unless the list is asked for. */
const handSized = useMediaQuery("(max-width: 760px)");
const listed = useSwitch("lines-listed", false);
const one = computed(() => handSized.value && !listed.value);
function list() {
  listed.value = !listed.value;
}

const unsaved = useUnsaved();
const waiting = unsaved.ofInstallation(() => props.id);

/** Whoever leaves the visit hears what was typed and could not be saved. */
async function farewell() {
  const id = props.id;
  const visit = installation.value?.title ?? $gettext("the visit");
  await unsaved.settled();
  const waits = unsaved.ofInstallation(() => id).value;
  if (waits.length) {
    const said = waits.map((each) => `${each.title} "${each.said ?? each.typed}"`).join(", ");
    notice.problem(
      $gettext("Not saved of %{visit}: %{said}. It waits on this device, on its line.", { visit, said }),
    );
  }
}
onBeforeRouteLeave(() => void farewell());
onBeforeRouteUpdate((to, from) => {
  if (to.params.id !== from.params.id) {
    void farewell();
  }
});

function step(by: number) {
  const at = built.value.findIndex((s) => s.key === props.stationKey);
  const to = built.value[at + by];
  if (to) {
    void router.push(`/installations/${props.id}/${to.key}`);
  }
}

function why(judgement: Judgement | undefined = chosenJudgement.value) {
  if (judgement) {
    chosen.value = judgement.key;
    whyOpen.value = true;
  }
}

/** The first line behind a judgement that is open, else the first. */
function evidence(judgement: Judgement | undefined = chosenJudgement.value) {
  const here = judgement?.evidence.filter((e) => station.value?.lines.some((l) => lineKey(l) === lineKey(e)));
  const target = here?.find((e) => !e.reading) ?? here?.[0];
  if (target) {
    table.value?.goTo(lineKey(target));
  } else {
    notice.hint($gettext("Its evidence is read at another station."));
  }
}

function correct(judgement: Judgement | undefined = chosenJudgement.value) {
  if (!judgement) {
    return;
  }
  chosen.value = judgement.key;
  if (judgement.verdict === "MEETS" || judgement.verdict === "DOES_NOT_APPLY") {
    notice.hint($gettext("There is nothing to correct here."));
  } else if (walk.correctionOf(judgement)) {
    notice.hint($gettext("A correction for this is already open."));
  } else {
    correctionOpen.value = true;
  }
}

function history(line: Line) {
  historyLine.value = line;
  historyOpen.value = true;
  void walk.load();
}

useKeys({
  n: goNext,
  p: () => table.value?.previous(),
  w: () => why(),
  e: () => evidence(),
  f: () => correct(),
  d: foldFigure,
  h: holdByKey,
  b: () => {
    if (station.value?.aids.includes("BENCH")) {
      void router.push(`/installations/${props.id}/bench/${station.value.key}`);
    }
  },
  Enter: () => void table.value?.firstOpen(),
  "[": () => step(-1),
  "]": () => step(1),
});
</script>

<template>
  <div class="walk" :class="{ one }">
    <a v-if="station" href="#lines" class="skip" @click.prevent="table?.firstOpen()">{{
      $gettext("To the first open line")
    }}</a>
    <p class="visually-hidden" role="status">{{ announced }}</p>
    <RoutePipe :id="id" :stations="route" :current="station?.key ?? ''" />
    <div class="middle">
      <div v-if="problem" class="problem" role="alert">
        <p class="error">{{ problem }}</p>
        <button type="button" class="button" @click="walk.load()">{{ $gettext("Try again") }}</button>
        <RouterLink class="button" to="/register">{{ $gettext("Register") }}</RouterLink>
      </div>
      <template v-if="station">
        <div class="head">
          <div>
            <h1>{{ station.question }}</h1>
            <p class="quiet">
              <UnsavedLines :waiting="waiting.filter((each) => each.line !== focused)" />{{ here?.said }}.
              <template v-if="undecided">{{
                undecided > station.next.length
                  ? $gettext("%{here} can change something, %{all} in the visit.", {
                      here: station.next.length,
                      all: undecided,
                    })
                  : $gettext("%{here} can change something.", { here: station.next.length })
              }}</template>
            </p>
          </div>
          <button v-if="handSized" type="button" class="button" :aria-pressed="listed" @click="list()">
            {{ listed ? $gettext("One at a time") : $gettext("List") }}
          </button>
          <div v-if="!one" class="buttons">
            <button
              v-if="mostChanging || hour.running.value"
              type="button"
              class="button"
              :title="
                mostChanging
                  ? `${mostChanging.title} ${mostChanging.reason} (n)`
                  : $gettext('The next line of the plan (n)')
              "
              @click="goNext()"
            >
              {{ $gettext("Next") }}
            </button>
            <button
              v-if="inspects"
              type="button"
              class="button"
              :class="{ hurried: hour.running.value }"
              :title="
                hour.running.value
                  ? $gettext('What is left of the time, and the plan for it')
                  : $gettext('A plan for little time')
              "
              @click="hourOpen = true"
            >
              {{
                hour.running.value
                  ? $ngettext(
                      "%{left} min, %{lines} line",
                      "%{left} min, %{lines} lines",
                      hour.plan.value?.lines.length ?? 0,
                      {
                        left: Math.max(0, hour.left.value),
                        lines: hour.plan.value?.lines.length ?? 0,
                      },
                    )
                  : $gettext("Time")
              }}
            </button>
            <button v-if="inspects" type="button" class="button" @click="visitOpen = true">
              {{ $gettext("Visit") }}
            </button>
            <RouterLink
              v-if="station.aids.includes('SITE_DRAWING')"
              class="button"
              :to="`/installations/${id}/site`"
            >
              {{ $gettext("Site") }}
            </RouterLink>
            <RouterLink
              v-if="station.aids.includes('BENCH')"
              class="button"
              :title="$gettext('Its curves, looked at closely (b)')"
              :to="`/installations/${id}/bench/${station.key}`"
            >
              {{ $gettext("Bench") }}
            </RouterLink>
            <RouterLink class="button" :to="`/installations/${id}/report`">{{
              $gettext("Report")
            }}</RouterLink>
            <RouterLink class="button" :to="`/installations/${id}/after`">{{ $gettext("After") }}</RouterLink>
          </div>
        </div>
        <p v-if="early.length && here?.open" class="early" role="note">
          <template v-for="earlier in early" :key="earlier.key">
            {{ $gettext("Before this comes") }}
            <RouterLink :to="`/installations/${id}/${earlier.key}`"
              >{{ earlier.number }} {{ earlier.title }}</RouterLink
            >{{ `: ${earlier.consequence} ` }}
          </template>
        </p>
        <div
          v-if="!figureFolded"
          class="figure"
          tabindex="0"
          role="group"
          :aria-label="$gettext('Figure of the station')"
        >
          <StationFigure
            :installation="id"
            :station="stationKey"
            :stamp="judgements"
            :lit="lit"
            :follow="focused"
            :beside="photographed"
            @open="opened"
          >
            <template #default="{ at }">
              <UnitPhotos
                :title="installation?.components.find((unit) => unit.id === at)?.title ?? ''"
                :photos="photos.of({ component: at })"
                @add="photos.hang({ component: at }, $event)"
              />
            </template>
          </StationFigure>
        </div>
        <VisitSummary v-if="station.aids.includes('SUMMARY')" :id="id" :judged="station.judgements" />
        <div v-show="!one" class="at-once">
          <ReadingWith :using="using" :lines="station.lines" :instruments="walk.instruments.value" />
          <SeveralAtOnce
            :station="`${id} ${station.key}`"
            :hear="(text) => walk.hear(text, inHand, using)"
            :keep="(placed, reading) => walk.keep(placed, reading, inspects ? using.grade : 'RECORDED')"
          />
          <button
            v-if="carried"
            type="button"
            class="button"
            :disabled="!lineInHand"
            :title="$gettext('%{name}, from the calculator', { name: carried.name })"
            @mousedown.prevent
            @click="putCarried()"
          >
            {{
              lineInHand
                ? $gettext("Put %{value} in", { value: carried.value })
                : $gettext("Put %{value} into a line", { value: carried.value })
            }}
          </button>
          <SimulatedPanel
            v-if="inspects && (station.aids.includes('BENCH') || station.aids.includes('MACHINE'))"
            :key="station.key"
            :machine="station.aids.includes('MACHINE')"
          />
          <button
            type="button"
            class="button fold"
            :title="$gettext('Fold the drawing (d)')"
            :aria-pressed="figureFolded"
            @click="foldFigure()"
          >
            {{ $gettext("Drawing") }}
          </button>
        </div>
        <LineTable
          v-if="walk.place.value"
          id="lines"
          ref="table"
          :key="`${walk.place.value.installation} ${walk.place.value.station}`"
          class="table-of-lines"
          :one="one"
          :place="walk.place.value"
          :lines="station.lines"
          :instruments="walk.instruments.value"
          :judgements-of="walk.judgementsOf"
          :using="using"
          :photos-of="(line) => photos.of({ point: line.point, component: line.component })"
          @photo="(line, files) => photos.hang({ point: line.point, component: line.component }, files)"
          @focused="lineFocused"
          @history="history"
          @hold="hold"
          @heard="walk.load()"
        />
      </template>
    </div>
    <section
      class="hand"
      :class="{ folded: handFolded, empty: !lineInHand }"
      :aria-label="$gettext('Line in hand')"
      tabindex="0"
    >
      <div ref="hand" class="of-hand"></div>
      <p v-if="!lineInHand && !one" class="quiet">
        {{ $gettext("Choose a line: how it is read, with what, and its photos stand here.") }}
      </p>
      <button
        v-if="!one"
        type="button"
        class="button unfold"
        :aria-expanded="!handFolded"
        @click="foldHand()"
      >
        {{ handFolded ? $gettext("More") : $gettext("Less") }}
      </button>
    </section>
    <JudgementLedger
      :judgements="inSight"
      :chosen="chosenJudgement?.key ?? ''"
      :correction-of="walk.correctionOf"
      @choose="chosen = $event"
      @why="why"
      @evidence="evidence"
      @correct="correct"
    />
    <StopNotice
      v-if="stops.notices.value[0]"
      :key="stops.notices.value[0].id"
      :notice="stops.notices.value[0]"
      :inspects="inspects"
      :take-down="stops.takeDown"
    />
    <WhyDrawer v-model="whyOpen" :judgement="chosenJudgement" />
    <CorrectionDialog v-model="correctionOpen" :judgement="chosenJudgement" :raise="walk.raise" />
    <VisitDialog
      v-model="visitOpen"
      :installation="installation"
      @begun="walk.reload()"
      @changed="walk.reload()"
      @correct="
        visitOpen = false;
        rightOpen = true;
      "
    />
    <HourDialog
      v-model="hourOpen"
      :look="hour.look"
      :running="hour.running.value"
      :left="hour.left.value"
      @begin="hour.begin"
      @end="hour.end"
    />
    <CorrectInstallation v-model="rightOpen" :installation="installation" @changed="walk.reload()" />
    <LoggerDialog v-if="installation" ref="logger" :installation="installation.id" />
    <HistoryDialog v-model="historyOpen" :line="historyLine" :history="walk.history" />
  </div>
</template>

<style scoped>
.walk {
  display: grid;
  grid-template-rows: auto minmax(0, 1fr);
  grid-template-columns: 186px minmax(0, 1fr) 352px;
  height: 100%;
}

.walk > :deep(.route),
.middle {
  grid-row: 1 / 3;
}

.hurried {
  border-color: var(--brass);
  color: var(--brass);
  font-weight: 600;
}

.skip:not(:focus) {
  position: absolute;
  left: -9999px;
}

.skip:focus {
  position: absolute;
  z-index: 9;
  top: 4px;
  left: 4px;
  padding: 12px;
  background: var(--paper);
}

.hand {
  max-height: 46vh;
  padding: 10px 16px;
  border-bottom: 1px solid var(--hair);
  border-left: 1px solid var(--hair);
  background: var(--paper);
  overflow: auto;
}

.hand .unfold {
  display: none;
}

.middle {
  display: flex;
  flex-direction: column;
  min-height: 0;
  padding: 4px 16px 0;
}

.head {
  display: flex;
  gap: 12px;
  align-items: flex-start;
  justify-content: space-between;
}

.head h1 {
  font-size: 17px;
}

.head p {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}

.head > :first-child {
  flex: 1;
  min-width: 0;
}

.buttons {
  display: flex;
  flex: none;
  gap: 8px;
}

.buttons .button {
  padding: 0 10px;
}

.figure {
  --bounded: yes;

  flex: none;
  height: 160px;
  margin-top: 4px;
  border: 1px solid var(--hair);
  border-radius: 4px;
  background: var(--paper);
  overflow: auto;
}

/* a station that draws nothing leaves its room to the lines */
.figure:has(.nothing) {
  height: auto;
}

.early {
  margin: 4px 0 0;
  padding: 4px 8px;
  border-left: 3px solid var(--brass);
  font-size: 13px;
}

.at-once {
  display: flex;
  gap: 8px;
  position: relative;
  margin: 4px 0 0;
}

.at-once :deep(.button) {
  min-height: 44px;
}

.fold[aria-pressed="false"] {
  background: var(--lake-soft);
}

.table-of-lines {
  flex: 1;
  min-height: 0;
  overflow: auto;
  padding-right: 4px;
}

.problem {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
  padding: 12px 0;
}

@media (max-width: 1100px) {
  .walk {
    grid-template-columns: 160px minmax(0, 1fr);
    grid-template-rows: auto auto auto;
    height: auto;
    min-height: 100%;
  }

  .walk :deep(.route) {
    position: sticky;
    top: 0;
    grid-row: 1 / 3;
    align-self: start;
    max-height: calc(100vh - 92px);
  }

  .walk :deep(.ledger) {
    grid-row: 2;
    grid-column: 2;
    border-top: 1px solid var(--ink);
    border-left: 0;
  }

  .middle {
    grid-row: 1;
  }

  /* at the foot of the screen, always as high as it was: the lines above stay where they are */
  .hand {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 10px;
    position: sticky;
    z-index: 5;
    bottom: 0;
    grid-row: 3;
    grid-column: 1 / -1;
    max-height: 70vh;
    padding: 6px 10px;
    border-top: 2px solid var(--ink);
    border-left: 0;
  }

  .hand.empty {
    display: none;
  }

  .one .hand.empty {
    display: grid;
  }

  .hand.folded {
    height: 62px;
    overflow: hidden;
  }

  .hand.folded .of-hand {
    overflow: hidden;
  }

  .hand .unfold {
    display: block;
    position: sticky;
    top: 0;
    align-self: start;
    min-height: 48px;
  }

  .table-of-lines {
    overflow: visible;
  }
}

@media (max-width: 760px) {
  .walk {
    display: block;
  }

  .walk :deep(.route) {
    z-index: 4;
  }

  .middle {
    padding: 8px 10px 0;
  }

  .figure {
    --bounded: no;

    height: auto;
  }

  .one .figure {
    --bounded: yes;

    height: 126px;
    overflow: hidden;
  }

  .one .figure :deep(.tabs),
  .one .figure :deep(.caption) {
    display: none;
  }

  .walk.one .hand {
    position: static;
    height: auto;
    max-height: none;
    border-top: 1px solid var(--hair);
  }

  .head,
  .at-once {
    flex-wrap: wrap;
  }

  .one .head {
    flex-wrap: nowrap;
  }

  .head h1 {
    font-size: 15px;
  }
}

@media (max-width: 760px) and (max-height: 560px) {
  .one .figure,
  .one .head p {
    display: none;
  }
}
</style>
