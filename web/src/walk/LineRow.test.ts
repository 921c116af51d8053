import { flushPromises, mount } from "@vue/test-utils";
import { beforeEach, expect, test, vi } from "vitest";
import { ProblemError } from "../api/client";
import { useSession } from "../session/useSession";
import LineRow from "./LineRow.vue";
import { judgement } from "./judgement.fixture";
import { reactive, ref } from "vue";
import { HAND } from "./hand";
import { KEEPER } from "./keeper";
import { useUnsaved } from "./useUnsaved";
import type { Using } from "./useUsing";
import type { Judgement, Line } from "../shown/lines";

const line: Line = {
  point: "siting.outdoor-clearance-front",
  component: "outdoor-1",
  group: "Outdoor unit",
  title: "Clearance, front",
  how: "Tape it.",
  caution: "",
  kind: "QUANTITY",
  options: [],
  units: ["in", "cm", "ft"],
  example: "40.5 in",
  optional: false,
  due: true,
  within: true,
  dueAt: "final",
  hidden: false,
  instrumentKind: "tape",
  holds: false,
  earlier: 0,
};

const log = vi.fn();
const place = { installation: "i", station: "siting" };

beforeEach(() => {
  localStorage.clear();
  useSession().person.value = { ...nobody, name: crypto.randomUUID() };
});
const nobody = { title: "", role: "INSPECTOR" as const };

const known = {
  says: "READ" as const,
  grade: "WITNESSED" as const,
  by: "inspector",
  byCrew: false,
  at: "2026-09-01T10:00:00Z",
};

function row(
  save: () => Promise<void>,
  over: Partial<Line> = {},
  judgements: Judgement[] = [],
  using: Using = { grade: "WITNESSED", instruments: {}, units: {} },
  hand?: HTMLElement,
) {
  const understand = vi.fn().mockResolvedValue({ us: "3' 0\"", si: "914 mm", plausible: true, choices: [] });
  const wrapper = mount(LineRow, {
    global: {
      provide: {
        [HAND as symbol]: ref(hand),
        [KEEPER as symbol]: {
          understand,
          save,
          change: async () => "",
          log,
          logAddress: (sha256: string) => `/traces/${sha256}`,
        },
      },
    },
    props: {
      place,
      line: { ...line, ...over },
      inHand: true,
      judgements,
      instruments: [],
      using,
    },
  });
  return { wrapper, understand };
}

test("Enter saves what was typed and moves on", async () => {
  const save = vi.fn().mockResolvedValue(undefined);
  const { wrapper } = row(save);
  await wrapper.find("input").setValue(" 36 in ");
  await wrapper.find("input").trigger("keydown", { key: "Enter" });
  await flushPromises();
  expect(save.mock.calls[0]?.[1]).toMatchObject({ typed: "36 in", grade: "WITNESSED", confirmed: false });
  expect(wrapper.emitted("done")).toHaveLength(1);
});

test("a save that failed for want of a connection keeps the text and tries again under the same id", async () => {
  const save = vi
    .fn()
    .mockRejectedValueOnce(new ProblemError({ status: 0, detail: "No connection." }))
    .mockResolvedValueOnce(undefined);
  const { wrapper } = row(save);
  const input = wrapper.find("input");
  await input.setValue("36 in");
  await input.trigger("keydown", { key: "Enter" });
  await flushPromises();
  expect(input.element.value).toBe("36 in");
  expect(wrapper.find("[role=alert]").text()).toContain("No connection");
  await input.trigger("keydown", { key: "Enter" });
  await flushPromises();
  expect(save.mock.calls[1]?.[1].id).toBe(save.mock.calls[0]?.[1].id);
});

test("an unusual value is asked about once", async () => {
  const save = vi
    .fn()
    .mockRejectedValueOnce(new ProblemError({ status: 422, detail: "Far from usual.", ask: true }))
    .mockResolvedValueOnce(undefined);
  const { wrapper } = row(save);
  await wrapper.find("input").setValue("400 m");
  await wrapper.find("input").trigger("keydown", { key: "Enter" });
  await flushPromises();
  await wrapper.find("[role=alert] button").trigger("click");
  expect(save.mock.calls[1]?.[1].confirmed).toBe(true);
});

test("a reading is never erased", async () => {
  const save = vi.fn();
  const reading = {
    id: "a",
    typed: "36 in",
    said: "36 in",
    us: "3' 0\"",
    si: "914 mm",
    says: "READ" as const,
    grade: "WITNESSED" as const,
    by: "inspector",
    byCrew: false,
    at: "2026-09-01T10:00:00Z",
  };
  const { wrapper } = row(save, { reading });
  await wrapper.find("input").setValue("");
  await wrapper.find("input").trigger("keydown", { key: "Enter" });
  expect(save).not.toHaveBeenCalled();
  expect(wrapper.find("input").element.value).toBe("36 in");
});

test("few choices are buttons that save at once", async () => {
  const save = vi.fn().mockResolvedValue(undefined);
  const { wrapper } = row(save, { kind: "YES_NO", options: ["yes", "no"].map((id) => ({ id, words: id })) });
  await wrapper.findAll("button.option")[1]!.trigger("click");
  expect(save.mock.calls[0]?.[1].typed).toBe("no");
});

test("what may have been meant is one tap away", async () => {
  const save = vi
    .fn()
    .mockRejectedValueOnce(
      new ProblemError({ status: 422, detail: "Two values: which one?", choices: ["208 V", "230 V"] }),
    )
    .mockResolvedValueOnce(undefined);
  const { wrapper } = row(save);
  await wrapper.find("input").setValue("208/230 V");
  await wrapper.find("input").trigger("keydown", { key: "Enter" });
  await flushPromises();
  expect(wrapper.findAll("[role=alert] button").map((b) => b.text())).toEqual(["208 V", "230 V"]);
  await wrapper.findAll("[role=alert] button")[1]?.trigger("click");
  expect(save.mock.calls[1]?.[1].typed).toBe("230 V");
});

test("choices stand there before Enter, and go when typing goes on", async () => {
  vi.useFakeTimers();
  const { wrapper, understand } = row(vi.fn());
  understand.mockResolvedValue({ plausible: false, problem: "Two ways.", choices: ["2.5 mm", "2500 mm"] });
  await wrapper.find("input").setValue("2.500 mm");
  await vi.advanceTimersByTimeAsync(300);
  expect(wrapper.find("[role=alert]").text()).toContain("Which one is meant?");
  await wrapper.find("input").setValue("2.5000 mm");
  expect(wrapper.find("[role=alert]").exists()).toBe(false);
  vi.useRealTimers();
});

test("the same reading loaded anew does not wipe what is typed over it", async () => {
  const reading = {
    id: "r1",
    typed: "36 in",
    said: "36 in",
    says: "READ" as const,
    grade: "WITNESSED" as const,
    by: "inspector",
    byCrew: false,
    at: "2026-09-01T08:00:00Z",
  };
  const { wrapper } = row(vi.fn(), { reading });
  await wrapper.find("input").setValue("37 i");
  await wrapper.setProps({ line: { ...line, reading: { ...reading } } });
  expect(wrapper.find("input").element.value).toBe("37 i");
});

test("what somebody else reads meanwhile does not wipe what is being typed, and takes its place where nothing is", async () => {
  const reading = { ...known, id: "r1", typed: "36 in", said: "36 in" };
  const theirs = { ...reading, id: "r2", typed: "38 in", said: "38 in" };
  const { wrapper } = row(vi.fn(), { reading });
  await wrapper.setProps({ line: { ...line, reading: theirs } });
  expect(wrapper.find("input").element.value).toBe("38 in");
  await wrapper.find("input").setValue("37 i");
  await wrapper.setProps({ line: { ...line, reading: { ...theirs, id: "r3", typed: "39 in" } } });
  expect(wrapper.find("input").element.value).toBe("37 i");
});

async function leave(wrapper: ReturnType<typeof row>["wrapper"]) {
  vi.spyOn(document, "hasFocus").mockReturnValue(true);
  await wrapper.find("input").trigger("focusout");
  await flushPromises();
}

test("leaving a field saves what is understood and takes the person nowhere", async () => {
  const save = vi.fn().mockResolvedValue(undefined);
  const { wrapper } = row(save);
  await wrapper.find("input").setValue("36 in");
  await leave(wrapper);
  expect(save.mock.calls[0]?.[1]).toMatchObject({ typed: "36 in" });
  expect(save.mock.calls[0]?.[2]).toEqual(place);
  expect(wrapper.emitted("done")).toBeUndefined();
  expect(useUnsaved().of("i", "siting.outdoor-clearance-front@outdoor-1")).toBeUndefined();
});

test("what is not understood stays in its field, on the device, and is there again with the reason", async () => {
  const save = vi.fn().mockRejectedValue(new ProblemError({ status: 422, detail: "Which unit?" }));
  const { wrapper } = row(save);
  await wrapper.find("input").setValue("36 bananas");
  await leave(wrapper);
  await leave(wrapper);
  expect(save).toHaveBeenCalledTimes(1);
  wrapper.unmount();
  const { wrapper: again } = row(save);
  expect(again.find("input").element.value).toBe("36 bananas");
  expect(again.find("[role=alert]").text()).toContain("Which unit?");
  useSession().person.value = { ...nobody, name: "somebody else" };
  await flushPromises();
  expect(row(save).wrapper.find("input").element.value).toBe("");
});

test("a row that goes away saves what was typed on it, where it stood", async () => {
  const save = vi.fn().mockResolvedValue(undefined);
  const { wrapper } = row(save);
  await wrapper.find("input").setValue("36 in");
  wrapper.unmount();
  await flushPromises();
  expect(save.mock.calls[0]?.[2]).toEqual(place);
});

test("what came to be saved after all is not typed again", async () => {
  const save = vi.fn().mockReturnValue(new Promise(() => {}));
  const { wrapper } = row(save);
  await wrapper.find("input").setValue("36 in");
  wrapper.unmount();
  await flushPromises();
  const id = save.mock.calls[0]?.[1].id as string;
  const reading = { ...known, id, typed: "36 in", said: "36 in" };
  row(save, { reading });
  expect(useUnsaved().of("i", "siting.outdoor-clearance-front@outdoor-1")).toBeUndefined();
});

test("an arrow on a closed list chooses nothing; Enter does", async () => {
  const save = vi.fn().mockResolvedValue(undefined);
  const { wrapper } = row(save, {
    kind: "CHOICE",
    options: ["a", "b", "c", "d", "e"].map((id) => ({ id, words: id })),
  });
  const list = wrapper.get<HTMLSelectElement>("select.field");
  await list.trigger("keydown", { key: "ArrowDown" });
  await list.setValue("b");
  expect(save).not.toHaveBeenCalled();
  await list.trigger("keydown", { key: "Enter" });
  await flushPromises();
  expect(save.mock.calls[0]?.[1]).toMatchObject({ typed: "b" });
  await list.trigger("pointerdown");
  await list.setValue("c");
  await flushPromises();
  expect(save.mock.calls[1]?.[1]).toMatchObject({ typed: "c" });
});

test("a reading is taken back with a reason; an open line says why it is not read", async () => {
  const save = vi.fn().mockResolvedValue(undefined);
  const reading = { ...known, id: "r1", typed: "36 in", said: "36 in" };
  const hand = document.createElement("div");
  document.body.append(hand);
  const press = (words: string) =>
    [...hand.querySelectorAll("button")].find((each) => each.textContent?.trim() === words)?.click();
  const read = row(save, { reading }, [], undefined, hand).wrapper;
  await flushPromises();
  press("Take this reading back");
  await flushPromises();
  const why = hand.querySelector("input.field") as HTMLInputElement;
  why.value = "wrong line";
  why.dispatchEvent(new Event("input"));
  await flushPromises();
  press("Take it back");
  await flushPromises();
  expect(save.mock.calls[0]?.[1]).toMatchObject({ typed: "Taken back: wrong line", basedOn: "r1" });
  read.unmount();
  const open = row(save, {}, [], undefined, hand).wrapper;
  await flushPromises();
  press("Not looked at");
  await flushPromises();
  expect(save.mock.calls[1]?.[1]).toMatchObject({ typed: "Not looked at" });
  open.unmount();
  hand.remove();
});

test("a reading set aside keeps its text and says why", () => {
  const { wrapper } = row(vi.fn(), {
    reading: {
      id: "r1",
      typed: "silver",
      said: "silver",
      setAside: "It is not one of the choices.",
      says: "READ" as const,
      grade: "WITNESSED",
      by: "inspector",
      byCrew: false,
      at: "2026-09-01T08:00:00Z",
    },
  });
  expect(wrapper.text()).toContain("set aside: It is not one of the choices.");
});

const seen = {
  id: "r1",
  typed: "12 mm",
  said: "12 mm",
  says: "READ" as const,
  grade: "WITNESSED" as const,
  by: "inspector",
  byCrew: false,
  at: "",
};
const said = {
  id: "r2",
  typed: "20 mm",
  said: "20 mm",
  says: "READ" as const,
  grade: "RECORDED" as const,
  by: "nettlebank",
  byCrew: true,
  at: "",
};

test("what the crew says stands beside, and is written in only to be looked at", async () => {
  const save = vi.fn().mockResolvedValue(undefined);
  const { wrapper } = row(save, { reading: seen, beside: said });
  expect(wrapper.find("input").element.value).toBe("12 mm");
  expect(wrapper.text()).toContain("The crew says 20 mm (recorded). What was read before stands.");
  await wrapper.find(".beside button").trigger("click");
  expect(wrapper.find("input").element.value).toBe("20 mm");
  expect(save).not.toHaveBeenCalled();
});

test("on a crew's screen a line read by the office is no field until the crew says otherwise", async () => {
  useSession().person.value = { name: "nettlebank", title: "Crew lead", role: "CREW", crew: "Nettlebank" };
  const { wrapper } = row(vi.fn(), { reading: seen });
  expect(wrapper.find("input").exists()).toBe(false);
  expect(wrapper.text()).toContain("12 mm");
  await wrapper.find(".closed button").trigger("click");
  expect(wrapper.find("input").exists()).toBe(true);
  useSession().person.value = undefined;
});

const logged = { kind: "CURVE" as const, title: "Supply air, logged" };

async function choose(wrapper: ReturnType<typeof row>["wrapper"]) {
  const input = wrapper.get<HTMLInputElement>("input[type=file]");
  Object.defineProperty(input.element, "files", { value: [new File(["time,K\n"], "log.csv")] });
  await input.trigger("change");
  await flushPromises();
}

test("a logger's file is kept first and then read by its digest, as logged", async () => {
  const save = vi.fn().mockResolvedValue(undefined);
  log.mockResolvedValueOnce("abc");
  const { wrapper } = row(save, logged);
  await choose(wrapper);
  expect(log.mock.calls.at(-1)?.[1].name).toBe("log.csv");
  expect(save.mock.calls[0]?.[1]).toMatchObject({ typed: "abc", grade: "LOGGED" });
});

test("a file that cannot be taken is said and nothing is read", async () => {
  const save = vi.fn();
  log.mockRejectedValueOnce(new ProblemError({ status: 422, detail: "Row 3: no number." }));
  const { wrapper } = row(save, logged);
  await choose(wrapper);
  expect(wrapper.get("[role=alert]").text()).toContain("Row 3");
  expect(save).not.toHaveBeenCalled();
});

test("a curve that was read is handed out as CSV", () => {
  const { wrapper } = row(vi.fn(), {
    ...logged,
    reading: {
      id: "r",
      typed: "abc",
      said: "log of 64 samples",
      us: "53.9 °F to 68.2 °F",
      says: "READ" as const,
      grade: "LOGGED",
      by: "inspector",
      byCrew: false,
      at: "2026-09-01T10:00:00Z",
    },
  });
  expect(wrapper.get("a").attributes("href")).toBe("/traces/abc");
  expect(wrapper.text()).toContain("53.9 °F to 68.2 °F");
});

test("the row itself says what its reading comes to, with the bar beside it; an open line says nothing", () => {
  const bar = {
    permittedFrom: 0,
    permittedTo: 0.5,
    ticks: [{ position: 0.5, label: "maker 40 A", binds: true, defers: false, row: 0 }],
    needle: 0.7,
    whiskerFrom: 0.6,
    whiskerTo: 0.8,
    reading: "50 A",
  };
  const judgements = [
    { ...judgement, verdict: "MEETS" as const, brief: "Meets, 8 A inside the code's 42 A" },
    { ...judgement, bar },
  ];
  const reading = { id: "r", typed: "50 A", said: "50 A", us: "50 A", ...known };
  const read = row(vi.fn(), { reading }, judgements).wrapper;
  expect(read.get(".said").text()).toContain("Fails, 10 A over the maker's 40 A");
  expect(read.find(".spark").exists()).toBe(true);
  expect(row(vi.fn(), {}, judgements).wrapper.find(".said").exists()).toBe(false);
});

test("a bare number is asked its unit, one letter answers, and the unit holds for the next", async () => {
  const save = vi
    .fn()
    .mockRejectedValueOnce(
      new ProblemError({ status: 422, detail: "The unit is missing.", choices: ["7 in", "7 cm", "7 ft"] }),
    )
    .mockResolvedValue(undefined);
  const using = reactive<Using>({ grade: "WITNESSED", instruments: {}, units: {} });
  const { wrapper, understand } = row(save, {}, [], using);
  document.body.append(wrapper.element);
  await wrapper.find("input").setValue("7");
  await wrapper.find("input").trigger("keydown", { key: "Enter" });
  await flushPromises();
  const choices = wrapper.findAll(".meant button");
  expect(choices.map((each) => each.text())).toEqual(["7 in", "7 cm", "7 ft"]);
  expect(document.activeElement).toBe(choices[0]?.element);

  await choices[0]?.trigger("keydown", { key: "c" });
  await flushPromises();
  expect(save.mock.calls[1]?.[1]).toMatchObject({ typed: "7 cm" });
  expect(using.units).toEqual({ tape: ["cm"] });

  understand.mockResolvedValue({ full: "12 cm", plausible: true, choices: [] });
  await wrapper.find("input").setValue("12");
  expect(wrapper.find(".unit").text()).toBe("cm");
  await wrapper.find("input").trigger("keydown", { key: "Enter" });
  await flushPromises();
  expect(understand.mock.calls.at(-1)?.slice(1)).toEqual(["12", undefined, ["cm"], place]);
  expect(save.mock.calls.at(-1)?.[1]).toMatchObject({ typed: "12 cm" });

  // what was saved with its unit stands there, and nothing waits any more
  await wrapper.find("input").setValue("13");
  understand.mockResolvedValue({ full: "13 cm", plausible: true, choices: [] });
  save.mockImplementationOnce(async (_, sent) => {
    await wrapper.setProps({
      line: { ...line, reading: { ...known, id: sent.id, typed: sent.typed, said: sent.typed } },
    });
  });
  await wrapper.find("input").trigger("keydown", { key: "Enter" });
  await flushPromises();
  expect(wrapper.find("input").element.value).toBe("13 cm");
  expect(wrapper.find("[role=alert]").exists()).toBe(false);
  wrapper.unmount();
});

test("a unit that the line does not know is not held against it", async () => {
  const using = { grade: "WITNESSED" as const, instruments: {}, units: { tape: ["kg"] } };
  const { wrapper } = row(vi.fn(), {}, [], using);
  await wrapper.find("input").setValue("12");
  expect(wrapper.find(".unit").exists()).toBe(false);
});

test("what the station is read with goes with the reading; the row shows its own only where it differs", async () => {
  const save = vi.fn().mockResolvedValue(undefined);
  const using = { grade: "STATED" as const, instruments: { tape: "t2" }, units: {} };
  const reading = { ...known, id: "r", typed: "9 in", said: "9 in" };
  const { wrapper } = row(save, { reading }, [], using);
  expect(wrapper.find(".otherwise").text()).toBe("witnessed");
  await wrapper.find("input").setValue("8 in");
  expect(wrapper.find(".otherwise").exists()).toBe(false);
  await wrapper.find("input").trigger("keydown", { key: "Enter" });
  await flushPromises();
  expect(save.mock.calls[0]?.[1]).toMatchObject({ typed: "8 in", grade: "STATED", instrument: "t2" });
});

test("the row says its own judgement first; another's stands there by its name", () => {
  const reading = { ...known, id: "r", typed: "9 in", said: "9 in" };
  const own = { ...judgement, brief: "Meets, plenty", verdict: "MEETS" as const, line };
  const other = { ...judgement, key: "x", title: "Device fits", brief: "Fails, 10 A over", line: undefined };
  const says = (judgements: Judgement[]) =>
    row(vi.fn(), { reading }, judgements).wrapper.find(".brief").text();
  expect(says([other, own])).toBe("Meets, plenty");
  expect(says([other])).toBe("Fails, 10 A over (Device fits)");
});
