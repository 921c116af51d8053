import { flushPromises, mount } from "@vue/test-utils";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { ProblemError } from "../api/client";
import { answering } from "../api/mocked";
import { emptyPlan, type Plan } from "./plan";
import { drawing, onScreen, piece } from "../shown/figures/drawing.fixture";
import SitePage from "./SitePage.vue";

vi.mock("../api/client", async (original) => ({
  ...(await original<typeof import("../api/client")>()),
  api: { get: vi.fn(), post: vi.fn(), put: vi.fn() },
}));
vi.mock("../frame/notice", () => ({ notice: { problem: vi.fn(), done: vi.fn() } }));
const get = answering("get");
const post = answering("post");
const put = answering("put");

const move = { component: "outdoor-1", x: 3, y: 2, facing: 180 };
const sizes = ["outdoor-1", "outdoor-2"].map((component) => ({
  component,
  title: component,
  outdoor: true,
  width: 0.8,
  depth: 0.3,
  height: 0.6,
  cabinet: "",
}));

const JUDGEMENTS = [
  {
    key: "a@outdoor-1",
    title: "Back",
    subject: "Outdoor unit",
    verdict: "FAILS",
    because: "short",
    before: "MEETS",
  },
  { key: "b@outdoor-2", title: "Front", subject: "Second unit", verdict: "MEETS", because: "" },
  { key: "c@indoor-1", title: "Height", subject: "Wall unit", verdict: "NOT_SHOWN", because: "" },
];

/** What the server would make of a drawing: a piece for each thing, and the move asked for. */
function trial(path: string, plan: Plan) {
  const mayTurn = path.includes("mayTurn=true");
  return {
    figure: drawing(
      "Site",
      plan.features.map((f) => piece("AREA", { role: "CABINET", thing: f.id })),
    ),
    near: [{ name: "the house", distance: "120 mm" }],
    overlaps: ["outdoor-1 stands in House."],
    cure: mayTurn
      ? { sentence: "No place in the permitted area.", moves: [] }
      : { sentence: "Smallest cure: right.", moves: [move] },
    units: sizes,
    judgements: JUDGEMENTS,
  };
}

function drawn(): Plan {
  return {
    ...emptyPlan(),
    features: [
      {
        type: "Feature",
        id: "outdoor-1",
        geometry: { type: "Point", coordinates: [2, 2] },
        properties: { kind: "unit", facing: 270, base: 0.1 },
      },
    ],
  };
}

beforeEach(() => {
  localStorage.clear();
  get.mockImplementation((path: string) =>
    Promise.resolve(
      path.includes("site-plan")
        ? { version: 4, plan: drawn(), units: sizes }
        : {
            id: "i",
            title: "Lido",
            building: "Lido",
            display: "SI",
            components: [
              { id: "outdoor-1", kind: "OUTDOOR", title: "Outdoor unit" },
              { id: "outdoor-2", kind: "OUTDOOR", title: "Second unit" },
            ],
          },
    ),
  );
  post.mockImplementation((path: string, plan: unknown) => Promise.resolve(trial(path, plan as Plan)));
});
afterEach(() => vi.resetAllMocks());

async function page() {
  const wrapper = mount(SitePage, { props: { id: "i" }, global: { stubs: ["RouterLink"] } });
  await flushPromises();
  await flushPromises();
  return wrapper;
}

/** Until what was drawn has been tried. */
async function settled() {
  await new Promise((done) => setTimeout(done, 150));
  await flushPromises();
}

function button(wrapper: Awaited<ReturnType<typeof page>>, words: string) {
  return wrapper.findAll("button").find((b) => b.text() === words)!;
}

test("what would turn out otherwise than kept comes first, what is kept is left out", async () => {
  const wrapper = await page();
  const items = wrapper.findAll(".verdicts li").map((li) => li.text());
  expect(items).toHaveLength(2);
  expect(items[0]).toContain("Back, Outdoor unit");
  expect(wrapper.text()).toContain("stands in House");
});

test("distances are given from what is named", async () => {
  expect((await page()).find(".near").text()).toBe("120 mm from the house");
});

test("the move is done, undone, and turning is another question", async () => {
  const wrapper = await page();
  await button(wrapper, "Do this move").trigger("click");
  await button(wrapper, "Save the drawing").trigger("click");
  put.mockResolvedValue({ version: 5 });
  const kept = put.mock.calls[0]?.[1] as Plan;
  expect(put.mock.calls[0]?.[0]).toContain("basedOn=4");
  expect(kept.features[0]?.geometry.coordinates).toEqual([3, 2]);
  expect(kept.features[0]?.properties.facing).toBe(180);
  await button(wrapper, "Undo").trigger("click");
  await wrapper.find(".cure input").setValue(true);
  await flushPromises();
  expect(wrapper.find(".cure").text()).toContain("No place in the permitted area");
});

test("things are added and units placed; a unit on the site is not offered again", async () => {
  const wrapper = await page();
  expect(button(wrapper, "Place Outdoor unit")).toBeUndefined();
  await button(wrapper, "Place Second unit").trigger("click");
  await settled();
  expect(wrapper.findAll("[data-thing]")).toHaveLength(2);
  await wrapper.find(".adds select").setValue("vent");
  await button(wrapper, "Add").trigger("click");
  expect(wrapper.find(".panel h2").text()).toBe("vent");
  await button(wrapper, "Remove").trigger("click");
  expect(wrapper.find(".panel").exists()).toBe(false);
});

test("what was drawn and left unkept is taken up again, and can be given up for what is kept", async () => {
  const first = await page();
  await button(first, "Place Second unit").trigger("click");
  first.unmount();
  const again = await page();
  expect(again.find("p[role=status].problem").text()).toContain("Restored");
  expect(again.findAll("[data-thing]")).toHaveLength(2);
  await button(again, "Revert to what is saved").trigger("click");
  await flushPromises();
  await flushPromises();
  expect(again.findAll("[data-thing]")).toHaveLength(1);
  expect(again.text()).not.toContain("Restored");
});

test("until the drawing is there nothing can be drawn", async () => {
  get.mockImplementation(() => new Promise(() => undefined));
  const wrapper = await page();
  expect(button(wrapper, "Add")).toBeUndefined();
});

test("what cannot be saved is said and stays drawn", async () => {
  const wrapper = await page();
  await button(wrapper, "Place Second unit").trigger("click");
  put.mockRejectedValueOnce(
    new ProblemError({ status: 422, detail: "outdoor-1 stands in House. Nothing was saved." }),
  );
  await button(wrapper, "Save the drawing").trigger("click");
  await settled();
  expect(wrapper.find(".problem").text()).toContain("Nothing was saved");
  expect(wrapper.findAll("[data-thing]")).toHaveLength(2);
});

test("a thing is dragged on a sheet that stays still, and tried where it is let go", async () => {
  const wrapper = await page();
  const canvas = wrapper.find(".canvas");
  (canvas.element as HTMLElement).setPointerCapture = () => undefined;
  onScreen(wrapper.find("svg").element);
  await wrapper.find("[data-thing]").trigger("pointerdown", { clientX: 100, clientY: 100, pointerId: 1 });
  await canvas.trigger("pointermove", { clientX: 150, clientY: 100 });
  await settled();
  const [path, plan] = post.mock.calls.at(-1) as [string, Plan];
  expect(path).toContain("view=0&view=0&view=3&view=2");
  expect(plan.features[0]?.geometry.coordinates).toEqual([2.5, 2]);
  expect(wrapper.find("polygon.held").exists()).toBe(true);
  await canvas.trigger("pointerup");
  await settled();
  expect(post.mock.calls.at(-1)?.[0]).not.toContain("view=");
  expect(wrapper.find("polygon.held").exists()).toBe(false);
  await button(wrapper, "Undo").trigger("click");
  await settled();
  const undone = post.mock.calls.at(-1)?.[1] as Plan;
  expect(undone.features[0]?.geometry.coordinates).toEqual([2, 2]);
});
