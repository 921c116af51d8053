<script setup lang="ts">
import { ref } from "vue";
import { at } from "../api/address";
import { api, type Schemas } from "../api/client";
import { useAttempt } from "../api/useAttempt";

/** Checks a sealed file and says what in it was changed. */
const outcome = ref<Schemas["CheckedSeal"]>();
const name = ref("");
const { busy, problem, attempt } = useAttempt();

async function check(event: Event) {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0];
  input.value = "";
  if (!file) {
    return;
  }
  outcome.value = undefined;
  problem.value = "";
  name.value = file.name;
  await attempt(async () => {
    outcome.value = await api.file(at("/api/sealed/check"), file, "application/zip");
  });
}
</script>

<template>
  <div class="page">
    <div class="page-head">
      <div>
        <h1>{{ $gettext("Is this what was sealed?") }}</h1>
        <p class="quiet">
          {{
            $gettext(
              "A sealed file speaks for itself: %{command} says the same anywhere, without a network.",
              { command: "undanus verify FILE" },
            )
          }}
        </p>
      </div>
    </div>
    <label class="button primary">
      {{ $gettext("Choose a sealed file") }}
      <input
        class="visually-hidden"
        type="file"
        accept=".zip,application/zip"
        :aria-label="$gettext('Sealed file')"
        :disabled="busy"
        @change="check"
      />
    </label>
    <p v-if="busy">{{ $gettext("Checking %{name}.", { name }) }}</p>
    <p v-if="problem" class="error" role="alert">{{ problem }}</p>
    <section
      v-if="outcome"
      class="outcome"
      :class="{ sound: outcome.exact, older: outcome.sound && !outcome.exact }"
      :aria-label="$gettext('What the check says')"
    >
      <p class="verdict">
        {{
          outcome.exact
            ? $gettext("Unchanged")
            : outcome.sound
              ? $gettext("Unchanged, as far as an older seal tells")
              : $gettext("Changed, or none of ours")
        }}
      </p>
      <p>{{ outcome.sentence }}</p>
      <ul>
        <li v-for="each in outcome.problems" :key="each">{{ each }}</li>
      </ul>
      <p v-if="outcome.known" class="quiet">{{ $gettext("The key is one of this office.") }}</p>
    </section>
  </div>
</template>

<style scoped>
.outcome {
  margin-top: 16px;
  padding: 12px 14px;
  border-left: 4px solid var(--fails);
  background: var(--paper);
  overflow-wrap: anywhere;
}

.outcome.sound {
  border-left-color: var(--meets);
}

.outcome.older {
  border-left-color: var(--close);
}

.verdict {
  color: var(--fails);
  font-size: 20px;
  font-weight: 700;
}

.sound .verdict {
  color: var(--meets);
}

.older .verdict {
  color: var(--close);
}
</style>
