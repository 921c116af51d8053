import { expect, test } from "vitest";
import { countsInWords, ORDER, sumOfCounts } from "./verdicts";

test("counts are said most pressing first and without what there is none of", () => {
  expect(countsInWords({ NOT_SHOWN: 5, FAILS: 4, MEETS: 9 })).toBe("4 fail · 5 not shown");
  expect(countsInWords({ MEETS: 9, DOES_NOT_APPLY: 1 })).toBe("nothing open");
});

test("not shown never stands among what needs nothing", () => {
  expect(ORDER.indexOf("NOT_SHOWN")).toBeLessThan(ORDER.indexOf("MEETS"));
});

test("counts of stations add up", () => {
  expect(sumOfCounts([{ FAILS: 1 }, { FAILS: 2, MEETS: 3 }, {}])).toEqual({ FAILS: 3, MEETS: 3 });
});
