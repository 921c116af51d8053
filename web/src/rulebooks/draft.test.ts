import { flushPromises, mount } from "@vue/test-utils";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { ProblemError } from "../api/client";
import { answering } from "../api/mocked";
import DraftPanel from "./DraftPanel.vue";
import { useDraft, type BookLimit } from "./useDraft";
import VersionsPanel from "./VersionsPanel.vue";

vi.mock("../api/client", async (original) => ({
  ...(await original<typeof import("../api/client")>()),
  api: { get: vi.fn(), post: vi.fn(), remove: vi.fn() },
}));
vi.mock("../frame/notice", () => ({ notice: { problem: vi.fn(), done: vi.fn() } }));
const get = answering("get");
const post = answering("post");
const remove = answering("remove");

const LIMIT = {
  key: "siting.front",
  by: "programme",
  side: "AT_LEAST",
  title: "Clearance, front",
  authority: "Programme",
  bound: "at least",
  value: "36 in",
  source: "Specification",
} as BookLimit;

function trial(over: object = {}) {
  return {
    id: "t1",
    state: "RUNNING",
    done: 10,
    total: 100,
    changed: 2,
    requirements: ["Clearance, front"],
    before: { MEETS: 10 },
    now: { MEETS: 8, FAILS: 2 },
    crews: [{ crew: "Nettlebank", installations: 10, changed: 2 }],
    stations: [{ station: "Siting", worse: 2, better: 0 }],
    installations: [],
    seconds: 0.4,
    ...over,
  };
}

beforeEach(() => {
  vi.useFakeTimers();
});
afterEach(() => {
  vi.useRealTimers();
  vi.resetAllMocks();
});

function panel() {
  const draft = useDraft();
  draft.toggleLimit(LIMIT);
  const wrapper = mount(DraftPanel, {
    props: { book: "plate", draft, schools: [] },
    global: { stubs: { VerdictMark: true } },
  });
  const button = (words: string) => wrapper.findAll("button").find((each) => each.text() === words);
  return { draft, wrapper, button };
}

test("a draft is tried before it can be published; what comes of it is followed and stopped", async () => {
  const { wrapper, button } = panel();
  await wrapper.find("input[aria-label^='Source']").setValue("A letter");
  post.mockResolvedValueOnce({ yaml: "y", version: 3, changes: [] }).mockResolvedValueOnce(trial());
  await button("Try on the archive")?.trigger("click");
  await flushPromises();
  expect(post.mock.calls[0]?.[1]).toMatchObject({
    limits: [{ key: "siting.front", by: "programme", side: "AT_LEAST", value: "36 in", source: "A letter" }],
  });
  expect(post.mock.calls[1]?.[1]).toBe("y");
  expect(wrapper.find(".headline").text()).toContain("2 of 10 installations would change");
  expect(button("Publish as the next version")?.attributes("disabled")).toBeDefined();
  get.mockResolvedValueOnce(trial({ done: 50, changed: 9 }));
  await vi.advanceTimersByTimeAsync(300);
  expect(wrapper.find(".headline").text()).toContain("9 of 50");
  remove.mockResolvedValueOnce(trial({ state: "CANCELLED", done: 60 }));
  await button("Stop")?.trigger("click");
  await flushPromises();
  expect(wrapper.find(".headline").text()).toContain("ended before all were tried");
  // not tried to its end: the server asks why
  post
    .mockResolvedValueOnce({ yaml: "y", version: 3, changes: [] })
    .mockRejectedValueOnce(
      new ProblemError({ status: 422, detail: "Say why.", fields: { untried: "Say why." } }),
    );
  await button("Publish as the next version")?.trigger("click");
  await flushPromises();
  await wrapper.find("label.label input").setValue("The archive is at rest");
  post.mockResolvedValueOnce({ yaml: "y", version: 3, changes: [] }).mockResolvedValueOnce({ version: 3 });
  await button("Publish as the next version")?.trigger("click");
  await flushPromises();
  expect(post.mock.calls.at(-1)?.[0]).toContain("untried=The%20archive%20is%20at%20rest");
});

test("what cannot be read is named by its key, and nothing is tried", async () => {
  const { wrapper, button } = panel();
  post.mockRejectedValueOnce(
    new ProblemError({
      status: 422,
      detail: "The rule book has 1 problem.",
      problems: [{ line: 3, key: "limits.siting.front", message: "kg is no length" }],
    }),
  );
  await button("Try on the archive")?.trigger("click");
  await flushPromises();
  expect(wrapper.find("[role=alert]").text()).toContain("limits.siting.front");
  expect(post).toHaveBeenCalledTimes(1);
});

test("once more gives a change up", () => {
  const { draft } = panel();
  expect(draft.count.value).toBe(1);
  draft.toggleLimit(LIMIT);
  expect(draft.count.value).toBe(0);
});

test("two versions are compared, and installations move only when asked twice", async () => {
  get.mockResolvedValueOnce([
    { version: 8, note: "" },
    { version: 7, note: "" },
  ]);
  const wrapper = mount(VersionsPanel, { props: { book: "plate", newest: 8, leads: true } });
  await flushPromises();
  get.mockResolvedValueOnce([{ kind: "limit", title: "Clearance, front", before: "36 in", now: "45 in" }]);
  await wrapper.find("form").trigger("submit");
  await flushPromises();
  expect(get.mock.calls[1]?.[0]).toContain("from=7&to=8");
  expect(wrapper.text()).toContain("45 in");
  const moving = () => wrapper.findAll(".version button")[0];
  await moving()?.trigger("click");
  expect(post).not.toHaveBeenCalled();
  post.mockResolvedValueOnce({ moved: 3 });
  await moving()?.trigger("click");
  await flushPromises();
  expect(post.mock.calls[0]?.[0]).toBe("/api/rule-books/plate/versions/8/installations");
});
