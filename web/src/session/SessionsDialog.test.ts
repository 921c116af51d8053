import { flushPromises, mount } from "@vue/test-utils";
import { afterEach, expect, test, vi } from "vitest";
import { ProblemError } from "../api/client";
import { answering } from "../api/mocked";
import SessionsDialog from "./SessionsDialog.vue";

vi.mock("../api/client", async (original) => ({
  ...(await original<typeof import("../api/client")>()),
  api: { get: vi.fn(), remove: vi.fn() },
}));
vi.mock("../frame/notice", () => ({ notice: { problem: vi.fn(), done: vi.fn() } }));
const get = answering("get");
const remove = answering("remove");
afterEach(() => vi.resetAllMocks());

function session(device: string) {
  return {
    name: "wren",
    since: "2026-11-27T06:00:00Z",
    last: "2026-11-27T06:10:00Z",
    device,
    from: "127.0.0.1",
  };
}

async function dialog(name?: string) {
  const wrapper = mount(SessionsDialog, {
    props: { modelValue: true, name },
    global: { stubs: { "el-dialog": { template: "<div><slot /></div>" } } },
  });
  await flushPromises();
  return wrapper;
}

test("one's other sessions are ended; where there is only this one nothing is offered", async () => {
  get.mockResolvedValueOnce([session("Tablet"), session("Desk")]).mockResolvedValueOnce([session("Tablet")]);
  const wrapper = await dialog();
  expect(wrapper.findAll("li")).toHaveLength(2);
  remove.mockResolvedValueOnce(undefined);
  await wrapper.find("button").trigger("click");
  await flushPromises();
  expect(remove.mock.calls[0]?.[0]).toBe("/api/session/others");
  expect(wrapper.find("button").exists()).toBe(false);
});

test("a lead ends all of somebody's, and a refusal is said", async () => {
  get.mockResolvedValueOnce([session("Tablet")]);
  const wrapper = await dialog("wren");
  remove.mockRejectedValueOnce(
    new ProblemError({ status: 403, detail: "People are kept by the quality lead." }),
  );
  await wrapper.find("button").trigger("click");
  await flushPromises();
  expect(remove.mock.calls[0]?.[0]).toBe("/api/people/wren/sessions");
  expect(wrapper.find("[role=alert]").text()).toContain("quality lead");
});
