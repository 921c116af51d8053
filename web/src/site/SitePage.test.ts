import { flushPromises, mount } from "@vue/test-utils";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { api, ProblemError } from "../api/client";
import { emptyPlan, type Plan } from "./plan";
import SitePage from "./SitePage.vue";

vi.mock("../api/client", async (original) => ({
  ...(await original<typeof import("../api/client")>()),
  api: { get: vi.fn(), post: vi.fn(), put: vi.fn() },
}));
vi.mock("../frame/notice", () => ({ notice: { problem: vi.fn(), done: vi.fn() } }));
const get = vi.mocked(api.get);
const post = vi.mocked(api.post);
const put = vi.mocked(api.put);

const move = {
  component: "outdoor-1",
  x: 3,
  y: 2,
  facing: 180,
  sideways: "1 m right",
  along: "",
  text: "right",
};
const view = {
  features: [],
  units: [],
  distances: [],
  overlaps: ["outdoor-1 stands in House."],
  hung: [],
  cure: { outcome: "CURED", sentence: "Smallest cure: right.", moves: [move] },
  turnedCure: { outcome: "NO_PLACE", sentence: "No place in the permitted area.", moves: [] },
};

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
        ? { version: 4, plan: drawn(), view }
        : path.includes("stations")
          ? { siting: [] }
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
  post.mockResolvedValue({
    view,
    judgements: [
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
    ],
  });
});
afterEach(() => vi.resetAllMocks());

async function page() {
  const wrapper = mount(SitePage, { props: { id: "i" }, global: { stubs: ["RouterLink"] } });
  await flushPromises();
  await flushPromises();
  return wrapper;
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

test("the move is done, undone, and turning is another question", async () => {
  const wrapper = await page();
  await button(wrapper, "Do this move").trigger("click");
  await button(wrapper, "Keep the drawing").trigger("click");
  put.mockResolvedValue({ version: 5 });
  const kept = put.mock.calls[0]?.[1] as Plan;
  expect(put.mock.calls[0]?.[0]).toContain("basedOn=4");
  expect(kept.features[0]?.geometry.coordinates).toEqual([3, 2]);
  expect(kept.features[0]?.properties.facing).toBe(180);
  await button(wrapper, "Undo").trigger("click");
  await wrapper.find(".cure input").setValue(true);
  expect(wrapper.find(".cure").text()).toContain("No place in the permitted area");
});

test("things are added and units placed; a unit on the site is not offered again", async () => {
  const wrapper = await page();
  expect(button(wrapper, "Place Outdoor unit")).toBeUndefined();
  await button(wrapper, "Place Second unit").trigger("click");
  expect(wrapper.findAll("g.unit")).toHaveLength(2);
  await wrapper.find(".adds select").setValue("vent");
  await button(wrapper, "Add").trigger("click");
  expect(wrapper.find(".panel h2").text()).toBe("vent");
  await button(wrapper, "Take away").trigger("click");
  expect(wrapper.find(".panel").exists()).toBe(false);
});

test("what was drawn and left unkept is taken up again, and can be given up for what is kept", async () => {
  const first = await page();
  await button(first, "Place Second unit").trigger("click");
  first.unmount();
  const again = await page();
  expect(again.find("p[role=status].problem").text()).toContain("Taken up again");
  expect(again.findAll("g.unit")).toHaveLength(2);
  await button(again, "Back to what is kept").trigger("click");
  await flushPromises();
  await flushPromises();
  expect(again.findAll("g.unit")).toHaveLength(1);
  expect(again.text()).not.toContain("Taken up again");
});

test("until the drawing is there nothing can be drawn", async () => {
  get.mockImplementation(() => new Promise(() => undefined));
  const wrapper = await page();
  expect(button(wrapper, "Add")).toBeUndefined();
});

test("what cannot be kept is said and stays drawn", async () => {
  const wrapper = await page();
  await button(wrapper, "Place Second unit").trigger("click");
  put.mockRejectedValueOnce(
    new ProblemError({ status: 422, detail: "outdoor-1 stands in House. Nothing was saved." }),
  );
  await button(wrapper, "Keep the drawing").trigger("click");
  await flushPromises();
  expect(wrapper.find(".problem").text()).toContain("Nothing was saved");
  expect(wrapper.findAll("g.unit")).toHaveLength(2);
});
