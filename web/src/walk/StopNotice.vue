<script setup lang="ts">
import { nextTick, onMounted, ref } from "vue";
import type { Schemas } from "../api/client";
import { sentence } from "../api/problems";

/** Over everything: leave. It goes only when a person says why it is safe again. */
const props = defineProps<{
  notice: Schemas["NoticeView"];
  /** Whether this person may take it down. */
  inspects: boolean;
  takeDown: (notice: string, reason: string) => Promise<void>;
}>();

const reason = ref("");
const problem = ref("");
const panel = ref<HTMLElement>();

async function down() {
  problem.value = "";
  try {
    await props.takeDown(props.notice.id, reason.value);
  } catch (thrown) {
    problem.value = sentence(thrown);
  }
}

onMounted(async () => {
  await nextTick();
  panel.value?.focus();
});
</script>

<template>
  <div class="over">
    <div
      ref="panel"
      class="panel"
      role="alertdialog"
      aria-modal="true"
      aria-labelledby="stop-title"
      aria-describedby="stop-orders"
      tabindex="-1"
    >
      <h2 id="stop-title">{{ $gettext("STOP. Everybody leaves.") }}</h2>
      <p id="stop-orders" class="orders">{{ notice.orders }}</p>
      <p>{{ notice.title }}: {{ notice.finding }}</p>
      <p class="quiet">
        {{
          $gettext("Read by %{raisedBy}, %{time}. The reading stays.", {
            raisedBy: notice.raisedBy,
            time: new Date(notice.raisedAt).toLocaleTimeString(),
          })
        }}
      </p>
      <form v-if="inspects" class="down" @submit.prevent="down()">
        <label for="stop-reason">{{ $gettext("Why it is safe again, and who said so") }}</label>
        <textarea id="stop-reason" v-model="reason" class="field" rows="2" maxlength="400" required />
        <p v-if="problem" class="error" role="alert">{{ problem }}</p>
        <button type="submit" class="button" :disabled="!reason.trim()">
          {{ $gettext("Take this notice down") }}
        </button>
      </form>
      <p v-else>{{ $gettext("The inspection office takes this notice down.") }}</p>
    </div>
  </div>
</template>

<style scoped>
.over {
  position: fixed;
  z-index: 3000;
  inset: 0;
  display: grid;
  overflow: auto;
  padding: 16px;
  background: rgb(60 0 0 / 72%);
  place-items: center;
}

.panel {
  width: min(640px, 100%);
  padding: 20px 24px;
  border: 6px solid var(--fails);
  border-radius: 6px;
  background: var(--paper);
  color: var(--ink);
}

h2 {
  margin: 0 0 10px;
  color: var(--fails);
  font-size: 26px;
}

.orders {
  font-size: 19px;
  font-weight: 650;
}

p {
  margin: 8px 0;
}

.down {
  display: grid;
  gap: 6px;
  margin-top: 16px;
  padding-top: 12px;
  border-top: 1px solid var(--hair);
}

textarea {
  width: 100%;
  height: auto;
  padding: 8px;
}
</style>
