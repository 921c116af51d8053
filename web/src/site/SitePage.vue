<script setup lang="ts">
import { computed, onBeforeUnmount, ref, toRef, watchEffect } from "vue";
import type { Schemas } from "../api/client";
import { notice } from "../frame/notice";
import { useKeys } from "../frame/useKeys";
import { usePlaces } from "../frame/usePlaces";
import { when } from "../frame/when";
import VerdictMark from "../walk/VerdictMark.vue";
import UnitTabs from "../walk/figures/UnitTabs.vue";
import { ORDER } from "../walk/verdicts";
import FeaturePanel from "./FeaturePanel.vue";
import LengthField from "./LengthField.vue";
import {
  AREAS,
  bounds,
  cabinet,
  framed,
  freeId,
  inWords,
  KINDS,
  LINES,
  moved,
  outline,
  snapped,
  withOutline,
  type Plan,
  type PlanFeature,
  type Position,
  type Wall,
} from "./plan";
import PlanSvg from "./PlanSvg.vue";
import { useSite } from "./useSite";
import WallEditor from "./WallEditor.vue";

const props = defineProps<{ id: string }>();
const site = useSite(toRef(props, "id"));
const { installation, plan, view, judgements, problem, clash, past, unsaved, takenUp, sizes } = site;
const { heading } = usePlaces();

const PLAN = "plan";
const NEAR_METRES = 0.06;
const GRADES = ["witnessed", "logged", "recorded", "stated"];

const tab = ref("");
const chosen = ref("");
const adding = ref("obstacle");
const mayTurn = ref(false);
const drawing = ref<InstanceType<typeof PlanSvg>>();
const canvas = ref<HTMLElement>();

watchEffect(() => {
  const facts = installation.value;
  heading.value = facts && { title: facts.title, detail: `${facts.building} · site drawing`, counts: "" };
});
onBeforeUnmount(() => (heading.value = undefined));

const outdoor = computed(() => installation.value?.components.filter((c) => c.kind === "OUTDOOR") ?? []);
const indoor = computed(() => sizes.value.filter((s) => !s.outdoor));
const tabs = computed(() => [
  { component: PLAN, title: "Plan" },
  ...indoor.value.map((s) => ({ component: s.component, title: `Wall of ${s.title}` })),
]);
const feature = computed(() => plan.value.features.find((f) => f.id === chosen.value));
const unplaced = computed(() => outdoor.value.filter((c) => !plan.value.features.some((f) => f.id === c.id)));
const cure = computed(() => (mayTurn.value ? view.value?.turnedCure : view.value?.cure));
const wallSize = computed(() => indoor.value.find((s) => s.component === tab.value));
const drawnWall = computed(() => plan.value.undanus.walls.find((w) => w.component === tab.value));
const wall = computed(
  (): Wall | undefined =>
    drawnWall.value ??
    (wallSize.value && {
      component: tab.value,
      width: 4,
      ceiling: 2.6,
      left: 1.5,
      underside: 2,
      items: [],
    }),
);

function titleOf(id: string): string {
  return (
    outdoor.value.find((c) => c.id === id)?.title ??
    (feature.value?.properties.title || inWords(feature.value?.properties.kind ?? ""))
  );
}

function sizeOf(id: string) {
  const known =
    view.value?.units.find((u) => u.component === id) ?? sizes.value.find((s) => s.component === id);
  return known ? { width: known.width, depth: known.depth } : { width: 0.8, depth: 0.35 };
}

function cabinetOf(id: string): string {
  return view.value?.units.find((u) => u.component === id)?.cabinet ?? "";
}

/** What the server answered, with places and outlines as they are being drawn. */
const shown = computed((): Schemas["PlanView"] | undefined => {
  const answered = view.value;
  const features = plan.value.features
    .filter((f) => f.properties.kind !== "unit")
    .map((f) => ({
      id: f.id,
      kind: f.properties.kind,
      title: f.properties.title ?? "",
      solid: answered?.features.find((known) => known.id === f.id)?.solid ?? false,
      closed: f.geometry.type === "Polygon",
      points: outline(f).map(([x, y]) => ({ x, y })),
    }));
  const units = plan.value.features
    .filter((f) => f.properties.kind === "unit")
    .map((f) => ({
      component: f.id,
      title: outdoor.value.find((c) => c.id === f.id)?.title ?? f.id,
      x: outline(f)[0]?.[0] ?? 0,
      y: outline(f)[0]?.[1] ?? 0,
      facing: f.properties.facing ?? 0,
      ...sizeOf(f.id),
      cabinet: cabinetOf(f.id),
      verdict: answered?.units.find((u) => u.component === f.id)?.verdict ?? ("NOT_SHOWN" as const),
    }));
  const none = { outcome: "NO_AREA" as const, sentence: "", moves: [] };
  return {
    features,
    units,
    distances: answered?.distances ?? [],
    overlaps: answered?.overlaps ?? [],
    hung: answered?.hung ?? [],
    cure: answered?.cure ?? none,
    turnedCure: answered?.turnedCure ?? none,
  };
});

/** Kept still while something is dragged. */
const still = ref<ReturnType<typeof bounds>>();
const whole = ref(false);
const frame = computed(() => {
  if (still.value) {
    return still.value;
  }
  const all = shown.value;
  if (whole.value && all?.features.length) {
    return bounds(all.features.flatMap((f) => f.points.map((p): Position => [p.x, p.y])));
  }
  return framed(all ?? { features: [], units: [] });
});

let drag: { id: string; corner?: number; from: Position; before: Plan; feature: PlanFeature } | undefined;

function where(event: PointerEvent): Position {
  const svg = canvas.value?.querySelector("svg");
  return svg && drawing.value ? drawing.value.place(event, svg) : [0, 0];
}

function grab(id: string, event: PointerEvent, corner?: number) {
  const held = plan.value.features.find((f) => f.id === id);
  if (!held) {
    return;
  }
  chosen.value = id;
  still.value = frame.value;
  drag = { id, corner, from: where(event), before: plan.value, feature: held };
  canvas.value?.setPointerCapture(event.pointerId);
}

/** Edges of everything but the one that moves: what it may snap onto. */
function edges(id: string): { x: number[]; y: number[] } {
  const others = [
    ...plan.value.features.filter((f) => f.id !== id && f.properties.kind !== "unit").map(outline),
    ...(shown.value?.units.filter((u) => u.component !== id).map((u) => cabinet(u)) ?? []),
  ].map(bounds);
  return {
    x: others.flatMap((b) => [b.left, b.right]),
    y: others.flatMap((b) => [b.low, b.high]),
  };
}

/** How far a shape moves when one of its edges is drawn onto another. */
function pull(low: number, high: number, by: number, onto: number[]): number {
  const a = snapped(low + by, onto, NEAR_METRES) - low;
  const b = snapped(high + by, onto, NEAR_METRES) - high;
  return onto.some((o) => Math.abs(high + b - o) < 1e-9) && !onto.some((o) => Math.abs(low + a - o) < 1e-9)
    ? b
    : a;
}

function move(event: PointerEvent) {
  if (!drag) {
    return;
  }
  const held = drag;
  const [x, y] = where(event);
  const onto = edges(held.id);
  const dx = x - held.from[0];
  const dy = y - held.from[1];
  let next: PlanFeature;
  if (held.corner !== undefined) {
    const points = outline(held.feature).map((p, i): Position =>
      i === held.corner
        ? [snapped(p[0] + dx, onto.x, NEAR_METRES), snapped(p[1] + dy, onto.y, NEAR_METRES)]
        : p,
    );
    next = withOutline(held.feature, points);
  } else {
    const unit = held.feature.properties.kind === "unit";
    const [cx, cy] = outline(held.feature)[0] ?? [0, 0];
    const b = bounds(
      unit
        ? cabinet({ x: cx, y: cy, facing: held.feature.properties.facing ?? 0, ...sizeOf(held.id) })
        : outline(held.feature),
    );
    next = moved(held.feature, pull(b.left, b.right, dx, onto.x), pull(b.low, b.high, dy, onto.y));
  }
  site.change(site.withFeature(held.id, next), null);
}

function drop() {
  if (drag) {
    const before = drag.before;
    drag = undefined;
    still.value = undefined;
    if (before !== plan.value) {
      past.value = [...past.value, before];
    }
  }
}

function add() {
  const middle: Position = [
    snapped((frame.value.left + frame.value.right) / 2, [], 0),
    snapped((frame.value.low + frame.value.high) / 2, [], 0),
  ];
  const [x, y] = middle;
  const id = freeId(plan.value, adding.value);
  const properties = {
    kind: adding.value,
    title: "",
    bottom: 0,
    top: LINES.includes(adding.value) ? 2 : 1.5,
  };
  const geometry: PlanFeature["geometry"] = AREAS.includes(adding.value)
    ? {
        type: "Polygon",
        coordinates: [
          [
            [x - 0.5, y - 0.5],
            [x + 0.5, y - 0.5],
            [x + 0.5, y + 0.5],
            [x - 0.5, y + 0.5],
            [x - 0.5, y - 0.5],
          ],
        ],
      }
    : LINES.includes(adding.value)
      ? {
          type: "LineString",
          coordinates: [
            [x - 0.5, y],
            [x + 0.5, y],
          ],
        }
      : { type: "Point", coordinates: middle };
  site.change(site.withFeature(id, { type: "Feature", id, geometry, properties }));
  chosen.value = id;
}

function placeUnit(component: string) {
  const x = snapped((frame.value.left + frame.value.right) / 2, [], 0);
  const y = snapped((frame.value.low + frame.value.high) / 2, [], 0);
  site.change(
    site.withFeature(component, {
      type: "Feature",
      id: component,
      geometry: { type: "Point", coordinates: [x, y] },
      properties: { kind: "unit", facing: 270, base: 0.1 },
    }),
  );
  chosen.value = component;
}

function remove() {
  site.change(site.withFeature(chosen.value, undefined));
  chosen.value = "";
}

function doTheMove() {
  const moves = cure.value?.moves ?? [];
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

async function save() {
  if (await site.save()) {
    notice.done("The drawing is kept.");
  }
}

async function bringIn(event: Event) {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0];
  input.value = "";
  if (!file) {
    return;
  }
  let read: unknown;
  try {
    read = JSON.parse(await file.text());
  } catch {
    site.refuse("This file is not JSON. The drawing is as it was.");
    return;
  }
  await site.bring(read);
}

/** What is open as drawn, of the unit looked at or of all; what would turn out otherwise than kept comes first. */
const listed = computed(() => {
  const looked = tab.value && tab.value !== PLAN ? tab.value : chosen.value;
  const unit = installation.value?.components.some((c) => c.id === looked) ? looked : "";
  return judgements.value
    ?.filter((j) => !unit || j.key.endsWith(`@${unit}`))
    .filter((j) => j.before || (j.verdict !== "MEETS" && j.verdict !== "DOES_NOT_APPLY"))
    .sort(
      (a, b) =>
        Number(!!b.before) - Number(!!a.before) || ORDER.indexOf(a.verdict) - ORDER.indexOf(b.verdict),
    );
});

useKeys({ z: () => site.undo() });
</script>

<template>
  <div class="site-page">
    <div class="bar">
      <RouterLink class="button" :to="`/installations/${id}/siting`">Back to siting</RouterLink>
      <UnitTabs v-model="tab" :units="tabs" label="Drawing" />
      <span class="space"></span>
      <button type="button" class="button" :disabled="!past.length" @click="site.undo()">Undo</button>
      <label class="button">
        Import GeoJSON
        <input
          class="visually-hidden"
          type="file"
          accept=".geojson,.json,application/geo+json"
          @change="bringIn"
        />
      </label>
      <a class="button" :href="`${site.path.value}.geojson`" download>GeoJSON</a>
      <a class="button" :href="`${site.path.value}.svg`" download>SVG</a>
      <button type="button" class="button primary" :disabled="!unsaved" @click="save">
        Keep the drawing
      </button>
    </div>
    <div v-if="problem" class="problem" role="alert">
      <span class="error">{{ problem }}</span>
      <button v-if="clash" type="button" class="button" @click="site.giveUp()">Take theirs</button>
    </div>
    <p v-if="takenUp" class="problem" role="status">
      <span>Taken up again: drawn here {{ when(takenUp) }} and not kept.</span>
      <button type="button" class="button" @click="site.giveUp()">Back to what is kept</button>
    </p>
    <div v-if="installation" class="body">
      <div class="sheet">
        <template v-if="!tab || tab === PLAN">
          <div ref="canvas" class="canvas" @pointermove="move" @pointerup="drop" @pointercancel="drop">
            <PlanSvg
              v-if="shown"
              ref="drawing"
              v-slot="{ px, py }"
              :view="shown"
              :cure="cure"
              :chosen="chosen"
              :frame="frame"
              @grab="(item, event) => grab(item, event)"
            >
              <template v-if="feature && feature.geometry.type !== 'Point'">
                <circle
                  v-for="(corner, index) in outline(feature)"
                  :key="index"
                  :cx="px(corner[0])"
                  :cy="py(corner[1])"
                  r="9"
                  class="corner"
                  @pointerdown.stop="grab(feature.id, $event, index)"
                />
              </template>
            </PlanSvg>
          </div>
          <div class="adds">
            <select v-model="adding" class="field" aria-label="What to add">
              <option v-for="kind in KINDS" :key="kind" :value="kind">{{ inWords(kind) }}</option>
            </select>
            <button type="button" class="button" @click="add">Add</button>
            <button type="button" class="button" :aria-pressed="whole" @click="whole = !whole">
              {{ whole ? "What stands there" : "Whole site" }}
            </button>
            <button
              v-for="component in unplaced"
              :key="component.id"
              type="button"
              class="button"
              @click="placeUnit(component.id)"
            >
              Place {{ component.title }}
            </button>
          </div>
        </template>
        <p v-if="wall && !drawnWall" class="quiet">
          This wall is not drawn yet, and not judged by. Drag the unit or type a figure to begin.
        </p>
        <WallEditor
          v-if="wall && wallSize"
          :wall="wall"
          :title="wallSize.title"
          :size="wallSize"
          :hung="view?.hung.find((h) => h.component === tab)"
          @change="changeWall"
        />
      </div>
      <aside>
        <section v-if="cure && (!tab || tab === PLAN)" class="cure">
          <p role="status">{{ cure.sentence }}</p>
          <label><input v-model="mayTurn" type="checkbox" /> Units may be turned by quarter turns</label>
          <button v-if="cure.moves.length" type="button" class="button" @click="doTheMove">
            Do this move
          </button>
        </section>
        <p v-for="overlap in shown?.overlaps" :key="overlap" class="error" role="alert">{{ overlap }}</p>
        <FeaturePanel
          v-if="feature && (!tab || tab === PLAN)"
          :feature="feature"
          :title="titleOf(feature.id)"
          :cabinet="cabinetOf(feature.id)"
          @change="site.change(site.withFeature(chosen, $event))"
          @remove="remove"
        />
        <p v-else-if="!tab || tab === PLAN" class="quiet">
          Drag things, or tap one to type its dimensions. Edges snap to each other and to whole centimetres.
        </p>
        <p v-if="!listed" class="quiet">Not judged yet.</p>
        <p v-else-if="!listed.length" class="quiet">Nothing is open here, as drawn.</p>
        <ul class="verdicts" aria-label="Judged as drawn">
          <li v-for="j in listed" :key="j.key">
            <VerdictMark :verdict="j.verdict" worded />
            <span>
              {{ j.title }}<template v-if="j.subject">, {{ j.subject }}</template>
              <span v-if="j.before" class="quiet">
                (kept: <VerdictMark :verdict="j.before" :size="12" />)</span
              >
            </span>
            <span class="quiet because">{{ j.because }}</span>
            <span v-if="j.drawn" class="quiet because">The tape stands. In the drawing: {{ j.drawn }}.</span>
          </li>
        </ul>
        <section class="how">
          <label>
            <span class="label">How it is known</span>
            <select
              class="field"
              :value="plan.undanus.grade"
              @change="mark({ grade: ($event.target as HTMLSelectElement).value })"
            >
              <option v-for="grade in GRADES" :key="grade">{{ grade }}</option>
            </select>
          </label>
          <LengthField
            label="Right to within ±"
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

.bar {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  align-items: center;
  padding-bottom: 8px;
}

.bar :deep(.tabs) {
  padding: 0;
}

.bar :deep(.tabs button) {
  min-height: 40px;
}

.space {
  flex: 1;
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

.verdicts {
  display: grid;
  gap: 6px;
  margin: 0;
  padding: 0;
  list-style: none;
  font-size: 13px;
}

.verdicts li {
  display: grid;
  gap: 1px;
  padding-bottom: 5px;
  border-bottom: 1px solid var(--hair);
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
    min-height: 340px;
  }
}
</style>
