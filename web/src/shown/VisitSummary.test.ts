import { flushPromises, mount, RouterLinkStub } from "@vue/test-utils";
import { beforeEach, expect, test } from "vitest";
import { ProblemError } from "../api/client";
import { spied } from "../api/mocked";
import VisitSummary from "./VisitSummary.vue";

const asked = spied("get");
const brief = {
  key: "electrical.device@outdoor-1",
  station: "electrical",
  title: "Overcurrent protective device",
  subject: "Outdoor unit",
  verdict: "FAILS",
  severity: "safety",
  found: "60 A, 20 A over",
  remedy: "Have a 40 A device fitted.",
  point: "electrical.device",
  component: "outdoor-1",
};

beforeEach(() => {
  asked.mockReset().mockImplementation(async () => ({
    outcome: "One thing must be put right, for safety.",
    decisive: [brief],
    lesser: 3,
    couldChange: [{ ...brief, key: "b", verdict: "NOT_SHOWN", title: "Trap" }],
    more: 0,
    revisits: [{ weather: "at least 65 °F outdoors", what: ["Cooling", "Split"] }],
    open: [{ what: "Hold is running", where: "Pressure hold" }],
    pictures: [
      { what: "Nameplate", where: "Outdoor unit" },
      { what: "Filters", where: "" },
    ],
  }));
});

test("what decides, what could change, the weather, what is open and which photos lack", async () => {
  const wrapper = mount(VisitSummary, {
    props: { id: "1" },
    global: { stubs: { RouterLink: RouterLinkStub } },
  });
  await flushPromises();
  expect(wrapper.get("summary").text()).toContain("One thing must be put right");
  expect(wrapper.text()).toContain("3 more fail");
  expect(wrapper.text()).toContain("at least 65 °F outdoors: Cooling, Split");
  expect(wrapper.text()).toContain("Hold is running: Pressure hold");
  expect(wrapper.text()).toContain("Nameplate, Outdoor unit · Filters");
  expect(wrapper.getComponent(RouterLinkStub).props("to")).toBe(
    "/installations/1/electrical?line=electrical.device@outdoor-1",
  );
  const calls = asked.mock.calls.length;
  await wrapper.setProps({ judged: {} });
  await flushPromises();
  expect(asked.mock.calls.length).toBe(calls + 1);
});

test("what goes wrong is said", async () => {
  asked.mockImplementation(async () => {
    throw new ProblemError({ status: 0, detail: "The server cannot be reached." });
  });
  const wrapper = mount(VisitSummary, {
    props: { id: "1" },
    global: { stubs: { RouterLink: RouterLinkStub } },
  });
  await flushPromises();
  expect(wrapper.get("[role=alert]").text()).toContain("cannot be reached");
});
