import { mount } from "@vue/test-utils";
import { expect, test, vi } from "vitest";
import LengthField from "./LengthField.vue";
import type { Wall } from "./plan";
import WallEditor from "./WallEditor.vue";

vi.mock("../frame/useUnits", () => ({ useUnits: () => ({ units: () => "SI" }) }));

const wall: Wall = {
  component: "indoor-1",
  width: 4,
  ceiling: 2.5,
  left: 1,
  underside: 2,
  items: [{ kind: "electronics", title: "Clock", x: 3, y: 1.8, width: 0.3, height: 0.3 }],
};
const size = {
  component: "indoor-1",
  title: "Wall unit",
  outdoor: false,
  width: 0.8,
  depth: 0.2,
  height: 0.3,
  sized: true,
  sides: [],
};

function editor() {
  const wrapper = mount(WallEditor, { props: { wall, title: "Wall unit", size } });
  const svg = wrapper.find("svg").element as SVGSVGElement & { setPointerCapture: () => void };
  svg.setPointerCapture = () => undefined;
  svg.getBoundingClientRect = () => ({ left: 0, top: 0, width: 640, height: 400 }) as DOMRect;
  return wrapper;
}

test("the unit is dragged along its wall and settles when let go", async () => {
  const wrapper = editor();
  const unit = wrapper.findAll("g").at(-1)!;
  await unit.trigger("pointerdown", { clientX: 300, clientY: 200, pointerId: 1 });
  await wrapper.find("svg").trigger("pointermove", { clientX: 370, clientY: 200 });
  const [moved, settled] = wrapper.emitted("change")?.[0] as [Wall, boolean];
  expect(moved.left).toBeGreaterThan(1.4);
  expect(moved.underside).toBeCloseTo(2);
  expect(settled).toBe(false);
  await wrapper.find("svg").trigger("pointerup");
  expect((wrapper.emitted("change")?.at(-1) as [Wall, boolean])[1]).toBe(true);
});

test("where it hangs is said in the reader's units, in the server's words", async () => {
  const wrapper = editor();
  expect(wrapper.findAll("text.dimension")).toHaveLength(0);
  await wrapper.setProps({ hung: { component: "indoor-1", fromLeft: "3 ft 3 in", overFloor: "6 ft 7 in" } });
  expect(wrapper.findAll("text.dimension").map((t) => t.text())).toEqual([
    "3 ft 3 in",
    "6 ft 7 in over the floor",
  ]);
});

test("a thing on the wall is renamed and made something else", async () => {
  const wrapper = editor();
  await wrapper.findAll("g")[0]?.trigger("pointerdown", { clientX: 0, clientY: 0, pointerId: 1 });
  await wrapper.find("svg").trigger("pointerup");
  await wrapper.find("input[maxlength]").setValue("Stove");
  await wrapper.find("select").setValue("heat-source");
  const changes = wrapper.emitted("change") as [Wall][];
  expect(changes.at(-2)?.[0].items[0]).toMatchObject({ title: "Stove", kind: "electronics" });
  expect(changes.at(-1)?.[0].items[0]?.kind).toBe("heat-source");
});

test("things are added to the wall and taken away", async () => {
  const wrapper = editor();
  const [add, takeAway] = wrapper.findAll("button");
  await add?.trigger("click");
  expect((wrapper.emitted("change")?.[0] as [Wall])[0].items).toHaveLength(2);
  await wrapper.findAll("g")[0]?.trigger("pointerdown", { clientX: 0, clientY: 0, pointerId: 1 });
  await wrapper.find("svg").trigger("pointerup");
  await takeAway?.trigger("click");
  expect((wrapper.emitted("change")?.at(-1) as [Wall])[0].items).toHaveLength(0);
});

test("figures are typed, and those that may stay open are cleared", async () => {
  const wrapper = editor();
  await wrapper.setProps({ wall: { ...wall, throw: 3 } });
  const field = (label: string) =>
    wrapper.findAllComponents(LengthField).find((f) => f.props("label") === label);
  expect(field("Ceiling")?.props()).toMatchObject({ modelValue: 2.5, optional: false });
  expect(field("Free throw")?.props()).toMatchObject({ modelValue: 3, optional: true });
  field("Ceiling")?.vm.$emit("update:modelValue", 2.7);
  field("Free throw")?.vm.$emit("update:modelValue", undefined);
  const changes = wrapper.emitted("change") as [Wall, boolean][];
  expect(changes[0]?.[0].ceiling).toBe(2.7);
  expect(changes[1]?.[0].throw).toBeUndefined();
  expect(changes[1]?.[1]).toBe(true);
});
