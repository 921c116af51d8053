import { flushPromises, mount } from "@vue/test-utils";
import { afterEach, expect, test, vi } from "vitest";
import { ProblemError, type Schemas } from "../api/client";
import { answering } from "../api/mocked";
import VisitDialog from "./VisitDialog.vue";

vi.mock("../api/client", async (original) => ({
  ...(await original<typeof import("../api/client")>()),
  api: { post: vi.fn() },
}));
const post = answering("post");
afterEach(() => vi.resetAllMocks());

function dialog() {
  return mount(VisitDialog, {
    props: {
      modelValue: true,
      installation: {
        id: "i",
        visits: [{ stage: "before cover", visitedOn: "2026-08-18" }],
        scopes: [],
        components: [],
        subjects: [],
      } as unknown as Schemas["InstallationView"],
    },
    global: { stubs: { "el-dialog": { template: "<div><slot /></div>" } } },
  });
}

test("the next visit begins with its stage and day", async () => {
  const wrapper = dialog();
  expect(wrapper.find("ol").text()).toContain("before cover");
  await wrapper.find("select").setValue("FINAL");
  await wrapper.find("input").setValue("2026-11-25");
  post.mockResolvedValueOnce({});
  await wrapper.find("form").trigger("submit");
  await flushPromises();
  expect(post.mock.calls[0]).toEqual([
    "/api/installations/i/visits",
    { stage: "FINAL", visitedOn: "2026-11-25", unannounced: false },
  ]);
  expect(wrapper.emitted("begun")).toHaveLength(1);
});

test("a visit that cannot be is said and the dialog stays", async () => {
  const wrapper = dialog();
  post.mockRejectedValueOnce(new ProblemError({ status: 422, detail: "It cannot lie before the last." }));
  await wrapper.find("form").trigger("submit");
  await flushPromises();
  expect(wrapper.find("[role=alert]").text()).toContain("before the last");
  expect(wrapper.emitted("begun")).toBeUndefined();
});
