<script setup lang="ts">
import { $gettext } from "../language/language";
import { useSessionStorage } from "@vueuse/core";
import { computed, watch } from "vue";
import { useRoute } from "vue-router";
import { at } from "../api/address";
import { sentence } from "../api/problems";
import { notice } from "./notice";
import { signal } from "./signal";
import { clock, useHolds, type Hold } from "./useHolds";

/** At the foot of every page: what is being held, how long still, and what may be done meanwhile. */
const route = useRoute();
const { holds, here, look, end, lasting, left, over, asked, pressing, follow } = useHolds();

follow();
watch(
  () => (route.path.startsWith("/installations/") ? String(route.params.id) : undefined),
  (id) => {
    here.value = id;
    void look();
  },
  { immediate: true },
);

/** Each is signalled once, also where the page is loaded anew. */
const told = useSessionStorage("holds-told", new Set<string>());
watch(
  () => holds.value.filter(over).map((hold) => hold.id),
  (ids) => {
    for (const id of ids.filter((each) => !told.value.has(each))) {
      const hold = holds.value.find((each) => each.id === id);
      told.value.add(id);
      if (hold) {
        signal($gettext("Held long enough"), `${hold.title}, ${hold.subject}, ${hold.installation}`);
      }
    }
  },
);

/** On the one line while it is folded: what ends first. */
const first = computed(() =>
  [...pressing.value].sort((a, b) => (left(a) ?? Infinity) - (left(b) ?? Infinity)).at(0),
);

function said(hold: Hold): string {
  const still = left(hold);
  return still === undefined
    ? $gettext("%{clock} so far", { clock: clock(lasting(hold)) })
    : still > 0
      ? $gettext("%{left} left of %{whole}", { left: clock(still), whole: clock(hold.needed ?? 0) })
      : $gettext("held long enough, %{clock}", { clock: clock(lasting(hold)) });
}

async function finish(hold: Hold, keep: boolean) {
  try {
    const lasted = await end(hold, keep);
    notice.done(
      keep
        ? $gettext("%{title}: %{lasted}, saved.", { title: hold.title, lasted })
        : $gettext("Left, nothing saved."),
    );
  } catch (thrown) {
    notice.problem(sentence(thrown));
  }
}

function calendar(hold: Hold): string {
  const path = { id: hold.installationId, hold: hold.id };
  return at("/api/installations/{id}/holds/{hold}/calendar", { path });
}
</script>

<template>
  <aside v-if="holds.length && (asked || first)" class="rail" :aria-label="$gettext('Running holds')">
    <button
      v-if="!asked && first"
      type="button"
      class="line"
      :class="{ over: over(first) }"
      aria-expanded="false"
      @click="asked = true"
    >
      <strong class="what">{{ first.title }}, {{ first.subject }}</strong>
      <strong class="mono time" role="timer">{{ said(first) }}</strong>
      <span v-if="first.installationId !== here" class="quiet where">{{ first.installation }}</span>
      <span v-else-if="first.meanwhile" class="quiet meanwhile">{{
        $gettext("meanwhile %{title}", { title: first.meanwhile.title })
      }}</span>
      <span v-if="pressing.length > 1" class="quiet">{{
        $gettext("and %{count} more", { count: pressing.length - 1 })
      }}</span>
    </button>
    <template v-if="asked">
      <div v-for="hold in holds" :key="hold.id" class="hold" :class="{ over: over(hold) }">
        <div class="words">
          <RouterLink
            class="what"
            :to="`/installations/${hold.installationId}/${hold.station}?line=${hold.point}@${hold.component}`"
          >
            {{ hold.title }}, {{ hold.subject }}
          </RouterLink>
          <span v-if="hold.installationId !== here" class="quiet where">{{ hold.installation }}</span>
          <strong class="mono time" role="timer">{{ said(hold) }}</strong>
          <span v-if="hold.power && hold.installationId === here" class="quiet power">{{ hold.power }}</span>
          <span v-if="hold.meanwhile && hold.installationId === here" class="quiet meanwhile"
            >{{ $gettext("Meanwhile") }}
            <RouterLink :to="`/installations/${hold.installationId}/${hold.meanwhile.key}`"
              >{{ hold.meanwhile.number }} {{ hold.meanwhile.title }}</RouterLink
            ></span
          >
        </div>
        <progress
          v-if="hold.needed"
          class="done"
          :max="hold.needed"
          :value="Math.min(hold.needed, lasting(hold))"
          :aria-label="$gettext('%{title}, held so far', { title: hold.title })"
        ></progress>
        <div class="acts">
          <button type="button" class="button" @click="finish(hold, true)">{{ $gettext("End") }}</button>
          <button type="button" class="button" @click="finish(hold, false)">{{ $gettext("Leave") }}</button>
          <a v-if="hold.needed" class="button" :href="calendar(hold)" download>{{ $gettext("Calendar") }}</a>
        </div>
      </div>
      <button type="button" class="button fold" aria-expanded="true" @click="asked = false">
        {{ $gettext("Fold") }}
      </button>
    </template>
  </aside>
</template>

<style scoped>
.rail {
  display: grid;
  max-height: 30vh;
  overflow: auto;
  border-top: 2px solid var(--brass);
  background: var(--paper);
}

.line {
  display: flex;
  gap: 4px 14px;
  align-items: baseline;
  width: 100%;
  min-height: 30px;
  padding: 4px 16px;
  border: 0;
  background: none;
  color: var(--ink);
  font: 13px var(--text);
  text-align: left;
  white-space: nowrap;
  cursor: pointer;
  overflow: hidden;
}

.line .what,
.line .where,
.line .meanwhile {
  overflow: hidden;
  min-width: 60px;
  text-overflow: ellipsis;
}

.line .time {
  flex: none;
}

.fold {
  justify-self: end;
  min-height: 44px;
  margin: 4px 16px;
}

.hold {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 120px auto;
  gap: 4px 14px;
  align-items: center;
  padding: 4px 16px;
}

.hold + .hold {
  border-top: 1px solid var(--hair);
}

.over {
  background: var(--lake-soft);
}

.words {
  display: flex;
  flex-wrap: wrap;
  gap: 0 14px;
  align-items: baseline;
}

.what {
  color: var(--ink);
  font-weight: 600;
}

.acts {
  display: flex;
  gap: 6px;
}

.acts .button {
  min-height: 44px;
}

.done {
  width: 100%;
  accent-color: var(--lake);
}

@media (max-width: 760px) {
  .hold {
    grid-template-columns: minmax(0, 1fr) auto;
    padding: 4px 10px;
  }

  .done,
  .power,
  .acts a {
    display: none;
  }
}
</style>
