import type { Ref } from "vue";
import { at } from "../../api/address";
import { useLatest } from "../../api/useLatest";
import { useUnits } from "../../frame/useUnits";
import { tried } from "./useTried";

/** Room for a figure, in dots. */
export interface Room {
  width: number;
  height: number;
}

/** Whose drawings. */
export interface Of {
  id: string;
  station: string;
}

const NARROWEST = 240;
const WIDEST = 2000;
const LOWEST = 120;

/** Of a length of a sheet, in dots, what the server lays out. */
export function within(value: number, least = NARROWEST): number {
  return Math.min(WIDEST, Math.max(least, Math.floor(value)));
}

/** A station's drawings, laid out by the server for the room there is. */
export function useDrawings(of: () => Of, stamp: Ref<unknown>, room: Ref<Room | undefined>) {
  const { units } = useUnits();
  const { value: drawings, problem } = useLatest(
    () => `${of().id} ${of().station}`,
    () =>
      room.value &&
      at("/api/installations/{id}/stations/{station}/drawings", {
        path: { ...of() },
        query: {
          units: units(),
          width: within(room.value.width),
          height: within(room.value.height, LOWEST),
          ...(tried.value && {
            point: tried.value.point,
            component: tried.value.component,
            typed: tried.value.typed,
          }),
        },
      }),
    stamp,
  );
  return { drawings, problem };
}
