import { useIntervalFn, useTimeoutFn } from "@vueuse/core";
import { ref, watch } from "vue";
import { at } from "../api/address";
import { api, type Schemas } from "../api/client";
import { useUnits } from "../frame/useUnits";

export type Live = Schemas["LiveView"];
type Act = Live["acts"][number]["act"];

/** Screens are drawn anew at most so often, however fast samples come. */
const AT_MOST_EVERY_MS = 2000;

const SOMETIMES_MS = 10_000;

const listening = ref<Live[]>([]);
/** Ids of the instruments that may send. */
const sending = ref<string[]>([]);
const { units } = useUnits();
let installation = "";

async function look() {
  const of = installation;
  const now = await api.get(
    at("/api/installations/{id}/live", { path: { id: of }, query: { units: units() } }),
  );
  if (of === installation) {
    listening.value = now;
  }
}

/** Follows what comes in at an installation; the answer ends it. */
function follow(id: string, changed: () => void): () => void {
  installation = id;
  listening.value = [];
  const looking = useTimeoutFn(
    () =>
      void look()
        .then(changed)
        .catch(() => undefined),
    AT_MOST_EVERY_MS,
    { immediate: false },
  );
  const again = () => looking.isPending.value || looking.start();
  let feed: EventSource | undefined;
  const unwatch = watch(
    () => listening.value.length > 0,
    (some) => {
      feed?.close();
      feed = undefined;
      if (some && typeof EventSource !== "undefined") {
        feed = new EventSource(`/api/installations/${id}/live/feed`);
        feed.addEventListener("samples", again);
        feed.addEventListener("changed", again);
      }
    },
  );
  // another device may let a line listen: that is noticed without a feed of its own
  const asking = useIntervalFn(() => {
    if (!feed) {
      void look().catch(() => undefined);
    }
  }, SOMETIMES_MS);
  void look().catch(() => undefined);
  void askSenders().catch(() => undefined);
  return () => {
    unwatch();
    asking.pause();
    looking.stop();
    feed?.close();
    listening.value = [];
  };
}

interface OfLine {
  point: string;
  component: string;
}

function senders(line: OfLine) {
  return api.get(
    at("/api/installations/{id}/live/senders", {
      path: { id: installation },
      query: { point: line.point, component: line.component },
    }),
  );
}

async function askSenders() {
  sending.value = await api.get(at("/api/installations/{id}/live/sending", { path: { id: installation } }));
}

/** What instruments that fit a line show in this moment. */
function shownNow(line: OfLine) {
  return api.get(
    at("/api/installations/{id}/live/shown", {
      path: { id: installation },
      query: { point: line.point, component: line.component, units: units() },
    }),
  );
}

async function listen(line: OfLine, instrument: string) {
  await api.post(at("/api/installations/{id}/live", { path: { id: installation } }), {
    id: crypto.randomUUID(),
    point: line.point,
    component: line.component,
    instrument,
  });
  await look();
}

/** Kept while it is tried again, so that a curve becomes one reading however often it is sent. */
const readings = new Map<string, string>();

async function keep(live: Live) {
  const reading = readings.get(live.id) ?? crypto.randomUUID();
  readings.set(live.id, reading);
  await api.post(at("/api/installations/{id}/live/{listening}/keep", ofListening(live)), { reading });
  await look();
}

function ofListening(live: Live) {
  return { path: { id: installation, listening: live.id } };
}

async function mark(live: Live, act: Act) {
  await api.post(at("/api/installations/{id}/live/{listening}/mark", ofListening(live)), { act });
  await look();
}

async function unmark(live: Live, mark: Live["marks"][number]) {
  await api.post(at("/api/installations/{id}/live/{listening}/unmark", ofListening(live)), {
    act: mark.act,
    at: mark.at,
  });
  await look();
}

async function leave(live: Live) {
  await api.post(at("/api/installations/{id}/live/{listening}/leave", ofListening(live)), undefined as never);
  await look();
}

/** Lines that listen to instruments at the installation looked at. */
export function useLive() {
  return {
    follow,
    senders,
    sending,
    shownNow,
    listen,
    keep,
    leave,
    mark,
    unmark,
    on: (line: OfLine) =>
      listening.value.find((live) => live.point === line.point && live.component === line.component),
  };
}
