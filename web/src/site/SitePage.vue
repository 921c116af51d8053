<script setup lang="ts">
import { $gettext } from "../language/language";
import { computed, onBeforeUnmount, ref, toRef, watch, watchEffect } from "vue";
import { useKeys } from "../frame/useKeys";
import { usePlaces } from "../frame/usePlaces";
import { when } from "../frame/when";
import { outdoors, thingWord, words } from "../words/words";
import DrawingFigure from "../shown/figures/DrawingFigure.vue";
import DrawnVerdicts from "./DrawnVerdicts.vue";
import FeaturePanel from "./FeaturePanel.vue";
import LengthField from "./LengthField.vue";
import {
  begun,
  freeId,
  KINDS,
  outline,
  placed,
  snapped,
  withOutline,
  type Plan,
  type PlanFeature,
  type Position,
  type Wall,
} from "./plan";
import SiteBar from "./SiteBar.vue";
import { cornersOf, useDrag } from "./useDrag";
import { useRoom } from "./useRoom";
import { useSite } from "./useSite";
import { useView } from "./useView";
import WallEditor from "./WallEditor.vue";

const props = defineProps<{ id: string }>();
const site = useSite(toRef(props, "id"));
const { installation, plan, view, judgements, problem, clash, takenUp, sizes } = site;
const { heading } = usePlaces();

const PLAN = "plan";

const tab = ref("");
const chosen = ref("");
const adding = ref("obstacle");
const mayTurn = ref(false);
const whole = ref(false);
const drawing = ref<InstanceType<typeof DrawingFigure>>();
const canvas = ref<HTMLElement>();

watchEffect(() => {
  const facts = installation.value;
  heading.value = facts && {
    title: facts.title,
    detail: $gettext("%{building} · site drawing", { building: facts.building }),
    counts: "",
  };
});
onBeforeUnmount(() => (heading.value = undefined));

const outdoor = computed(() => installation.value?.components.filter((c) => outdoors(c.kind)) ?? []);
const indoor = computed(() => sizes.value.filter((s) => !s.outdoor));
const tabs = computed(() => [
  { component: PLAN, title: $gettext("Plan") },
  ...indoor.value.map((s) => ({
    component: s.component,
    title: $gettext("Wall of %{title}", { title: s.title }),
  })),
]);
const feature = computed(() => plan.value.features.find((f) => f.id === chosen.value));
const unplaced = computed(() => outdoor.value.filter((c) => !plan.value.features.some((f) => f.id === c.id)));
const wallOf = computed(() => (tab.value && tab.value !== PLAN ? tab.value : undefined));
const wallSize = computed(() => indoor.value.find((s) => s.component === wallOf.value));
const wall = computed(() => plan.value.undanus.walls.find((w) => w.component === wallOf.value));

function titleOf(id: string): string {
  return (
    outdoor.value.find((c) => c.id === id)?.title ??
    (feature.value?.properties.title || thingWord(feature.value?.properties.kind ?? ""))
  );
}

function sizeOf(id: string) {
  return sizes.value.find((s) => s.component === id) ?? { width: 0.8, depth: 0.35 };
}

const corners = (f: PlanFeature) => cornersOf(f, sizeOf(f.id));
const drag = useDrag(site, canvas, (event: PointerEvent) => drawing.value?.place(event) ?? [0, 0], corners);

const seen = useView(
  () => view.value?.figure?.measure,
  (event) => drawing.value?.place(event) ?? [0, 0],
);

function moved(event: PointerEvent) {
  drag.move(event);
  seen.move(event, !!drag.held.value);
}

function dropped(event: PointerEvent) {
  drag.drop();
  seen.up(event);
}

function wholeSite() {
  seen.reset();
  whole.value = !whole.value;
}

function grab(id: string, event: PointerEvent, corner?: number) {
  chosen.value = id;
  drag.grab(id, event, corner);
}

const room = useRoom(canvas);

/** While something is dragged the sheet stays where it is. */
watch([room, wallOf, chosen, mayTurn, whole, drag.held, seen.view], () => {
  const measure = view.value?.figure?.measure;
  const held = drag.held.value && measure;
  site.look.value = {
    ...room.value,
    wall: wallOf.value,
    chosen: chosen.value,
    mayTurn: mayTurn.value,
    whole: whole.value,
    view: held ? [held.left, held.low, held.right, held.high] : seen.view.value,
  };
});

function middle(): Position {
  const m = view.value?.figure?.measure;
  return m ? [snapped((m.left + m.right) / 2, [], 0), snapped((m.low + m.high) / 2, [], 0)] : [0, 0];
}

function add() {
  const id = freeId(plan.value, adding.value);
  site.change(site.withFeature(id, begun(adding.value, id, middle())));
  chosen.value = id;
}

function placeUnit(component: string) {
  site.change(site.withFeature(component, placed(component, middle())));
  chosen.value = component;
}

/** What is drawn here and not laid out yet, over what is. */
const outlined = computed(() => {
  const f = feature.value;
  return f && f.geometry.type !== "Point" ? outline(f) : [];
});

function remove() {
  site.change(site.withFeature(chosen.value, undefined));
  chosen.value = "";
}

function doTheMove() {
  const moves = view.value?.cure?.moves ?? [];
  const features = plan.value.features.map((f) => {
    const to = moves.find((m) => m.component === f.id);
    return to
      ? {
          ...withOutline(f, [[to.x, to.y]]),
          properties: { ...f.properties, facing: to.facing },
        }
      : f;
  });
  site.change({ ...plan.value, features });
}

function mark(values: Partial<Plan["undanus"]>) {
  site.change({ ...plan.value, undanus: { ...plan.value.undanus, ...values } });
}

let wallBefore: Plan | undefined;
function changeWall(next: Wall, settled: boolean) {
  wallBefore ??= plan.value;
  site.change(site.withWall(next), settled ? wallBefore : null);
  if (settled) {
    wallBefore = undefined;
  }
}

/** The unit looked at; empty where it is none. */
const unit = computed(() => {
  const looked = wallOf.value ?? chosen.value;
  return installation.value?.components.some((c) => c.id === looked) ? looked : "";
});

useKeys({ z: () => site.undo() });
</script>

<template>
  <div class="site-page">
    <h1 class="visually-hidden">{{ $gettext("Where does everything stand?") }}</h1>
    <SiteBar :id="id" v-model="tab" :site="site" :tabs="tabs" />
    <div v-if="problem" class="problem" role="alert">
      <span class="error">{{ problem }}</span>
      <button v-if="clash" type="button" class="button" @click="site.giveUp()">
        {{ $gettext("Take theirs") }}
      </button>
    </div>
    <p v-if="takenUp" class="problem" role="status">
      <span>{{
        $gettext("Restored: drawn here %{takenUp} and not saved.", { takenUp: when(takenUp) })
      }}</span>
      <button type="button" class="button" @click="site.giveUp()">
        {{ $gettext("Revert to what is saved") }}
      </button>
    </p>
    <div v-if="installation" class="body">
      <div class="sheet">
        <template v-if="!wallOf">
          <div
            ref="canvas"
            class="canvas"
            @pointerdown="seen.down"
            @pointermove="moved"
            @pointerup="dropped"
            @pointercancel="dropped"
            @wheel="seen.wheel"
          >
            <p v-if="!plan.features.length" class="empty">
              {{
                $gettext(
                  "Nothing is drawn yet. Add the house wall and what stands near, then place the unit; distances are judged as you drag.",
                )
              }}
            </p>
            <DrawingFigure
              v-if="view?.figure"
              ref="drawing"
              v-slot="{ onSheet }"
              :drawing="view.figure"
              :lit="[chosen]"
              @grab="(thing, event) => grab(thing, event)"
            >
              <polygon
                v-if="feature && drag.held.value"
                class="held"
                :points="
                  corners(feature)
                    .map(([x, y]) => onSheet(x, y))
                    .map(({ x, y }) => `${x},${y}`)
                    .join(' ')
                "
              />
              <circle
                v-for="(corner, index) in outlined"
                :key="index"
                :cx="onSheet(...corner).x"
                :cy="onSheet(...corner).y"
                r="9"
                class="corner"
                @pointerdown.stop="grab(chosen, $event, index)"
              />
            </DrawingFigure>
          </div>
          <div class="adds">
            <select v-model="adding" class="field" :aria-label="$gettext('What to add')">
              <option v-for="kind in KINDS" :key="kind" :value="kind">{{ thingWord(kind) }}</option>
            </select>
            <button type="button" class="button" @click="add">{{ $gettext("Add") }}</button>
            <button type="button" class="button" :aria-label="$gettext('Closer')" @click="seen.closer()">
              +
            </button>
            <button type="button" class="button" :aria-label="$gettext('Farther')" @click="seen.farther()">
              −
            </button>
            <button type="button" class="button" :aria-pressed="whole" @click="wholeSite()">
              {{ whole ? $gettext("What stands there") : $gettext("Whole site") }}
            </button>
            <button v-if="feature" type="button" class="button" @click="seen.onto(corners(feature))">
              {{ feature.properties.kind === "unit" ? $gettext("This unit") : $gettext("This thing") }}
            </button>
            <button v-if="seen.zoomed.value" type="button" class="button" @click="seen.reset()">
              {{ $gettext("Fit") }}
            </button>
            <button
              v-for="component in unplaced"
              :key="component.id"
              type="button"
              class="button"
              @click="placeUnit(component.id)"
            >
              {{ $gettext("Place %{title}", { title: component.title }) }}
            </button>
          </div>
        </template>
        <WallEditor
          v-if="wallSize"
          :wall="wall"
          :unit="wallSize"
          :figure="view?.figure"
          @change="changeWall"
        />
      </div>
      <aside>
        <section v-if="view?.cure && !wallOf" class="cure">
          <p role="status">{{ view.cure.sentence }}</p>
          <label
            ><input v-model="mayTurn" type="checkbox" />
            {{ $gettext("Units may be turned by quarter turns") }}</label
          >
          <button v-if="view.cure.moves.length" type="button" class="button" @click="doTheMove">
            {{ $gettext("Do this move") }}
          </button>
        </section>
        <p v-for="overlap in view?.overlaps" :key="overlap" class="error" role="alert">{{ overlap }}</p>
        <FeaturePanel
          v-if="feature && !wallOf"
          :feature="feature"
          :title="titleOf(feature.id)"
          :cabinet="sizes.find((s) => s.component === feature?.id)?.cabinet ?? ''"
          @change="site.change(site.withFeature(chosen, $event))"
          @remove="remove"
        />
        <p v-if="view?.near.length && !wallOf" class="near">
          <span v-for="each in view.near" :key="each.name"
            ><strong class="mono">{{ each.distance }}</strong>
            {{ $gettext("from %{name}", { name: each.name }) }}</span
          >
        </p>
        <p v-if="!feature && !wallOf" class="quiet">
          {{
            $gettext(
              "Drag things, or tap one to type its dimensions. Edges snap to each other and to whole centimetres.",
            )
          }}
        </p>
        <DrawnVerdicts :judgements="judgements" :unit="unit" />
        <section class="how">
          <label>
            <span class="label">{{ $gettext("How it is known") }}</span>
            <select
              class="field"
              :value="plan.undanus.grade"
              @change="mark({ grade: ($event.target as HTMLSelectElement).value })"
            >
              <option v-for="grade in words.grades" :key="grade.id">{{ grade.title.toLowerCase() }}</option>
            </select>
          </label>
          <LengthField
            :label="$gettext('Right to within ±')"
            optional
            :model-value="plan.undanus.accuracy"
            @update:model-value="(v) => mark({ accuracy: v })"
          />
        </section>
      </aside>
    </div>
  </div>
</template>

<style scoped>
.site-page {
  display: flex;
  flex-direction: column;
  height: 100%;
  padding: 8px 16px;
}

.problem {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
  padding-bottom: 8px;
}

.body {
  display: grid;
  flex: 1;
  grid-template-columns: minmax(0, 1fr) 320px;
  gap: 14px;
  min-height: 0;
}

.sheet {
  display: flex;
  flex-direction: column;
  gap: 8px;
  min-height: 0;
  overflow: auto;
}

.canvas {
  flex: 1;
  min-height: 260px;
  border: 1px solid var(--hair);
  background: var(--paper);
  overflow: hidden;
  touch-action: none;
  user-select: none;
}

.empty {
  max-width: 420px;
  padding: 24px 16px;
}

.held {
  fill: none;
  stroke: var(--lake);
  stroke-width: 2;
  pointer-events: none;
}

.corner {
  fill: var(--paper);
  stroke: var(--lake);
  stroke-width: 2;
  cursor: move;
}

.adds {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}

.adds .field {
  width: auto;
}

aside {
  display: flex;
  flex-direction: column;
  gap: 12px;
  overflow: auto;
}

.cure {
  display: grid;
  gap: 6px;
  padding: 10px;
  border: 1px solid var(--lake);
  border-radius: 4px;
  background: var(--lake-soft);
}

.near {
  display: grid;
  gap: 2px;
}

.how {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px;
  margin-top: auto;
}

@media (max-width: 900px) {
  .site-page {
    height: auto;
    padding: 8px 10px;
  }

  .body {
    grid-template-columns: 1fr;
  }

  .canvas {
    height: 62vh;
    min-height: 340px;
  }
}
</style>
