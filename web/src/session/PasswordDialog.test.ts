import { flushPromises, mount } from "@vue/test-utils";
import { afterEach, expect, test, vi } from "vitest";
import { ProblemError } from "../api/client";
import { answering } from "../api/mocked";
import PasswordDialog from "./PasswordDialog.vue";

vi.mock("../api/client", async (original) => ({
  ...(await original<typeof import("../api/client")>()),
  api: { put: vi.fn() },
}));
const put = answering("put");
afterEach(() => vi.resetAllMocks());

async function typed(old: string, fresh: string, again: string) {
  const wrapper = mount(PasswordDialog, {
    props: { modelValue: true },
    global: { stubs: { "el-dialog": { template: "<div><slot /></div>" } } },
  });
  const fields = wrapper.findAll("input");
  await fields[0]!.setValue(old);
  await fields[1]!.setValue(fresh);
  await fields[2]!.setValue(again);
  await wrapper.find("form").trigger("submit");
  await flushPromises();
  return wrapper;
}

test("the old one and twice the new one change it", async () => {
  put.mockResolvedValueOnce(undefined);
  const wrapper = await typed("old words", "new long words", "new long words");
  expect(put.mock.calls[0]).toEqual(["/api/session/password", { old: "old words", fresh: "new long words" }]);
  expect(wrapper.emitted("update:modelValue")).toEqual([[false]]);
});

test("a slip in the new one is said before anything is sent", async () => {
  const wrapper = await typed("old words", "new long words", "new long wrods");
  expect(put).not.toHaveBeenCalled();
  expect(wrapper.get("[role=alert]").text()).toContain("not typed the same twice");
});

test("what the server refuses is said, and the dialog stays", async () => {
  put.mockRejectedValueOnce(new ProblemError({ status: 422, detail: "The old password is not right." }));
  const wrapper = await typed("guess", "new long words", "new long words");
  expect(wrapper.get("[role=alert]").text()).toContain("not right");
  expect(wrapper.emitted("update:modelValue")).toBeUndefined();
});
