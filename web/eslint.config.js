import js from "@eslint/js";
import prettier from "eslint-config-prettier";
import vue from "eslint-plugin-vue";
import globals from "globals";
import typescript from "typescript-eslint";

/** Which folders of src a folder may take from: arrows point down, from what is listed first to what is listed last. */
const arrows = {
  shell: ["session", "frame", "api"],
  walk: ["shown", "corrections", "photos", "register", "words", "session", "frame", "api"],
  after: ["shown", "corrections", "words", "session", "frame", "api"],
  bench: ["shown", "frame", "api"],
  site: ["shown", "words", "session", "frame", "api"],
  records: ["shown", "session", "frame", "api"],
  register: ["shown", "words", "session", "frame", "api"],
  corrections: ["shown", "photos", "words", "session", "frame", "api"],
  sheets: ["shown", "trial", "session", "frame", "api"],
  rulebooks: ["trial", "session", "frame", "api"],
  trial: ["shown", "words", "frame", "api"],
  reckoner: ["shown", "frame", "api"],
  report: ["shown", "frame", "api"],
  toolcase: ["session", "frame", "api"],
  people: ["session", "frame", "api"],
  shown: ["photos", "words", "frame", "api"],
  photos: ["frame", "api"],
  session: ["frame", "api"],
  words: ["api"],
  frame: ["api"],
  api: [],
};

const below = Object.entries(arrows).map(([folder, allowed]) => ({
  files: [`src/${folder}/**`],
  ignores: ["**/*.test.ts"],
  rules: {
    "no-restricted-imports": [
      "error",
      {
        patterns: Object.keys(arrows)
          .filter((other) => other !== folder && !allowed.includes(other))
          .map((other) => ({
            regex: `^(\\.\\./)+${other}/`,
            message: `src/${folder} takes nothing from src/${other}; see arrows in eslint.config.js.`,
          })),
      },
    ],
  },
}));

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
  ...below,
  prettier,
);
