import { useLocalStorage } from "@vueuse/core";
import { watchEffect } from "vue";

export type Theme = "light" | "attic";

const theme = useLocalStorage<Theme>("undanus.theme", "light");

watchEffect(() => {
  document.documentElement.dataset.theme = theme.value;
});

/** Light on paper, or attic for poor light. */
export function useTheme() {
  return {
    theme,
    toggle() {
      theme.value = theme.value === "light" ? "attic" : "light";
    },
  };
}
