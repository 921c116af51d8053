<script setup lang="ts">
import { $gettext } from "../language/language";
import { nextTick, ref, watch } from "vue";
import type { Schemas } from "../api/client";
import { countsInWords } from "../words/words";
import VerdictMark from "../shown/VerdictMark.vue";

const props = defineProps<{ id: string; stations: Schemas["RouteStation"][]; current: string }>();

const list = ref<HTMLElement>();

watch(
  () => [props.current, props.stations.length],
  async () => {
    await nextTick();
    list.value?.querySelector(".current")?.scrollIntoView?.({ block: "nearest", inline: "center" });
  },
  { immediate: true },
);

function state(station: Schemas["RouteStation"]): string {
  if (!station.built) {
    return $gettext("not yet judged here");
  }
  if (!station.lines) {
    return $gettext("nothing of it here");
  }
  const { read, lines, unread, counts } = station;
  const said = unread
    ? $gettext("%{read} of %{lines}, %{unread} not", { read, lines, unread })
    : $gettext("%{read} of %{lines}", { read, lines });
  return counts.FAILS ? `${said} · ${countsInWords({ FAILS: counts.FAILS })}` : said;
}
</script>

<template>
  <nav ref="list" class="route" :aria-label="$gettext('Stations')">
    <component
      :is="station.built ? 'RouterLink' : 'span'"
      v-for="station in stations"
      :key="station.key"
      :to="station.built ? `/installations/${id}/${station.key}` : undefined"
      class="station"
      :class="{
        current: station.key === current,
        built: station.built,
        done: station.read + station.unread === station.lines,
      }"
      :aria-current="station.key === current ? 'page' : undefined"
    >
      <span class="fitting">{{ station.number }}</span>
      <span class="words">
        <span class="title">{{ station.title }}</span>
        <span class="state">
          <VerdictMark v-if="station.built" :verdict="station.worst" :size="11" />
          {{ state(station) }}
        </span>
        <span
          v-if="station.waits.length && station.read + station.unread < station.lines"
          class="state waits"
        >
          {{
            $gettext("after %{stations}", {
              stations: station.waits.map((earlier) => earlier.number).join(", "),
            })
          }}
        </span>
      </span>
    </component>
  </nav>
</template>

<style scoped>
.route {
  overflow: auto;
  padding: 10px 0;
  border-right: 1px solid var(--hair);
  background: var(--paper);
}

.station {
  position: relative;
  display: flex;
  gap: 10px;
  align-items: center;
  min-height: 46px;
  padding: 4px 8px 4px 14px;
  color: var(--ink);
  line-height: 1.2;
  text-decoration: none;
}

/* the pipe run between fittings */
.station::before {
  position: absolute;
  top: 0;
  bottom: 0;
  left: 22px;
  width: 6px;
  background: var(--hair);
  content: "";
}

.station.built::before {
  background: var(--lake);
}

.station:first-child::before {
  top: 50%;
}

.station:last-child::before {
  bottom: 50%;
}

.waits {
  color: var(--brass);
}

.fitting {
  position: relative;
  display: grid;
  flex: none;
  width: 22px;
  height: 22px;
  place-items: center;
  border: 2px solid var(--hair);
  border-radius: 4px;
  background: var(--paper);
  font: 11px var(--mono);
}

.built .fitting {
  border-color: var(--lake);
}

.current .fitting,
.done.built .fitting {
  background: var(--lake);
  color: var(--on-lake);
}

.words {
  display: grid;
  gap: 1px;
  min-width: 0;
}

.title {
  font-size: 13px;
}

.state {
  font-size: 11.5px;
  color: var(--quiet);
}

.current {
  background: var(--lake-soft);
}

.current .title {
  font-weight: 700;
}

.station:not(.built) .title {
  color: var(--quiet);
}

@media (max-width: 760px) {
  .route {
    display: flex;
    overflow-x: auto;
    padding: 0;
    border-right: 0;
    border-bottom: 1px solid var(--hair);
  }

  .station {
    flex: none;
    flex-direction: column;
    gap: 2px;
    width: 92px;
    padding: 6px 4px;
    text-align: center;
  }

  .station::before {
    top: 15px;
    right: 0;
    bottom: auto;
    left: 0;
    width: auto;
    height: 5px;
  }

  .station:first-child::before {
    top: 15px;
    left: 50%;
  }

  .station:last-child::before {
    right: 50%;
    bottom: auto;
  }

  .words {
    justify-items: center;
  }

  .title {
    font-size: 11px;
  }

  .state {
    font-size: 10.5px;
  }
}
</style>
