import { describe, expect, test } from "vitest";
import {
  bounds,
  cabinet,
  emptyPlan,
  freeId,
  moved,
  outline,
  snapped,
  stretched,
  withOutline,
  type PlanFeature,
} from "./plan";

const wall: PlanFeature = {
  type: "Feature",
  id: "wall-1",
  geometry: {
    type: "Polygon",
    coordinates: [
      [
        [0, 3],
        [8, 3],
        [8, 3.3],
        [0, 3.3],
        [0, 3],
      ],
    ],
  },
  properties: { kind: "wall" },
};

describe("outlines", () => {
  test("the closing corner is left out and put back", () => {
    expect(outline(wall)).toHaveLength(4);
    expect(withOutline(wall, outline(wall))).toEqual(wall);
  });

  test("a point and a line keep their kind when they move", () => {
    const vent: PlanFeature = {
      ...wall,
      geometry: { type: "Point", coordinates: [1, 1] },
      properties: { kind: "vent" },
    };
    expect(moved(vent, 0.5, -1).geometry).toEqual({ type: "Point", coordinates: [1.5, 0] });
    const door: PlanFeature = {
      ...wall,
      geometry: {
        type: "LineString",
        coordinates: [
          [0, 0],
          [1, 0],
        ],
      },
    };
    expect(moved(door, 1, 1).geometry).toEqual({
      type: "LineString",
      coordinates: [
        [1, 1],
        [2, 1],
      ],
    });
  });

  test("typed dimensions stretch a shape from its lower left", () => {
    const to = stretched(wall, { left: 1, low: 2, width: 4, height: 0.5 });
    expect(bounds(outline(to))).toEqual({ left: 1, right: 5, low: 2, high: 2.5 });
    const flat = stretched(
      {
        ...wall,
        geometry: {
          type: "LineString",
          coordinates: [
            [0, 0],
            [1, 0],
          ],
        },
      },
      { left: 0, low: 0, width: 3, height: 2 },
    );
    expect(outline(flat)).toEqual([
      [0, 0],
      [3, 0],
    ]);
  });
});

describe("cabinets", () => {
  test("one that faces down the sheet has its front below", () => {
    const corners = cabinet({ x: 2, y: 2, facing: 270, width: 0.8, depth: 0.3 });
    const front = corners.slice(1, 3).map((p) => p[1]);
    expect(front[0]).toBeCloseTo(1.85);
    expect(front[1]).toBeCloseTo(1.85);
    expect(bounds(corners).right - bounds(corners).left).toBeCloseTo(0.8);
  });
});

describe("snapping", () => {
  test.each([
    [1.2345, [], 1.23],
    [1.2345, [1.26], 1.26],
    [1.2345, [1.5], 1.23],
    [1.2345, [1.2, 1.24], 1.24],
  ])("%d near %j is %d", (value, onto, expected) => {
    expect(snapped(value, onto as number[], 0.06)).toBe(expected);
  });
});

test("ids are not used twice", () => {
  const plan = { ...emptyPlan(), features: [wall] };
  expect(freeId(plan, "wall")).toBe("wall-2");
  expect(freeId(plan, "vent")).toBe("vent-1");
});
