import { ref, watch, type Ref, type WatchSource } from "vue";
import { api } from "./client";
import { sentence } from "./problems";

/**
 * What an address answers, asked for anew when the address or the stamp changes. The last answer stands until the next is there, but
 * not for another subject; an answer that was overtaken is dropped.
 * @param subject what it is of
 * @param address where to ask; empty as long as that is not known
 * @param stamp changes when the answer may have
 */
export function useLatest<T>(
  subject: WatchSource<string>,
  address: () => string,
  stamp: WatchSource<unknown>,
) {
  const value = ref<T>() as Ref<T | undefined>;
  const problem = ref("");
  let asked = 0;

  async function ask() {
    const where = address();
    if (!where) {
      return;
    }
    const mine = ++asked;
    try {
      const answer = await api.get<T>(where);
      if (mine === asked) {
        value.value = answer;
        problem.value = "";
      }
    } catch (thrown) {
      if (mine === asked) {
        problem.value = sentence(thrown);
      }
    }
  }

  watch(
    subject,
    () => {
      asked++;
      value.value = undefined;
    },
    { flush: "sync" },
  );
  watch([address, stamp], () => void ask(), { immediate: true });
  return { value, problem };
}
