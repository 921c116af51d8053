import { flushPromises, mount } from "@vue/test-utils";
import { expect, test, vi } from "vitest";
import { ProblemError } from "../api/client";
import { judgement } from "./judgement.fixture";
import SeveralAtOnce from "./SeveralAtOnce.vue";

const placed = (title: string, typed: string) => ({
  point: title,
  component: "outdoor",
  subject: "Outdoor unit",
  title,
  typed,
  reading: { id: "r", typed, said: typed, grade: "WITNESSED" as const, by: "i", byCrew: false, at: "" },
  judgement: { ...judgement, brief: "Fails, 1 in short" },
});

function several(keep = vi.fn().mockResolvedValue(undefined)) {
  const hear = vi.fn().mockResolvedValue({
    placed: [placed("Back", "7 in"), placed("Left", "12 in")],
    left: [{ words: "above clear", why: "A number is expected." }],
  });
  const wrapper = mount(SeveralAtOnce, { props: { station: "s", hear, keep } });
  const enter = async () => {
    await wrapper.find("form").trigger("submit");
    await flushPromises();
  };
  return { wrapper, hear, keep, enter };
}

test("nothing is kept before it has been looked over; then each is, and what could not be placed stays", async () => {
  const { wrapper, keep, enter } = several();
  await wrapper.find("input").setValue("back 7 in, left 12, above clear");
  await enter();
  expect(keep).not.toHaveBeenCalled();
  expect(wrapper.text()).toContain("Fails, 1 in short");
  expect(wrapper.text()).toContain("A number is expected.");
  await enter();
  expect(keep.mock.calls.map(([each]) => each.typed)).toEqual(["7 in", "12 in"]);
  expect(wrapper.find("input").element.value).toBe("above clear");
});

test("what changed since it was looked over is heard anew, not kept", async () => {
  const { wrapper, hear, keep, enter } = several();
  await wrapper.find("input").setValue("back 7 in");
  await enter();
  await wrapper.find("input").setValue("back 8 in");
  await enter();
  expect(hear).toHaveBeenCalledTimes(2);
  expect(keep).not.toHaveBeenCalled();
});

test("one that is left out is not kept, and one that was refused stays in words", async () => {
  const keep = vi.fn().mockRejectedValue(new ProblemError({ status: 409, detail: "Read meanwhile." }));
  const { wrapper, enter } = several(keep);
  await wrapper.find("input").setValue("back 7 in, left 12");
  await enter();
  await wrapper.find("[aria-label='Leave out Back']").trigger("click");
  await enter();
  expect(keep).toHaveBeenCalledTimes(1);
  expect(wrapper.find("input").element.value).toBe("above clear, Left 12 in");
  expect(wrapper.text()).toContain("Read meanwhile.");
});
