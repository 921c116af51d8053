import { useTimeoutFn } from "@vueuse/core";
import { ref } from "vue";
import { at } from "../api/address";
import { api, type Schemas } from "../api/client";

export type Simulated = Schemas["Simulated"];
type Act = Simulated["acts"][number]["act"];

const AGAIN_MS = 3000;

/** The demo's simulated instruments. */
export function useSimulated() {
  const simulated = ref<Simulated>();
  const again = useTimeoutFn(() => void look().catch(() => undefined), AGAIN_MS, { immediate: false });
  let ended = false;

  /** While they run their clock is asked for now and then. */
  function took(now: Simulated) {
    again.stop();
    simulated.value = now;
    if (now.running && !ended) {
      again.start();
    }
  }

  async function look() {
    took(await api.get(at("/api/simulated")));
  }

  return {
    simulated,
    look,
    start: async (asked: Schemas["Start"]) => took(await api.post(at("/api/simulated"), asked)),
    act: async (act: Act) => took(await api.post(at("/api/simulated/work"), { act })),
    run: async (runs: boolean) => took(await api.post(at("/api/simulated/work"), { runs })),
    warm: async (warmed: boolean) => took(await api.post(at("/api/simulated/work"), { warmed })),
    stop: async () => took(await api.post(at("/api/simulated/stop"), undefined as never)),
    end: () => {
      ended = true;
      again.stop();
    },
  };
}
