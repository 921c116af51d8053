/** The site's drawing as the server keeps it: GeoJSON in local metres. */

export type Position = [number, number];

export interface PlanFeature {
  type: "Feature";
  id: string;
  geometry:
    | { type: "Point"; coordinates: Position }
    | { type: "LineString"; coordinates: Position[] }
    | { type: "Polygon"; coordinates: Position[][] };
  properties: {
    kind: string;
    title?: string;
    bottom?: number;
    top?: number;
    facing?: number;
    base?: number;
    size?: { width: number; depth: number; height: number };
  };
}

export interface WallItem {
  kind: string;
  title: string;
  x: number;
  y: number;
  width: number;
  height: number;
}

export interface Wall {
  component: string;
  width: number;
  ceiling: number;
  left: number;
  underside: number;
  throw?: number;
  drainOutlet?: number;
  drainExit?: number;
  drainRun?: number;
  size?: { width: number; depth: number; height: number };
  items: WallItem[];
}

export interface Plan {
  type: "FeatureCollection";
  undanus: { format: string; units: string; grade: string; accuracy?: number; walls: Wall[] };
  features: PlanFeature[];
}

export const AREAS = ["wall", "obstacle", "neighbour-unit", "boundary", "area", "ground"];
export const LINES = ["opening", "window"];
export const SPOTS = ["vent", "gas-meter", "antenna"];
export const KINDS = [...AREAS, ...LINES, ...SPOTS];
export const ITEM_KINDS = ["obstacle", "heat-source", "electronics", "curtain"];

export function emptyPlan(): Plan {
  return {
    type: "FeatureCollection",
    undanus: { format: "undanus-site-plan/1", units: "metres", grade: "witnessed", walls: [] },
    features: [],
  };
}

/** The corners of a feature, the closing one left out. */
export function outline(feature: PlanFeature): Position[] {
  const g = feature.geometry;
  if (g.type === "Point") {
    return [g.coordinates];
  }
  return g.type === "LineString" ? g.coordinates : (g.coordinates[0] ?? []).slice(0, -1);
}

export function withOutline(feature: PlanFeature, points: Position[]): PlanFeature {
  const g = feature.geometry;
  const first = points[0] ?? [0, 0];
  if (g.type === "Point") {
    return { ...feature, geometry: { type: "Point", coordinates: first } };
  }
  return g.type === "LineString"
    ? { ...feature, geometry: { type: "LineString", coordinates: points } }
    : { ...feature, geometry: { type: "Polygon", coordinates: [[...points, first]] } };
}

export function moved(feature: PlanFeature, dx: number, dy: number): PlanFeature {
  return withOutline(
    feature,
    outline(feature).map(([x, y]) => [x + dx, y + dy]),
  );
}

/** The rectangle about a feature. */
export function bounds(points: Position[]) {
  const xs = points.map((p) => p[0]);
  const ys = points.map((p) => p[1]);
  return { left: Math.min(...xs), right: Math.max(...xs), low: Math.min(...ys), high: Math.max(...ys) };
}

/** The same feature stretched to a rectangle, for typed dimensions. */
export function stretched(
  feature: PlanFeature,
  to: { left: number; low: number; width: number; height: number },
): PlanFeature {
  const b = bounds(outline(feature));
  const across = b.right - b.left;
  const up = b.high - b.low;
  return withOutline(
    feature,
    outline(feature).map(([x, y]) => [
      to.left + (across > 0 ? ((x - b.left) / across) * to.width : 0),
      to.low + (up > 0 ? ((y - b.low) / up) * to.height : 0),
    ]),
  );
}

/** The corners of a cabinet; its front is the edge between the second and the third. */
export function cabinet(u: {
  x: number;
  y: number;
  facing: number;
  width: number;
  depth: number;
}): Position[] {
  const angle = (u.facing * Math.PI) / 180;
  const f: Position = [Math.cos(angle), Math.sin(angle)];
  const places: Position[] = [
    [-u.depth / 2, -u.width / 2],
    [u.depth / 2, -u.width / 2],
    [u.depth / 2, u.width / 2],
    [-u.depth / 2, u.width / 2],
  ];
  return places.map(([ahead, side]) => [u.x + f[0] * ahead - f[1] * side, u.y + f[1] * ahead + f[0] * side]);
}

/** To the nearest centimetre, or onto a value close by. */
export function snapped(value: number, onto: number[], near: number): number {
  const grid = Math.round(value * 100) / 100;
  const best = onto.reduce<number | undefined>(
    (found, o) =>
      Math.abs(o - value) < near && (found === undefined || Math.abs(o - value) < Math.abs(found - value))
        ? o
        : found,
    undefined,
  );
  return best ?? grid;
}

export function freeId(plan: Plan, stem: string): string {
  const taken = new Set(plan.features.map((f) => f.id));
  let number = 1;
  while (taken.has(`${stem}-${number}`)) {
    number++;
  }
  return `${stem}-${number}`;
}

/** A thing as it is first put on a site, a metre across. */
export function begun(kind: string, id: string, [x, y]: Position): PlanFeature {
  const geometry: PlanFeature["geometry"] = AREAS.includes(kind)
    ? {
        type: "Polygon",
        coordinates: [
          [
            [x - 0.5, y - 0.5],
            [x + 0.5, y - 0.5],
            [x + 0.5, y + 0.5],
            [x - 0.5, y + 0.5],
            [x - 0.5, y - 0.5],
          ],
        ],
      }
    : LINES.includes(kind)
      ? {
          type: "LineString",
          coordinates: [
            [x - 0.5, y],
            [x + 0.5, y],
          ],
        }
      : { type: "Point", coordinates: [x, y] };
  return {
    type: "Feature",
    id,
    geometry,
    properties: { kind, title: "", bottom: 0, top: LINES.includes(kind) ? 2 : 1.5 },
  };
}

/** A unit as it is first put on a site. */
export function placed(component: string, [x, y]: Position): PlanFeature {
  return {
    type: "Feature",
    id: component,
    geometry: { type: "Point", coordinates: [x, y] },
    properties: { kind: "unit", facing: 270, base: 0.1 },
  };
}
