import { ref } from "vue";
import { ProblemError } from "./client";
import { sentence } from "./problems";

/** Work that may be refused: whether it is under way, why it came to nothing, and which fields were at fault. */
export function useAttempt() {
  const busy = ref(false);
  const problem = ref("");
  const fields = ref<Record<string, string>>({});

  /** @param refused what else there is to do when it came to nothing */
  async function attempt(work: () => Promise<unknown>, refused?: (thrown: unknown) => unknown) {
    busy.value = true;
    problem.value = "";
    fields.value = {};
    try {
      await work();
    } catch (thrown) {
      problem.value = sentence(thrown);
      fields.value = thrown instanceof ProblemError ? (thrown.problem.fields ?? {}) : {};
      await refused?.(thrown);
    } finally {
      busy.value = false;
    }
  }

  return { busy, problem, fields, attempt };
}
