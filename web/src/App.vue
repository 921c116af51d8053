<script setup lang="ts">
import english from "element-plus/es/locale/lang/en";
import { useRoute } from "vue-router";
import { $gettext } from "./language/language";
import AppFrame from "./shell/AppFrame.vue";
import NoticeStrip from "./frame/NoticeStrip.vue";

const route = useRoute();
const close = { close: $gettext("Close this dialog") };
const locale = { ...english, el: { ...english.el, dialog: close, drawer: close } };
</script>

<template>
  <el-config-provider :locale="locale">
    <template v-if="route.meta.bare">
      <RouterView />
      <NoticeStrip />
    </template>
    <AppFrame v-else>
      <RouterView :key="String(route.params.id ?? route.name)" />
    </AppFrame>
  </el-config-provider>
</template>
