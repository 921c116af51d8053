<script setup lang="ts">
import { computed, onBeforeUnmount, ref, watch } from "vue";
import { at } from "../api/address";
import { api, type Schemas } from "../api/client";
import { sentence } from "../api/problems";

/** The papers of a record, with a box round each value that was found on them. A box is drawn with the pointer. */
const props = defineProps<{ record: Schemas["RecordView"]; inspects: boolean }>();
const emit = defineEmits<{ changed: [] }>();
/** A crew adds papers to answer a question. */
const adds = computed(() => props.inspects || props.record.questions.some((each) => !each.answer));

const problem = ref("");
/** How much of a paper has gone out, 0 to 1. */
const sent = ref(0);
const leaving = new AbortController();
onBeforeUnmount(() => leaving.abort());
const shown = ref<string>();
const claim = ref("");
const from = ref<{ x: number; y: number }>();
const to = ref<{ x: number; y: number }>();

const document = computed(
  () => props.record.documents.find((each) => each.id === shown.value) ?? props.record.documents[0],
);
/** Of a PDF; a picture is its own only page. */
const page = ref(1);
watch(
  () => document.value?.id,
  () => (page.value = 1),
);
const onPaper = computed(() =>
  props.record.values.filter((each) => each.box?.document === document.value?.id),
);
const boxes = computed(() => onPaper.value.filter((each) => each.box?.page === page.value));
const elsewhere = computed(() => [
  ...new Set(
    onPaper.value.flatMap((each) => (each.box && each.box.page !== page.value ? [each.box.page] : [])),
  ),
]);
const unboxed = computed(() => props.record.values.filter((each) => !each.box));
const drawn = computed(() => {
  if (!from.value || !to.value) {
    return undefined;
  }
  return {
    left: Math.min(from.value.x, to.value.x),
    top: Math.min(from.value.y, to.value.y),
    width: Math.abs(from.value.x - to.value.x),
    height: Math.abs(from.value.y - to.value.y),
  };
});

function place(event: PointerEvent) {
  const area = (event.currentTarget as HTMLElement).getBoundingClientRect();
  const share = (value: number) => Math.min(1, Math.max(0, value));
  return {
    x: share((event.clientX - area.left) / area.width),
    y: share((event.clientY - area.top) / area.height),
  };
}

function begin(event: PointerEvent) {
  if (claim.value) {
    (event.currentTarget as HTMLElement).setPointerCapture(event.pointerId);
    from.value = to.value = place(event);
  }
}

function move(event: PointerEvent) {
  if (from.value) {
    to.value = place(event);
  }
}

async function end() {
  const box = drawn.value;
  const paper = document.value;
  from.value = to.value = undefined;
  if (!box || !paper || box.width < 0.005 || box.height < 0.005) {
    return;
  }
  await saved(async () => {
    await api.put(at("/api/claims/{id}/box", { path: { id: claim.value } }), {
      document: paper.id,
      page: page.value,
      ...box,
    });
    claim.value = "";
  });
}

async function unbox(id: string) {
  await saved(() => api.remove(at("/api/claims/{id}/box", { path: { id } })));
}

async function attach(event: Event) {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0];
  input.value = "";
  if (file) {
    await saved(async () => {
      const paper = await api.upload(
        at("/api/records/{id}/documents", { path: { id: props.record.id }, query: { name: file.name } }),
        file,
        { progress: (share) => (sent.value = share), signal: leaving.signal },
      );
      sent.value = 0;
      shown.value = paper.id;
    });
  }
}

async function saved(change: () => Promise<unknown>) {
  problem.value = "";
  try {
    await change();
    emit("changed");
  } catch (thrown) {
    problem.value = sentence(thrown);
  }
}

const percent = (share: number) => `${share * 100}%`;
const styled = (box: { left: number; top: number; width: number; height: number }) => ({
  left: percent(box.left),
  top: percent(box.top),
  width: percent(box.width),
  height: percent(box.height),
});
</script>

<template>
  <section class="papers">
    <div class="tools">
      <label v-if="adds" class="button">
        {{ $gettext("Add a photo or PDF of the paper") }}
        <input
          class="visually-hidden"
          type="file"
          accept="image/png,image/jpeg,application/pdf"
          @change="attach"
        />
      </label>
      <button
        v-for="each in record.documents.length > 1 ? record.documents : []"
        :key="each.id"
        type="button"
        class="button"
        :aria-pressed="each.id === document?.id"
        @click="shown = each.id"
      >
        {{ each.name }}
      </button>
      <label v-if="inspects && document && unboxed.length">
        <span class="visually-hidden">{{ $gettext("Value to draw a box round") }}</span>
        <select v-model="claim" class="field">
          <option value="">{{ $gettext("Draw a box round…") }}</option>
          <option v-for="each in unboxed" :key="each.id" :value="each.id">
            {{ each.title }}: {{ each.typed }}
          </option>
        </select>
      </label>
    </div>
    <progress v-if="sent" :value="sent" max="1" :aria-label="$gettext('Sent')"></progress>
    <p v-if="claim" class="quiet">{{ $gettext("Draw it on the paper, from corner to corner.") }}</p>
    <p v-if="problem" class="error" role="alert">{{ problem }}</p>
    <div v-if="document?.pages && document.pages > 1" class="tools pages">
      <button type="button" class="button" :disabled="page < 2" @click="page--">
        {{ $gettext("Page before") }}
      </button>
      <span>
        {{ $gettext("Page %{page} of %{pages}", { page, pages: document.pages })
        }}<template v-if="elsewhere.length"
          >; {{ $gettext("boxes on page %{pages} too", { pages: elsewhere.join(", ") }) }}</template
        >
      </span>
      <button type="button" class="button" :disabled="page >= document.pages" @click="page++">
        {{ $gettext("Next page") }}
      </button>
    </div>
    <div
      v-if="document"
      class="paper"
      :class="{ drawing: claim }"
      @pointerdown="begin"
      @pointermove="move"
      @pointerup="end"
    >
      <img
        v-if="document.pages"
        :src="at('/api/record-documents/{id}/pages/{number}', { path: { id: document.id, number: page } })"
        :alt="$gettext('Paper: %{name}, page %{page}', { name: document.name, page })"
        draggable="false"
      />
      <img
        v-else
        :src="at('/api/record-documents/{id}', { path: { id: document.id } })"
        :alt="$gettext('Paper: %{name}', { name: document.name })"
        draggable="false"
      />
      <div v-for="each in boxes" :key="each.id" class="box" :style="styled(each.box!)">
        <button
          type="button"
          :title="`${each.title}: ${each.typed}`"
          :aria-label="$gettext('Take the box of %{title} away', { title: each.title })"
          :disabled="!inspects"
          @click="unbox(each.id)"
        >
          {{ each.typed }}
        </button>
      </div>
      <div v-if="drawn" class="box drawn" :style="styled(drawn)"></div>
    </div>
  </section>
</template>

<style scoped>
.papers > * + * {
  margin-top: 8px;
}

.paper {
  position: relative;
  border: 1px solid var(--hair);
}

.paper.drawing {
  cursor: crosshair;
  touch-action: none;
}

.pages {
  align-items: center;
}

.paper img {
  display: block;
  width: 100%;
}

.box {
  position: absolute;
  border: 2px solid var(--lake);
}

.box button {
  position: absolute;
  bottom: 100%;
  left: -2px;
  padding: 0 6px;
  border: 0;
  color: var(--on-lake);
  background: var(--lake);
  font-size: 12px;
  white-space: nowrap;
}

.box.drawn {
  border-style: dashed;
}
</style>
