import { flushPromises, mount } from "@vue/test-utils";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { nextTick, ref } from "vue";
import { type Schemas } from "../../api/client";
import { spied } from "../../api/mocked";
import { drawing, onScreen, piece } from "./drawing.fixture";
import DrawingFigure from "./DrawingFigure.vue";
import StationFigure from "./StationFigure.vue";
import { useDrawings, type Room } from "./useDrawings";

const pieces = [
  piece("LINE", { points: "0.0,0.0 5.0,5.0", verdict: "FAILS", judgement: "a@b", line: "a@b" }),
  piece("AREA", { points: "0.0,0.0 5.0,5.0 0.0,5.0", role: "BODY" }),
  piece("CIRCLE", { radius: 4, line: "c@d" }),
  piece("WORDS", { text: "800 mm", anchor: "START", verdict: "FAILS", judgement: "a@b" }),
];

afterEach(() => {
  vi.restoreAllMocks();
});

test("a drawing is shown as it was laid out, and said in a sentence", () => {
  const figure = mount(DrawingFigure, { props: { drawing: drawing("Roof", pieces), lit: [] } });
  expect(figure.attributes()).toMatchObject({
    width: "300",
    height: "200",
    "aria-label": "Roof. What there is.",
  });
  expect(figure.get("polyline").attributes("points")).toBe("0.0,0.0 5.0,5.0");
  expect(figure.get("circle").attributes()).toMatchObject({ cx: "10", cy: "20", r: "4" });
  expect(figure.get("text").attributes()).toMatchObject({ x: "10", y: "20", "text-anchor": "start" });
  expect(figure.get("text").text()).toBe("800 mm");
  expect(figure.get("polyline").attributes("style")).toContain("--fails");
});

test("what stands for something opens it, the rest does not", async () => {
  const figure = mount(DrawingFigure, { props: { drawing: drawing("", pieces), lit: [] } });
  await figure.get("polygon").trigger("click");
  expect(figure.emitted("open")).toBeUndefined();
  await figure.get("circle").trigger("click");
  await figure.get("text").trigger("click");
  expect(figure.emitted<Schemas["FigurePiece"][]>("open")?.map(([p]) => p?.line ?? p?.judgement)).toEqual([
    "c@d",
    "a@b",
  ]);
});

test("what is looked at elsewhere is lit", () => {
  const figure = mount(DrawingFigure, { props: { drawing: drawing("", pieces), lit: ["c@d"] } });
  expect(figure.findAll(".lit")).toHaveLength(1);
  expect(figure.get("circle").classes()).toContain("lit");
});

test("a drawn thing is grabbed, and where that was is known in metres", async () => {
  const figure = mount(DrawingFigure, {
    props: { drawing: drawing("", [piece("AREA", { thing: "wall-1" })]), lit: ["wall-1"] },
  });
  onScreen(figure.element);
  await figure.get("polygon").trigger("pointerdown");
  expect(figure.emitted("grab")?.[0]?.[0]).toBe("wall-1");
  expect(figure.get("polygon").classes()).toContain("lit");
  expect(figure.vm.place({ clientX: 150, clientY: 50 } as PointerEvent)).toEqual([1.5, 1.5]);
});

const get = vi.fn();

beforeEach(() => {
  get.mockReset();
  spied("get").mockImplementation(get);
});

test("drawings are asked for in the room there is, and again when it or the readings change", async () => {
  get.mockResolvedValue([drawing("A")]);
  const room = ref<Room | undefined>();
  const stamp = ref(0);
  const { drawings } = useDrawings(() => ({ id: "i", station: "s" }), stamp, room);
  await flushPromises();
  expect(get).not.toHaveBeenCalled();
  room.value = { width: 512.7, height: 60 };
  await flushPromises();
  expect(get).toHaveBeenLastCalledWith(
    "/api/installations/i/stations/s/drawings?units=SI&width=512&height=120",
  );
  expect(drawings.value).toHaveLength(1);
  stamp.value++;
  await flushPromises();
  expect(get).toHaveBeenCalledTimes(2);
});

test("an answer that was overtaken is dropped", async () => {
  let answerFirst: (value: unknown) => void = () => {};
  get.mockImplementationOnce(() => new Promise((resolve) => (answerFirst = resolve)));
  const stamp = ref(0);
  const { drawings } = useDrawings(
    () => ({ id: "i", station: "s" }),
    stamp,
    ref({ width: 400, height: 200 }),
  );
  get.mockResolvedValueOnce([drawing("second")]);
  stamp.value++;
  await flushPromises();
  answerFirst([drawing("first")]);
  await flushPromises();
  expect(drawings.value?.[0]?.title).toBe("second");
});

async function station(answer: Schemas["FigureView"][], beside: { component: string; title: string }[] = []) {
  get.mockResolvedValue(answer);
  Object.defineProperty(HTMLElement.prototype, "clientWidth", { configurable: true, value: 600 });
  const figure = mount(StationFigure, {
    props: { installation: "i", station: "s", stamp: 0, lit: [], beside },
    slots: { default: "<p>photo of {{ params.at }}</p>" },
  });
  await flushPromises();
  await nextTick();
  return figure;
}

test("of several drawings one is shown, chosen by its name; what stands beside them comes last", async () => {
  const figure = await station(
    [drawing("Roof"), { ...drawing("Yard"), caption: ["Move it."] }],
    [{ component: "o", title: "Outdoor" }],
  );
  expect(figure.findAll("button").map((b) => b.text())).toEqual(["Roof", "Yard", "Outdoor"]);
  expect(figure.find(".caption").exists()).toBe(false);
  await figure.findAll("button")[1]?.trigger("click");
  expect(figure.get("svg").attributes("aria-label")).toContain("Yard");
  expect(figure.get(".caption").text()).toBe("Move it.");
  await figure.findAll("button")[2]?.trigger("click");
  expect(figure.find("svg").exists()).toBe(false);
  expect(figure.text()).toContain("photo of o");
});

test("where nothing is drawn that is said, and what failed too", async () => {
  expect((await station([])).text()).toContain("Nothing of this system is drawn here");
  get.mockRejectedValue(new Error("gone"));
  const figure = mount(StationFigure, { props: { installation: "i", station: "t", stamp: 0, lit: [] } });
  await flushPromises();
  expect(figure.find("[role=alert]").exists()).toBe(true);
});
