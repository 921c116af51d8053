import type { Verdict } from "../words/words";

export const COLOURS: Record<Verdict, string> = {
  FAILS: "var(--fails)",
  TOO_CLOSE: "var(--close)",
  REFER: "var(--refer)",
  NOT_SHOWN: "var(--not-shown)",
  MEETS: "var(--meets)",
  DOES_NOT_APPLY: "var(--does-not-apply)",
};
