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

const sheet = { maker: "Ondrel", document: "4410", refrigerant: "R32", version: 1, installations: 0 };
const SHEETS = [
  { ...sheet, model: "WS-12", kind: "OUTDOOR", ownSupply: true, pairs: ["WS-12 I"] },
  { ...sheet, model: "WS-12 I", kind: "INDOOR_WALL", ownSupply: false, pairs: [] },
  { ...sheet, model: "DX-42 A", kind: "INDOOR_DUCTED", ownSupply: true, pairs: [] },
];
const OTHER = {
  building: "Lido",
  crew: "Threeways Cooling",
  system: "Multi split",
  ruleBook: "design",
  replacement: true,
  components: [
    { id: "outdoor-1", kind: "OUTDOOR", title: "Outdoor unit, roof", ownSupply: true, model: "WS-12" },
    { id: "indoor-1", kind: "INDOOR_WALL", title: "Nook", ownSupply: false },
  ],
};

beforeEach(() => {
  answering("get").mockImplementation((path: string) =>
    Promise.resolve(
      path.endsWith("/choices")
        ? {
            reference: "LH-51",
            crews: ["Nettlebank Mechanical"],
            places: [
              { name: "Lido", elevation: "640 m" },
              { name: "Pumphouse", elevation: "655 m" },
            ],
          }
        : path.includes("rule-books")
          ? [{ id: "plate", title: "Plate book", version: 2 }]
          : path.includes("data-sheets")
            ? SHEETS
            : path.includes("?")
              ? { entries: [{ id: "i9", reference: "LH-09", title: "Lido nook" }] }
              : OTHER,
    ),
  );
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
  const submit = async () => {
    await wrapper.find("form").trigger("submit");
    await flushPromises();
    return post.mock.calls.at(-1)?.[1] as Schemas["NewInstallation"];
  };
  return { wrapper, submit };
}

test("units, titles and system follow from the model; place and crew are chosen, the rest can wait", async () => {
  const { wrapper, submit } = await dialog();
  await wrapper.find("#new-model-0").setValue("WS-12");
  await wrapper.find("#new-model-0").trigger("change");
  expect(wrapper.find<HTMLInputElement>("#new-model-1").element.value).toBe("WS-12 I");
  await wrapper.find("#new-building").setValue("Lido");
  expect(wrapper.find("#new-elevation").exists()).toBe(false);
  await wrapper.find("#new-crew").setValue("Nettlebank Mechanical");
  post.mockResolvedValueOnce({ id: "new" });
  expect(await submit()).toMatchObject({
    reference: "LH-51",
    title: "Lido, Ondrel WS-12, Ondrel WS-12 I",
    system: "Ondrel WS-12, Ondrel WS-12 I",
    elevation: "640 m",
    crew: "Nettlebank Mechanical",
    ruleBook: "plate",
    components: [
      { title: "Outdoor unit", kind: "OUTDOOR", ownSupply: true, model: "WS-12" },
      { title: "Wall unit", kind: "INDOOR_WALL", ownSupply: false, model: "WS-12 I" },
    ],
  });
  expect(wrapper.emitted("entered")?.[0]).toEqual(["new"]);
});

test("an installation may stand at another height than its building", async () => {
  const { wrapper, submit } = await dialog();
  await wrapper.find("#new-building").setValue("Lido");
  await wrapper.find(".stands .button").trigger("click");
  const field = wrapper.find<HTMLInputElement>("#new-elevation");
  expect(field.element.value).toBe("640 m");
  await field.setValue("700 m");
  post.mockResolvedValueOnce({ id: "new" });
  expect((await submit()).elevation).toBe("700 m");
});

test("another building takes its own height, not what was typed for the one before", async () => {
  const { wrapper, submit } = await dialog();
  await wrapper.find("#new-building").setValue("Lido");
  await wrapper.find(".stands .button").trigger("click");
  await wrapper.find("#new-elevation").setValue("700 m");
  await wrapper.find("#new-building").setValue("Pumphouse");
  expect(wrapper.find("#new-elevation").exists()).toBe(false);
  post.mockResolvedValueOnce({ id: "new" });
  expect((await submit()).elevation).toBe("655 m");
});

test("indoor models are offered as they are listed with the outdoor one; a model nobody knows goes as it is typed", async () => {
  const { wrapper, submit } = await dialog();
  const offered = () => wrapper.findAll("#new-models-1 option").map((option) => option.attributes("value"));
  expect(offered()).toEqual(["WS-12 I", "DX-42 A"]);
  await wrapper.find("#new-model-0").setValue("WS-12");
  expect(offered()).toEqual(["WS-12 I"]);
  await wrapper.find("#new-model-0").setValue(" Nobody's 7 ");
  await wrapper.find("#new-model-0").trigger("change");
  post.mockResolvedValueOnce({ id: "new" });
  expect((await submit()).components[0]).toMatchObject({ kind: "OUTDOOR", model: "Nobody's 7" });
});

test("like another one: its units, models, place, crew and book are taken", async () => {
  const { wrapper, submit } = await dialog();
  await wrapper.find("#new-like").setValue("lido");
  await flushPromises();
  expect(wrapper.find("#new-others option").attributes("value")).toBe("LH-09 Lido nook");
  await wrapper.find("#new-like").setValue("LH-09 Lido nook");
  await flushPromises();
  post.mockResolvedValueOnce({ id: "new" });
  expect(await submit()).toMatchObject({
    reference: "LH-51",
    building: "Lido",
    crew: "Threeways Cooling",
    ruleBook: "design",
    replacement: true,
    components: [
      { title: "Outdoor unit, roof", model: "WS-12" },
      { title: "Nook", model: undefined },
    ],
  });
});

test("several units of a kind are numbered, and units are left out, but never the last", async () => {
  const { wrapper } = await dialog();
  const press = (words: string) =>
    wrapper
      .findAll("button")
      .find((button) => button.text() === words)
      ?.trigger("click");
  await press("Add a unit");
  expect(wrapper.findAll(".unit .label").map((label) => label.text())).toEqual([
    "Outdoor unit, model",
    "Wall unit 1, model",
    "Wall unit 2, model",
  ]);
  await wrapper.findAll(".unit button")[2]?.trigger("click");
  await wrapper.findAll(".unit button")[1]?.trigger("click");
  expect(wrapper.findAll(".unit")).toHaveLength(1);
  expect(wrapper.find(".unit button").attributes("disabled")).toBeDefined();
});

test("what stands outdoors has a circuit of its own, whichever kind is chosen", async () => {
  const { wrapper, submit } = await dialog();
  await wrapper.findAll(".unit select")[1]?.setValue("PACKAGED");
  await wrapper.findAll(".unit button")[0]?.trigger("click");
  post.mockResolvedValueOnce({ id: "new" });
  expect((await submit()).components).toMatchObject([
    { title: "Packaged unit", kind: "PACKAGED", ownSupply: true },
  ]);
});

test("what is wrong is said beside its field, what could wait is unfolded for it, and everything typed stays", async () => {
  const { wrapper, submit } = await dialog();
  await wrapper.find("#new-elevation").setValue("high");
  post.mockRejectedValueOnce(
    new ProblemError({
      status: 422,
      detail: "Nothing was entered.",
      fields: { elevation: "A height is needed.", reference: "This one is taken." },
    }),
  );
  await submit();
  const field = wrapper.find("#new-elevation");
  expect(field.attributes("aria-invalid")).toBe("true");
  expect((field.element as HTMLInputElement).value).toBe("high");
  expect(wrapper.text()).toContain("A height is needed.");
  expect(wrapper.text()).toContain("This one is taken.");
  expect(wrapper.emitted("entered")).toBeUndefined();
});
