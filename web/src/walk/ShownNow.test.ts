import { flushPromises, mount } from "@vue/test-utils";
import { beforeEach, expect, test } from "vitest";
import { ProblemError } from "../api/client";
import { spied } from "../api/mocked";
import ShownNow from "./ShownNow.vue";
import type { Line } from "../shown/lines";

const asked = spied("get");
const line = {
  point: "charge.suction-pressure",
  component: "outdoor-1",
  title: "Suction line, pressure",
} as Line;
const low = { instrument: "gauge-2", title: "Gauge set 2", name: "low side", value: "118.2 psig", ago: 1 };

beforeEach(() => {
  asked.mockReset().mockImplementation(async () => [low]);
});

async function looked() {
  const wrapper = mount(ShownNow, { props: { line } });
  await wrapper.get("button").trigger("click");
  await flushPromises();
  return wrapper;
}

test("what is shown is offered with its name and taken over by a tap", async () => {
  const wrapper = await looked();
  expect(asked.mock.calls[0]?.[0]).toContain("point=charge.suction-pressure");
  const offered = wrapper.findAll("button")[1]!;
  expect(offered.text()).toBe("low side 118.2 psig");
  await offered.trigger("click");
  expect(wrapper.emitted("take")).toEqual([[low]]);
  expect(wrapper.findAll("button")).toHaveLength(1);
});

test("where nothing sends, that is said", async () => {
  asked.mockImplementation(async () => []);
  expect((await looked()).get("[role=status]").text()).toContain("No instrument sends this");
});

test("what goes wrong is said", async () => {
  asked.mockImplementation(async () => {
    throw new ProblemError({ status: 0, detail: "The server cannot be reached." });
  });
  expect((await looked()).get("[role=alert]").text()).toContain("cannot be reached");
});
