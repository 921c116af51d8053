import { useIntervalFn } from "@vueuse/core";
import { ref, watch, type Ref } from "vue";
import { at } from "../api/address";
import { api, type Schemas } from "../api/client";

const EVERY_MS = 8000;

/** Stop notices over a visit: asked for again and again, so that every open device shows them. */
export function useNotices(id: Ref<string>) {
  const notices = ref<Schemas["NoticeView"][]>([]);

  async function look() {
    const of = id.value;
    try {
      const standing = await api.get(at("/api/installations/{id}/notices", { path: { id: of } }));
      if (of === id.value) {
        notices.value = standing;
      }
    } catch {
      // what cannot be asked now is asked again soon; what stands stays
    }
  }

  async function takeDown(notice: string, reason: string) {
    await api.post(at("/api/installations/{id}/notices/{notice}/down", { path: { id: id.value, notice } }), {
      reason,
    });
    await look();
  }

  useIntervalFn(() => void look(), EVERY_MS);
  watch(
    id,
    () => {
      notices.value = [];
      void look();
    },
    { immediate: true },
  );

  return { notices, look, takeDown };
}
