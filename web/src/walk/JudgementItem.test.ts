import { mount } from "@vue/test-utils";
import { expect, test } from "vitest";
import JudgementItem from "./JudgementItem.vue";
import { judgement } from "./judgement.fixture";
import VerdictMark from "../shown/VerdictMark.vue";
import { words } from "../words/words";

test("a failure says why and what to do without being opened", () => {
  const text = mount(JudgementItem, { props: { judgement, chosen: false } }).text();
  expect(text).toContain("Fails");
  expect(text).toContain("10 A over.");
  expect(text).toContain("Have a 40 A device fitted.");
  expect(text).not.toContain("Supply locked off.");
});

test("chosen, it shows caution, actions and the other schools", () => {
  const text = mount(JudgementItem, { props: { judgement, chosen: true } }).text();
  expect(text).toContain("Supply locked off.");
  expect(text).toContain("correction");
  expect(text).toContain("by Design current");
});

test("a correction is offered only where there is something to correct and none is open", () => {
  const meets = mount(JudgementItem, {
    props: { judgement: { ...judgement, verdict: "MEETS" }, chosen: true },
  });
  expect(meets.text()).not.toContain("correction");
  const open = mount(JudgementItem, {
    props: { judgement, chosen: true, correction: { number: 3 } as never },
  });
  expect(open.findAll("button").map((b) => b.text())).not.toContain("fcorrection");
  expect(open.text()).toContain("Correction 3 is open.");
});

test("its buttons ask for what they say", async () => {
  const item = mount(JudgementItem, { props: { judgement, chosen: true } });
  for (const [title, event] of [
    ["Why (w)", "why"],
    ["Evidence (e)", "evidence"],
    ["Raise a correction (f)", "correct"],
  ] as const) {
    await item.find(`[title="${title}"]`).trigger("click");
    expect(item.emitted(event)).toHaveLength(1);
  }
});

test("every verdict has a shape of its own and its word", () => {
  const shapes = words.verdicts.map(({ id: verdict, title }) => {
    const mark = mount(VerdictMark, { props: { verdict, worded: true } });
    expect(mark.text()).toBe(title);
    return mark
      .find("svg")
      .html()
      .replace(/<title>.*?<\/title>/, "");
  });
  expect(new Set(shapes).size).toBe(words.verdicts.length);
});

test("a mark without its word tells it to those who cannot see it", () => {
  const mark = mount(VerdictMark, { props: { verdict: "NOT_SHOWN" } });
  expect(mark.find("title").text()).toBe("Not shown");
});
