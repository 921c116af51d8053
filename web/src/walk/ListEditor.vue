<script setup lang="ts">
import { $gettext } from "../language/language";
import { computed, ref, watch } from "vue";
import type { Schemas } from "../api/client";
import { sentence } from "../api/problems";
import { taken } from "../shown/figures/useTried";
import { lineKey, type Line } from "../shown/lines";

/** Works on a list part by part: what is tapped in the drawing comes here, and the server writes the change. */
const props = defineProps<{
  line: Line;
  list: Schemas["ListView"];
  parts: Schemas["Part"][];
  change: (thing: string, change: Change, other: string) => Promise<void>;
}>();

type Change = Schemas["ListChange"]["change"];

const thing = ref("");
const other = ref("");
const problem = ref("");
const field = ref<HTMLInputElement>();

/** The part in hand; none before one is tapped. */
const part = computed(() =>
  props.list.editing === "PARTS" && thing.value ? props.parts[Number(thing.value)] : undefined,
);
const named = computed(() => {
  switch (props.list.editing) {
    case "PARTS":
      return $gettext("Part %{number}", { number: Number(thing.value) + 1 });
    case "PAIRS":
      return $gettext("From %{thing}", { thing: thing.value });
    default:
      return $gettext("At %{thing}", { thing: thing.value });
  }
});

// a part may be tapped before the list has been parted; what was typed over it stays
watch(part, (now, before) => {
  if (now && other.value === (before?.text ?? "")) {
    other.value = now.text;
  }
});

function take(tapped: string) {
  if (props.list.editing === "PAIRS" && thing.value && tapped !== thing.value) {
    const from = thing.value;
    thing.value = "";
    void apply("JOIN", tapped, from);
    return;
  }
  thing.value = tapped;
  other.value = part.value?.text ?? "";
  field.value?.focus();
  field.value?.select();
}

async function apply(change: Change, text: string, of = thing.value) {
  problem.value = "";
  try {
    await props.change(of, change, text);
    // what was tapped meanwhile stays in hand
    if (thing.value === of && (change === "REMOVE" || props.list.editing !== "PARTS")) {
      thing.value = "";
      other.value = "";
    }
  } catch (thrown) {
    problem.value = sentence(thrown);
  }
}

/** What is offered goes after the part in hand, else at the end. */
function offer(text: string) {
  void (part.value ? apply("AFTER", text) : apply("REPLACE", text, `${props.parts.length}`));
}

watch(
  taken,
  (tap) => {
    if (tap?.line === lineKey(props.line)) {
      taken.value = undefined;
      take(tap.thing);
    }
  },
  { immediate: true, flush: "post" },
);
</script>

<template>
  <div class="list" role="group" :aria-label="$gettext('%{title}, part by part', { title: line.title })">
    <ol v-if="list.editing === 'PARTS' && parts.length" class="parts">
      <li v-for="(each, index) in parts" :key="index">
        <button
          type="button"
          class="part mono"
          :aria-pressed="thing === `${index}`"
          @click="take(`${index}`)"
        >
          {{ each.text }}
        </button>
      </li>
    </ol>
    <div v-if="thing" class="hand">
      <label class="named">
        <span class="label">{{ named }}</span>
        <input
          v-if="list.editing !== 'PAIRS'"
          ref="field"
          v-model="other"
          class="field mono"
          maxlength="200"
          autocomplete="off"
          autocapitalize="off"
          spellcheck="false"
          @keydown.enter.prevent="apply('REPLACE', other)"
        />
        <span v-else class="quiet">{{ $gettext("tap the other end") }}</span>
      </label>
      <template v-if="list.editing !== 'PAIRS'">
        <button type="button" class="button" :disabled="!other.trim()" @click="apply('REPLACE', other)">
          {{ list.editing === "PARTS" ? $gettext("Change") : $gettext("Put in") }}
        </button>
      </template>
      <template v-if="list.editing === 'PARTS'">
        <button type="button" class="button" :disabled="!other.trim()" @click="apply('BEFORE', other)">
          {{ $gettext("Before") }}
        </button>
        <button type="button" class="button" :disabled="!other.trim()" @click="apply('AFTER', other)">
          {{ $gettext("After") }}
        </button>
      </template>
      <button type="button" class="button" @click="apply('REMOVE', '')">{{ $gettext("Remove") }}</button>
    </div>
    <div v-if="list.offered.length" class="offered">
      <span class="quiet">{{ part ? $gettext("After it:") : $gettext("Add:") }}</span>
      <button v-for="each in list.offered" :key="each" type="button" class="part mono" @click="offer(each)">
        {{ each }}
      </button>
    </div>
    <p v-if="problem" class="error" role="alert">{{ problem }}</p>
  </div>
</template>

<style scoped>
.list {
  display: grid;
  grid-column: 1 / -1;
  gap: 6px;
  padding: 4px 0 8px;
}

.parts,
.offered,
.hand {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
  align-items: center;
  margin: 0;
  padding: 0;
  list-style: none;
}

.parts li + li::before {
  content: "›";
  margin-right: 4px;
  color: var(--quiet);
}

.part {
  min-height: 40px;
  padding: 0 8px;
  border: 1px solid var(--hair);
  border-radius: 4px;
  background: var(--paper);
  color: var(--ink);
  font: 13px var(--mono);
  cursor: pointer;
}

.offered .part {
  border-style: dashed;
}

.part[aria-pressed="true"] {
  background: var(--lake);
  color: var(--on-lake);
}

.named {
  display: flex;
  flex: 1 1 220px;
  gap: 8px;
  align-items: center;
}

.named .label {
  margin: 0;
  white-space: nowrap;
}

.hand .button {
  min-height: 44px;
}
</style>
