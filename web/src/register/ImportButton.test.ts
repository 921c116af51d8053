import { flushPromises, mount } from "@vue/test-utils";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { ProblemError } from "../api/client";
import { spied } from "../api/mocked";
import { notice } from "../frame/notice";
import ImportButton from "./ImportButton.vue";

vi.mock("../frame/notice", () => ({ notice: { done: vi.fn(), hint: vi.fn(), problem: vi.fn() } }));

function state(name: string, done = 0, steps = 0, installations: string[] = []) {
  return { id: "i1", state: name, done, steps, installations };
}

async function begun(first: unknown) {
  spied("file").mockResolvedValueOnce(first);
  const wrapper = mount(ImportButton);
  const input = wrapper.get("input");
  Object.defineProperty(input.element, "files", { value: [new File(["{}"], "roof.json")] });
  await input.trigger("change");
  await flushPromises();
  return wrapper;
}

beforeEach(() => {
  vi.useFakeTimers();
});

afterEach(() => {
  vi.useRealTimers();
  vi.restoreAllMocks();
});

test("how far an import is stands there until it is done", async () => {
  const get = spied("get");
  const wrapper = await begun(state("WAITING"));
  expect(wrapper.text()).toContain("roof.json");
  expect(wrapper.text()).toContain("waiting for another import");
  get.mockResolvedValueOnce(state("KEEPING", 1200, 40000));
  await vi.advanceTimersByTimeAsync(600);
  expect(wrapper.text()).toContain("1,200 of 40,000 entries");
  get.mockResolvedValueOnce(state("DONE", 40000, 40000, ["a"]));
  await vi.advanceTimersByTimeAsync(600);
  expect(notice.done).toHaveBeenCalledWith("Imported: 1.");
  expect(wrapper.emitted("imported")).toHaveLength(1);
  expect(wrapper.text()).toContain("Import a case file");
});

test("an import can be cancelled", async () => {
  const wrapper = await begun(state("KEEPING", 5, 10));
  const remove = spied("remove").mockResolvedValue(undefined);
  await wrapper.get("button").trigger("click");
  expect(remove).toHaveBeenCalledWith("/api/imports/i1");
  spied("get").mockResolvedValueOnce(state("CANCELLED"));
  await vi.advanceTimersByTimeAsync(600);
  expect(notice.hint).toHaveBeenCalledWith("Cancelled. Nothing of the file was saved.");
});

test("what it failed by is said; a lost connection is no failure of the import", async () => {
  const wrapper = await begun(state("READING"));
  const get = spied("get");
  get.mockRejectedValueOnce(new ProblemError({ status: 0, detail: "No connection" }));
  await vi.advanceTimersByTimeAsync(600);
  expect(wrapper.text()).toContain("reading");
  get.mockRejectedValueOnce(
    new ProblemError({ status: 422, detail: "Two corrections have the same number." }),
  );
  await vi.advanceTimersByTimeAsync(600);
  expect(notice.problem).toHaveBeenCalledWith("Two corrections have the same number.");
});
