import js from "@eslint/js";
import prettier from "eslint-config-prettier";
import vue from "eslint-plugin-vue";
import globals from "globals";
import typescript from "typescript-eslint";

export default typescript.config(
  { ignores: ["dist", "target", "src/api/generated/types.ts"] },
  js.configs.recommended,
  ...typescript.configs.recommended,
  ...vue.configs["flat/recommended"],
  {
    files: ["**/*.vue"],
    languageOptions: { parserOptions: { parser: typescript.parser } },
  },
  {
    languageOptions: { globals: { ...globals.browser } },
    rules: {
      "vue/no-v-html": "error",
      "vue/multi-word-component-names": "error",
      "no-undef": "off",
    },
  },
  prettier,
);
