import type { Schemas } from "../api/client";

export type Verdict = Schemas["JudgementView"]["verdict"];

/** The word that always stands beside the mark. */
export const WORDS: Record<Verdict, string> = {
  FAILS: "Fails",
  TOO_CLOSE: "Too close to call",
  REFER: "Refer",
  NOT_SHOWN: "Not shown",
  MEETS: "Meets",
  DOES_NOT_APPLY: "Does not apply",
};

/** Most pressing first. */
export const ORDER = Object.keys(WORDS) as Verdict[];

export const COLOURS: Record<Verdict, string> = {
  FAILS: "var(--fails)",
  TOO_CLOSE: "var(--close)",
  REFER: "var(--refer)",
  NOT_SHOWN: "var(--not-shown)",
  MEETS: "var(--meets)",
  DOES_NOT_APPLY: "var(--does-not-apply)",
};

/** "4 fail · 2 too close · 5 not shown", leaving out what there is none of. */
export function countsInWords(counts: Record<string, number>): string {
  const parts: [Verdict, string][] = [
    ["FAILS", "fail"],
    ["TOO_CLOSE", "too close"],
    ["REFER", "refer"],
    ["NOT_SHOWN", "not shown"],
  ];
  const said = parts.filter(([v]) => counts[v]).map(([v, word]) => `${counts[v]} ${word}`);
  return said.length ? said.join(" · ") : "nothing open";
}

export function sumOfCounts(all: Record<string, number>[]): Record<string, number> {
  const sum: Record<string, number> = {};
  for (const counts of all) {
    for (const [verdict, count] of Object.entries(counts)) {
      sum[verdict] = (sum[verdict] ?? 0) + count;
    }
  }
  return sum;
}
