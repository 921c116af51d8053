import { reactive, ref, watch } from "vue";
import type { Grade, Line } from "../shown/lines";

/** With what is read at a station: the grade, one instrument of each kind, and the unit last said of each. */
export interface Using {
  grade: Grade;
  /** Ids by kind; without one, any of its kind. */
  instruments: Record<string, string>;
  /** Symbols by kind, the one said last first. */
  units: Record<string, string[]>;
}

const STORED = "using:";

function stored<T>(storage: Storage, place: string): Partial<T> {
  try {
    return JSON.parse(storage.getItem(STORED + place) ?? "{}") as Partial<T>;
  } catch {
    return {};
  }
}

function keep(storage: Storage, place: string, what: unknown) {
  try {
    storage.setItem(STORED + place, JSON.stringify(what));
  } catch {
    // without room it holds until the page is left
  }
}

type OfTheDay = Pick<Using, "instruments" | "units">;

let day: { of: string; used: OfTheDay } | undefined;

/** Instruments and units follow the person through the stations and installations of a day, on this device. */
function ofTheDay(person: string): OfTheDay {
  const of = `${person} ${new Date().toLocaleDateString("sv-SE")}`;
  if (day?.of !== of) {
    const before = stored<{ of: string; day: OfTheDay }>(localStorage, person);
    const used = reactive<OfTheDay>(
      before.of === of && before.day ? before.day : { instruments: {}, units: {} },
    );
    watch(used, () => keep(localStorage, person, { of, day: used }));
    day = { of, used };
  }
  return day.used;
}

const known = new Map<string, Using>();

/** With what is read at a station: its grade holds there for as long as the tab is open, the rest for the day. */
export function useUsing(place: string, person = ""): Using {
  const at = `${person} ${place}`;
  const before = known.get(at);
  const used = ofTheDay(person);
  if (before?.instruments === used.instruments) {
    return before;
  }
  const grade = ref<Grade>(before?.grade ?? stored<Using>(sessionStorage, place).grade ?? "WITNESSED");
  watch(grade, () => keep(sessionStorage, place, { grade: grade.value }));
  const using = reactive({ grade, instruments: used.instruments, units: used.units });
  known.set(at, using);
  return using;
}

/** Where a unit is held: for the instrument in use, else for its kind. */
function holder(using: Using, line: Line): string {
  return using.instruments[line.instrumentKind] || line.instrumentKind;
}

export function heldUnits(using: Using, line: Line): string[] {
  return using.units[holder(using, line)] ?? [];
}

export function hold(using: Using, line: Line, unit: string) {
  const place = holder(using, line);
  using.units[place] = [unit, ...(using.units[place] ?? []).filter((each) => each !== unit)];
}

/** Of the units held, by kind of instrument, as a run of readings takes them. */
export function unitsByKind(using: Using, kinds: string[]): Record<string, string[]> {
  return Object.fromEntries(
    kinds.map((kind) => [kind, using.units[using.instruments[kind] || kind] ?? []] as const),
  );
}
