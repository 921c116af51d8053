import { enableAutoUnmount, flushPromises, mount } from "@vue/test-utils";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import type { Schemas } from "../api/client";
import ListEditor from "./ListEditor.vue";
import { taken } from "../shown/figures/useTried";
import type { Line } from "../shown/lines";

const line = { point: "piping.run", component: "line-set-indoor-1", title: "Run of the lines" } as Line;
const parts = ["3 m out", "elbow", "up 2 m"].map((text, index) => ({
  text,
  from: index * 10,
  to: index * 10 + 5,
}));

beforeEach(() => (taken.value = undefined));
enableAutoUnmount(afterEach);

function open(editing: Schemas["ListView"]["editing"], change = vi.fn().mockResolvedValue(undefined)) {
  const offered = editing === "PLACES" ? [] : ["elbow", "trap"];
  const editor = mount(ListEditor, {
    props: { line, list: { editing, offered }, parts: editing === "PARTS" ? parts : [], change },
    attachTo: document.body,
  });
  return { editor, change };
}

async function tap(thing: string) {
  taken.value = { line: "piping.run@line-set-indoor-1", thing };
  await flushPromises();
}

test("a part tapped in the drawing is changed, added to and removed", async () => {
  const { editor, change } = open("PARTS");
  await tap("2");
  const field = editor.get("input");
  expect((field.element as HTMLInputElement).value).toBe("up 2 m");
  await field.setValue("up 3 m");
  await field.trigger("keydown", { key: "Enter" });
  expect(change).toHaveBeenLastCalledWith("2", "REPLACE", "up 3 m");
  await editor
    .findAll("button")
    .find((b) => b.text() === "Before")
    ?.trigger("click");
  expect(change).toHaveBeenLastCalledWith("2", "BEFORE", "up 3 m");
  await editor.findAll(".offered button")[1]?.trigger("click");
  expect(change).toHaveBeenLastCalledWith("2", "AFTER", "trap");
  await editor
    .findAll("button")
    .find((b) => b.text() === "Remove")
    ?.trigger("click");
  await flushPromises();
  expect(change).toHaveBeenLastCalledWith("2", "REMOVE", "");
  expect(editor.find("input").exists()).toBe(false);
});

test("what is offered goes at the end while no part is in hand", async () => {
  const { editor, change } = open("PARTS");
  await editor.findAll(".offered button")[0]?.trigger("click");
  expect(change).toHaveBeenCalledWith("3", "REPLACE", "elbow");
});

test("two ends tapped one after the other belong together", async () => {
  const { editor, change } = open("PAIRS");
  await tap("outdoor 3");
  expect(editor.text()).toContain("From outdoor 3");
  expect(change).not.toHaveBeenCalled();
  await tap("indoor 3");
  expect(change).toHaveBeenCalledWith("outdoor 3", "JOIN", "indoor 3");
});

test("a place takes a reading", async () => {
  const { editor, change } = open("PLACES");
  await tap("2x3 of 5x5");
  await editor.get("input").setValue("14 Pa");
  await editor.get("input").trigger("keydown", { key: "Enter" });
  expect(change).toHaveBeenCalledWith("2x3 of 5x5", "REPLACE", "14 Pa");
});

test("a tap on another line's drawing is not taken, and a refusal is said", async () => {
  const { editor } = open("PARTS", vi.fn().mockRejectedValue(new Error("There is no part.")));
  taken.value = { line: "condensate.run@drain-run-indoor-1", thing: "0" };
  await flushPromises();
  expect(editor.find("input").exists()).toBe(false);
  await tap("0");
  await editor.get("input").trigger("keydown", { key: "Enter" });
  await flushPromises();
  expect(editor.get("[role=alert]").text()).not.toBe("");
});
