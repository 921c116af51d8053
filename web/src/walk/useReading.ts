import { $gettext } from "../language/language";
import { computed, nextTick, ref, watch } from "vue";
import { ProblemError, type Schemas } from "../api/client";
import { sentence } from "../api/problems";
import { notice } from "../frame/notice";
import { pressOver } from "../frame/press";
import { lineKey, type Grade, type Judgement, type Line, type Tool, type Place } from "../shown/lines";
import { pressing } from "../words/words";
import { tried } from "../shown/figures/useTried";
import { heldUnits, hold, type Using } from "./useUsing";
import type { Keeper } from "./keeper";
import { useUnsaved } from "./useUnsaved";

/** What a row needs to take a reading. */
export interface Row {
  line: () => Line;
  /** Where the line stands. */
  place: Place;
  judgements: () => Judgement[];
  instruments: () => Tool[];
  inspects: () => boolean;
  /** With what is read at this station. */
  using: () => Using;
  keeper: Keeper;
  /** Nothing is left to do on this line. */
  done: () => void;
  /** The line in hand: whoever went on to another while this one was saved stays there. */
  inHand: () => string;
}

const PAUSE_MS = 250;
const WAITS = $gettext("Typed here before and not saved yet.");
/** A number with nothing beside it. */
const BARE = /^[\d\s.,/½¼¾+−-]*$/;

/** A reading being typed: what it is understood as, saved once however often it is tried, and what is said of it. */
export function useReading({
  line,
  place,
  judgements,
  instruments,
  inspects,
  using,
  keeper,
  done,
  inHand,
}: Row) {
  const typed = ref("");
  const changed = computed(() => typed.value.trim() !== standing());
  /** What this line is read with where it is not what the station is. */
  const own = ref<{ grade?: Grade; instrument?: string }>({});
  const echo = ref<Schemas["Echo"]>();
  const problem = ref("");
  const ask = ref(false);
  /** What may have been meant by what was refused. */
  const meant = ref<string[]>([]);
  const theirs = ref<Schemas["ReadingView"]>();
  const busy = ref(false);
  /** Of a list, as it stands. */
  const parts = ref<Schemas["Part"][]>([]);
  /** Where it is typed. */
  const field = ref<{ focus: () => void }>();
  /** Where what is said of it stands. */
  const answer = ref<HTMLElement>();
  /** Kept while a save is tried again, so that the server keeps one reading however often it hears of it. */
  let attempt: { id: string; typed: string } | undefined;

  const usual = (): Grade => (line().kind === "CURVE" ? "LOGGED" : using().grade);

  function untry() {
    if (tried.value?.line === lineKey(line())) {
      tried.value = undefined;
    }
  }

  const unsaved = useUnsaved();

  /** What stands in the field of a line that nobody types on. */
  function standing(): string {
    const reading = line().reading;
    return reading?.says === "READ" ? reading.typed : "";
  }

  /** Held on this device until the server has it, or it is what stands anyway. */
  function keepUnsaved(why?: string) {
    const key = lineKey(line());
    const words = typed.value.trim();
    if (line().kind === "CURVE" || !words || words === standing()) {
      unsaved.drop(place.installation, key);
      return;
    }
    const before = unsaved.of(place.installation, key);
    unsaved.keep({
      ...place,
      line: key,
      title: line().title,
      typed: words,
      said: line().options.find((option) => option.id === words)?.words ?? words,
      id: fresh(words),
      basedOn: before?.basedOn ?? line().reading?.id,
      ...own.value,
      problem: why,
    });
  }

  /** What was typed here before and could not be saved, as it was left. */
  function takeUp() {
    const waits = unsaved.of(place.installation, lineKey(line()));
    if (!waits || waits.id === line().reading?.id || waits.typed === standing()) {
      unsaved.drop(place.installation, lineKey(line()));
      return;
    }
    typed.value = waits.typed;
    own.value = { grade: waits.grade, instrument: waits.instrument };
    attempt = { id: waits.id, typed: waits.typed };
    problem.value = waits.problem ?? WAITS;
  }

  let stood = "";
  // by its id: the same reading loaded anew must not wipe what is being typed over it
  watch(
    () => line().reading?.id,
    (id) => {
      const mine = !attempt || attempt.id === id;
      const typing = typed.value.trim() && typed.value.trim() !== stood;
      stood = standing();
      if (!mine && typing) {
        // somebody else has read the line: what is typed here stays, and which of the two is meant is asked when it is saved
        return;
      }
      typed.value = stood;
      own.value = {};
      echo.value = undefined;
      problem.value = "";
      ask.value = false;
      meant.value = [];
      theirs.value = undefined;
      attempt = undefined;
      untry();
      takeUp();
    },
    { immediate: true },
  );

  const fitting = computed(() => instruments().filter((i) => i.kind === line().instrumentKind));
  const options = computed(() => line().options);
  const grade = computed<Grade>({
    get() {
      if (!inspects()) {
        return "RECORDED";
      }
      return own.value.grade ?? (changed.value ? undefined : line().reading?.grade) ?? usual();
    },
    set: (chosen) => (own.value = { ...own.value, grade: chosen }),
  });
  const instrument = computed<string>({
    get() {
      const stands = changed.value ? undefined : (line().reading?.instrument ?? (line().reading && ""));
      return own.value.instrument ?? stands ?? using().instruments[line().instrumentKind] ?? "";
    },
    set: (chosen) => (own.value = { ...own.value, instrument: chosen }),
  });
  /** Where it stands out from what the station is read with. */
  const otherGrade = computed(() => !!line().reading && grade.value !== (inspects() ? usual() : "RECORDED"));
  const otherTool = computed(
    () => !!line().reading && instrument.value !== (using().instruments[line().instrumentKind] ?? ""),
  );
  /** The unit a bare number will be taken in. */
  const unit = computed(() =>
    BARE.test(typed.value)
      ? heldUnits(using(), line()).find((each) => line().units.includes(each))
      : undefined,
  );
  /** Judged on this line first of all; else what looks at it too, by its name. */
  const worst = computed(() => {
    const first = judgements().filter(
      (each) => each.line?.point === line().point && each.line.component === line().component,
    );
    const most = [...(first.length ? first : judgements())]
      .sort((a, b) => pressing(a.verdict) - pressing(b.verdict))
      .at(0);
    return most && { judgement: most, said: first.length ? most.brief : `${most.brief} (${most.title})` };
  });
  const understood = computed(() => {
    const shown = changed.value ? echo.value : line().reading;
    return shown
      ? [shown.us, shown.si].filter((text, i, all) => text && all.indexOf(text) === i).join(" · ")
      : "";
  });
  const uncertainty = computed(() => (changed.value ? echo.value?.uncertainty : line().reading?.uncertainty));
  function heardAs(asked: string) {
    return keeper.understand(line(), asked, instrument.value || undefined, heldUnits(using(), line()), place);
  }

  /** What was typed, with the unit it lacks where one is held. */
  async function full(): Promise<string> {
    const asked = typed.value.trim();
    return unit.value ? ((await heardAs(asked)).full ?? asked) : asked;
  }

  let timer: ReturnType<typeof setTimeout> | undefined;
  function typing() {
    keepUnsaved();
    problem.value = "";
    ask.value = false;
    meant.value = [];
    echo.value = undefined;
    clearTimeout(timer);
    const listed = line().kind === "LIST";
    if (listed) {
      tried.value = {
        line: lineKey(line()),
        point: line().point,
        component: line().component,
        typed: typed.value.trim(),
      };
    }
    if ((line().kind === "QUANTITY" || listed) && typed.value.trim()) {
      const asked = typed.value;
      timer = setTimeout(async () => {
        try {
          const heard = await heardAs(asked);
          await pressOver();
          if (asked === typed.value) {
            echo.value = heard;
            meant.value = heard.choices;
            if (listed) {
              parts.value = heard.parts;
              // a list is worked on for a while: what is wrong in it is said at once
              problem.value = heard.problem ?? "";
            }
          }
        } catch {
          // without an answer there is simply nothing to echo
        }
      }, PAUSE_MS);
    }
  }

  function fresh(words: string): string {
    if (attempt?.typed !== words) {
      attempt = { id: crypto.randomUUID(), typed: words };
    }
    return attempt.id;
  }

  /** What was typed over: of what waited on this device, then. */
  const over = () =>
    (changed.value ? unsaved.of(place.installation, lineKey(line()))?.basedOn : undefined) ??
    line().reading?.id;

  /** @param left whether the person is elsewhere by now: nothing is taken from there */
  async function commit(confirmed = false, basedOn = over(), left = false) {
    clearTimeout(timer);
    if (!typed.value.trim()) {
      if (standing()) {
        typed.value = standing();
        problem.value = left
          ? ""
          : $gettext("A reading is never erased. Write the right value over it, or take it back.");
      } else if (!left) {
        done();
      }
      return;
    }
    const same =
      !changed.value &&
      !line().reading?.setAside &&
      grade.value === line().reading?.grade &&
      instrument.value === (line().reading?.instrument ?? "");
    if (same) {
      if (!left) {
        done();
      }
      return;
    }
    busy.value = true;
    problem.value = "";
    const began = inHand();
    const gone = () => left || inHand() !== began;
    keepUnsaved();
    // by what was typed, whatever unit is added to it: what waits on this device is known by the same id
    const id = fresh(typed.value.trim());
    try {
      const words = await full();
      await keeper.save(
        line(),
        {
          id,
          point: line().point,
          component: line().component,
          typed: words,
          instrument: instrument.value || undefined,
          grade: grade.value,
          basedOn,
          confirmed,
        },
        place,
      );
      unsaved.drop(place.installation, lineKey(line()));
      await pressOver();
      if (!gone()) {
        done();
      }
    } catch (thrown) {
      keepUnsaved(sentence(thrown));
      await pressOver();
      const known = thrown instanceof ProblemError ? thrown.problem : undefined;
      ask.value = known?.ask === true;
      meant.value = known?.choices ?? [];
      theirs.value = known?.status === 409 ? (known.theirs as Schemas["ReadingView"] | undefined) : undefined;
      problem.value = sentence(thrown);
      if (gone()) {
        notice.problem(
          $gettext('%{title}, "%{typed}" is not saved: %{problem}', {
            title: line().title,
            typed: typed.value.trim(),
            problem: problem.value,
          }),
        );
        return;
      }
      field.value?.focus();
      void nextTick(() => meant.value.length && answer.value?.querySelector("button")?.focus());
      // what is said of it stands below the field, perhaps out of sight
      void nextTick(() => answer.value?.scrollIntoView?.({ block: "nearest" }));
    } finally {
      busy.value = false;
    }
  }

  /** The field is left: what can be taken without a question is saved, what cannot stays there and waits on this device. */
  async function leave() {
    await pressOver();
    if (meant.value.length && changed.value) {
      keepUnsaved($gettext("Which one is meant?"));
    }
    await saveLeft();
  }

  /** Once, and not where something is asked of it or under way. */
  async function saveLeft() {
    const asked = problem.value || meant.value.length;
    if (changed.value && !busy.value && !asked && line().kind !== "CURVE") {
      await unsaved.follow(commit(false, over(), true));
    }
  }

  /** The page goes: what can be taken is sent off; what comes of it is seen when somebody opens the line again. */
  function vanish() {
    clearTimeout(timer);
    void saveLeft();
  }

  /** Says something else than a reading: why there is none, or that the one that stands is taken back. */
  async function say(words: string) {
    const before = typed.value;
    typed.value = words;
    await commit();
    if (typed.value === words) {
      typed.value = before;
      keepUnsaved();
    }
  }

  /** The parts of what stands on the line, asked for when it is taken in hand. */
  async function inParts() {
    if (line().kind === "LIST") {
      parts.value = typed.value.trim() ? (await heardAs(typed.value)).parts : [];
    }
  }

  /** Changes wait for each other: each is made to what the one before left. */
  let altering: Promise<unknown> = Promise.resolve();

  /** A change made where the list is drawn; it is saved when the person says so. */
  function alter(thing: string, how: Schemas["ListChange"]["change"], other: string): Promise<void> {
    const next = altering.then(async () => {
      typed.value = await keeper.change(line(), typed.value, { thing, change: how, other });
      await inParts();
      typing();
    });
    altering = next.catch(() => undefined);
    return next;
  }

  function choose(option: string) {
    typed.value = option;
    void commit();
  }

  /** What was meant by a number without its unit; the unit then holds for the instrument. */
  function mean(choice: string) {
    const bare = typed.value.trim();
    const said = choice.startsWith(bare) ? choice.slice(bare.length).trim() : "";
    if (line().units.includes(said)) {
      hold(using(), line(), said);
    }
    choose(choice);
  }

  /** A key of the line's units: a number that stands there is taken in it, and the next ones too. */
  function unitKey(symbol: string) {
    const bare = typed.value.trim();
    if (bare && BARE.test(bare)) {
      mean(`${bare} ${symbol}`);
    } else if (!bare) {
      hold(using(), line(), symbol);
      field.value?.focus();
    }
  }

  /** The letter a unit begins with is as good as a tap on it. */
  function byLetter(event: KeyboardEvent) {
    const of = meant.value.filter((choice) =>
      choice
        .replace(/^[\d\s.,/½¼¾+−°-]+/, "")
        .toLowerCase()
        .startsWith(event.key.toLowerCase()),
    );
    if (event.key.length === 1 && of.length === 1 && of[0]) {
      event.preventDefault();
      event.stopPropagation();
      mean(of[0]);
    }
  }

  /** Words from elsewhere go into the field; they are saved when the person says so. */
  function put(words: string) {
    typed.value = words;
    typing();
    field.value?.focus();
  }

  /** What an instrument shows in this moment is saved at once, as read with it. */
  async function takeOver(words: string, tool: string) {
    instrument.value = tool;
    typed.value = words;
    await commit();
  }

  /** A logger's file: kept first, then read by its digest. */
  async function choosing(file: File) {
    busy.value = true;
    problem.value = "";
    try {
      const kept = await keeper.log(line(), file);
      if (!kept) {
        return;
      }
      typed.value = kept;
    } catch (thrown) {
      problem.value = sentence(thrown);
      return;
    } finally {
      busy.value = false;
    }
    await commit();
  }

  /** What stands in a record alone, or was only said: seen just now, it is witnessed as it is. */
  const claimed = computed(
    () =>
      inspects() &&
      !changed.value &&
      line().reading?.says === "READ" &&
      line().kind !== "CURVE" &&
      (line().reading?.grade === "RECORDED" || line().reading?.grade === "STATED"),
  );
  function witness() {
    own.value = { ...own.value, grade: "WITNESSED" };
    void commit();
  }

  function regrade() {
    if (line().reading) {
      void commit();
    }
  }

  /** The crew's words go into the field; the inspector looks, and saves them under the own grade. */
  function offer() {
    typed.value = line().beside?.typed ?? "";
    field.value?.focus();
  }

  return {
    typed,
    grade,
    instrument,
    otherGrade,
    otherTool,
    unit,
    problem,
    ask,
    meant,
    theirs,
    busy,
    field,
    answer,
    fitting,
    options,
    changed,
    worst,
    understood,
    uncertainty,
    typing,
    commit,
    leave,
    vanish,
    say,
    choose,
    put,
    takeOver,
    mean,
    unitKey,
    byLetter,
    choosing,
    claimed,
    witness,
    regrade,
    offer,
    parts,
    inParts,
    alter,
    untry,
  };
}
