/**
 * Of answers that are asked for one after another only the last arrives: what comes late, of the page or the unit before, is left
 * waiting for good and says nothing, also where it failed.
 */
export function lastOnly() {
  let asked = 0;
  return async function <T>(answer: Promise<T>): Promise<T> {
    const mine = ++asked;
    const overtaken = () => mine !== asked;
    const never = new Promise<never>(() => undefined);
    try {
      const arrived = await answer;
      return overtaken() ? await never : arrived;
    } catch (thrown) {
      if (overtaken()) {
        return never;
      }
      throw thrown;
    }
  };
}
