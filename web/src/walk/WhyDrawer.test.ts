import { mount } from "@vue/test-utils";
import { expect, test } from "vitest";
import { judgement as failed } from "./judgement.fixture";
import type { Judgement } from "../shown/lines";
import WhyDrawer from "./WhyDrawer.vue";

const judgement: Judgement = {
  ...failed,
  limits: [
    { authority: "Adopted code", note: "", bound: "at most", value: "40 A", source: "Plate", binds: true },
    {
      authority: "Maker",
      note: "",
      bound: "at most",
      value: "45 A",
      source: "Ondrel 4410",
      binds: false,
      givesWay: "the plate goes before the sheet",
    },
  ],
  derivation: [{ name: "Ampacity", how: "table, 60 °C", value: "40 A", source: "Conductor table" }],
  evidence: [
    {
      point: "electrical.device-rating",
      component: "outdoor-1",
      line: "Device",
      reading: "50 A",
      grade: "witnessed",
      by: "inspector",
    },
    { point: "plate.maximum-overcurrent-device", component: "outdoor-1", line: "MOCP" },
  ],
  sources: ["Electrical code", "Plate"],
};

function drawer(shown?: Judgement) {
  return mount(WhyDrawer, {
    props: { modelValue: true, judgement: shown },
    global: { stubs: { "el-drawer": { template: "<div><slot /></div>" }, MarginBar: true } },
  });
}

test("the limit that binds is told from those that give way, and why they do", () => {
  const rows = drawer(judgement).findAll("table")[0]?.findAll("tbody tr") ?? [];
  expect(rows[0]?.find("strong").text()).toBe("Adopted code, binds");
  expect(rows[1]?.find("strong").exists()).toBe(false);
  expect(rows[1]?.text()).toContain("gives way: the plate goes before the sheet");
});

test("every step has its source, every line its reading or stands open", () => {
  const tables = drawer(judgement).findAll("table");
  expect(tables[1]?.text()).toContain("Conductor table");
  const evidence = tables[2]?.findAll("tr").map((row) => row.text()) ?? [];
  expect(evidence[0]).toContain("50 A");
  expect(evidence[0]).toContain("witnessed, inspector");
  expect(evidence[1]).toContain("open");
});

test("another school's verdict stands beside; what is not there leaves no empty heading", () => {
  const whole = drawer(judgement).text();
  expect(whole).toContain("by Design current");
  expect(whole).toContain("Sources: Electrical code; Plate.");
  const bare = drawer({ ...judgement, limits: [], derivation: [], otherSchools: [], sources: [] });
  expect(bare.findAll("h2").map((h) => h.text())).toEqual(["Evidence"]);
  expect(drawer().find(".why").exists()).toBe(false);
});
