import { lineKey, type Judgement, type Line } from "../shown/lines";

/**
 * The line under which each judgement stands, once: the last of the lines next to each other that feed it, those of the line that
 * it is about.
 *
 * @param lines in the order they stand
 */
export function homes(lines: Line[], judgements: Judgement[]): Map<string, string> {
  const keys = lines.map(lineKey);
  const found = new Map<string, string>();
  for (const judgement of judgements) {
    const feeds = new Set(judgement.evidence.map(lineKey));
    const about = judgement.line ? keys.indexOf(lineKey(judgement.line)) : -1;
    let at = about >= 0 ? about : keys.reduce((last, key, index) => (feeds.has(key) ? index : last), -1);
    const group = lines[at]?.group;
    while (at >= 0 && lines[at + 1]?.group === group && feeds.has(keys[at + 1] ?? "")) {
      at++;
    }
    const home = keys[at];
    if (home) {
      found.set(judgement.key, home);
    }
  }
  return found;
}
