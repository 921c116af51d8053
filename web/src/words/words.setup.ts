import { config } from "@vue/test-utils";
import { language } from "../language/language";
import { words } from "./words";
import answer from "./words.fixture.json";

// what the server answers, held against it by its own tests
Object.assign(words, answer);
config.global.plugins.push(language);
