import { computed, ref, shallowRef, watch, type Ref } from "vue";
import { at } from "../api/address";
import { api, type Schemas } from "../api/client";

const MINUTE_MS = 60_000;
const REPLAN_MS = 1500;
const KEPT = "hour:";

/** A visit with little time: what to read in what is left of it, planned anew as it runs and as lines are read. */
export function useHour(id: Ref<string>) {
  const plan = shallowRef<Schemas["HourView"]>();
  const until = ref(0);
  const now = ref(Date.now());
  let asked = 0;
  let timer: ReturnType<typeof setTimeout> | undefined;

  const left = computed(() => Math.ceil((until.value - now.value) / MINUTE_MS));
  const running = computed(() => until.value > 0);

  /** What could be read in so many minutes; nothing is begun. */
  function look(minutes: number) {
    return api.get(at("/api/installations/{id}/hour", { path: { id: id.value }, query: { minutes } }));
  }

  async function replan() {
    now.value = Date.now();
    if (!running.value) {
      return;
    }
    const mine = ++asked;
    try {
      const looked = await look(Math.max(0, left.value));
      if (mine === asked) {
        plan.value = looked;
      }
    } catch {
      // without an answer the plan before is still the best there is
    }
  }

  function begin(minutes: number) {
    until.value = Date.now() + minutes * MINUTE_MS;
    localStorage.setItem(KEPT + id.value, String(until.value));
    return replan();
  }

  function end() {
    until.value = 0;
    plan.value = undefined;
    localStorage.removeItem(KEPT + id.value);
  }

  /** After a line was read, or where time has run. */
  function soon() {
    now.value = Date.now();
    if (running.value) {
      clearTimeout(timer);
      timer = setTimeout(() => void replan(), REPLAN_MS);
    }
  }

  watch(
    id,
    () => {
      plan.value = undefined;
      until.value = Number(localStorage.getItem(KEPT + id.value) ?? 0);
      void replan();
    },
    { immediate: true },
  );

  /** Time runs; with every minute of it the plan is made anew. */
  function tick() {
    now.value = Date.now();
  }
  watch(left, soon);

  const next = computed(() => plan.value?.lines[0] ?? plan.value?.confirm[0]);

  return { plan, left, running, look, begin, end, soon, tick, next };
}
