import { flushPromises } from "@vue/test-utils";
import { beforeEach, expect, test } from "vitest";
import { effectScope, ref } from "vue";
import { spied } from "../api/mocked";
import { useUnits } from "../frame/useUnits";
import { lineKey, type Judgement, type Line } from "../shown/lines";
import { useWalk } from "./useWalk";

function judgement(key: string, verdict: Judgement["verdict"], point: string): Judgement {
  const [requirement = "", component = ""] = key.split("@");
  return {
    key,
    requirement,
    component,
    title: requirement,
    subject: "",
    station: "siting",
    verdict,
    severity: "performance",
    brief: "",
    because: "",
    limits: [],
    derivation: [],
    evidence: [{ point, component, line: point }],
    sources: [],
    cautions: [],
    otherSchools: [],
  };
}

function line(point: string): Line {
  return {
    point,
    component: "outdoor-1",
    group: "",
    title: point,
    how: "",
    caution: "",
    kind: "QUANTITY",
    options: [],
    units: ["in", "cm", "ft"],
    example: "",
    optional: false,
    due: true,
    within: true,
    dueAt: "final",
    hidden: false,
    instrumentKind: "tape",
    holds: false,
    earlier: 0,
  };
}

const station = {
  key: "siting",
  number: 2,
  title: "Siting",
  question: "?",
  lines: [line("a"), line("b")],
  judgements: [
    judgement("r.a@outdoor-1", "MEETS", "a"),
    judgement("r.b@outdoor-1", "NOT_SHOWN", "b"),
    judgement("r.c@outdoor-1", "FAILS", "a"),
  ],
};

const get = spied("get");
const post = spied("postAnyway");

beforeEach(() => {
  get.mockReset();
  post.mockReset();
  get.mockImplementation(async (path: string) => {
    if (path.includes("/stations/")) return structuredClone(station) as never;
    if (path.endsWith("/route") || path.endsWith("/corrections") || path.endsWith("/instruments"))
      return [] as never;
    return { id: "1", display: "US" } as never;
  });
});

async function walk(key = ref("siting")) {
  const scope = effectScope();
  const made = scope.run(() => useWalk(ref("1"), key))!;
  await flushPromises();
  return { ...made, scope };
}

test("judgements come most pressing first", async () => {
  const { judgements, scope } = await walk();
  expect(judgements.value.map((j) => j.verdict)).toEqual(["FAILS", "NOT_SHOWN", "MEETS"]);
  scope.stop();
});

test("a line knows the judgements that look at it", async () => {
  const { judgementsOf, scope } = await walk();
  expect(judgementsOf(line("a")).map((j) => j.key)).toEqual(["r.c@outdoor-1", "r.a@outdoor-1"]);
  scope.stop();
});

test("the rule book's units are asked for until the reader chooses others", async () => {
  const { scope } = await walk();
  expect(get.mock.calls.some(([path]) => path.includes("/stations/siting?units=US"))).toBe(true);
  useUnits().toggle();
  await flushPromises();
  expect(get.mock.calls.some(([path]) => path.includes("/stations/siting?units=SI"))).toBe(true);
  useUnits().toggle();
  scope.stop();
});

test("a saved reading changes its line, those that are asked otherwise by it, the judgements named and the route", async () => {
  const { save, station: shown, route, justJudged, scope } = await walk();
  const readLine = { ...line("b"), earlier: 1 };
  post.mockResolvedValueOnce({
    line: readLine,
    others: [{ ...line("a"), pointless: "B: no" }],
    changed: [judgement("r.b@outdoor-1", "MEETS", "b")],
    next: [{ point: "a", component: "outdoor-1", title: "A", reason: "decides: A" }],
    route: [{ key: "siting" }],
  } as never);
  await save(line("b"), {} as never);
  expect(shown.value?.lines.map((l) => l.earlier)).toEqual([0, 1]);
  expect(shown.value?.lines.map((l) => l.pointless)).toEqual(["B: no", undefined]);
  expect(shown.value?.judgements.map((j) => j.verdict)).toEqual(["MEETS", "MEETS", "FAILS"]);
  expect(route.value).toHaveLength(1);
  expect(justJudged.value).toEqual(["r.b@outdoor-1"]);
  expect(shown.value?.next.map((n) => n.point)).toEqual(["a"]);
  scope.stop();
});

test("a correction raised is known to be open", async () => {
  const { raise, correctionOf, judgements, scope } = await walk();
  const failed = judgements.value[0]!;
  expect(correctionOf(failed)).toBeUndefined();
  spied("post").mockResolvedValueOnce([
    { number: 1, state: "OPEN", requirement: failed.requirement, component: failed.component },
  ] as never);
  await raise(failed, "Move it.");
  expect(correctionOf(failed)?.number).toBe(1);
  scope.stop();
});

test("an answer that comes late does not replace the station asked for since", async () => {
  const key = ref("siting");
  const { station: shown, scope } = await walk(key);
  let late: (value: unknown) => void = () => undefined;
  get.mockImplementation((path: string) =>
    path.includes("/stations/papers")
      ? (new Promise((resolve) => (late = resolve)) as never)
      : (Promise.resolve(path.includes("/stations/") ? { ...station, key: "running" } : []) as never),
  );
  key.value = "papers";
  await flushPromises();
  key.value = "running";
  await flushPromises();
  late({ ...station, key: "papers" });
  await flushPromises();
  expect(shown.value?.key).toBe("running");
  scope.stop();
});

test("what cannot be loaded is said", async () => {
  get.mockRejectedValue(new Error("broken"));
  const { problem, scope } = await walk();
  expect(problem.value).not.toBe("");
  scope.stop();
});

test("lines are told apart by point and unit", () => {
  expect(lineKey({ point: "a", component: "x" })).not.toBe(lineKey({ point: "a", component: "y" }));
});

const savedB = (verdict: Judgement["verdict"]) =>
  ({
    line: { ...line("b"), earlier: 1 },
    others: [],
    changed: [judgement("r.b@outdoor-1", verdict, "b")],
    route: [{ key: "siting" }],
  }) as never;

test("a save answered after the station was changed leaves the new station as it is", async () => {
  const key = ref("siting");
  const { save, station: shown, route, scope } = await walk(key);
  let answer: (saved: never) => void = () => undefined;
  post.mockReturnValueOnce(new Promise<never>((resolve) => (answer = resolve)));
  const saving = save(line("b"), {} as never);
  get.mockImplementation(async (path: string) =>
    path.includes("/stations/")
      ? ({ ...structuredClone(station), key: "electrical" } as never)
      : ([] as never),
  );
  key.value = "electrical";
  await flushPromises();
  answer(savedB("MEETS"));
  await saving;
  expect(shown.value?.key).toBe("electrical");
  expect(shown.value?.lines.map((l) => l.earlier)).toEqual([0, 0]);
  expect(route.value).toHaveLength(1);
  scope.stop();
});

test("saves that cross ask for the station anew, so that no late answer stands", async () => {
  const { save, scope } = await walk();
  const answers: ((saved: never) => void)[] = [];
  post.mockImplementation(() => new Promise<never>((resolve) => answers.push(resolve)));
  const first = save(line("a"), {} as never);
  const second = save(line("b"), {} as never);
  get.mockClear();
  answers[1]?.(savedB("MEETS"));
  await second;
  answers[0]?.(savedB("FAILS"));
  await first;
  expect(get.mock.calls.some(([path]) => path.includes("/stations/siting"))).toBe(true);
  scope.stop();
});

test("a save by itself asks for nothing more", async () => {
  const { save, scope } = await walk();
  get.mockClear();
  post.mockResolvedValueOnce(savedB("MEETS"));
  await save(line("b"), {} as never);
  expect(get).not.toHaveBeenCalled();
  scope.stop();
});
