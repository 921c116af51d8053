import type { Ref } from "vue";
import type { Schemas } from "../../api/client";
import { useLatest } from "../../api/useLatest";
import { useUnits } from "../../frame/useUnits";

/** Room for a figure, in dots. */
export interface Room {
  width: number;
  height: number;
}

const NARROWEST = 240;
const WIDEST = 2000;
const LOWEST = 120;

function within(value: number, least: number): number {
  return Math.min(WIDEST, Math.max(least, Math.floor(value)));
}

/** A station's drawings, laid out by the server for the room there is. */
export function useDrawings(path: Ref<string>, stamp: Ref<unknown>, room: Ref<Room | undefined>) {
  const { units } = useUnits();
  const { value: drawings, problem } = useLatest<Schemas["FigureView"][]>(
    path,
    () =>
      room.value
        ? `${path.value}/drawings?units=${units()}` +
          `&width=${within(room.value.width, NARROWEST)}&height=${within(room.value.height, LOWEST)}`
        : "",
    stamp,
  );
  return { drawings, problem };
}
