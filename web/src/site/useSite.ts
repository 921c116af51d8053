import { $gettext } from "../language/language";
import { useTimeoutFn } from "@vueuse/core";
import { computed, onScopeDispose, ref, shallowRef, watch, type Ref } from "vue";
import { at } from "../api/address";
import { api, ProblemError, type Schemas } from "../api/client";
import { sentence } from "../api/problems";
import { useUnits } from "../frame/useUnits";
import { useSession } from "../session/useSession";
import { drafts } from "./drafts";
import { emptyPlan, type Plan, type PlanFeature, type Wall } from "./plan";

const TRIAL_EVERY_MS = 120;

/** What of a site is shown, and how large. */
export interface Look {
  width: number;
  height: number;
  wall?: string;
  chosen?: string;
  mayTurn?: boolean;
  whole?: boolean;
  view?: number[];
}

/** The drawing of one site: what is drawn, how it would be judged as it stands, and what is kept. */
export function useSite(id: Ref<string>) {
  const { units, ofBook } = useUnits();
  const { person } = useSession();
  const installation = shallowRef<Schemas["InstallationView"]>();
  const sizes = shallowRef<Schemas["SitedUnitView"][]>([]);
  /** How the drawing is to be shown; asked for with every trial. */
  const look = shallowRef<Look>({ width: 640, height: 400 });
  const plan = shallowRef<Plan>(emptyPlan());
  /** What the server made of it: the figure laid out, what cannot be, and the smallest move. */
  const view = shallowRef<Schemas["TrialView"]>();
  /** Nothing while no answer has come yet. */
  const judgements = shallowRef<Schemas["VerdictView"][]>();
  const version = ref(0);
  /** Why what is drawn cannot be judged, and why something was refused; a trial that succeeds says nothing of the latter. */
  const unjudged = ref("");
  const refused = ref("");
  const problem = computed(() => refused.value || unjudged.value);
  const clash = ref(false);
  const past = shallowRef<Plan[]>([]);
  const kept = shallowRef(plan.value);
  const unsaved = computed(() => plan.value !== kept.value);
  /** When what is drawn was begun, where it was left unkept and has been taken up again. */
  const takenUp = ref("");
  const wait = ref(0);
  const waiting = useTimeoutFn(
    () => {
      hold();
      void attempt();
    },
    wait,
    { immediate: false },
  );
  let last = 0;
  let asked = 0;
  let loads = 0;

  /** A draft is its drawer's: others who use this browser do not see it. */
  const drawer = computed(() => `${person.value?.name ?? ""}.${id.value}`);
  const own = () => ({ path: { id: id.value } });

  /** Reads what is kept, and takes up what was drawn here and left before it was kept. */
  async function load() {
    const mine = ++loads;
    waiting.stop();
    refused.value = "";
    clash.value = false;
    takenUp.value = "";
    installation.value = undefined;
    judgements.value = undefined;
    try {
      const facts = await api.get(at("/api/installations/{id}", own()));
      ofBook.value = facts.display;
      const drawing = await api.get(
        at("/api/installations/{id}/site-plan", { ...own(), query: { units: units() } }),
      );
      if (mine !== loads) {
        return;
      }
      installation.value = facts;
      sizes.value = drawing.units;
      kept.value = (drawing.plan as unknown as Plan | undefined) ?? emptyPlan();
      version.value = drawing.version;
      plan.value = kept.value;
      past.value = [];
      const draft = drafts.of(drawer.value);
      if (draft) {
        past.value = [kept.value];
        plan.value = draft.plan;
        version.value = draft.basedOn;
        takenUp.value = draft.at;
      }
      await attempt();
    } catch (thrown) {
      if (mine === loads) {
        refused.value = sentence(thrown);
      }
    }
  }

  /** Gives up what is drawn here for what is kept. */
  function giveUp() {
    drafts.drop(drawer.value);
    return load();
  }

  /** Holds what is drawn against a browser that dies. */
  function hold() {
    if (unsaved.value) {
      drafts.keep(drawer.value, plan.value, version.value);
    } else {
      drafts.drop(drawer.value);
    }
  }

  function trial(drawn: Plan) {
    return api.post(
      at("/api/installations/{id}/site-plan/trial", {
        ...own(),
        query: { units: units(), ...look.value },
      }),
      drawn as unknown as Record<string, never>,
    );
  }

  async function attempt() {
    last = Date.now();
    const mine = ++asked;
    try {
      const tried = await trial(plan.value);
      if (mine === asked) {
        view.value = tried;
        sizes.value = tried.units;
        judgements.value = tried.judgements;
        unjudged.value = "";
      }
    } catch (thrown) {
      if (mine === asked) {
        unjudged.value = sentence(thrown);
      }
    }
  }

  function refuse(why: string) {
    refused.value = why;
  }

  /** Takes a drawing from a file, if the server can read it; else what is drawn stays. */
  async function bring(read: unknown) {
    try {
      await trial(read as Plan);
      change(read as Plan);
    } catch (thrown) {
      refuse($gettext("%{sentence} The drawing is as it was.", { sentence: sentence(thrown) }));
    }
  }

  /** Has what is drawn judged, at most every so often while things are dragged. */
  function judge() {
    wait.value = Math.max(0, last + TRIAL_EVERY_MS - Date.now());
    waiting.start();
  }

  /** @param begun the drawing before a drag began, kept for undoing; while dragging nothing is kept */
  function change(next: Plan, begun: Plan | null = plan.value) {
    if (begun) {
      past.value = [...past.value.slice(-49), begun];
    }
    plan.value = next;
    refused.value = "";
    judge();
  }

  function undo() {
    const before = past.value.at(-1);
    if (before) {
      past.value = past.value.slice(0, -1);
      plan.value = before;
      judge();
    }
  }

  function withFeature(id: string, to: PlanFeature | undefined): Plan {
    const features = to
      ? plan.value.features.some((f) => f.id === id)
        ? plan.value.features.map((f) => (f.id === id ? to : f))
        : [...plan.value.features, to]
      : plan.value.features.filter((f) => f.id !== id);
    return { ...plan.value, features };
  }

  function withWall(wall: Wall): Plan {
    const walls = plan.value.undanus.walls.filter((w) => w.component !== wall.component);
    return { ...plan.value, undanus: { ...plan.value.undanus, walls: [...walls, wall] } };
  }

  async function save(): Promise<boolean> {
    const drawn = plan.value;
    try {
      const answer = await api.put(
        at("/api/installations/{id}/site-plan", {
          ...own(),
          query: { basedOn: version.value, units: units() },
        }),
        drawn as unknown as Record<string, never>,
      );
      version.value = answer.version;
      kept.value = drawn;
      takenUp.value = "";
      clash.value = false;
      refused.value = "";
      judge();
      return true;
    } catch (thrown) {
      clash.value = thrown instanceof ProblemError && thrown.problem.status === 409;
      refuse(sentence(thrown));
      return false;
    }
  }

  watch(id, load, { immediate: true });
  // Other units change how things are said, never what is drawn.
  watch([units, look], () => installation.value && attempt());
  onScopeDispose(() => {
    waiting.stop();
    if (installation.value) {
      hold();
    }
  });

  return {
    installation,
    sizes,
    look,
    plan,
    view,
    judgements,
    version,
    problem,
    clash,
    past,
    unsaved,
    takenUp,
    giveUp,
    bring,
    refuse,
    change,
    undo,
    withFeature,
    withWall,
    save,
  };
}
