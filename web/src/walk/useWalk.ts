import { ended } from "../corrections/states";
import { computed, ref, shallowRef, watch, type Ref } from "vue";
import { at } from "../api/address";
import { api, type Schemas } from "../api/client";
import { sentence } from "../api/problems";
import { pressOver } from "../frame/press";
import { useUnits } from "../frame/useUnits";
import { pressing } from "../words/words";
import { lineKey, type Grade, type Judgement, type Line, type Place } from "../shown/lines";
import { unitsByKind, type Using } from "./useUsing";

/** One station of one installation, kept in step with the server as readings are saved. */
export function useWalk(id: Ref<string>, stationKey: Ref<string>) {
  const { units, ofBook } = useUnits();
  const installation = shallowRef<Schemas["InstallationView"]>();
  const route = shallowRef<Schemas["RouteStation"][]>([]);
  const station = shallowRef<Schemas["StationView"]>();
  /** Where the station that is shown stands: the address may be ahead of it. */
  const place = shallowRef<Place>();
  const corrections = shallowRef<Schemas["Correction"][]>([]);
  const instruments = shallowRef<Schemas["InstrumentView"][]>([]);
  const problem = ref("");
  /** What the last reading was judged to, by key; it stays in sight until the next one. */
  const justJudged = shallowRef<string[]>([]);
  /** Sent from here: what came last and is none of these came from somebody else. */
  const sent = new Set<string>();
  let last: string | undefined;
  let asked = 0;
  let loading = 0;
  let saving = 0;
  let saves = 0;

  /** Where it is of this installation that is asked; said in the reader's units. */
  const own = () => ({ path: { id: id.value } });
  const inUnits = () => ({ ...own(), query: { units: units() } });

  async function load() {
    const mine = ++asked;
    const from = id.value;
    problem.value = "";
    loading++;
    try {
      if (installation.value?.id !== id.value) {
        const [facts, tools] = await Promise.all([
          api.get(at("/api/installations/{id}", own())),
          api.get(at("/api/instruments")),
        ]);
        installation.value = facts;
        instruments.value = tools;
        ofBook.value = facts.display;
      }
      const [there, shown, raised] = await Promise.all([
        api.get(at("/api/installations/{id}/route", own())),
        api.get(
          at("/api/installations/{id}/stations/{station}", {
            path: { id: id.value, station: stationKey.value },
            query: { units: units() },
          }),
        ),
        api.get(at("/api/installations/{id}/corrections", own())),
      ]);
      await pressOver();
      if (mine === asked) {
        route.value = there;
        if (station.value?.key !== shown.key) {
          justJudged.value = [];
        }
        station.value = shown;
        place.value = { installation: from, station: shown.key };
        corrections.value = raised;
      }
    } catch (thrown) {
      if (mine === asked) {
        problem.value = sentence(thrown);
      }
    } finally {
      loading--;
    }
  }

  /** Asks for everything anew, the facts too. */
  function reload() {
    installation.value = undefined;
    return load();
  }

  watch([id, stationKey, units], load, { immediate: true });

  /** Shows what others have read meanwhile. */
  async function lookAround() {
    const from = id.value;
    try {
      const now = (await api.get(at("/api/installations/{id}/readings/last", own()))).id;
      const theirs = last !== undefined && now !== last && !!now && !sent.has(now);
      last = now;
      if (theirs && from === id.value) {
        await load();
      }
    } catch {
      // what cannot be asked now is asked again soon
    }
  }
  watch(id, () => (last = undefined));

  const judgements = computed(() =>
    [...(station.value?.judgements ?? [])].sort((a, b) => pressing(a.verdict) - pressing(b.verdict)),
  );

  /** Judgements of this station that look at a line. */
  function judgementsOf(line: Line): Judgement[] {
    return judgements.value.filter((judgement) =>
      judgement.evidence.some((e) => e.point === line.point && e.component === line.component),
    );
  }

  /**
   * Saves a reading and shows what it changed, where that station is still the one on the screen. Where another save or a
   * load was under way, its answer may be of before: then the station is asked for anew.
   */
  async function save(line: Line, reading: Schemas["TypedReading"], place?: Place) {
    const from = place?.installation ?? id.value;
    const where = place?.station ?? stationKey.value;
    const crossed = saving > 0 || loading > 0;
    const startedAt = ++saves;
    saving++;
    sent.add(reading.id);
    let saved: Schemas["SavedReading"];
    try {
      const there = { path: { id: from }, query: { units: units() } };
      saved = await api.postAnyway(at("/api/installations/{id}/readings", there), reading);
    } finally {
      saving--;
    }
    await pressOver();
    if (from !== id.value) {
      return;
    }
    route.value = saved.route;
    const now = station.value;
    if (now?.key === where) {
      const changed = new Map(saved.changed.map((j) => [j.key, j]));
      const lines = new Map([...saved.others, saved.line].map((l) => [lineKey(l), l]));
      station.value = {
        ...now,
        lines: now.lines.map((l) => lines.get(lineKey(l)) ?? l),
        judgements: now.judgements.map((j) => changed.get(j.key) ?? j),
        next: saved.next,
      };
      justJudged.value = judgementsOf(line).map((j) => j.key);
    }
    if (crossed || startedAt !== saves || loading > 0) {
      await load();
    }
  }

  function understand(
    line: Line,
    typed: string,
    instrument: string | undefined,
    held: string[],
    place?: Place,
  ) {
    const there = { path: { id: place?.installation ?? id.value }, query: { units: units() } };
    return api.post(at("/api/installations/{id}/understand", there), {
      point: line.point,
      component: line.component,
      typed,
      instrument,
      held,
    });
  }

  /** What a list is after a change made where it is drawn; nothing is kept. */
  async function change(
    line: Line,
    typed: string,
    asked: Omit<Schemas["ListChange"], "point" | "component" | "typed">,
  ): Promise<string> {
    const changed = await api.post(at("/api/installations/{id}/lists", own()), {
      point: line.point,
      component: line.component,
      typed,
      ...asked,
    });
    return changed.typed;
  }

  /** Where each reading of a spoken or typed run would go; nothing is kept. */
  function hear(text: string, component: string | undefined, using: Using) {
    const kinds = [...new Set((station.value?.lines ?? []).map((line) => line.instrumentKind))];
    return api.post(
      at("/api/installations/{id}/stations/{station}/hear", {
        path: { id: id.value, station: stationKey.value },
        query: { units: units() },
      }),
      {
        text,
        component,
        held: unitsByKind(using, kinds),
        instruments: Object.fromEntries(Object.entries(using.instruments).filter(([, tool]) => tool)),
        grade: using.grade,
      },
    );
  }

  /** Keeps one of a run, as if it had been typed on its line. */
  async function keep(placed: Schemas["PlacedView"], reading: string, grade: Grade) {
    const line = station.value?.lines.find((each) => lineKey(each) === lineKey(placed));
    if (line) {
      await save(line, {
        id: reading,
        point: placed.point,
        component: placed.component,
        typed: placed.typed,
        instrument: placed.instrument,
        grade,
        basedOn: placed.basedOn,
        confirmed: false,
      });
    }
  }

  /** Saves what a logger's file brought to other lines; what a reading of this one says is its digest. */
  async function taken(
    line: Line,
    brought: Schemas["Taken"][],
    using: Using,
    grade: Grade,
  ): Promise<string | undefined> {
    for (const each of brought) {
      const other = station.value?.lines.find(
        (l) => l.point === each.point && l.component === line.component && l.point !== line.point,
      );
      if (other && other.reading?.typed !== each.sha256) {
        await save(other, {
          id: crypto.randomUUID(),
          point: other.point,
          component: other.component,
          typed: each.sha256,
          instrument: using.instruments[other.instrumentKind] || undefined,
          grade,
          basedOn: other.reading?.id,
          confirmed: false,
        });
      }
    }
    return brought.find((each) => each.point === line.point)?.sha256;
  }

  /** Keeps a curve in the open form for a line; what a reading of it says is its digest. */
  async function log(line: Line, file: File): Promise<string> {
    const kept = await api.file(
      at("/api/installations/{id}/traces", {
        ...own(),
        query: { point: line.point, component: line.component },
      }),
      file,
    );
    return kept.sha256;
  }

  function logAddress(sha256: string): string {
    return at("/api/installations/{id}/traces/{sha256}", { path: { id: id.value, sha256 } });
  }

  function history(line: Line) {
    return api.get(
      at("/api/installations/{id}/history", {
        ...own(),
        query: { point: line.point, component: line.component, units: units() },
      }),
    );
  }

  async function raise(judgement: Judgement, words: string, due?: string) {
    const raised = await api.post(at("/api/installations/{id}/corrections", inUnits()), {
      judgements: [judgement.key],
      words,
      due,
    });
    corrections.value = [...corrections.value, ...raised];
    return raised[0]?.number ?? 0;
  }

  function correctionOf(judgement: Judgement) {
    return corrections.value.find(
      (c) => !ended(c) && c.requirement === judgement.requirement && c.component === judgement.component,
    );
  }

  return {
    installation,
    route,
    station,
    place,
    instruments,
    judgements,
    justJudged,
    problem,
    load,
    reload,
    lookAround,
    judgementsOf,
    save,
    understand,
    change,
    hear,
    keep,
    taken,
    log,
    logAddress,
    history,
    raise,
    correctionOf,
  };
}
