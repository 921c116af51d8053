import { flushPromises, mount } from "@vue/test-utils";
import { beforeEach, expect, test } from "vitest";
import { spied } from "../api/mocked";
import { ProblemError, type Schemas } from "../api/client";
import LoggerDialog from "./LoggerDialog.vue";
import type { Line } from "../shown/lines";

const look: Schemas["Look"] = {
  plain: false,
  writing: {
    encoding: "UTF-8",
    delimiter: ";",
    decimalComma: true,
    headings: 1,
    clock: "DAY_FIRST",
    time: 0,
    parted: false,
    zone: "UTC",
    columns: 3,
  },
  titles: ["at", "barg", "wall °C"],
  rows: [["03.06.2026 09:14", "20,5", "21,3"]],
  first: "2026-06-03T09:14:00Z",
  takers: [
    { point: "hold.pressure", title: "Pressure", units: ["barg", "psig"], column: 1, unit: "barg" },
    { point: "hold.wall", title: "Wall", units: ["°C", "°F"] },
  ],
};
const taken = [{ point: "hold.pressure", sha256: "ab12", from: "", to: "", samples: 40 }];
const line = { point: "hold.pressure", component: "line-set" } as Line;
const chosen = new File(["x"], "log.csv");

const looked = spied("file");
const sent = spied("upload");

beforeEach(() => {
  localStorage.clear();
  looked.mockReset().mockResolvedValue(structuredClone(look));
  sent.mockReset().mockResolvedValue(taken);
});

async function dialog() {
  const wrapper = mount(LoggerDialog, {
    props: { installation: "i" },
    global: { stubs: { "el-dialog": { template: "<div><slot /></div>" } } },
  });
  const answer = wrapper.vm.bring(line, chosen);
  await flushPromises();
  const button = (name: string) => wrapper.findAll("button").find((b) => b.text() === name)!;
  return { wrapper, answer, button };
}

test("a file is taken as it was understood", async () => {
  const { wrapper, answer, button } = await dialog();
  expect(wrapper.text()).toContain("3 June 2026");
  await button("Take it in").trigger("click");
  expect(await answer).toEqual(taken);
  const address = new URL(sent.mock.calls[0]?.[0] ?? "", "http://a");
  expect(address.searchParams.getAll("take")).toEqual(["hold.pressure:1:barg"]);
  expect(address.searchParams.get("clock")).toBe("DAY_FIRST");
});

test("a column is given to another line, and a line takes one column only", async () => {
  const { wrapper, button } = await dialog();
  await wrapper.find("[aria-label='Line for column 3']").setValue("hold.pressure");
  await button("Take it in").trigger("click");
  const address = new URL(sent.mock.calls[0]?.[0] ?? "", "http://a");
  expect(address.searchParams.getAll("take")).toEqual(["hold.pressure:2:barg"]);
});

test("a column whose unit is not known asks for it", async () => {
  const { wrapper, button } = await dialog();
  await wrapper.find("[aria-label='Line for column 3']").setValue("hold.wall");
  await button("Take it in").trigger("click");
  expect(wrapper.find("[role=alert]").text()).toContain("Choose the unit");
  expect(sent).not.toHaveBeenCalled();
});

test("what is put right is looked at again and known of this logger the next time", async () => {
  const first = await dialog();
  await first.wrapper.find("fieldset select").setValue(",");
  await flushPromises();
  expect(looked.mock.calls[1]?.[0]).toContain("/logs/look/as");
  expect(looked.mock.calls[1]?.[0]).toContain("delimiter=%2C");
  await first.wrapper.find("[aria-label='Line for column 3']").setValue("hold.wall");
  await first.wrapper.find("[aria-label='Unit of column 3']").setValue("°F");
  await first.button("Take it in").trigger("click");
  await flushPromises();

  const second = await dialog();
  expect(looked.mock.calls.at(-1)?.[0]).toContain("/logs/look/as");
  await second.button("Take it in").trigger("click");
  const address = new URL(sent.mock.calls.at(-1)?.[0] ?? "", "http://a");
  expect(address.searchParams.getAll("take")).toContain("hold.wall:2:°F");
});

test("a refusal stays on the screen with what was chosen", async () => {
  sent.mockRejectedValueOnce(new ProblemError({ status: 422, detail: "Row 23: its time is not after." }));
  const { wrapper, button } = await dialog();
  await button("Take it in").trigger("click");
  await flushPromises();
  expect(wrapper.find("[role=alert]").text()).toContain("Row 23");
  expect(button("Take it in").exists()).toBe(true);
});

test("cancelled while it is sent, it says that nothing was kept", async () => {
  let signal: AbortSignal | undefined;
  sent.mockImplementationOnce((_, __, upload) => {
    signal = (upload as unknown as { signal: AbortSignal }).signal;
    return new Promise((_, failed) =>
      signal?.addEventListener("abort", () => failed(new TypeError("cancelled"))),
    );
  });
  const { wrapper, button } = await dialog();
  await button("Take it in").trigger("click");
  await flushPromises();
  expect(wrapper.text()).toContain("0 % sent");
  await button("Cancel").trigger("click");
  await flushPromises();
  expect(signal?.aborted).toBe(true);
  expect(wrapper.find("[role=alert]").text()).toContain("nothing of it was kept");
});

test("a curve in the open form needs no looking", async () => {
  looked.mockResolvedValue({ ...structuredClone(look), plain: true });
  const { answer } = await dialog();
  expect(await answer).toBe("plain");
});
