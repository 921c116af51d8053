import { flushPromises, mount } from "@vue/test-utils";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { effectScope, ref } from "vue";
import { ProblemError } from "../api/client";
import { answering } from "../api/mocked";
import { notice } from "../frame/notice";
import PhotoStrip from "./PhotoStrip.vue";
import PhotoViewer from "./PhotoViewer.vue";
import { usePhotos, type Photo } from "./usePhotos";

vi.mock("../api/client", async (original) => ({
  ...(await original<typeof import("../api/client")>()),
  api: { get: vi.fn(), file: vi.fn(), put: vi.fn() },
}));
vi.mock("../frame/notice", () => ({ notice: { problem: vi.fn(), done: vi.fn() } }));
const get = answering("get");
const send = answering("file");
const put = answering("put");

function photo(id: string, over: Partial<Photo> = {}): Photo {
  return {
    id,
    sha256: "0",
    mediaType: "image/png",
    width: 4,
    height: 3,
    positioned: false,
    addedBy: "inspector",
    addedAt: "2026-09-01T08:00:00Z",
    marks: [],
    marksVersion: 0,
    ...over,
  };
}

beforeEach(() => get.mockResolvedValue([photo("a", { component: "outdoor-1" })]));
afterEach(() => vi.resetAllMocks());

test("photos hang where they belong; one that is refused does not keep the next away", async () => {
  const photos = effectScope().run(() => usePhotos(ref("i")))!;
  await flushPromises();
  expect(photos.of({ component: "outdoor-1" })).toHaveLength(1);
  expect(photos.of({ point: "plate.model", component: "outdoor-1" })).toHaveLength(0);
  send
    .mockRejectedValueOnce(new ProblemError({ status: 422, detail: "By its content it is none." }))
    .mockResolvedValueOnce(photo("b", { point: "plate.model", component: "outdoor-1" }));
  const hook = { point: "plate.model", component: "outdoor-1" };
  await photos.hang(hook, [new File(["MZ"], "holiday.jpg"), new File(["x"], "plate.png")]);
  expect(vi.mocked(notice.problem).mock.calls[0]?.[0]).toContain("holiday.jpg: By its content");
  expect(send.mock.calls[1]?.[0]).toBe("/api/installations/i/photos?point=plate.model&component=outdoor-1");
  expect(photos.of(hook)).toHaveLength(1);
});

test("a photo too large to be taken is not even sent", async () => {
  const photos = effectScope().run(() => usePhotos(ref("i")))!;
  await flushPromises();
  const large = new File(["x"], "large.jpg");
  Object.defineProperty(large, "size", { value: 13 * 1024 * 1024 });
  await photos.hang({ component: "outdoor-1" }, [large]);
  expect(send).not.toHaveBeenCalled();
  expect(vi.mocked(notice.problem).mock.calls[0]?.[0]).toContain("12 MB");
});

test("what is dropped on the strip is passed on", async () => {
  const strip = mount(PhotoStrip, {
    props: { photos: [photo("a")], label: "Model" },
    global: { stubs: ["el-dialog"] },
  });
  const file = new File(["x"], "plate.png");
  await strip.find(".strip").trigger("drop", { dataTransfer: { files: [file] } });
  expect(strip.emitted("add")?.[0]).toEqual([[file]]);
  expect(strip.find(".thumbnail").attributes("aria-label")).toBe("Photo of Model, 2026-09-01");
});

test("the viewer zooms, turns and goes on to the next", async () => {
  const viewer = mount(PhotoViewer, { props: { photos: [photo("a"), photo("b")] } });
  const style = () => viewer.find("svg").attributes("style");
  expect(viewer.find("image").attributes("href")).toContain("/api/photos/b/");
  await viewer.find("[aria-label=Closer]").trigger("click");
  expect(style()).toContain("scale(1.5)");
  await viewer.findAll("button")[2]?.trigger("click");
  expect(style()).toContain("rotate(90deg)");
  await viewer.find("[aria-label=Farther]").trigger("click");
  await viewer.find("[aria-label=Farther]").trigger("click");
  expect(style()).toContain("scale(1)");
  await viewer.findAll("button")[5]?.trigger("click");
  expect(viewer.find("image").attributes("href")).toContain("/api/photos/a/");
  expect(style()).toContain("rotate(0deg)");
});

const ARROW = { kind: "ARROW" as const, x: 0, y: 0, toX: 0.5, toY: 0.5 };

test("what is drawn over a photo is shown at once and rubbed out mark by mark", async () => {
  const kept = photo("m", { marks: [ARROW], marksVersion: 3 });
  const viewer = mount(PhotoViewer, { props: { photos: [kept] } });
  expect(viewer.findAll(".mark")).toHaveLength(1);
  put.mockResolvedValueOnce(photo("m", { marks: [], marksVersion: 4 }));
  await viewer
    .findAll("button")
    .find((button) => button.text() === "Rub out the last")
    ?.trigger("click");
  await flushPromises();
  expect(put).toHaveBeenCalledWith("/api/photos/m/marks", { marks: [], version: 3 });
  expect(viewer.findAll(".mark")).toHaveLength(0);
});

test("where another drew meanwhile the person is told and nothing vanishes", async () => {
  const kept = photo("n", { marks: [ARROW], marksVersion: 1 });
  const viewer = mount(PhotoViewer, { props: { photos: [kept] } });
  put.mockRejectedValueOnce(
    new ProblemError({ status: 409, detail: "Someone drew on this photo meanwhile." }),
  );
  await viewer
    .findAll("button")
    .find((button) => button.text() === "Rub out the last")
    ?.trigger("click");
  await flushPromises();
  expect(notice.problem).toHaveBeenCalledWith("Someone drew on this photo meanwhile.");
  expect(viewer.findAll(".mark")).toHaveLength(1);
});
