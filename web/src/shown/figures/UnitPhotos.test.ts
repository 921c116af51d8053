import { mount } from "@vue/test-utils";
import { expect, test } from "vitest";
import UnitPhotos from "./UnitPhotos.vue";

test("where there is no photo that is said, and one may be dropped", async () => {
  const figure = mount(UnitPhotos, {
    props: { title: "Outdoor unit", photos: [] },
    global: { stubs: ["el-dialog"] },
  });
  expect(figure.text()).toContain("No photo of this plate yet");
  const file = new File(["x"], "plate.png");
  await figure.find(".strip").trigger("drop", { dataTransfer: { files: [file] } });
  expect(figure.emitted("add")?.[0]).toEqual([[file]]);
});
