import { ref } from "vue";

export type Units = "US" | "SI";

const KEPT = "undanus.units";
const kept = localStorage.getItem(KEPT);
const chosen = ref<Units | undefined>(kept === "US" || kept === "SI" ? kept : undefined);
const ofBook = ref<Units>("SI");

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
