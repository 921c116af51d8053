<script setup lang="ts">
import { $gettext } from "../language/language";
import { ref, watch } from "vue";
import { at } from "../api/address";
import { api, type Schemas } from "../api/client";
import { useAttempt } from "../api/useAttempt";
import { notice } from "../frame/notice";
import { useSession } from "./useSession";

/** One's own second factor: begun by the password, kept once a code shows that the app has it; changed by both. */
const open = defineModel<boolean>({ required: true });
const { factor, again } = useSession();
const password = ref("");
const code = ref("");
const secret = ref<Schemas["Secret"]>();
const { busy, problem, attempt } = useAttempt();

watch(open, () => {
  password.value = code.value = problem.value = "";
  secret.value = undefined;
});

const whoItIs = () => ({ password: password.value, code: code.value || undefined });

const begin = () =>
  attempt(async () => {
    secret.value = await api.post(at("/api/session/second-factor"), whoItIs());
    code.value = "";
  });

async function end(said: string) {
  await again();
  open.value = false;
  notice.done(said);
}

const keep = () =>
  attempt(async () => {
    await api.put(at("/api/session/second-factor"), { code: code.value });
    await end($gettext("Kept. A code is asked for at every sign-in from now on."));
  });

const remove = () =>
  attempt(async () => {
    await api.post(at("/api/session/second-factor/removal"), whoItIs());
    await end($gettext("Taken away. The password alone signs you in."));
  });
</script>

<template>
  <el-dialog v-model="open" :title="$gettext('Second factor')" width="min(440px, 94vw)">
    <p v-if="factor.due">
      <strong>{{ $gettext("Your role needs one: nothing else is shown before it is set up.") }}</strong>
    </p>
    <form v-if="!secret" class="form" @submit.prevent="begin">
      <p class="quiet">
        {{
          factor.has
            ? $gettext("You have one. Set up another in its place, or take it away.")
            : $gettext(
                "An app on your phone shows a code that changes every half minute; it is asked for beside the password.",
              )
        }}
      </p>
      <label>
        <span class="label">{{ $gettext("Your password") }}</span>
        <input v-model="password" class="field" type="password" autocomplete="current-password" required />
      </label>
      <label v-if="factor.has">
        <span class="label">{{ $gettext("Code that the app shows now") }}</span>
        <input v-model="code" class="field mono" inputmode="numeric" autocomplete="one-time-code" required />
      </label>
      <p v-if="problem" class="error" role="alert">{{ problem }}</p>
      <div class="buttons">
        <button type="submit" class="button primary" :disabled="busy">
          {{ factor.has ? $gettext("Set up another") : $gettext("Set one up") }}
        </button>
        <button
          v-if="factor.has"
          type="button"
          class="button"
          :disabled="busy || !password || !code"
          @click="remove"
        >
          {{ $gettext("Take it away") }}
        </button>
      </div>
    </form>
    <form v-else class="form" @submit.prevent="keep">
      <p>{{ $gettext("Point the app at the code, or type the secret into it.") }}</p>
      <img
        :src="`data:image/svg+xml,${encodeURIComponent(secret.picture)}`"
        :alt="$gettext('Secret as a QR code')"
        width="200"
      />
      <p class="mono secret">{{ secret.secret }}</p>
      <label>
        <span class="label">{{ $gettext("Code that the app shows now") }}</span>
        <input v-model="code" class="field mono" inputmode="numeric" autocomplete="one-time-code" required />
      </label>
      <p v-if="problem" class="error" role="alert">{{ problem }}</p>
      <button type="submit" class="button primary" :disabled="busy">{{ $gettext("Keep it") }}</button>
    </form>
  </el-dialog>
</template>

<style scoped>
.form {
  display: grid;
  gap: 10px;
}

.secret {
  overflow-wrap: anywhere;
}

img {
  padding: 8px;
  background: #fffefa;
}

.buttons {
  display: flex;
  gap: 8px;
}
</style>
