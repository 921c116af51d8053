import { mount, RouterLinkStub } from "@vue/test-utils";
import { expect, test } from "vitest";
import type { Schemas } from "../api/client";
import RoutePipe from "./RoutePipe.vue";

function station(key: string, over: Partial<Schemas["RouteStation"]>): Schemas["RouteStation"] {
  return {
    key,
    number: 1,
    title: key,
    built: true,
    read: 0,
    unread: 0,
    open: 0,
    said: "",
    lines: 4,
    undecided: 0,
    waits: [],
    worst: "NOT_SHOWN",
    counts: {},
    ...over,
  };
}

function route(stations: Schemas["RouteStation"][], current = "") {
  return mount(RoutePipe, {
    props: { id: "7", stations, current },
    global: { stubs: { RouterLink: RouterLinkStub }, components: { RouterLink: RouterLinkStub } },
  });
}

test("a station says how far it is read and what fails there", () => {
  const text = route([station("siting", { read: 3, counts: { FAILS: 2, MEETS: 1 }, worst: "FAILS" })]).text();
  expect(text).toContain("3 of 4");
  expect(text).toContain("2 fail");
});

test("a station that is not judged yet says so and leads nowhere", () => {
  const wrapper = route([station("access", { built: false })]);
  expect(wrapper.text()).toContain("not yet judged here");
  expect(wrapper.findComponent(RouterLinkStub).exists()).toBe(false);
});

test("the station in hand is marked for eyes and ears", () => {
  const wrapper = route([station("papers", {}), station("siting", { number: 2 })], "siting");
  expect(wrapper.findAll("[aria-current=page]")).toHaveLength(1);
  expect(wrapper.find(".current").text()).toContain("siting");
  expect(wrapper.findAllComponents(RouterLinkStub)[1]!.props("to")).toBe("/installations/7/siting");
});

test("a station whose lines are all read is a filled fitting", () => {
  const wrapper = route([station("papers", { read: 4 }), station("siting", { read: 3 })]);
  expect(wrapper.findAll(".done")).toHaveLength(1);
});

test("what could not be read is told apart, and its station is done all the same", () => {
  const wrapper = route([station("siting", { read: 3, unread: 1 })]);
  expect(wrapper.find(".state").text()).toContain("3 of 4, 1 not");
  expect(wrapper.find(".station").classes()).toContain("done");
});
