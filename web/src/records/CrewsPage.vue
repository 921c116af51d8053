<script setup lang="ts">
import { onBeforeUnmount, ref, watch } from "vue";
import { at } from "../api/address";
import { api } from "../api/client";
import { sentence } from "../api/problems";
import { useFollowing } from "../frame/useFollowing";
import { useUnits } from "../frame/useUnits";
import FoundCard from "./FoundCard.vue";

/** The records of every crew beside each other: how many checks were made, how many leave a doubt, of what kind and when. */
const { units } = useUnits();
const problem = ref("");
/** How much of a file has gone out, 0 to 1. */
const sent = ref(0);
const leaving = new AbortController();
onBeforeUnmount(() => leaving.abort());
const told = (thrown: unknown) => (problem.value = sentence(thrown));
const {
  followed: audit,
  begin: follow,
  stop,
} = useFollowing(
  (id) => api.get(at("/api/record-audits/{id}", { path: { id } })),
  (id) => api.remove(at("/api/record-audits/{id}", { path: { id } })),
  told,
);

const {
  followed: coming,
  begin: followComing,
  stop: stopComing,
} = useFollowing(
  (id) => api.get(at("/api/record-imports/{id}", { path: { id } })),
  (id) => api.remove(at("/api/record-imports/{id}", { path: { id } })),
  told,
);
watch(
  () => coming.value?.state,
  (state) => state && state !== "RUNNING" && void begin(),
);

/** Many records at once: filled-in templates in a ZIP file. */
async function bring(event: Event) {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0];
  input.value = "";
  problem.value = "";
  if (file) {
    await followComing(
      api.upload(at("/api/record-imports"), file, {
        progress: (share) => (sent.value = share),
        signal: leaving.signal,
      }),
    ).catch(told);
    sent.value = 0;
  }
}

async function begin() {
  problem.value = "";
  await follow(api.post(at("/api/record-audits", { query: { units: units() } }), undefined)).catch(told);
}
void begin();
</script>

<template>
  <div class="page">
    <div class="page-head">
      <div>
        <h1>{{ $gettext("Whose records fit together?") }}</h1>
        <p class="quiet">
          {{
            $gettext(
              "Every record held against physics, and those of a crew beside each other. Of all doubts told here chance alone raises no more than the rule book allows.",
            )
          }}
        </p>
      </div>
      <div class="tools">
        <label v-if="coming?.state !== 'RUNNING'" class="button">
          {{ $gettext("Bring in many records") }}
          <input class="visually-hidden" type="file" accept=".zip,application/zip" @change="bring" />
        </label>
        <button v-if="audit?.state === 'RUNNING'" type="button" class="button" @click="stop">
          {{ $gettext("Stop") }}
        </button>
        <button v-else type="button" class="button" @click="begin">{{ $gettext("Audit again") }}</button>
      </div>
    </div>
    <p v-if="problem" class="error" role="alert">{{ problem }}</p>
    <progress v-if="sent" :value="sent" max="1" :aria-label="$gettext('Sent')"></progress>
    <section v-if="coming" :aria-label="$gettext('Records coming in')" class="coming">
      <p role="status">
        <strong>{{
          $gettext("%{brought} of %{total} records are saved", {
            brought: coming.brought,
            total: coming.total,
          })
        }}</strong>
        <template v-if="coming.already"
          >; {{ $gettext("%{already} were in already", { already: coming.already }) }}</template
        >
        <template v-if="coming.refused"
          >; {{ $gettext("%{refused} cannot be taken", { refused: coming.refused }) }}</template
        >
        <template v-if="coming.state === 'CANCELLED'"
          >. {{ $gettext("Stopped; what is saved stays.") }}</template
        >
        <button v-if="coming.state === 'RUNNING'" type="button" class="button" @click="stopComing">
          {{ $gettext("Stop") }}
        </button>
      </p>
      <progress
        v-if="coming.state === 'RUNNING'"
        :value="coming.done"
        :max="coming.total"
        :aria-label="$gettext('Records read')"
      ></progress>
      <p v-if="coming.problem" class="error" role="alert">{{ coming.problem }}</p>
      <details v-if="coming.named.length" open>
        <summary>{{ $gettext("What cannot be taken, file by file") }}</summary>
        <ul>
          <li v-for="each in coming.named" :key="each.file">
            <strong class="mono">{{ each.file }}</strong>
            <p class="why">{{ each.why }}</p>
          </li>
        </ul>
        <p v-if="coming.refused > coming.named.length">
          {{ $gettext("And %{refused} more.", { refused: coming.refused - coming.named.length }) }}
        </p>
        <p class="quiet">
          {{ $gettext("Mend these, then bring the file in again: what is in already stays as it is.") }}
        </p>
      </details>
    </section>
    <template v-if="audit">
      <progress
        v-if="audit.state === 'RUNNING'"
        :value="audit.done"
        :max="Math.max(1, audit.total)"
        :aria-label="$gettext('Records audited')"
      ></progress>
      <p v-if="audit.state === 'CANCELLED'">
        {{ $gettext("Stopped after %{done} of %{total} records.", { done: audit.done, total: audit.total }) }}
      </p>
      <p v-if="audit.problem" class="error" role="alert">{{ audit.problem }}</p>
      <p v-if="audit.state === 'DONE' && !audit.total">{{ $gettext("No record has come in yet.") }}</p>
      <section v-for="crew in audit.crews" :key="crew.crew" :aria-label="crew.crew">
        <h2>{{ crew.crew }}</h2>
        <p class="headline" :class="{ doubtful: crew.doubtful }">
          {{
            $gettext("%{doubtful} of %{checks} checks leave a doubt", {
              doubtful: crew.doubtful,
              checks: crew.checks,
            })
          }}
          <span class="quiet">
            {{
              $ngettext(
                "%{records} record, %{doubted} with a doubt of its own",
                "%{records} records, %{doubted} with a doubt of its own",
                crew.records,
                { records: crew.records, doubted: crew.doubted },
              )
            }}
          </span>
        </p>
        <div class="tables">
          <table v-if="crew.kinds.length" class="table">
            <thead>
              <tr>
                <th>{{ $gettext("Kind") }}</th>
                <th>{{ $gettext("Doubts") }}</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="kind in crew.kinds" :key="kind.check">
                <td>{{ kind.title }}</td>
                <td class="mono">{{ kind.doubtful }}</td>
              </tr>
            </tbody>
          </table>
          <table class="table">
            <thead>
              <tr>
                <th>{{ $gettext("Month") }}</th>
                <th>{{ $gettext("Records with a doubt") }}</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="month in crew.months" :key="month.month">
                <td class="mono">{{ month.month }}</td>
                <td class="mono">
                  {{
                    $gettext("%{doubtful} of %{records}", {
                      doubtful: month.doubtful,
                      records: month.records,
                    })
                  }}
                </td>
              </tr>
            </tbody>
          </table>
        </div>
        <ul v-if="crew.named.length" class="named">
          <li v-for="each in crew.named" :key="each.id">
            <RouterLink :to="`/records/${each.id}`">
              <strong>{{ each.reference }} {{ each.title }}</strong>
              <span class="quiet">{{ each.day }}, {{ each.signedBy }}</span>
              <span>{{ each.doubts.join(", ") }}</span>
            </RouterLink>
          </li>
        </ul>
        <template v-if="crew.among.length">
          <h3>{{ $gettext("Beside each other") }}</h3>
          <div v-for="(each, index) in crew.among" :key="index">
            <RouterLink v-if="each.record" :to="`/records/${each.record}`">{{ each.reference }}</RouterLink>
            <FoundCard :found="each.found" />
          </div>
        </template>
      </section>
    </template>
  </div>
</template>

<style scoped>
section {
  margin-top: 18px;
  padding-top: 10px;
  border-top: 1px solid var(--hair);
}

section > * + * {
  margin-top: 8px;
}

.headline.doubtful {
  color: var(--close);
}

.coming .button {
  margin-left: 14px;
}

.why {
  white-space: pre-line;
}

.named {
  padding: 0;
  list-style: none;
}

.named a {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  align-items: center;
  min-height: 48px;
  padding: 6px 0;
  border-bottom: 1px solid var(--hair);
}
</style>
