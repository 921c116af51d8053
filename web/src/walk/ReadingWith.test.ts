import { mount } from "@vue/test-utils";
import { reactive } from "vue";
import { expect, test } from "vitest";
import ReadingWith from "./ReadingWith.vue";
import type { Using } from "./useUsing";
import type { Line } from "../shown/lines";

const lines = [
  { point: "a", kind: "QUANTITY", instrumentKind: "tape" },
  { point: "b", kind: "YES_NO", instrumentKind: "read-off" },
] as Line[];
const instruments = [
  { id: "t2", title: "Tape 2", kind: "tape", lapsed: false },
  { id: "v3", title: "Voltmeter 3", kind: "voltmeter", lapsed: false },
];

test("grade and instrument are said once, and the unit held can be asked again", async () => {
  const using = reactive<Using>({ grade: "WITNESSED", instruments: {}, units: {} });
  const wrapper = mount(ReadingWith, { props: { using, lines, instruments } });
  expect(wrapper.text()).toBe("Reading with witnessed");
  await wrapper.find("button").trigger("click");
  const selects = wrapper.findAll("select");
  expect(selects).toHaveLength(2);
  await selects[0]?.setValue("STATED");
  await selects[1]?.setValue("t2");
  expect(using).toMatchObject({ grade: "STATED", instruments: { tape: "t2" } });
  using.units = { t2: ["in"] };
  await wrapper.vm.$nextTick();
  expect(wrapper.find(".said").text()).toBe("stated, Tape 2 in in");
  await wrapper
    .findAll("button")
    .find((each) => each.text().includes("ask again"))
    ?.trigger("click");
  expect(using.units.t2).toEqual([]);
});
