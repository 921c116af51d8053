<script setup lang="ts">
import type { Schemas } from "../api/client";

/** What was to be expected, as a band, and what the record claims, as a mark on the same scale. */
defineProps<{ band: Schemas["BandView"]; doubtful: boolean }>();

function percent(share: number): string {
  return `${(share * 100).toFixed(2)}%`;
}
</script>

<template>
  <figure class="band">
    <div class="scale" aria-hidden="true">
      <div class="expected" :style="{ left: percent(band.from), width: percent(band.to - band.from) }"></div>
      <div class="claim" :class="{ doubtful }" :style="{ left: percent(band.at) }"></div>
    </div>
    <figcaption>
      <span>
        {{ $gettext("expected") }}
        <span class="mono">{{
          band.low && band.high
            ? $gettext("%{low} to %{high}", { low: band.low, high: band.high })
            : band.low
              ? $gettext("%{low} or more", { low: band.low })
              : $gettext("%{high} or less", { high: band.high ?? "" })
        }}</span>
      </span>
      <span>
        {{ $gettext("claimed") }} <strong class="mono" :class="{ doubtful }">{{ band.claimed }}</strong>
      </span>
    </figcaption>
  </figure>
</template>

<style scoped>
.band {
  margin: 10px 0;
}

.scale {
  position: relative;
  height: 26px;
  border-bottom: 1px solid var(--quiet);
}

.expected {
  position: absolute;
  top: 6px;
  bottom: 0;
  min-width: 3px;
  background: var(--permitted);
}

.claim {
  position: absolute;
  top: 0;
  bottom: -4px;
  width: 3px;
  margin-left: -1px;
  background: var(--ink);
}

.claim.doubtful {
  background: var(--close);
}

figcaption {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 18px;
  justify-content: space-between;
  padding-top: 6px;
}

strong.doubtful {
  color: var(--close);
}
</style>
