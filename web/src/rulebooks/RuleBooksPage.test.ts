import { flushPromises, mount } from "@vue/test-utils";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { computed, ref } from "vue";
import { ProblemError } from "../api/client";
import { answering } from "../api/mocked";
import RuleBooksPage from "./RuleBooksPage.vue";

vi.mock("../api/client", async (original) => ({
  ...(await original<typeof import("../api/client")>()),
  api: { get: vi.fn(), post: vi.fn() },
}));
const query = ref<Record<string, string>>({});
vi.mock("vue-router", () => ({ useRoute: () => ({ query: query.value }) }));
vi.mock("../frame/notice", () => ({ notice: { problem: vi.fn(), done: vi.fn() } }));
const role = ref("QUALITY_LEAD");
vi.mock("../session/useSession", () => ({
  useSession: () => ({ person: computed(() => ({ role: role.value })) }),
}));
const get = answering("get");
const post = answering("post");

const books = [
  { id: "plate", title: "Plate book", version: 2 },
  { id: "design", title: "Design book", version: 2 },
];

function view(id: string) {
  return {
    book: {
      id,
      version: 2,
      note: `About ${id}`,
      extending: id === "plate" ? ["General book, version 1"] : [],
    },
    decisionRule: "A reading meets with the whole of its uncertainty on one side.",
    yaml: `id: ${id}`,
    limits: [
      {
        title: "Clearance, front",
        key: "siting.outdoor-clearance-front",
        by: "code",
        side: "AT_LEAST",
        requirements: ["Clearance, front"],
        authority: "Adopted code",
        bound: "at least",
        value: "30 in",
        source: "Mechanical code",
        layer: "General book",
        station: "2 Siting",
      },
      {
        title: "Supply voltage",
        key: "electrical.supply-voltage",
        by: "maker",
        side: "AT_MOST",
        requirements: [],
        authority: "Maker",
        bound: "at most",
        value: "253 V",
        source: "Plate",
        layer: "",
        station: "7 Electrical protection",
      },
    ],
    schools: [
      {
        topic: "Overcurrent protective device",
        chosen: "plate",
        id: "electrical.protection",
        others: [{ id: "design-current", title: "design current" }],
        layer: "",
      },
    ],
    settings: [],
  };
}

beforeEach(() => {
  role.value = "QUALITY_LEAD";
  query.value = {};
  get.mockImplementation((path: string) =>
    Promise.resolve(
      path === "/api/rule-books"
        ? books
        : path.endsWith("/versions")
          ? []
          : view(path.split("/").at(-1) ?? ""),
    ),
  );
});
afterEach(() => vi.resetAllMocks());

async function page() {
  const wrapper = mount(RuleBooksPage, {
    global: {
      stubs: {
        VersionsPanel: true,
        "el-dialog": {
          props: ["modelValue"],
          template: "<div v-if='modelValue' class='dialog'><slot /></div>",
        },
      },
    },
  });
  await flushPromises();
  await flushPromises();
  return wrapper;
}

test("every limit stands with its authority and source", async () => {
  const wrapper = await page();
  const row = wrapper.find("tbody tr").text();
  expect(row).toContain("Adopted code");
  expect(row).toContain("at least 30 in");
  expect(row).toContain("Mechanical code");
  expect(wrapper.text()).toContain("also design current");
});

test("what comes from a book below says so, and which one that is", async () => {
  const wrapper = await page();
  expect(wrapper.find("tbody tr").text()).toContain("from General book");
  expect(wrapper.text()).toContain("Extends General book, version 1");
  await wrapper.findAll(".books button")[1]?.trigger("click");
  await flushPromises();
  expect(wrapper.text()).not.toContain("Extends");
});

test("another book is looked at", async () => {
  const wrapper = await page();
  await wrapper.findAll(".books button")[1]?.trigger("click");
  await flushPromises();
  expect(wrapper.text()).toContain("About design");
  expect(wrapper.findAll(".books button")[1]?.attributes("aria-pressed")).toBe("true");
});

test("a text that cannot be read names its lines and stays in the editor", async () => {
  const wrapper = await page();
  await wrapper.find(".page-head button").trigger("click");
  const editor = wrapper.find("textarea");
  expect((editor.element as HTMLTextAreaElement).value).toBe("id: plate");
  await editor.setValue("id: plate\nversion: three");
  post.mockRejectedValueOnce(
    new ProblemError({
      status: 422,
      detail: "This rule book cannot be read. Nothing was saved.",
      problems: [{ line: 2, key: "version", message: "a whole number is needed" }],
    }),
  );
  await wrapper.find(".dialog button").trigger("click");
  await flushPromises();
  expect(post.mock.calls[0]?.slice(1)).toEqual(["id: plate\nversion: three", "text/plain"]);
  expect(wrapper.find(".dialog li").text()).toContain("Line 2, version");
  expect((wrapper.find("textarea").element as HTMLTextAreaElement).value).toContain("three");
});

test("a version that is kept is shown at once", async () => {
  const wrapper = await page();
  await wrapper.find(".page-head button").trigger("click");
  post.mockResolvedValueOnce({ id: "design", title: "Design book", version: 3 });
  await wrapper.find(".dialog button").trigger("click");
  await flushPromises();
  await flushPromises();
  expect(wrapper.find(".dialog").exists()).toBe(false);
  expect(wrapper.text()).toContain("About design");
});

test("who does not keep the books only looks", async () => {
  role.value = "INSPECTOR";
  expect((await page()).find(".page-head button").exists()).toBe(false);
});

test("limits stand under their stations, and what is typed is found among limits, schools and settings", async () => {
  const wrapper = await page();
  expect(wrapper.findAll("summary h2").map((head) => head.text())).toEqual([
    "2 Siting",
    "7 Electrical protection",
    "Schools",
  ]);
  await wrapper.find("input[aria-label=Find]").setValue("volt maker");
  expect(wrapper.findAll("summary h2").map((head) => head.text())).toEqual(["7 Electrical protection"]);
  await wrapper.find("input[aria-label=Find]").setValue("moon");
  expect(wrapper.text()).toContain("Nothing here is called so");
});

test("an address may say what to find", async () => {
  query.value = { find: "Clearance, front" };
  expect((await page()).findAll("summary h2").map((head) => head.text())).toEqual(["2 Siting"]);
});
