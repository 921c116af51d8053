<script setup lang="ts">
import { useAttempt } from "../api/useAttempt";
import { $gettext } from "../language/language";
import { computed, ref } from "vue";
import type { Schemas } from "../api/client";
import { capital } from "../words/words";
import { useLive } from "../shown/useLive";
import type { Line } from "../shown/lines";

/** A line that takes a curve while it happens: which instrument it listens to, what that shows, and what becomes of it. */
const props = defineProps<{ line: Line }>();
const emit = defineEmits<{ changed: [] }>();

const live = useLive();
const heard = computed(() => live.on(props.line));
const choices = ref<Schemas["Sender"][]>([]);
const { busy, problem, attempt } = useAttempt();

async function tried(what: () => Promise<unknown>) {
  await attempt(async () => {
    await what();
    emit("changed");
  });
}

function ask() {
  void tried(async () => {
    const there = await live.senders(props.line);
    choices.value = there.length > 1 ? there : [];
    if (there.length === 1 && there[0]) {
      await live.listen(props.line, there[0].id);
    } else if (!there.length) {
      problem.value = $gettext(
        "No instrument that shows this may send yet: the quality lead gives it a token, under Instruments.",
      );
    }
  });
}

function listen(id: string) {
  choices.value = [];
  void tried(() => live.listen(props.line, id));
}
</script>

<template>
  <span class="live">
    <template v-if="heard">
      <span class="sending" role="status">
        <span class="dot" aria-hidden="true"></span>{{ heard.instrument }}:
        <strong class="mono">{{ heard.shown ?? $gettext("nothing yet") }}</strong>
        <span class="quiet">{{
          $ngettext("%{samples} sample", "%{samples} samples", heard.samples, { samples: heard.samples })
        }}</span>
      </span>
      <button
        type="button"
        class="button"
        :disabled="busy || heard.samples < 2"
        @click="tried(() => live.keep(heard!))"
      >
        {{ $gettext("Keep") }}
      </button>
      <button
        type="button"
        class="button"
        :title="$gettext('What it heard is struck: kept, and no reading')"
        :disabled="busy"
        @click="tried(() => live.leave(heard!))"
      >
        {{ $gettext("Leave") }}
      </button>
      <span
        v-if="heard.acts.length"
        class="marks"
        role="group"
        :aria-label="$gettext('Mark what is done now')"
      >
        <span class="label">{{ $gettext("Mark") }}</span>
        <button
          v-for="each in heard.acts"
          :key="each.act"
          type="button"
          class="button"
          :disabled="busy"
          @click="tried(() => live.mark(heard!, each.act))"
        >
          {{ capital(each.title) }}
        </button>
      </span>
      <span v-if="heard.marks.length" class="marks">
        <button
          v-for="done in heard.marks"
          :key="done.act + done.at"
          type="button"
          class="button done"
          :disabled="busy"
          :aria-label="
            $gettext('Take back: %{title} %{after}', { title: done.title, after: done.after ?? '' })
          "
          :title="$gettext('Take it back')"
          @click="tried(() => live.unmark(heard!, done))"
        >
          {{ capital(done.title) }} <span class="mono">{{ done.after }}</span>
          <span aria-hidden="true">×</span>
        </button>
      </span>
    </template>
    <template v-else-if="choices.length">
      <button
        v-for="choice in choices"
        :key="choice.id"
        type="button"
        class="button"
        @click="listen(choice.id)"
      >
        {{ choice.title }}
      </button>
    </template>
    <button
      v-else
      type="button"
      class="button"
      :aria-label="$gettext('Listen to an instrument for %{title}', { title: line.title })"
      :disabled="busy"
      @click="ask"
    >
      {{ $gettext("Listen") }}
    </button>
    <span v-if="problem" class="error" role="alert">{{ problem }}</span>
  </span>
</template>

<style scoped>
.live {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  align-items: center;
}

.live .button {
  min-height: 44px;
}

.marks {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  align-items: center;
  width: 100%;
}

.done {
  border-style: dashed;
}
</style>
