import { ref, watchEffect } from "vue";

export type Theme = "light" | "attic";

const KEPT = "undanus.theme";
const theme = ref<Theme>(localStorage.getItem(KEPT) === "attic" ? "attic" : "light");

watchEffect(() => {
  document.documentElement.dataset.theme = theme.value;
  localStorage.setItem(KEPT, theme.value);
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
