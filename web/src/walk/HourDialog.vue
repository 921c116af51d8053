<script setup lang="ts">
import { useAttempt } from "../api/useAttempt";
import { computed, ref, watch } from "vue";
import type { Schemas } from "../api/client";

/** What can be looked at in the time there is, and what stays open then: said before it is begun. */
const props = defineProps<{
  look: (minutes: number) => Promise<Schemas["HourView"]>;
  running: boolean;
  left: number;
}>();
const open = defineModel<boolean>({ required: true });
const emit = defineEmits<{ begin: [minutes: number]; end: [] }>();

const USUAL = 60;
const minutes = ref(USUAL);
const plan = ref<Schemas["HourView"]>();
const { busy, problem, attempt } = useAttempt();

const stations = computed(() => {
  const counts = new Map<string, number>();
  for (const line of plan.value?.lines ?? []) {
    counts.set(line.stationTitle, (counts.get(line.stationTitle) ?? 0) + 1);
  }
  return [...counts];
});

async function show() {
  await attempt(
    async () => {
      plan.value = await props.look(minutes.value);
    },
    () => {
      plan.value = undefined;
    },
  );
}

watch(open, (now) => {
  if (now) {
    minutes.value = props.running ? Math.max(0, props.left) : USUAL;
    void show();
  }
});

function begin() {
  emit("begin", minutes.value);
  open.value = false;
}

function end() {
  emit("end");
  open.value = false;
}
</script>

<template>
  <el-dialog
    v-model="open"
    :title="$gettext('What can be looked at in the time there is?')"
    width="min(520px, 94vw)"
  >
    <form class="time" @submit.prevent="show">
      <label class="label">
        {{ $gettext("Minutes") }}
        <input v-model.number="minutes" class="field mono" type="number" min="0" max="6000" step="5" />
      </label>
      <button type="submit" class="button" :disabled="busy">{{ $gettext("Plan it") }}</button>
    </form>
    <p v-if="problem" class="error" role="alert">{{ problem }}</p>
    <template v-if="plan">
      <p class="sum">
        <strong>{{
          $ngettext("%{lines} line", "%{lines} lines", plan.lines.length, { lines: plan.lines.length })
        }}</strong><template v-if="plan.confirm.length"
          >,
          {{
            $gettext("with %{confirm} of the crew's record read again", { confirm: plan.confirm.length })
          }}</template
        >:
        {{
          $gettext("about %{minutes} min for %{share} % of what is at stake.", {
            minutes: plan.minutes,
            share: Math.round(100 * plan.resolved),
          })
        }}
      </p>
      <ul v-if="stations.length">
        <li v-for="[title, count] in stations" :key="title">{{ title }}: {{ count }}</li>
      </ul>
      <p>
        <template v-if="plan.open.length || plan.unreached">
          <template v-if="plan.open.length">{{
            $gettext("Stays open: %{open}.", {
              open: plan.open
                .map((each) =>
                  $gettext("%{judgements} for %{severity}", {
                    judgements: each.judgements,
                    severity: each.severity,
                  }),
                )
                .join(", "),
            })
          }}</template>{{ " " }}
          <template v-if="plan.unreached">{{
            $gettext("%{unreached} lines are not read.", { unreached: plan.unreached })
          }}</template>
          {{ $gettext("What is not read is not shown, which is no pass.") }}
        </template>
        <template v-else>{{ $gettext("Nothing that can be decided stays open.") }}</template>
      </p>
      <details v-if="plan.hopeless.length">
        <summary>
          {{
            $ngettext(
              "%{count} line is out of sight by now: only a photo or a record from before cover shows it.",
              "%{count} lines are out of sight by now: only a photo or a record from before cover shows them.",
              plan.hopeless.length,
              { count: plan.hopeless.length },
            )
          }}
        </summary>
        <p class="quiet">{{ plan.hopeless.join("; ") }}.</p>
      </details>
      <div class="buttons">
        <button type="button" class="button primary" :disabled="busy || !plan.lines.length" @click="begin">
          {{ running ? $gettext("Go on with this plan") : $gettext("Begin") }}
        </button>
        <button v-if="running" type="button" class="button" @click="end">
          {{ $gettext("Walk the whole again") }}
        </button>
      </div>
    </template>
  </el-dialog>
</template>

<style scoped>
.time {
  display: flex;
  gap: 8px;
  align-items: flex-end;
  margin-bottom: 10px;
}

.time .field {
  width: 110px;
}

.sum {
  font-size: 15px;
}

ul {
  columns: 2;
  margin: 6px 0;
  padding-left: 18px;
}

.buttons {
  display: flex;
  gap: 8px;
  margin-top: 12px;
}

.button {
  min-height: 44px;
}
</style>
