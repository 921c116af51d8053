import { flushPromises } from "@vue/test-utils";
import { expect, test, vi } from "vitest";
import { pressOver } from "./press";

function pointer(kind: string, pointerId = 1) {
  const event = new Event(kind, { bubbles: true });
  Object.defineProperty(event, "pointerId", { value: pointerId });
  document.body.dispatchEvent(event);
}

test("what would move the page waits for every finger to be up and its click to be heard", async () => {
  vi.useFakeTimers();
  const heard: string[] = [];
  pointer("pointerdown");
  pointer("pointerdown", 2);
  void pressOver().then(() => heard.push("moved"));
  pointer("pointerup");
  await vi.runAllTimersAsync();
  expect(heard).toEqual([]);
  pointer("pointercancel", 2);
  document.body.addEventListener("click", () => heard.push("click"), { once: true });
  document.body.click();
  await vi.runAllTimersAsync();
  expect(heard).toEqual(["click", "moved"]);
  vi.useRealTimers();
});

test("where nothing is pressed nothing waits", async () => {
  let moved = false;
  void pressOver().then(() => (moved = true));
  await flushPromises();
  expect(moved).toBe(true);
});
