import { flushPromises } from "@vue/test-utils";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { effectScope, ref } from "vue";
import { ProblemError } from "../api/client";
import { answering } from "../api/mocked";
import { useUnits } from "../frame/useUnits";
import { drafts } from "./drafts";
import { emptyPlan, type PlanFeature } from "./plan";
import { useSite } from "./useSite";

vi.mock("../api/client", async (original) => ({
  ...(await original<typeof import("../api/client")>()),
  api: { get: vi.fn(), post: vi.fn(), put: vi.fn() },
}));

const get = answering("get");
const post = answering("post");
const put = answering("put");

const post1: PlanFeature = {
  type: "Feature",
  id: "post-1",
  geometry: { type: "Point", coordinates: [1, 1] },
  properties: { kind: "vent" },
};

function answers() {
  get.mockImplementation((path: string) =>
    Promise.resolve(
      path.includes("site-plan")
        ? { version: 2, plan: emptyPlan(), units: [] }
        : { id: "i", display: "SI", components: [] },
    ),
  );
  post.mockResolvedValue({ units: [], overlaps: [], judgements: [] });
}

let scope = effectScope();
function site() {
  scope = effectScope();
  return scope.run(() => useSite(ref("i")))!;
}

beforeEach(() => {
  localStorage.clear();
  vi.useFakeTimers();
  answers();
});

afterEach(() => {
  scope.stop();
  vi.useRealTimers();
  vi.resetAllMocks();
});

test("a change is judged soon, and undone it is as it was", async () => {
  const s = site();
  await flushPromises();
  post.mockClear();
  s.change(s.withFeature("post-1", post1));
  expect(s.unsaved.value).toBe(true);
  expect(post).not.toHaveBeenCalled();
  await vi.advanceTimersByTimeAsync(200);
  expect(post).toHaveBeenCalledOnce();
  expect(s.plan.value.features).toHaveLength(1);
  s.undo();
  expect(s.plan.value.features).toHaveLength(0);
  expect(s.past.value).toHaveLength(0);
});

test("while something is dragged nothing is kept for undoing", async () => {
  const s = site();
  await flushPromises();
  for (let x = 0; x < 5; x++) {
    s.change(s.withFeature("post-1", { ...post1, geometry: { type: "Point", coordinates: [x, 0] } }), null);
  }
  expect(s.past.value).toHaveLength(0);
});

test("a drawing somebody else has kept meanwhile is not written over", async () => {
  const s = site();
  await flushPromises();
  s.change(s.withFeature("post-1", post1));
  put.mockRejectedValueOnce(
    new ProblemError({ status: 409, detail: "Someone has drawn this site meanwhile." }),
  );
  expect(await s.save()).toBe(false);
  expect(s.clash.value).toBe(true);
  expect(s.problem.value).toContain("meanwhile");
  expect(s.plan.value.features).toHaveLength(1);
  expect(s.unsaved.value).toBe(true);
});

test("a file the server cannot read leaves the drawing as it was", async () => {
  const s = site();
  await flushPromises();
  post.mockRejectedValueOnce(new ProblemError({ status: 422, detail: "Degrees." }));
  await s.bring({ type: "FeatureCollection" });
  expect(s.problem.value).toContain("as it was");
  expect(s.plan.value.features).toHaveLength(0);
  expect(s.unsaved.value).toBe(false);
});

test("other units say it otherwise and leave the drawing alone", async () => {
  const s = site();
  await flushPromises();
  s.change(s.withFeature("post-1", post1));
  get.mockClear();
  post.mockClear();
  useUnits().toggle();
  await flushPromises();
  expect(get).not.toHaveBeenCalled();
  expect(post.mock.calls[0]?.[0]).toContain("units=US");
  expect(s.plan.value.features).toHaveLength(1);
  expect(s.unsaved.value).toBe(true);
  useUnits().toggle();
});

test("an unkept drawing outlives its page with the version it was drawn from; a kept one leaves nothing", async () => {
  const s = site();
  await flushPromises();
  s.change(s.withFeature("post-1", post1));
  scope.stop();
  expect(drafts.of(".i")?.basedOn).toBe(2);
  const touched = drafts.of(".i")?.at;
  vi.setSystemTime(Date.now() + 60_000);
  const again = site();
  await flushPromises();
  expect(again.takenUp.value).toBe(touched);
  expect(drafts.of(".i")?.at).toBe(touched);
  expect(again.plan.value.features).toHaveLength(1);
  put.mockResolvedValueOnce({ version: 3 });
  expect(await again.save()).toBe(true);
  await vi.advanceTimersByTimeAsync(200);
  expect(drafts.of(".i")).toBeUndefined();
  expect(again.unsaved.value).toBe(false);
});

test("undone to what is kept, nothing is left to keep", async () => {
  const s = site();
  await flushPromises();
  s.change(s.withFeature("post-1", post1));
  s.undo();
  expect(s.unsaved.value).toBe(false);
  await vi.advanceTimersByTimeAsync(200);
  expect(drafts.of(".i")).toBeUndefined();
});

test("a draft nobody can read is passed over", async () => {
  localStorage.setItem("undanus.drawing..i", "{half");
  const s = site();
  await flushPromises();
  expect(s.problem.value).toBe("");
  expect(s.unsaved.value).toBe(false);
});
