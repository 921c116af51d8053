<script setup lang="ts">
import { ref } from "vue";
import { useRoute, useRouter } from "vue-router";
import { ProblemError } from "../api/client";
import { useAttempt } from "../api/useAttempt";
import { useSession } from "./useSession";

const { signIn, demoAccounts } = useSession();
const route = useRoute();
const router = useRouter();

const name = ref("");
const password = ref("");
/** Asked for once name and password are right, where there is a second factor. */
const coded = ref(false);
const code = ref("");
const { busy, problem, attempt } = useAttempt();

async function submit() {
  await attempt(
    async () => {
      await signIn(name.value, password.value, code.value);
      const to =
        typeof route.query.to === "string" && route.query.to.startsWith("/") ? route.query.to : "/register";
      await router.push(to);
    },
    (thrown) => {
      coded.value ||= thrown instanceof ProblemError && !!thrown.problem.code;
      code.value = "";
    },
  );
}

function take(account: { name: string; password: string }) {
  name.value = account.name;
  password.value = account.password;
  void submit();
}
</script>

<template>
  <main class="sign-in">
    <form @submit.prevent="submit">
      <img src="/mark.svg" alt="" width="44" height="44" />
      <h1>{{ $gettext("Undanus") }}</h1>
      <p class="quiet">
        {{
          $gettext("Checks cooling and heating installations against code, makers' instructions and records.")
        }}
      </p>
      <label class="label" for="name">{{ $gettext("Name") }}</label>
      <input id="name" v-model="name" class="field" autocomplete="username" autocapitalize="none" required />
      <label class="label" for="password">{{ $gettext("Password") }}</label>
      <input
        id="password"
        v-model="password"
        class="field"
        type="password"
        autocomplete="current-password"
        required
      />
      <template v-if="coded">
        <label class="label" for="code">{{ $gettext("Code that your app shows now") }}</label>
        <input
          id="code"
          v-model="code"
          class="field mono"
          inputmode="numeric"
          autocomplete="one-time-code"
          maxlength="8"
        />
      </template>
      <p class="error" role="alert">{{ problem }}</p>
      <button class="button primary" :disabled="busy">{{ $gettext("Sign in") }}</button>
      <section v-if="demoAccounts.length" class="demo">
        <h2>{{ $gettext("Demo accounts") }}</h2>
        <button
          v-for="account in demoAccounts"
          :key="account.name"
          type="button"
          class="button"
          @click="take(account)"
        >
          <span>{{ account.title }}</span>
          <span class="mono quiet">{{ account.name }} / {{ account.password }}</span>
        </button>
      </section>
    </form>
  </main>
</template>

<style scoped>
.sign-in {
  display: grid;
  min-height: 100%;
  place-items: center;
  padding: 20px;
}

form {
  width: min(400px, 100%);
}

h1 {
  margin-top: 10px;
  font-size: 28px;
}

.label {
  margin-top: 14px;
}

.primary {
  width: 100%;
  min-height: 48px;
}

.error {
  min-height: 22px;
  margin: 6px 0;
}

.demo {
  margin-top: 28px;
  padding-top: 14px;
  border-top: 1px solid var(--hair);
}

.demo .button {
  display: flex;
  justify-content: space-between;
  width: 100%;
  min-height: 44px;
  margin-top: 6px;
}

.demo .mono {
  font-size: 12px;
}
</style>
