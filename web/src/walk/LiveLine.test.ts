import { flushPromises, mount } from "@vue/test-utils";
import { beforeEach, expect, test } from "vitest";
import { spied } from "../api/mocked";
import { ProblemError } from "../api/client";
import LiveLine from "./LiveLine.vue";
import { useLive, type Live } from "../shown/useLive";
import type { Line } from "../shown/lines";

const line = { point: "evacuation.log", component: "line-set", title: "Vacuum logged" } as Line;
const heard: Live = {
  id: "l",
  point: line.point,
  component: line.component,
  instrument: "Vacuum gauge 1",
  startedBy: "inspector",
  startedAt: "2026-06-03T09:00:00Z",
  samples: 12,
  shown: "62 Pa",
  acts: [
    { act: "PUMP_ON", title: "pump on" },
    { act: "ISOLATED", title: "isolated" },
  ],
  marks: [],
};

let listening: Live[];
let senders: { id: string; title: string }[];
const asked = spied("get");
const sent = spied("post");

beforeEach(() => {
  listening = [];
  senders = [{ id: "vacuum-1", title: "Vacuum gauge 1" }];
  asked
    .mockReset()
    .mockImplementation(async (address) => (address.includes("/senders") ? senders : listening));
  sent.mockReset().mockImplementation(async () => undefined);
});

async function shown() {
  const stop = useLive().follow("i", () => {});
  await flushPromises();
  const wrapper = mount(LiveLine, { props: { line } });
  const button = (name: string) => wrapper.findAll("button").find((each) => each.text() === name);
  return { wrapper, button, stop };
}

test("the only instrument that may send is listened to at once", async () => {
  const { wrapper, button, stop } = await shown();
  listening = [heard];
  await button("Listen")?.trigger("click");
  await flushPromises();
  expect(sent.mock.calls[0]?.[1]).toMatchObject({ point: "evacuation.log", instrument: "vacuum-1" });
  expect(wrapper.text()).toContain("62 Pa");
  expect(wrapper.text()).toContain("12 samples");
  expect(wrapper.emitted("changed")).toHaveLength(1);
  stop();
});

test("of several one is chosen", async () => {
  senders = [...senders, { id: "vacuum-2", title: "Vacuum gauge 2" }];
  const { button, stop } = await shown();
  await button("Listen")?.trigger("click");
  await flushPromises();
  expect(sent).not.toHaveBeenCalled();
  await button("Vacuum gauge 2")?.trigger("click");
  await flushPromises();
  expect(sent.mock.calls[0]?.[1]).toMatchObject({ instrument: "vacuum-2" });
  stop();
});

test("where none may send it says who can change that", async () => {
  senders = [];
  const { wrapper, button, stop } = await shown();
  await button("Listen")?.trigger("click");
  await flushPromises();
  expect(wrapper.find("[role=alert]").text()).toContain("gives it a token");
  stop();
});

test("a keep that failed is tried again as the same reading", async () => {
  listening = [heard];
  const { wrapper, button, stop } = await shown();
  sent.mockRejectedValueOnce(new ProblemError({ status: 0, detail: "No connection." }));
  await button("Keep")?.trigger("click");
  await flushPromises();
  expect(wrapper.find("[role=alert]").text()).toContain("No connection");
  await button("Keep")?.trigger("click");
  await flushPromises();
  expect(sent.mock.calls[1]?.[1]).toEqual(sent.mock.calls[0]?.[1]);
  stop();
});

test("what is done is marked by a tap, and taken back by another", async () => {
  listening = [heard];
  const { wrapper, button, stop } = await shown();
  const done = { act: "ISOLATED" as const, title: "isolated", at: "2026-06-03T09:25:00Z", after: "25 min" };
  listening = [{ ...heard, marks: [done] }];
  await button("Isolated")?.trigger("click");
  await flushPromises();
  expect(sent.mock.calls[0]).toEqual(["/api/installations/i/live/l/mark", { act: "ISOLATED" }]);
  expect(wrapper.emitted("changed")).toHaveLength(1);
  await wrapper.find("[aria-label='Take back: isolated 25 min']").trigger("click");
  await flushPromises();
  expect(sent.mock.calls[1]).toEqual([
    "/api/installations/i/live/l/unmark",
    { act: "ISOLATED", at: "2026-06-03T09:25:00Z" },
  ]);
  stop();
});

test("a line that another leads offers no marks", async () => {
  listening = [{ ...heard, acts: [] }];
  const { wrapper, stop } = await shown();
  expect(wrapper.text()).not.toContain("Mark");
  stop();
});

test("one sample is no curve yet", async () => {
  listening = [{ ...heard, samples: 1 }];
  const { button, stop } = await shown();
  expect(button("Keep")?.attributes("disabled")).toBeDefined();
  stop();
});
