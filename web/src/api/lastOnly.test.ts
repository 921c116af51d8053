import { expect, it } from "vitest";
import { lastOnly } from "./lastOnly";

function later<T>() {
  let arrive!: (value: T) => void;
  let fail!: (reason: Error) => void;
  const promise = new Promise<T>((resolve, reject) => ([arrive, fail] = [resolve, reject]));
  return { promise, arrive, fail };
}

it("drops an answer that was overtaken, whichever comes first, and its failure", async () => {
  const last = lastOnly();
  const told: string[] = [];
  const [first, second, third] = [later<string>(), later<string>(), later<string>()];
  for (const each of [first, second, third]) {
    void last(each.promise).then(
      (value) => told.push(value),
      () => told.push("failed"),
    );
  }
  third.arrive("third");
  first.arrive("first");
  second.fail(new Error("too late"));
  await new Promise((done) => setTimeout(done));
  expect(told).toEqual(["third"]);
});

it("hands on the failure of what was asked last", async () => {
  await expect(lastOnly()(Promise.reject(new Error("gone")))).rejects.toThrow("gone");
});
