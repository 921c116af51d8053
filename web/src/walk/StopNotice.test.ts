import { flushPromises, mount } from "@vue/test-utils";
import { afterEach, expect, test, vi } from "vitest";
import { defineComponent, ref } from "vue";
import { answering } from "../api/mocked";
import StopNotice from "./StopNotice.vue";
import StopWatch from "./StopWatch.vue";
import { useNotices } from "./useNotices";

vi.mock("../api/client", async (original) => ({
  ...(await original<typeof import("../api/client")>()),
  api: { get: vi.fn(), post: vi.fn() },
}));
const get = answering("get");

const notice = {
  id: "n-1",
  title: "Room safe to stay in",
  finding: "95 ppm found, 70 ppm allowed (Good practice): 25 ppm over.",
  orders: "Leave now, everybody.",
  raisedBy: "inspector",
  raisedAt: "2026-11-20T09:10:00Z",
  judgement: "fuel.stop-carbon-monoxide@indoor-1",
};

afterEach(() => {
  vi.useRealTimers();
  vi.restoreAllMocks();
});

test("it says to leave, and goes only with a reason", async () => {
  const takeDown = vi.fn().mockResolvedValue(undefined);
  const panel = mount(StopNotice, { props: { notice, inspects: true, takeDown } });
  expect(panel.get("[role=alertdialog]").text()).toContain("Leave now, everybody.");
  expect(panel.get("button").attributes("disabled")).toBeDefined();
  await panel.get("textarea").setValue("Fire service measured 0 ppm at 15:20.");
  await panel.get("form").trigger("submit");
  expect(takeDown).toHaveBeenCalledWith("n-1", "Fire service measured 0 ppm at 15:20.");
});

test("a crew cannot take it down", () => {
  const panel = mount(StopNotice, { props: { notice, inspects: false, takeDown: vi.fn() } });
  expect(panel.find("form").exists()).toBe(false);
});

test("every open device asks again and again", async () => {
  vi.useFakeTimers();
  get.mockResolvedValueOnce([]).mockResolvedValue([notice]);
  const page = mount(
    defineComponent({
      setup: () => ({ stops: useNotices(ref("lh-44")) }),
      template: "<p>{{ stops.notices.value.length }}</p>",
    }),
  );
  await flushPromises();
  expect(page.text()).toBe("0");
  await vi.advanceTimersByTimeAsync(8000);
  expect(page.text()).toBe("1");
  page.unmount();
  const asked = get.mock.calls.length;
  await vi.advanceTimersByTimeAsync(20_000);
  expect(get.mock.calls.length).toBe(asked);
});

test("a stopwatch writes the seconds in when it is stopped", async () => {
  vi.useFakeTimers();
  const watch = mount(StopWatch);
  await watch.get("button").trigger("click");
  expect(watch.get("button").attributes("aria-label")).toContain("Stop the watch");
  await vi.advanceTimersByTimeAsync(7400);
  expect(watch.text()).toBe("7.4");
  await watch.get("button").trigger("click");
  expect(watch.emitted("timed")).toEqual([["7.4 s"]]);
  expect(watch.text()).toBe("Time");
});
