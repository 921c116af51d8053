import type { InjectionKey } from "vue";
import type { Schemas } from "../api/client";
import type { Line, Place } from "../shown/lines";

/** What becomes of what is typed on a line. */
export interface Keeper {
  understand: (
    line: Line,
    typed: string,
    instrument: string | undefined,
    held: string[],
    place?: Place,
  ) => Promise<Schemas["Echo"]>;
  save: (line: Line, reading: Schemas["TypedReading"], place?: Place) => Promise<void>;
  /** What a list is after a change made where it is drawn. */
  change: (
    line: Line,
    typed: string,
    change: Omit<Schemas["ListChange"], "point" | "component" | "typed">,
  ) => Promise<string>;
  /** Keeps a logger's file and says what a reading of it says; nothing where it was left. */
  log: (line: Line, file: File) => Promise<string | undefined>;
  logAddress: (sha256: string) => string;
}

/** The visit's own, for each of its lines. */
export const KEEPER: InjectionKey<Keeper> = Symbol("keeper");
