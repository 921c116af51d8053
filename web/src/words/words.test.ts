import { expect, test } from "vitest";
import { capital, countsInWords, gradeWord, pressing, sumOfCounts, verdictWord } from "./words";

test("counts are said most pressing first and without what there is none of", () => {
  expect(countsInWords({ NOT_SHOWN: 5, FAILS: 4, MEETS: 9 })).toBe("4 fail · 5 not shown");
  expect(countsInWords({ MEETS: 9, DOES_NOT_APPLY: 1 })).toBe("nothing open");
});

test("not shown never stands among what needs nothing", () => {
  expect(pressing("NOT_SHOWN")).toBeLessThan(pressing("MEETS"));
  expect(pressing("FAILS")).toBe(0);
});

test("the words are the server's", () => {
  expect(verdictWord("TOO_CLOSE")).toBe("Too close to call");
  expect(gradeWord("LOGGED")).toBe("logged");
  expect(capital("re-visit")).toBe("Re-visit");
});

test("counts of stations add up", () => {
  expect(sumOfCounts([{ FAILS: 1 }, { FAILS: 2, MEETS: 3 }, {}])).toEqual({ FAILS: 3, MEETS: 3 });
});
