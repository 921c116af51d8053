/** Those that share a key, group by group in the order in which each key comes first. */
export function grouped<T>(items: readonly T[], by: (item: T) => string): T[][] {
  const found = new Map<string, T[]>();
  for (const item of items) {
    const key = by(item);
    const group = found.get(key);
    if (group) {
      group.push(item);
    } else {
      found.set(key, [item]);
    }
  }
  return [...found.values()];
}
