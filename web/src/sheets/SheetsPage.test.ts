import { flushPromises, mount } from "@vue/test-utils";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { ref } from "vue";
import { ProblemError } from "../api/client";
import { answering } from "../api/mocked";
import SheetsPage from "./SheetsPage.vue";

vi.mock("../api/client", async (original) => ({
  ...(await original<typeof import("../api/client")>()),
  api: { get: vi.fn(), file: vi.fn(), remove: vi.fn() },
}));
vi.mock("vue-router", () => ({ useRoute: () => ({ query: {} }), useRouter: () => ({ replace: vi.fn() }) }));
const role = ref("QUALITY_LEAD");
vi.mock("../session/useSession", () => ({
  useSession: () => ({ person: { value: { role: role.value } } }),
}));
const get = answering("get");
const send = answering("file");
const remove = answering("remove");

const version = (number: number) => ({
  version: number,
  document: `4410, edition ${number}`,
  addedBy: "lead",
  addedAt: "2026-11-01T10:00:00Z",
});

beforeEach(() => {
  role.value = "QUALITY_LEAD";
  get.mockImplementation((path: string) => {
    if (path.includes("/refrigerants")) {
      return Promise.resolve({
        refrigerants: [
          {
            name: "R32",
            safetyClass: "A2L",
            lowerFlammabilityLimit: "0.307 kg/m³",
            warmingPotential: 675,
            described: "-40 °F to 160 °F",
          },
        ],
        columns: ["refrigerant", "t_C"],
      });
    }
    if (path.includes("differences")) {
      return Promise.resolve([{ key: "mass", title: "Mass of the unit", before: "86 lb", after: "90 lb" }]);
    }
    return Promise.resolve(
      path.includes("/sheet?")
        ? {
            maker: "Ondrel",
            model: "WS-12",
            document: "4410, edition 2",
            version: 2,
            versions: [version(1), version(2)],
            sections: [
              {
                title: "Torques",
                fields: [
                  { key: "torques[1].tube", title: "Torques 1, tube", value: "1/4 in" },
                  { key: "torques[1].torque", title: "Torques 1, torque", value: "18 N·m" },
                ],
              },
              {
                title: "Size, sound and mounting",
                fields: [{ key: "mass", title: "Mass of the unit", value: "90 lb" }],
              },
            ],
            pairs: [
              {
                indoorModel: "WS-12 I",
                cooling: "12 kBtu/h",
                capacities: [{ mode: "cooling", outdoor: "95 F", indoor: "67 F", total: "12 kBtu/h" }],
              },
            ],
          }
        : [
            {
              maker: "Ondrel",
              model: "WS-12",
              document: "4410",
              refrigerant: "R32",
              version: 2,
              installations: 3,
            },
          ],
    );
  });
});
afterEach(() => vi.resetAllMocks());

async function page() {
  const wrapper = mount(SheetsPage, { global: { stubs: ["RouterLink"] } });
  await flushPromises();
  return wrapper;
}

async function read(wrapper: Awaited<ReturnType<typeof page>>, text: string) {
  const input = wrapper.find("input[type=file]");
  Object.defineProperty(input.element, "files", { value: [new File([text], "s.json")], configurable: true });
  await input.trigger("change");
  await flushPromises();
}

test("a sheet is shown part by part, what is numbered as a table, and with its pairs", async () => {
  const wrapper = await page();
  expect(wrapper.text()).toContain("3 in use");
  const [torques, size] = wrapper.findAll(".section");
  expect(torques?.findAll("td").map((cell) => cell.text())).toEqual(["tube 1/4 in", "torque 18 N·m"]);
  expect(torques?.find(".fields").text()).toBe("");
  expect(size?.find(".fields").text()).toContain("90 lb");
  expect(wrapper.find(".pair").text()).toContain("Listed with WS-12 I");
  expect(wrapper.find(".pair table").text()).toContain("95 F");
});

test("two versions are compared where they differ", async () => {
  const wrapper = await page();
  await wrapper.findAll("select")[1]?.findAll("option")[1]?.setValue(true);
  await flushPromises();
  expect(get.mock.calls.at(-1)?.[0]).toContain("from=1&to=2");
  expect(wrapper.text()).toContain("→ 90 lb");
});

/** A trial as the server tells it; one installation of three changes. */
const trial = {
  id: "t",
  state: "DONE",
  done: 3,
  total: 3,
  changed: 1,
  requirements: [],
  before: { MEETS: 3 },
  now: { MEETS: 2, FAILS: 1 },
  crews: [],
  stations: [],
  installations: [
    {
      id: "i",
      reference: "LH-01",
      title: "Lido",
      crew: "Nettlebank",
      judgements: [
        {
          station: "Siting",
          title: "Bracket bears the unit",
          subject: "Outdoor unit",
          before: "MEETS",
          now: "FAILS",
          because: "short",
        },
      ],
    },
  ],
  seconds: 0.2,
};

const preview = {
  sheets: [
    { model: "WS-12", known: true, differences: [{ key: "mass", title: "Mass", before: "1", after: "2" }] },
  ],
};

test("a file is tried on the archive before it is brought in", async () => {
  const wrapper = await page();
  send.mockResolvedValueOnce(preview).mockResolvedValueOnce(trial);
  await read(wrapper, "{}");
  expect(send.mock.calls[1]?.[0]).toBe("/api/data-sheets/trials");
  expect(wrapper.find(".waiting").text()).toContain("1 of 3 installations would change");
  expect(wrapper.find(".waiting").text()).toContain("Bracket bears the unit");
  send.mockResolvedValueOnce({ models: ["WS-12"] });
  await wrapper.find(".waiting .primary").trigger("click");
  await flushPromises();
  expect(send.mock.calls[2]?.[0]).toBe("/api/data-sheets");
  expect(wrapper.find(".waiting").exists()).toBe(false);
});

test("a trial that still runs is followed, and ends when the file is given up", async () => {
  vi.useFakeTimers();
  const wrapper = await page();
  send.mockResolvedValueOnce(preview).mockResolvedValueOnce({ ...trial, state: "RUNNING", done: 1 });
  await read(wrapper, "{}");
  get.mockResolvedValueOnce({ ...trial, state: "RUNNING", done: 2 });
  await vi.advanceTimersByTimeAsync(300);
  expect(wrapper.find(".waiting").text()).toContain("2 of 3");
  remove.mockResolvedValueOnce({ ...trial, state: "CANCELLED", done: 2 });
  await wrapper
    .findAll(".waiting .tools button")
    .find((button) => button.text() === "Cancel")
    ?.trigger("click");
  await flushPromises();
  expect(remove.mock.calls[0]?.[0]).toBe("/api/trials/t");
  expect(wrapper.find(".waiting").exists()).toBe(false);
  const asked = get.mock.calls.length;
  await vi.advanceTimersByTimeAsync(1000);
  expect(get.mock.calls.length).toBe(asked);
  vi.useRealTimers();
});

test.each(["INSPECTOR", "CREW"])("%s may look but not bring in", async (who) => {
  role.value = who;
  const wrapper = await page();
  send.mockResolvedValueOnce(preview).mockResolvedValueOnce({ ...trial, changed: 0 });
  await read(wrapper, "{}");
  expect(wrapper.find(".waiting .primary").attributes("disabled")).toBeDefined();
  expect(wrapper.text().includes("No verdict rests on what is changed")).toBe(who === "INSPECTOR");
});

test("a file that is none is said and nothing waits", async () => {
  const wrapper = await page();
  send.mockRejectedValueOnce(new ProblemError({ status: 422, detail: "This reads undanus-data-sheets/1." }));
  await read(wrapper, "{}");
  expect(wrapper.find("[role=alert]").text()).toContain("undanus-data-sheets/1");
  expect(wrapper.find(".waiting").exists()).toBe(false);
});

test("a model is found as it is typed", async () => {
  const wrapper = await page();
  await wrapper.find("input[aria-label='Find a model']").setValue("ondrel r32");
  expect(wrapper.findAll("[aria-label=Models] li")).toHaveLength(1);
  await wrapper.find("input[aria-label='Find a model']").setValue("brellick");
  expect(wrapper.text()).toContain("No sheet is called so.");
});

test("a refrigerant is brought in by its file, and what is wrong with it is said", async () => {
  const page = mount(SheetsPage, { global: { stubs: { RouterLink: true } } });
  await flushPromises();
  const section = page.get("[aria-label='Refrigerants']");
  expect(section.text()).toContain("R32");
  expect(section.text()).toContain("0.307 kg/m³");
  send.mockRejectedValueOnce(
    new ProblemError({ detail: "Line 5, p_dew_kPa: it does not rise.", status: 422 }),
  );
  const input = section.get("input[type=file]");
  Object.defineProperty(input.element, "files", {
    value: [new File(["t_C"], "r99.csv")],
    configurable: true,
  });
  await input.trigger("change");
  await flushPromises();
  expect(send).toHaveBeenCalledWith("/api/refrigerants", expect.any(File), "text/csv");
  expect(section.get("[role=alert]").text()).toContain("it does not rise");
});

test("whoever does not lead brings no refrigerant in", async () => {
  role.value = "INSPECTOR";
  const page = mount(SheetsPage, { global: { stubs: { RouterLink: true } } });
  await flushPromises();
  expect(page.get("[aria-label='Refrigerants']").find("input[type=file]").exists()).toBe(false);
});
