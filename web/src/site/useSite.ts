import { computed, ref, shallowRef, watch, type Ref } from "vue";
import { api, ProblemError, type Schemas } from "../api/client";
import { sentence } from "../api/problems";
import { useUnits } from "../frame/useUnits";
import { emptyPlan, type Plan, type PlanFeature, type Wall } from "./plan";

const TRIAL_EVERY_MS = 120;

/** The drawing of one site: what is drawn, how it would be judged as it stands, and what is kept. */
export function useSite(id: Ref<string>) {
  const { units, ofBook } = useUnits();
  const installation = shallowRef<Schemas["InstallationView"]>();
  const sizes = shallowRef<Schemas["SitedUnitView"][]>([]);
  const plan = shallowRef<Plan>(emptyPlan());
  const view = shallowRef<Schemas["PlanView"]>();
  const judgements = shallowRef<Schemas["VerdictView"][]>([]);
  const version = ref(0);
  /** Why what is drawn cannot be judged, and why something was refused; a trial that succeeds says nothing of the latter. */
  const unjudged = ref("");
  const refused = ref("");
  const problem = computed(() => refused.value || unjudged.value);
  const clash = ref(false);
  const past = shallowRef<Plan[]>([]);
  const unsaved = ref(false);
  let waiting: ReturnType<typeof setTimeout> | undefined;
  let last = 0;
  let asked = 0;

  const path = computed(() => `/api/installations/${id.value}/site-plan`);

  async function load() {
    refused.value = "";
    clash.value = false;
    try {
      const facts = await api.get<Schemas["InstallationView"]>(`/api/installations/${id.value}`);
      installation.value = facts;
      ofBook.value = facts.display;
      const [drawing, station] = await Promise.all([
        api.get<Schemas["DrawingView"]>(`${path.value}?units=${units()}`),
        api.get<Schemas["StationView"]>(`/api/installations/${id.value}/stations/siting?units=${units()}`),
      ]);
      sizes.value = station.figures.siting ?? [];
      version.value = drawing.version;
      plan.value = (drawing.plan as unknown as Plan | undefined) ?? emptyPlan();
      view.value = drawing.view;
      past.value = [];
      unsaved.value = false;
      await attempt();
    } catch (thrown) {
      refused.value = sentence(thrown);
    }
  }

  async function attempt() {
    last = Date.now();
    const mine = ++asked;
    try {
      const trial = await api.post<Schemas["TrialView"]>(`${path.value}/trial?units=${units()}`, plan.value);
      if (mine === asked) {
        view.value = trial.view;
        judgements.value = trial.judgements;
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
      await api.post<Schemas["TrialView"]>(`${path.value}/trial?units=${units()}`, read);
      change(read as Plan);
    } catch (thrown) {
      refuse(`${sentence(thrown)} The drawing is as it was.`);
    }
  }

  /** Has what is drawn judged, at most every so often while things are dragged. */
  function judge() {
    clearTimeout(waiting);
    const wait = Math.max(0, last + TRIAL_EVERY_MS - Date.now());
    waiting = setTimeout(() => void attempt(), wait);
  }

  /** @param begun the drawing before a drag began, kept for undoing; while dragging nothing is kept */
  function change(next: Plan, begun: Plan | null = plan.value) {
    if (begun) {
      past.value = [...past.value.slice(-49), begun];
    }
    plan.value = next;
    refused.value = "";
    unsaved.value = true;
    judge();
  }

  function undo() {
    const before = past.value.at(-1);
    if (before) {
      past.value = past.value.slice(0, -1);
      plan.value = before;
      unsaved.value = true;
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
    try {
      const kept = await api.put<Schemas["DrawingView"]>(
        `${path.value}?basedOn=${version.value}&units=${units()}`,
        plan.value,
      );
      version.value = kept.version;
      unsaved.value = false;
      clash.value = false;
      refused.value = "";
      return true;
    } catch (thrown) {
      clash.value = thrown instanceof ProblemError && thrown.problem.status === 409;
      refuse(sentence(thrown));
      return false;
    }
  }

  watch([id, units], load, { immediate: true });

  return {
    installation,
    sizes,
    plan,
    view,
    judgements,
    version,
    problem,
    clash,
    past,
    unsaved,
    path,
    load,
    bring,
    refuse,
    change,
    undo,
    withFeature,
    withWall,
    save,
  };
}
