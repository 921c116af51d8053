import { StorageSerializers, useLocalStorage, useTimeoutFn } from "@vueuse/core";
import { computed, ref, shallowRef, watch, type Ref } from "vue";
import { at } from "../api/address";
import { api, type Schemas } from "../api/client";

const MINUTE_MS = 60_000;
const REPLAN_MS = 1500;
const KEPT = "hour:";

/** A visit with little time: what to read in what is left of it, planned anew as it runs and as lines are read. */
export function useHour(id: Ref<string>) {
  const plan = shallowRef<Schemas["HourView"]>();
  /** When it is over, as this browser keeps it; null where none runs. */
  const until = useLocalStorage<number | null>(() => KEPT + id.value, null, {
    serializer: StorageSerializers.number,
  });
  const now = ref(Date.now());
  let asked = 0;

  const left = computed(() => Math.ceil(((until.value ?? 0) - now.value) / MINUTE_MS));
  const running = computed(() => !!until.value);

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
    return replan();
  }

  function end() {
    until.value = null;
    plan.value = undefined;
  }

  const replanning = useTimeoutFn(() => void replan(), REPLAN_MS, { immediate: false });

  /** After a line was read, or where time has run. */
  function soon() {
    now.value = Date.now();
    if (running.value) {
      replanning.start();
    }
  }

  watch(
    id,
    () => {
      plan.value = undefined;
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
