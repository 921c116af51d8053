import { flushPromises, mount, RouterLinkStub } from "@vue/test-utils";
import { beforeEach, expect, test, vi } from "vitest";
import { ProblemError, type Schemas } from "../api/client";
import { spied } from "../api/mocked";
import RegisterPage from "./RegisterPage.vue";

const push = vi.fn();
vi.mock("vue-router", () => ({ useRouter: () => ({ push }) }));

function entry(
  reference: string,
  crew: string,
  worst: NonNullable<Schemas["RegisterEntry"]["worst"]>,
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

const get = spied("get");

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
  get.mockResolvedValue(page());
});

function page(more: Partial<Schemas["RegisterPage"]> = {}): Schemas["RegisterPage"] {
  return {
    entries: [
      entry("LH-01", "Nettlebank", "MEETS"),
      entry("LH-07", "Dunmarrow", "FAILS"),
      entry("LH-12", "Dunmarrow", "NOT_SHOWN"),
    ],
    total: 3,
    all: 3,
    outdated: 0,
    crews: ["Dunmarrow", "Nettlebank"],
    ...more,
  };
}

/** Until what was typed has been asked for. */
async function asked() {
  await new Promise((done) => setTimeout(done, 300));
  await flushPromises();
}

test("each installation stands under its most pressing verdict, in words", async () => {
  const rows = (await register()).findAll("tbody tr").map((row) => row.text());
  expect(rows[1]).toContain("Fails");
  expect(rows[1]).toContain("2 fail");
  expect(rows[0]).toContain("nothing open");
});

test("the server filters and sorts; when nothing is left the filters can be cleared", async () => {
  const wrapper = await register();
  await wrapper.find("select[aria-label=Crew]").setValue("Dunmarrow");
  await wrapper.find("input[aria-label=Find]").setValue("lh-12");
  await wrapper.find("select[aria-label='Most pressing verdict']").setValue("MEETS");
  await wrapper.find("select[aria-label=Sorted]").setValue("PRESSING");
  get.mockResolvedValueOnce(page({ entries: [], total: 0 }));
  await asked();
  expect(get).toHaveBeenCalledTimes(2);
  expect(get.mock.calls[1]?.[0]).toBe(
    "/api/installations?order=PRESSING&page=0&size=50&words=lh-12&crew=Dunmarrow&worst=MEETS",
  );
  expect(wrapper.text()).toContain("No installation fits");
  await wrapper
    .findAll("button")
    .find((b) => b.text() === "Show all")!
    .trigger("click");
  await asked();
  expect(wrapper.findAll("tbody tr")).toHaveLength(3);
});

test("a long register comes page by page, and says what is still being judged", async () => {
  get.mockResolvedValue(page({ total: 120, all: 120, outdated: 7 }));
  const wrapper = await register();
  expect(wrapper.get("[role=status]").text()).toContain("7 installations");
  const [back, next] = wrapper.findAll("nav button");
  expect(back?.attributes("disabled")).toBeDefined();
  await next?.trigger("click");
  await asked();
  expect(get.mock.calls.at(-1)?.[0]).toContain("page=1");
  expect(wrapper.get("nav").text()).toContain("51 to 53 of 120");
  await wrapper.find("select[aria-label=Sorted]").setValue("CREW");
  await asked();
  expect(get.mock.calls.at(-1)?.[0]).toContain("page=0");
});

test("a tap on a row opens the walk", async () => {
  const wrapper = await register();
  await wrapper.findAll("tbody tr")[1]!.trigger("click");
  expect(push).toHaveBeenCalledWith("/installations/LH-07/papers");
});

test("an empty register says what to do first", async () => {
  get.mockResolvedValue(page({ entries: [], total: 0, all: 0 }));
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
