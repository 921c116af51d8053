<script setup lang="ts">
import { $gettext } from "../language/language";
import { ref, watch } from "vue";
import { at } from "../api/address";
import { api, type Schemas } from "../api/client";
import { lastOnly } from "../api/lastOnly";
import { sentence } from "../api/problems";
import { notice } from "../frame/notice";
import { useUnits } from "../frame/useUnits";

/** The versions of a book: compared with one another, and installations moved to one on purpose. */
const props = defineProps<{ book: string; newest: number; leads: boolean }>();

const { chosen: units } = useUnits();
const versions = ref<Schemas["BookSummary"][]>([]);
const from = ref(0);
const to = ref(0);
const changes = ref<Schemas["ChangeView"][]>();
const problem = ref("");
const sure = ref<number>();
const last = lastOnly();
const lastCompared = lastOnly();

async function load() {
  changes.value = undefined;
  sure.value = undefined;
  try {
    versions.value = await last(api.get(at("/api/rule-books/{id}/versions", { path: { id: props.book } })));
    to.value = versions.value[0]?.version ?? 0;
    from.value = versions.value[1]?.version ?? to.value;
    problem.value = "";
  } catch (thrown) {
    problem.value = sentence(thrown);
  }
}
watch(() => [props.book, props.newest], load, { immediate: true });

async function compare() {
  try {
    changes.value = await lastCompared(
      api.get(
        at("/api/rule-books/{id}/changes", {
          path: { id: props.book },
          query: { from: from.value, to: to.value, units: units.value },
        }),
      ),
    );
    problem.value = "";
  } catch (thrown) {
    problem.value = sentence(thrown);
  }
}

async function move(version: number) {
  try {
    const { moved } = await api.post(
      at("/api/rule-books/{id}/versions/{version}/installations", { path: { id: props.book, version } }),
      {},
    );
    notice.done(
      moved === 1
        ? $gettext("1 installation is judged by version %{version} now.", { version })
        : $gettext("%{moved} installations are judged by version %{version} now.", { moved, version }),
    );
    problem.value = "";
  } catch (thrown) {
    problem.value = sentence(thrown);
  }
  sure.value = undefined;
}
</script>

<template>
  <details>
    <summary>
      <h2>{{ $gettext("Versions") }}</h2>
      <span class="quiet">{{ versions.length }}</span>
    </summary>
    <p v-if="problem" class="error" role="alert">{{ problem }}</p>
    <p v-for="each in versions" :key="each.version" class="version">
      <strong>{{ $gettext("Version %{version}", { version: each.version }) }}</strong>
      <span class="quiet">{{ each.note }}</span>
      <template v-if="leads">
        <button v-if="sure !== each.version" type="button" class="button" @click="sure = each.version">
          {{ $gettext("Judge all by it") }}
        </button>
        <button v-else type="button" class="button primary" @click="move(each.version)">
          {{ $gettext("Yes, all installations of this book") }}
        </button>
      </template>
    </p>
    <form v-if="versions.length > 1" class="compare" @submit.prevent="compare">
      <label>
        <span class="label">{{ $gettext("From version") }}</span>
        <select v-model="from" class="field">
          <option v-for="each in versions" :key="each.version" :value="each.version">
            {{ each.version }}
          </option>
        </select>
      </label>
      <label>
        <span class="label">{{ $gettext("to version") }}</span>
        <select v-model="to" class="field">
          <option v-for="each in versions" :key="each.version" :value="each.version">
            {{ each.version }}
          </option>
        </select>
      </label>
      <button class="button">{{ $gettext("Compare") }}</button>
    </form>
    <p v-if="changes && !changes.length">{{ $gettext("They say the same.") }}</p>
    <table v-if="changes?.length" class="table">
      <thead>
        <tr>
          <th>{{ $gettext("What") }}</th>
          <th>{{ $gettext("Before") }}</th>
          <th>{{ $gettext("After") }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="each in changes" :key="each.kind + each.title">
          <td>
            {{ each.title }} <span class="quiet">{{ each.kind }}</span>
          </td>
          <td>{{ each.before || $gettext("nothing") }}</td>
          <td>{{ each.now || $gettext("nothing") }}</td>
        </tr>
      </tbody>
    </table>
  </details>
</template>

<style scoped>
summary {
  display: flex;
  gap: 12px;
  align-items: baseline;
  min-height: 44px;
  padding-top: 10px;
  border-bottom: 1px solid var(--hair);
  cursor: pointer;
}

.version,
.compare {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
  align-items: end;
  padding: 8px 0;
}

.version {
  align-items: center;
  border-bottom: 1px solid var(--hair);
}

.compare .field {
  min-width: 110px;
}
</style>
