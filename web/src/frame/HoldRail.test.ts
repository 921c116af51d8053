import { flushPromises, mount } from "@vue/test-utils";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { createMemoryHistory, createRouter } from "vue-router";
import { spied } from "../api/mocked";
import { ProblemError } from "../api/client";
import HoldRail from "./HoldRail.vue";
import * as signals from "./signal";
import { clock, useHolds, type Hold } from "./useHolds";

const START = Date.parse("2026-06-03T09:00:00Z");
const hold: Hold = {
  id: "h",
  installationId: "i",
  reference: "LH-1",
  installation: "Boathouse",
  station: "tightness",
  point: "tightness.hold-time",
  component: "line-set-indoor-1",
  title: "Hold, how long",
  subject: "Line set, wall unit",
  startedBy: "inspector",
  startedAt: "2026-06-03T09:00:00Z",
  now: "2026-06-03T09:10:00Z",
  needed: 1500,
  power: "A leak over 0.4 Pa·L/s would have shown by now.",
  meanwhile: { key: "electrical", number: 7, title: "Electrical protection", undecided: 12 },
};

const asked = spied("get");
const sent = spied("post");
const signal = vi.spyOn(signals, "signal").mockImplementation(() => {});

beforeEach(() => {
  vi.useFakeTimers({ now: START + 700_000 });
  sessionStorage.clear();
  asked.mockReset().mockResolvedValue([structuredClone(hold)]);
  sent.mockReset().mockResolvedValue({ lasted: "10 min" });
  signal.mockClear();
});
afterEach(() => {
  useHolds().asked.value = false;
  vi.useRealTimers();
});

async function rail(path = "/installations/i/tightness") {
  const page = { template: "<div />" };
  const router = createRouter({
    history: createMemoryHistory(),
    routes: [
      { path: "/installations/:id/:station", component: page },
      { path: "/register", component: page },
    ],
  });
  await router.push(path);
  const wrapper = mount(HoldRail, { global: { plugins: [router] } });
  await flushPromises();
  return wrapper;
}

test("it counts by the server's clock, and says what may be done meanwhile", async () => {
  const wrapper = await rail();
  expect(wrapper.find(".time").text()).toBe("15:00 left of 25:00");
  expect(wrapper.findAll("button")).toHaveLength(1);
  await wrapper.get(".line").trigger("click");
  expect(wrapper.text()).toContain("A leak over 0.4");
  expect(wrapper.find(".meanwhile a").attributes("href")).toBe("/installations/i/electrical");
  expect(wrapper.find(".where").exists()).toBe(false);
  vi.advanceTimersByTime(60_000);
  await flushPromises();
  expect(asked.mock.calls.length).toBeGreaterThan(5);
  wrapper.unmount();
});

test("elsewhere it takes no room until it is asked for, and names the installation", async () => {
  const wrapper = await rail("/register");
  expect(wrapper.find(".rail").exists()).toBe(false);
  useHolds().asked.value = true;
  await flushPromises();
  expect(wrapper.find(".where").text()).toBe("Boathouse");
  expect(asked.mock.calls[0]?.[0]).not.toContain("installation=");
  useHolds().asked.value = false;
  wrapper.unmount();
});

test("the end is signalled once", async () => {
  asked.mockResolvedValue([{ ...hold, now: "2026-06-03T09:24:58Z" }]);
  const wrapper = await rail();
  expect(signal).not.toHaveBeenCalled();
  vi.advanceTimersByTime(3000);
  await flushPromises();
  expect(signal).toHaveBeenCalledTimes(1);
  expect(wrapper.find(".time").text()).toContain("held long enough");
  wrapper.unmount();
  const again = await rail();
  expect(signal).toHaveBeenCalledTimes(1);
  again.unmount();
});

test("an end that failed is tried again as the same reading", async () => {
  sent.mockRejectedValueOnce(new ProblemError({ status: 0, detail: "No connection." }));
  const wrapper = await rail();
  await wrapper.get(".line").trigger("click");
  const button = wrapper.findAll("button").find((each) => each.text() === "End");
  await button?.trigger("click");
  await flushPromises();
  await button?.trigger("click");
  await flushPromises();
  const bodies = sent.mock.calls.map((call) => call[1] as { reading: string; keep: boolean });
  expect(bodies).toHaveLength(2);
  expect(bodies[1]).toEqual(bodies[0]);
  expect(bodies[0]?.keep).toBe(true);
  wrapper.unmount();
});

test("a clock shows seconds under an hour, then hours", () => {
  expect([clock(0), clock(61.9), clock(3600), clock(-125)]).toEqual(["0:00", "1:01", "1 h 00", "2:05"]);
});
