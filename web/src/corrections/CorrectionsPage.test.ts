import { flushPromises, mount } from "@vue/test-utils";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { computed, ref } from "vue";
import { ProblemError } from "../api/client";
import { answering } from "../api/mocked";
import { notice } from "../frame/notice";
import CorrectionsPage from "./CorrectionsPage.vue";

vi.mock("../api/client", async (original) => ({
  ...(await original<typeof import("../api/client")>()),
  api: { get: vi.fn(), put: vi.fn() },
}));
vi.mock("../frame/notice", () => ({ notice: { problem: vi.fn(), done: vi.fn() } }));
vi.mock("../photos/usePhotos", () => ({ usePhotos: () => ({ of: () => [], hang: vi.fn() }) }));
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
const put = answering("put");

const correction = {
  id: "c1",
  number: 1,
  installationId: "i",
  requirement: "siting.outdoor-clearance-front",
  what: "Clearance, front",
  finding: "30 mm short",
  limits: "programme at least 900 mm",
  words: "Move the unit",
  due: "2026-12-01",
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
  }));
}

beforeEach(() => {
  role.value = "INSPECTOR";
  query.value = {};
  get.mockResolvedValue(listed());
});
afterEach(() => vi.resetAllMocks());

async function page() {
  const wrapper = mount(CorrectionsPage, {
    global: {
      stubs: {
        RouterLink: { props: ["to"], template: "<a :href='to'><slot /></a>" },
        PhotoStrip: true,
        "el-dialog": {
          props: ["modelValue"],
          template: "<div v-if='modelValue' class='dialog'><slot /></div>",
        },
        "el-date-picker": true,
      },
    },
  });
  await flushPromises();
  return wrapper;
}

test("each correction leads to the station it comes from and says by when", async () => {
  const [open, gone] = (await page()).findAll("li");
  expect(open?.find("a").attributes("href")).toBe("/installations/i/siting");
  expect(open?.text()).toContain("by 2026-12-01");
  expect(gone?.text()).toContain("withdrawn");
  expect(gone?.find("button").exists()).toBe(false);
});

test("a change goes out with the version it was made from", async () => {
  const wrapper = await page();
  await wrapper.find("li button").trigger("click");
  await wrapper.find("textarea").setValue("Move the unit 50 mm");
  put.mockResolvedValueOnce({});
  await wrapper.find("form").trigger("submit");
  await flushPromises();
  expect(put.mock.calls[0]).toEqual([
    "/api/corrections/c1",
    { words: "Move the unit 50 mm", due: "2026-12-01", state: "OPEN", version: 1 },
  ]);
  expect(wrapper.find(".dialog").exists()).toBe(false);
  expect(notice.done).toHaveBeenCalledWith("Saved.");
});

test("of two who change it at once the second sees both and chooses", async () => {
  const wrapper = await page();
  await wrapper.find("li button").trigger("click");
  await wrapper.find("textarea").setValue("Mine");
  put.mockRejectedValueOnce(
    new ProblemError({ status: 409, detail: "Changed meanwhile.", theirs: { words: "Theirs", version: 4 } }),
  );
  await wrapper.find("form").trigger("submit");
  await flushPromises();
  expect(wrapper.find(".theirs").text()).toContain("Theirs");
  expect((wrapper.find("textarea").element as HTMLTextAreaElement).value).toBe("Mine");
  put.mockResolvedValueOnce({});
  await wrapper.find(".theirs button").trigger("click");
  await flushPromises();
  expect(put.mock.calls[1]?.[1]).toMatchObject({ words: "Mine", version: 4 });
});

test("a crew reads and does not change; an empty list says how one is raised", async () => {
  role.value = "CREW";
  expect((await page()).find("li button").exists()).toBe(false);
  get.mockResolvedValue([]);
  expect((await page()).text()).toContain("No correction has been raised");
});

test("the code on a site note leads to the corrections of its installation", async () => {
  query.value = { installation: "i" };
  expect((await page()).text()).toContain("Only those of Drying room.");
  query.value = { installation: "other" };
  const none = await page();
  expect(none.text()).toContain("None has been raised for this installation.");
  expect(none.findAll("li")).toHaveLength(0);
});

test("corrections stand installation by installation and are found as one types", async () => {
  const wrapper = await page();
  expect(wrapper.findAll("h2").map((head) => head.text().replace(/\s+/g, " "))).toEqual([
    "LH-23 Drying room Threeways Cooling · 1 open",
  ]);
  await wrapper.find("input[aria-label=Find]").setValue("threeways front");
  expect(wrapper.findAll("li")).toHaveLength(2);
  await wrapper.find("input[aria-label=Find]").setValue("moon");
  expect(wrapper.text()).toContain("No correction says so.");
});
