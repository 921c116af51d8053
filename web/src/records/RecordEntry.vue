<script setup lang="ts">
import { $gettext } from "../language/language";
import { computed, reactive, ref } from "vue";
import { at } from "../api/address";
import { api, type Schemas } from "../api/client";
import { useAttempt } from "../api/useAttempt";
import { sentence } from "../api/problems";
import { when } from "../frame/when";

/** A record typed through, line by line in the order of the work. Several values parted by ; go to the lines that follow. */
const props = defineProps<{ id: string; lines: Schemas["RecordLineView"][] }>();
const emit = defineEmits<{ brought: [record: string] }>();

const signedBy = ref("");
const day = ref("");
const coldest = ref("");
const warmest = ref("");
const values = reactive<Record<string, string>>({});
const times = reactive<Record<string, string>>({});
/** What is known of the logged curves that were chosen. */
const curves = reactive<Record<string, string>>({});
const { busy, problem, attempt } = useAttempt();

const key = (line: Schemas["RecordLineView"]) => `${line.point}@${line.component}`;
const written = computed(() => props.lines.filter((line) => values[key(line)]?.trim()));

/** What is parted by ; goes on to the lines that follow. */
function spread(index: number) {
  const line = props.lines[index];
  const parts = (line && values[key(line)]?.split(";")) || [];
  if (!line || line.kind === "TEXT" || parts.length < 2) {
    return;
  }
  parts.forEach((part, offset) => {
    const next = props.lines[index + offset];
    if (next) {
      values[key(next)] = part.trim();
    }
  });
}

/** A logger's file is kept at once; the record then names it by its digest. */
async function keep(line: Schemas["RecordLineView"], event: Event) {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0];
  input.value = "";
  if (!file) {
    return;
  }
  problem.value = "";
  try {
    const { sha256, samples, from, to } = await api.file(
      at("/api/installations/{id}/traces", {
        path: { id: props.id },
        query: { point: line.point, component: line.component },
      }),
      file,
    );
    values[key(line)] = sha256;
    curves[key(line)] = $gettext("%{samples} samples, %{from} to %{to}", {
      samples,
      from: when(from),
      to: when(to),
    });
  } catch (thrown) {
    problem.value = `${file.name}: ${sentence(thrown)}`;
  }
}

/** The clock alone is of the record's day. */
function moment(time: string | undefined): string | undefined {
  const said = time?.trim() ?? "";
  return /^\d{1,2}:\d{2}$/.test(said) && day.value
    ? `${day.value} ${said.padStart(5, "0")}`
    : said || undefined;
}

async function bring() {
  await attempt(async () => {
    const brought = await api.post(at("/api/installations/{id}/records", { path: { id: props.id } }), {
      signedBy: signedBy.value,
      day: day.value,
      coldest: coldest.value || undefined,
      warmest: warmest.value || undefined,
      values: written.value.map((line) => ({
        point: line.point,
        component: line.component,
        value: values[key(line)] ?? "",
        readAt: moment(times[key(line)]),
      })),
    });
    emit("brought", brought.id);
  });
}
</script>

<template>
  <form class="entry" :aria-label="$gettext('Type a record')" @submit.prevent="bring">
    <div class="head">
      <label
        >{{ $gettext("Signed by") }} <input v-model="signedBy" class="field" required maxlength="120"
      /></label>
      <label>{{ $gettext("Day") }} <input v-model="day" class="field mono" type="date" required /></label>
      <label
        >{{ $gettext("Coldest that day") }} <input v-model="coldest" class="field mono" placeholder="14 °C"
      /></label>
      <label
        >{{ $gettext("Warmest that day") }} <input v-model="warmest" class="field mono" placeholder="27 °C"
      /></label>
    </div>
    <p class="quiet">
      {{
        $gettext(
          "Only what stands in the record; leave the rest. Several values parted by ; go to the lines that follow. A time alone is of the record's day; of another day write 2026-09-01 14:05.",
        )
      }}
    </p>
    <table class="table">
      <thead>
        <tr>
          <th>{{ $gettext("Line") }}</th>
          <th>{{ $gettext("Value") }}</th>
          <th>{{ $gettext("Read at") }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(line, index) in lines" :key="key(line)">
          <td :id="`line-${index}`">{{ line.title }}</td>
          <td>
            <select
              v-if="line.kind === 'CHOICE' || line.kind === 'YES_NO'"
              v-model="values[key(line)]"
              class="field"
              :aria-labelledby="`line-${index}`"
            >
              <option value=""></option>
              <option v-for="option in line.options" :key="option.id" :value="option.id">
                {{ option.words }}
              </option>
            </select>
            <template v-else-if="line.kind === 'CURVE'">
              <label class="button">
                {{ curves[key(line)] ? $gettext("Another file") : $gettext("The logger's file") }}
                <input
                  class="visually-hidden"
                  type="file"
                  accept=".csv,text/csv"
                  :aria-labelledby="`line-${index}`"
                  @change="keep(line, $event)"
                />
              </label>
              <span class="quiet">{{ curves[key(line)] }}</span>
            </template>
            <input
              v-else
              v-model="values[key(line)]"
              class="field mono"
              :aria-labelledby="`line-${index}`"
              :placeholder="line.example"
              @change="spread(index)"
            />
          </td>
          <td>
            <input
              v-model="times[key(line)]"
              class="field mono time"
              :aria-label="$gettext('Time of %{title}', { title: line.title })"
              :placeholder="$gettext('hh:mm')"
            />
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="problem" class="error" role="alert">{{ problem }}</p>
    <div class="save">
      <button type="submit" class="button primary" :disabled="busy || !written.length">
        {{
          $ngettext("Save %{count} value", "Save %{count} values", written.length, { count: written.length })
        }}
      </button>
    </div>
  </form>
</template>

<style scoped>
.head {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(180px, 1fr));
  gap: 10px;
}

.head label {
  display: grid;
  gap: 4px;
}

.field {
  width: 100%;
  min-height: 44px;
}

.time {
  max-width: 170px;
}

.error {
  white-space: pre-line;
}

.save {
  position: sticky;
  bottom: 0;
  padding: 10px 0;
  background: var(--ground);
}
</style>
