import "@fontsource-variable/atkinson-hyperlegible-next";
import "@fontsource-variable/atkinson-hyperlegible-mono";
import "./style.css";
import { createApp } from "vue";
import { language, learnLanguage } from "./language/language";

// what pages say is put into words as they are loaded
await learnLanguage();
const [{ default: App }, { router }] = await Promise.all([import("./App.vue"), import("./router")]);
createApp(App).use(language).use(router).mount("#app");
