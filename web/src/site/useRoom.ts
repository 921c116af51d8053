import { useResizeObserver } from "@vueuse/core";
import { ref, type Ref } from "vue";
import { within } from "../shown/figures/useDrawings";

/** The room that an element has for a drawing, as long as it is there; the last one after that. */
export function useRoom(element: Ref<HTMLElement | undefined>) {
  const room = ref({ width: 640, height: 400 });
  useResizeObserver(element, ([seen]) => {
    const box = seen?.contentRect;
    if (box?.width) {
      room.value = { width: within(box.width), height: within(box.height) };
    }
  });
  return room;
}
