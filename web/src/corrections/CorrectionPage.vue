<script setup lang="ts">
import { $gettext } from "../language/language";
import { computed, ref, toRef, watch } from "vue";
import { at } from "../api/address";
import { api, ProblemError } from "../api/client";
import { useAttempt } from "../api/useAttempt";
import { lastOnly } from "../api/lastOnly";
import { sentence } from "../api/problems";
import { notice } from "../frame/notice";
import GivenReadings, { sent, type Given } from "../shown/GivenReadings.vue";
import { useUnits } from "../frame/useUnits";
import { when } from "../frame/when";
import MarkedPhoto from "../photos/MarkedPhoto.vue";
import PhotoStrip from "../photos/PhotoStrip.vue";
import { usePhotos } from "../photos/usePhotos";
import { useSession } from "../session/useSession";
import VerdictMark from "../shown/VerdictMark.vue";
import DueDate from "./DueDate.vue";
import { STEPS, type StepKind, type Conversation } from "./states";

/** One correction as a short letter is read: what, where, by which limit, by when, and what was answered. */
const props = defineProps<{ id: string }>();

const { person } = useSession();
const inspects = computed(() => person.value?.role !== "CREW");
const { units } = useUnits();
const conversation = ref<Conversation>();
const problem = ref("");
const words = ref("");
const given = ref<Given[]>([]);
const confirmed = ref(false);
const { busy, problem: refusal, attempt } = useAttempt();

const correction = computed(() => conversation.value?.correction);
const photos = usePhotos(toRef(() => correction.value?.installationId ?? ""));
/** Those of the correction itself, and of the line or unit it is about. */
const own = computed(() => photos.of({ correction: props.id }));
const about = computed(() =>
  photos.photos.value.filter(
    (photo) =>
      !photo.correction &&
      photo.component === correction.value?.component &&
      (!photo.point || conversation.value?.lines.some((line) => line.point === photo.point)),
  ),
);
const station = computed(() => correction.value?.requirement.split(".")[0]);

function may(kind: StepKind): boolean {
  return !!conversation.value?.may.includes(kind);
}

const last = lastOnly();

async function load() {
  problem.value = "";
  try {
    conversation.value = await last(
      api.get(at("/api/corrections/{id}", { path: { id: props.id }, query: { units: units() } })),
    );
    if (may("SEEN")) {
      await take("SEEN");
    }
  } catch (thrown) {
    problem.value = sentence(thrown);
  }
}
watch(() => props.id, load, { immediate: true });

async function take(kind: StepKind) {
  await attempt(
    async () => {
      conversation.value = await api.post(
        at("/api/corrections/{id}/steps", { path: { id: props.id }, query: { units: units() } }),
        {
          kind,
          words: kind === "SEEN" ? "" : words.value,
          readings: kind === "ANSWERED" ? sent(given.value, conversation.value?.lines ?? []) : [],
          confirmed: confirmed.value,
          version: correction.value?.version ?? 0,
        },
      );
      if (kind !== "SEEN") {
        words.value = "";
        given.value = [];
        notice.done($gettext("Saved; the other side gets a letter."));
      }
      confirmed.value = false;
    },
    async (thrown) => {
      confirmed.value = thrown instanceof ProblemError && !!thrown.problem.ask;
      if (thrown instanceof ProblemError && thrown.problem.status === 409) {
        const said = refusal.value;
        await load();
        refusal.value = said;
      }
    },
  );
}

const editing = ref(false);
/** Somebody changed it while this was typed. */
const conflict = ref(false);
const asked = ref("");
const due = ref<string>();

function edit() {
  asked.value = correction.value?.words ?? "";
  due.value = correction.value?.due;
  refusal.value = "";
  conflict.value = false;
  editing.value = true;
}

async function amend() {
  try {
    await api.put(at("/api/corrections/{id}", { path: { id: props.id } }), {
      words: asked.value,
      due: due.value || undefined,
      version: correction.value?.version ?? 0,
    });
    editing.value = false;
    notice.done($gettext("Saved; the crew gets a letter."));
    await load();
  } catch (thrown) {
    const said = sentence(thrown);
    if (thrown instanceof ProblemError && thrown.problem.status === 409) {
      await load();
      conflict.value = true;
    }
    refusal.value = said;
  }
}

async function attach(event: Event) {
  const input = event.target as HTMLInputElement;
  for (const file of input.files ?? []) {
    try {
      await api.file(
        at("/api/corrections/{id}/files", { path: { id: props.id }, query: { name: file.name } }),
        file,
      );
    } catch (thrown) {
      notice.problem(`${file.name}: ${sentence(thrown)}`);
    }
  }
  input.value = "";
  await load();
}
</script>

<template>
  <div class="page letter">
    <p>
      <RouterLink to="/corrections">{{ $gettext("All corrections") }}</RouterLink>
    </p>
    <p v-if="problem" class="error" role="alert">
      {{ problem }} <button type="button" class="button" @click="load">{{ $gettext("Try again") }}</button>
    </p>
    <template v-if="conversation && correction">
      <div class="page-head">
        <div>
          <h1>{{ correction.number }}. {{ correction.what }}</h1>
          <p class="quiet">
            {{ conversation.reference }} {{ conversation.title }}, {{ conversation.building }} ·
            {{ conversation.crew }} ·
            {{ conversation.trade }}
          </p>
        </div>
        <DueDate :correction="correction" :overdue="conversation.overdue" />
      </div>
      <article class="entry">
        <p class="words">{{ correction.words }}</p>
        <p>{{ correction.finding }}</p>
        <p v-if="correction.limits" class="quiet">{{ correction.limits }}</p>
        <p v-if="correction.state === 'ACCEPTED'" class="now">
          {{ $gettext("Accepted, to be seen at the re-visit.") }}
        </p>
        <p v-else-if="conversation.now" class="now">
          <VerdictMark :verdict="conversation.now.verdict" />
          {{ $gettext("Now: %{brief}", { brief: conversation.now.brief }) }}
        </p>
        <p class="quiet signed">
          {{ correction.raisedBy }}, {{ when(correction.raisedAt) }}
          <RouterLink :to="`/installations/${correction.installationId}/${station}`">
            {{ $gettext("Open its station") }}
          </RouterLink>
          <button v-if="may('WITHDRAWN')" type="button" class="button" @click="edit">
            {{ $gettext("Change") }}
          </button>
        </p>
        <div v-if="about.length || own.length" class="pictures">
          <MarkedPhoto v-for="photo in [...about, ...own]" :key="photo.id" :photo="photo" />
        </div>
        <PhotoStrip
          :photos="[...about, ...own]"
          :label="$gettext('correction %{number}', { number: correction.number })"
          @add="photos.hang({ correction: props.id }, $event)"
        />
      </article>
      <article
        v-for="(step, index) in conversation.steps"
        :key="index"
        class="entry"
        :class="step.kind.toLowerCase()"
      >
        <p class="quiet signed">{{ step.by }} {{ STEPS[step.kind] }}, {{ when(step.at) }}</p>
        <p v-if="step.words" class="said">{{ step.words }}</p>
        <p v-for="(reading, at_) in step.readings" :key="at_">
          {{ reading.line }}: <strong>{{ reading.said }}</strong>
          <span class="quiet">{{ reading.grade }}</span>
        </p>
      </article>
      <ul v-if="conversation.files.length" class="files">
        <li v-for="file in conversation.files" :key="file.id">
          <a :href="at('/api/attachments/{id}', { path: { id: file.id } })" download>{{ file.name }}</a>
          <span class="quiet">{{
            $gettext("%{size} kB, %{addedBy}", { size: Math.ceil(file.bytes / 1024), addedBy: file.addedBy })
          }}</span>
        </li>
      </ul>
      <form v-if="conversation.may.length" class="answer" @submit.prevent="take('ANSWERED')">
        <label class="label" for="answer">{{
          inspects ? $gettext("What do you say to it?") : $gettext("What was done?")
        }}</label>
        <textarea id="answer" v-model="words" class="field" rows="3" maxlength="2000"></textarea>
        <template v-if="may('ANSWERED')">
          <GivenReadings v-model="given" :lines="conversation.lines" />
        </template>
        <p v-if="refusal" class="error" role="alert">{{ refusal }}</p>
        <div class="buttons">
          <template v-if="may('ANSWERED')">
            <button class="button primary" :disabled="busy">
              {{ confirmed ? $gettext("Answer with it as it is") : $gettext("Answer") }}
            </button>
            <button
              v-if="conversation.lines.length"
              type="button"
              class="button"
              @click="given.push({ line: 0, typed: '', grade: 'RECORDED' })"
            >
              {{ $gettext("Add a reading") }}
            </button>
          </template>
          <template v-if="inspects">
            <button
              v-if="may('CLOSED')"
              type="button"
              class="button primary"
              :disabled="busy"
              @click="take('CLOSED')"
            >
              {{ $gettext("Close: read again, and it meets") }}
            </button>
            <button
              v-if="may('ACCEPTED')"
              type="button"
              class="button"
              :disabled="busy"
              @click="take('ACCEPTED')"
            >
              {{ $gettext("Accept the answer") }}
            </button>
            <button
              v-if="may('REFUSED')"
              type="button"
              class="button"
              :disabled="busy"
              @click="take('REFUSED')"
            >
              {{ $gettext("Refuse, and say why") }}
            </button>
            <button
              v-if="may('WITHDRAWN')"
              type="button"
              class="button"
              :disabled="busy"
              @click="take('WITHDRAWN')"
            >
              {{ $gettext("Withdraw, and say why") }}
            </button>
          </template>
          <label class="button">
            {{ $gettext("Add a file") }}
            <input
              class="visually-hidden"
              type="file"
              accept="application/pdf,image/*,text/*"
              :aria-label="$gettext('File for this correction')"
              @change="attach"
            />
          </label>
        </div>
      </form>
      <el-dialog v-model="editing" :title="$gettext('Change a correction')" width="min(520px, 94vw)">
        <form @submit.prevent="amend">
          <label class="label" for="words">{{ $gettext("What is to be done") }}</label>
          <textarea id="words" v-model="asked" class="field" rows="4" maxlength="2000"></textarea>
          <label class="label" for="due">{{ $gettext("By when") }}</label>
          <el-date-picker id="due" v-model="due" value-format="YYYY-MM-DD" format="YYYY-MM-DD" />
          <p class="error" role="alert">{{ refusal }}</p>
          <p v-if="conflict" class="theirs">
            {{
              $gettext("What stands now: %{words} %{due}", {
                words: correction.words,
                due: correction.due ?? "",
              })
            }}
          </p>
          <button class="button primary">
            {{ conflict ? $gettext("Save mine over it") : $gettext("Save") }}
          </button>
        </form>
      </el-dialog>
    </template>
  </div>
</template>

<style scoped>
.letter {
  max-width: 860px;
}

.entry {
  padding: 12px 0 12px 14px;
  border-left: 3px solid var(--lake);
  border-bottom: 1px solid var(--hair);
}

.entry.answered,
.entry.seen {
  border-left-color: var(--brass);
  background: var(--brass-soft);
}

.words {
  font-size: 18px;
  font-weight: 600;
}

.said {
  white-space: pre-wrap;
}

.signed {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  align-items: center;
}

.now {
  margin-top: 6px;
  display: flex;
  gap: 8px;
  align-items: center;
}

.pictures {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(240px, 1fr));
  gap: 8px;
  margin: 8px 0;
}

.pictures svg {
  max-height: 320px;
  background: var(--ground);
}

.files {
  padding: 8px 0;
  list-style: none;
}

.answer {
  margin-top: 14px;
}

.buttons {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-top: 10px;
}

@media (max-width: 560px) {
  .buttons .button {
    flex: 1 1 100%;
    min-height: 48px;
  }
}
</style>
