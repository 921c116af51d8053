import { mount } from "@vue/test-utils";
import { expect, test } from "vitest";
import { defineComponent, h } from "vue";
import { useView } from "./useView";

const SHOWN = { left: 0, low: 0, right: 10, high: 8 };

function view() {
  let made: ReturnType<typeof useView> | undefined;
  mount(
    defineComponent({
      setup() {
        // a dot is a metre
        made = useView(
          () => SHOWN,
          (event) => [event.clientX, event.clientY],
        );
        return () => h("div");
      },
    }),
  );
  return made!;
}

const settled = () => new Promise((done) => setTimeout(done, 90));
const pointer = (id: number, x: number, y: number) =>
  ({ pointerId: id, clientX: x, clientY: y }) as PointerEvent;

test("the wheel zooms about the place it is over", async () => {
  const seen = view();
  let stopped = false;
  seen.wheel({
    deltaY: -462,
    clientX: 10,
    clientY: 0,
    preventDefault: () => (stopped = true),
  } as unknown as WheelEvent);
  await settled();
  expect(stopped).toBe(true);
  const [left, low, right, high] = seen.view.value ?? [];
  expect(right).toBeCloseTo(10);
  expect(low).toBeCloseTo(0);
  expect(left).toBeCloseTo(5, 1);
  expect(high).toBeCloseTo(4, 1);
});

test("dragging where nothing is drawn moves the sheet, dragging a thing does not", async () => {
  const seen = view();
  seen.down(pointer(1, 5, 5));
  seen.move(pointer(1, 4, 5), true);
  await settled();
  expect(seen.view.value).toBeUndefined();
  seen.move(pointer(1, 4, 5), false);
  await settled();
  expect(seen.view.value).toEqual([1, 0, 11, 8]);
  seen.up(pointer(1, 4, 5));
  seen.move(pointer(1, 0, 0), false);
  await settled();
  expect(seen.view.value).toEqual([1, 0, 11, 8]);
});

test("two fingers drawn apart come closer", async () => {
  const seen = view();
  seen.down(pointer(1, 4, 4));
  seen.down(pointer(2, 6, 4));
  seen.move(pointer(2, 8, 4), false);
  await settled();
  const [left = 0, , right = 0] = seen.view.value ?? [];
  expect(right - left).toBeCloseTo(5);
});

test("it goes onto a thing, no closer than half a metre, and back to what fits", async () => {
  const seen = view();
  seen.onto([
    [2, 2],
    [3, 3],
  ]);
  await settled();
  expect(seen.view.value?.map((edge) => Math.round(edge * 10) / 10)).toEqual([0.8, 0.8, 4.2, 4.2]);
  for (let i = 0; i < 20; i++) {
    seen.closer();
  }
  await settled();
  const [left = 0, , right = 0] = seen.view.value ?? [];
  expect(right - left).toBeCloseTo(0.5);
  seen.reset();
  await settled();
  expect(seen.view.value).toBeUndefined();
  expect(seen.zoomed.value).toBe(false);
});
