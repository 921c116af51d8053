import type { InjectionKey, Ref } from "vue";

/** Where what belongs to the line in hand is shown. */
export const HAND: InjectionKey<Ref<HTMLElement | undefined>> = Symbol("hand");
