<script setup lang="ts">
import type { Laid } from "./labels";

/** Words where they were laid; nothing where there was no room for them. */
defineProps<{ laid?: Laid }>();
</script>

<template>
  <text v-if="laid" :x="laid.x" :y="laid.y" :style="{ textAnchor: laid.anchor }">{{ laid.text }}</text>
</template>
