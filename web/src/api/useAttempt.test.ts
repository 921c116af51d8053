import { describe, expect, it } from "vitest";
import { ProblemError } from "./client";
import { useAttempt } from "./useAttempt";

const refused = () =>
  Promise.reject(new ProblemError({ status: 400, detail: "No such crew.", fields: { crew: "unknown" } }));

describe("work that may be refused", () => {
  it("is under way until it is done", async () => {
    const { busy, problem, attempt } = useAttempt();
    let done = () => {};
    const under = attempt(() => new Promise<void>((resolve) => (done = resolve)));
    expect(busy.value).toBe(true);
    done();
    await under;
    expect(busy.value).toBe(false);
    expect(problem.value).toBe("");
  });

  it("says why it was refused and names the fields, until it is tried again", async () => {
    const { busy, problem, fields, attempt } = useAttempt();
    await attempt(refused);
    expect([busy.value, problem.value, fields.value]).toEqual([false, "No such crew.", { crew: "unknown" }]);
    await attempt(() => Promise.resolve());
    expect([problem.value, fields.value]).toEqual(["", {}]);
  });

  it("is under way until what follows a refusal is done, and whoever asks may say it otherwise", async () => {
    const { busy, problem, attempt } = useAttempt();
    await attempt(refused, async () => {
      await Promise.resolve();
      expect(busy.value).toBe(true);
      problem.value = "Somebody else was first.";
    });
    expect([busy.value, problem.value]).toEqual([false, "Somebody else was first."]);
  });
});
