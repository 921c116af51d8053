import { flushPromises, mount } from "@vue/test-utils";
import { beforeEach, expect, test } from "vitest";
import { ProblemError } from "../api/client";
import { spied } from "../api/mocked";
import SimulatedPanel from "./SimulatedPanel.vue";
import type { Simulated } from "./useSimulated";

const off: Simulated = {
  there: true,
  names: ["dry", "moist"],
  machines: ["sound", "short of charge"],
  refrigerants: ["R32", "R410A"],
  acts: [{ act: "PUMP_ON", title: "pump on" }],
};
const on: Simulated = {
  ...off,
  running: {
    name: "moist",
    speed: 60,
    clock: "2026-06-03T09:00:00Z",
    done: "pump on",
    warmed: false,
    machine: false,
    runs: false,
  },
};
const asked = spied("get");
const sent = spied("post");

beforeEach(() => {
  asked.mockReset().mockImplementation(async () => off);
  sent.mockReset().mockImplementation(async () => on);
});

async function panel() {
  const wrapper = mount(SimulatedPanel);
  await flushPromises();
  const button = (name: string) => wrapper.findAll("button").find((each) => each.text() === name);
  return { wrapper, button };
}

test("it is switched on as chosen, worked, and switched off", async () => {
  const { wrapper, button } = await panel();
  await button("Simulated instruments")?.trigger("click");
  await wrapper.find("select").setValue("moist");
  await button("Switch on")?.trigger("click");
  await flushPromises();
  expect(sent.mock.calls[0]).toEqual(["/api/simulated", { name: "moist", speed: 60 }]);
  expect(wrapper.find("[role=status]").text()).toContain("pump on");
  await button("Pump on")?.trigger("click");
  await button("Warm the lines")?.trigger("click");
  await flushPromises();
  expect(sent.mock.calls.slice(1).map((call) => call[1])).toEqual([{ act: "PUMP_ON" }, { warmed: true }]);
  sent.mockImplementation(async () => off);
  await button("Switch off")?.trigger("click");
  await flushPromises();
  expect(wrapper.find("[role=status]").exists()).toBe(false);
  wrapper.unmount();
});

test("outside the demo there is nothing to see", async () => {
  asked.mockImplementation(async () => ({ ...off, there: false }));
  const { wrapper } = await panel();
  expect(wrapper.text()).toBe("");
  wrapper.unmount();
});

test("what cannot be done is said", async () => {
  asked.mockImplementation(async () => on);
  sent.mockImplementation(async () => {
    throw new ProblemError({ status: 422, detail: "Switch the simulated instruments on first." });
  });
  const { wrapper, button } = await panel();
  await button("Pump on")?.trigger("click");
  await flushPromises();
  expect(wrapper.find("[role=alert]").text()).toContain("on first");
  wrapper.unmount();
});

test("a machine is switched on at rest with what is in it, then started", async () => {
  sent.mockImplementation(async () => ({
    ...off,
    running: {
      name: "short of charge",
      speed: 60,
      clock: "2026-06-03T09:00:00Z",
      warmed: false,
      machine: true,
      runs: false,
    },
  }));
  const wrapper = mount(SimulatedPanel, { props: { machine: true } });
  await flushPromises();
  const button = (name: string) => wrapper.findAll("button").find((each) => each.text() === name);
  await button("Simulated instruments")?.trigger("click");
  await wrapper.findAll("select")[0]!.setValue("short of charge");
  await wrapper.findAll("select")[1]!.setValue("R32");
  await wrapper.find("input[type=checkbox]").setValue(true);
  await button("Switch on")?.trigger("click");
  await flushPromises();
  expect(sent.mock.calls[0]).toEqual([
    "/api/simulated",
    { name: "short of charge", speed: 60, refrigerant: "R32", orifice: true },
  ]);
  expect(wrapper.find("[role=status]").text()).toContain("at rest");
  expect(button("Pump on")).toBeUndefined();
  await button("Start the machine")?.trigger("click");
  await flushPromises();
  expect(sent.mock.calls[1]?.[1]).toEqual({ runs: true });
  wrapper.unmount();
});
