import { flushPromises, mount } from "@vue/test-utils";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { ref } from "vue";
import { ProblemError } from "../api/client";
import { answering } from "../api/mocked";
import InstrumentsPage from "./InstrumentsPage.vue";

vi.mock("../api/client", async (original) => ({
  ...(await original<typeof import("../api/client")>()),
  api: { get: vi.fn(), post: vi.fn(), put: vi.fn(), file: vi.fn() },
}));
vi.mock("../frame/notice", () => ({ notice: { problem: vi.fn(), done: vi.fn() } }));
const role = ref("QUALITY_LEAD");
vi.mock("../session/useSession", () => ({
  useSession: () => ({ person: { value: { role: role.value } } }),
}));
const get = answering("get");
const put = answering("put");
const post = answering("post");

const gauge = {
  instrument: {
    id: "gauge-5",
    title: "Gauge set 5",
    kind: "gauge",
    dimension: "gauge-pressure",
    ofFullScale: "1.6 %",
    fullScale: "500 psig",
    refrigerants: ["R410A"],
    calibrations: [{ on: "2025-08-01", months: 12, certificate: "SC-1890" }],
  },
  id: "gauge-5",
  title: "Gauge set 5",
  kind: "gauge",
  kindTitle: "gauge",
  channels: [{ name: "", accuracy: "1.6 % of 500 psig", range: "0 psig … 500 psig" }],
  version: 3,
  until: "2026-08-01",
  lapsed: true,
};

beforeEach(() => {
  role.value = "QUALITY_LEAD";
  get.mockImplementation((path: string) =>
    Promise.resolve(
      path.endsWith("/kinds")
        ? [
            { key: "gauge", title: "gauge" },
            { key: "level", title: "level" },
          ]
        : [gauge],
    ),
  );
});
afterEach(() => vi.resetAllMocks());

async function page() {
  const wrapper = mount(InstrumentsPage, {
    global: { stubs: { "el-dialog": { template: "<div><slot /></div>" } } },
  });
  await flushPromises();
  return wrapper;
}

test("a lapsed calibration is seen at once", async () => {
  const row = (await page()).find("tbody tr:not(.kind)");
  expect(row.classes()).toContain("lapsed");
  expect(row.text()).toContain("lapsed");
  expect(row.text()).toContain("1.6 % of 500 psig");
  expect(row.text()).toContain("SC-1890");
});

test("a new calibration is kept beside the old, with everything else as it was", async () => {
  const wrapper = await page();
  await wrapper.find("tbody button").trigger("click");
  await wrapper.find("input[type=date]").setValue("2026-11-20");
  put.mockResolvedValueOnce({});
  await wrapper.find("form").trigger("submit");
  await flushPromises();
  const sent = put.mock.calls[0]?.[1] as { instrument: typeof gauge.instrument; version: number };
  expect(sent.version).toBe(3);
  expect(sent.instrument.calibrations).toHaveLength(2);
  expect(sent.instrument.calibrations[1]).toMatchObject({ on: "2026-11-20", months: 12 });
  expect(sent.instrument.fullScale).toBe("500 psig");
  expect(sent.instrument.refrigerants).toEqual(["R410A"]);
});

test("a new instrument is of a kind the server knows; what is refused is said beside the form", async () => {
  const wrapper = await page();
  await wrapper.find(".page-head button").trigger("click");
  const inputs = wrapper.findAll("form input");
  await inputs[0]?.setValue("level-9");
  await inputs[1]?.setValue("Level 9");
  await wrapper.find("form select").setValue("level");
  post.mockRejectedValueOnce(
    new ProblemError({
      status: 422,
      detail: "No.",
      fields: { "instruments.level-9.constant": "Not a share." },
    }),
  );
  await wrapper.find("form").trigger("submit");
  await flushPromises();
  expect(post.mock.calls[0]?.[1]).toMatchObject({ id: "level-9", kind: "level", dimension: undefined });
  expect(wrapper.find("form [role=alert]").text()).toBe("Not a share.");
});

test("who does not keep the toolcase only looks", async () => {
  role.value = "INSPECTOR";
  const wrapper = await page();
  expect(wrapper.find("tbody button").exists()).toBe(false);
  expect(wrapper.find(".page-head button").exists()).toBe(false);
});

test("what shows several things says so channel by channel", async () => {
  const wrapper = await page();
  await wrapper.find("tbody button").trigger("click");
  await wrapper.find("button.wide").trigger("click");
  const [low, high] = wrapper.findAll("fieldset");
  await low?.findAll("input")[0]?.setValue("low side");
  await high?.findAll("input")[0]?.setValue("high side");
  await high?.findAll("input")[4]?.setValue("5 psig");
  put.mockResolvedValueOnce({});
  await wrapper.find("form").trigger("submit");
  await flushPromises();
  const sent = put.mock.calls[0]?.[1] as { instrument: Record<string, unknown> };
  expect(sent.instrument.channels).toMatchObject([
    { name: "low side", dimension: "gauge-pressure", ofFullScale: "1.6 %" },
    { name: "high side", constant: "5 psig" },
  ]);
  expect(sent.instrument.fullScale).toBeUndefined();
});

test("instruments stand kind by kind and are found as they are typed", async () => {
  const wrapper = await page();
  expect(wrapper.findAll(".kind").map((row) => row.text())).toEqual(["gauge"]);
  await wrapper.find("input[aria-label='Find an instrument']").setValue("set gauge");
  expect(wrapper.text()).toContain("Gauge set 5");
  await wrapper.find("input[aria-label='Find an instrument']").setValue("tape");
  expect(wrapper.text()).toContain("No instrument is called so.");
});
