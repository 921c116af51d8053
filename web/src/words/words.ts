import { $gettext } from "../language/language";
import { reactive } from "vue";
import { at } from "../api/address";
import { api, type Schemas } from "../api/client";

export type Verdict = Schemas["VerdictWord"]["id"];

/** The words for what comes in kinds, as the server has them; empty until they have come. */
export const words = reactive<Schemas["Words"]>({
  verdicts: [],
  grades: [],
  stages: [],
  units: [],
  parts: [],
  corrections: [],
  instruments: [],
  things: [],
  wallItems: [],
});

let loading: Promise<void> | undefined;

/** Asks the server once; a failed question may be asked again. */
export function loadWords(): Promise<void> {
  loading ??= api
    .get(at("/api/words"))
    .then((answer) => void Object.assign(words, answer))
    .catch(() => {
      loading = undefined;
    });
  return loading;
}

/** The word that always stands beside a verdict's mark. */
export function verdictWord(verdict: Verdict): string {
  return words.verdicts.find((word) => word.id === verdict)?.title ?? "";
}

/** At the beginning of a sentence or alone. */
export function capital(word: string): string {
  return word.charAt(0).toUpperCase() + word.slice(1);
}

/** How far down the list of what presses a verdict stands; 0 presses most. */
export function pressing(verdict: Verdict): number {
  return words.verdicts.findIndex((word) => word.id === verdict);
}

export function gradeWord(grade: Schemas["GradeWord"]["id"]): string {
  return words.grades.find((word) => word.id === grade)?.title.toLowerCase() ?? "";
}

/** Whether a unit of this kind stands outdoors. */
export function outdoors(kind: Schemas["UnitWord"]["id"]): boolean {
  return words.units.some((known) => known.id === kind && known.outdoor);
}

function titled(kinds: Schemas["KeyWord"][], id: string): string | undefined {
  return kinds.find((kind) => kind.id === id)?.title;
}

/** What an instrument of this kind is called. */
export function instrumentWord(kind: string): string {
  return titled(words.instruments, kind) ?? kind;
}

/** What a thing drawn on a site or on an indoor wall is called. */
export function thingWord(kind: string): string {
  return titled(words.things, kind) ?? titled(words.wallItems, kind) ?? kind;
}

/** "4 fail · 2 too close · 5 not shown", leaving out what there is none of. */
export function countsInWords(counts: Record<string, number>): string {
  const said = words.verdicts
    .filter((word) => word.open && counts[word.id])
    .map((word) => `${counts[word.id]} ${word.counted}`);
  return said.length ? said.join(" · ") : $gettext("nothing open");
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
