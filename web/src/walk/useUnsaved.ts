import { useEventListener } from "@vueuse/core";
import { computed, ref, watch } from "vue";
import { useSession } from "../session/useSession";
import type { Grade } from "../shown/lines";

/** What was typed on a line and is not saved yet: it waits on this device, for whoever typed it. */
export interface Unsaved {
  installation: string;
  station: string;
  /** Point and component. */
  line: string;
  title: string;
  typed: string;
  /** As people say it, where that is not what was typed: of a choice its words. */
  said?: string;
  /** Under which it is saved however often that is tried. */
  id: string;
  /** The reading it was typed over. */
  basedOn?: string;
  grade?: Grade;
  instrument?: string;
  /** Why it could not be saved; without it nobody has tried, or the answer never came. */
  problem?: string;
}

const KEPT = "unsaved:";
const { person } = useSession();
const all = ref<Record<string, Unsaved>>({});

function place(): string {
  return KEPT + (person.value?.name ?? "");
}

function read() {
  try {
    all.value = JSON.parse(localStorage.getItem(place()) ?? "{}") as Record<string, Unsaved>;
  } catch {
    all.value = {};
  }
}

function write() {
  try {
    localStorage.setItem(place(), JSON.stringify(all.value));
  } catch {
    // without room it holds until the page is left
  }
}

watch(() => person.value?.name, read, { immediate: true });
useEventListener("storage", (event) => event.key === place() && read());

function keyOf(of: { installation: string; line: string }): string {
  return `${of.installation} ${of.line}`;
}

/** Saves under way of what was left. */
const under = new Set<Promise<unknown>>();

export function useUnsaved() {
  return {
    of: (installation: string, line: string): Unsaved | undefined => all.value[keyOf({ installation, line })],
    keep(unsaved: Unsaved) {
      // once nobody is signed in any more it stands already under the name of whoever typed it
      if (!person.value) {
        return;
      }
      all.value = { ...all.value, [keyOf(unsaved)]: unsaved };
      write();
    },
    drop(installation: string, line: string) {
      const { [keyOf({ installation, line })]: gone, ...rest } = all.value;
      if (gone) {
        all.value = rest;
        write();
      }
    },
    ofInstallation: (installation: () => string) =>
      computed(() => Object.values(all.value).filter((each) => each.installation === installation())),
    /** Follows a save of what was left. */
    async follow(save: Promise<unknown>) {
      under.add(save);
      try {
        await save;
      } finally {
        under.delete(save);
      }
    },
    /** Once every save of what was left has come to something. */
    settled: () => Promise.allSettled([...under]),
  };
}
