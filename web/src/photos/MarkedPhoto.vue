<script setup lang="ts">
import { computed, ref, watch } from "vue";
import { at } from "../api/address";
import { asDrawn, type Mark, type Photo } from "./usePhotos";

/** A photo with what is drawn over it; the picture itself stays as it is. */
const props = defineProps<{ photo: Photo; /** What is being drawn now. */ draft?: Mark }>();

/** Length of an arrow's head as a share of the longer side, and half its opening in radians. */
const HEAD = 0.06;
const OPENING = 0.45;

const address = computed(() => at("/api/photos/{id}/picture", { path: { id: props.photo.id } }));
/** As the browser turns it, which the file's own width and height need not be. */
const size = ref({ width: props.photo.width, height: props.photo.height });
watch(
  address,
  (source) => {
    const picture = new Image();
    picture.onload = () => (size.value = { width: picture.naturalWidth, height: picture.naturalHeight });
    picture.src = source;
  },
  { immediate: true },
);
const marks = computed(() => [...asDrawn(props.photo).marks, ...(props.draft ? [props.draft] : [])]);

function path({ kind, x, y, toX, toY }: Mark): string {
  const { width, height } = size.value;
  const [ax, ay, bx, by] = [x * width, y * height, toX * width, toY * height];
  if (kind === "CIRCLE") {
    const radius = Math.hypot(bx - ax, by - ay);
    return `M ${ax - radius} ${ay} a ${radius} ${radius} 0 1 0 ${2 * radius} 0 a ${radius} ${radius} 0 1 0 ${-2 * radius} 0`;
  }
  const back = Math.atan2(ay - by, ax - bx);
  const head = HEAD * Math.max(width, height);
  const barb = (turn: number) =>
    `M ${bx} ${by} L ${bx + head * Math.cos(back + turn)} ${by + head * Math.sin(back + turn)}`;
  return `M ${ax} ${ay} L ${bx} ${by} ${barb(-OPENING)} ${barb(OPENING)}`;
}

const drawing = ref<SVGSVGElement>();

/** Where on the picture, as shares of its width and height. */
function place(event: PointerEvent) {
  const matrix = drawing.value?.getScreenCTM()?.inverse();
  const point = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix);
  const share = (value: number, whole: number) => Math.min(1, Math.max(0, value / whole));
  return { x: share(point.x, size.value.width), y: share(point.y, size.value.height) };
}
defineExpose({ place });
</script>

<template>
  <svg
    ref="drawing"
    :viewBox="`0 0 ${size.width} ${size.height}`"
    role="img"
    :aria-label="$gettext('Photo, enlarged')"
  >
    <image :href="address" :width="size.width" :height="size.height" />
    <g v-for="(mark, index) in marks" :key="index" class="mark">
      <path class="halo" :d="path(mark)" />
      <path class="ink" :d="path(mark)" />
    </g>
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
  height: 100%;
  user-select: none;
}

.mark path {
  fill: none;
  stroke-linecap: round;
  stroke-linejoin: round;
  vector-effect: non-scaling-stroke;
}

.halo {
  stroke: #fffefa;
  stroke-width: 7px;
}

.ink {
  stroke: #b93620;
  stroke-width: 3px;
}
</style>
