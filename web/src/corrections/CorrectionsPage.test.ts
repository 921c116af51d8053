import { flushPromises, mount } from "@vue/test-utils";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { computed, ref } from "vue";
import { answering } from "../api/mocked";
import CorrectionsPage from "./CorrectionsPage.vue";

vi.mock("../api/client", async (original) => ({
  ...(await original<typeof import("../api/client")>()),
  api: { get: vi.fn(), post: vi.fn() },
}));
vi.mock("../frame/notice", () => ({ notice: { problem: vi.fn(), done: vi.fn() } }));
const role = ref("INSPECTOR");
vi.mock("../session/useSession", () => ({
  useSession: () => ({ person: computed(() => ({ role: role.value })) }),
}));
const query = ref<Record<string, string>>({});
vi.mock("vue-router", async (original) => ({
  ...(await original<typeof import("vue-router")>()),
  useRoute: () => ({
    get query() {
      return query.value;
    },
  }),
}));
const get = answering("get");
const post = answering("post");

const correction = {
  id: "c1",
  number: 1,
  installationId: "i",
  requirement: "siting.outdoor-clearance-front",
  what: "Clearance, front",
  finding: "30 mm short",
  limits: "programme at least 900 mm",
  words: "Move the unit",
  due: "2100-12-01",
  state: "OPEN",
  version: 1,
};
const withdrawn = { ...correction, id: "c2", number: 2, state: "WITHDRAWN", due: undefined };

function listed() {
  return [correction, withdrawn].map((each) => ({
    correction: each,
    reference: "LH-23",
    title: "Drying room",
    crew: "Threeways Cooling",
    overdue: false,
  }));
}

function question(id: string, installationId = "i") {
  return {
    id,
    recordId: `of-${id}`,
    installationId,
    reference: "LH-23",
    title: "Drying room",
    crew: "Threeways Cooling",
    recordedOn: "2026-08-04",
    question: `How was ${id} read?`,
    askedBy: "inspector",
    askedAt: "2026-09-01T10:00:00Z",
  };
}

/** What the server lists. */
let corrections: unknown[];
let questions: unknown[];

beforeEach(() => {
  role.value = "INSPECTOR";
  query.value = {};
  corrections = listed();
  questions = [];
  get.mockImplementation((address) =>
    Promise.resolve(address.includes("questions") ? questions : corrections),
  );
});
afterEach(() => vi.resetAllMocks());

async function page() {
  const wrapper = mount(CorrectionsPage, {
    global: {
      stubs: {
        RouterLink: { props: ["to"], template: "<a :href='to'><slot /></a>" },
        RaiseDialog: true,
      },
    },
  });
  await flushPromises();
  return wrapper;
}

test("each correction leads to its thread and says by when; ended ones only when asked for", async () => {
  const wrapper = await page();
  expect(wrapper.findAll("li")).toHaveLength(1);
  expect(wrapper.find("li a").attributes("href")).toBe("/corrections/c1");
  expect(wrapper.find("li").text()).toContain("by 2100-12-01");
  await wrapper.find("[aria-pressed]").trigger("click");
  expect(wrapper.findAll("li")).toHaveLength(2);
  expect(wrapper.text()).toContain("withdrawn");
});

test("what is overdue or answered is counted", async () => {
  corrections = listed().map((each, index) => ({
    ...each,
    overdue: true,
    correction: { ...each.correction, state: index ? "ANSWERED" : "SEEN", due: "2026-01-05" },
  }));
  const text = (await page()).text();
  expect(text).toContain("2 overdue.");
  expect(text).toContain("1 answer waits to be looked at.");
  expect(text).toContain("overdue since 2026-01-05");
});

test("a crew raises none; an empty list says how one is raised", async () => {
  role.value = "CREW";
  query.value = { installation: "i" };
  expect((await page()).text()).not.toContain("Raise corrections");
  query.value = {};
  corrections = [];
  expect((await page()).text()).toContain("No correction has been raised");
});

test("the code on a site note leads to the corrections of its installation", async () => {
  query.value = { installation: "i" };
  expect((await page()).text()).toContain("Only those of Drying room.");
  query.value = { installation: "other" };
  const none = await page();
  expect(none.text()).toContain("None is open for this installation.");
  expect(none.findAll("li")).toHaveLength(0);
});

test("corrections stand installation by installation and are found as one types", async () => {
  const wrapper = await page();
  expect(wrapper.findAll("h2").map((head) => head.text().replace(/\s+/g, " "))).toEqual([
    "LH-23 Drying room Threeways Cooling · 1 open",
  ]);
  await wrapper.find("input[aria-label=Find]").setValue("threeways front");
  expect(wrapper.findAll("li")).toHaveLength(1);
  await wrapper.find("input[aria-label=Find]").setValue("moon");
  expect(wrapper.text()).toContain("No correction says so.");
});

test("questions about records stand with them; a crew answers several at once", async () => {
  role.value = "CREW";
  questions = [question("q1"), question("q2"), question("q3", "other")];
  const wrapper = await page();
  expect(wrapper.findAll("textarea")).toHaveLength(3);
  const send = wrapper.find("button[type=submit]");
  expect(send.attributes("disabled")).toBeDefined();
  await wrapper.findAll("textarea")[0]?.setValue("By the gauge.");
  await wrapper.findAll("textarea")[1]?.setValue("  ");
  await wrapper.findAll("textarea")[2]?.setValue("By the meter.");
  expect(send.text()).toBe("Send 2 answers");
  questions = [question("q2")];
  await wrapper.find("form").trigger("submit");
  await flushPromises();
  expect(post).toHaveBeenCalledExactlyOnceWith("/api/questions/answers", {
    answers: [
      { question: "q1", words: "By the gauge." },
      { question: "q3", words: "By the meter." },
    ],
  });
  expect(wrapper.findAll("textarea")).toHaveLength(1);
});

test("what was answered stays where sending fails; whoever inspects only reads", async () => {
  role.value = "CREW";
  questions = [question("q1")];
  post.mockRejectedValueOnce(new Error("gone"));
  const wrapper = await page();
  await wrapper.find("textarea").setValue("By the gauge.");
  await wrapper.find("form").trigger("submit");
  await flushPromises();
  expect(wrapper.find("textarea").element.value).toBe("By the gauge.");
  expect(wrapper.find("[role=alert]").exists()).toBe(true);
  role.value = "INSPECTOR";
  const office = await page();
  expect(office.text()).toContain("How was q1 read?");
  expect(office.text()).toContain("Not answered yet.");
  expect(office.findAll("textarea")).toHaveLength(0);
});
