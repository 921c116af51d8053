<script setup lang="ts">
/** Which of the books this one stands on says so; nothing where it is its own. */
defineProps<{ layer: string }>();
</script>

<template>
  <span v-if="layer" class="quiet layer">{{ $gettext("from %{layer}", { layer }) }}</span>
</template>

<style scoped>
.layer {
  display: block;
  font-size: 12px;
}
</style>
