import { ref, watch } from "vue";

export type Units = "US" | "SI";

const KEPT = "undanus.units";
const BOOK = "undanus.units.book";
const kept = localStorage.getItem(KEPT);
const chosen = ref<Units | undefined>(kept === "US" || kept === "SI" ? kept : undefined);
/** Of the installation looked at last: a page that knows none keeps to it. */
const ofBook = ref<Units>(localStorage.getItem(BOOK) === "US" ? "US" : "SI");
watch(ofBook, () => localStorage.setItem(BOOK, ofBook.value));

/** The reader's unit system: their own choice, else the rule book's. */
export function useUnits() {
  return {
    units: () => chosen.value ?? ofBook.value,
    chosen,
    ofBook,
    toggle() {
      chosen.value = (chosen.value ?? ofBook.value) === "US" ? "SI" : "US";
      localStorage.setItem(KEPT, chosen.value);
    },
  };
}
