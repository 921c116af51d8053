import { flushPromises, mount } from "@vue/test-utils";
import { beforeEach, expect, test } from "vitest";
import { spied } from "../api/mocked";
import { ProblemError } from "../api/client";
import TokenGiver from "./TokenGiver.vue";

const sent = spied("post");
const got = spied("get");
beforeEach(() => {
  got.mockReset().mockResolvedValue({ crews: ["Dunmarrow Services"] });
  sent.mockReset().mockResolvedValue({ token: "abc" });
});

test("a token is given and shown", async () => {
  const wrapper = mount(TokenGiver, { props: { instrument: "vacuum-1" } });
  expect(wrapper.text()).toContain("A new token ends the one before");
  await wrapper.find("button").trigger("click");
  await flushPromises();
  expect(sent.mock.calls[0]?.[0]).toBe("/api/instruments/vacuum-1/token");
  expect(wrapper.find("code").text()).toBe("abc");
});

test("it is handed to a crew", async () => {
  const wrapper = mount(TokenGiver, { props: { instrument: "vacuum-1" } });
  await flushPromises();
  await wrapper.find("select").setValue("Dunmarrow Services");
  await wrapper.find("button").trigger("click");
  await flushPromises();
  expect(sent.mock.calls[0]?.[0]).toBe("/api/instruments/vacuum-1/token?crew=Dunmarrow%20Services");
});

test("a refusal is said", async () => {
  sent.mockRejectedValueOnce(
    new ProblemError({ status: 403, detail: "The toolcase is kept by the quality lead." }),
  );
  const wrapper = mount(TokenGiver, { props: { instrument: "vacuum-1" } });
  await wrapper.find("button").trigger("click");
  await flushPromises();
  expect(wrapper.find("[role=alert]").text()).toContain("quality lead");
});
