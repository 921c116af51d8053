<script setup lang="ts">
import type { Schemas } from "../api/client";

/** Two courses over each other, each over its own height and time. */
defineProps<{ overlay: Schemas["OverlayView"] }>();

function line(places: Schemas["Place"][]): string {
  return places.map(({ x, y }) => `${(x * 300).toFixed(1)},${(4 + y * 92).toFixed(1)}`).join(" ");
}
</script>

<template>
  <figure class="overlay">
    <svg
      viewBox="-4 0 308 100"
      role="img"
      :aria-label="$gettext('%{first} over %{second}', { first: overlay.firstOf, second: overlay.secondOf })"
    >
      <polyline class="second" :points="line(overlay.second)" />
      <polyline class="first" :points="line(overlay.first)" />
    </svg>
    <figcaption>
      <span class="first">{{ $gettext("%{course}, drawn through", { course: overlay.firstOf }) }}</span>
      <span class="second">{{ $gettext("%{course}, dashed", { course: overlay.secondOf }) }}</span>
    </figcaption>
  </figure>
</template>

<style scoped>
.overlay {
  margin: 10px 0;
}

svg {
  width: 100%;
  max-height: 140px;
  border-bottom: 1px solid var(--quiet);
}

polyline {
  fill: none;
  stroke-width: 1.6;
  vector-effect: non-scaling-stroke;
}

polyline.first {
  stroke: var(--lake);
}

polyline.second {
  stroke: var(--close);
  stroke-dasharray: 6 4;
  stroke-width: 3;
}

figcaption {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 18px;
}

span.first {
  color: var(--lake);
}

span.second {
  color: var(--close);
}
</style>
