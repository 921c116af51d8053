<script setup lang="ts">
import { $gettext } from "../language/language";
import { ref, watch } from "vue";
import { at } from "../api/address";
import { api, type Schemas } from "../api/client";
import { sentence } from "../api/problems";
import { notice } from "../frame/notice";
import { when } from "../frame/when";

/** Where somebody is signed in, to be ended: one's own other sessions, or for the quality lead all of a person's. */
const props = defineProps<{ name?: string }>();
const open = defineModel<boolean>({ required: true });

const sessions = ref<Schemas["SignedIn"][]>();
const problem = ref("");

async function load() {
  try {
    sessions.value = props.name
      ? await api.get(at("/api/people/{name}/sessions", { path: { name: props.name } }))
      : await api.get(at("/api/session/list"));
    problem.value = "";
  } catch (thrown) {
    problem.value = sentence(thrown);
  }
}
watch(open, (now) => now && void load(), { immediate: true });

async function end() {
  try {
    if (props.name) {
      await api.remove(at("/api/people/{name}/sessions", { path: { name: props.name } }));
    } else {
      await api.remove(at("/api/session/others"));
    }
    notice.done(props.name ? $gettext("Ended everywhere.") : $gettext("Ended everywhere but here."));
    await load();
  } catch (thrown) {
    problem.value = sentence(thrown);
  }
}
</script>

<template>
  <el-dialog
    v-model="open"
    :title="name ? $gettext('Where %{name} is signed in', { name }) : $gettext('Where you are signed in')"
    width="min(560px, 94vw)"
  >
    <p v-if="problem" class="error" role="alert">{{ problem }}</p>
    <p v-if="sessions && !sessions.length">{{ $gettext("Nowhere.") }}</p>
    <ul>
      <li v-for="(each, index) in sessions" :key="index">
        <strong>{{ when(each.last) }}</strong>
        <span class="quiet">{{
          $gettext("since %{since}, %{from}", { since: when(each.since), from: each.from })
        }}</span>
        <div class="quiet device">{{ each.device }}</div>
      </li>
    </ul>
    <button v-if="sessions && sessions.length > (name ? 0 : 1)" type="button" class="button" @click="end">
      {{ name ? $gettext("End all of them") : $gettext("End all others") }}
    </button>
  </el-dialog>
</template>

<style scoped>
ul {
  margin: 0 0 12px;
  padding: 0;
  list-style: none;
}

li {
  padding: 8px 0;
  border-bottom: 1px solid var(--hair);
}

.device {
  font-size: 12px;
  overflow-wrap: anywhere;
}
</style>
