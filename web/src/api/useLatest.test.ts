import { flushPromises } from "@vue/test-utils";
import { afterEach, expect, test } from "vitest";
import { ref } from "vue";
import { ProblemError } from "./client";
import { spied } from "./mocked";
import { useLatest } from "./useLatest";

const get = spied("get");

afterEach(() => {
  get.mockReset();
});

test("of another subject nothing old is shown, of the same one the last answer stands", async () => {
  const subject = ref("a");
  const stamp = ref(0);
  get.mockResolvedValue("first");
  const { value } = useLatest(subject, () => `/${subject.value}` as never, stamp);
  await flushPromises();
  let answer: (said: string) => void = () => {};
  get.mockImplementation(() => new Promise((resolve) => (answer = resolve as typeof answer)));
  stamp.value++;
  await flushPromises();
  expect(value.value).toBe("first");
  answer("second");
  await flushPromises();
  expect(value.value).toBe("second");
  subject.value = "b";
  expect(value.value).toBeUndefined();
  await flushPromises();
  expect(get).toHaveBeenLastCalledWith("/b");
});

test("a late answer for the subject before is dropped", async () => {
  const subject = ref("a");
  let late: (said: string) => void = () => {};
  get.mockImplementationOnce(() => new Promise((resolve) => (late = resolve as typeof late)));
  const { value } = useLatest(subject, () => `/${subject.value}` as never, ref(0));
  get.mockResolvedValue("of b");
  subject.value = "b";
  await flushPromises();
  late("of a");
  await flushPromises();
  expect(value.value).toBe("of b");
});

test("without an address nothing is asked; what fails is said", async () => {
  const address = ref("");
  const { problem } = useLatest(ref("a"), () => address.value as never, ref(0));
  await flushPromises();
  expect(get).not.toHaveBeenCalled();
  get.mockRejectedValue(new ProblemError({ status: 503, detail: "Busy." }));
  address.value = "/a";
  await flushPromises();
  expect(problem.value).toBe("Busy.");
});
