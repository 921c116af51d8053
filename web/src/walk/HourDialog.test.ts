import { flushPromises, mount } from "@vue/test-utils";
import { expect, test, vi } from "vitest";
import { ProblemError } from "../api/client";
import HourDialog from "./HourDialog.vue";

const line = {
  station: "electrical",
  point: "p",
  component: "c",
  title: "Device",
  stationTitle: "Electrical",
};
const plan = {
  lines: [line, { ...line, point: "q" }],
  confirm: [line],
  minutes: 58,
  resolved: 0.834,
  open: [{ severity: "safety", judgements: 2 }],
  unreached: 40,
  hopeless: ["Bend, narrowest"],
};

async function dialog(look = vi.fn().mockResolvedValue(plan)) {
  const wrapper = mount(HourDialog, {
    props: { modelValue: false, look, running: false, left: 0 },
    global: { stubs: { "el-dialog": { template: "<div><slot /></div>" } } },
  });
  await wrapper.setProps({ modelValue: true });
  await flushPromises();
  return { wrapper, look };
}

test("it says what is resolved and what stays open before anything is begun", async () => {
  const { wrapper, look } = await dialog();
  expect(look).toHaveBeenCalledWith(60);
  expect(wrapper.text()).toContain("2 lines, with 1 of the crew's record read again: about 58 min for 83 %");
  expect(wrapper.text().replace(/\s+/g, " ")).toContain("2 for safety. 40 lines are not read");
  expect(wrapper.text()).toContain("1 line is out of sight by now");
  expect(wrapper.emitted("begin")).toBeUndefined();
  await wrapper.find("button.primary").trigger("click");
  expect(wrapper.emitted("begin")?.[0]).toEqual([60]);
});

test("why nothing can be planned is said", async () => {
  const { wrapper } = await dialog(
    vi.fn().mockRejectedValue(new ProblemError({ status: 422, detail: "Move it to a newer book." })),
  );
  expect(wrapper.find("[role=alert]").text()).toContain("newer book");
});
