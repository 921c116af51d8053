import { flushPromises, mount } from "@vue/test-utils";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { reactive } from "vue";
import { ProblemError } from "../api/client";
import { answering } from "../api/mocked";
import { notice } from "../frame/notice";
import { carried } from "../frame/carried";
import CalculatorsPage from "./CalculatorsPage.vue";

vi.mock("../api/client", async (original) => ({
  ...(await original<typeof import("../api/client")>()),
  api: { get: vi.fn(), post: vi.fn() },
}));
vi.mock("../frame/notice", () => ({ notice: { problem: vi.fn(), done: vi.fn() } }));
const route = reactive({ params: { id: "run" }, query: { length: "12 m" } as Record<string, string> });
const replace = vi.fn();
vi.mock("vue-router", () => ({ useRoute: () => route, useRouter: () => ({ replace }) }));
const get = answering("get");
const post = answering("post");

const input = (id: string, title: string, example: string) => ({
  id,
  title,
  notation: "",
  options: [],
  several: false,
  example,
});

beforeEach(() => {
  get.mockResolvedValue([
    {
      id: "run",
      station: 4,
      stationTitle: "Mounting",
      title: "Fall of a run",
      source: "Length × slope",
      inputs: [input("length", "Length", "17 ft"), input("slope", "Slope", "1 %")],
    },
  ]);
  post.mockResolvedValue({ steps: [{ name: "Fall needed", how: "length × slope", value: "120 mm" }] });
});
afterEach(() => vi.resetAllMocks());

async function page() {
  const wrapper = mount(CalculatorsPage, { global: { stubs: ["RouterLink"] } });
  await flushPromises();
  return wrapper;
}

test("what the address carries is typed in, the rest is the example", async () => {
  const wrapper = await page();
  expect(wrapper.findAll("input").map((i) => i.element.value)).toEqual(["12 m", "1 %"]);
  expect(post.mock.calls[0]?.[1]).toEqual({ length: "12 m", slope: "1 %" });
  expect(wrapper.find(".last").text()).toContain("120 mm");
});

test("typing asks again and changes the address", async () => {
  vi.useFakeTimers();
  const wrapper = await page();
  post.mockClear();
  await wrapper.findAll("input")[1]?.setValue("2 %");
  await vi.advanceTimersByTimeAsync(300);
  expect(post.mock.calls[0]?.[1]).toMatchObject({ slope: "2 %" });
  expect(replace.mock.calls.at(-1)?.[0]).toMatchObject({ query: { slope: "2 %" } });
  vi.useRealTimers();
});

test("whoever types and leaves is not brought back", async () => {
  vi.useFakeTimers();
  const wrapper = await page();
  replace.mockClear();
  await wrapper.findAll("input")[1]?.setValue("2 %");
  wrapper.unmount();
  await vi.advanceTimersByTimeAsync(300);
  expect(replace).not.toHaveBeenCalled();
  vi.useRealTimers();
});

test("what cannot be taken is said at its input and no answer stands", async () => {
  post.mockRejectedValue(new ProblemError({ status: 422, detail: "No.", fields: { slope: "Not a share." } }));
  const wrapper = await page();
  expect(wrapper.find("[role=alert]").text()).toBe("Not a share.");
  expect(wrapper.find(".last").exists()).toBe(false);
});

test("it is copied as text with inputs, answer, source and address", async () => {
  const writeText = vi.fn().mockResolvedValue(undefined);
  vi.stubGlobal("navigator", { clipboard: { writeText } });
  const wrapper = await page();
  await wrapper.find(".sheet > button").trigger("click");
  await flushPromises();
  expect(writeText.mock.calls[0]?.[0]).toContain("Length: 12 m");
  expect(writeText.mock.calls[0]?.[0]).toContain("Fall needed: 120 mm (length × slope)");
  writeText.mockRejectedValueOnce(new Error("denied"));
  await wrapper.find(".sheet > button").trigger("click");
  await flushPromises();
  expect(vi.mocked(notice.problem)).toHaveBeenCalledOnce();
  vi.unstubAllGlobals();
});

test("a result is taken along for a line of a visit, and what can be drawn is drawn", async () => {
  post.mockResolvedValue({
    steps: [{ name: "Fall needed", how: "", value: "120 mm" }],
    figure: {
      title: "Fall",
      spoken: "It falls 120 mm",
      caption: [],
      width: 420,
      height: 280,
      measure: { left: 0, low: 0, right: 1, high: 1, x0: 0, y0: 0, across: 1, up: 1 },
      pieces: [],
    },
  });
  const wrapper = await page();
  expect(wrapper.find("svg").attributes("aria-label")).toBe("Fall. It falls 120 mm");
  await wrapper.find("button[aria-label='Take Fall needed along']").trigger("click");
  expect(carried.value).toEqual({ name: "Fall needed", value: "120 mm" });
});
