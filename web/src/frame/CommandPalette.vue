<script setup lang="ts">
import { useTimeoutFn } from "@vueuse/core";
import { computed, nextTick, ref, watch } from "vue";
import { useRouter } from "vue-router";
import { at } from "../api/address";
import { api, type Schemas } from "../api/client";
import { saysAll } from "./saysAll";
import { usePlaces, type Place } from "./usePlaces";

/** So many installations are offered at once. */
const FOUND = 20;
const PAUSE_MS = 200;

const props = defineProps<{ actions: Place[] }>();
const router = useRouter();
const { ofPage } = usePlaces();

const open = ref(false);
const words = ref("");
const marked = ref(0);
const installations = ref<Schemas["RegisterEntry"][]>([]);
const others = ref<Schemas["Found"][]>([]);
const input = ref<HTMLInputElement>();
let loading: Promise<void> = Promise.resolve();

const places = computed<Place[]>(() => [
  ...ofPage.value,
  ...props.actions,
  ...installations.value.map((entry) => ({
    title: `${entry.reference}  ${entry.title}`,
    detail: entry.building,
    go: () => void router.push(`/installations/${entry.id}/papers`),
  })),
]);

const found = computed(() => {
  const here = places.value.filter((place) => saysAll(words.value, place.title, place.detail));
  return [
    ...here,
    ...others.value.map(({ title, detail, address }) => ({
      title,
      detail,
      go: () => void router.push(address),
    })),
  ];
});

/** Whose lines and judgements are looked through too. */
function inHand(): string | undefined {
  const { id } = router.currentRoute.value.params;
  return typeof id === "string" && router.currentRoute.value.path.startsWith("/installations/")
    ? id
    : undefined;
}

async function show() {
  open.value = true;
  words.value = "";
  marked.value = 0;
  await nextTick();
  setTimeout(() => input.value?.focus(), 50);
  ask();
}

/** The server finds what fits; what the page itself offers is found here. */
function ask() {
  const asked = words.value;
  const wanted = asked.trim();
  loading = Promise.all([
    api.get(at("/api/installations", { query: { size: FOUND, words: wanted || undefined } })),
    wanted ? api.get(at("/api/find", { query: { words: wanted, installation: inHand() } })) : [],
  ])
    .then(([page, called]) => {
      if (asked === words.value) {
        installations.value = page.entries;
        others.value = called;
      }
    })
    .catch(() => {
      installations.value = [];
      others.value = [];
    });
}

const pause = useTimeoutFn(ask, PAUSE_MS, { immediate: false });
watch(words, () => pause.start());

/** Enter pressed before the register has answered waits for it. */
async function enter() {
  pause.stop();
  if (words.value) {
    ask();
  }
  await loading;
  choose(found.value[marked.value]);
}

function choose(place: Place | undefined) {
  if (place) {
    open.value = false;
    place.go();
  }
}

function move(by: number) {
  marked.value = Math.max(0, Math.min(found.value.length - 1, marked.value + by));
}

defineExpose({ show });
</script>

<template>
  <el-dialog v-model="open" width="560px" top="12vh" :show-close="false" :title="$gettext('Go to anything')">
    <input
      ref="input"
      v-model="words"
      class="field"
      :placeholder="$gettext('Installation, line, limit, sheet, calculator, page')"
      :aria-label="$gettext('Go to')"
      @input="marked = 0"
      @keydown.down.prevent="move(1)"
      @keydown.up.prevent="move(-1)"
      @keydown.enter.prevent="enter"
    />
    <ul>
      <li v-for="(place, index) in found.slice(0, 12)" :key="`${index} ${place.title}`">
        <button type="button" :class="{ at: index === marked }" @click="choose(place)">
          <span>{{ place.title }}</span>
          <span class="quiet">{{ place.detail }}</span>
        </button>
      </li>
      <li v-if="!found.length" class="quiet none">
        {{ $gettext("Nothing by that name. Try fewer letters.") }}
      </li>
    </ul>
  </el-dialog>
</template>

<style scoped>
ul {
  margin: 8px 0 0;
  padding: 0;
  list-style: none;
}

button {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  width: 100%;
  min-height: 40px;
  padding: 6px 10px;
  border: 0;
  border-radius: 4px;
  background: none;
  color: var(--ink);
  font: inherit;
  text-align: left;
  cursor: pointer;
}

button:hover,
.at {
  background: var(--lake-soft);
}

.none {
  padding: 10px;
}
</style>
