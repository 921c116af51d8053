import { flushPromises, mount } from "@vue/test-utils";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { ref } from "vue";
import { ProblemError } from "../api/client";
import { answering } from "../api/mocked";
import CrewsPage from "./CrewsPage.vue";
import PaperBoxes from "./PaperBoxes.vue";
import RecordEntry from "./RecordEntry.vue";
import RecordPage from "./RecordPage.vue";
import RecordsPage from "./RecordsPage.vue";

vi.mock("../api/client", async (original) => ({
  ...(await original<typeof import("../api/client")>()),
  api: { get: vi.fn(), post: vi.fn(), put: vi.fn(), remove: vi.fn(), upload: vi.fn(), file: vi.fn() },
}));
const push = vi.fn();
vi.mock("vue-router", () => ({ useRouter: () => ({ push }), useRoute: () => ({ query: {} }) }));
const role = ref("INSPECTOR");
vi.mock("../session/useSession", () => ({
  useSession: () => ({ person: { value: { role: role.value } } }),
}));
const get = answering("get");
const post = answering("post");
const put = answering("put");
const remove = answering("remove");
const upload = answering("upload");
const file = answering("file");

const found = (over: object = {}) => ({
  check: "record.pressure-hold",
  subject: "line-set-indoor-1",
  subjectTitle: "Line set",
  title: "Pressure hold against temperature",
  outcome: "DOUBTFUL",
  outcomeTitle: "Doubtful",
  strength: "unlikely as recorded",
  times: 2000,
  because: "It stood at 430 psig.",
  tests: "The pressure at the end",
  shows: "that",
  cannot: "this",
  innocent: ["The thermometer lay in the sun"],
  asks: "How were they read?",
  sources: ["Nitrogen"],
  on: [],
  figure: {
    title: "",
    spoken: "Expected: 410 to 420 psig. Claimed: 430 psig",
    caption: ["Expected: 410 to 420 psig", "Claimed: 430 psig"],
    width: 520,
    height: 90,
    measure: { left: 0, low: 0, right: 1, high: 1, x0: 0, y0: 90, across: 520, up: 90 },
    pieces: [],
  },
  ...over,
});

const record = (over: object = {}) => ({
  id: "r",
  installationId: "i",
  reference: "LH-05",
  title: "Press room",
  building: "Herbarium",
  crew: "Dunmarrow",
  signedBy: "Fitter",
  day: "2026-07-09",
  released: false,
  version: 3,
  values: [
    {
      id: "c1",
      point: "p",
      component: "x",
      title: "Hold, end",
      typed: "430 psig",
      own: "412 psig",
      doubted: true,
    },
  ],
  documents: [],
  found: [found(), found({ check: "record.order", outcome: "CONSISTENT", outcomeTitle: "Consistent" })],
  readAgain: [
    {
      point: "tightness.end-pressure",
      component: "l",
      title: "Hold, pressure",
      stake: "DAMAGE",
      why: "Pressure hold",
      station: "tightness",
    },
  ],
  questions: [],
  ...over,
});

beforeEach(() => {
  role.value = "INSPECTOR";
  get.mockImplementation(() => Promise.resolve(record()));
});
afterEach(() => {
  vi.resetAllMocks();
});

const stubs = { global: { stubs: { RouterLink: { template: "<a><slot /></a>" } } } };

async function page(id = "r") {
  const wrapper = mount(RecordPage, { props: { id }, ...stubs });
  await flushPromises();
  return wrapper;
}

test("the verdict comes first, a doubt with its innocent explanations and its drawing", async () => {
  const wrapper = await page();
  expect(wrapper.find("h1").text()).toBe("1 of 2 checks leaves a doubt");
  const card = wrapper.find(".found.doubtful");
  expect(card.text()).toContain("unlikely as recorded, ");
  expect(card.text()).toContain("The thermometer lay in the sun");
  expect(card.find("figure svg").attributes("aria-label")).toContain("Claimed: 430 psig");
  expect(card.find("figcaption").text()).toContain("Expected: 410 to 420 psig");
  expect(wrapper.find("tr.doubted").text()).toContain("412 psig");
  expect(wrapper.find(".again").text()).toContain("Hold, pressure");
});

test("a question is chosen, sent, and not asked twice", async () => {
  const wrapper = await page();
  const send = () => wrapper.findAll("button").find((each) => each.text().startsWith("Write to the crew"));
  expect(send()?.attributes("disabled")).toBeDefined();
  await wrapper.find(".ask input").setValue(true);
  post.mockResolvedValueOnce([]);
  get.mockResolvedValueOnce(
    record({
      questions: [
        {
          id: "q",
          check: "record.pressure-hold",
          subject: "line-set-indoor-1",
          question: "How?",
          askedBy: "inspector",
          askedAt: "2026-07-10T10:00:00Z",
        },
      ],
    }),
  );
  await send()?.trigger("click");
  await flushPromises();
  expect(post.mock.calls[0]).toEqual([
    "/api/records/r/questions",
    { questions: [{ check: "record.pressure-hold", subject: "line-set-indoor-1" }] },
  ]);
  expect(wrapper.find(".found.doubtful").text()).toContain("Asked.");
  expect(wrapper.find(".question").text()).toContain("Not answered yet.");
});

test("a line read by both says whether the two agree", async () => {
  const values = (["AGREES", "DISAGREES", "CANNOT_TELL", undefined] as const).map((agreement, index) => ({
    ...record().values[0],
    id: `c${index}`,
    own: agreement && "412 psig",
    agreement,
  }));
  get.mockResolvedValueOnce(record({ values }));
  const wrapper = await page();
  const said = wrapper
    .findAll(".left tbody tr")
    .map((row) => row.findAll("td").at(2)?.findAll("span").at(1)?.text());
  expect(said).toEqual(["agrees", "disagrees", "cannot tell", undefined]);
});

test("a crew sees its record and answers, and no doubts before they are released", async () => {
  role.value = "CREW";
  get.mockResolvedValueOnce(
    record({
      found: [],
      readAgain: [],
      questions: [
        {
          id: "q",
          check: "c",
          subject: "s",
          question: "How?",
          askedBy: "inspector",
          askedAt: "2026-07-10T10:00:00Z",
        },
      ],
    }),
  );
  const wrapper = await page();
  expect(wrapper.find("h1").text()).toBe("Commissioning record");
  expect(wrapper.text()).not.toContain("Release");
  await wrapper.find("textarea").setValue("In the shade.");
  const button = (text: string) => wrapper.findAll("button").find((each) => each.text().startsWith(text));
  await button("Add a reading")?.trigger("click");
  await wrapper.find("[aria-label='Reading, with its unit']").setValue("900 °F");
  post.mockRejectedValueOnce(new ProblemError({ status: 422, detail: "Far from usual.", ask: true }));
  await wrapper.find(".question form").trigger("submit");
  await flushPromises();
  const asked = {
    words: "In the shade.",
    readings: [{ point: "p", component: "x", typed: "900 °F", grade: "RECORDED" }],
  };
  expect(post.mock.calls[0]?.[1]).toEqual({ ...asked, confirmed: false });
  expect(wrapper.find("[role=alert]").text()).toBe("Far from usual.");
  post.mockResolvedValueOnce({});
  await wrapper.find(".question form").trigger("submit");
  await flushPromises();
  expect(String(post.mock.calls[1]?.[0])).toContain("/api/questions/q/answer");
  expect(post.mock.calls[1]?.[1]).toEqual({ ...asked, confirmed: true });
});

test("a PDF is turned page by page, and a box belongs to the page it was drawn on", async () => {
  const paper = {
    id: "d",
    name: "p.pdf",
    mediaType: "application/pdf",
    bytes: 1,
    pages: 2,
    addedBy: "i",
    addedAt: "",
  };
  const box = { document: "d", page: 2, left: 0.1, top: 0.1, width: 0.2, height: 0.1 };
  const values = record().values.map((each, index) => (index ? each : { ...each, box }));
  const wrapper = mount(PaperBoxes, {
    props: { record: record({ documents: [paper], values }) as never, inspects: true },
  });
  expect(wrapper.find("img").attributes("src")).toBe("/api/record-documents/d/pages/1");
  expect(wrapper.findAll(".box")).toHaveLength(0);
  expect(wrapper.text()).toContain("boxes on page 2 too");
  await wrapper
    .findAll("button")
    .find((each) => each.text() === "Next page")
    ?.trigger("click");
  expect(wrapper.find("img").attributes("src")).toBe("/api/record-documents/d/pages/2");
  expect(wrapper.findAll(".box")).toHaveLength(1);
});

test("many records come in from one file; what cannot be taken is named and the crews are audited anew", async () => {
  vi.useFakeTimers();
  const audit = { id: "a", state: "DONE", done: 0, total: 0, crews: [] };
  post.mockResolvedValue(audit);
  const wrapper = mount(CrewsPage, stubs);
  await vi.advanceTimersByTimeAsync(10);
  const coming = {
    id: "m",
    state: "RUNNING",
    done: 1,
    total: 3,
    brought: 1,
    already: 0,
    refused: 0,
    named: [],
  };
  upload.mockResolvedValueOnce(coming);
  get.mockResolvedValueOnce({
    ...coming,
    state: "DONE",
    done: 3,
    brought: 2,
    refused: 1,
    named: [{ file: "b.csv", why: "Line 8: no unit." }],
  });
  const input = wrapper.find<HTMLInputElement>("input[type=file]");
  Object.defineProperty(input.element, "files", { value: [new File(["zip"], "records.zip")] });
  await input.trigger("change");
  await vi.advanceTimersByTimeAsync(10);
  expect(wrapper.find("[role=status]").text()).toContain("1 of 3 records are saved");
  await vi.advanceTimersByTimeAsync(400);
  expect(wrapper.find("[role=status]").text()).toContain("2 of 3 records are saved; 1 cannot be taken");
  expect(wrapper.text()).toContain("Line 8: no unit.");
  expect(post).toHaveBeenCalledTimes(2);
  vi.useRealTimers();
});

test("a logger's file is kept at once and the record names it by its digest", async () => {
  const wrapper = mount(RecordEntry, {
    props: { id: "i", lines: [{ ...line("one"), kind: "CURVE" }] as never },
  });
  file.mockResolvedValueOnce({
    sha256: "ab",
    samples: 90,
    from: "2026-08-04T09:00:00Z",
    to: "2026-08-04T10:00:00Z",
  });
  const input = wrapper.find<HTMLInputElement>("tbody input[type=file]");
  Object.defineProperty(input.element, "files", { value: [new File(["time,Pa"], "log.csv")] });
  await input.trigger("change");
  await flushPromises();
  expect(wrapper.text()).toContain("90 samples");
  post.mockResolvedValueOnce({ id: "r" });
  await wrapper.find("form").trigger("submit");
  await flushPromises();
  expect((post.mock.calls[0]?.[1] as { values: object[] }).values[0]).toMatchObject({ value: "ab" });
});

test("release and weather go out with the version that was seen; a refusal is shown", async () => {
  const wrapper = await page();
  put.mockRejectedValueOnce(
    new ProblemError({ status: 409, detail: "Somebody changed this record meanwhile." }),
  );
  await wrapper
    .findAll("button")
    .find((each) => each.text().startsWith("Release"))
    ?.trigger("click");
  await flushPromises();
  expect(put.mock.calls[0]?.[1]).toMatchObject({ released: true, version: 3 });
  expect(wrapper.find("[role=alert]").text()).toContain("Somebody changed");
});

const line = (point: string, kind = "QUANTITY") => ({
  point,
  component: "x",
  title: point,
  kind,
  options: [
    { id: "a", words: "a" },
    { id: "b", words: "b" },
  ],
});

test("several values go to the lines that follow, a time alone is of the day", async () => {
  const wrapper = mount(RecordEntry, {
    props: { id: "i", lines: [line("one"), line("two"), line("three", "CHOICE")] as never },
  });
  const inputs = wrapper.findAll("tbody input:not(.time)");
  await inputs[0]?.setValue("430 psig; 431 psig");
  await inputs[0]?.trigger("change");
  expect((inputs[1]?.element as HTMLInputElement).value).toBe("431 psig");
  const [by, day] = wrapper.findAll(".head input");
  await by?.setValue("Fitter");
  await day?.setValue("2026-07-09");
  await wrapper.findAll(".time")[0]?.setValue("9:05");
  post.mockResolvedValueOnce({ id: "r" });
  await wrapper.find("form").trigger("submit");
  await flushPromises();
  expect(post.mock.calls[0]?.[1]).toMatchObject({
    signedBy: "Fitter",
    values: [
      { point: "one", value: "430 psig", readAt: "2026-07-09 09:05" },
      { point: "two", value: "431 psig", readAt: undefined },
    ],
  });
  expect(wrapper.emitted("brought")?.[0]).toEqual(["r"]);
});

test("what cannot be taken is said line by line and nothing typed is lost", async () => {
  const wrapper = mount(RecordEntry, { props: { id: "i", lines: [line("one")] as never } });
  await wrapper.findAll("tbody input")[0]?.setValue("430");
  post.mockRejectedValueOnce(new ProblemError({ status: 422, detail: "Line 1: no unit.\nLine 2: no day." }));
  await wrapper.find("form").trigger("submit");
  await flushPromises();
  expect(wrapper.find("[role=alert]").text()).toContain("Line 2");
  expect((wrapper.findAll("tbody input")[0]?.element as HTMLInputElement).value).toBe("430");
});

test("records are listed with their doubts; a crew brings none in", async () => {
  get.mockImplementation((path: string) =>
    Promise.resolve(
      path.endsWith("/records")
        ? [{ id: "r", signedBy: "Fitter", day: "2026-07-09", values: 12, doubts: 2, open: 1 }]
        : path.endsWith("/record-lines")
          ? [line("one")]
          : { title: "Press room", building: "B", system: "S", reference: "LH-05" },
    ),
  );
  const wrapper = mount(RecordsPage, { props: { id: "i" }, ...stubs });
  await flushPromises();
  expect(wrapper.find(".records").text()).toContain("2 doubts");
  expect(wrapper.find(".records").text()).toContain("1 unanswered");
  role.value = "CREW";
  const crew = mount(RecordsPage, { props: { id: "i" }, ...stubs });
  await flushPromises();
  expect(crew.text()).not.toContain("Bring one in");
});

test("a box is drawn from corner to corner round the chosen value, and taken away", async () => {
  const paper = { id: "d", name: "paper.png", mediaType: "image/png", bytes: 1, addedBy: "i", addedAt: "" };
  const wrapper = mount(PaperBoxes, {
    props: { record: record({ documents: [paper] }) as never, inspects: true },
  });
  const area = wrapper.find(".paper");
  const element = area.element as HTMLElement;
  element.setPointerCapture = vi.fn();
  element.getBoundingClientRect = () => ({ left: 0, top: 0, width: 100, height: 200 }) as DOMRect;
  await wrapper.find("select").setValue("c1");
  await area.trigger("pointerdown", { clientX: 10, clientY: 20, pointerId: 1 });
  await area.trigger("pointermove", { clientX: 60, clientY: 40 });
  put.mockResolvedValueOnce({});
  await area.trigger("pointerup");
  await flushPromises();
  const [path, box] = put.mock.calls[0] as [string, Record<string, number>];
  expect(path).toBe("/api/claims/c1/box");
  expect(box.left).toBeCloseTo(0.1);
  expect(box.width).toBeCloseTo(0.5);
  expect(wrapper.emitted("changed")).toHaveLength(1);
});

test("all crews are audited, followed and may be stopped", async () => {
  vi.useFakeTimers();
  const running = { id: "a", state: "RUNNING", done: 1, total: 9, crews: [] };
  post.mockResolvedValueOnce(running);
  get.mockResolvedValueOnce({ ...running, done: 4 });
  const wrapper = mount(CrewsPage, stubs);
  await vi.advanceTimersByTimeAsync(300);
  expect(wrapper.find("progress").attributes("value")).toBe("4");
  remove.mockResolvedValueOnce({ ...running, state: "CANCELLED", done: 4 });
  await wrapper
    .findAll("button")
    .find((each) => each.text() === "Stop")
    ?.trigger("click");
  await vi.advanceTimersByTimeAsync(10);
  expect(wrapper.text()).toContain("Stopped after 4 of 9");
  vi.useRealTimers();
});
