import { mount } from "@vue/test-utils";
import { expect, test, vi } from "vitest";
import { drawing, onScreen, piece } from "../shown/figures/drawing.fixture";
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
const unit = {
  component: "indoor-1",
  title: "Wall unit",
  outdoor: false,
  width: 0.8,
  depth: 0.2,
  height: 0.3,
  cabinet: "800 mm × 200 mm",
};

function editor(drawn: Wall | undefined = wall) {
  const figure = drawing("Wall", [piece("AREA", { thing: "item-0" }), piece("AREA", { thing: "unit" })]);
  const wrapper = mount(WallEditor, { props: { wall: drawn, unit, figure: drawn && figure } });
  const sheet = wrapper.find(".sheet");
  if (sheet.exists()) {
    (sheet.element as HTMLElement).setPointerCapture = () => undefined;
    onScreen(wrapper.find("svg").element);
  }
  return wrapper;
}

test("the unit is dragged along its wall and settles when let go", async () => {
  const wrapper = editor();
  const [, cabinet] = wrapper.findAll("polygon");
  await cabinet?.trigger("pointerdown", { clientX: 100, clientY: 50, pointerId: 1 });
  await wrapper.find(".sheet").trigger("pointermove", { clientX: 150, clientY: 50 });
  const [moved, settled] = wrapper.emitted("change")?.[0] as [Wall, boolean];
  expect(moved.left).toBeCloseTo(1.5);
  expect(moved.underside).toBeCloseTo(2);
  expect(settled).toBe(false);
  await wrapper.find(".sheet").trigger("pointerup");
  expect((wrapper.emitted("change")?.at(-1) as [Wall, boolean])[1]).toBe(true);
});

test("a wall that is not drawn yet is begun with usual sizes, and only when asked", async () => {
  const wrapper = mount(WallEditor, { props: { unit } });
  expect(wrapper.text()).toContain("not judged by");
  expect(wrapper.emitted("change")).toBeUndefined();
  await wrapper.get("button").trigger("click");
  const [begun, settled] = wrapper.emitted("change")?.[0] as [Wall, boolean];
  expect(begun).toMatchObject({ component: "indoor-1", items: [] });
  expect(settled).toBe(true);
});

test("a thing on the wall is renamed and made something else", async () => {
  const wrapper = editor();
  await wrapper.findAll("polygon")[0]?.trigger("pointerdown", { clientX: 0, clientY: 0, pointerId: 1 });
  await wrapper.find(".sheet").trigger("pointerup");
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
  await wrapper.findAll("polygon")[0]?.trigger("pointerdown", { clientX: 0, clientY: 0, pointerId: 1 });
  await wrapper.find(".sheet").trigger("pointerup");
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
