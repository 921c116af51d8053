import { flushPromises, mount } from "@vue/test-utils";
import { afterEach, expect, test, vi } from "vitest";
import { ProblemError, type Schemas } from "../api/client";
import { answering } from "../api/mocked";
import PartsList from "./PartsList.vue";

vi.mock("../api/client", async (original) => ({
  ...(await original<typeof import("../api/client")>()),
  api: { post: vi.fn(), remove: vi.fn() },
}));
const post = answering("post");
const remove = answering("remove");
afterEach(() => vi.resetAllMocks());

function list() {
  return mount(PartsList, {
    props: {
      installation: {
        id: "i",
        components: [{ id: "indoor-1", kind: "INDOOR_WALL", title: "Wall unit", ownSupply: false }],
        subjects: [
          {
            id: "line-set-indoor-1",
            kind: "LINE_SET",
            kindTitle: "line set",
            title: "Line set, Wall unit",
            joins: [],
            added: false,
          },
          {
            id: "joint-1",
            kind: "JOINT",
            kindTitle: "joint",
            title: "Flare",
            joins: ["Wall unit"],
            added: true,
          },
        ],
      } as unknown as Schemas["InstallationView"],
    },
  });
}

test("a part is added with what it joins, and only what was added can be removed", async () => {
  const wrapper = list();
  expect(wrapper.findAll("li button")).toHaveLength(1);
  await wrapper.find("input[required]").setValue("Second flare");
  expect(wrapper.get("[type=submit]").attributes("disabled")).toBeDefined();
  await wrapper.find("input[type=checkbox]").setValue(true);
  post.mockResolvedValueOnce({});
  await wrapper.find("form").trigger("submit");
  await flushPromises();
  expect(post.mock.calls[0]).toEqual([
    "/api/installations/i/subjects",
    { kind: "JOINT", title: "Second flare", joins: ["indoor-1"] },
  ]);
  remove.mockResolvedValueOnce(undefined);
  await wrapper.find("li button").trigger("click");
  await flushPromises();
  expect(remove).toHaveBeenCalledWith("/api/installations/i/subjects/joint-1");
  expect(wrapper.emitted("changed")).toHaveLength(2);
});

test("what cannot be added is said and stays typed", async () => {
  const wrapper = list();
  await wrapper.find("input[required]").setValue("Flare");
  post.mockRejectedValueOnce(new ProblemError({ status: 422, detail: "It joins nothing." }));
  await wrapper.find("form").trigger("submit");
  await flushPromises();
  expect(wrapper.get("[role=alert]").text()).toContain("joins nothing");
  expect((wrapper.find("input[required]").element as HTMLInputElement).value).toBe("Flare");
});
