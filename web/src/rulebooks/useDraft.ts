import { computed, reactive, ref } from "vue";
import type { Schemas } from "../api/client";

export type BookLimit = Schemas["BookLimit"];

/** Single changes to a rule book, gathered until they are tried, published or given up. */
export function useDraft() {
  const limits = reactive(new Map<string, Schemas["LimitDraft"] & { title: string }>());
  const settings = reactive(new Map<string, Schemas["SettingDraft"] & { title: string }>());
  const schools = reactive(new Map<string, string>());
  const note = ref("");

  const count = computed(() => limits.size + settings.size + schools.size);

  function key(limit: BookLimit): string {
    return `${limit.key} ${limit.by} ${limit.side}`;
  }

  /** Begins to change a limit as it stands; once more gives the change up. */
  function toggleLimit(limit: BookLimit) {
    if (!limits.delete(key(limit))) {
      limits.set(key(limit), {
        key: limit.key,
        by: limit.by,
        side: limit.side,
        value: limit.value,
        source: "",
        title: `${limit.title}, ${limit.authority} ${limit.bound}`,
      });
    }
  }

  function toggleSetting(setting: Schemas["BookSetting"]) {
    if (!settings.delete(setting.id)) {
      settings.set(setting.id, { id: setting.id, value: setting.value, source: "", title: setting.title });
    }
  }

  function clear() {
    limits.clear();
    settings.clear();
    schools.clear();
    note.value = "";
  }

  /** As the server takes it. */
  function body(): Schemas["BookDraft"] {
    return {
      limits: [...limits.values()].map(({ key, by, side, value, source }) => ({
        key,
        by,
        side,
        value,
        source,
      })),
      settings: [...settings.values()].map(({ id, value, source }) => ({ id, value, source })),
      schools: [...schools].map(([topic, school]) => ({ topic, school })),
      note: note.value,
    };
  }

  return { limits, settings, schools, note, count, key, toggleLimit, toggleSetting, clear, body };
}
