import { ref } from "vue";

/** A result taken along from a calculator, to be put into a line. */
export const carried = ref<{ name: string; value: string }>();
