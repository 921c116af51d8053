import { flushPromises, mount } from "@vue/test-utils";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { ProblemError } from "../api/client";
import { answering } from "../api/mocked";
import { useUnits } from "../frame/useUnits";
import ReportPage from "./ReportPage.vue";

vi.mock("../api/client", async (original) => ({
  ...(await original<typeof import("../api/client")>()),
  api: { get: vi.fn() },
}));
const get = answering("get");

beforeEach(() => {
  get.mockImplementation((path: string) =>
    Promise.resolve(
      path.includes("/report?")
        ? { pages: path.includes("LETTER") ? 4 : 3 }
        : { id: "i", reference: "LH-01", title: "Lido", building: "Lido", system: "Split", display: "SI" },
    ),
  );
});
afterEach(() => vi.resetAllMocks());

async function page() {
  const wrapper = mount(ReportPage, {
    props: { id: "i" },
    global: { stubs: ["RouterLink", "VisitSummary"] },
  });
  await flushPromises();
  await flushPromises();
  return wrapper;
}

test("every page of the report is shown, and what is downloaded is what is shown", async () => {
  const wrapper = await page();
  const images = wrapper.findAll("img");
  expect(images).toHaveLength(3);
  expect(images[2]?.attributes("alt")).toBe("Page 3 of 3");
  const query = images[0]?.attributes("src")?.split("?")[1];
  expect(wrapper.find("a.primary").attributes("href")).toBe(`/api/installations/i/report.pdf?${query}`);
});

test("another paper is laid out anew; the facts are asked for once", async () => {
  const wrapper = await page();
  await wrapper.findAll(".papers button")[1]?.trigger("click");
  await flushPromises();
  expect(wrapper.findAll("img")).toHaveLength(4);
  expect(wrapper.find("a.primary").attributes("href")).toContain("paper=LETTER");
  expect(get.mock.calls.filter(([path]) => path === "/api/installations/i")).toHaveLength(1);
});

test("the reader's units go into the report", async () => {
  const { toggle } = useUnits();
  const wrapper = await page();
  expect(wrapper.find("a.primary").attributes("href")).toContain("units=SI");
  toggle();
  await flushPromises();
  expect(wrapper.find("a.primary").attributes("href")).toContain("units=US");
  toggle();
});

test("photos leave with the open data only when asked for, their place only when asked for too", async () => {
  const wrapper = await page();
  const data = () => wrapper.find("a[href*='case.json']").attributes("href");
  expect(data()).toContain("photos=NONE");
  await wrapper.find("select").setValue("STRIPPED");
  expect(data()).toContain("photos=STRIPPED");
});

test("what went wrong is said and can be tried again", async () => {
  get.mockRejectedValueOnce(new ProblemError({ status: 404, detail: "There is no such installation." }));
  const wrapper = await page();
  expect(wrapper.find("[role=alert]").text()).toContain("no such installation");
  await wrapper.find("[role=alert] button").trigger("click");
  await flushPromises();
  expect(wrapper.find("[role=alert]").exists()).toBe(false);
  expect(wrapper.findAll("img")).toHaveLength(3);
});

test("what the report holds is chosen, and the screen's page and the site note hold the same", async () => {
  const wrapper = await page();
  const boxes = wrapper.findAll("input[type=checkbox]");
  await boxes[0]?.setValue(false);
  await boxes[2]?.setValue(true);
  await flushPromises();
  expect(wrapper.find("a.primary").attributes("href")).toContain("derivations=true");
  const links = wrapper.findAll("a").map((link) => link.attributes("href") ?? "");
  const screen = links.find((link) => link.includes("report.html"));
  expect(screen).toContain("derivations=true");
  expect(screen).toContain("stations=false");
  expect(screen).not.toContain("paper=");
  expect(links.some((link) => link.includes("site-note.pdf"))).toBe(true);
  expect(links.some((link) => link.includes("owner.pdf"))).toBe(true);
});
