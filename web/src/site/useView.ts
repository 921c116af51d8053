import { refThrottled } from "@vueuse/core";
import { computed, ref } from "vue";
import { bounds, type Position } from "./plan";

/** What of the site is shown, in metres. */
export interface Edges {
  left: number;
  low: number;
  right: number;
  high: number;
}

const STEP = 1.3;
const CLOSEST = 0.5;
const FARTHEST = 900;
const WHEEL = 0.0015;
const AROUND = 1.2;
const EVERY_MS = 60;

function about(edges: Edges, [x, y]: Position, by: number): Edges {
  const width = Math.min(FARTHEST, Math.max(CLOSEST, (edges.right - edges.left) * by));
  const factor = width / (edges.right - edges.left);
  return {
    left: x - (x - edges.left) * factor,
    right: x + (edges.right - x) * factor,
    low: y - (y - edges.low) * factor,
    high: y + (edges.high - y) * factor,
  };
}

/**
 * Zooming and moving over a drawing: by wheel, by two fingers, by dragging where nothing is drawn, by buttons.
 * @param shown what the sheet shows now; nothing before the first answer
 * @param place where on the site an event happened
 */
export function useView(
  shown: () => Edges | undefined,
  place: (event: PointerEvent | WheelEvent) => Position,
) {
  const chosen = ref<Edges>();
  /** The same, no oftener than it can be laid out. */
  const laidOut = refThrottled(chosen, EVERY_MS);
  const view = computed(
    () => laidOut.value && [laidOut.value.left, laidOut.value.low, laidOut.value.right, laidOut.value.high],
  );
  const fingers = new Map<number, { x: number; y: number }>();
  let from: { edges: Edges; at: Position } | undefined;

  function now(): Edges | undefined {
    return chosen.value ?? shown();
  }

  function zoom(by: number, at?: Position) {
    const edges = now();
    if (edges) {
      chosen.value = about(edges, at ?? [(edges.left + edges.right) / 2, (edges.low + edges.high) / 2], by);
    }
  }

  function apart(): number {
    const [a, b] = [...fingers.values()];
    return a && b ? Math.hypot(a.x - b.x, a.y - b.y) : 0;
  }

  return {
    view,
    zoomed: computed(() => !!chosen.value),
    closer: () => zoom(1 / STEP),
    farther: () => zoom(STEP),
    reset: () => (chosen.value = undefined),
    /** A thing and what is around it. */
    onto(corners: Position[]) {
      const box = bounds(corners);
      chosen.value = {
        left: box.left - AROUND,
        right: box.right + AROUND,
        low: box.low - AROUND,
        high: box.high + AROUND,
      };
    },
    wheel(event: WheelEvent) {
      event.preventDefault();
      zoom(Math.exp(event.deltaY * WHEEL), place(event));
    },
    down(event: PointerEvent) {
      fingers.set(event.pointerId, { x: event.clientX, y: event.clientY });
      const edges = now();
      from = edges && fingers.size === 1 ? { edges, at: place(event) } : undefined;
    },
    /** @param held whether a thing is being dragged, which the view must not follow */
    move(event: PointerEvent, held: boolean) {
      if (!fingers.has(event.pointerId)) {
        return;
      }
      const before = apart();
      fingers.set(event.pointerId, { x: event.clientX, y: event.clientY });
      if (fingers.size === 2 && before) {
        zoom(before / Math.max(1, apart()), place(event));
      } else if (from && !held) {
        const [x, y] = place(event);
        const [dx, dy] = [from.at[0] - x, from.at[1] - y];
        const edges = now() ?? from.edges;
        chosen.value = {
          left: edges.left + dx,
          right: edges.right + dx,
          low: edges.low + dy,
          high: edges.high + dy,
        };
      }
    },
    up(event: PointerEvent) {
      fingers.delete(event.pointerId);
      from = undefined;
    },
  };
}
