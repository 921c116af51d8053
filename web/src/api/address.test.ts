import { expect, test } from "vitest";
import { at } from "./address";

test("an address is filled in, and what is not known is left out of its query", () => {
  expect(at("/api/instruments")).toBe("/api/instruments");
  expect(
    at("/api/installations/{id}/stations/{station}", {
      path: { id: "a/b", station: "siting" },
      query: { units: undefined },
    }),
  ).toBe("/api/installations/a%2Fb/stations/siting");
  expect(at("/api/length", { query: { typed: "7 in & 1/2", units: "US" } })).toBe(
    "/api/length?typed=7%20in%20%26%201%2F2&units=US",
  );
  expect(at("/api/data-sheets/sheet", { query: { model: "" } })).toBe("/api/data-sheets/sheet");
});
