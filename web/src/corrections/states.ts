import { $gettext } from "../language/language";
import { words } from "../words/words";
import type { Schemas } from "../api/client";

export type Correction = Schemas["Correction"];
export type Conversation = Schemas["Conversation"];
export type StepKind = Schemas["NewStep"]["kind"];

/** Whether nothing more is done about it. */
export function ended({ state }: Correction): boolean {
  return !!words.corrections.find((word) => word.id === state)?.ended;
}

/** Where it stands, in words. */
export function stateWord({ state }: Correction): string {
  return words.corrections.find((word) => word.id === state)?.title ?? "";
}

/** What was done, in a letter's margin. */
export const STEPS: Record<StepKind, string> = {
  SEEN: $gettext("has seen it"),
  ANSWERED: $gettext("answers"),
  ACCEPTED: $gettext("accepts the answer"),
  REFUSED: $gettext("refuses the answer"),
  CLOSED: $gettext("closes it: read again, and it meets"),
  WITHDRAWN: $gettext("withdraws it"),
};
