<script setup lang="ts">
import { computed, onBeforeUnmount, ref, watch } from "vue";
import { useRouter } from "vue-router";
import { at } from "../api/address";
import { api, type Schemas } from "../api/client";
import { lastOnly } from "../api/lastOnly";
import { sentence } from "../api/problems";
import { usePlaces } from "../frame/usePlaces";
import { useSession } from "../session/useSession";
import RecordEntry from "./RecordEntry.vue";

/** The commissioning records of an installation, and how another comes in. */
const props = defineProps<{ id: string }>();
const router = useRouter();
const { heading } = usePlaces();
const { person } = useSession();
const inspects = computed(() => person.value?.role !== "CREW");

const installation = ref<Schemas["InstallationView"]>();
const records = ref<Schemas["RecordListed"][]>();
const lines = ref<Schemas["RecordLineView"][]>([]);
const problem = ref("");
const refusal = ref("");
const typing = ref(false);
const last = lastOnly();
const own = computed(() => ({ path: { id: props.id } }));

async function load() {
  problem.value = "";
  try {
    [installation.value, records.value, lines.value] = await last(
      Promise.all([
        api.get(at("/api/installations/{id}", own.value)),
        api.get(at("/api/installations/{id}/records", own.value)),
        api.get(at("/api/installations/{id}/record-lines", own.value)),
      ]),
    );
    heading.value = {
      title: installation.value.title,
      detail: `${installation.value.building} · ${installation.value.system}`,
      counts: "",
    };
  } catch (thrown) {
    problem.value = sentence(thrown);
  }
}
watch(own, load, { immediate: true });
onBeforeUnmount(() => (heading.value = undefined));

function show(record: string) {
  void router.push(`/records/${record}`);
}

async function read(event: Event) {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0];
  input.value = "";
  if (!file) {
    return;
  }
  refusal.value = "";
  try {
    const brought = await (file.name.endsWith(".json")
      ? api.file(at("/api/installations/{id}/record-template.json", own.value), file, "application/json")
      : api.post(
          at("/api/installations/{id}/record-template.csv", own.value),
          await file.text(),
          "text/csv",
        ));
    show(brought.id);
  } catch (thrown) {
    refusal.value = sentence(thrown);
  }
}
</script>

<template>
  <div class="page">
    <div class="page-head">
      <div>
        <h1>{{ $gettext("What does the commissioning record say?") }}</h1>
        <p class="quiet">{{ installation?.reference }} {{ installation?.title }}</p>
      </div>
      <div class="tools">
        <RouterLink class="button" :to="`/installations/${id}/papers`">{{ $gettext("Walk") }}</RouterLink>
      </div>
    </div>
    <p v-if="problem" class="error" role="alert">
      {{ problem }} <button type="button" class="button" @click="load">{{ $gettext("Try again") }}</button>
    </p>
    <p v-if="records && !records.length">{{ $gettext("None has come in yet.") }}</p>
    <ul v-if="records?.length" class="records">
      <li v-for="each in records" :key="each.id">
        <RouterLink :to="`/records/${each.id}`">
          <strong v-if="each.doubts !== undefined" :class="{ doubtful: each.doubts }">
            {{
              each.doubts
                ? $ngettext("%{doubts} doubt", "%{doubts} doubts", each.doubts, { doubts: each.doubts })
                : $gettext("Nothing doubted")
            }}
          </strong>
          <span>{{
            $gettext("%{day}, signed by %{signedBy}", { day: each.day, signedBy: each.signedBy })
          }}</span>
          <span class="quiet">
            {{ $ngettext("%{values} value", "%{values} values", each.values, { values: each.values })
            }}<template v-if="each.open"
              >, {{ $gettext("%{open} unanswered", { open: each.open }) }}</template
            >
          </span>
        </RouterLink>
      </li>
    </ul>
    <section v-if="inspects">
      <h2>{{ $gettext("Bring one in") }}</h2>
      <div class="tools">
        <button v-if="!typing" type="button" class="button primary" @click="typing = true">
          {{ $gettext("Type it") }}
        </button>
        <a class="button" :href="at('/api/installations/{id}/record-template.csv', own)" download>
          {{ $gettext("Empty table to fill in") }}
        </a>
        <a
          class="button"
          :href="at('/api/installations/{id}/record-template.json', own)"
          :download="`${id}.json`"
        >
          {{ $gettext("The same as JSON") }}
        </a>
        <label class="button">
          {{ $gettext("Read a filled one") }}
          <input
            class="visually-hidden"
            type="file"
            accept=".csv,text/csv,.json,application/json"
            @change="read"
          />
        </label>
      </div>
      <p v-if="refusal" class="error" role="alert">{{ refusal }}</p>
      <RecordEntry v-if="typing" :id="id" :lines="lines" @brought="show" />
    </section>
  </div>
</template>

<style scoped>
.records {
  padding: 0;
  list-style: none;
}

.records a {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
  align-items: center;
  min-height: 52px;
  padding: 8px 12px;
  border-bottom: 1px solid var(--hair);
  color: inherit;
  background: var(--paper);
}

.doubtful {
  color: var(--close);
}

.error {
  white-space: pre-line;
}

section > * + * {
  margin-top: 10px;
}
</style>
