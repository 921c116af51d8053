import { createRouter, createWebHistory } from "vue-router";
import { at } from "./api/address";
import { api } from "./api/client";
import { useUnits } from "./frame/useUnits";
import { useSession } from "./session/useSession";
import { loadWords } from "./words/words";

declare module "vue-router" {
  interface RouteMeta {
    bare?: boolean;
  }
}

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: "/", redirect: "/register" },
    {
      path: "/sign-in",
      name: "sign-in",
      component: () => import("./session/SignInPage.vue"),
      meta: { bare: true },
    },
    { path: "/register", name: "register", component: () => import("./register/RegisterPage.vue") },
    {
      path: "/installations/:id/report",
      name: "report",
      component: () => import("./report/ReportPage.vue"),
      props: true,
    },
    {
      path: "/installations/:id/after",
      name: "after",
      component: () => import("./after/AfterPage.vue"),
      props: true,
    },
    {
      path: "/installations/:id/record",
      name: "records",
      component: () => import("./records/RecordsPage.vue"),
      props: true,
    },
    {
      path: "/installations/:id/site",
      name: "site",
      component: () => import("./site/SitePage.vue"),
      props: true,
    },
    {
      path: "/installations/:id/bench/:station",
      name: "bench",
      component: () => import("./bench/BenchPage.vue"),
      props: ({ params, query }) => ({
        id: params.id,
        station: params.station,
        component: typeof query.component === "string" ? query.component : undefined,
      }),
    },
    {
      path: "/installations/:id/:station",
      name: "walk",
      component: () => import("./walk/WalkPage.vue"),
      props: ({ params }) => ({ id: params.id, stationKey: params.station }),
    },
    { path: "/installations/:id", redirect: (to) => `/installations/${String(to.params.id)}/papers` },
    {
      path: "/corrections",
      name: "corrections",
      component: () => import("./corrections/CorrectionsPage.vue"),
    },
    {
      path: "/corrections/:id",
      name: "correction",
      component: () => import("./corrections/CorrectionPage.vue"),
      props: true,
    },
    {
      path: "/records/:id",
      name: "record",
      component: () => import("./records/RecordPage.vue"),
      props: true,
    },
    { path: "/crews", name: "crews", component: () => import("./records/CrewsPage.vue") },
    { path: "/seals", name: "seals", component: () => import("./after/SealsPage.vue") },
    { path: "/letters", name: "letters", component: () => import("./letters/LettersPage.vue") },
    { path: "/rule-books", name: "rule-books", component: () => import("./rulebooks/RuleBooksPage.vue") },
    { path: "/data-sheets", name: "data-sheets", component: () => import("./sheets/SheetsPage.vue") },
    {
      path: "/instruments",
      name: "instruments",
      component: () => import("./instruments/InstrumentsPage.vue"),
    },
    { path: "/people", name: "people", component: () => import("./people/PeoplePage.vue") },
    {
      path: "/calculators/:id?",
      name: "calculators",
      component: () => import("./calculators/CalculatorsPage.vue"),
    },
    { path: "/:rest(.*)*", redirect: "/register" },
  ],
});

router.beforeEach(async (to) => {
  const session = useSession();
  await Promise.all([session.load(), loadWords()]);
  if (!session.person.value && to.name !== "sign-in") {
    return { name: "sign-in", query: to.fullPath === "/register" ? {} : { to: to.fullPath } };
  }
  return true;
});

/** Whose units stand. */
let unitsOf = "";

// whichever page of an installation is opened first, it is shown in the units of its rule book
router.beforeEach(async (to) => {
  const id = to.path.startsWith("/installations/") ? String(to.params.id) : "";
  if (id && id !== unitsOf) {
    try {
      const { display } = await api.get(at("/api/installations/{id}", { path: { id } }));
      useUnits().ofBook.value = display;
      unitsOf = id;
    } catch {
      // what is wrong with it the page says
    }
  }
});
