import { reactive, watch } from "vue";
import type { Grade, Line } from "./useWalk";

/** With what is read at a station: the grade, one instrument of each kind, and the unit last said of each. */
export interface Using {
  grade: Grade;
  /** Ids by kind; without one, any of its kind. */
  instruments: Record<string, string>;
  /** Symbols by kind, the one said last first. */
  units: Record<string, string[]>;
}

const STORED = "using:";

function stored(place: string): Partial<Using> {
  try {
    return JSON.parse(sessionStorage.getItem(STORED + place) ?? "{}") as Partial<Using>;
  } catch {
    return {};
  }
}

const known = new Map<string, Using>();

/** Held for as long as the browser's tab is open, for each station of each installation by itself. */
export function useUsing(place: string): Using {
  const before = known.get(place);
  if (before) {
    return before;
  }
  const using = reactive<Using>({ grade: "WITNESSED", instruments: {}, units: {}, ...stored(place) });
  known.set(place, using);
  watch(using, () => {
    try {
      sessionStorage.setItem(STORED + place, JSON.stringify(using));
    } catch {
      // without room it holds until the page is left
    }
  });
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
