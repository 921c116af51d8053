import js from "@eslint/js";
import prettier from "eslint-config-prettier";
import vue from "eslint-plugin-vue";
import globals from "globals";
import typescript from "typescript-eslint";

/** Which folders of src a folder may take from: arrows point down, from what is listed first to what is listed last. */
const arrows = {
  shell: ["session", "frame", "api", "language"],
  walk: ["shown", "corrections", "photos", "register", "words", "session", "frame", "api", "language"],
  after: ["shown", "corrections", "words", "session", "frame", "api", "language"],
  bench: ["shown", "frame", "api", "language"],
  site: ["shown", "words", "session", "frame", "api", "language"],
  records: ["shown", "session", "frame", "api", "language"],
  register: ["shown", "words", "session", "frame", "api", "language"],
  corrections: ["shown", "photos", "words", "session", "frame", "api", "language"],
  sheets: ["shown", "trial", "session", "frame", "api", "language"],
  rulebooks: ["trial", "session", "frame", "api", "language"],
  trial: ["shown", "words", "frame", "api", "language"],
  calculators: ["shown", "frame", "api", "language"],
  report: ["shown", "frame", "api", "language"],
  instruments: ["session", "frame", "api", "language"],
  people: ["letters", "session", "frame", "api", "language"],
  letters: ["frame", "api", "language"],
  shown: ["photos", "words", "frame", "api", "language"],
  photos: ["frame", "api", "language"],
  session: ["frame", "api", "language"],
  words: ["api", "language"],
  frame: ["api", "language"],
  api: ["language"],
  language: [],
};

/** What no language says otherwise: signs, a size of paper, and examples of what is typed. */
const SAID_BY_ALL = [
  ..."()[],.;:?/+−–±·→×%✓✕‹›▴▾",
  "A4",
  "14 °C",
  "27 °C",
  "tape-3",
  "temperature-difference",
  "R32, R410A",
];

const folders = Object.keys(arrows);
for (const [folder, allowed] of Object.entries(arrows)) {
  const up = allowed.find((other) => folders.indexOf(other) <= folders.indexOf(folder));
  if (up) {
    throw new Error(`src/${folder} would take from src/${up}, which does not stand below it`);
  }
}

const below = Object.entries(arrows).map(([folder, allowed]) => ({
  files: [`src/${folder}/**`, "language"],
  ignores: ["**/*.test.ts", "language"],
  rules: {
    "no-restricted-imports": [
      "error",
      {
        patterns: folders
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
    files: ["**/*.vue", "language"],
    languageOptions: { parserOptions: { parser: typescript.parser } },
  },
  {
    languageOptions: { globals: { ...globals.browser } },
    rules: {
      "vue/no-v-html": "error",
      // what is shown is said by $gettext, so that it can be said in another language
      "vue/no-bare-strings-in-template": [
        "error",
        {
          allowlist: SAID_BY_ALL,
          attributes: { "/.+/": ["title", "label", "placeholder", "aria-label", "alt", "heading"] },
        },
      ],
      "vue/multi-word-component-names": "error",
      "no-undef": "off",
    },
  },
  ...below,
  prettier,
);
