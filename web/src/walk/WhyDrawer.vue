<script setup lang="ts">
import MarginBar from "../shown/MarginBar.vue";
import type { Judgement } from "../shown/lines";
import VerdictMark from "../shown/VerdictMark.vue";

defineProps<{ judgement?: Judgement }>();
const open = defineModel<boolean>({ required: true });
</script>

<template>
  <el-drawer v-model="open" size="min(760px, 100vw)" :title="judgement?.title ?? ''">
    <div v-if="judgement" class="why">
      <p>
        <VerdictMark :verdict="judgement.verdict" worded />
        <span v-if="judgement.subject" class="quiet">&nbsp; {{ judgement.subject }}</span>
        <span v-if="judgement.school" class="quiet"
          >&nbsp; {{ $gettext("by %{school}", { school: judgement.school }) }}</span
        >
      </p>
      <p>{{ judgement.because }} {{ judgement.remedy }}</p>
      <MarginBar v-if="judgement.bar" :bar="judgement.bar" :verdict="judgement.verdict" />
      <p v-if="judgement.probability" class="quiet">
        {{ $gettext("Probability of conforming %{probability}.", { probability: judgement.probability }) }}
      </p>

      <template v-if="judgement.limits.length">
        <h2>{{ $gettext("Limits") }}</h2>
        <table class="table">
          <thead>
            <tr>
              <th>{{ $gettext("Authority") }}</th>
              <th>{{ $gettext("Limit") }}</th>
              <th>{{ $gettext("Source") }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(limit, index) in judgement.limits" :key="index">
              <td>
                <strong v-if="limit.binds">{{
                  $gettext("%{authority}, binds", { authority: limit.authority })
                }}</strong>
                <template v-else>{{ limit.authority }}</template>
                <div v-if="limit.givesWay" class="quiet">
                  {{ $gettext("gives way: %{givesWay}", { givesWay: limit.givesWay }) }}
                </div>
              </td>
              <td class="mono">{{ limit.bound }} {{ limit.value }}</td>
              <td>{{ limit.source }}</td>
            </tr>
          </tbody>
        </table>
      </template>

      <template v-if="judgement.derivation.length">
        <h2>{{ $gettext("How it follows") }}</h2>
        <table class="table">
          <thead>
            <tr>
              <th>{{ $gettext("Step") }}</th>
              <th>{{ $gettext("Value") }}</th>
              <th>{{ $gettext("Source") }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(step, index) in judgement.derivation" :key="index">
              <td>
                {{ step.name }}
                <div class="quiet">{{ step.how }}</div>
              </td>
              <td class="mono">{{ step.value }}</td>
              <td>{{ step.source }}</td>
            </tr>
          </tbody>
        </table>
      </template>

      <h2>{{ $gettext("Evidence") }}</h2>
      <table class="table">
        <tbody>
          <tr v-for="item in judgement.evidence" :key="item.point + item.component">
            <td>{{ item.line }}</td>
            <td class="mono">{{ item.reading ?? $gettext("open") }}</td>
            <td>{{ [item.grade, item.by].filter(Boolean).join(", ") }}</td>
          </tr>
        </tbody>
      </table>

      <template v-if="judgement.otherSchools.length">
        <h2>{{ $gettext("By other schools") }}</h2>
        <div v-for="school in judgement.otherSchools" :key="school.title" class="school">
          <p>
            <VerdictMark :verdict="school.verdict" worded />
            {{ $gettext("by %{school}", { school: school.title }) }}. {{ school.because }}
          </p>
          <MarginBar v-if="school.bar" :bar="school.bar" :verdict="school.verdict" />
        </div>
      </template>
      <p v-if="judgement.sources.length" class="quiet">
        {{ $gettext("Sources: %{sources}.", { sources: judgement.sources.join("; ") }) }}
      </p>
    </div>
  </el-drawer>
</template>

<style scoped>
.why > * + * {
  margin-top: 8px;
}

h2 {
  margin-top: 18px;
}

.quiet {
  font-size: 13px;
}
</style>
