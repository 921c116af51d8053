import { flushPromises, mount } from "@vue/test-utils";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { ProblemError, type Schemas } from "../api/client";
import { answering } from "../api/mocked";
import NewInstallation from "./NewInstallation.vue";

vi.mock("../api/client", async (original) => ({
  ...(await original<typeof import("../api/client")>()),
  api: { get: vi.fn(), post: vi.fn() },
}));
const post = answering("post");

beforeEach(() => {
  answering("get").mockResolvedValue([{ id: "plate", title: "Plate book", version: 2 }]);
});
afterEach(() => vi.resetAllMocks());

async function dialog() {
  const wrapper = mount(NewInstallation, {
    props: { modelValue: false },
    global: {
      stubs: { "el-dialog": { template: "<div><slot /></div>" }, "el-date-picker": true },
    },
  });
  await wrapper.setProps({ modelValue: true });
  await flushPromises();
  return wrapper;
}

test("an installation is entered with its units, stage and rule book", async () => {
  const wrapper = await dialog();
  await wrapper.find("#new-reference").setValue("LH-50");
  await wrapper.find("#new-stage").setValue("BEFORE_COVER");
  await wrapper
    .findAll("button")
    .find((b) => b.text() === "Add a unit")
    ?.trigger("click");
  post.mockResolvedValueOnce({ id: "new" });
  await wrapper.find("form").trigger("submit");
  await flushPromises();
  const sent = post.mock.calls[0]?.[1] as Schemas["NewInstallation"];
  expect(sent).toMatchObject({ reference: "LH-50", stage: "BEFORE_COVER", ruleBook: "plate" });
  expect(sent.components.map((c) => c.kind)).toEqual(["OUTDOOR", "INDOOR_WALL", "INDOOR_WALL"]);
  expect(wrapper.emitted("entered")?.[0]).toEqual(["new"]);
});

test("what is wrong is said beside its field and everything typed stays", async () => {
  const wrapper = await dialog();
  await wrapper.find("#new-elevation").setValue("high");
  post.mockRejectedValueOnce(
    new ProblemError({
      status: 422,
      detail: "Nothing was entered.",
      fields: { elevation: "A height is needed." },
    }),
  );
  await wrapper.find("form").trigger("submit");
  await flushPromises();
  const field = wrapper.find("#new-elevation");
  expect(field.attributes("aria-invalid")).toBe("true");
  expect((field.element as HTMLInputElement).value).toBe("high");
  expect(wrapper.text()).toContain("A height is needed.");
  expect(wrapper.emitted("entered")).toBeUndefined();
});

test("units are left out, but never the last", async () => {
  const wrapper = await dialog();
  await wrapper.findAll(".unit button")[1]?.trigger("click");
  expect(wrapper.findAll(".unit")).toHaveLength(1);
  expect(wrapper.find(".unit button").attributes("disabled")).toBeDefined();
});
