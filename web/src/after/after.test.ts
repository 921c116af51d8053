import { flushPromises, mount } from "@vue/test-utils";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { computed, ref } from "vue";
import { ProblemError } from "../api/client";
import { answering } from "../api/mocked";
import AfterPage from "./AfterPage.vue";
import SealsPage from "./SealsPage.vue";

vi.mock("../api/client", async (original) => ({
  ...(await original<typeof import("../api/client")>()),
  api: { get: vi.fn(), post: vi.fn(), file: vi.fn() },
}));
vi.mock("../frame/notice", () => ({ notice: { problem: vi.fn(), done: vi.fn() } }));
const role = ref("INSPECTOR");
vi.mock("../session/useSession", () => ({
  useSession: () => ({ person: computed(() => ({ role: role.value })) }),
}));
const get = answering("get");
const post = answering("post");
const file = answering("file");

const ANSWERS: Record<string, unknown> = {
  "": {
    reference: "LH-07",
    title: "Foundry floor",
    building: "Bell Foundry",
    system: "Ducted split",
    display: "US",
    visits: [{ stage: "final", visitedOn: "2026-09-01", unannounced: false }],
  },
  "/corrections": [{ state: "OPEN" }, { state: "CLOSED" }],
  "/visits": [
    { number: 1, stage: "final", on: "2026-09-01", unannounced: false, counts: { FAILS: 1 }, changes: [] },
    {
      number: 2,
      stage: "re-visit",
      on: "2026-11-20",
      unannounced: true,
      counts: { MEETS: 1 },
      changes: [
        {
          station: "Siting",
          title: "Clearance, back",
          subject: "Outdoor unit",
          before: "FAILS",
          now: "MEETS",
          said: "40 in",
        },
      ],
    },
  ],
  "/revisit": {
    stops: [
      {
        station: "siting",
        title: "Siting",
        lines: [{ point: "siting.pad", component: "outdoor-1", title: "Pad" }],
        open: ["Pad is sound"],
      },
    ],
    tools: [
      { kind: "tape", needed: "2 mm", atHand: ["Tape 3"], enough: false },
      { kind: "level", atHand: [], enough: false },
    ],
    holds: ["Hold"],
    time: "2 min",
    lines: 1,
  },
  "/seals": [],
};

function answers(over: Record<string, unknown> = {}) {
  get.mockImplementation((address: string) => {
    const path = address.replace(/\?.*/, "").replace("/api/installations/i", "");
    return Promise.resolve({ ...ANSWERS, ...over }[path]);
  });
}

beforeEach(() => {
  role.value = "INSPECTOR";
  answers();
});
afterEach(() => vi.resetAllMocks());

async function page() {
  const wrapper = mount(AfterPage, {
    props: { id: "i" },
    global: {
      stubs: {
        RouterLink: { props: ["to"], template: "<a :href='to'><slot /></a>" },
        VerdictMark: { props: ["verdict"], template: "<i>{{ verdict }}</i>" },
        VisitSummary: true,
        RaiseDialog: true,
      },
    },
  });
  await flushPromises();
  return wrapper;
}

test("a visit says what it changed, and the plan what to bring and to read", async () => {
  const text = (await page()).text().replace(/\s+/g, " ");
  expect(text).toContain("2 raised, 1 open.");
  expect(text).toContain("unannounced");
  expect(text).toContain("Clearance, back, Outdoor unit: before FAILS, now MEETS.");
  expect(text).toContain("Lines to read: 1, at stations: 1. About 2 min to read. Holds come on top: Hold.");
  expect(text).toContain("± 2 mm or better");
  expect(text).toContain("Tape 3: not good enough for the closest");
});

test("a seal is asked for twice, and a refusal is said in words", async () => {
  const wrapper = await page();
  const button = (words: string) => wrapper.findAll("button").find((each) => each.text() === words);
  await button("Seal this visit")?.trigger("click");
  expect(post).not.toHaveBeenCalled();
  post.mockRejectedValueOnce(new ProblemError({ status: 422, detail: "A hold is running here." }));
  await button("Yes, seal it as it stands")?.trigger("click");
  await flushPromises();
  expect(wrapper.find("[role=alert]").text()).toBe("A hold is running here.");
  expect(button("Seal this visit")).toBeDefined();
});

test("a sealed verdict stands, and beside it what the newest rules would say", async () => {
  answers({
    "": { ...(ANSWERS[""] as object), visits: [{ sealedAs: "LH-07/1" }] },
    "/seals": [
      {
        number: "LH-07/1",
        stage: "final",
        sealedAt: "2026-09-02T08:00:00Z",
        sealedBy: "inspector",
        root: "ab",
        fingerprint: "cd",
        verdicts: { MEETS: 3 },
        ruleBook: "Sallowmere",
        version: 7,
        newest: 8,
        beside: [{ title: "Clearance, front", subject: "", asSealed: "MEETS", byNewest: "FAILS", said: "" }],
      },
    ],
  });
  const wrapper = await page();
  const text = wrapper.text().replace(/\s+/g, " ");
  expect(text).toContain("This visit is sealed as LH-07/1");
  expect(text).toContain("when sealed MEETS, by version 8 of the rule book FAILS");
  expect(wrapper.find(".sealed a").attributes("href")).toBe("/api/installations/i/seals/1/file");
  expect(wrapper.findAll("button").some((each) => each.text() === "Seal this visit")).toBe(false);
});

test("a crew seals and raises nothing", async () => {
  role.value = "CREW";
  expect((await page()).findAll("button")).toHaveLength(0);
});

test("a checked file says what was changed", async () => {
  const wrapper = mount(SealsPage);
  const input = wrapper.find("input");
  const choose = async () => {
    Object.defineProperty(input.element, "files", {
      value: [new File(["x"], "sealed.zip")],
      configurable: true,
    });
    await input.trigger("change");
    await flushPromises();
  };
  file.mockResolvedValueOnce({
    sound: false,
    exact: false,
    sentence: "This is not what was sealed.",
    problems: ["Changed: readings 1."],
    fingerprint: "ab",
  });
  await choose();
  expect(wrapper.find(".outcome").text()).toContain("Changed: readings 1.");
  file.mockResolvedValueOnce({
    sound: true,
    exact: true,
    sentence: "Nothing was changed.",
    problems: [],
    fingerprint: "ab",
    known: true,
  });
  await choose();
  expect(wrapper.find(".outcome.sound").text()).toContain("The key is one of this office.");
  file.mockResolvedValueOnce({
    sound: true,
    exact: false,
    sentence: "Nothing was changed. It is of the older, weaker kind.",
    problems: [],
    fingerprint: "ab",
  });
  await choose();
  expect(wrapper.find(".outcome.sound").exists()).toBe(false);
  expect(wrapper.find(".outcome.older .verdict").text()).toBe("Unchanged, as far as an older seal tells");
  file.mockRejectedValueOnce(new ProblemError({ status: 413, detail: "Too large." }));
  await choose();
  expect(wrapper.find("[role=alert]").text()).toBe("Too large.");
});
