import { mount } from "@vue/test-utils";
import { beforeEach, expect, test, vi } from "vitest";
import { nextTick } from "vue";
import NoticeStrip from "./NoticeStrip.vue";
import { notice, said } from "./notice";

beforeEach(() => {
  vi.useFakeTimers();
  said.value = undefined;
});

async function shown() {
  await vi.advanceTimersByTimeAsync(0);
  await nextTick();
}

test("one notice stands at a time, and a problem is not pushed away by what went well", async () => {
  const strip = mount(NoticeStrip);
  notice.done("Saved.");
  await shown();
  expect(strip.text()).toContain("Saved.");
  notice.problem("Not saved.");
  await shown();
  notice.done("Saved.");
  await shown();
  expect(strip.findAll("p")).toHaveLength(1);
  expect(strip.find("[role=alert]").text()).toContain("Not saved.");
});

test("it goes by itself, a problem later, or when it is closed", async () => {
  const strip = mount(NoticeStrip);
  notice.done("Saved.");
  await vi.advanceTimersByTimeAsync(5000);
  expect(strip.find("p").exists()).toBe(false);
  notice.problem("Not saved.");
  await vi.advanceTimersByTimeAsync(5000);
  expect(strip.find("p").exists()).toBe(true);
  await strip.find("button").trigger("click");
  await shown();
  expect(strip.find("p").exists()).toBe(false);
});

test("nothing moves while a finger is down", async () => {
  const strip = mount(NoticeStrip);
  dispatchEvent(new PointerEvent("pointerdown", { pointerId: 1 }));
  notice.problem("Not saved.");
  await shown();
  expect(strip.find("p").exists()).toBe(false);
  dispatchEvent(new PointerEvent("pointerup", { pointerId: 1 }));
  await shown();
  expect(strip.find("p").exists()).toBe(true);
});
