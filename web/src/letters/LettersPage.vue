<script setup lang="ts">
import { $gettext } from "../language/language";
import { ref } from "vue";
import { at } from "../api/address";
import { api, type Schemas } from "../api/client";
import { useAttempt } from "../api/useAttempt";
import { when } from "../frame/when";
import MailChoice from "./MailChoice.vue";

type Delivery = Schemas["DeliveryView"];

/** What was written to whom, how it goes by mail, and in the demo what the mail stand-in got. */
const letters = ref<Schemas["LetterView"][]>();
const arrived = ref<Schemas["Arrived"][]>([]);
const { problem, attempt } = useAttempt();

const load = () =>
  attempt(async () => {
    [letters.value, arrived.value] = await Promise.all([
      api.get(at("/api/letters")),
      api.get(at("/api/simulated/mail")),
    ]);
  });
void load();

function fate(delivery: Delivery) {
  const { to, said } = delivery;
  switch (delivery.state) {
    case "SENT":
      return $gettext("sent to %{to}", { to });
    case "DROPPED":
      return $gettext("no longer wanted by %{to}", { to });
    case "FAILED":
      return $gettext("not delivered to %{to}: %{said}", { to, said });
    default:
      return said
        ? $gettext("waits for %{to}, tried and not taken: %{said}", { to, said })
        : $gettext("on its way to %{to}", { to });
  }
}
</script>

<template>
  <div class="page">
    <div class="page-head">
      <div>
        <h1>{{ $gettext("What was written to whom?") }}</h1>
        <p class="quiet">
          {{
            $gettext(
              "Every letter is kept here, as a file that every mail program opens, and goes by mail to those who want it.",
            )
          }}
        </p>
      </div>
      <button type="button" class="button" @click="load">{{ $gettext("Look again") }}</button>
    </div>
    <p v-if="problem" class="error" role="alert">{{ problem }}</p>
    <details class="own">
      <summary>{{ $gettext("What you get by mail") }}</summary>
      <MailChoice />
    </details>
    <p v-if="letters && !letters.length">{{ $gettext("No letter has been written yet.") }}</p>
    <div v-if="letters?.length" class="tables">
      <table class="table">
        <thead>
          <tr>
            <th>{{ $gettext("When") }}</th>
            <th>{{ $gettext("To") }}</th>
            <th>{{ $gettext("About") }}</th>
            <th>{{ $gettext("By mail") }}</th>
            <th>
              <span class="visually-hidden">{{ $gettext("What can be done") }}</span>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="letter in letters" :key="letter.id">
            <td>{{ when(letter.writtenAt) }}</td>
            <td>{{ letter.crew || $gettext("Inspection office") }}</td>
            <td>
              <RouterLink :to="{ path: '/corrections', query: { installation: letter.installationId } }">
                {{ letter.subject }}
              </RouterLink>
            </td>
            <td>
              <span
                v-for="delivery in letter.deliveries"
                :key="delivery.to"
                class="fate"
                :class="{ error: delivery.state === 'FAILED' }"
                >{{ fate(delivery) }}</span
              >
              <span v-if="!letter.deliveries.length" class="quiet">{{ $gettext("to nobody") }}</span>
            </td>
            <td>
              <a class="button" :href="at('/api/letters/{id}', { path: { id: letter.id } })" download>{{
                $gettext("Open")
              }}</a>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <section v-if="arrived.length" :aria-label="$gettext('What the mail stand-in got')">
      <h2>{{ $gettext("What the mail stand-in got") }}</h2>
      <p class="quiet">
        {{
          $gettext(
            "The demo sends no mail to the world: a stand-in on this machine takes it, and shows it here since the start.",
          )
        }}
      </p>
      <details v-for="(letter, index) in arrived" :key="arrived.length - index" class="arrived">
        <summary>
          <strong>{{ letter.subject }}</strong>
          <span class="quiet">{{
            $gettext("to %{to}, %{when}", { to: letter.to, when: when(letter.sentAt) })
          }}</span>
        </summary>
        <p class="quiet">{{ $gettext("from %{from}", { from: letter.from }) }}</p>
        <pre>{{ letter.words }}</pre>
      </details>
    </section>
  </div>
</template>

<style scoped>
.own {
  margin: 12px 0;
}

summary {
  min-height: 44px;
  padding: 10px 0;
  cursor: pointer;
}

.fate {
  display: block;
}

.arrived {
  border-top: 1px solid var(--hair);
}

.arrived summary .quiet {
  margin-left: 12px;
}

section {
  margin-top: 28px;
}

section > .quiet {
  margin-bottom: 12px;
}

pre {
  margin: 8px 0 16px;
  font: inherit;
  white-space: pre-wrap;
  overflow-wrap: anywhere;
}
</style>
