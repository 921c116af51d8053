import { flushPromises, mount } from "@vue/test-utils";
import { afterEach, expect, test, vi } from "vitest";
import { ProblemError } from "../api/client";
import { answering } from "../api/mocked";
import FactorDialog from "./FactorDialog.vue";
import SignInPage from "./SignInPage.vue";

vi.mock("../api/client", async (original) => ({
  ...(await original<typeof import("../api/client")>()),
  api: { get: vi.fn(), post: vi.fn(), put: vi.fn(), remove: vi.fn() },
}));
vi.mock("../frame/notice", () => ({ notice: { problem: vi.fn(), done: vi.fn() } }));
const routed = vi.fn();
vi.mock("vue-router", () => ({ useRoute: () => ({ query: {} }), useRouter: () => ({ push: routed }) }));
const get = answering("get");
const post = answering("post");
const put = answering("put");
afterEach(() => vi.resetAllMocks());

const SESSION = { person: { name: "wren" }, demoAccounts: [], secondFactor: true, secondFactorDue: false };

test("a secret is kept once a code shows that the app has it", async () => {
  const wrapper = mount(FactorDialog, {
    props: { modelValue: true },
    global: { stubs: { "el-dialog": { template: "<div><slot /></div>" } } },
  });
  await wrapper.find("input").setValue("a password");
  post.mockResolvedValueOnce({ secret: "ABC234", address: "otpauth://x", picture: "<svg/>" });
  await wrapper.find("form").trigger("submit");
  await flushPromises();
  expect(wrapper.text()).toContain("ABC234");
  await wrapper.find("input").setValue("123456");
  put.mockRejectedValueOnce(new ProblemError({ status: 422, detail: "The code is not right." }));
  await wrapper.find("form").trigger("submit");
  await flushPromises();
  expect(wrapper.find("[role=alert]").text()).toBe("The code is not right.");
  put.mockResolvedValueOnce(undefined);
  get.mockResolvedValueOnce(SESSION);
  await wrapper.find("form").trigger("submit");
  await flushPromises();
  expect(put.mock.calls[1]?.[1]).toEqual({ code: "123456" });
  expect(wrapper.emitted("update:modelValue")?.[0]).toEqual([false]);
});

test("the code is asked for once name and password are right, and goes out with them", async () => {
  const wrapper = mount(SignInPage);
  await wrapper.find("#name").setValue("wren");
  await wrapper.find("#password").setValue("a password");
  expect(wrapper.find("#code").exists()).toBe(false);
  post.mockRejectedValueOnce(new ProblemError({ status: 401, detail: "Type the code.", code: true }));
  await wrapper.find("form").trigger("submit");
  await flushPromises();
  await wrapper.find("#code").setValue("123456");
  post.mockResolvedValueOnce(SESSION);
  await wrapper.find("form").trigger("submit");
  await flushPromises();
  expect(post.mock.calls[1]?.[1]).toEqual({ name: "wren", password: "a password", code: "123456" });
  expect(routed).toHaveBeenCalledWith("/register");
});
