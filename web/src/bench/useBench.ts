import { computed, ref, watch } from "vue";
import { at } from "../api/address";
import { api, type Schemas } from "../api/client";
import { sentence } from "../api/problems";
import { useUnits } from "../frame/useUnits";

type Chart = Schemas["ChartView"];
type Option = Chart["options"][number];

/** So much of what is shown is gone by one key or tap. */
const STEP = 0.2;
const ZOOM = 0.5;
const SHORTEST_S = 2;

/** A curve looked at closely: which part of it, on which scale, beside which other. */
export function useBench(of: () => { id: string; station: string; component: string | undefined }) {
  const { units } = useUnits();
  const room = ref({ width: 900, height: 480 });
  const from = ref(0);
  /** None while it is seen to its end. */
  const until = ref<number>();
  const options = ref<Option[]>([]);
  const beside = ref("");
  /** Where the cursor stands, as a share of what is shown. */
  const cursor = ref<number>();
  const chart = ref<Chart>();
  const problem = ref("");

  let asked = 0;
  let asking = false;
  let again = false;
  /** One at a time: while a pointer moves, what is asked for meanwhile waits for the answer. */
  async function look() {
    const { id, station, component } = of();
    if (!component) {
      return;
    }
    if (asking) {
      again = true;
      return;
    }
    asking = true;
    const mine = ++asked;
    try {
      const seen = await api.get(
        at("/api/installations/{id}/stations/{station}/curves/{component}", {
          path: { id, station, component },
          query: {
            units: units(),
            from: from.value,
            until: until.value,
            options: options.value.length ? options.value : undefined,
            beside: beside.value || undefined,
            cursor: cursor.value,
            ...room.value,
          },
        }),
      );
      if (mine === asked) {
        chart.value = seen;
        problem.value = "";
      }
    } catch (thrown) {
      problem.value = sentence(thrown);
    } finally {
      asking = false;
      if (again) {
        again = false;
        void look();
      }
    }
  }

  const lasting = computed(() => chart.value?.lasting ?? 0);
  const shown = computed(() => (chart.value ? chart.value.until - chart.value.from : 0));
  const zoomed = computed(() => from.value > 0 || until.value !== undefined);

  /** Shows from a moment on so much; never beyond the curve. */
  function show(begin: number, length: number) {
    const all = lasting.value;
    const long = Math.min(Math.max(length, SHORTEST_S), all);
    from.value = Math.max(0, Math.min(begin, all - long));
    until.value = long >= all ? undefined : from.value + long;
  }

  /** Nearer or farther, about the cursor where there is one. */
  function zoom(nearer: boolean, about = cursor.value ?? 0.5) {
    const length = shown.value * (nearer ? ZOOM : 1 / ZOOM);
    show((chart.value?.from ?? 0) + about * (shown.value - length), length);
  }

  function pan(shares: number) {
    show((chart.value?.from ?? 0) + shares * shown.value, shown.value);
  }

  /** Turns one of the ways this curve can be looked at on or off. */
  function choose(option: Option) {
    options.value = options.value.includes(option)
      ? options.value.filter((each) => each !== option)
      : chart.value?.options.includes(option)
        ? [...options.value, option]
        : options.value;
  }

  function whole() {
    from.value = 0;
    until.value = undefined;
  }

  watch(
    () => [of().id, of().station, of().component],
    () => {
      chart.value = undefined;
      whole();
      cursor.value = undefined;
      beside.value = "";
    },
  );
  watch([of, from, until, options, beside, cursor, room, units], () => void look(), {
    deep: true,
    immediate: true,
  });

  return {
    room,
    options,
    choose,
    beside,
    cursor,
    chart,
    problem,
    zoomed,
    zoom,
    pan,
    whole,
    look,
    later: () => pan(STEP),
    earlier: () => pan(-STEP),
  };
}
