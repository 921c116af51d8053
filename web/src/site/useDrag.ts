import { ref, type Ref } from "vue";
import {
  bounds,
  cabinet,
  moved,
  outline,
  snapped,
  withOutline,
  type Plan,
  type PlanFeature,
  type Position,
} from "./plan";
import type { useSite } from "./useSite";

const NEAR_METRES = 0.06;
const SAME = 1e-9;

/** How far a shape moves when one of its edges is drawn onto another. */
function pull(low: number, high: number, by: number, onto: number[]): number {
  const a = snapped(low + by, onto, NEAR_METRES) - low;
  const b = snapped(high + by, onto, NEAR_METRES) - high;
  return onto.some((o) => Math.abs(high + b - o) < SAME) && !onto.some((o) => Math.abs(low + a - o) < SAME)
    ? b
    : a;
}

/**
 * Dragging a thing of the site or one of its corners; edges snap onto each other.
 * @param place where on the site an event happened, in metres
 * @param corners those of any thing as it is drawn now
 */
export function useDrag(
  site: ReturnType<typeof useSite>,
  canvas: Ref<HTMLElement | undefined>,
  place: (event: PointerEvent) => Position,
  corners: (feature: PlanFeature) => Position[],
) {
  const held = ref<{ id: string; corner?: number; from: Position; before: Plan; feature: PlanFeature }>();

  function grab(id: string, event: PointerEvent, corner?: number) {
    const feature = site.plan.value.features.find((f) => f.id === id);
    if (feature) {
      held.value = { id, corner, from: place(event), before: site.plan.value, feature };
      canvas.value?.setPointerCapture(event.pointerId);
    }
  }

  function move(event: PointerEvent) {
    const drag = held.value;
    if (!drag) {
      return;
    }
    const [x, y] = place(event);
    const [dx, dy] = [x - drag.from[0], y - drag.from[1]];
    const others = site.plan.value.features.filter((f) => f.id !== drag.id).map((f) => bounds(corners(f)));
    const onto = {
      x: others.flatMap((b) => [b.left, b.right]),
      y: others.flatMap((b) => [b.low, b.high]),
    };
    const b = bounds(corners(drag.feature));
    const next =
      drag.corner === undefined
        ? moved(drag.feature, pull(b.left, b.right, dx, onto.x), pull(b.low, b.high, dy, onto.y))
        : withOutline(
            drag.feature,
            outline(drag.feature).map((p, i): Position =>
              i === drag.corner
                ? [snapped(p[0] + dx, onto.x, NEAR_METRES), snapped(p[1] + dy, onto.y, NEAR_METRES)]
                : p,
            ),
          );
    site.change(site.withFeature(drag.id, next), null);
  }

  function drop() {
    const drag = held.value;
    held.value = undefined;
    if (drag && drag.before !== site.plan.value) {
      site.past.value = [...site.past.value, drag.before];
    }
  }

  return { held, grab, move, drop };
}

/** The corners of a unit's cabinet about its place, of any other thing its own. */
export function cornersOf(feature: PlanFeature, size: { width: number; depth: number }): Position[] {
  const [x, y] = outline(feature)[0] ?? [0, 0];
  return feature.properties.kind === "unit"
    ? cabinet({ x, y, facing: feature.properties.facing ?? 0, ...size })
    : outline(feature);
}
