import { expect, test } from "vitest";
import { alongside, laid, type Wish } from "./labels";

const SHEET = { left: 0, right: 400, low: 0, high: 300 };

function wish(key: string, x: number, ys: number[], needed = false): Wish {
  return { key, text: key, size: 10, spots: ys.map((y) => ({ x, y, anchor: "middle" })), needed };
}

test("who comes first has the best place; who comes after takes the next that is free", () => {
  const [first, second] = laid([wish("first", 100, [50]), wish("second", 100, [50, 70])], [], SHEET);
  expect(first?.y).toBe(50);
  expect(second?.y).toBe(70);
});

test("what finds no room is left out, unless it must stand", () => {
  const words = [wish("first", 100, [50]), wish("second", 100, [50]), wish("third", 100, [50], true)];
  expect(laid(words, [], SHEET).map((l) => l.key)).toEqual(["first", "third"]);
});

test("nothing covers a cabinet or leaves the sheet", () => {
  const cabinet = { left: 80, right: 120, low: 40, high: 60 };
  expect(laid([wish("unit", 100, [50, 75])], [cabinet], SHEET)[0]?.y).toBe(75);
  expect(laid([wish("a long title", 10, [50])], [], SHEET)).toHaveLength(0);
});

test("words that end or start at a point lie before or behind it", () => {
  const before: Wish = { key: "b", text: "12345", size: 10, spots: [{ x: 100, y: 50, anchor: "end" }] };
  const behind: Wish = { key: "c", text: "12345", size: 10, spots: [{ x: 100, y: 50, anchor: "start" }] };
  expect(laid([before, behind], [], SHEET)).toHaveLength(2);
  expect(laid([before, { ...before, key: "d" }], [], SHEET)).toHaveLength(1);
});

test("a dimension's words stand beside it, or past its far end where it is short", () => {
  const flat = alongside({ x: 100, y: 50 }, { x: 60, y: 50 }, 10);
  expect(flat[0]).toEqual({ x: 80, y: 46, anchor: "middle" });
  expect(flat.at(-1)).toEqual({ x: 56, y: 54, anchor: "end" });
  const upright = alongside({ x: 100, y: 50 }, { x: 100, y: 90 }, 10);
  expect(upright[0]).toEqual({ x: 104, y: 74, anchor: "start" });
  expect(upright.at(-1)).toEqual({ x: 100, y: 100, anchor: "middle" });
});
