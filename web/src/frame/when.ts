/** A moment as people say it: day and time of day. */
export function when(at: string): string {
  return new Date(at).toLocaleString(undefined, { dateStyle: "medium", timeStyle: "short" });
}

/** The time of day. */
export function clockTime(at: string): string {
  return new Date(at).toLocaleTimeString(undefined, { timeStyle: "short" });
}
