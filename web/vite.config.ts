import vue from "@vitejs/plugin-vue";
import components from "unplugin-vue-components/vite";
import { ElementPlusResolver } from "unplugin-vue-components/resolvers";
import { defineConfig } from "vitest/config";

/** Tests stand dialogs in by themselves: loading the library for each file took longer than all of its tests. */
const elements = process.env.VITEST
  ? []
  : [components({ dts: false, dirs: [], resolvers: [ElementPlusResolver()] })];

export default defineConfig({
  plugins: [vue(), ...elements],
  server: { proxy: { "/api": "http://localhost:8080" } },
  build: { assetsInlineLimit: 0, chunkSizeWarningLimit: 900 },
  test: {
    environment: "happy-dom",
    setupFiles: ["src/words/words.setup.ts"],
    testTimeout: 30_000,
    pool: "threads",
  },
});
