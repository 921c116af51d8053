import { flushPromises, mount } from "@vue/test-utils";
import { beforeEach, expect, test } from "vitest";
import { createMemoryHistory, createRouter } from "vue-router";
import { ProblemError } from "../api/client";
import { spied } from "../api/mocked";
import SignInPage from "./SignInPage.vue";
import { useSession } from "./useSession";

const post = spied("post");
const get = spied("get");
const demoAccounts = [{ name: "inspector", password: "inspector-demo", title: "Inspector" }];

async function page(address = "/sign-in") {
  const empty = { template: "" };
  const router = createRouter({
    history: createMemoryHistory(),
    routes: ["/sign-in", "/register", "/corrections"].map((path) => ({ path, component: empty })),
  });
  await router.push(address);
  return { wrapper: mount(SignInPage, { global: { plugins: [router] } }), router };
}

beforeEach(async () => {
  post.mockReset();
  get.mockReset();
  get.mockResolvedValue({ demoAccounts } as never);
  await useSession().load();
});

test("signs in with what was typed and goes to the register", async () => {
  post.mockResolvedValueOnce({ person: { name: "lead" }, demoAccounts } as never);
  const { wrapper, router } = await page();
  await wrapper.find("#name").setValue("lead");
  await wrapper.find("#password").setValue("secret");
  await wrapper.find("form").trigger("submit");
  await flushPromises();
  expect(post).toHaveBeenCalledWith("/api/session", { name: "lead", password: "secret" });
  expect(router.currentRoute.value.path).toBe("/register");
});

test("goes back to where the session ended, but never to another site", async () => {
  for (const [to, path] of [
    ["/corrections", "/corrections"],
    ["https://elsewhere.example", "/register"],
  ]) {
    post.mockResolvedValueOnce({ person: { name: "lead" }, demoAccounts } as never);
    const { wrapper, router } = await page(`/sign-in?to=${encodeURIComponent(to!)}`);
    await wrapper.find("form").trigger("submit");
    await flushPromises();
    expect(router.currentRoute.value.path).toBe(path);
  }
});

test("a refusal is said and the name stays", async () => {
  post.mockRejectedValueOnce(new ProblemError({ status: 401, detail: "Name or password is wrong." }));
  const { wrapper } = await page();
  await wrapper.find("#name").setValue("lead");
  await wrapper.find("form").trigger("submit");
  await flushPromises();
  expect(wrapper.find("[role=alert]").text()).toContain("wrong");
  expect((wrapper.find("#name").element as HTMLInputElement).value).toBe("lead");
});

test("in demo mode an account is one tap away", async () => {
  post.mockResolvedValueOnce({ person: { name: "inspector" }, demoAccounts } as never);
  const { wrapper } = await page();
  const account = wrapper.findAll("button").find((b) => b.text().includes("inspector-demo"));
  await account!.trigger("click");
  expect(post).toHaveBeenCalledWith("/api/session", { name: "inspector", password: "inspector-demo" });
});
