import { mount } from "@vue/test-utils";
import { expect, test, vi } from "vitest";
import type { Schemas } from "../../api/client";
import AccessFigure from "./AccessFigure.vue";
import PaperFigure from "./PaperFigure.vue";
import PlanFigure from "./PlanFigure.vue";

const stubs = { global: { stubs: ["RouterLink"] } };

function cure(sentence: string, moves: Schemas["MoveView"][] = []): Schemas["CureView"] {
  return { outcome: moves.length ? "CURED" : "NOTHING_TO_CURE", sentence, moves };
}

const move: Schemas["MoveView"] = {
  component: "outdoor-1",
  x: 2.2,
  y: 1,
  facing: 270,
  sideways: "200 mm right",
  along: "",
  text: "Outdoor unit 200 mm right",
};

const plan: Schemas["PlanView"] = {
  features: [
    {
      id: "house",
      kind: "wall",
      title: "House",
      solid: true,
      closed: true,
      points: [
        { x: 0, y: 2 },
        { x: 5, y: 2 },
        { x: 5, y: 3 },
        { x: 0, y: 3 },
      ],
    },
    { id: "vent", kind: "vent", title: "Flue", solid: false, closed: false, points: [{ x: 4, y: 2 }] },
  ],
  units: [
    {
      component: "outdoor-1",
      title: "Outdoor unit",
      x: 2,
      y: 1,
      facing: 270,
      width: 0.8,
      depth: 0.3,
      cabinet: "800 mm × 300 mm",
      verdict: "FAILS",
    },
  ],
  distances: [
    {
      component: "outdoor-1",
      name: "back",
      text: "850 mm",
      from: { x: 2, y: 1.15 },
      to: { x: 2, y: 2 },
      verdict: "FAILS",
      judgement: "siting.outdoor-clearance-back@outdoor-1",
    },
    {
      component: "outdoor-1",
      name: "vent",
      text: "1.8 m",
      from: { x: 2.4, y: 1.15 },
      to: { x: 4, y: 2 },
      verdict: "MEETS",
      judgement: "siting.vent-distance@outdoor-1",
    },
  ],
  overlaps: ["outdoor-1 stands in House."],
  hung: [],
  cure: cure("Smallest cure: Outdoor unit 200 mm right.", [move]),
  turnedCure: cure("As drawn, every distance is kept."),
};

test("the plan shows what is short, what cannot be, and the ghost of the cure", async () => {
  const figure = mount(PlanFigure, { props: { plan, id: "i" }, ...stubs });
  expect(figure.text()).toContain("stands in House");
  expect(figure.find("[role=status]").text()).toContain("200 mm right");
  expect(figure.findAll(".ghost polygon")).toHaveLength(1);
  const dimensions = figure.findAll(".distance text").map((t) => t.text());
  expect(dimensions).toEqual(["850 mm"]);
  await figure.find("input").setValue(true);
  expect(figure.findAll(".ghost polygon")).toHaveLength(0);
  expect(figure.find("[role=status]").text()).toContain("every distance is kept");
});

test("the way to the equipment says what was found and what is asked", () => {
  const figure = mount(AccessFigure, {
    props: {
      parts: [
        {
          name: "opening-width",
          title: "Opening",
          found: "500 mm",
          asked: "560 mm",
          verdict: "FAILS",
          judgement: "a",
        },
        { name: "light", title: "Light", verdict: "NOT_SHOWN", judgement: "b" },
      ],
    },
  });
  expect(figure.findAll("li")[0]?.text()).toContain("asked 560 mm");
  expect(figure.findAll("li")[0]?.classes()).toContain("fails");
  expect(figure.findAll("li")[1]?.text()).toContain("–");
});

test("a plate's photo stands over the lines, and another may be added", async () => {
  const plate = { component: "outdoor-1", title: "Outdoor unit", outdoor: true, rows: [], links: [] };
  const photosOf = vi.fn().mockReturnValue([]);
  const figure = mount(PaperFigure, {
    props: { plates: [plate], photosOf },
    global: { stubs: ["el-dialog"] },
  });
  await figure.findAll("button")[1]?.trigger("click");
  expect(figure.text()).toContain("No photo of this plate yet");
  const file = new File(["x"], "plate.png");
  await figure.find(".strip").trigger("drop", { dataTransfer: { files: [file] } });
  expect(figure.emitted("add")?.[0]).toEqual(["outdoor-1", [file]]);
});
