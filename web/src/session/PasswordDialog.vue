<script setup lang="ts">
import { $gettext } from "../language/language";
import { ref, watch } from "vue";
import { at } from "../api/address";
import { api } from "../api/client";
import { useAttempt } from "../api/useAttempt";
import { notice } from "../frame/notice";

/** One's own password, changed by the old one. */
const open = defineModel<boolean>({ required: true });
const old = ref("");
const fresh = ref("");
const again = ref("");
const { busy, problem, attempt } = useAttempt();

watch(open, () => {
  old.value = fresh.value = again.value = problem.value = "";
});

async function change() {
  if (fresh.value !== again.value) {
    problem.value = $gettext("The new password was not typed the same twice.");
    return;
  }
  await attempt(async () => {
    await api.put(at("/api/session/password"), { old: old.value, fresh: fresh.value });
    open.value = false;
    notice.done($gettext("Password changed. Whatever else was signed in under your name is not any more."));
  });
}
</script>

<template>
  <el-dialog v-model="open" :title="$gettext('Change password')" width="min(420px, 94vw)">
    <form class="form" @submit.prevent="change">
      <label>
        <span class="label">{{ $gettext("Old password") }}</span>
        <input v-model="old" class="field" type="password" autocomplete="current-password" required />
      </label>
      <label>
        <span class="label">{{ $gettext("New password, 10 characters or more") }}</span>
        <input v-model="fresh" class="field" type="password" autocomplete="new-password" required />
      </label>
      <label>
        <span class="label">{{ $gettext("The new one again") }}</span>
        <input v-model="again" class="field" type="password" autocomplete="new-password" required />
      </label>
      <p v-if="problem" class="error" role="alert">{{ problem }}</p>
      <button type="submit" class="button primary" :disabled="busy">{{ $gettext("Change password") }}</button>
    </form>
  </el-dialog>
</template>

<style scoped>
.form {
  display: grid;
  gap: 12px;
}
</style>
