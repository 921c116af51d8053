<script setup lang="ts">
import { $gettext } from "../language/language";
import { useResizeObserver } from "@vueuse/core";
import { computed, onBeforeUnmount, onMounted, ref, watch } from "vue";
import { useRouter } from "vue-router";
import { at } from "../api/address";
import { api, type Schemas } from "../api/client";
import { sentence } from "../api/problems";
import { useKeys } from "../frame/useKeys";
import { usePlaces } from "../frame/usePlaces";
import { useUnits } from "../frame/useUnits";
import DrawingFigure from "../shown/figures/DrawingFigure.vue";
import UnitTabs from "../shown/figures/UnitTabs.vue";
import { useLive } from "../shown/useLive";
import { useBench } from "./useBench";

/** A station's curves, one at a time: near or far, beside another, and told at every moment. */
const props = defineProps<{ id: string; station: string; component?: string }>();
const router = useRouter();
const { heading } = usePlaces();
const { ofBook } = useUnits();

const curves = ref<Schemas["CurveView"][]>([]);
const listProblem = ref("");
const installation = ref<Schemas["InstallationView"]>();
const chosen = computed({
  get: () => props.component ?? curves.value[0]?.component ?? "",
  set: (component) =>
    void router.replace({ params: { id: props.id, station: props.station }, query: { component } }),
});
const bench = useBench(() => ({
  id: props.id,
  station: props.station,
  component: chosen.value || undefined,
}));
const {
  room,
  options,
  choose,
  beside,
  cursor,
  chart,
  problem,
  zoomed,
  zoom,
  pan,
  whole,
  look,
  later,
  earlier,
} = bench;

async function list() {
  try {
    const path = { id: props.id, station: props.station };
    [curves.value, installation.value] = await Promise.all([
      api.get(at("/api/installations/{id}/stations/{station}/curves", { path })),
      api.get(at("/api/installations/{id}", { path: { id: props.id } })),
    ]);
    ofBook.value = installation.value.display;
    heading.value = {
      title: installation.value.title,
      detail: installation.value.building,
      counts: "",
    };
  } catch (thrown) {
    listProblem.value = sentence(thrown);
  }
}
const { follow } = useLive();
let unfollow = () => {};
watch(
  () => props.id,
  (id) => {
    unfollow();
    void list();
    unfollow = follow(id, () => void list().then(look));
  },
  { immediate: true },
);
onBeforeUnmount(() => {
  unfollow();
  heading.value = undefined;
});

const OPTIONS = {
  EVEN_SCALE: { label: $gettext("Even scale"), title: $gettext("Even steps, or powers of ten (l)") },
  OTHER_SCHOOLS: {
    label: $gettext("Other schools"),
    title: $gettext("Limits of the schools that were not chosen (o)"),
  },
};

const others = computed(() => curves.value.filter((each) => each.component !== chosen.value));

const box = ref<HTMLElement>();
const figure = ref<InstanceType<typeof DrawingFigure>>();
function measure() {
  const element = box.value;
  if (element?.clientWidth) {
    const width = Math.min(2000, Math.max(240, element.clientWidth));
    room.value = { width, height: Math.min(2000, Math.max(220, element.clientHeight)) };
  }
}
onMounted(measure);
useResizeObserver(box, measure);

/** Where a pointer is, as a share of what is shown. */
function share(event: MouseEvent): number {
  return Math.max(0, Math.min(1, figure.value?.place(event)[0] ?? 0));
}

let held: number | undefined;
function press(event: PointerEvent) {
  held = share(event);
  cursor.value = held;
}
function move(event: PointerEvent) {
  const now = share(event);
  if (held !== undefined && event.buttons && zoomed.value) {
    pan(held - now);
    held = now;
  } else if (event.pointerType === "mouse" || event.buttons) {
    cursor.value = now;
  }
}
function wheel(event: WheelEvent) {
  zoom(event.deltaY < 0, share(event));
}

const CURSOR_STEP = 0.02;
function moveCursor(by: number) {
  cursor.value = Math.max(0, Math.min(1, (cursor.value ?? 0.5) + by));
}

useKeys({
  "+": () => zoom(true),
  "-": () => zoom(false),
  "0": whole,
  l: () => choose("EVEN_SCALE"),
  o: () => choose("OTHER_SCHOOLS"),
  ArrowRight: () => moveCursor(CURSOR_STEP),
  ArrowLeft: () => moveCursor(-CURSOR_STEP),
  "]": later,
  "[": earlier,
});
</script>

<template>
  <div class="bench">
    <div class="head">
      <h1>{{ chart?.sentence ?? $gettext("Curve") }}</h1>
      <RouterLink class="button" :to="`/installations/${id}/${station}`">{{
        $gettext("Back to the station")
      }}</RouterLink>
    </div>
    <p v-if="listProblem || problem" class="error" role="alert">{{ listProblem || problem }}</p>
    <p v-else-if="!curves.length" class="quiet">
      {{ $gettext("No curve has been taken at this station yet.") }}
    </p>
    <UnitTabs v-model="chosen" :units="curves" :label="$gettext('Whose curve')" />
    <div class="tools" role="toolbar" :aria-label="$gettext('How it is looked at')">
      <button
        type="button"
        class="button"
        :aria-label="$gettext('Nearer')"
        :title="$gettext('Nearer (+)')"
        @click="zoom(true)"
      >
        +
      </button>
      <button
        type="button"
        class="button"
        :aria-label="$gettext('Farther')"
        :title="$gettext('Farther (-)')"
        @click="zoom(false)"
      >
        −
      </button>
      <button
        type="button"
        class="button"
        :disabled="!zoomed"
        :title="$gettext('Earlier ([)')"
        @click="earlier"
      >
        {{ $gettext("Earlier") }}
      </button>
      <button type="button" class="button" :disabled="!zoomed" :title="$gettext('Later (])')" @click="later">
        {{ $gettext("Later") }}
      </button>
      <button
        type="button"
        class="button"
        :disabled="!zoomed"
        :title="$gettext('All of it (0)')"
        @click="whole"
      >
        {{ $gettext("Whole") }}
      </button>
      <button
        v-for="each in chart?.options ?? []"
        :key="each"
        type="button"
        class="button"
        :aria-pressed="options.includes(each)"
        :title="OPTIONS[each].title"
        @click="choose(each)"
      >
        {{ OPTIONS[each].label }}
      </button>
      <label v-if="others.length" class="beside">
        <span class="label">{{ $gettext("Beside") }}</span>
        <select v-model="beside" class="field">
          <option value="">{{ $gettext("nothing") }}</option>
          <option v-for="other in others" :key="other.component" :value="other.component">
            {{ other.title }}
          </option>
        </select>
      </label>
    </div>
    <div ref="box" class="sheet">
      <DrawingFigure
        v-if="chart"
        ref="figure"
        :drawing="chart.figure"
        :lit="[]"
        @pointerdown="press"
        @pointermove="move"
        @wheel.prevent="wheel"
        @dblclick="zoom(true, share($event))"
      />
    </div>
    <p v-if="chart" class="quiet caption">
      <span v-for="said in chart.figure.caption" :key="said">{{ said }}</span>
      <span>{{
        $gettext("Point at a moment for its values; drag to move, turn the wheel to come nearer.")
      }}</span>
    </p>
  </div>
</template>

<style scoped>
.bench {
  display: flex;
  flex-direction: column;
  gap: 6px;
  height: 100%;
  padding: 8px 16px;
}

.head {
  display: flex;
  gap: 12px;
  align-items: flex-start;
  justify-content: space-between;
}

h1 {
  font-size: 20px;
  line-height: 1.3;
}

.tools {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  align-items: center;
}

.tools .button {
  min-width: 44px;
  min-height: 44px;
}

.beside {
  display: flex;
  gap: 6px;
  align-items: center;
}

.sheet {
  flex: 1;
  overflow: hidden;
  min-height: 240px;
  border: 1px solid var(--hair);
  border-radius: 4px;
  background: var(--paper);
  touch-action: none;
}

.caption {
  display: flex;
  flex-wrap: wrap;
  gap: 0 16px;
  font-size: 13px;
}
</style>
