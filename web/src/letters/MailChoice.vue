<script setup lang="ts">
import { $gettext } from "../language/language";
import { ref, watch } from "vue";
import { at } from "../api/address";
import { api, type Schemas } from "../api/client";
import { useAttempt } from "../api/useAttempt";
import { notice } from "../frame/notice";

type Mail = Schemas["MailView"];

/** Where letters go by mail, and which: one's own, or as the quality lead somebody else's. */
const props = defineProps<{ name?: string }>();

const KINDS: { id: Mail["kinds"][number]; title: string }[] = [
  { id: "RAISED", title: $gettext("Corrections that are asked for or changed") },
  { id: "ANSWERED", title: $gettext("What is said and done about corrections") },
  { id: "RECORD", title: $gettext("Questions about commissioning records, and their answers") },
];

const mail = ref<Mail>();
const { busy, problem, fields, attempt } = useAttempt();

const where = () =>
  props.name ? at("/api/people/{name}/mail", { path: { name: props.name } }) : at("/api/mail");

watch(
  () => props.name,
  () =>
    attempt(async () => {
      mail.value = await api.get(where());
    }),
  { immediate: true },
);

async function save() {
  const chosen = mail.value;
  if (!chosen) {
    return;
  }
  await attempt(async () => {
    const { address, kinds, version } = chosen;
    mail.value = await api.put(where(), { address: address.trim(), kinds, version });
    notice.done(
      mail.value.address
        ? $gettext("Letters go to %{address}.", { address: mail.value.address })
        : $gettext("No letters go out by mail."),
    );
  });
}
</script>

<template>
  <form class="form" @submit.prevent="save">
    <template v-if="mail">
      <label>
        <span class="label">{{ $gettext("Mail address, empty to get none") }}</span>
        <input
          v-model="mail.address"
          class="field mono"
          type="text"
          inputmode="email"
          autocomplete="email"
          maxlength="254"
          :placeholder="$gettext('wren@undanus.example')"
          :aria-invalid="!!fields.address"
        />
      </label>
      <fieldset>
        <legend class="label">{{ $gettext("What comes by mail") }}</legend>
        <label
          v-for="kind in KINDS.filter(({ id }) => mail?.offered.includes(id))"
          :key="kind.id"
          class="choice"
        >
          <input v-model="mail.kinds" type="checkbox" :value="kind.id" />
          <span>{{ kind.title }}</span>
        </label>
      </fieldset>
      <p v-if="!mail.sends" class="quiet">
        {{ $gettext("No mail server is set up here: letters are kept, and none goes out.") }}
      </p>
    </template>
    <p v-if="problem" class="error" role="alert">{{ problem }}</p>
    <button type="submit" class="button" :disabled="busy || !mail">{{ $gettext("Save") }}</button>
  </form>
</template>

<style scoped>
.form {
  display: grid;
  gap: 12px;
  justify-items: start;
}

.form > label {
  width: min(420px, 100%);
}

fieldset {
  display: grid;
  min-width: 0;
  margin: 0;
  padding: 0;
  border: 0;
}

legend {
  padding: 0;
}

.choice {
  display: flex;
  gap: 10px;
  align-items: center;
  min-height: 44px;
}
</style>
