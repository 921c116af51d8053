import { mount } from "@vue/test-utils";
import { expect, test } from "vitest";
import PlatesFigure from "./PlatesFigure.vue";

test("plates stand beside one another, joined by how they go together", () => {
  const figure = mount(PlatesFigure, {
    props: {
      plates: [
        {
          component: "o",
          title: "Outdoor",
          outdoor: true,
          rows: [{ label: "Model", value: "TZ-30" }],
          links: [],
        },
        {
          component: "i",
          title: "Kitchen",
          outdoor: false,
          rows: [
            { label: "Maker", value: "Ondrel" },
            { label: "Model", value: "WS-12 I" },
          ],
          links: [{ label: "Listed pair", verdict: "FAILS" }],
        },
      ],
    },
  });
  expect(figure.text()).toContain("TZ-30");
  expect(figure.find(".links").text()).toContain("Fails");
  expect(figure.find(".links").text()).toContain("Listed pair");
});
