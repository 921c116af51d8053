import { flushPromises, mount, RouterLinkStub } from "@vue/test-utils";
import { beforeEach, expect, test, vi } from "vitest";
import { ProblemError, type Schemas } from "../api/client";
import { spied } from "../api/mocked";
import { useSession } from "../session/useSession";
import RegisterPage from "./RegisterPage.vue";

const { person } = useSession();

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
    said: worst === "MEETS" ? "" : `${reference} is 20 A over`,
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
    strip: {
      verdicts: { FAILS: 1, NOT_SHOWN: 1, MEETS: 1 },
      crews: [
        { crew: "Dunmarrow", installations: 2, failing: 1 },
        { crew: "Nettlebank", installations: 1, failing: 0 },
      ],
      stations: [{ station: "ELECTRICAL", title: "Electrical protection", failing: 1 }],
      dueThisWeek: 2,
    },
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

function named(wrapper: Awaited<ReturnType<typeof register>>, words: string) {
  return wrapper.findAll("button").find((button) => button.text().includes(words))!;
}

test("what presses most is said in a sentence, and what is most at stake is asked for first", async () => {
  const wrapper = await register();
  expect(wrapper.findAll("tbody tr")[1]?.text()).toContain("LH-07 is 20 A over");
  expect(get.mock.calls[0]?.[0]).toBe("/api/installations?order=STAKE&units=SI&page=0&size=50");
});

test("the server filters and sorts; when nothing is left the filters can be cleared", async () => {
  const wrapper = await register();
  await wrapper.find("select[aria-label=Crew]").setValue("Dunmarrow");
  await wrapper.find("input[aria-label=Find]").setValue("lh-12");
  await named(wrapper, "Meets").trigger("click");
  await named(wrapper, "Installation").trigger("click");
  await named(wrapper, "Crew").trigger("click");
  await named(wrapper, "Crew").trigger("click");
  get.mockResolvedValueOnce(page({ entries: [], total: 0 }));
  await asked();
  expect(get).toHaveBeenCalledTimes(2);
  const query = get.mock.calls[1]?.[0];
  expect(query).toContain("order=CREW&reversed=true");
  expect(query).toContain("words=lh-12&crew=Dunmarrow&worst=MEETS");
  expect(wrapper.find("a[download]").attributes("href")).toContain("register.csv?order=CREW&reversed=true");
  expect(wrapper.text()).toContain("No installation fits");
  await named(wrapper, "Show all").trigger("click");
  await asked();
  expect(wrapper.findAll("tbody tr")).toHaveLength(3);
});

test("each number of the strip filters by what it counts, and once more shows all again", async () => {
  const wrapper = await register();
  for (const [words, query] of [
    ["Fails", "worst=FAILS"],
    ["Corrections due this week 2", "due=true"],
    ["1 of 2 fail", "crew=Dunmarrow"],
    ["Electrical protection", "station=ELECTRICAL"],
  ] as const) {
    await named(wrapper, words).trigger("click");
    await asked();
    expect(get.mock.calls.at(-1)?.[0]).toContain(query);
    expect(named(wrapper, words).attributes("aria-pressed")).toBe("true");
    await named(wrapper, words).trigger("click");
    await asked();
    expect(get.mock.calls.at(-1)?.[0]).not.toContain(query);
  }
});

test("a filter is kept under a name, comes back by it, and can be forgotten", async () => {
  localStorage.clear();
  const wrapper = await register();
  await wrapper.find("input[aria-label=Find]").setValue("boat");
  await wrapper.find("input[aria-label='Name of this filter']").setValue("Boats");
  await wrapper.find("form.keep").trigger("submit");
  await named(wrapper, "Show all").trigger("click");
  expect(wrapper.find<HTMLInputElement>("input[aria-label=Find]").element.value).toBe("");

  const later = await register();
  await named(later, "Boats").trigger("click");
  expect(later.find<HTMLInputElement>("input[aria-label=Find]").element.value).toBe("boat");
  await named(later, "Forget Boats").trigger("click");
  expect(localStorage.getItem("register-filters")).toBe("{}");
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
  await named(wrapper, "Crew").trigger("click");
  await asked();
  expect(get.mock.calls.at(-1)?.[0]).toContain("page=0");
});

test("a tap on a row opens the walk", async () => {
  const wrapper = await register();
  await wrapper.findAll("tbody tr")[1]!.trigger("click");
  expect(push).toHaveBeenCalledWith("/installations/LH-07/papers");
});

test("an empty register says what to do first, and to the quality lead in three steps", async () => {
  get.mockResolvedValue(page({ entries: [], total: 0, all: 0 }));
  person.value = { name: "i", title: "Inspector", role: "INSPECTOR" };
  expect((await register()).findAll(".first li")).toHaveLength(1);
  person.value = { name: "lead", title: "Lead", role: "QUALITY_LEAD" };
  const steps = (await register()).findAll(".first li").map((step) => step.text());
  expect(steps).toHaveLength(3);
  expect(steps[0]).toContain("Choose what to judge by.");
  expect(steps[1]).toContain("Let others in.");
  expect(steps[2]).toContain("Enter the first installation");
  person.value = undefined;
});

test("what cannot be loaded is said and can be tried again", async () => {
  get.mockRejectedValueOnce(new ProblemError({ status: 0, detail: "No connection." }));
  const wrapper = await register();
  expect(wrapper.find("[role=alert]").text()).toContain("No connection");
  await wrapper.find("[role=alert] button").trigger("click");
  await flushPromises();
  expect(wrapper.findAll("tbody tr")).toHaveLength(3);
});
