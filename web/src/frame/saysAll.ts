/** Whether everything typed is said somewhere in these words, in whatever order. */
export function saysAll(typed: string, ...words: (string | undefined)[]): boolean {
  const said = words.join(" ").toLowerCase();
  return typed
    .toLowerCase()
    .split(/\s+/)
    .every((part) => said.includes(part));
}
