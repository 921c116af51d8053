import type { Plan } from "./plan";

/** What has been drawn of a site and not kept yet, as this browser holds it. */
export interface Draft {
  plan: Plan;
  /** The version it was drawn from. */
  basedOn: number;
  /** When it was last touched, ISO 8601. */
  at: string;
}

const KEY = "undanus.drawing.";

/** A tablet that dies in an attic must not take a drawing with it. Each is known by who draws and what. */
export const drafts = {
  of(drawing: string): Draft | undefined {
    try {
      return (JSON.parse(localStorage.getItem(KEY + drawing) ?? "null") as Draft | null) ?? undefined;
    } catch {
      return undefined;
    }
  },

  keep(drawing: string, plan: Plan, basedOn: number) {
    const draft: Draft = { plan, basedOn, at: new Date().toISOString() };
    try {
      localStorage.setItem(KEY + drawing, JSON.stringify(draft));
    } catch {
      // The browser's store is full or shut: the drawing goes on, held by this page alone.
    }
  },

  drop(drawing: string) {
    localStorage.removeItem(KEY + drawing);
  },
};
