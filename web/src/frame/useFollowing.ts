import { useTimeoutFn } from "@vueuse/core";
import { shallowRef } from "vue";

const POLL_MS = 250;

/** Work that the server does in the background. */
interface Underway {
  id: string;
  state: string;
}

/**
 * Follows work that goes on at the server until it is done.
 *
 * @param ask how it stands, by its id
 * @param cancel ends it, by its id
 * @param failed hears what went wrong on the way
 */
export function useFollowing<W extends Underway>(
  ask: (id: string) => Promise<W>,
  cancel: (id: string) => Promise<W>,
  failed: (thrown: unknown) => void,
) {
  const followed = shallowRef<W>();
  const again = useTimeoutFn((id: string) => void look(id), POLL_MS, { immediate: false });

  async function look(id: string) {
    try {
      const told = await ask(id);
      if (followed.value?.id === told.id) {
        show(told);
      }
    } catch (thrown) {
      failed(thrown);
    }
  }

  function show(told: W) {
    followed.value = told;
    again.stop();
    if (told.state === "RUNNING") {
      again.start(told.id);
    }
  }

  /** Follows one that has begun, instead of another. */
  async function begin(begun: Promise<W>) {
    again.stop();
    show(await begun);
  }

  async function stop() {
    if (followed.value) {
      try {
        show(await cancel(followed.value.id));
      } catch (thrown) {
        failed(thrown);
      }
    }
  }

  /** Ends it where it goes on, and shows none. */
  async function leave() {
    if (followed.value?.state === "RUNNING") {
      await stop();
    }
    followed.value = undefined;
  }

  return { followed, begin, stop, leave };
}
