<script setup lang="ts">
import { $gettext } from "../language/language";
import { useTimeoutFn } from "@vueuse/core";
import { computed, ref } from "vue";
import { at } from "../api/address";
import { api, ProblemError, type Schemas } from "../api/client";
import { sentence } from "../api/problems";
import { notice } from "../frame/notice";

type Import = Schemas["ImportView"];

const ASK_EVERY_MS = 500;

const emit = defineEmits<{ imported: [] }>();
const input = ref<HTMLInputElement>();
const fileName = ref("");
const sending = ref(false);
const running = ref<Import>();
const again = useTimeoutFn((id: string) => void ask(id), ASK_EVERY_MS, { immediate: false });

const words = computed(() => {
  const now = running.value;
  if (!now) {
    return $gettext("sending");
  }
  if (now.state === "WAITING") {
    return $gettext("waiting for another import to end");
  }
  return now.steps
    ? $gettext("%{done} of %{steps} entries", {
        done: now.done.toLocaleString("en"),
        steps: now.steps.toLocaleString("en"),
      })
    : $gettext("reading");
});

async function take() {
  const file = input.value?.files?.[0];
  if (!file) {
    return;
  }
  fileName.value = file.name;
  sending.value = true;
  try {
    const kind = file.name.toLowerCase().endsWith(".zip") ? "application/zip" : "application/json";
    settle(await api.file(at("/api/imports"), file, kind));
  } catch (thrown) {
    fail(thrown);
  } finally {
    sending.value = false;
    if (input.value) {
      input.value.value = "";
    }
  }
}

function settle(now: Import) {
  if (now.state === "DONE") {
    running.value = undefined;
    notice.done($gettext("Imported: %{installations}.", { installations: now.installations.length }));
    emit("imported");
  } else if (now.state === "CANCELLED") {
    running.value = undefined;
    notice.hint($gettext("Cancelled. Nothing of the file was saved."));
  } else {
    running.value = now;
    again.start(now.id);
  }
}

function fail(thrown: unknown) {
  running.value = undefined;
  notice.problem(sentence(thrown));
}

async function ask(id: string) {
  try {
    settle(await api.get(at("/api/imports/{id}", { path: { id } })));
  } catch (thrown) {
    const lost = thrown instanceof ProblemError && thrown.problem.status === 0;
    if (lost && running.value) {
      // it goes on over there; ask again
      settle(running.value);
    } else {
      fail(thrown);
    }
  }
}

async function cancel() {
  try {
    await api.remove(at("/api/imports/{id}", { path: { id: running.value?.id ?? "" } }));
  } catch (thrown) {
    notice.problem(sentence(thrown));
  }
}
</script>

<template>
  <div v-if="sending || running" class="running" role="status">
    <div>
      <div class="name">{{ fileName }}</div>
      <div class="quiet">{{ words }}</div>
      <progress
        :max="running?.steps || undefined"
        :value="running?.steps ? running.done : undefined"
      ></progress>
    </div>
    <button v-if="running" type="button" class="button" @click="cancel">{{ $gettext("Cancel") }}</button>
  </div>
  <label v-else class="button">
    {{ $gettext("Import a case file") }}
    <input
      ref="input"
      class="visually-hidden"
      type="file"
      accept="application/json,.json,application/zip,.zip"
      @change="take"
    />
  </label>
</template>

<style scoped>
.button:focus-within {
  outline: 2px solid var(--lake);
}

.running {
  display: flex;
  gap: 12px;
  align-items: center;
  min-width: 0;
}

.name {
  overflow: hidden;
  max-width: 16em;
  text-overflow: ellipsis;
  white-space: nowrap;
}

progress {
  width: 100%;
  height: 6px;
  accent-color: var(--lake);
}
</style>
