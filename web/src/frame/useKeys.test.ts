import { mount } from "@vue/test-utils";
import { beforeEach, expect, test, vi } from "vitest";
import { defineComponent, h, nextTick } from "vue";
import { KEYS, useKeys, useSingleKeys } from "./useKeys";

const next = vi.fn();
const palette = vi.fn();
const Page = defineComponent({
  setup() {
    useKeys({ n: next, Enter: next, "Ctrl K": palette });
    return {};
  },
  render: () => h("div", [h("input"), h("button")]),
});

function press(target: EventTarget, key: string, over: KeyboardEventInit = {}) {
  target.dispatchEvent(new KeyboardEvent("keydown", { key, bubbles: true, cancelable: true, ...over }));
}

beforeEach(() => {
  next.mockReset();
  palette.mockReset();
  vi.spyOn(Element.prototype, "getClientRects").mockReturnValue([{}] as never);
});

test("a key does its work on the page but not while something is typed", () => {
  const page = mount(Page, { attachTo: document.body });
  press(document.body, "n");
  expect(next).toHaveBeenCalledOnce();
  press(page.find("input").element, "n");
  expect(next).toHaveBeenCalledOnce();
  page.unmount();
});

test("with Ctrl held a letter is the browser's own, but Ctrl K is ours even while typing", () => {
  const page = mount(Page, { attachTo: document.body });
  press(document.body, "n", { ctrlKey: true });
  expect(next).not.toHaveBeenCalled();
  press(page.find("input").element, "k", { ctrlKey: true });
  expect(palette).toHaveBeenCalledOnce();
  page.unmount();
});

test("Enter on a button presses it, and is a key of the page elsewhere", () => {
  const page = mount(Page, { attachTo: document.body });
  press(page.find("button").element, "Enter");
  expect(next).not.toHaveBeenCalled();
  press(document.body, "Enter");
  expect(next).toHaveBeenCalledOnce();
  page.unmount();
});

test("Escape leaves the field", () => {
  const page = mount(Page, { attachTo: document.body });
  const input = page.find("input").element;
  input.focus();
  press(input, "Escape");
  expect(document.activeElement).not.toBe(input);
  page.unmount();
});

test("an open dialog keeps the page's keys quiet", () => {
  const page = mount(Page, { attachTo: document.body });
  const overlay = document.createElement("div");
  overlay.className = "el-overlay";
  document.body.append(overlay);
  press(document.body, "n");
  expect(next).not.toHaveBeenCalled();
  overlay.remove();
  page.unmount();
});

test("a page that is gone listens no longer", () => {
  mount(Page, { attachTo: document.body }).unmount();
  press(document.body, "n");
  expect(next).not.toHaveBeenCalled();
});

test("every key of the help is said once", () => {
  expect(new Set(KEYS.map((k) => k.key)).size).toBe(KEYS.length);
});

test("single keys can be switched off; the palette's key stays", async () => {
  const page = mount(Page, { attachTo: document.body });
  const { toggle } = useSingleKeys();
  toggle();
  press(document.body, "n");
  expect(next).not.toHaveBeenCalled();
  press(document.body, "k", { ctrlKey: true });
  expect(palette).toHaveBeenCalledOnce();
  await nextTick();
  expect(localStorage.getItem("single-keys")).toBe("no");
  toggle();
  press(document.body, "n");
  expect(next).toHaveBeenCalledOnce();
  page.unmount();
});
