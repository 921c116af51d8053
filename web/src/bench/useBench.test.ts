import { flushPromises } from "@vue/test-utils";
import { beforeEach, expect, test } from "vitest";
import { effectScope } from "vue";
import { spied } from "../api/mocked";
import { useBench } from "./useBench";

const asked = spied("get");
const LASTING = 1000;

/** Answers as the server does: what is asked for, within the curve. */
function answer(address: string) {
  const query = new URL(address, "http://a").searchParams;
  const from = Number(query.get("from") ?? 0);
  const until = Math.min(LASTING, Number(query.get("until") ?? LASTING));
  return { figure: {}, sentence: "", from, until, lasting: LASTING, options: ["OTHER_SCHOOLS"] };
}

beforeEach(() => {
  asked.mockReset().mockImplementation(async (address) => answer(address));
});

async function bench() {
  const scope = effectScope();
  const made = scope.run(() => useBench(() => ({ id: "i", station: "evacuation", component: "c" })))!;
  await flushPromises();
  const seen = () => [made.chart.value?.from, made.chart.value?.until];
  return { ...made, seen, stop: () => scope.stop() };
}

test("it comes nearer about the cursor and goes back to all of it", async () => {
  const { cursor, zoom, whole, seen, zoomed, stop } = await bench();
  expect(seen()).toEqual([0, 1000]);
  cursor.value = 0.8;
  zoom(true);
  await flushPromises();
  expect(seen()).toEqual([400, 900]);
  expect(zoomed.value).toBe(true);
  zoom(false);
  await flushPromises();
  expect(seen()).toEqual([0, 1000]);
  zoom(true);
  whole();
  await flushPromises();
  expect(seen()).toEqual([0, 1000]);
  stop();
});

test("only a way that the curve has can be chosen", async () => {
  const { choose, options, stop } = await bench();
  choose("EVEN_SCALE");
  expect(options.value).toEqual([]);
  choose("OTHER_SCHOOLS");
  await flushPromises();
  expect(asked.mock.lastCall?.[0]).toContain("options=OTHER_SCHOOLS");
  choose("OTHER_SCHOOLS");
  expect(options.value).toEqual([]);
  stop();
});

test("it is never moved beyond the curve", async () => {
  const { zoom, later, earlier, seen, stop } = await bench();
  zoom(true);
  await flushPromises();
  expect(seen()).toEqual([250, 750]);
  for (let i = 0; i < 5; i++) {
    later();
    await flushPromises();
  }
  expect(seen()).toEqual([500, 1000]);
  for (let i = 0; i < 9; i++) {
    earlier();
    await flushPromises();
  }
  expect(seen()).toEqual([0, 500]);
  stop();
});

test("while a pointer moves one question waits, not all", async () => {
  const { cursor, stop } = await bench();
  let release = () => {};
  asked.mockImplementationOnce((address) => new Promise((done) => (release = () => done(answer(address)))));
  asked.mockClear();
  for (let i = 1; i <= 20; i++) {
    cursor.value = i / 20;
    await flushPromises();
  }
  expect(asked).toHaveBeenCalledTimes(1);
  release();
  await flushPromises();
  expect(asked).toHaveBeenCalledTimes(2);
  expect(asked.mock.calls[1]?.[0]).toContain("cursor=1");
  stop();
});
