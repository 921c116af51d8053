<script setup lang="ts">
import { computed } from "vue";
import LengthField from "./LengthField.vue";
import { AREAS, bounds, LINES, outline, SPOTS, stretched, withOutline, type PlanFeature } from "./plan";
import ThingFields from "./ThingFields.vue";

/** The chosen thing of the drawing by typed dimensions. */
const props = defineProps<{ feature: PlanFeature; title: string; cabinet: string }>();
const emit = defineEmits<{ change: [feature: PlanFeature]; remove: [] }>();

const unit = computed(() => props.feature.properties.kind === "unit");
const spot = computed(() => props.feature.geometry.type === "Point");
const box = computed(() => bounds(outline(props.feature)));
const kinds = computed(() =>
  props.feature.geometry.type === "Polygon"
    ? AREAS
    : props.feature.geometry.type === "LineString"
      ? [...LINES, "obstacle", "wall"]
      : SPOTS,
);

function place(left: number, low: number) {
  const dx = left - box.value.left;
  const dy = low - box.value.low;
  emit(
    "change",
    withOutline(
      props.feature,
      outline(props.feature).map(([x, y]) => [x + dx, y + dy]),
    ),
  );
}

function stretch(width: number, height: number) {
  emit("change", stretched(props.feature, { left: box.value.left, low: box.value.low, width, height }));
}

function set(properties: Partial<PlanFeature["properties"]>) {
  emit("change", { ...props.feature, properties: { ...props.feature.properties, ...properties } });
}

function turn() {
  set({ facing: ((props.feature.properties.facing ?? 0) + 90) % 360 });
}
</script>

<template>
  <section class="panel" :aria-label="$gettext('Chosen: %{title}', { title })">
    <div class="head">
      <h2>{{ title }}</h2>
      <button type="button" class="button" @click="emit('remove')">{{ $gettext("Remove") }}</button>
    </div>
    <div class="fields">
      <ThingFields
        v-if="!unit"
        :title="feature.properties.title"
        :kind="feature.properties.kind"
        :kinds="kinds"
        @change="set"
      />
      <LengthField
        :label="spot ? $gettext('From the left') : $gettext('Left edge')"
        :model-value="box.left"
        @update:model-value="(v) => place(v ?? 0, box.low)"
      />
      <LengthField
        :label="spot ? $gettext('Up the sheet') : $gettext('Lower edge')"
        :model-value="box.low"
        @update:model-value="(v) => place(box.left, v ?? 0)"
      />
      <template v-if="!spot">
        <LengthField
          :label="$gettext('Across')"
          :model-value="box.right - box.left"
          @update:model-value="(v) => stretch(v ?? 0, box.high - box.low)"
        />
        <LengthField
          :label="$gettext('Up the sheet')"
          :model-value="box.high - box.low"
          @update:model-value="(v) => stretch(box.right - box.left, v ?? 0)"
        />
      </template>
      <template v-if="unit">
        <LengthField
          :label="$gettext('Base over datum')"
          :model-value="feature.properties.base ?? 0"
          @update:model-value="(v) => set({ base: v ?? 0 })"
        />
        <div class="turn">
          <span class="label">{{
            $gettext("Front faces %{facing}°", { facing: feature.properties.facing ?? 0 })
          }}</span>
          <button type="button" class="button" @click="turn">{{ $gettext("Turn a quarter") }}</button>
        </div>
        <p v-if="cabinet" class="quiet wide">{{ $gettext("Cabinet %{cabinet}", { cabinet }) }}</p>
      </template>
      <template v-else>
        <LengthField
          :label="$gettext('Bottom, height')"
          :model-value="feature.properties.bottom ?? 0"
          @update:model-value="(v) => set({ bottom: v ?? 0 })"
        />
        <LengthField
          :label="$gettext('Top, height')"
          :model-value="feature.properties.top ?? 0"
          @update:model-value="(v) => set({ top: v ?? 0 })"
        />
      </template>
    </div>
  </section>
</template>

<style scoped>
.head {
  display: flex;
  gap: 8px;
  align-items: center;
  justify-content: space-between;
  margin-bottom: 6px;
}

.fields {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 6px 8px;
}

.fields :deep(.wide) {
  grid-column: 1 / -1;
}

.turn {
  display: grid;
  gap: 2px;
}
</style>
