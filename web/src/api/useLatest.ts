import { ref, shallowRef, watch, type WatchSource } from "vue";
import type { Address, Asked } from "./address";
import { api } from "./client";
import { sentence } from "./problems";

/**
 * What an address answers, asked for anew when the address or the stamp changes. The last answer stands until the next is there, but
 * not for another subject; an answer that was overtaken is dropped.
 * @param subject what it is of
 * @param address where to ask; nothing as long as that is not known
 * @param stamp changes when the answer may have
 */
export function useLatest<P extends Asked<"get">>(
  subject: WatchSource<string>,
  address: () => Address<P> | undefined,
  stamp: WatchSource<unknown>,
) {
  const value = shallowRef<Awaited<ReturnType<typeof api.get<P>>>>();
  const problem = ref("");
  let asked = 0;

  async function ask() {
    const where = address();
    if (!where) {
      return;
    }
    const mine = ++asked;
    try {
      const answer = await api.get(where);
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
