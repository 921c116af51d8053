<script setup lang="ts">
import { useRoute } from "vue-router";
import AppFrame from "./shell/AppFrame.vue";
import NoticeStrip from "./frame/NoticeStrip.vue";

const route = useRoute();
</script>

<template>
  <template v-if="route.meta.bare">
    <RouterView />
    <NoticeStrip />
  </template>
  <AppFrame v-else>
    <RouterView :key="String(route.params.id ?? route.name)" />
  </AppFrame>
</template>
