import { flushPromises, mount } from "@vue/test-utils";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { computed, ref } from "vue";
import { ProblemError } from "../api/client";
import { answering } from "../api/mocked";
import { notice } from "../frame/notice";
import RaiseDialog from "./RaiseDialog.vue";
import CorrectionPage from "./CorrectionPage.vue";

vi.mock("../api/client", async (original) => ({
  ...(await original<typeof import("../api/client")>()),
  api: { get: vi.fn(), put: vi.fn(), post: vi.fn(), file: vi.fn() },
}));
vi.mock("../frame/notice", () => ({ notice: { problem: vi.fn(), done: vi.fn() } }));
vi.mock("../photos/usePhotos", () => ({
  usePhotos: () => ({ of: () => [], photos: ref([]), hang: vi.fn() }),
}));
const role = ref("INSPECTOR");
vi.mock("../session/useSession", () => ({
  useSession: () => ({ person: computed(() => ({ role: role.value })) }),
}));
const get = answering("get");
const post = answering("post");
const put = answering("put");

const correction = {
  id: "c1",
  number: 1,
  installationId: "i",
  requirement: "siting.outdoor-clearance-front",
  component: "outdoor-1",
  what: "Clearance, front",
  finding: "Fails. 30 mm short",
  limits: "programme at least 900 mm",
  words: "Move the unit",
  due: "2100-12-01",
  state: "ANSWERED",
  raisedBy: "inspector",
  raisedAt: "2026-11-01T08:00:00Z",
  version: 3,
};

function thread(over: object = {}) {
  return {
    correction,
    reference: "LH-23",
    title: "Drying room",
    building: "Dye Works",
    crew: "Threeways Cooling",
    trade: "setting and fixing",
    overdue: false,
    steps: [
      {
        kind: "ANSWERED",
        words: "Moved it.",
        readings: [{ line: "Clearance, front", said: "910 mm", grade: "recorded" }],
        by: "threeways",
        at: "2026-11-02T08:00:00Z",
      },
    ],
    files: [],
    may: ["ACCEPTED", "REFUSED", "WITHDRAWN"],
    now: { verdict: "FAILS", brief: "Fails, 30 mm short" },
    lines: [{ point: "siting.outdoor-clearance-front", component: "outdoor-1", title: "Clearance, front" }],
    ...over,
  };
}

const stubs = {
  RouterLink: { props: ["to"], template: "<a><slot /></a>" },
  PhotoStrip: true,
  MarkedPhoto: true,
  "el-dialog": { props: ["modelValue"], template: "<div v-if='modelValue' class='dialog'><slot /></div>" },
  "el-date-picker": true,
};

beforeEach(() => {
  role.value = "INSPECTOR";
  get.mockResolvedValue(thread());
});
afterEach(() => vi.resetAllMocks());

async function page() {
  const wrapper = mount(CorrectionPage, { props: { id: "c1" }, global: { stubs } });
  await flushPromises();
  return wrapper;
}

function button(wrapper: Awaited<ReturnType<typeof page>>, words: string) {
  return wrapper.findAll("button").find((each) => each.text().startsWith(words));
}

test("what the server does not let be closed is not offered; the answer is accepted or refused", async () => {
  const wrapper = await page();
  expect(wrapper.text()).toContain("910 mm");
  expect(button(wrapper, "Close")).toBeUndefined();
  await wrapper.find("#answer").setValue("Show the label.");
  post.mockResolvedValueOnce(thread({ may: [] }));
  await button(wrapper, "Refuse")?.trigger("click");
  await flushPromises();
  expect(post).toHaveBeenCalledWith("/api/corrections/c1/steps?units=SI", {
    kind: "REFUSED",
    words: "Show the label.",
    readings: [],
    confirmed: false,
    version: 3,
  });
  expect(wrapper.find("#answer").exists()).toBe(false);
});

test("what was read again and meets is offered to be closed", async () => {
  get.mockResolvedValue(thread({ may: ["CLOSED"], now: { verdict: "MEETS", brief: "Meets" } }));
  expect(button(await page(), "Close")).toBeDefined();
});

test("an answer that was accepted is to be seen at the re-visit; what fails as last read is not told again", async () => {
  get.mockResolvedValue(thread({ may: [], correction: { ...correction, state: "ACCEPTED" } }));
  const text = (await page()).text();
  expect(text).toContain("Accepted, to be seen at the re-visit.");
  expect(text).not.toContain("Now:");
});

test("a crew's first look is noted, and its answer carries a reading; an unusual one is asked about", async () => {
  role.value = "CREW";
  get.mockResolvedValue(thread({ may: ["SEEN", "ANSWERED"], steps: [] }));
  post.mockResolvedValueOnce(thread({ may: ["ANSWERED"] }));
  const wrapper = await page();
  expect(post.mock.calls[0]?.[1]).toMatchObject({ kind: "SEEN", version: 3 });
  await button(wrapper, "Add a reading")?.trigger("click");
  await wrapper.find("[aria-label='Reading, with its unit']").setValue("9 m");
  post.mockRejectedValueOnce(
    new ProblemError({ status: 422, detail: "Far from usual. Save it?", ask: true }),
  );
  await wrapper.find("form").trigger("submit");
  await flushPromises();
  expect(wrapper.find("[role=alert]").text()).toContain("Far from usual");
  post.mockResolvedValueOnce(thread({ may: [] }));
  await wrapper.find("form").trigger("submit");
  await flushPromises();
  expect(post.mock.calls[2]?.[1]).toMatchObject({
    kind: "ANSWERED",
    confirmed: true,
    readings: [
      { point: "siting.outdoor-clearance-front", component: "outdoor-1", typed: "9 m", grade: "RECORDED" },
    ],
  });
});

test("of two who change it at once the second sees both and chooses", async () => {
  const wrapper = await page();
  await button(wrapper, "Change")?.trigger("click");
  await wrapper.find("#words").setValue("Mine");
  put.mockRejectedValueOnce(new ProblemError({ status: 409, detail: "Changed meanwhile." }));
  get.mockResolvedValue(thread({ correction: { ...correction, words: "Theirs", version: 4 } }));
  await wrapper.find(".dialog form").trigger("submit");
  await flushPromises();
  expect(wrapper.find(".theirs").text()).toContain("Theirs");
  expect((wrapper.find("#words").element as HTMLTextAreaElement).value).toBe("Mine");
  put.mockResolvedValueOnce({});
  await wrapper.find(".dialog form").trigger("submit");
  await flushPromises();
  expect(put.mock.calls[1]?.[1]).toMatchObject({ words: "Mine", version: 4 });
  expect(notice.done).toHaveBeenCalled();
});

test("all that fail are chosen beforehand, trade by trade; a refusal keeps the choice", async () => {
  const item = (judgement: string, verdict: string) => ({
    judgement,
    what: judgement,
    verdict,
    severity: "SAFETY",
    brief: "",
    remedy: "",
    due: "2100-01-01",
  });
  get.mockResolvedValue([
    { trade: "ELECTRICAL", title: "electrical", items: [item("a@b", "FAILS"), item("c@d", "NOT_SHOWN")] },
  ]);
  const wrapper = mount(RaiseDialog, {
    props: { modelValue: true, installation: "i" },
    global: { stubs: { ...stubs, VerdictMark: true } },
  });
  await flushPromises();
  expect(wrapper.find(".primary").text()).toBe("Raise 1 correction");
  post.mockRejectedValueOnce(new ProblemError({ status: 422, detail: "Already open." }));
  await wrapper.find("form").trigger("submit");
  await flushPromises();
  expect(wrapper.find("[role=alert]").text()).toBe("Already open.");
  await wrapper.findAll("button")[1]?.trigger("click");
  expect(wrapper.find(".primary").text()).toBe("Raise 2 corrections");
  post.mockResolvedValueOnce([correction, correction]);
  await wrapper.find("form").trigger("submit");
  await flushPromises();
  expect(post.mock.calls[1]?.[1]).toEqual({ judgements: ["a@b", "c@d"], words: "" });
  expect(wrapper.emitted("raised")).toHaveLength(1);
});
