import { flushPromises } from "@vue/test-utils";
import { beforeEach, expect, test, vi } from "vitest";
import { effectScope, nextTick, ref } from "vue";
import { spied } from "../api/mocked";
import { useHour } from "./useHour";

const line = {
  station: "electrical",
  point: "p",
  component: "c",
  title: "Device",
  stationTitle: "Electrical",
};
const get = spied("get");

beforeEach(() => {
  localStorage.clear();
  get
    .mockReset()
    .mockResolvedValue({ lines: [line], confirm: [], minutes: 2, resolved: 1, open: [], unreached: 0 });
});

test("time that was begun goes on after a reload, and is planned anew for what is left", async () => {
  vi.useFakeTimers({ now: 0 });
  const scope = effectScope();
  const first = scope.run(() => useHour(ref("i")))!;
  expect(first.running.value).toBe(false);
  await first.begin(60);
  expect(first.next.value?.point).toBe("p");
  scope.stop();
  vi.setSystemTime(20 * 60_000);
  const again = effectScope();
  const later = again.run(() => useHour(ref("i")))!;
  await flushPromises();
  expect(later.left.value).toBe(40);
  expect(get.mock.calls.at(-1)?.[0]).toContain("minutes=40");
  const other = again.run(() => useHour(ref("j")))!;
  expect(other.running.value).toBe(false);
  later.end();
  await flushPromises();
  expect(later.next.value).toBeUndefined();
  expect(localStorage.length).toBe(0);
  again.stop();
  vi.useRealTimers();
});

test("another installation has an hour of its own", async () => {
  const scope = effectScope();
  const id = ref("i");
  const hour = scope.run(() => useHour(id))!;
  await hour.begin(60);
  get.mockClear();
  id.value = "j";
  await nextTick();
  await flushPromises();
  expect(hour.running.value).toBe(false);
  expect(get).not.toHaveBeenCalled();
  expect(localStorage.getItem("hour:j")).toBeNull();
  id.value = "i";
  await nextTick();
  await flushPromises();
  expect(hour.left.value).toBe(60);
  expect(get.mock.calls.at(-1)?.[0]).toContain("/api/installations/i/");
  scope.stop();
});
