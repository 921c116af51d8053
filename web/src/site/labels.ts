/** Where words may stand on a drawing: at a point, before, behind or about it. */
export interface Spot {
  x: number;
  y: number;
  anchor: "start" | "middle" | "end";
}

/** Words that want a place, with those they would take, the best first. */
export interface Wish {
  key: string;
  text: string;
  /** Height of the letters, in the drawing's own units. */
  size: number;
  spots: Spot[];
  /** Words that must stand take their best place even if it is taken; others are left out. */
  needed?: boolean;
}

export interface Laid extends Spot {
  key: string;
  text: string;
}

interface Box {
  left: number;
  right: number;
  low: number;
  high: number;
}

/** Width of a letter for its height: wide enough for figures in a face of even width. */
const LETTER = 0.6;
const ABOVE_LINE = 0.8;
const BELOW_LINE = 0.25;

/** The room words take up, their spot being on their base line. */
function room(text: string, size: number, at: Spot): Box {
  const width = text.length * size * LETTER;
  const left = at.anchor === "start" ? at.x : at.anchor === "end" ? at.x - width : at.x - width / 2;
  return { left, right: left + width, low: at.y - size * ABOVE_LINE, high: at.y + size * BELOW_LINE };
}

function meet(a: Box, b: Box): boolean {
  return a.left < b.right && b.left < a.right && a.low < b.high && b.low < a.high;
}

/**
 * Lays words so that none covers another: each takes the first of its spots that is free, the earlier ones choosing first.
 * @param taken what no word should cover
 */
export function laid(wishes: Wish[], taken: Box[], sheet: Box): Laid[] {
  const boxes = [...taken];
  const found: Laid[] = [];
  for (const wish of wishes) {
    const free = wish.spots.find((spot) => {
      const box = room(wish.text, wish.size, spot);
      const within =
        box.left >= sheet.left && box.right <= sheet.right && box.low >= sheet.low && box.high <= sheet.high;
      return within && !boxes.some((other) => meet(box, other));
    });
    const spot = free ?? (wish.needed ? wish.spots[0] : undefined);
    if (spot) {
      boxes.push(room(wish.text, wish.size, spot));
      found.push({ key: wish.key, text: wish.text, ...spot });
    }
  }
  return found;
}

/** Where the words of a dimension may stand: beside its middle, beside its thirds, or past its far end. */
export function alongside(
  from: { x: number; y: number },
  to: { x: number; y: number },
  size: number,
): Spot[] {
  const dx = to.x - from.x;
  const dy = to.y - from.y;
  const at = (share: number) => ({ x: from.x + dx * share, y: from.y + dy * share });
  const flat = Math.abs(dx) > Math.abs(dy);
  const places = [0.5, 0.67, 0.33].map(at);
  const beside: Spot[] = flat
    ? places.flatMap(({ x, y }): Spot[] => [
        { x, y: y - 4, anchor: "middle" },
        { x, y: y + size, anchor: "middle" },
      ])
    : places.flatMap(({ x, y }): Spot[] => [
        { x: x + 4, y: y + 4, anchor: "start" },
        { x: x - 4, y: y + 4, anchor: "end" },
      ]);
  const past: Spot = flat
    ? { x: to.x + Math.sign(dx) * 4, y: to.y + 4, anchor: dx > 0 ? "start" : "end" }
    : { x: to.x, y: to.y + (dy > 0 ? size : -4), anchor: "middle" };
  return [...beside, past];
}
