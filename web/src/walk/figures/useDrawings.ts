import { ref, watch, type Ref } from "vue";
import { api, type Schemas } from "../../api/client";
import { sentence } from "../../api/problems";
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

/**
 * A station's drawings, laid out by the server for the room there is. They are asked for anew when the room, the station or what
 * was read changes; the last ones stand until then, and an answer that was overtaken is dropped.
 */
export function useDrawings(path: Ref<string>, stamp: Ref<unknown>, room: Ref<Room | undefined>) {
  const { units } = useUnits();
  const drawings = ref<Schemas["FigureView"][]>();
  const problem = ref("");
  let asked = 0;

  async function ask() {
    const there = room.value;
    if (!there) {
      return;
    }
    const mine = ++asked;
    const size = `width=${within(there.width, NARROWEST)}&height=${within(there.height, LOWEST)}`;
    try {
      const answer = await api.get<Schemas["FigureView"][]>(
        `${path.value}/drawings?units=${units()}&${size}`,
      );
      if (mine === asked) {
        drawings.value = answer;
        problem.value = "";
      }
    } catch (thrown) {
      if (mine === asked) {
        problem.value = sentence(thrown);
      }
    }
  }

  watch(
    path,
    () => {
      drawings.value = undefined;
    },
    { flush: "sync" },
  );
  watch([path, stamp, room, () => units()], () => void ask(), { immediate: true });
  return { drawings, problem };
}
