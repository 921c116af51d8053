import { useLocalStorage } from "@vueuse/core";

/** Something on or off, as this browser keeps it. */
export function useSwitch(key: string, otherwise: boolean) {
  return useLocalStorage(key, otherwise, {
    serializer: { read: (kept) => kept === "yes", write: (on) => (on ? "yes" : "no") },
    writeDefaults: false,
  });
}
