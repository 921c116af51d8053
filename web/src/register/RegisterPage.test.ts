import { flushPromises, mount, RouterLinkStub } from "@vue/test-utils";
import { beforeEach, expect, test, vi } from "vitest";
import { api, ProblemError, type Schemas } from "../api/client";
import RegisterPage from "./RegisterPage.vue";

const push = vi.fn();
vi.mock("vue-router", () => ({ useRouter: () => ({ push }) }));

function entry(
  reference: string,
  crew: string,
  worst: Schemas["RegisterEntry"]["worst"],
): Schemas["RegisterEntry"] {
  return {
    id: reference,
    reference,
    title: `Title ${reference}`,
    building: "Lido",
    system: "Wall split",
    crew,
    stage: "final",
    visitedOn: "2026-09-01",
    worst,
    counts: worst === "MEETS" ? { MEETS: 3 } : { [worst]: 2 },
    readings: 5,
  };
}

const get = vi.spyOn(api, "get");

async function register() {
  const wrapper = mount(RegisterPage, {
    global: { stubs: { RouterLink: RouterLinkStub, NewInstallation: true, ImportButton: true } },
  });
  await flushPromises();
  return wrapper;
}

beforeEach(() => {
  get.mockReset();
  push.mockReset();
  get.mockResolvedValue([
    entry("LH-01", "Nettlebank", "MEETS"),
    entry("LH-07", "Dunmarrow", "FAILS"),
    entry("LH-12", "Dunmarrow", "NOT_SHOWN"),
  ] as never);
});

test("each installation stands under its most pressing verdict, in words", async () => {
  const rows = (await register()).findAll("tbody tr").map((row) => row.text());
  expect(rows[1]).toContain("Fails");
  expect(rows[1]).toContain("2 fail");
  expect(rows[0]).toContain("nothing open");
});

test("filters narrow the list and can be cleared when nothing is left", async () => {
  const wrapper = await register();
  await wrapper.find("select[aria-label=Crew]").setValue("Dunmarrow");
  expect(wrapper.findAll("tbody tr")).toHaveLength(2);
  await wrapper.find("input[aria-label=Find]").setValue("lh-12");
  expect(wrapper.findAll("tbody tr")).toHaveLength(1);
  await wrapper.find("select[aria-label='Most pressing verdict']").setValue("MEETS");
  expect(wrapper.text()).toContain("No installation fits");
  await wrapper
    .findAll("button")
    .find((b) => b.text() === "Show all")!
    .trigger("click");
  expect(wrapper.findAll("tbody tr")).toHaveLength(3);
});

test("a tap on a row opens the walk", async () => {
  const wrapper = await register();
  await wrapper.findAll("tbody tr")[1]!.trigger("click");
  expect(push).toHaveBeenCalledWith("/installations/LH-07/papers");
});

test("an empty register says what to do first", async () => {
  get.mockResolvedValue([] as never);
  expect((await register()).text()).toContain("Enter the first installation");
});

test("what cannot be loaded is said and can be tried again", async () => {
  get.mockRejectedValueOnce(new ProblemError({ status: 0, detail: "No connection." }));
  const wrapper = await register();
  expect(wrapper.find("[role=alert]").text()).toContain("No connection");
  await wrapper.find("[role=alert] button").trigger("click");
  await flushPromises();
  expect(wrapper.findAll("tbody tr")).toHaveLength(3);
});
