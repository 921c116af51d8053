import { useLocalStorage } from "@vueuse/core";
import { computed } from "vue";

export type Units = "US" | "SI";

const chosen = useLocalStorage<Units | null>("undanus.units", null);
/** Of the installation looked at last: a page that knows none keeps to it. */
const ofBook = useLocalStorage<Units>("undanus.units.book", "SI");

/** The reader's unit system: their own choice, else the rule book's. */
export function useUnits() {
  return {
    units: () => chosen.value ?? ofBook.value,
    /** Of the reader alone; none where they never chose. */
    chosen: computed(() => chosen.value ?? undefined),
    ofBook,
    toggle() {
      chosen.value = (chosen.value ?? ofBook.value) === "US" ? "SI" : "US";
    },
  };
}
