import { flushPromises, mount } from "@vue/test-utils";
import { afterEach, expect, test, vi } from "vitest";
import { ProblemError } from "../api/client";
import { answering } from "../api/mocked";
import { useUnits } from "../frame/useUnits";
import LengthField from "./LengthField.vue";

vi.mock("../api/client", async (original) => ({
  ...(await original<typeof import("../api/client")>()),
  api: { get: vi.fn() },
}));
const get = answering("get");
afterEach(() => vi.resetAllMocks());

function field(metres: number | undefined, optional = false) {
  return mount(LengthField, { props: { label: "Across", modelValue: metres, optional } });
}

test("what was typed is understood by the server", async () => {
  get.mockResolvedValueOnce({ metres: 1.0287, text: "3' 4-1/2\"" });
  const wrapper = field(2);
  await wrapper.find("input").setValue("3' 4-1/2\"");
  await flushPromises();
  expect(get.mock.calls[0]?.[0]).toContain(encodeURIComponent("3' 4-1/2\""));
  expect(wrapper.emitted("update:modelValue")?.[0]).toEqual([1.0287]);
});

test("what cannot be understood stays, with the reason", async () => {
  get.mockRejectedValueOnce(new ProblemError({ status: 422, detail: "psig is a gauge pressure." }));
  const wrapper = field(2);
  await wrapper.find("input").setValue("3 psig");
  await flushPromises();
  expect(wrapper.find("input").element.value).toBe("3 psig");
  expect(wrapper.find("[role=alert]").text()).toContain("gauge pressure");
  expect(wrapper.emitted("update:modelValue")).toBeUndefined();
});

test("an optional length may be emptied without asking", async () => {
  const wrapper = field(2, true);
  expect(wrapper.find("input").element.value).toBe("2 m");
  await wrapper.find("input").setValue("");
  expect(get).not.toHaveBeenCalled();
  expect(wrapper.emitted("update:modelValue")?.[0]).toEqual([undefined]);
});

test("leaving the field as it stands asks nobody", async () => {
  const wrapper = field(2);
  await wrapper.find("input").trigger("change");
  expect(get).not.toHaveBeenCalled();
});

test("in feet it stands as the server writes it, and leaving it as it stands changes nothing", async () => {
  const { toggle } = useUnits();
  get.mockResolvedValue({ metres: 2, text: "6' 6-3/4\"" });
  const wrapper = field(2);
  toggle();
  await flushPromises();
  expect(wrapper.find("input").element.value).toBe("6' 6-3/4\"");
  await wrapper.find("input").trigger("change");
  await flushPromises();
  expect(wrapper.emitted("update:modelValue")).toBeUndefined();
  toggle();
  await flushPromises();
  expect(wrapper.find("input").element.value).toBe("2 m");
});
