<script setup lang="ts">
import { notice } from "../frame/notice";
import { computed, ref, shallowReactive } from "vue";
import { useRoute } from "vue-router";
import { at } from "../api/address";
import { api, ProblemError, type Schemas } from "../api/client";
import { sentence } from "../api/problems";
import { saysAll } from "../frame/saysAll";
import PhotoStrip from "../photos/PhotoStrip.vue";
import { usePhotos } from "../photos/usePhotos";
import { useSession } from "../session/useSession";

type Listed = Schemas["Listed"];

const { person } = useSession();
const listed = ref<Listed[]>();
const route = useRoute();
/** The code on a site note leads to those of its installation. */
const only = computed(() => route.query.installation);
const find = ref("");
const shown = computed(() =>
  listed.value?.filter(({ correction, reference, title, crew }) => {
    const { installationId, what, finding, words: asked } = correction;
    return (
      (!only.value || installationId === only.value) &&
      saysAll(find.value, reference, title, crew, what, finding, asked)
    );
  }),
);

/** Installation by installation. */
const sections = computed(() => {
  const found = new Map<string, Listed[]>();
  for (const item of shown.value ?? []) {
    const { installationId } = item.correction;
    found.set(installationId, [...(found.get(installationId) ?? []), item]);
  }
  return [...found.values()];
});

function openOf(items: Listed[]): string {
  const open = items.filter((item) => item.correction.state === "OPEN").length;
  return open ? `${open} open` : "none open";
}
const problem = ref("");
const editing = ref<Listed>();
const editOpen = ref(false);
const words = ref("");
const due = ref<string>();
const theirs = ref<Schemas["Correction"]>();
const saveProblem = ref("");

/** The photos of every installation that has a correction, by its id. */
const photos = shallowReactive(new Map<string, ReturnType<typeof usePhotos>>());

async function load() {
  problem.value = "";
  try {
    listed.value = await api.get(at("/api/corrections"));
    for (const { correction } of listed.value) {
      if (!photos.has(correction.installationId)) {
        photos.set(correction.installationId, usePhotos(ref(correction.installationId)));
      }
    }
  } catch (thrown) {
    problem.value = sentence(thrown);
  }
}
void load();

function edit(item: Listed) {
  editing.value = item;
  words.value = item.correction.words;
  due.value = item.correction.due;
  theirs.value = undefined;
  saveProblem.value = "";
  editOpen.value = true;
}

async function save(state: Schemas["Correction"]["state"], version = editing.value?.correction.version ?? 0) {
  if (!editing.value) {
    return;
  }
  saveProblem.value = "";
  try {
    await api.put(at("/api/corrections/{id}", { path: { id: editing.value.correction.id } }), {
      words: words.value,
      due: due.value || undefined,
      state,
      version,
    });
    editOpen.value = false;
    notice.done(state === "OPEN" ? "Saved." : "Withdrawn; it stays in the list.");
    await load();
  } catch (thrown) {
    saveProblem.value = sentence(thrown);
    theirs.value =
      thrown instanceof ProblemError && thrown.problem.status === 409
        ? (thrown.problem.theirs as Schemas["Correction"])
        : undefined;
  }
}
</script>

<template>
  <div class="page">
    <div class="page-head">
      <div>
        <h1>What is still to be put right?</h1>
        <p class="quiet">Raised from judgements; each keeps the limit and its source as they then stood.</p>
      </div>
    </div>
    <p v-if="problem" class="error" role="alert">
      {{ problem }} <button type="button" class="button" @click="load">Try again</button>
    </p>
    <p v-else-if="listed && !listed.length">
      No correction has been raised. On a walk, choose a failed judgement and press
      <span class="key">f</span>.
    </p>
    <p v-else-if="only" class="only">
      {{
        shown?.length ? `Only those of ${shown[0]?.title}.` : "None has been raised for this installation."
      }}
      <RouterLink class="button" to="/corrections">Show all</RouterLink>
    </p>
    <input
      v-if="listed?.length"
      v-model="find"
      class="field find"
      placeholder="Find by installation, crew or words"
      aria-label="Find"
    />
    <p v-if="listed?.length && find && !shown?.length">No correction says so. Try fewer letters.</p>
    <section v-for="items in sections" :key="items[0]?.correction.installationId" class="of">
      <h2>
        {{ items[0]?.reference }} {{ items[0]?.title }}
        <span class="quiet">{{ items[0]?.crew }} · {{ openOf(items) }}</span>
      </h2>
      <ul class="corrections">
        <li v-for="item in items" :key="item.correction.id" :class="item.correction.state.toLowerCase()">
          <div class="what">
            <strong>{{ item.correction.number }}. {{ item.correction.what }}</strong>
            <RouterLink
              :to="`/installations/${item.correction.installationId}/${item.correction.requirement.split('.')[0]}`"
            >
              Open its station
            </RouterLink>
          </div>
          <div>
            <p>{{ item.correction.finding }}</p>
            <p class="quiet">{{ item.correction.limits }}</p>
            <p class="words">{{ item.correction.words }}</p>
            <PhotoStrip
              :photos="
                photos.get(item.correction.installationId)?.of({ correction: item.correction.id }) ?? []
              "
              :label="`correction ${item.correction.number}`"
              @add="
                photos.get(item.correction.installationId)?.hang({ correction: item.correction.id }, $event)
              "
            />
          </div>
          <div class="due">
            <span v-if="item.correction.state === 'WITHDRAWN'" class="quiet">withdrawn</span>
            <span v-else-if="item.correction.due">by {{ item.correction.due }}</span>
            <span v-else class="quiet">no date set</span>
            <button
              v-if="person?.role !== 'CREW' && item.correction.state === 'OPEN'"
              type="button"
              class="button"
              @click="edit(item)"
            >
              Change
            </button>
          </div>
        </li>
      </ul>
    </section>
    <el-dialog v-model="editOpen" title="Change a correction" width="520px">
      <form v-if="editing" @submit.prevent="save('OPEN')">
        <p>
          <strong>{{ editing.correction.what }}</strong>
        </p>
        <label class="label" for="words">What is to be done</label>
        <textarea id="words" v-model="words" class="field" rows="4" maxlength="2000"></textarea>
        <label class="label" for="due">By when</label>
        <el-date-picker id="due" v-model="due" value-format="YYYY-MM-DD" format="YYYY-MM-DD" />
        <p class="error" role="alert">{{ saveProblem }}</p>
        <div v-if="theirs" class="theirs">
          <p class="quiet">What stands now:</p>
          <p>{{ theirs.words }}</p>
          <button type="button" class="button" @click="save('OPEN', theirs.version)">
            Save mine over it
          </button>
        </div>
        <div class="buttons">
          <button class="button primary">Save</button>
          <button type="button" class="button" @click="save('WITHDRAWN')">Withdraw</button>
        </div>
      </form>
    </el-dialog>
  </div>
</template>

<style scoped>
.find {
  max-width: 420px;
  margin-bottom: 12px;
}

.of {
  margin-bottom: 22px;
}

.of h2 {
  margin-bottom: 4px;
}

.of h2 .quiet {
  font-size: 13px;
  font-weight: 400;
}

.corrections {
  margin: 0;
  padding: 0;
  border-top: 1px solid var(--ink);
  list-style: none;
}

li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.6fr) 130px;
  gap: 16px;
  padding: 12px 0;
  border-bottom: 1px solid var(--hair);
}

.withdrawn {
  text-decoration: line-through;
  text-decoration-color: var(--hair);
}

.what,
.due {
  display: grid;
  gap: 4px;
  align-content: start;
}

.words {
  margin-top: 4px;
  font-weight: 600;
}

.label {
  margin-top: 12px;
}

.buttons {
  display: flex;
  gap: 8px;
}

.error {
  min-height: 22px;
}

@media (max-width: 760px) {
  li {
    grid-template-columns: 1fr;
    gap: 6px;
  }
}
</style>
