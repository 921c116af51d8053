import { expect, test } from "vitest";
import { grouped } from "./grouped";

test("groups stand as their keys come first, and keep the order within", () => {
  expect(grouped(["b1", "a1", "b2"], (each) => each.charAt(0))).toEqual([["b1", "b2"], ["a1"]]);
  expect(grouped([], String)).toEqual([]);
});
