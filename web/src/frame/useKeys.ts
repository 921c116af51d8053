import { $gettext } from "../language/language";
import { useEventListener } from "@vueuse/core";
import { useSwitch } from "./useSwitch";

/** Who speaks to the machine, or whose hand shakes, can do without single keys. */
const on = useSwitch("single-keys", true);

export function useSingleKeys() {
  return {
    on,
    toggle() {
      on.value = !on.value;
    },
  };
}

/** What each key does, in the order the help lists them. */
export const KEYS: readonly { key: string; does: string }[] = [
  { key: "n", does: $gettext("the line that can change most") },
  { key: "p", does: $gettext("previous line") },
  { key: "Enter", does: $gettext("the first open line, from the top of the page") },
  { key: "e", does: $gettext("evidence of the chosen judgement") },
  { key: "w", does: $gettext("why: how the judgement follows") },
  { key: "f", does: $gettext("raise a correction") },
  { key: "h", does: $gettext("begin or end a hold: the line in hand, else the station's own") },
  { key: "b", does: $gettext("bench: the station's curves, looked at closely") },
  { key: "d", does: $gettext("fold the drawing away, or show it") },
  { key: "[", does: $gettext("previous station") },
  { key: "]", does: $gettext("next station") },
  { key: "z", does: $gettext("undo, in a drawing") },
  { key: "u", does: $gettext("other unit system") },
  { key: "?", does: $gettext("all keys") },
  { key: "Ctrl K", does: $gettext("go to anything") },
  { key: "Esc", does: $gettext("leave the field") },
];

function visible(element: Element): boolean {
  return element.getClientRects().length > 0;
}

/** Where answers are given letters are no shortcuts, also where an answer is a button. A field in a dialog that has closed may still hold the focus; nobody types there. */
function typing(target: EventTarget | null): boolean {
  return (
    (target instanceof HTMLInputElement ||
      target instanceof HTMLTextAreaElement ||
      target instanceof HTMLSelectElement ||
      (target instanceof HTMLElement &&
        (target.isContentEditable || !!target.closest("[role=group] .option")))) &&
    visible(target)
  );
}

/** Whether the key is what presses this: a button or a link is left to itself. */
function presses(event: KeyboardEvent): boolean {
  return (
    event.key === "Enter" &&
    event.target instanceof Element &&
    !!event.target.closest("a, button, summary, [role=button], [role=option]")
  );
}

/** Listens for single keys while nothing is being typed and no dialog is open. */
export function useKeys(actions: Record<string, () => void>) {
  function pressed(event: KeyboardEvent) {
    if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === "k") {
      const open = actions["Ctrl K"];
      if (open) {
        event.preventDefault();
        open();
      }
      return;
    }
    if (typing(event.target) && event.key === "Escape") {
      (event.target as HTMLElement).blur();
      return;
    }
    const action = on.value ? actions[event.key] : undefined;
    const dialogOpen = [...document.querySelectorAll(".el-overlay")].some(visible);
    const modified = event.ctrlKey || event.metaKey || event.altKey;
    if (!action || typing(event.target) || presses(event) || modified || dialogOpen) {
      return;
    }
    event.preventDefault();
    action();
  }
  useEventListener("keydown", pressed);
}
