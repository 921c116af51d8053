<script setup lang="ts">
import { $gettext } from "../language/language";
import { computed, onBeforeUnmount, ref, watch } from "vue";
import { at } from "../api/address";
import { api, type Schemas } from "../api/client";
import { useAttempt } from "../api/useAttempt";
import { lastOnly } from "../api/lastOnly";
import { sentence } from "../api/problems";
import RaiseDialog from "../corrections/RaiseDialog.vue";
import { ended } from "../corrections/states";
import { notice } from "../frame/notice";
import { usePlaces } from "../frame/usePlaces";
import { useUnits } from "../frame/useUnits";
import { when } from "../frame/when";
import { useSession } from "../session/useSession";
import VerdictMark from "../shown/VerdictMark.vue";
import VisitSummary from "../shown/VisitSummary.vue";
import { capital, countsInWords } from "../words/words";

/** What comes after a walk: corrections, the seal, what visits changed, and the plan of the next. */
const props = defineProps<{ id: string }>();
const { units, ofBook } = useUnits();
const { heading } = usePlaces();
const { person } = useSession();
const inspects = computed(() => person.value?.role !== "CREW");

const installation = ref<Schemas["InstallationView"]>();
const corrections = ref<Schemas["Correction"][]>([]);
const seals = ref<Schemas["SealedView"][]>([]);
const visits = ref<Schemas["VisitReport"][]>([]);
const plan = ref<Schemas["PlanView"]>();
const problem = ref("");
const { busy, problem: refusal, attempt } = useAttempt();
const raising = ref(false);
const sure = ref(false);
const last = lastOnly();

const path = computed(() => ({ path: { id: props.id }, query: { units: units() } }));
const open = computed(() => corrections.value.filter((each) => !ended(each)).length);
const sealedAs = computed(() => installation.value?.visits.at(-1)?.sealedAs);

async function load() {
  problem.value = "";
  try {
    const own = { path: { id: props.id } };
    [installation.value, corrections.value, visits.value, plan.value, seals.value] = await last(
      Promise.all([
        api.get(at("/api/installations/{id}", own)),
        api.get(at("/api/installations/{id}/corrections", own)),
        api.get(at("/api/installations/{id}/visits", path.value)),
        api.get(at("/api/installations/{id}/revisit", path.value)),
        api.get(at("/api/installations/{id}/seals", path.value)),
      ]),
    );
    ofBook.value = installation.value.display;
    heading.value = {
      title: installation.value.title,
      detail: `${installation.value.building} · ${installation.value.system}`,
      counts: "",
    };
  } catch (thrown) {
    problem.value = sentence(thrown);
  }
}
watch(path, load, { immediate: true });
onBeforeUnmount(() => (heading.value = undefined));

async function seal() {
  await attempt(async () => {
    const made = await api.post(at("/api/installations/{id}/seals", { path: { id: props.id } }), undefined);
    notice.done($gettext("Sealed as %{number}.", { number: made.number }));
  });
  sure.value = false;
  await load();
}

/** The number of the visit, which the seal's own number ends with. */
function visitOf(number: string): number {
  return Number(number.slice(number.lastIndexOf("/") + 1));
}
</script>

<template>
  <div class="page">
    <div class="page-head">
      <div>
        <h1>{{ $gettext("What comes after the walk?") }}</h1>
        <p class="quiet">{{ installation?.reference }} {{ installation?.title }}</p>
      </div>
      <div class="actions">
        <RouterLink class="button" :to="`/installations/${id}/papers`">{{ $gettext("Walk") }}</RouterLink>
        <RouterLink class="button" :to="`/installations/${id}/report`">{{ $gettext("Report") }}</RouterLink>
        <RouterLink class="button" :to="`/installations/${id}/record`">{{ $gettext("Record") }}</RouterLink>
      </div>
    </div>
    <p v-if="problem" class="error" role="alert">
      {{ problem }} <button type="button" class="button" @click="load">{{ $gettext("Try again") }}</button>
    </p>
    <VisitSummary :id="id" :judged="installation" />

    <section>
      <h2>{{ $gettext("Corrections") }}</h2>
      <p>
        {{
          corrections.length
            ? open
              ? $gettext("%{corrections} raised, %{open} open.", { corrections: corrections.length, open })
              : $gettext("%{corrections} raised, none open.", { corrections: corrections.length })
            : $gettext("None raised yet.")
        }}
      </p>
      <div class="actions">
        <button v-if="inspects" type="button" class="button primary" @click="raising = true">
          {{ $gettext("Raise corrections") }}
        </button>
        <RouterLink class="button" :to="{ path: '/corrections', query: { installation: id } }">
          {{ $gettext("Look at them") }}
        </RouterLink>
      </div>
    </section>

    <section>
      <h2>{{ $gettext("Seal") }}</h2>
      <template v-if="sealedAs">
        <p>
          {{
            $gettext(
              "This visit is sealed as %{seal}. It takes no more readings of the office; begin another visit to read again.",
              { seal: sealedAs },
            )
          }}
        </p>
      </template>
      <template v-else>
        <p>
          {{
            $gettext(
              "Freezes readings, judgements, rule book, sheets, photos and curves as they stand now, signed. It cannot be undone.",
            )
          }}
        </p>
        <p v-if="refusal" class="error" role="alert">{{ refusal }}</p>
        <div v-if="inspects" class="actions">
          <button v-if="!sure" type="button" class="button" @click="sure = true">
            {{ $gettext("Seal this visit") }}
          </button>
          <template v-else>
            <button type="button" class="button primary" :disabled="busy" @click="seal">
              {{ $gettext("Yes, seal it as it stands") }}
            </button>
            <button type="button" class="button" @click="sure = false">{{ $gettext("Not yet") }}</button>
          </template>
        </div>
      </template>
      <article v-for="each in seals" :key="each.number" class="sealed">
        <div>
          <strong class="mono">{{ each.number }}</strong>
          {{
            $gettext("%{stage}, %{sealedBy}, %{sealedAt}: %{counts}", {
              stage: each.stage,
              sealedBy: each.sealedBy,
              sealedAt: when(each.sealedAt),
              counts: countsInWords(each.verdicts),
            })
          }}
          <p class="quiet mono root">
            {{
              $gettext("root %{root}, key %{fingerprint}", { root: each.root, fingerprint: each.fingerprint })
            }}
          </p>
          <p v-if="!each.beside.length" class="quiet">
            {{
              each.newest > each.version
                ? $gettext("%{ruleBook}, version %{version}; version %{newest} would say the same.", {
                    ruleBook: each.ruleBook,
                    version: each.version,
                    newest: each.newest,
                  })
                : $gettext("%{ruleBook}, version %{version}.", {
                    ruleBook: each.ruleBook,
                    version: each.version,
                  })
            }}
          </p>
          <ul v-else>
            <li v-for="other in each.beside" :key="other.title + other.subject">
              <VerdictMark :verdict="other.byNewest" />
              <span>
                {{ other.title }}<template v-if="other.subject">, {{ other.subject }}</template
                >: {{ $gettext("when sealed") }} <VerdictMark :verdict="other.asSealed" worded />,
                {{ $gettext("by version %{newest} of the rule book", { newest: each.newest }) }}
                <VerdictMark :verdict="other.byNewest" worded />
              </span>
            </li>
          </ul>
        </div>
        <a
          class="button"
          :href="
            at('/api/installations/{id}/seals/{number}/file', {
              path: { id, number: visitOf(each.number) },
            })
          "
          download
          >{{ $gettext("Sealed file") }}</a
        >
      </article>
      <p>
        <RouterLink to="/seals">{{ $gettext("Check a sealed file") }}</RouterLink>
      </p>
    </section>

    <section>
      <h2>{{ $gettext("Visits") }}</h2>
      <article v-for="visit in [...visits].reverse()" :key="visit.number">
        <h3>
          {{ visit.number }}.
          {{
            visit.unannounced
              ? $gettext("%{stage}, %{day}, unannounced", { stage: capital(visit.stage), day: visit.on })
              : $gettext("%{stage}, %{day}", { stage: capital(visit.stage), day: visit.on })
          }}

          <span class="quiet">{{ countsInWords(visit.counts) }}</span>
        </h3>
        <ul v-if="visit.changes.length">
          <li v-for="change in visit.changes" :key="change.title + change.subject">
            <VerdictMark :verdict="change.now ?? change.before ?? 'NOT_SHOWN'" />
            <span>
              {{ change.title }}<template v-if="change.subject">, {{ change.subject }}</template
              >:
              <template v-if="change.before"
                >{{ $gettext("before") }} <VerdictMark :verdict="change.before" worded />,
              </template>
              <template v-if="change.now"
                >{{ $gettext("now") }} <VerdictMark :verdict="change.now" worded />.</template
              >
              <template v-else>{{ $gettext("not asked any more.") }}</template>
              <span class="quiet">{{ change.said }}</span>
            </span>
          </li>
        </ul>
        <p v-else-if="visit.number > 1" class="quiet">
          {{ $gettext("Nothing changed against the visit before.") }}
        </p>
      </article>
    </section>

    <section v-if="plan">
      <h2>{{ $gettext("Next visit") }}</h2>
      <p v-if="!plan.stops.length">{{ $gettext("Nothing is left to look at.") }}</p>
      <template v-else>
        <p>
          {{
            $gettext("Lines to read: %{lines}, at stations: %{stations}.", {
              lines: plan.lines,
              stations: plan.stops.length,
            })
          }}
          <template v-if="plan.time">{{
            $gettext("About %{time} to read.", { time: plan.time })
          }}</template>{{ " " }}
          <template v-if="plan.holds.length">{{
            $gettext("Holds come on top: %{holds}.", { holds: plan.holds.join(", ") })
          }}</template>
        </p>
        <h3>{{ $gettext("To bring") }}</h3>
        <table class="table">
          <tbody>
            <tr v-for="tool in plan.tools" :key="tool.kind">
              <td>{{ capital(tool.kind) }}</td>
              <td class="mono">
                {{
                  tool.needed ? $gettext("± %{needed} or better", { needed: tool.needed }) : $gettext("any")
                }}
              </td>
              <td :class="{ lacking: !tool.enough }">
                <template v-if="!tool.atHand.length">{{ $gettext("none at hand") }}</template>
                <template v-else>{{
                  tool.enough
                    ? tool.atHand.join(", ")
                    : $gettext("%{instruments}: not good enough for the closest", {
                        instruments: tool.atHand.join(", "),
                      })
                }}</template>
              </td>
            </tr>
          </tbody>
        </table>
        <h3>{{ $gettext("To read, in walking order") }}</h3>
        <details v-for="stop in plan.stops" :key="stop.station">
          <summary>
            {{ stop.title }}
            <span class="quiet">{{
              $ngettext("%{lines} line, %{open} open", "%{lines} lines, %{open} open", stop.lines.length, {
                lines: stop.lines.length,
                open: stop.open.length,
              })
            }}</span>
          </summary>
          <ul class="lines">
            <li v-for="line in stop.lines" :key="line.point + line.component">
              <RouterLink :to="`/installations/${id}/${stop.station}?line=${line.point}@${line.component}`">{{
                line.title
              }}</RouterLink>
            </li>
          </ul>
        </details>
      </template>
    </section>
    <RaiseDialog v-model="raising" :installation="id" @raised="load" />
  </div>
</template>

<style scoped>
.actions {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}

section {
  margin-top: 22px;
  padding-top: 10px;
  border-top: 1px solid var(--ink);
}

section > * + * {
  margin-top: 8px;
}

h3 {
  margin: 10px 0 4px;
  font-size: 15px;
}

h3 .quiet {
  font-weight: 400;
}

.sealed {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
  justify-content: space-between;
  padding: 10px 0;
  border-top: 1px solid var(--hair);
}

.sealed > div {
  flex: 1 1 320px;
  min-width: 0;
}

.root {
  font-size: 12px;
  overflow-wrap: anywhere;
}

ul {
  margin: 0;
  padding: 0;
  list-style: none;
}

article li {
  display: flex;
  gap: 8px;
  align-items: baseline;
  padding: 4px 0;
}

.lacking {
  color: var(--fails);
}

details {
  border-bottom: 1px solid var(--hair);
}

summary {
  min-height: 44px;
  padding: 10px 0;
  cursor: pointer;
}

.lines a {
  display: block;
  padding: 6px 0;
}
</style>
