import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { at } from "./address";
import { api, pending, ProblemError, whenSignedOut } from "./client";

const fetched = vi.fn();
/** Any address will do here. */
const here = (path: string) => path as never;

function sent(call: number): Request {
  return fetched.mock.calls[call]?.[0] as Request;
}

beforeEach(() => {
  vi.stubGlobal("fetch", fetched);
  document.cookie = "XSRF-TOKEN=a%2Fb";
});

afterEach(() => {
  fetched.mockReset();
  vi.unstubAllGlobals();
});

function answer(status: number, body: unknown, kind = "application/json") {
  fetched.mockResolvedValueOnce(
    new Response(status === 204 ? null : JSON.stringify(body), { status, headers: { "Content-Type": kind } }),
  );
}

test("a change carries the token of the cookie, a question does not", async () => {
  answer(200, {});
  await api.get(here("/api/x"));
  expect(sent(0).headers.has("X-XSRF-TOKEN")).toBe(false);
  answer(201, {});
  await api.post(here("/api/x"), { a: 1 } as never);
  expect(sent(1).method).toBe("POST");
  expect(await sent(1).text()).toBe('{"a":1}');
  expect(sent(1).headers.get("X-XSRF-TOKEN")).toBe("a/b");
  expect(sent(1).headers.get("Content-Type")).toBe("application/json");
});

test("text goes out as it is", async () => {
  answer(201, {});
  await api.post(at("/api/rule-books"), "a: 1", "text/plain");
  expect(await sent(0).text()).toBe("a: 1");
  expect(sent(0).headers.get("Content-Type")).toBe("text/plain");
});

test("a problem comes through with its sentence and fields", async () => {
  answer(
    422,
    { status: 422, detail: "Cannot be.", fields: { typed: "Cannot be." } },
    "application/problem+json",
  );
  const thrown = await api.post(here("/api/x"), {} as never).catch((e: unknown) => e);
  expect(thrown).toBeInstanceOf(ProblemError);
  expect((thrown as ProblemError).problem).toMatchObject({
    detail: "Cannot be.",
    fields: { typed: "Cannot be." },
  });
});

test("an answer that is no problem document still gets a sentence", async () => {
  answer(502, {}, "text/html");
  const thrown = await api.get(here("/api/x")).catch((e: unknown) => e);
  expect((thrown as ProblemError).problem.detail).toContain("502");
});

test("no connection does not claim to know what became of it", async () => {
  fetched.mockRejectedValueOnce(new TypeError("failed"));
  const thrown = await api.post(here("/api/x"), {} as never).catch((e: unknown) => e);
  expect((thrown as ProblemError).problem).toMatchObject({ status: 0 });
  expect((thrown as ProblemError).problem.detail).toContain("Whether it was saved is not known");
});

test("an ended session is told, a refused sign-in is not taken for one", async () => {
  const signedOut = vi.fn();
  whenSignedOut(signedOut);
  answer(401, { status: 401, detail: "wrong" }, "application/problem+json");
  await api.post(here("/api/session"), {} as never).catch(() => undefined);
  expect(signedOut).not.toHaveBeenCalled();
  answer(401, { status: 401, detail: "ended" }, "application/problem+json");
  await api.get(here("/api/installations")).catch(() => undefined);
  expect(signedOut).toHaveBeenCalledOnce();
});

test("requests under way are counted and forgotten when they end, well or not", async () => {
  answer(200, {});
  const asked = api.get(here("/api/x"));
  expect(pending.value).toBe(1);
  await asked;
  fetched.mockRejectedValueOnce(new TypeError("failed"));
  await api.get(here("/api/x")).catch(() => undefined);
  expect(pending.value).toBe(0);
});

test("nothing to read is no error", async () => {
  answer(204, undefined);
  await expect(api.remove(here("/api/session"))).resolves.toBeUndefined();
});
