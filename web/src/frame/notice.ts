import { useTimeoutFn } from "@vueuse/core";
import { ref } from "vue";
import { pressOver } from "./press";

const SHORT_MS = 4_000;
const LONG_MS = 10_000;

export interface Notice {
  kind: "done" | "hint" | "problem";
  message: string;
}

/** What is said in passing, in a strip of its own at the foot: one at a time, over nothing that can be tapped. */
export const said = ref<Notice>();
const lasting = ref(SHORT_MS);
const over = useTimeoutFn(() => void unsay(), lasting, { immediate: false });

/** A problem gives way only to another one, or in its time. */
async function say(next: Notice) {
  await pressOver();
  if (next.kind !== "problem" && said.value?.kind === "problem") {
    return;
  }
  said.value = next;
  lasting.value = next.kind === "problem" ? LONG_MS : SHORT_MS;
  over.start();
}

export async function unsay() {
  over.stop();
  await pressOver();
  said.value = undefined;
}

/** Says something in passing. */
export const notice = {
  done: (message: string) => void say({ kind: "done", message }),
  hint: (message: string) => void say({ kind: "hint", message }),
  problem: (message: string) => void say({ kind: "problem", message }),
};
