import { flushPromises, mount } from "@vue/test-utils";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { ProblemError } from "../api/client";
import { answering } from "../api/mocked";
import { notice } from "../frame/notice";
import PeoplePage from "./PeoplePage.vue";

vi.mock("../api/client", async (original) => ({
  ...(await original<typeof import("../api/client")>()),
  api: { get: vi.fn(), post: vi.fn(), put: vi.fn() },
}));
vi.mock("../frame/notice", () => ({ notice: { problem: vi.fn(), done: vi.fn() } }));
const get = answering("get");
const post = answering("post");
const put = answering("put");

beforeEach(() => {
  get.mockImplementation((path: string) =>
    Promise.resolve(
      path.endsWith("choices")
        ? { reference: "", crews: ["Dunmarrow Services"], places: [] }
        : [
            { name: "wren", title: "Wren", role: "INSPECTOR", active: true },
            { name: "finch", title: "Finch", role: "CREW", crew: "Dunmarrow Services", active: false },
          ],
    ),
  );
});
afterEach(() => vi.resetAllMocks());

async function page() {
  const wrapper = mount(PeoplePage, {
    global: {
      stubs: {
        MailChoice: { props: ["name"], template: "<p class='mail'>{{ name }}</p>" },
        "el-dialog": { props: ["modelValue"], template: "<div v-if='modelValue'><slot /></div>" },
      },
    },
  });
  await flushPromises();
  return wrapper;
}

test("everybody stands with role and crew, and who is switched off says so", async () => {
  const rows = (await page()).findAll("tbody tr");
  expect(rows[0]?.text()).toContain("Inspector");
  expect(rows[1]?.text()).toContain("Crew of Dunmarrow Services");
  expect(rows[1]?.text()).toContain("switched off");
});

test("somebody is added with a password and, of a crew, its name", async () => {
  const wrapper = await page();
  await wrapper.find(".primary").trigger("click");
  await wrapper.find("input.mono").setValue("kite");
  await wrapper.findAll("form input.field")[1]?.setValue("Kite");
  await wrapper.find("input[value=CREW]").setValue();
  await wrapper.find("input[list]").setValue("Dunmarrow Services");
  await wrapper.find("input[type=password]").setValue("long enough it is");
  post.mockResolvedValueOnce({});
  await wrapper.find("form").trigger("submit");
  await flushPromises();
  expect(post.mock.calls[0]?.[1]).toEqual({
    name: "kite",
    title: "Kite",
    role: "CREW",
    crew: "Dunmarrow Services",
    password: "long enough it is",
  });
});

test("who is changed keeps the password unless a new one is typed, and can be switched off", async () => {
  const wrapper = await page();
  await wrapper.find("tbody button").trigger("click");
  await wrapper.find("input[type=checkbox]").setValue(false);
  put.mockResolvedValueOnce({});
  await wrapper.find("form").trigger("submit");
  await flushPromises();
  expect(put.mock.calls[0]).toEqual([
    "/api/people/wren",
    { title: "Wren", role: "INSPECTOR", crew: undefined, active: false, password: undefined },
  ]);
});

test("what is refused is said at its field and the form stays", async () => {
  const wrapper = await page();
  await wrapper.find(".primary").trigger("click");
  post.mockRejectedValueOnce(
    new ProblemError({
      status: 400,
      detail: "Please mend it.",
      fields: { password: "has 10 to 72 characters" },
    }),
  );
  await wrapper.find("form").trigger("submit");
  await flushPromises();
  expect(wrapper.text()).toContain("has 10 to 72 characters");
  expect(vi.mocked(notice.problem)).toHaveBeenCalledWith("Please mend it.");
});
