<script setup lang="ts">
import { $gettext } from "../language/language";
import { computed, ref, watch } from "vue";
import { useRouter } from "vue-router";
import { whenSignedOut } from "../api/client";
import PasswordDialog from "../session/PasswordDialog.vue";
import FactorDialog from "../session/FactorDialog.vue";
import SessionsDialog from "../session/SessionsDialog.vue";
import { useSession } from "../session/useSession";
import CommandPalette from "../frame/CommandPalette.vue";
import HoldRail from "../frame/HoldRail.vue";
import NoticeStrip from "../frame/NoticeStrip.vue";
import ProgressLine from "../frame/ProgressLine.vue";
import { clock, useHolds } from "../frame/useHolds";
import { KEYS, useKeys, useSingleKeys } from "../frame/useKeys";
import { usePlaces } from "../frame/usePlaces";
import { useTheme } from "../frame/useTheme";
import { useUnits } from "../frame/useUnits";

const router = useRouter();
const session = useSession();
const { theme, toggle: toggleTheme } = useTheme();
const { units, toggle: toggleUnits } = useUnits();
const { heading } = usePlaces();
const { on: singleKeys, toggle: toggleSingleKeys } = useSingleKeys();

const { holds, left, lasting, asked } = useHolds();
/** The shortest time that is left of a hold; where none has a length, how long the last has run. */
const nextEnd = computed(() => {
  const rest = holds.value.flatMap((hold) => left(hold) ?? []).filter((seconds) => seconds > 0);
  const last = holds.value.at(-1);
  return rest.length ? clock(Math.min(...rest)) : last ? clock(lasting(last)) : "";
});

const leads = computed(() => session.person.value?.role === "QUALITY_LEAD");
const inspects = computed(() => session.person.value?.role !== "CREW");
const palette = ref<InstanceType<typeof CommandPalette>>();
const keysOpen = ref(false);
const menuOpen = ref(false);

whenSignedOut(() => {
  session.ended();
  void router.push({ name: "sign-in", query: { to: router.currentRoute.value.fullPath } });
});

const passwordOpen = ref(false);
const sessionsOpen = ref(false);
const factorOpen = ref(false);
watch(
  () => session.factor.value.due,
  (due) => (factorOpen.value ||= due),
  { immediate: true },
);

async function signOut() {
  await session.signOut();
  await router.push({ name: "sign-in" });
}

const PAGE = $gettext("page");
const ACTION = $gettext("action");
const actions = computed(() => [
  { title: $gettext("Register"), detail: PAGE, go: () => void router.push("/register") },
  { title: $gettext("Corrections"), detail: PAGE, go: () => void router.push("/corrections") },
  ...(inspects.value
    ? [{ title: $gettext("Crews and their records"), detail: PAGE, go: () => void router.push("/crews") }]
    : []),
  { title: $gettext("Letters"), detail: PAGE, go: () => void router.push("/letters") },
  { title: $gettext("Check a sealed file"), detail: PAGE, go: () => void router.push("/seals") },
  { title: $gettext("Rule books"), detail: PAGE, go: () => void router.push("/rule-books") },
  { title: $gettext("Data sheets"), detail: PAGE, go: () => void router.push("/data-sheets") },
  { title: $gettext("Instruments"), detail: PAGE, go: () => void router.push("/instruments") },
  { title: $gettext("Calculators"), detail: PAGE, go: () => void router.push("/calculators") },
  ...(leads.value
    ? [{ title: $gettext("People"), detail: PAGE, go: () => void router.push("/people") }]
    : []),
  { title: $gettext("Other unit system"), detail: ACTION, go: toggleUnits },
  {
    title: theme.value === "light" ? $gettext("Attic theme") : $gettext("Light theme"),
    detail: ACTION,
    go: toggleTheme,
  },
  { title: $gettext("All keys"), detail: ACTION, go: () => (keysOpen.value = true) },
  { title: $gettext("Change password"), detail: ACTION, go: () => (passwordOpen.value = true) },
  { title: $gettext("Second factor"), detail: ACTION, go: () => (factorOpen.value = true) },
  { title: $gettext("Where you are signed in"), detail: ACTION, go: () => (sessionsOpen.value = true) },
  { title: $gettext("Sign out"), detail: ACTION, go: () => void signOut() },
]);

useKeys({
  u: toggleUnits,
  "?": () => (keysOpen.value = true),
  "Ctrl K": () => void palette.value?.show(),
});

function leave() {
  menuOpen.value = false;
}
</script>

<template>
  <div class="frame">
    <ProgressLine />
    <header>
      <RouterLink class="name" to="/register">{{ $gettext("Undanus") }}</RouterLink>
      <div v-if="heading" class="heading">
        <strong>{{ heading.title }}</strong>
        <span class="quiet detail">{{ heading.detail }}</span>
        <span class="counts">{{ heading.counts }}</span>
      </div>
      <nav v-else class="heading" :aria-label="$gettext('Pages')">
        <RouterLink to="/register">{{ $gettext("Register") }}</RouterLink>
        <RouterLink to="/corrections">{{ $gettext("Corrections") }}</RouterLink>
        <RouterLink v-if="inspects" to="/crews">{{ $gettext("Crews") }}</RouterLink>
        <RouterLink to="/rule-books">{{ $gettext("Rule books") }}</RouterLink>
        <RouterLink to="/data-sheets">{{ $gettext("Data sheets") }}</RouterLink>
        <RouterLink to="/instruments">{{ $gettext("Instruments") }}</RouterLink>
        <RouterLink to="/calculators">{{ $gettext("Calculators") }}</RouterLink>
      </nav>
      <div class="tools">
        <button
          v-if="holds.length"
          type="button"
          class="button mono"
          :aria-expanded="asked"
          :aria-label="
            $ngettext(
              '%{holds} hold running, next end in %{nextEnd}',
              '%{holds} holds running, next end in %{nextEnd}',
              holds.length,
              { holds: holds.length, nextEnd },
            )
          "
          :title="
            $ngettext(
              'A hold runs; it ends in %{nextEnd}',
              '%{holds} holds run; the next ends in %{nextEnd}',
              holds.length,
              { holds: holds.length, nextEnd },
            )
          "
          @click="asked = !asked"
        >
          {{ nextEnd }}
        </button>
        <button
          type="button"
          class="button"
          :title="$gettext('%{units} units: change them (u)', { units: units() })"
          :aria-label="$gettext('%{units} units, change them', { units: units() })"
          @click="toggleUnits"
        >
          {{ units() }}<span class="wide">{{ $gettext("units") }}</span>
        </button>
        <button
          type="button"
          class="button go"
          :title="$gettext('Go to anything (Ctrl K)')"
          @click="palette?.show()"
        >
          {{ $gettext("Go to") }}<span class="key wide">{{ $gettext("Ctrl K") }}</span>
        </button>
        <button
          type="button"
          class="button menu"
          :aria-expanded="menuOpen"
          :aria-label="$gettext('Menu')"
          @click="menuOpen = !menuOpen"
        >
          <svg viewBox="0 0 16 12" width="16" height="12" aria-hidden="true">
            <path d="M0 1h16M0 6h16M0 11h16" stroke="currentColor" stroke-width="1.6" />
          </svg>
        </button>
      </div>
      <div v-if="menuOpen" class="menu-sheet" @click="leave">
        <p class="quiet">{{ session.person.value?.title }}</p>
        <RouterLink class="button" to="/register">{{ $gettext("Register") }}</RouterLink>
        <RouterLink class="button" to="/corrections">{{ $gettext("Corrections") }}</RouterLink>
        <RouterLink class="button" to="/rule-books">{{ $gettext("Rule books") }}</RouterLink>
        <RouterLink class="button" to="/data-sheets">{{ $gettext("Data sheets") }}</RouterLink>
        <RouterLink class="button" to="/instruments">{{ $gettext("Instruments") }}</RouterLink>
        <RouterLink class="button" to="/calculators">{{ $gettext("Calculators") }}</RouterLink>
        <RouterLink v-if="leads" class="button" to="/people">{{ $gettext("People") }}</RouterLink>
        <button type="button" class="button" @click="toggleTheme">
          {{ theme === "light" ? $gettext("Attic theme") : $gettext("Light theme") }}
        </button>
        <button type="button" class="button" @click="keysOpen = true">{{ $gettext("All keys") }}</button>
        <button type="button" class="button" @click="passwordOpen = true">
          {{ $gettext("Change password") }}
        </button>
        <button type="button" class="button" @click="factorOpen = true">
          {{ $gettext("Second factor") }}
        </button>
        <button type="button" class="button" @click="sessionsOpen = true">
          {{ $gettext("Where you are signed in") }}
        </button>
        <button type="button" class="button" @click="signOut">{{ $gettext("Sign out") }}</button>
      </div>
    </header>
    <main>
      <slot />
    </main>
    <NoticeStrip />
    <HoldRail />
    <PasswordDialog v-model="passwordOpen" />
    <SessionsDialog v-model="sessionsOpen" />
    <FactorDialog v-model="factorOpen" />
    <CommandPalette ref="palette" :actions="actions" />
    <el-dialog v-model="keysOpen" :title="$gettext('Keys')" width="420px">
      <button type="button" class="button" :aria-pressed="singleKeys" @click="toggleSingleKeys">
        {{ singleKeys ? $gettext("Single keys are on") : $gettext("Single keys are off") }}
      </button>
      <table class="table">
        <tbody>
          <tr v-for="item in KEYS" :key="item.key">
            <td>
              <span class="key">{{ item.key }}</span>
            </td>
            <td>{{ item.does }}</td>
          </tr>
        </tbody>
      </table>
    </el-dialog>
  </div>
</template>

<style scoped>
.frame {
  display: grid;
  grid-template: auto minmax(0, 1fr) auto auto / minmax(0, 1fr);
  height: 100%;
}

header {
  position: relative;
  display: flex;
  gap: 20px;
  align-items: center;
  min-height: 52px;
  padding: 5px 16px;
  border-bottom: 1px solid var(--hair);
  background: var(--paper);
}

.name {
  font-size: 18px;
  font-weight: 700;
  color: var(--lake);
  text-decoration: none;
}

.heading {
  display: flex;
  flex: 1;
  flex-wrap: wrap;
  gap: 0 16px;
  align-items: baseline;
  min-width: 0;
}

.heading strong {
  font-size: 16px;
}

div.heading {
  flex-wrap: nowrap;
}

.heading strong {
  flex: none;
}

.counts {
  flex: none;
  white-space: nowrap;
}

.detail {
  overflow: hidden;
  min-width: 0;
  text-overflow: ellipsis;
  white-space: nowrap;
}

nav a {
  padding: 8px 0;
  color: var(--ink);
  text-decoration: none;
}

nav a.router-link-active {
  border-bottom: 2px solid var(--lake);
  font-weight: 600;
}

.counts {
  margin-left: auto;
  color: var(--quiet);
}

.tools {
  display: flex;
  gap: 8px;
}

.menu {
  width: 44px;
  padding: 0;
}

.menu-sheet {
  position: absolute;
  z-index: 20;
  top: 100%;
  right: 12px;
  display: grid;
  gap: 6px;
  width: 220px;
  padding: 12px;
  border: 1px solid var(--hair);
  border-radius: 0 0 6px 6px;
  background: var(--paper);
}

.menu-sheet .button {
  justify-content: flex-start;
  min-height: 44px;
}

main {
  min-height: 0;
  overflow: auto;
  /* what is gone to keeps clear of the line in hand, which stands at the foot of a narrow screen */
  scroll-padding-bottom: 70px;
}

@media (max-width: 1100px) {
  header {
    gap: 12px;
  }

  nav.heading {
    gap: 0 10px;
    font-size: 14px;
  }

  .detail,
  .tools .wide {
    display: none;
  }

  div.heading strong {
    overflow: hidden;
    flex: 0 1 auto;
    min-width: 0;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
}

@media (max-width: 760px) {
  header {
    gap: 10px;
    padding: 5px 10px;
  }

  .name {
    font-size: 15px;
  }

  div.heading strong {
    display: -webkit-box;
    flex: 1;
    overflow: hidden;
    font-size: 13px;
    white-space: normal;
    line-height: 1.25;
    -webkit-box-orient: vertical;
    -webkit-line-clamp: 2;
  }

  .detail,
  .counts,
  .wide,
  .go,
  nav.heading {
    display: none;
  }

  .tools {
    margin-left: auto;
  }
}
</style>
