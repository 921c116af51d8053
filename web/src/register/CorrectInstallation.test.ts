import { flushPromises, mount } from "@vue/test-utils";
import { expect, test, vi } from "vitest";
import type { Schemas } from "../api/client";
import { answering } from "../api/mocked";
import CorrectInstallation from "./CorrectInstallation.vue";

vi.mock("../api/client", async (original) => ({
  ...(await original<typeof import("../api/client")>()),
  api: { get: vi.fn(), post: vi.fn(), put: vi.fn() },
}));
const get = answering("get");
const post = answering("post");
const put = answering("put");

const installation = {
  id: "i",
  title: "Vat room",
  system: "Furnace",
  crew: "A",
  replacement: false,
  ruleBook: "b",
  version: 3,
  components: [{ id: "indoor-1", title: "Air handler", kind: "INDOOR_DUCTED", ownSupply: true }],
} as unknown as Schemas["InstallationView"];

test("what a correction changes is shown before it is saved, and again once it is another", async () => {
  get.mockImplementation((path: string) =>
    Promise.resolve(path.includes("choices") ? { crews: ["A"], places: [] } : [{ id: "b", title: "Book" }]),
  );
  post.mockResolvedValue({ verdicts: [], come: 4, go: 1, putAway: ["Trap"] });
  put.mockResolvedValue({});
  const wrapper = mount(CorrectInstallation, {
    props: { modelValue: false, installation },
    global: { stubs: { "el-dialog": { template: "<div><slot /></div>" } } },
  });
  await wrapper.setProps({ modelValue: true });
  await flushPromises();
  await wrapper.find("select").setValue("FURNACE_COIL");
  await wrapper.find("form").trigger("submit");
  await flushPromises();
  expect(put).not.toHaveBeenCalled();
  expect(wrapper.text()).toContain("4 lines come, 1 go");
  expect(wrapper.text()).toContain("out of sight then: Trap");
  await wrapper.find("#right-title").setValue("Vat room, furnace");
  expect(wrapper.find("button.primary").text()).toBe("Show what that changes");
  await wrapper.find("form").trigger("submit");
  await flushPromises();
  await wrapper.find("form").trigger("submit");
  await flushPromises();
  expect(put.mock.calls[0]?.[1]).toMatchObject({
    title: "Vat room, furnace",
    version: 3,
    components: [{ id: "indoor-1", kind: "FURNACE_COIL" }],
  });
  expect(wrapper.emitted("changed")).toHaveLength(1);
});
