import { shallowRef } from "vue";

/** Somewhere to go or something to do, for the palette. */
export interface Place {
  title: string;
  detail?: string;
  go: () => void;
}

const ofPage = shallowRef<Place[]>([]);
const heading = shallowRef<{ title: string; detail: string; counts: string } | undefined>();

/** What the page in view adds to the palette and to the top bar. */
export function usePlaces() {
  return { ofPage, heading };
}
