import { mount } from "@vue/test-utils";
import { expect, test } from "vitest";
import type { Schemas } from "../../api/client";
import CircuitFigure from "./CircuitFigure.vue";
import PlatesFigure from "./PlatesFigure.vue";
import PsychrometricFigure from "./PsychrometricFigure.vue";
import SitingFigure from "./SitingFigure.vue";

function side(name: string, clear: number | undefined, asked: number | undefined): Schemas["SideView"] {
  return {
    name,
    clear: clear === undefined ? undefined : { metres: clear, text: `${clear * 1000} mm` },
    asked: asked === undefined ? undefined : { metres: asked, text: `${asked * 1000} mm` },
    verdict: clear === undefined ? "NOT_SHOWN" : clear >= (asked ?? 0) ? "MEETS" : "FAILS",
    judgement: name,
  };
}

function unit(component: string, outdoor: boolean, sides: Schemas["SideView"][]): Schemas["SitedUnitView"] {
  return { component, title: component, outdoor, width: 0.8, depth: 0.3, height: 0.6, sized: outdoor, sides };
}

const outdoor = unit("outdoor-1", true, [
  side("front", 0.5, 0.6),
  side("back", 0.2, 0.1),
  side("left", undefined, 0.1),
  side("right", 9, 0.3),
  side("above", 1.5, 0.5),
]);
const wall = unit("indoor-1", false, [
  side("left", 0.2, 0.1),
  side("above", 0.1, 0.08),
  side("height", 2.1, 1.8),
]);

test("an outdoor unit is drawn in plan and elevation with what was taped", () => {
  const figure = mount(SitingFigure, {
    global: { stubs: ["RouterLink"] },
    props: { id: "i", units: [outdoor] },
  });
  const labels = figure.findAll("svg").map((svg) => svg.attributes("aria-label"));
  expect(labels).toHaveLength(2);
  expect(labels[0]).toContain("front 500 mm, asked 600 mm: Fails");
  expect(labels[0]).toContain("left not read, asked 100 mm: Not shown");
  expect(labels[1]).toContain("above 1500 mm");
});

test("the drawing is to scale: twice the distance is twice as long", () => {
  function length(clear: number): number {
    const u = unit("outdoor-1", true, [
      side("front", clear, 1),
      side("back", 1, 1),
      side("left", 1, 1),
      side("right", 1, 1),
    ]);
    const lines = mount(SitingFigure, { global: { stubs: ["RouterLink"] }, props: { id: "i", units: [u] } })
      .findAll("svg")[0]!
      .findAll("line[stroke-width='1.5']");
    const front = lines.find(
      (l) =>
        l.attributes("x1") === l.attributes("x2") && Number(l.attributes("y2")) > Number(l.attributes("y1")),
    );
    return Number(front!.attributes("y2")) - Number(front!.attributes("y1"));
  }
  expect(length(0.8) / length(0.4)).toBeCloseTo(2, 5);
});

test("everything drawn stays inside the picture however far the wall is", () => {
  const svg = mount(SitingFigure, {
    global: { stubs: ["RouterLink"] },
    props: { id: "i", units: [outdoor] },
  }).findAll("svg")[0]!;
  const [, , width = 0, height = 0] = svg.attributes("viewBox")!.split(" ").map(Number);
  for (const line of svg.findAll("line")) {
    for (const name of ["x1", "x2"]) {
      expect(Number(line.attributes(name))).toBeGreaterThanOrEqual(0);
      expect(Number(line.attributes(name))).toBeLessThanOrEqual(width);
    }
    for (const name of ["y1", "y2"]) {
      expect(Number(line.attributes(name))).toBeLessThanOrEqual(height);
    }
  }
});

test("a unit is chosen by its tab; a wall unit has no plan and says when its size is not known", async () => {
  const figure = mount(SitingFigure, {
    global: { stubs: ["RouterLink"] },
    props: { id: "i", units: [outdoor, wall] },
  });
  expect(figure.text()).not.toContain("not known from a sheet");
  await figure.findAll("button")[1]!.trigger("click");
  expect(figure.findAll("svg")).toHaveLength(1);
  expect(figure.find("svg").attributes("aria-label")).toContain("height 2100 mm");
  expect(figure.text()).toContain("not known from a sheet");
});

test("no unit to draw is said", () => {
  expect(
    mount(SitingFigure, { global: { stubs: ["RouterLink"] }, props: { id: "i", units: [] } }).text(),
  ).toContain("No unit");
  expect(mount(CircuitFigure, { props: { circuits: [] } }).text()).toContain("No unit");
});

function place(title: string, verdict: Schemas["PlaceView"]["verdict"]): Schemas["PlaceView"] {
  return { title, notes: [`${title} note`], verdict };
}

test("the one-line diagram carries each judged value with its verdict", () => {
  const circuit: Schemas["CircuitView"] = {
    component: "outdoor-1",
    title: "Outdoor unit",
    panel: place("Panel", "MEETS"),
    device: place("50 A", "FAILS"),
    conductor: place("8 AWG", "MEETS"),
    disconnect: place("60 A", "TOO_CLOSE"),
    unit: place("Unit", "NOT_SHOWN"),
  };
  const figure = mount(CircuitFigure, { props: { circuits: [circuit] } });
  expect(figure.find("svg").attributes("aria-label")).toContain("device: 50 A, 50 A note: Fails");
  expect(figure.html()).toContain("var(--fails)");
  expect(figure.text()).toContain("8 AWG note");
});

function coil(over: Partial<Schemas["CoilView"]>): Schemas["CoilView"] {
  return {
    component: "indoor-1",
    title: "Air handler",
    saturation: [0, 10, 20, 30, 40].map((celsius) => ({
      celsius,
      gramsPerKilogram: celsius / 2,
      text: `${celsius} °C`,
    })),
    ticks: [{ celsius: 0, text: "0 °C" }],
    verdict: "FAILS",
    ...over,
  };
}

test("the psychrometric sketch says what was read and what was expected", () => {
  const figure = mount(PsychrometricFigure, {
    props: {
      coils: [
        coil({
          returning: { celsius: 24, gramsPerKilogram: 9, text: "24 °C" },
          supply: { celsius: 8, text: "8 °C" },
          expectedFrom: { celsius: 11, text: "11 °C" },
          expectedTo: { celsius: 14, text: "14 °C" },
        }),
      ],
    },
  });
  expect(figure.find("svg").attributes("aria-label")).toContain(
    "supply 8 °C, expected 11 °C to 14 °C: Fails",
  );
  expect(figure.text()).toContain("return 24 °C");
});

test("without both bulbs it says what to read", () => {
  const figure = mount(PsychrometricFigure, { props: { coils: [coil({ verdict: "NOT_SHOWN" })] } });
  expect(figure.text()).toContain("both bulbs to be read");
});

test("plates stand beside one another, joined by how they go together", () => {
  const figure = mount(PlatesFigure, {
    props: {
      plates: [
        {
          component: "o",
          title: "Outdoor",
          outdoor: true,
          rows: [{ label: "Model", value: "TZ-30" }],
          links: [],
        },
        {
          component: "i",
          title: "Kitchen",
          outdoor: false,
          rows: [
            { label: "Maker", value: "Ondrel" },
            { label: "Model", value: "WS-12 I" },
          ],
          links: [{ label: "Listed pair", verdict: "FAILS" }],
        },
      ],
    },
  });
  expect(figure.text()).toContain("TZ-30");
  expect(figure.find(".links").text()).toContain("Fails");
  expect(figure.find(".links").text()).toContain("Listed pair");
});
