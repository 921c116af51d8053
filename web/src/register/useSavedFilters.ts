import { computed, ref } from "vue";

const STORED = "register-filters";

function stored(): Record<string, object> {
  try {
    return JSON.parse(localStorage.getItem(STORED) ?? "{}") as Record<string, object>;
  } catch {
    return {};
  }
}

/** Filters of the register under names of their own, kept by this browser. */
export function useSavedFilters<F extends object>() {
  const all = ref<Record<string, object>>(stored());
  /** The one in hand. */
  const name = ref("");

  function keepAll(changed: Record<string, object>) {
    all.value = changed;
    try {
      localStorage.setItem(STORED, JSON.stringify(changed));
    } catch {
      // without room they hold until the page is left
    }
  }

  return {
    name,
    names: computed(() => Object.keys(all.value)),
    keep(filter: F) {
      keepAll({ ...all.value, [name.value.trim()]: filter });
    },
    get(chosen: string): F | undefined {
      name.value = chosen;
      return all.value[chosen] as F | undefined;
    },
    forget() {
      keepAll(Object.fromEntries(Object.entries(all.value).filter(([key]) => key !== name.value)));
      name.value = "";
    },
  };
}
