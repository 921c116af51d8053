import { ref } from "vue";

/** A list that is being typed: the figure shows it as if it were saved. */
export interface Tried {
  line: string;
  point: string;
  component: string;
  typed: string;
}

/** A part of a drawing that was tapped, of a list's line. */
export interface Taken {
  line: string;
  thing: string;
}

export const tried = ref<Tried>();
export const taken = ref<Taken>();
