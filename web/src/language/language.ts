import { createGettext } from "vue3-gettext";

/** What the server knows of the reader's language: its tag, and the forms of each sentence of these pages. */
interface Known {
  tag: string;
  sentences: Record<string, string[]>;
}

/** English stands in the pages; another language is learned before the first of them is loaded. */
export const language = createGettext({
  availableLanguages: { en: "English" },
  defaultLanguage: "en",
  silent: true,
  translations: { en: {} },
});

export const { $gettext, $ngettext } = language;

/** Longer than this nobody looks at an empty page for the sake of a language; milliseconds. */
const PATIENCE = 4_000;
/** The most forms that a language has for numbers. */
const FORMS = 6;

/** A file that lacks a form for some numbers says those as it says the last: the library would end the page. */
function whole(forms: string[]): string[] {
  const last = forms.at(-1);
  return last === undefined || forms.length === 1 ? forms : [...forms, ...Array<string>(FORMS).fill(last)];
}

/** Learns the language that the browser asks for. Where nothing answers, or there is none of it, English stays. */
export async function learnLanguage(): Promise<void> {
  try {
    const answer = await fetch("/api/language", { signal: AbortSignal.timeout(PATIENCE) });
    if (answer.ok) {
      const { tag, sentences } = (await answer.json()) as Known;
      const known = Object.entries(sentences).map(([english, forms]) => [english, whole(forms)] as const);
      language.translations = { ...language.translations, [tag]: Object.fromEntries(known) };
      language.current = tag;
      document.documentElement.lang = tag;
    }
  } catch {
    // no network, or not in time: English
  }
}
