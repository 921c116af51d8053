<script setup lang="ts">
import { $gettext } from "../language/language";
import { onMounted, reactive, ref } from "vue";
import { at } from "../api/address";
import { api, ProblemError, type Schemas } from "../api/client";
import { sentence } from "../api/problems";
import { notice } from "../frame/notice";
import MailChoice from "../letters/MailChoice.vue";
import SessionsDialog from "../session/SessionsDialog.vue";

type Someone = Schemas["PersonView"];

const ROLES: { id: Someone["role"]; title: string; may: string }[] = [
  { id: "INSPECTOR", title: $gettext("Inspector"), may: $gettext("walks and judges every installation") },
  {
    id: "QUALITY_LEAD",
    title: $gettext("Quality lead"),
    may: $gettext("keeps rule books, sheets, instruments and people too"),
  },
  {
    id: "CREW",
    title: $gettext("Crew"),
    may: $gettext("sees its own installations and fills in its record"),
  },
];

const all = ref<Someone[]>();
const crews = ref<string[]>([]);
const problem = ref("");
const fields = ref<Record<string, string>>({});
const open = ref(false);
const signedIn = ref<string>();
const sessionsOpen = ref(false);
const shown = ref<Someone>();
const form = reactive({
  name: "",
  title: "",
  role: "INSPECTOR" as Someone["role"],
  crew: "",
  password: "",
  active: true,
});

async function load() {
  try {
    const [people, choices] = await Promise.all([
      api.get(at("/api/people")),
      api.get(at("/api/installations/choices")),
    ]);
    all.value = people;
    crews.value = choices.crews;
    problem.value = "";
  } catch (thrown) {
    problem.value = sentence(thrown);
  }
}
onMounted(load);

function edit(someone?: Someone) {
  shown.value = someone;
  fields.value = {};
  Object.assign(form, {
    name: someone?.name ?? "",
    title: someone?.title ?? "",
    role: someone?.role ?? "INSPECTOR",
    crew: someone?.crew ?? "",
    password: "",
    active: someone?.active ?? true,
  });
  open.value = true;
}

async function save() {
  fields.value = {};
  const { name, active, password, ...rest } = form;
  const crew = form.role === "CREW" ? form.crew : undefined;
  try {
    if (shown.value) {
      await api.put(at("/api/people/{name}", { path: { name: shown.value.name } }), {
        ...rest,
        crew,
        active,
        version: shown.value.version,
        password: password || undefined,
      });
    } else {
      await api.post(at("/api/people"), { ...rest, crew, name, password });
    }
    open.value = false;
    notice.done(
      shown.value
        ? $gettext("%{title} has been changed.", { title: form.title })
        : $gettext("%{title} may sign in as %{name}.", { title: form.title, name }),
    );
    await load();
  } catch (thrown) {
    fields.value = (thrown instanceof ProblemError && thrown.problem.fields) || {};
    notice.problem(sentence(thrown));
  }
}

/** Without the phone that shows the codes nobody gets in: the lead takes the second factor away. */
async function loseFactor(someone: Someone) {
  try {
    await api.remove(at("/api/people/{name}/second-factor", { path: { name: someone.name } }));
    notice.done($gettext("The password alone signs %{title} in now.", { title: someone.title }));
    await load();
  } catch (thrown) {
    notice.problem(sentence(thrown));
  }
}

function roleOf(someone: Someone) {
  return ROLES.find((role) => role.id === someone.role)?.title ?? "";
}
</script>

<template>
  <div class="page">
    <div class="page-head">
      <div>
        <h1>{{ $gettext("Who may sign in?") }}</h1>
        <p class="quiet">
          {{ $gettext("Who is switched off keeps what they have read and done, and signs in no more.") }}
        </p>
      </div>
      <button type="button" class="button primary" @click="edit()">{{ $gettext("Add somebody") }}</button>
    </div>
    <p v-if="problem" class="error" role="alert">
      {{ problem }} <button type="button" class="button" @click="load">{{ $gettext("Try again") }}</button>
    </p>
    <table v-if="all?.length" class="table">
      <thead>
        <tr>
          <th>{{ $gettext("Person") }}</th>
          <th>{{ $gettext("Signs in as") }}</th>
          <th>{{ $gettext("Role") }}</th>
          <th>
            <span class="visually-hidden">{{ $gettext("What can be done") }}</span>
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="someone in all" :key="someone.name" :class="{ off: !someone.active }">
          <td>
            <strong>{{ someone.title }}</strong>
          </td>
          <td class="mono">{{ someone.name }}</td>
          <td>
            {{
              someone.crew
                ? $gettext("%{role} of %{crew}", { role: roleOf(someone), crew: someone.crew })
                : roleOf(someone)
            }}
            <span v-if="!someone.active"> · {{ $gettext("switched off") }}</span>
          </td>
          <td>
            <button type="button" class="button" @click="edit(someone)">
              {{ $gettext("Change") }}<span class="visually-hidden">: {{ someone.title }}</span>
            </button>
            <button type="button" class="button" @click="((signedIn = someone.name), (sessionsOpen = true))">
              {{ $gettext("Signed in") }}<span class="visually-hidden">: {{ someone.title }}</span>
            </button>
            <button v-if="someone.secondFactor" type="button" class="button" @click="loseFactor(someone)">
              {{ $gettext("Phone lost")
              }}<span class="visually-hidden"
                >: {{ $gettext("take the second factor of %{title} away", { title: someone.title }) }}</span
              >
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <el-dialog
      v-model="open"
      :title="shown ? shown.title : $gettext('Add somebody')"
      width="min(460px, 94vw)"
    >
      <form class="form" @submit.prevent="save">
        <label v-if="!shown">
          <span class="label">{{ $gettext("Signs in as") }}</span>
          <input
            v-model="form.name"
            class="field mono"
            autocomplete="off"
            :placeholder="$gettext('small letters, for example wren')"
            :aria-invalid="!!fields.name"
          />
          <span v-if="fields.name" class="error">{{ fields.name }}</span>
        </label>
        <label>
          <span class="label">{{ $gettext("Name, as others see it") }}</span>
          <input v-model="form.title" class="field" :aria-invalid="!!fields.title" />
          <span v-if="fields.title" class="error">{{ fields.title }}</span>
        </label>
        <fieldset>
          <legend class="label">{{ $gettext("Role") }}</legend>
          <label v-for="role in ROLES" :key="role.id" class="role">
            <input v-model="form.role" type="radio" name="role" :value="role.id" />
            <span
              >{{ role.title }} <span class="quiet">{{ role.may }}</span></span
            >
          </label>
        </fieldset>
        <label v-if="form.role === 'CREW'">
          <span class="label">{{ $gettext("Crew") }}</span>
          <input v-model="form.crew" class="field" list="people-crews" :aria-invalid="!!fields.crew" />
          <datalist id="people-crews">
            <option v-for="crew in crews" :key="crew" :value="crew" />
          </datalist>
          <span v-if="fields.crew" class="error">{{ fields.crew }}</span>
        </label>
        <label>
          <span class="label">{{
            shown ? $gettext("New password, if it is to change") : $gettext("Password")
          }}</span>
          <input
            v-model="form.password"
            type="password"
            class="field mono"
            autocomplete="new-password"
            :placeholder="$gettext('ten characters or more')"
            :aria-invalid="!!fields.password"
          />
          <span v-if="fields.password" class="error">{{ fields.password }}</span>
        </label>
        <label v-if="shown" class="role">
          <input v-model="form.active" type="checkbox" /> <span>{{ $gettext("May sign in") }}</span>
        </label>
        <button type="submit" class="button primary">{{ shown ? $gettext("Save") : $gettext("Add") }}</button>
      </form>
      <details v-if="shown" :key="shown.name" class="letters">
        <summary>{{ $gettext("Letters by mail") }}</summary>
        <MailChoice :name="shown.name" />
      </details>
    </el-dialog>
    <SessionsDialog v-if="signedIn" :key="signedIn" v-model="sessionsOpen" :name="signedIn" />
  </div>
</template>

<style scoped>
.form {
  display: grid;
  gap: 12px;
}

fieldset {
  display: grid;
  margin: 0;
  padding: 0;
  border: 0;
}

.role {
  display: flex;
  gap: 10px;
  align-items: center;
  min-height: 44px;
}

.letters {
  margin-top: 16px;
}

summary {
  min-height: 44px;
  padding: 10px 0;
  cursor: pointer;
}

.off td {
  color: var(--quiet);
}
</style>
