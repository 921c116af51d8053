import { useEventListener } from "@vueuse/core";

/** While a finger or a button is down nothing may move under it: what changes the page waits until it is up. */
const down = new Set<number>();
let waiting: (() => void)[] = [];

function released(event: PointerEvent) {
  down.delete(event.pointerId);
  // the click comes after the release; what waited comes after the click
  setTimeout(() => {
    if (!down.size) {
      const now = waiting;
      waiting = [];
      now.forEach((go) => go());
    }
  });
}

useEventListener("pointerdown", (event) => down.add(event.pointerId), { capture: true });
useEventListener(["pointerup", "pointercancel"], released, { capture: true });

/** Ends at once where nothing is pressed, else when it has been let go and its click has been heard. */
export function pressOver(): Promise<void> {
  return down.size ? new Promise((go) => waiting.push(go)) : Promise.resolve();
}
