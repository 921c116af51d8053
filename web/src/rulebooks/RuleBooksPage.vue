<script setup lang="ts">
import { $gettext } from "../language/language";
import DraftPanel from "./DraftPanel.vue";
import FromLayer from "./FromLayer.vue";
import { useDraft } from "./useDraft";
import VersionsPanel from "./VersionsPanel.vue";
import { notice } from "../frame/notice";
import { computed, ref, watch } from "vue";
import { useRoute } from "vue-router";
import { at } from "../api/address";
import { api, ProblemError, type Problem, type Schemas } from "../api/client";
import { lastOnly } from "../api/lastOnly";
import { sentence } from "../api/problems";
import { saysAll } from "../frame/saysAll";
import { useUnits } from "../frame/useUnits";
import { useSession } from "../session/useSession";

const { person } = useSession();
const { chosen: chosenUnits } = useUnits();
const books = ref<Schemas["BookSummary"][]>([]);
const shown = ref("");
const last = lastOnly();
const book = ref<Schemas["BookView"]>();
const problem = ref<Problem>();
const text = ref("");
const adding = ref(false);
const untried = ref("");
const find = ref(String(useRoute().query.find ?? ""));

const leads = computed(() => person.value?.role === "QUALITY_LEAD");
const draft = useDraft();
watch(shown, draft.clear);

async function published() {
  const same = shown.value;
  shown.value = "";
  await load();
  shown.value = same;
}

const isFound = (...words: string[]) => saysAll(find.value, ...words);

/** Limits by the station they are asked at. */
const sections = computed(() => {
  const found = new Map<string, Schemas["BookLimit"][]>();
  for (const limit of book.value?.limits ?? []) {
    if (isFound(limit.title, limit.key, limit.authority, limit.source, limit.station)) {
      found.set(limit.station, [...(found.get(limit.station) ?? []), limit]);
    }
  }
  return [...found];
});
const schools = computed(() => book.value?.schools.filter((each) => isFound(each.topic, each.chosen)) ?? []);
const settings = computed(
  () => book.value?.settings.filter((each) => isFound(each.title, each.source)) ?? [],
);

function told(thrown: unknown): Problem {
  return thrown instanceof ProblemError ? thrown.problem : { status: 0, detail: sentence(thrown) };
}

async function load() {
  try {
    books.value = await api.get(at("/api/rule-books"));
    shown.value ||= books.value[0]?.id ?? "";
  } catch (thrown) {
    problem.value = told(thrown);
  }
}
void load();

watch([shown, chosenUnits], async () => {
  if (shown.value) {
    try {
      book.value = await last(
        api.get(
          at("/api/rule-books/{id}", { path: { id: shown.value }, query: { units: chosenUnits.value } }),
        ),
      );
    } catch (thrown) {
      problem.value = told(thrown);
    }
  }
});

function startAdding() {
  untried.value = "";
  text.value = book.value?.yaml ?? "";
  problem.value = undefined;
  adding.value = true;
}

async function add() {
  problem.value = undefined;
  try {
    const why = { untried: untried.value || undefined };
    const added = await api.post(at("/api/rule-books", { query: why }), text.value, "text/plain");
    adding.value = false;
    notice.done(
      $gettext("%{title}, version %{version}, is saved.", { title: added.title, version: added.version }),
    );
    shown.value = "";
    await load();
    shown.value = added.id;
  } catch (thrown) {
    problem.value = told(thrown);
  }
}
</script>

<template>
  <div class="page">
    <div class="page-head">
      <div>
        <h1>{{ $gettext("Whose limits are these?") }}</h1>
        <p class="quiet">
          {{
            $gettext(
              "Every limit with its authority and source. Installations keep the version they were entered with.",
            )
          }}
        </p>
      </div>
      <button v-if="leads" type="button" class="button" @click="startAdding">
        {{ $gettext("New version as text") }}
      </button>
    </div>
    <div class="books" role="group" :aria-label="$gettext('Rule book')">
      <button
        v-for="item in books"
        :key="item.id"
        type="button"
        class="button"
        :aria-pressed="item.id === shown"
        @click="shown = item.id"
      >
        {{ $gettext("%{title}, version %{version}", { title: item.title, version: item.version }) }}
      </button>
    </div>
    <p v-if="problem && !adding" class="error" role="alert">{{ problem.detail }}</p>
    <template v-if="book">
      <p class="quiet">{{ book.book.note }} {{ book.decisionRule }}</p>
      <p v-if="book.book.extending.length">
        {{
          $gettext("Extends %{extending}. What comes from there says so.", {
            extending: book.book.extending.join(", which extends "),
          })
        }}
      </p>
      <VersionsPanel :key="book.book.id" :book="book.book.id" :newest="book.book.version" :leads="leads" />
      <DraftPanel
        v-if="leads && draft.count.value"
        :book="book.book.id"
        :draft="draft"
        :schools="book.schools"
        @published="published"
      />
      <input
        v-model="find"
        class="field find"
        :placeholder="$gettext('Find a limit, school or setting')"
        :aria-label="$gettext('Find')"
      />
      <details v-for="[station, limits] in sections" :key="station" :open="!!find || sections.length < 3">
        <summary>
          <h2>{{ station }}</h2>
          <span class="quiet">{{
            limits.length === 1
              ? $gettext("1 limit")
              : $gettext("%{limits} limits", { limits: limits.length })
          }}</span>
        </summary>
        <table class="table">
          <thead>
            <tr>
              <th>{{ $gettext("What") }}</th>
              <th>{{ $gettext("Authority") }}</th>
              <th>{{ $gettext("Limit") }}</th>
              <th>{{ $gettext("Source") }}</th>
              <th v-if="leads"></th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(limit, index) in limits" :key="index">
              <td>
                {{ limit.title }}
                <div class="quiet mono">{{ limit.key }}</div>
                <div v-if="limit.requirements.length" class="quiet">
                  {{ $gettext("judges: %{requirements}", { requirements: limit.requirements.join(", ") }) }}
                </div>
              </td>
              <td>{{ limit.authority }}</td>
              <td class="mono">{{ limit.bound }} {{ limit.value }}</td>
              <td>{{ limit.source }}<FromLayer :layer="limit.layer" /></td>
              <td v-if="leads">
                <button
                  type="button"
                  class="button"
                  :aria-pressed="draft.limits.has(draft.key(limit))"
                  :aria-label="
                    $gettext('Change %{title}, %{authority}', {
                      title: limit.title,
                      authority: limit.authority,
                    })
                  "
                  @click="draft.toggleLimit(limit)"
                >
                  {{ $gettext("Change") }}
                </button>
              </td>
            </tr>
          </tbody>
        </table>
      </details>
      <details v-if="schools.length" open>
        <summary>
          <h2>{{ $gettext("Schools") }}</h2>
        </summary>
        <p v-for="school in schools" :key="school.topic">
          {{ school.topic }}: <strong>{{ school.chosen }}</strong>
          <span class="quiet"
            >;
            {{
              $gettext("also %{others}", { others: school.others.map((other) => other.title).join(", ") })
            }}</span
          >
          <FromLayer :layer="school.layer" />
          <template v-if="leads">
            <button
              v-for="other in school.others"
              :key="other.id"
              type="button"
              class="button"
              :aria-pressed="draft.schools.get(school.id) === other.id"
              @click="draft.schools.set(school.id, other.id)"
            >
              {{ other.title }}
            </button>
          </template>
        </p>
      </details>
      <details v-if="settings.length" :open="!!find">
        <summary>
          <h2>{{ $gettext("Settings") }}</h2>
          <span class="quiet">{{ settings.length }}</span>
        </summary>
        <table class="table">
          <tbody>
            <tr v-for="setting in settings" :key="setting.title">
              <td>
                {{ setting.title }}
                <div v-if="setting.requirements.length" class="quiet">
                  {{
                    setting.requirements.length > 4
                      ? $gettext("needed by: %{requirements} and %{more} more", {
                          requirements: setting.requirements.slice(0, 4).join(", "),
                          more: setting.requirements.length - 4,
                        })
                      : $gettext("needed by: %{requirements}", {
                          requirements: setting.requirements.join(", "),
                        })
                  }}
                </div>
              </td>
              <td class="mono">{{ setting.value }}</td>
              <td>{{ setting.source }}<FromLayer :layer="setting.layer" /></td>
              <td v-if="leads">
                <button
                  type="button"
                  class="button"
                  :aria-pressed="draft.settings.has(setting.id)"
                  :aria-label="$gettext('Change %{title}', { title: setting.title })"
                  @click="draft.toggleSetting(setting)"
                >
                  {{ $gettext("Change") }}
                </button>
              </td>
            </tr>
          </tbody>
        </table>
      </details>
      <p v-if="find && !sections.length && !schools.length && !settings.length">
        {{ $gettext("Nothing here is called so. Try fewer letters.") }}
      </p>
    </template>
    <el-dialog v-model="adding" :title="$gettext('New version of a rule book')" width="860px" top="4vh">
      <p class="quiet">
        {{
          $gettext(
            "Change the text, raise the version number. Nothing is saved unless all of it can be read.",
          )
        }}
      </p>
      <textarea
        v-model="text"
        class="field mono yaml"
        rows="20"
        spellcheck="false"
        :aria-label="$gettext('Rule book, YAML')"
      ></textarea>
      <div v-if="problem" class="error" role="alert">
        <p>{{ problem.detail }}</p>
        <ul v-if="problem.problems">
          <li v-for="(item, index) in problem.problems" :key="index">
            {{ $gettext("Line %{line}", { line: item.line })
            }}<template v-if="item.key"
              >, <span class="mono">{{ item.key }}</span></template
            >:
            {{ item.message }}
          </li>
        </ul>
      </div>
      <label v-if="problem?.fields?.untried || untried" class="label">
        {{ $gettext("Why it is published untried") }}
        <input v-model="untried" class="field" maxlength="1000" />
      </label>
      <button type="button" class="button primary" @click="add">{{ $gettext("Save this version") }}</button>
    </el-dialog>
  </div>
</template>

<style scoped>
.books {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-bottom: 12px;
}

.books [aria-pressed="true"] {
  border-color: var(--lake);
  background: var(--lake-soft);
  font-weight: 600;
}

.find {
  max-width: 420px;
  margin: 12px 0;
}

summary {
  display: flex;
  gap: 12px;
  align-items: baseline;
  min-height: 44px;
  padding-top: 10px;
  border-bottom: 1px solid var(--hair);
  cursor: pointer;
}

summary::before {
  content: "▸";
  color: var(--lake);
}

details[open] > summary::before {
  content: "▾";
}

.yaml {
  margin: 8px 0;
  font-size: 12.5px;
  white-space: pre;
}

td .mono {
  font-size: 11.5px;
  overflow-wrap: anywhere;
}

.table {
  display: block;
  overflow-x: auto;
}
</style>
