import type { Schemas } from "../../api/client";

export function piece(
  kind: Schemas["FigurePiece"]["kind"],
  more: Partial<Schemas["FigurePiece"]>,
): Schemas["FigurePiece"] {
  return {
    kind,
    role: "READ",
    points: "10.0,20.0",
    radius: 0,
    text: "",
    weight: "PLAIN",
    anchor: "MIDDLE",
    ...more,
  };
}

/** A drawing three metres wide and two high, a hundred dots each. */
export function drawing(title: string, pieces: Schemas["FigurePiece"][] = []): Schemas["FigureView"] {
  return {
    title,
    spoken: "What there is.",
    caption: [],
    width: 300,
    height: 200,
    measure: { left: 0, low: 0, right: 3, high: 2, x0: 0, y0: 200, across: 100, up: 100 },
    pieces,
  };
}

/** Gives a drawing's sheet a place on the screen. */
export function onScreen(svg: Element) {
  svg.getBoundingClientRect = () => ({ left: 0, top: 0, width: 300, height: 200 }) as DOMRect;
}
