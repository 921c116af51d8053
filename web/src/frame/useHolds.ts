import { useIntervalFn } from "@vueuse/core";
import { computed, onScopeDispose, ref } from "vue";
import { at } from "../api/address";
import { api, type Schemas } from "../api/client";
import { useUnits } from "./useUnits";

export type Hold = Schemas["HoldView"];

const { units } = useUnits();
const EVERY_MS = 10_000;
const SECOND_MS = 1000;

const holds = ref<Hold[]>([]);
/** The installation that is looked at: whoever's holds there are shown too. */
const here = ref<string>();
/** By how much the server's clock is ahead of this device's, ms. */
const ahead = ref(0);
const now = ref(Date.now());
/** Whether the person has asked for the rail. */
const asked = ref(false);
/** The last one that ended on this device. */
const ended = ref<Hold>();

async function look() {
  const of = here.value;
  try {
    const running = await api.get(at("/api/holds", { query: { installation: of, units: units() } }));
    if (of === here.value) {
      now.value = Date.now();
      const theirs = running[0]?.now;
      ahead.value = theirs ? Date.parse(theirs) - now.value : ahead.value;
      holds.value = running;
    }
  } catch {
    // what cannot be asked now is asked again soon; what was running runs on
  }
}

async function start(installation: string, line: { point: string; component: string }) {
  await api.post(at("/api/installations/{id}/holds", { path: { id: installation } }), {
    id: crypto.randomUUID(),
    point: line.point,
    component: line.component,
    ago: 0,
  });
  await look();
}

/** Kept while an end is tried again, so that it becomes one reading however often it is sent. */
const readings = new Map<string, string>();

async function end(hold: Hold, keep: boolean) {
  const reading = readings.get(hold.id) ?? crypto.randomUUID();
  readings.set(hold.id, reading);
  const path = { id: hold.installationId, hold: hold.id };
  const { lasted } = await api.post(at("/api/installations/{id}/holds/{hold}/end", { path }), {
    reading,
    keep,
  });
  ended.value = hold;
  await look();
  return lasted;
}

/** How long it has been going on, s. */
function lasting(hold: Hold): number {
  return Math.max(0, (now.value + ahead.value - Date.parse(hold.startedAt)) / SECOND_MS);
}

/** What is left of it, s; none where its length is not known. */
function left(hold: Hold): number | undefined {
  return hold.needed === undefined ? undefined : hold.needed - lasting(hold);
}

function over(hold: Hold): boolean {
  const still = left(hold);
  return still !== undefined && still <= 0;
}

/** Unasked only what matters here: what is held at this installation, and what has come to its end anywhere. */
const pressing = computed(() =>
  holds.value.filter((hold) => hold.installationId === here.value || over(hold)),
);

/** Minutes and seconds, or hours and minutes, as a clock shows them. */
export function clock(seconds: number): string {
  const whole = Math.floor(Math.abs(seconds));
  const two = (n: number) => String(n).padStart(2, "0");
  const hours = Math.floor(whole / 3600);
  const minutes = Math.floor((whole % 3600) / 60);
  return hours ? `${hours} h ${two(minutes)}` : `${minutes}:${two(whole % 60)}`;
}

/** Asks for as long as what asks is there. */
function follow() {
  useIntervalFn(() => void look(), EVERY_MS);
  useIntervalFn(() => (now.value = Date.now()), SECOND_MS);
  onScopeDispose(() => (holds.value = []));
}

/** What is left alone for a while, as the server keeps it: the same wherever it is shown. */
export function useHolds() {
  return {
    holds: computed(() => holds.value),
    here,
    ended,
    look,
    start,
    end,
    lasting,
    left,
    over,
    asked,
    pressing,
    follow,
    /** The one that holds a line of the installation looked at. */
    on: (line: { point: string; component: string }) =>
      holds.value.find(
        (hold) =>
          hold.installationId === here.value &&
          hold.point === line.point &&
          hold.component === line.component,
      ),
  };
}
