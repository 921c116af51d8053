<script setup lang="ts">
import { $gettext } from "../language/language";
import { refDebounced } from "@vueuse/core";
import { computed, reactive, ref, watch } from "vue";
import { useRouter } from "vue-router";
import { at } from "../api/address";
import type { Schemas } from "../api/client";
import type { paths } from "../api/generated/types";
import { useLatest } from "../api/useLatest";
import { useUnits } from "../frame/useUnits";
import { useSession } from "../session/useSession";
import { countsInWords, words as known, type Verdict } from "../words/words";
import VerdictMark from "../shown/VerdictMark.vue";
import ImportButton from "./ImportButton.vue";
import NewInstallation from "./NewInstallation.vue";
import { useSavedFilters } from "./useSavedFilters";

const router = useRouter();
const { person } = useSession();
const { units } = useUnits();

const SIZE = 50;
/** Letters typed one after another are asked for together. */
const PAUSE_MS = 250;
type Order = NonNullable<NonNullable<paths["/api/installations"]["get"]["parameters"]["query"]>["order"]>;
const COLUMNS: { order?: Order; title: string }[] = [
  { order: "STAKE", title: $gettext("Most pressing") },
  { order: "TITLE", title: $gettext("Installation") },
  { order: "SYSTEM", title: $gettext("System") },
  { order: "CREW", title: $gettext("Crew") },
  { order: "VISITED", title: $gettext("Visit") },
  { title: $gettext("Open") },
];

type StationId = Schemas["StationCount"]["station"];

const ALL = { words: "", crew: "", worst: "" as Verdict | "", station: "" as StationId | "", due: false };
const filter = reactive({ ...ALL });
const order = ref<Order>("STAKE");
const reversed = ref(false);
const number = ref(0);
const entering = ref(false);
const again = ref(0);
const filtered = computed(() => Object.values(filter).some(Boolean));

const asked = computed(() => ({
  order: order.value,
  reversed: reversed.value || undefined,
  units: units(),
  words: filter.words || undefined,
  crew: filter.crew || undefined,
  worst: filter.worst || undefined,
  station: filter.station || undefined,
  due: filter.due || undefined,
}));
const path = computed(() =>
  at("/api/installations", { query: { ...asked.value, page: number.value, size: SIZE } }),
);
const typed = refDebounced(path, PAUSE_MS);
watch([filter, order, reversed], () => (number.value = 0));

const ofRegister = ref("register");
const { value: register, problem } = useLatest(
  ofRegister,
  () => typed.value,
  computed(() => `${typed.value} ${again.value}`),
);
const shown = computed(() => register.value?.entries ?? []);
const last = computed(() => Math.max(0, Math.ceil((register.value?.total ?? 0) / SIZE) - 1));
const verdicts = computed(() =>
  known.verdicts.flatMap((verdict) => {
    const count = register.value?.strip.verdicts[verdict.id];
    return count ? [{ ...verdict, count }] : [];
  }),
);

const saved = useSavedFilters<typeof ALL>();

function load() {
  again.value++;
}

function showAll() {
  Object.assign(filter, ALL);
}

/** A number of the strip filters by what it counts; once more shows all again. */
function toggle<K extends keyof typeof ALL>(key: K, value: (typeof ALL)[K]) {
  Object.assign(filter, { [key]: filter[key] === value ? ALL[key] : value });
}

function sort(by: Order | undefined) {
  if (by) {
    reversed.value = order.value === by && !reversed.value;
    order.value = by;
  }
}

function sorted(by: Order | undefined) {
  return by !== order.value ? undefined : reversed.value ? "descending" : "ascending";
}

function open(id: string) {
  void router.push(`/installations/${id}/papers`);
}

function entered(id: string) {
  entering.value = false;
  open(id);
}
</script>

<template>
  <div class="page">
    <div class="page-head">
      <div>
        <h1>{{ $gettext("Which installations still need something?") }}</h1>
        <p class="quiet">{{ $gettext("What is most at stake stands first. Open one to walk it.") }}</p>
      </div>
      <div class="actions">
        <template v-if="person?.role === 'QUALITY_LEAD'">
          <a
            class="button"
            :href="at('/api/everything')"
            download
            :title="$gettext('Everything there is, as open files')"
          >
            {{ $gettext("Export all") }}
          </a>
          <ImportButton @imported="load" />
        </template>
        <button v-if="person?.role !== 'CREW'" type="button" class="button primary" @click="entering = true">
          {{ $gettext("New installation") }}
        </button>
      </div>
    </div>
    <section v-if="register?.all" class="strip" :aria-label="$gettext('The programme at a glance')">
      <div class="kind" role="group" :aria-label="$gettext('By most pressing verdict')">
        <button
          v-for="verdict in verdicts"
          :key="verdict.id"
          type="button"
          class="button"
          :aria-pressed="filter.worst === verdict.id"
          @click="toggle('worst', verdict.id)"
        >
          <VerdictMark :verdict="verdict.id" worded /> <strong>{{ verdict.count }}</strong>
        </button>
        <button type="button" class="button" :aria-pressed="filter.due" @click="toggle('due', !filter.due)">
          {{ $gettext("Corrections due this week") }} <strong>{{ register.strip.dueThisWeek }}</strong>
        </button>
      </div>
      <details>
        <summary>{{ $gettext("By crew and by station") }}</summary>
        <div class="kind" role="group" :aria-label="$gettext('By crew')">
          <button
            v-for="each in register.strip.crews"
            :key="each.crew"
            type="button"
            class="button"
            :aria-pressed="filter.crew === each.crew"
            @click="toggle('crew', each.crew)"
          >
            {{ each.crew }}
            <strong>{{
              $gettext("%{failing} of %{installations} fail", {
                failing: each.failing,
                installations: each.installations,
              })
            }}</strong>
          </button>
        </div>
        <div class="kind" role="group" :aria-label="$gettext('By station where something fails')">
          <button
            v-for="each in register.strip.stations"
            :key="each.station"
            type="button"
            class="button"
            :aria-pressed="filter.station === each.station"
            @click="toggle('station', each.station)"
          >
            {{ each.title }} <strong>{{ each.failing }}</strong>
          </button>
        </div>
      </details>
    </section>
    <div class="filters">
      <input
        v-model="filter.words"
        class="field"
        :placeholder="$gettext('Find by place, crew, owner, address or serial number')"
        :aria-label="$gettext('Find')"
      />
      <select v-model="filter.crew" class="field" :aria-label="$gettext('Crew')">
        <option value="">{{ $gettext("All crews") }}</option>
        <option v-for="each in register?.strip.crews" :key="each.crew">{{ each.crew }}</option>
      </select>
      <select v-model="filter.station" class="field" :aria-label="$gettext('Station where something fails')">
        <option value="">{{ $gettext("Any station") }}</option>
        <option v-for="each in register?.strip.stations" :key="each.station" :value="each.station">
          {{ $gettext("fails at %{title}", { title: each.title }) }}
        </option>
      </select>
      <a class="button" :href="at('/api/installations/register.csv', { query: asked })" download>{{
        $gettext("CSV")
      }}</a>
    </div>
    <div v-if="filtered || saved.names.value.length" class="kept">
      <button
        v-for="name in saved.names.value"
        :key="name"
        type="button"
        class="button"
        @click="Object.assign(filter, ALL, saved.get(name))"
      >
        {{ name }}
      </button>
      <form v-if="filtered" class="keep" @submit.prevent="saved.keep({ ...filter })">
        <input
          v-model="saved.name.value"
          class="field"
          maxlength="60"
          required
          :aria-label="$gettext('Name of this filter')"
          :placeholder="$gettext('Name this filter')"
        />
        <button type="submit" class="button">{{ $gettext("Keep filter") }}</button>
      </form>
      <button
        v-if="saved.names.value.includes(saved.name.value)"
        type="button"
        class="button"
        @click="saved.forget()"
      >
        {{ $gettext("Forget %{name}", { name: saved.name.value }) }}
      </button>
      <button v-if="filtered" type="button" class="button" @click="showAll()">
        {{ $gettext("Show all") }}
      </button>
    </div>
    <p v-if="problem" class="error" role="alert">
      {{ problem }} <button type="button" class="button" @click="load">{{ $gettext("Try again") }}</button>
    </p>
    <p v-if="register?.outdated" class="quiet" role="status">
      {{
        $gettext("%{outdated} installations are being judged again; load once more to see how they stand.", {
          outdated: register.outdated,
        })
      }}
      <button type="button" class="button" @click="load">{{ $gettext("Load") }}</button>
    </p>
    <table v-if="shown.length" class="table register">
      <thead>
        <tr>
          <th v-for="column in COLUMNS" :key="column.title" :aria-sort="sorted(column.order)">
            <button v-if="column.order" type="button" class="sort" @click="sort(column.order)">
              {{ column.title
              }}<span v-if="order === column.order" aria-hidden="true">{{ reversed ? " ▴" : " ▾" }}</span>
            </button>
            <template v-else>{{ column.title }}</template>
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="entry in shown" :key="entry.id" @click="open(entry.id)">
          <td class="pressing">
            <VerdictMark v-if="entry.worst" :verdict="entry.worst" worded /><template v-else>–</template>
            <div class="said">{{ entry.readings ? entry.said : $gettext("nothing read yet") }}</div>
          </td>
          <td>
            <RouterLink :to="`/installations/${entry.id}/papers`" @click.stop>{{ entry.title }}</RouterLink>
            <div class="quiet">
              <span class="mono">{{ entry.reference }}</span> {{ entry.building }}
            </div>
          </td>
          <td>{{ entry.system }}</td>
          <td>{{ entry.crew }}</td>
          <td>
            {{ entry.stage }}
            <div class="quiet mono">{{ entry.visitedOn }}</div>
          </td>
          <td>{{ entry.readings ? countsInWords(entry.counts) : "" }}</td>
        </tr>
      </tbody>
    </table>
    <ol v-else-if="register && !register.all" class="first">
      <li v-if="person?.role === 'QUALITY_LEAD'">
        <strong>{{ $gettext("Choose what to judge by.") }}</strong>
        {{ $gettext("Two general rule books are here; a book of your place goes on top of one of them.") }}
        <RouterLink class="button" to="/rule-books">{{ $gettext("Rule books") }}</RouterLink>
      </li>
      <li v-if="person?.role === 'QUALITY_LEAD'">
        <strong>{{ $gettext("Let others in.") }}</strong>
        {{ $gettext("Inspectors, and crews that fill in their own record.") }}
        <RouterLink class="button" to="/people">{{ $gettext("People") }}</RouterLink>
      </li>
      <li>
        <strong>{{ $gettext("Enter the first installation.") }}</strong>
        {{ $gettext("From its models or step by step; a quality lead may import a case file instead.") }}
        <button v-if="person?.role !== 'CREW'" type="button" class="button primary" @click="entering = true">
          {{ $gettext("New installation") }}
        </button>
      </li>
    </ol>
    <p v-else-if="register" class="empty">
      {{ $gettext("No installation fits these filters.") }}
      <button type="button" class="button" @click="showAll()">{{ $gettext("Show all") }}</button>
    </p>
    <nav v-if="register && last > 0" class="pages" :aria-label="$gettext('Pages of the register')">
      <button type="button" class="button" :disabled="number === 0" @click="number--">
        {{ $gettext("Back") }}
      </button>
      <span>{{
        $gettext("%{first} to %{last} of %{total}", {
          first: number * SIZE + 1,
          last: number * SIZE + shown.length,
          total: register.total,
        })
      }}</span>
      <button type="button" class="button" :disabled="number >= last" @click="number++">
        {{ $gettext("Next") }}
      </button>
    </nav>
    <NewInstallation v-model="entering" @entered="entered" />
  </div>
</template>

<style scoped>
.actions {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
}

.filters {
  display: grid;
  grid-template-columns: minmax(0, 2fr) repeat(2, minmax(0, 1fr)) auto;
  gap: 8px;
  margin-bottom: 10px;
}

.filters .button {
  min-height: 44px;
}

.strip {
  display: grid;
  gap: 8px;
  margin-bottom: 12px;
}

.kind,
.kept,
.keep {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}

.kept {
  margin-bottom: 10px;
}

.keep .field {
  width: 180px;
  min-height: 40px;
}

.strip [aria-pressed="true"] {
  border-color: var(--lake);
  background: var(--lake-soft);
}

details {
  display: grid;
  gap: 8px;
}

summary {
  min-height: 32px;
  color: var(--lake);
  cursor: pointer;
}

details .kind {
  margin-bottom: 8px;
}

.sort {
  min-height: 36px;
  padding: 0;
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  cursor: pointer;
}

.pressing {
  width: 30%;
}

.said {
  font-size: 13px;
}

.register tbody tr {
  cursor: pointer;
}

.register tbody tr:hover {
  background: var(--lake-soft);
}

.register .mono {
  white-space: nowrap;
}

.register a {
  font-weight: 600;
  text-decoration: none;
}

.pages {
  display: flex;
  gap: 12px;
  align-items: center;
  padding: 14px 0;
}

.first {
  display: grid;
  gap: 14px;
  max-width: 640px;
  padding: 12px 0 0 20px;
}

.first li::marker {
  color: var(--lake);
  font-weight: 700;
}

.first .button {
  margin-left: 6px;
}

.empty {
  padding: 24px 0;
}

@media (max-width: 760px) {
  .page {
    padding: 12px 12px 40px;
  }

  .filters {
    grid-template-columns: 1fr 1fr;
  }

  .filters input {
    grid-column: 1 / -1;
  }

  .register thead {
    display: none;
  }

  .register tr {
    display: grid;
    grid-template-columns: 1fr auto;
    padding: 8px 0;
    border-bottom: 1px solid var(--hair);
  }

  .register td {
    padding: 2px 4px;
    border: 0;
  }

  .register td:nth-child(2) {
    grid-row: 1;
    grid-column: 1 / -1;
  }

  .pressing {
    grid-column: 1 / -1;
    width: auto;
  }

  .register td:nth-child(n + 3) {
    display: none;
  }
}
</style>
