import { onBeforeUnmount, ref } from "vue";
import { at } from "../api/address";
import { api, type Schemas } from "../api/client";

const POLL_MS = 250;

/**
 * A change being tried on the archive, followed until it is done.
 *
 * @param failed hears what went wrong on the way
 */
export function useTrial(failed: (thrown: unknown) => void) {
  const trial = ref<Schemas["ArchiveTrial"]>();
  let poll: ReturnType<typeof setTimeout> | undefined;

  async function ask() {
    const asked = trial.value;
    if (!asked) {
      return;
    }
    try {
      const told = await api.get(at("/api/trials/{id}", { path: { id: asked.id } }));
      if (trial.value?.id === told.id) {
        show(told);
      }
    } catch (thrown) {
      failed(thrown);
    }
  }

  function show(told: Schemas["ArchiveTrial"]) {
    trial.value = told;
    clearTimeout(poll);
    if (told.state === "RUNNING") {
      poll = setTimeout(() => void ask(), POLL_MS);
    }
  }

  /** Follows one that has begun, instead of another. */
  async function begin(begun: Promise<Schemas["ArchiveTrial"]>) {
    clearTimeout(poll);
    show(await begun);
  }

  async function stop() {
    if (trial.value) {
      try {
        show(await api.remove(at("/api/trials/{id}", { path: { id: trial.value.id } })));
      } catch (thrown) {
        failed(thrown);
      }
    }
  }

  /** Ends it where it runs, and shows none. */
  async function leave() {
    if (trial.value?.state === "RUNNING") {
      await stop();
    }
    trial.value = undefined;
  }

  onBeforeUnmount(() => clearTimeout(poll));
  return { trial, begin, stop, leave };
}
