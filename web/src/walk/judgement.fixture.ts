import type { Judgement } from "../shown/lines";

/** A failed judgement for tests, with another school beside it. */
export const judgement: Judgement = {
  key: "electrical.overcurrent-device@outdoor-1",
  requirement: "electrical.overcurrent-device",
  title: "Overcurrent protective device fits the plate",
  component: "outdoor-1",
  subject: "Outdoor unit",
  station: "electrical",
  verdict: "FAILS",
  severity: "safety",
  brief: "Fails, 10 A over the maker's 40 A",
  because: "10 A over.",
  remedy: "Have a 40 A device fitted.",
  limits: [],
  derivation: [],
  evidence: [],
  sources: [],
  cautions: ["Supply locked off."],
  school: "Plate ampacity",
  otherSchools: [{ title: "Design current", verdict: "MEETS", because: "Fits." }],
};
