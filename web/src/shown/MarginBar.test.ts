import { mount } from "@vue/test-utils";
import { expect, test } from "vitest";
import MarginBar from "./MarginBar.vue";

const bar = {
  permittedFrom: 0.4,
  permittedTo: 1,
  ticks: [
    { position: 0.2, label: "code 762 mm", binds: false, defers: false, row: 0 },
    { position: 0.4, label: "programme 914 mm", binds: true, defers: false, row: 1 },
  ],
  needle: 0.1,
  whiskerFrom: 0.08,
  whiskerTo: 0.12,
  reading: "700 mm ± 4 mm",
};

test("says limits, reading and verdict to those who cannot see it", () => {
  const label = mount(MarginBar, { props: { bar, verdict: "FAILS" } }).attributes("aria-label");
  expect(label).toBe("Fails: 700 mm ± 4 mm; limits: code 762 mm, programme 914 mm");
});

test("a second row of labels makes the bar taller instead of overlapping", () => {
  const height = (rows: number) =>
    Number(
      mount(MarginBar, {
        props: {
          bar: { ...bar, ticks: bar.ticks.map((t) => ({ ...t, row: Math.min(t.row, rows) })) },
          verdict: "FAILS",
        },
      })
        .attributes("viewBox")
        ?.split(" ")[3],
    );
  expect(height(1)).toBeGreaterThan(height(0));
});

test("a needle beyond the axis stays on it", () => {
  const circle = mount(MarginBar, { props: { bar: { ...bar, needle: 1.7 }, verdict: "MEETS" } }).find(
    "circle",
  );
  expect(Number(circle.attributes("cx"))).toBeLessThanOrEqual(312);
});
