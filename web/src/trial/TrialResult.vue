<script setup lang="ts">
import { $gettext } from "../language/language";
import type { Schemas } from "../api/client";
import VerdictMark from "../shown/VerdictMark.vue";
import { words } from "../words/words";

/** What a changed rule book or data sheet would do to the archive, while it is tried and after. */
defineProps<{ trial: Schemas["ArchiveTrial"] }>();
const emit = defineEmits<{ cancel: [] }>();

const SAID: Record<Schemas["ArchiveTrial"]["state"], string> = {
  RUNNING: $gettext("being tried"),
  DONE: $gettext("tried on all"),
  CANCELLED: $gettext("ended before all were tried"),
  FAILED: $gettext("not tried to the end"),
};
</script>

<template>
  <section class="trial" :aria-label="$gettext('What it would change')">
    <p class="headline" aria-live="polite">
      {{
        $ngettext(
          "%{changed} of %{done} installation would change",
          "%{changed} of %{done} installations would change",
          trial.done,
          { changed: trial.changed, done: trial.done },
        )
      }}
      <span class="quiet">{{
        $gettext("%{state}: %{done} of %{total}, %{seconds} s", {
          state: SAID[trial.state],
          done: trial.done,
          total: trial.total,
          seconds: trial.seconds.toFixed(1),
        })
      }}</span>
      <button v-if="trial.state === 'RUNNING'" type="button" class="button" @click="emit('cancel')">
        {{ $gettext("Stop") }}
      </button>
    </p>
    <progress
      :value="trial.done"
      :max="Math.max(1, trial.total)"
      :aria-label="$gettext('Installations tried')"
    ></progress>
    <p v-if="trial.problem" class="error" role="alert">{{ trial.problem }}</p>
    <p v-if="trial.requirements.length" class="quiet">
      {{
        trial.requirements.length > 8
          ? $gettext("Touched: %{requirements} and %{more} more.", {
              requirements: trial.requirements.slice(0, 8).join(", "),
              more: trial.requirements.length - 8,
            })
          : $gettext("Touched: %{requirements}.", { requirements: trial.requirements.join(", ") })
      }}
    </p>
    <p v-else-if="!trial.changed && trial.state === 'DONE'" class="quiet">
      {{ $gettext("No verdict rests on what is changed.") }}
    </p>
    <div class="tables">
      <table class="table">
        <thead>
          <tr>
            <th>{{ $gettext("Verdict") }}</th>
            <th>{{ $gettext("Before") }}</th>
            <th>{{ $gettext("After") }}</th>
          </tr>
        </thead>
        <tbody>
          <tr
            v-for="verdict in words.verdicts.filter((each) => trial.before[each.id] || trial.now[each.id])"
            :key="verdict.id"
          >
            <td><VerdictMark :verdict="verdict.id" worded /></td>
            <td class="mono">{{ trial.before[verdict.id] ?? 0 }}</td>
            <td class="mono">
              <strong v-if="trial.before[verdict.id] !== trial.now[verdict.id]">{{
                trial.now[verdict.id] ?? 0
              }}</strong>
              <template v-else>{{ trial.now[verdict.id] ?? 0 }}</template>
            </td>
          </tr>
        </tbody>
      </table>
      <table v-if="trial.stations.length" class="table">
        <thead>
          <tr>
            <th>{{ $gettext("Station") }}</th>
            <th>{{ $gettext("Worse") }}</th>
            <th>{{ $gettext("Better") }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="each in trial.stations" :key="each.station">
            <td>{{ each.station }}</td>
            <td class="mono">{{ each.worse }}</td>
            <td class="mono">{{ each.better }}</td>
          </tr>
        </tbody>
      </table>
      <table class="table">
        <thead>
          <tr>
            <th>{{ $gettext("Crew") }}</th>
            <th>{{ $gettext("Change") }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="each in trial.crews" :key="each.crew">
            <td>{{ each.crew }}</td>
            <td class="mono">
              {{
                $gettext("%{changed} of %{installations}", {
                  changed: each.changed,
                  installations: each.installations,
                })
              }}
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <details v-for="each in trial.installations" :key="each.id">
      <summary>
        {{ each.reference }} {{ each.title }} <span class="quiet">{{ each.judgements.length }}</span>
      </summary>
      <p v-for="judgement in each.judgements" :key="judgement.title + judgement.subject">
        <VerdictMark :verdict="judgement.before" worded /> → <VerdictMark :verdict="judgement.now" worded />
        {{ judgement.title }}<template v-if="judgement.subject">, {{ judgement.subject }}</template
        >: {{ judgement.because }}
      </p>
    </details>
    <p v-if="trial.changed > trial.installations.length" class="quiet">
      {{ $gettext("And %{changed} more.", { changed: trial.changed - trial.installations.length }) }}
    </p>
  </section>
</template>

<style scoped>
.trial > * + * {
  margin-top: 8px;
}

summary {
  min-height: 44px;
  padding: 10px 0;
  border-bottom: 1px solid var(--hair);
  cursor: pointer;
}

details p {
  padding: 6px 0 6px 14px;
}
</style>
