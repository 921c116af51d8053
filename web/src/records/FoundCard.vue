<script setup lang="ts">
import { $gettext } from "../language/language";
import type { Schemas } from "../api/client";
import DrawingFigure from "../shown/figures/DrawingFigure.vue";

/** One thing that was checked: how it stands, why, how it may have come about, and what it cannot show. */
defineProps<{ found: Schemas["FoundView"]; asked?: boolean; askable?: boolean }>();
const chosen = defineModel<boolean>({ default: false });

function likelier(times: number): string {
  return times >= 1e6
    ? $gettext("over a million times")
    : $gettext("at most %{times} times", { times: Number(times.toPrecision(2)).toLocaleString("en") });
}
</script>

<template>
  <article class="found" :class="found.outcome.toLowerCase()">
    <h3>
      {{ found.title }}<template v-if="found.subjectTitle">, {{ found.subjectTitle }}</template>
    </h3>
    <p class="outcome">
      <strong>{{ found.outcomeTitle }}</strong><template v-if="found.outcome === 'DOUBTFUL' && found.strength"
        >:
        {{
          $gettext("%{strength}, %{likelier} likelier if it did not come about as written", {
            strength: found.strength,
            likelier: likelier(found.times ?? 1),
          })
        }}
      </template>
    </p>
    <p>{{ found.because }}</p>
    <p v-if="found.mistake" class="mistake">
      <strong>{{ $gettext("An honest mistake would explain it.") }}</strong> {{ found.mistake }}
    </p>
    <figure v-if="found.figure">
      <DrawingFigure :drawing="found.figure" :lit="[]" />
      <figcaption>
        <span v-for="said in found.figure.caption" :key="said">{{ said }}</span>
      </figcaption>
    </figure>
    <template v-if="found.outcome === 'DOUBTFUL'">
      <h4>{{ $gettext("How it may have come about") }}</h4>
      <ul>
        <li v-for="each in found.innocent" :key="each">{{ each }}</li>
      </ul>
    </template>
    <details>
      <summary>{{ $gettext("What this check is") }}</summary>
      <p>{{ found.tests }}.</p>
      <p>
        {{
          $gettext("It can show: %{shows}. It cannot show: %{cannot}.", {
            shows: found.shows,
            cannot: found.cannot,
          })
        }}
      </p>
      <p class="quiet">{{ found.sources.join("; ") }}</p>
    </details>
    <p v-if="asked" class="quiet">{{ $gettext("Asked.") }}</p>
    <label v-else-if="askable && found.outcome === 'DOUBTFUL'" class="ask">
      <input v-model="chosen" type="checkbox" />
      <span>{{ $gettext("Ask: %{asks}", { asks: found.asks }) }}</span>
    </label>
  </article>
</template>

<style scoped>
.found {
  padding: 10px 14px;
  border-left: 4px solid var(--hair);
  background: var(--paper);
}

.found.doubtful {
  border-left-color: var(--close);
}

.found.consistent {
  border-left-color: var(--meets);
}

.found > * + * {
  margin-top: 6px;
}

.doubtful .outcome strong {
  color: var(--close);
}

.mistake {
  padding: 8px 10px;
  background: var(--brass-soft);
}

figure {
  max-width: 520px;
  margin: 10px 0;
}

figcaption {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 18px;
  justify-content: space-between;
  padding-top: 4px;
}

summary,
.ask {
  display: flex;
  gap: 10px;
  align-items: center;
  min-height: 44px;
  cursor: pointer;
}

summary {
  color: var(--quiet);
}

.ask input {
  width: 22px;
  height: 22px;
}
</style>
