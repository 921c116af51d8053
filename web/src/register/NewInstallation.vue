<script setup lang="ts">
import { computed, reactive, ref, watch } from "vue";
import { at } from "../api/address";
import { api, type Schemas } from "../api/client";
import { useAttempt } from "../api/useAttempt";
import { sentence } from "../api/problems";
import { capital, outdoors, words } from "../words/words";
import UnitRow from "./UnitRow.vue";

const open = defineModel<boolean>({ required: true });
const emit = defineEmits<{ entered: [id: string] }>();

type Unit = Schemas["NewComponent"];

const books = ref<Schemas["BookSummary"][]>([]);
const sheets = ref<Schemas["SheetLine"][]>([]);
const choices = ref<Schemas["ChoicesView"]>({ reference: "", crews: [], places: [] });
const others = ref<Schemas["RegisterEntry"][]>([]);
const like = ref("");
const { busy, problem, fields, attempt } = useAttempt();
/** Everything that can wait. */
const more = ref(false);
const asked = reactive({
  reference: "",
  title: "",
  building: "",
  elevation: "",
  zone: Intl.DateTimeFormat().resolvedOptions().timeZone,
  system: "",
  crew: "",
  owner: "",
  address: "",
  replacement: false,
  stage: "FINAL" as Schemas["NewInstallation"]["stage"],
  visitedOn: new Date().toISOString().slice(0, 10),
  ruleBook: "",
  components: [{ ...unit("OUTDOOR"), ownSupply: true }, unit("INDOOR_WALL")],
});

function unit(kind: Unit["kind"]): Unit & { model: string } {
  return { title: "", kind, ownSupply: outdoors(kind), model: "" };
}

watch(open, async (now) => {
  if (!now) {
    return;
  }
  try {
    const [theirs, all, known] = await Promise.all([
      api.get(at("/api/installations/choices")),
      books.value.length ? books.value : api.get(at("/api/rule-books")),
      sheets.value.length ? sheets.value : api.get(at("/api/data-sheets")),
    ]);
    choices.value = theirs;
    books.value = all;
    sheets.value = known;
    asked.reference ||= theirs.reference;
    asked.ruleBook ||= all[0]?.id ?? "";
  } catch (thrown) {
    problem.value = sentence(thrown);
  }
});

/** Whether it stands higher or lower than its building is known at. */
const elsewhere = ref(false);

// another building is known at a height of its own
watch(
  () => asked.building,
  () => (elsewhere.value = false),
);

function standsElsewhere() {
  asked.elevation = place.value?.elevation ?? "";
  elsewhere.value = true;
}

const place = computed(() => choices.value.places.find((each) => each.name === asked.building.trim()));
const outdoor = computed(() => sheetOf(asked.components.find((each) => outdoors(each.kind))?.model));

function sheetOf(model: string | undefined) {
  return sheets.value.find((sheet) => sheet.model === model?.trim());
}

/** Those listed with the outdoor unit first. */
function modelsFor(each: Unit) {
  const fitting = sheets.value.filter((sheet) => outdoors(sheet.kind) === outdoors(each.kind));
  const listed = fitting.filter((sheet) => outdoor.value?.pairs.includes(sheet.model));
  return !outdoors(each.kind) && listed.length ? listed : fitting;
}

/** Units whose kind the person has chosen: a sheet changes nothing of that. */
const chosenByHand = new WeakSet<object>();

function chosenKind(each: Unit) {
  chosenByHand.add(each);
  each.ownSupply ||= outdoors(each.kind);
}

/** Kind and circuit follow from the sheet; where one indoor model alone is listed, it follows too. */
function chosen(each: Unit & { model: string }) {
  const sheet = sheetOf(each.model);
  if (!sheet) {
    return;
  }
  if (!chosenByHand.has(each)) {
    each.kind = sheet.kind;
  }
  each.ownSupply = sheet.ownSupply;
  const [only, ...rest] = sheet.pairs;
  if (only && !rest.length) {
    for (const indoor of asked.components.filter((other) => !outdoors(other.kind) && !other.model)) {
      indoor.model = only;
      chosen(indoor);
    }
  }
}

const followed = new WeakMap<object, string>();

// as soon as a model is known, whichever comes last: what is typed or the sheets
watch(
  () => [sheets.value, ...asked.components.map((each) => each.model)],
  () => {
    for (const each of asked.components) {
      if (sheetOf(each.model) && followed.get(each) !== each.model) {
        followed.set(each, each.model);
        chosen(each);
      }
    }
  },
);

async function find() {
  try {
    await findLike();
  } catch (thrown) {
    problem.value = sentence(thrown);
  }
}

async function findLike() {
  const found = others.value.find((each) => like.value.startsWith(`${each.reference} `));
  if (found) {
    await take(found.id);
    return;
  }
  const said = like.value.trim();
  if (said) {
    others.value = (await api.get(at("/api/installations", { query: { words: said, size: 20 } }))).entries;
  }
}

/** Units, models, crew, place and rule book of another one. */
async function take(id: string) {
  const other = await api.get(at("/api/installations/{id}", { path: { id } }));
  Object.assign(asked, {
    building: other.building,
    crew: other.crew,
    system: other.system,
    ruleBook: other.ruleBook,
    replacement: other.replacement,
    components: other.components.map(({ kind, title, ownSupply, model }) => ({
      kind,
      title,
      ownSupply,
      model: model ?? "",
    })),
  });
  asked.components.forEach((each) => followed.set(each, each.model));
}

/** A kind's title, numbered where there are several of it. */
function titleOf(each: Unit, index: number): string {
  const kind = words.units.find((known) => known.id === each.kind)?.title ?? "";
  const same = asked.components.filter((other) => other.kind === each.kind);
  const before = asked.components.slice(0, index).filter((other) => other.kind === each.kind).length;
  return same.length > 1 ? `${kind} ${before + 1}` : kind;
}

const system = computed(() =>
  asked.components
    .map((each) => {
      const sheet = sheetOf(each.model);
      return sheet ? `${sheet.maker} ${sheet.model}` : each.model;
    })
    .filter((said, index, all) => said && all.indexOf(said) === index)
    .join(", "),
);

async function submit() {
  await attempt(
    async () => {
      const made = await api.post(at("/api/installations"), {
        ...asked,
        system: asked.system || system.value,
        title: asked.title || [asked.building, system.value].filter(Boolean).join(", "),
        zone: place.value ? undefined : asked.zone,
        elevation: elsewhere.value ? asked.elevation : (place.value?.elevation ?? asked.elevation),
        components: asked.components.map((each, index) => ({
          ...each,
          title: each.title || titleOf(each, index),
          model: each.model.trim() || undefined,
        })),
      });
      emit("entered", made.id);
    },
    () => {
      more.value ||= ["reference", "title", "system"].some((name) => fields.value[name]);
    },
  );
}
</script>

<template>
  <el-dialog v-model="open" :title="$gettext('New installation')" width="640px" top="5vh">
    <form @submit.prevent="submit">
      <label class="label" for="new-like">{{ $gettext("Like one that is in the register, if any") }}</label>
      <input
        id="new-like"
        v-model="like"
        class="field"
        list="new-others"
        :placeholder="$gettext('Type to find it')"
        @input="find"
        @change="find"
      />
      <datalist id="new-others">
        <option v-for="each in others" :key="each.id" :value="`${each.reference} ${each.title}`" />
      </datalist>
      <h2>{{ $gettext("Units") }}</h2>
      <UnitRow
        v-for="(each, index) in asked.components"
        :key="index"
        v-model:kind="each.kind"
        v-model:own-supply="each.ownSupply"
        :number="index + 1"
        :named="$gettext('unit %{number}', { number: index + 1 })"
        :alone="asked.components.length === 1"
        @chosen="chosenKind(each)"
        @leave-out="asked.components.splice(index, 1)"
      >
        <div>
          <label class="label" :for="`new-model-${index}`">{{
            $gettext("%{unit}, model", { unit: titleOf(each, index) })
          }}</label>
          <input
            :id="`new-model-${index}`"
            v-model="each.model"
            class="field mono"
            :list="`new-models-${index}`"
            :placeholder="$gettext('type to find its sheet')"
            autocomplete="off"
          />
          <datalist :id="`new-models-${index}`">
            <option v-for="sheet in modelsFor(each)" :key="sheet.model" :value="sheet.model">
              {{ sheet.maker }}, {{ sheet.document }}
            </option>
          </datalist>
        </div>
      </UnitRow>
      <button type="button" class="button" @click="asked.components.push(unit('INDOOR_WALL'))">
        {{ $gettext("Add a unit") }}
      </button>
      <h2>{{ $gettext("Where, and by whom") }}</h2>
      <div class="grid">
        <div>
          <label class="label" for="new-building">{{ $gettext("Building") }}</label>
          <input
            id="new-building"
            v-model="asked.building"
            class="field"
            list="new-places"
            :placeholder="$gettext('choose, or type a new one')"
            :aria-invalid="!!fields.building"
          />
          <datalist id="new-places">
            <option v-for="each in choices.places" :key="each.name" :value="each.name" />
          </datalist>
          <p v-if="fields.building" class="error">{{ fields.building }}</p>
        </div>
        <div v-if="!place || elsewhere">
          <label class="label" for="new-elevation">{{ $gettext("Height above sea level") }}</label>
          <input
            id="new-elevation"
            v-model="asked.elevation"
            class="field"
            :placeholder="$gettext('640 m or 2100 ft')"
            :aria-invalid="!!fields.elevation"
          />
          <p v-if="fields.elevation" class="error">{{ fields.elevation }}</p>
        </div>
        <p v-else class="quiet stands">
          {{ $gettext("%{elevation} above sea level", { elevation: place.elevation }) }}
          <button type="button" class="button" @click="standsElsewhere">
            {{ $gettext("Another height here") }}
          </button>
        </p>
        <div v-if="asked.building && !place">
          <label class="label" for="new-zone">{{ $gettext("Time zone of its clocks") }}</label>
          <input
            id="new-zone"
            v-model="asked.zone"
            class="field"
            :placeholder="$gettext('America/Chicago')"
            :aria-invalid="!!fields.zone"
          />
          <p v-if="fields.zone" class="error">{{ fields.zone }}</p>
        </div>
        <div>
          <label class="label" for="new-crew">{{ $gettext("Crew") }}</label>
          <input
            id="new-crew"
            v-model="asked.crew"
            class="field"
            list="new-crews"
            :placeholder="$gettext('choose, or type a new one')"
            :aria-invalid="!!fields.crew"
          />
          <datalist id="new-crews">
            <option v-for="crew in choices.crews" :key="crew" :value="crew" />
          </datalist>
          <p v-if="fields.crew" class="error">{{ fields.crew }}</p>
        </div>
        <div>
          <label class="label" for="new-book">{{ $gettext("Rule book") }}</label>
          <select id="new-book" v-model="asked.ruleBook" class="field">
            <option v-for="book in books" :key="book.id" :value="book.id">{{ book.title }}</option>
          </select>
        </div>
      </div>
      <button type="button" class="button later" :aria-expanded="more" @click="more = !more">
        {{ more ? $gettext("Less") : $gettext("More, which can wait") }}
      </button>
      <div v-if="more" class="grid">
        <div>
          <label class="label" for="new-owner">{{ $gettext("Owner") }}</label>
          <input
            id="new-owner"
            v-model="asked.owner"
            class="field"
            maxlength="200"
            :aria-invalid="!!fields.owner"
          />
        </div>
        <div>
          <label class="label" for="new-address">{{ $gettext("Address") }}</label>
          <input
            id="new-address"
            v-model="asked.address"
            class="field"
            maxlength="300"
            :aria-invalid="!!fields.address"
          />
        </div>
        <div>
          <label class="label" for="new-reference">{{ $gettext("Reference") }}</label>
          <input
            id="new-reference"
            v-model="asked.reference"
            class="field"
            :placeholder="$gettext('LH-50')"
            :aria-invalid="!!fields.reference"
          />
          <p v-if="fields.reference" class="error">{{ fields.reference }}</p>
        </div>
        <div>
          <label class="label" for="new-title">{{ $gettext("What it is") }}</label>
          <input
            id="new-title"
            v-model="asked.title"
            class="field"
            :placeholder="$gettext('Reading room, wall split')"
            :aria-invalid="!!fields.title"
          />
          <p v-if="fields.title" class="error">{{ fields.title }}</p>
        </div>
        <div>
          <label class="label" for="new-system">{{ $gettext("System") }}</label>
          <input
            id="new-system"
            v-model="asked.system"
            class="field"
            :placeholder="system"
            :aria-invalid="!!fields.system"
          />
          <p v-if="fields.system" class="error">{{ fields.system }}</p>
        </div>
        <div v-for="(each, index) in asked.components" :key="index">
          <label class="label" :for="`new-unit-${index}`">{{
            $gettext("Title of unit %{number}", { number: index + 1 })
          }}</label>
          <input
            :id="`new-unit-${index}`"
            v-model="each.title"
            class="field"
            :placeholder="titleOf(each, index)"
          />
        </div>
        <div>
          <label class="label" for="new-stage">{{ $gettext("Visit") }}</label>
          <select id="new-stage" v-model="asked.stage" class="field">
            <option v-for="stage in words.stages" :key="stage.id" :value="stage.id">
              {{ capital(stage.title) }}
            </option>
          </select>
        </div>
        <div>
          <label class="label" for="new-date">{{ $gettext("Day of the visit") }}</label>
          <el-date-picker
            id="new-date"
            v-model="asked.visitedOn"
            value-format="YYYY-MM-DD"
            format="YYYY-MM-DD"
            :clearable="false"
          />
        </div>
        <label class="check"
          ><input v-model="asked.replacement" type="checkbox" />
          {{ $gettext("Replaces an older system") }}</label
        >
      </div>
      <p class="error" role="alert">{{ problem }}</p>
      <button class="button primary" :disabled="busy">
        {{ $gettext("Enter %{reference} in the register", { reference: asked.reference }) }}
      </button>
    </form>
  </el-dialog>
</template>

<style scoped>
.grid {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px 14px;
}

h2 {
  margin: 14px 0 6px;
}

.check {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 44px;
}

.stands {
  align-self: end;
  padding-bottom: 12px;
}

.later {
  margin: 12px 0 8px;
}

.error {
  min-height: 20px;
}

@media (max-width: 760px) {
  .grid {
    grid-template-columns: 1fr;
  }
}
</style>
