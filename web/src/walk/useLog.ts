import { $gettext } from "../language/language";
import { ref } from "vue";
import { at } from "../api/address";
import { api, type Schemas } from "../api/client";
import { sentence } from "../api/problems";
import type { Line } from "../shown/lines";

export type Writing = Schemas["Writing"];
/** Which line takes a column, and in which unit. */
export interface Taking {
  column?: number;
  unit?: string;
}
/** What is known of one kind of logger by what stands above its columns. */
interface Known {
  writing: Writing;
  takes: Record<string, Taking>;
}

const KEPT = "undanus.loggers";
const MOST_KEPT = 30;
/** As much of a file as its look is told from. */
const HEAD = 64 * 1024;

function loggers(): Record<string, Known> {
  try {
    return JSON.parse(localStorage.getItem(KEPT) ?? "{}") as Record<string, Known>;
  } catch {
    return {};
  }
}

function remember(titles: string, known: Known) {
  const others = Object.entries(loggers()).filter(([each]) => each !== titles);
  localStorage.setItem(
    KEPT,
    JSON.stringify(Object.fromEntries([...others, [titles, known]].slice(-MOST_KEPT))),
  );
}

/** A logger's file on its way in: how it is understood, put right by the person, then sent. */
export function useLog(installation: () => string) {
  const line = ref<Line>();
  const file = ref<File>();
  const look = ref<Schemas["Look"]>();
  const writing = ref<Writing>();
  const takes = ref<Record<string, Taking>>({});
  const problem = ref("");
  /** How much of it has been sent, 0 to 1; none while nothing is. */
  const sent = ref<number>();
  /** What stands above its columns as it was first seen: by this a logger is known again. */
  let titles = "";
  let sending: AbortController | undefined;

  const where = () => ({ point: line.value?.point ?? "", component: line.value?.component ?? "" });
  const path = () => ({ path: { id: installation() } });

  function seen(now: Schemas["Look"], known?: Known) {
    look.value = now;
    writing.value = { ...now.writing };
    takes.value = Object.fromEntries(
      now.takers.map((taker) => {
        const before = known?.takes[taker.point];
        const there = before?.column !== undefined && before.column < now.titles.length;
        return [taker.point, there ? { ...before } : { column: taker.column, unit: taker.unit }];
      }),
    );
  }

  async function lookAs(asked: Writing): Promise<Schemas["Look"]> {
    const head = file.value?.slice(0, HEAD) ?? new Blob();
    const query = { ...where(), ...asked };
    return api.file(at("/api/installations/{id}/logs/look/as", { ...path(), query }), head);
  }

  /** Looks at a file. */
  async function begin(of: Line, chosen: File): Promise<Schemas["Look"]> {
    line.value = of;
    file.value = chosen;
    look.value = undefined;
    problem.value = "";
    const zone = Intl.DateTimeFormat().resolvedOptions().timeZone;
    const guessed = await api.file(
      at("/api/installations/{id}/logs/look", { ...path(), query: { ...where(), zone } }),
      chosen.slice(0, HEAD),
    );
    titles = guessed.titles.join("|") || String(guessed.titles.length);
    const known = loggers()[titles];
    if (!known || guessed.plain) {
      seen(guessed);
      return guessed;
    }
    try {
      seen(await lookAs({ ...known.writing, start: guessed.writing.start }), known);
    } catch {
      seen(guessed);
    }
    return guessed;
  }

  /** Looks again once the person has put something right. */
  async function again() {
    if (!writing.value) {
      return;
    }
    problem.value = "";
    try {
      const kept = { writing: writing.value, takes: takes.value };
      seen(await lookAs(writing.value), kept);
    } catch (thrown) {
      problem.value = sentence(thrown);
    }
  }

  /** Sends the file; nothing of it is kept where it is cancelled. */
  async function take(): Promise<Schemas["Taken"][] | undefined> {
    if (!file.value || !writing.value) {
      return undefined;
    }
    const chosen = Object.entries(takes.value).filter(([, each]) => each.column !== undefined);
    const unclear = chosen.find(([, each]) => !each.unit);
    if (!chosen.length || unclear) {
      problem.value = unclear
        ? $gettext("Choose the unit of each column that is taken.")
        : $gettext("Choose a line for a column.");
      return undefined;
    }
    sending = new AbortController();
    sent.value = 0;
    problem.value = "";
    try {
      const query = {
        component: where().component,
        take: chosen.map(([point, each]) => `${point}:${each.column}:${each.unit}`),
        ...writing.value,
      };
      const taken = await api.upload(at("/api/installations/{id}/logs", { ...path(), query }), file.value, {
        signal: sending.signal,
        progress: (share) => (sent.value = share),
      });
      remember(titles, { writing: { ...writing.value, start: undefined }, takes: takes.value });
      return taken;
    } catch (thrown) {
      problem.value = sending.signal.aborted
        ? $gettext("Cancelled: nothing of it was kept.")
        : sentence(thrown);
      return undefined;
    } finally {
      sent.value = undefined;
    }
  }

  return {
    file,
    look,
    writing,
    takes,
    problem,
    sent,
    begin,
    again,
    take,
    cancel: () => sending?.abort(),
  };
}
