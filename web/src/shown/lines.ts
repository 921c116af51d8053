import type { Schemas } from "../api/client";

export type Line = Schemas["LineView"];
export type Option = Schemas["Option"];
export type Judgement = Schemas["JudgementView"];
/** What a line needs to know of an instrument. */
export type Tool = Pick<Schemas["InstrumentView"], "id" | "title" | "kind" | "lapsed">;
export type Grade = Schemas["TypedReading"]["grade"];

export function lineKey(line: { point: string; component: string }): string {
  return `${line.point}@${line.component}`;
}

/** An installation and a station of it. */
export interface Place {
  installation: string;
  station: string;
}
