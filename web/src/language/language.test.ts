import { afterEach, expect, test, vi } from "vitest";
import { $gettext, $ngettext, language, learnLanguage } from "./language";

function answering(answer: () => Promise<Response>) {
  vi.stubGlobal("fetch", vi.fn(answer));
}

afterEach(() => {
  language.current = "en";
  vi.unstubAllGlobals();
});

test("what the server knows of a language is said, the rest in English", async () => {
  answering(async () =>
    Response.json({
      tag: "pl",
      sentences: { "Try again": ["Jeszcze raz"], "%{count} line": ["%{count} linia", "%{count} linie"] },
    }),
  );
  await learnLanguage();
  expect($gettext("Try again")).toBe("Jeszcze raz");
  expect($gettext("Page %{page}", { page: 3 })).toBe("Page 3");
  expect($ngettext("%{count} line", "%{count} lines", 1, { count: 1 })).toBe("1 linia");
  expect(document.documentElement.lang).toBe("pl");
});

test("a language file that lacks a form for some numbers does not end the page", async () => {
  answering(async () =>
    Response.json({ tag: "pl", sentences: { "%{count} line": ["%{count} linia", "%{count} linie"] } }),
  );
  await learnLanguage();
  expect($ngettext("%{count} line", "%{count} lines", 5, { count: 5 })).toBe("5 linie");
});

test("without an answer the pages stay English", async () => {
  answering(async () => {
    throw new TypeError("no network");
  });
  await learnLanguage();
  expect($gettext("Try again")).toBe("Try again");
  answering(async () => new Response("", { status: 500 }));
  await learnLanguage();
  expect($ngettext("%{count} line", "%{count} lines", 2, { count: 2 })).toBe("2 lines");
});

test("names are shown as they are, without marks of a page in them", () => {
  expect($gettext("Place %{title}", { title: "Anna's <unit> & co" })).toBe("Place Anna's <unit> & co");
});
