import { useLocalStorage } from "@vueuse/core";
import { computed, ref } from "vue";

/** Filters of the register under names of their own, kept by this browser. */
export function useSavedFilters<F extends object>() {
  const all = useLocalStorage<Record<string, object>>("register-filters", {});
  /** The one in hand. */
  const name = ref("");

  return {
    name,
    names: computed(() => Object.keys(all.value)),
    keep(filter: F) {
      all.value = { ...all.value, [name.value.trim()]: filter };
    },
    get(chosen: string): F | undefined {
      name.value = chosen;
      return all.value[chosen] as F | undefined;
    },
    forget() {
      all.value = Object.fromEntries(Object.entries(all.value).filter(([key]) => key !== name.value));
      name.value = "";
    },
  };
}
