import type { Schemas } from "../api/client";

/** The stages of a visit in order, in words. */
export const STAGES: [Schemas["NewVisit"]["stage"], string][] = [
  ["PLAN_CHECK", "Plan check"],
  ["BEFORE_COVER", "Before cover"],
  ["WITNESS", "Witness"],
  ["FINAL", "Final"],
  ["RE_VISIT", "Re-visit"],
];
