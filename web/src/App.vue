<script setup lang="ts">
import { useRoute } from "vue-router";
import AppFrame from "./frame/AppFrame.vue";

const route = useRoute();
</script>

<template>
  <RouterView v-if="route.meta.bare" />
  <AppFrame v-else>
    <RouterView :key="String(route.params.id ?? route.name)" />
  </AppFrame>
</template>
