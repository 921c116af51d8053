import { expect, test } from "vitest";
import { homes } from "./homes";
import { judgement } from "./judgement.fixture";
import type { Judgement, Line } from "../shown/lines";

const line = (point: string, group = "Burner") => ({ point, component: "furnace", group }) as Line;
const key = (point: string) => `${point}@furnace`;
function of(name: string, evidence: string[], about?: string): Judgement {
  const at = (point: string) => ({ point, component: "furnace", line: point });
  return { ...judgement, key: name, evidence: evidence.map(at), line: about ? at(about) : undefined };
}

test("a judgement stands under the last of the lines beside each other that feed it", () => {
  const lines = ["input", "volume", "time", "pressure", "value"].map((each) => line(each));
  const found = homes(lines, [
    of("input", ["input", "volume", "time", "value"], "input"),
    of("pressure", ["pressure"], "pressure"),
    of("elsewhere", ["plate", "volume", "value"], "plate"),
    of("nowhere", ["plate"]),
  ]);
  expect(Object.fromEntries(found)).toEqual({
    input: key("time"),
    pressure: key("pressure"),
    elsewhere: key("value"),
  });
});

test("it does not go over to another unit", () => {
  const found = homes([line("a"), line("b", "Coil")], [of("j", ["a", "b"], "a")]);
  expect(found.get("j")).toBe(key("a"));
});
