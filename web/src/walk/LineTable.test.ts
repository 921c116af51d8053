import { flushPromises, mount } from "@vue/test-utils";
import { beforeEach, expect, test, vi } from "vitest";
import { ref } from "vue";
import { useSession } from "../session/useSession";
import { HAND } from "./hand";
import { KEEPER } from "./keeper";
import LineTable from "./LineTable.vue";
import type { Line } from "../shown/lines";

function line(point: string, over: Partial<Line> = {}): Line {
  return {
    point,
    component: "outdoor-1",
    group: "Outdoor unit",
    title: point,
    how: "",
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
    ...over,
  };
}

beforeEach(() => {
  localStorage.clear();
  useSession().person.value = { name: crypto.randomUUID(), title: "", role: "INSPECTOR" };
});

const reading = {
  id: "r",
  typed: "9 in",
  said: "9 in",
  says: "READ" as const,
  grade: "WITNESSED" as const,
  by: "inspector",
  byCrew: false,
  at: "2026-09-01T10:00:00Z",
};

function table(lines: Line[], save = vi.fn().mockResolvedValue(undefined), hand?: HTMLElement) {
  const wrapper = mount(LineTable, {
    attachTo: document.body,
    global: {
      provide: {
        [HAND as symbol]: ref(hand),
        [KEEPER as symbol]: {
          understand: vi.fn().mockResolvedValue({ plausible: true }),
          save,
          change: async () => "",
          log: vi.fn(),
          logAddress: () => "",
        },
      },
    },
    props: {
      place: { installation: "i", station: "siting" },
      lines,
      instruments: [{ id: "tape-2", title: "Tape 2", kind: "tape", lapsed: false }],
      using: { grade: "WITNESSED", instruments: {}, units: {} },
      judgementsOf: () => [],
    },
  });
  const focusedLine = () => document.activeElement?.id ?? "";
  const moves = wrapper.vm as unknown as {
    nextOpen(): Promise<void>;
    previous(): void;
    goTo(key: string): void;
  };
  return { wrapper, focusedLine, moves };
}

test("lines stand under the unit they belong to", () => {
  const { wrapper } = table([line("a"), line("b"), line("c", { component: "indoor-1", group: "Wall unit" })]);
  const groups = wrapper.findAll("section");
  expect(groups.map((g) => g.find("h2").text())).toEqual(["Outdoor unit", "Wall unit"]);
  expect(groups[0]!.findAll("input")).toHaveLength(2);
  wrapper.unmount();
});

test("after Enter the next open line has the focus, optional ones are passed over", async () => {
  const { wrapper, focusedLine } = table([
    line("a"),
    line("b", { reading }),
    line("c", { optional: true }),
    line("d"),
  ]);
  const first = wrapper.find("input");
  first.element.focus();
  await first.setValue("10 in");
  await first.trigger("keydown", { key: "Enter" });
  await flushPromises();
  expect(focusedLine()).toContain("field-d");
  wrapper.unmount();
});

test("whoever went on to another line while one is saved stays there", async () => {
  let saved: () => void = () => undefined;
  const save = vi.fn(() => new Promise<void>((resolve) => (saved = resolve)));
  const { wrapper, focusedLine } = table([line("a"), line("b"), line("c")], save);
  const fields = wrapper.findAll("input");
  fields[0]!.element.focus();
  await fields[0]!.setValue("10 in");
  await fields[0]!.trigger("keydown", { key: "Enter" });
  fields[2]!.element.focus();
  await fields[2]!.setValue("12 i");
  saved();
  await flushPromises();
  expect(focusedLine()).toContain("field-c");
  wrapper.unmount();
});

test("when all that must be read is read, the optional ones follow", async () => {
  const { wrapper, focusedLine, moves } = table([line("a", { reading }), line("b", { optional: true })]);
  await moves.nextOpen();
  expect(focusedLine()).toContain("field-b");
  wrapper.unmount();
});

test("back one line, and straight to a line", async () => {
  const { wrapper, focusedLine, moves } = table([line("a"), line("b"), line("c")]);
  moves.goTo("c@outdoor-1");
  await flushPromises();
  expect(focusedLine()).toContain("field-c");
  moves.previous();
  await flushPromises();
  expect(focusedLine()).toContain("field-b");
  wrapper.unmount();
});

test("an instrument of the right kind can be chosen, and choosing it on a read line saves the line again", async () => {
  const save = vi.fn().mockResolvedValue(undefined);
  const hand = document.body.appendChild(document.createElement("div"));
  const { wrapper, moves } = table([line("a", { reading })], save, hand);
  moves.goTo("a@outdoor-1");
  await flushPromises();
  const tools = hand.querySelector("select[aria-label='Instrument for a']") as HTMLSelectElement;
  tools.value = "tape-2";
  tools.dispatchEvent(new Event("change"));
  await flushPromises();
  expect(save.mock.calls[0]?.[1]).toMatchObject({ typed: "9 in", instrument: "tape-2", basedOn: "r" });
  wrapper.unmount();
});

test("the placeholder is the line's own example", () => {
  const { wrapper } = table([line("a", { example: "0.07 in" })]);
  expect(wrapper.find("input").attributes("placeholder")).toBe("0.07 in");
  wrapper.unmount();
});

test("lines that need not be read are folded until they are asked for", async () => {
  const spare = (point: string) => line(point, { optional: true });
  const { wrapper } = table([line("a"), spare("b"), spare("c"), line("d", { optional: true, reading })]);
  expect(wrapper.findAll(".line")).toHaveLength(2);
  expect(wrapper.find(".unfold").text()).toContain("2 more lines");
  await wrapper.find(".unfold").trigger("click");
  expect(wrapper.findAll(".line")).toHaveLength(4);
});

test("a logger's file is offered though it need not be read", () => {
  const spare = (point: string) => line(point, { optional: true });
  const { wrapper } = table([
    line("a"),
    spare("b"),
    spare("c"),
    line("d", { optional: true, kind: "CURVE" }),
  ]);
  expect(wrapper.find("input[type=file][aria-label=d]").exists()).toBe(true);
  expect(wrapper.find(".unfold").text()).toContain("2 more lines");
});

test("a line that is not due yet is passed over and says when it is", () => {
  const { wrapper } = table([line("a", { due: false, dueAt: "final", hidden: true })]);
  expect(wrapper.text()).toContain("due at final");
  expect(wrapper.text()).toContain("hidden later");
  expect(wrapper.find(".line").classes()).not.toContain("open");
});

test("a result from elsewhere goes into the line in hand and is saved only by the person", async () => {
  const save = vi.fn().mockResolvedValue(undefined);
  const { wrapper } = table([line("a"), line("b")], save);
  const moves = wrapper.vm as unknown as { put: (key: string, words: string) => void };
  moves.put("b@outdoor-1", "120 mm");
  await flushPromises();
  const fields = wrapper.findAll("input");
  expect(fields.map((field) => field.element.value)).toEqual(["", "120 mm"]);
  expect(save).not.toHaveBeenCalled();
  wrapper.unmount();
});

test("lines that an answer made pointless are folded with the answer, and not gone to", async () => {
  const { wrapper } = table([
    line("a"),
    line("b", { pointless: "Disconnect fitted: no" }),
    line("c", { pointless: "Disconnect fitted: no" }),
  ]);
  expect(wrapper.findAll(".line")).toHaveLength(1);
  expect(wrapper.find(".unfold").text()).toBe("2 lines do not apply (Disconnect fitted: no)");
  await wrapper.find(".unfold").trigger("click");
  expect(wrapper.findAll(".line")).toHaveLength(3);
  wrapper.unmount();
});
