import type { Schemas } from "../api/client";

export type Correction = Schemas["Correction"];
export type Thread = Schemas["Thread"];
export type StepKind = Schemas["NewStep"]["kind"];

const ENDED: Correction["state"][] = ["ACCEPTED", "CLOSED", "WITHDRAWN"];

export function ended({ state }: Correction): boolean {
  return ENDED.includes(state);
}

/** Where it stands, in words. */
export const STATES: Record<Correction["state"], string> = {
  OPEN: "not seen yet",
  SEEN: "seen by the crew",
  ANSWERED: "answered, to be looked at",
  REFUSED: "answer refused",
  ACCEPTED: "accepted",
  CLOSED: "closed at a re-visit",
  WITHDRAWN: "withdrawn",
};

/** What was done, in a letter's margin. */
export const STEPS: Record<StepKind, string> = {
  SEEN: "has seen it",
  ANSWERED: "answers",
  ACCEPTED: "accepts the answer",
  REFUSED: "refuses the answer",
  CLOSED: "closes it: read again, and it meets",
  WITHDRAWN: "withdraws it",
};

/** Today as dates are written here. */
export function today(): string {
  const now = new Date();
  return new Date(now.getTime() - now.getTimezoneOffset() * 60_000).toISOString().slice(0, 10);
}

export function overdue(correction: Correction): boolean {
  return !ended(correction) && !!correction.due && correction.due < today();
}
