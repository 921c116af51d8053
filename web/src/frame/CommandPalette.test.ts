import { flushPromises, mount } from "@vue/test-utils";
import { afterEach, expect, test, vi } from "vitest";
import { ref } from "vue";
import { spied } from "../api/mocked";
import CommandPalette from "./CommandPalette.vue";

const push = vi.fn();
const current = ref({ path: "/installations/i7/siting", params: { id: "i7" } as Record<string, string> });
vi.mock("vue-router", () => ({ useRouter: () => ({ push, currentRoute: current }) }));
const get = spied("get");

afterEach(() => vi.clearAllMocks());

async function palette(found: unknown[]) {
  get.mockImplementation((path: string) =>
    Promise.resolve(path.startsWith("/api/find") ? found : { entries: [] }),
  );
  const wrapper = mount(CommandPalette, {
    props: { actions: [{ title: "Calculators", detail: "page", go: vi.fn() }] },
    global: {
      stubs: {
        "el-dialog": { props: ["modelValue"], template: "<div v-if='modelValue'><slot /></div>" },
      },
    },
  });
  await (wrapper.vm as unknown as { show: () => Promise<void> }).show();
  await flushPromises();
  return wrapper;
}

test("whatever is called so is found by the server, of the installation in hand, and gone to", async () => {
  const wrapper = await palette([
    { title: "Sound at a distance", detail: "calculator", address: "/calculators/sound" },
    { title: "Sound measured", detail: "line, Siting", address: "/installations/i7/siting?line=a@b" },
  ]);
  await wrapper.find("input").setValue("sound");
  await wrapper.find("input").trigger("keydown", { key: "Enter" });
  await flushPromises();
  expect(get.mock.calls.map(([path]) => path)).toContain("/api/find?words=sound&installation=i7");
  expect(push).toHaveBeenCalledWith("/calculators/sound");
});

test("away from an installation none is looked through, and what nobody calls so says so", async () => {
  current.value = { path: "/register", params: {} };
  const wrapper = await palette([]);
  await wrapper.find("input").setValue("moon");
  await new Promise((done) => setTimeout(done, 250));
  await flushPromises();
  expect(get.mock.calls.at(-1)?.[0]).toBe("/api/find?words=moon");
  expect(wrapper.text()).toContain("Nothing by that name");
});
