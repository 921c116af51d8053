import vue from "@vitejs/plugin-vue";
import components from "unplugin-vue-components/vite";
import { ElementPlusResolver } from "unplugin-vue-components/resolvers";
import { defineConfig } from "vitest/config";

export default defineConfig({
  plugins: [vue(), components({ dts: false, dirs: [], resolvers: [ElementPlusResolver()] })],
  server: { proxy: { "/api": "http://localhost:8090" } },
  build: { assetsInlineLimit: 0, chunkSizeWarningLimit: 900 },
  test: {
    environment: "happy-dom",
    setupFiles: ["src/words/words.setup.ts"],
    testTimeout: 30_000,
    server: { deps: { inline: ["element-plus"] } },
  },
});
