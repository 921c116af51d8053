import { flushPromises, mount } from "@vue/test-utils";
import { afterEach, expect, test, vi } from "vitest";
import { ProblemError } from "../api/client";
import { answering } from "../api/mocked";
import { notice } from "../frame/notice";
import LettersPage from "./LettersPage.vue";
import MailChoice from "./MailChoice.vue";

vi.mock("../api/client", async (original) => ({
  ...(await original<typeof import("../api/client")>()),
  api: { get: vi.fn(), put: vi.fn() },
}));
vi.mock("../frame/notice", () => ({ notice: { problem: vi.fn(), done: vi.fn() } }));
const get = answering("get");
const put = answering("put");

const MAIL = {
  address: "",
  kinds: ["RAISED", "RECORD"],
  version: 3,
  sends: true,
  offered: ["RAISED", "RECORD"],
};

afterEach(() => vi.resetAllMocks());

test("an address and what comes there are saved with the version that was seen", async () => {
  get.mockResolvedValue({ ...MAIL });
  put.mockResolvedValue({ ...MAIL, address: "wren@undanus.example", version: 4 });
  const wrapper = mount(MailChoice);
  await flushPromises();
  expect(get).toHaveBeenCalledWith("/api/mail");
  expect(wrapper.text()).not.toContain("What is said and done");
  await wrapper.find("input.field").setValue(" wren@undanus.example ");
  await wrapper.findAll("input[type=checkbox]")[0]?.setValue(false);
  await wrapper.find("form").trigger("submit");
  await flushPromises();
  expect(put).toHaveBeenCalledWith("/api/mail", {
    address: "wren@undanus.example",
    kinds: ["RECORD"],
    version: 3,
  });
  expect(notice.done).toHaveBeenCalledWith("Letters go to wren@undanus.example.");
});

test("the lead chooses for somebody; what is no address is named, and what was typed stays", async () => {
  get.mockResolvedValue({ ...MAIL, sends: false });
  put.mockRejectedValue(
    new ProblemError({ status: 400, detail: "Please correct.", fields: { address: "is no mail address" } }),
  );
  const wrapper = mount(MailChoice, { props: { name: "wren" } });
  await flushPromises();
  expect(get).toHaveBeenCalledWith("/api/people/wren/mail");
  expect(wrapper.text()).toContain("No mail server is set up here");
  await wrapper.find("input.field").setValue("wren@undanus");
  await wrapper.find("form").trigger("submit");
  await flushPromises();
  expect(wrapper.find("[role=alert]").text()).toContain("Please correct.");
  expect(wrapper.find<HTMLInputElement>("input.field").element.value).toBe("wren@undanus");
  expect(wrapper.find("input.field").attributes("aria-invalid")).toBe("true");
  expect(notice.done).not.toHaveBeenCalled();
});

test("each letter says how it fares by mail, and what the stand-in got can be read", async () => {
  const fates = [
    { to: "Wren", state: "SENT", said: "" },
    { to: "Finch", state: "WAITING", said: "" },
    { to: "Rook", state: "WAITING", said: "Connection refused" },
    { to: "Crow", state: "FAILED", said: "550 no such user here" },
    { to: "Jay", state: "DROPPED", said: "" },
  ];
  const letter = {
    id: "l",
    installationId: "i",
    crew: "",
    subject: "LH-07: 1 correction",
    writtenAt: "2026-11-25T10:00:00Z",
  };
  const stand = {
    from: "Inspection office <office@undanus.invalid>",
    to: "wren@undanus.example",
    subject: "LH-07: 1 correction",
    sentAt: "2026-11-25T10:00:00Z",
    words: "At LH-07 this is to be put right:",
  };
  get.mockImplementation((address) =>
    Promise.resolve(
      {
        "/api/letters": [
          { ...letter, deliveries: fates },
          { ...letter, id: "m", crew: "Nettlebank", deliveries: [] },
        ],
        "/api/simulated/mail": [stand],
        "/api/mail": { ...MAIL },
      }[address],
    ),
  );
  const wrapper = mount(LettersPage, { global: { stubs: { RouterLink: { template: "<a><slot /></a>" } } } });
  await flushPromises();
  expect(wrapper.findAll(".fate").map((fate) => fate.text())).toEqual([
    "sent to Wren",
    "on its way to Finch",
    "waits for Rook, tried and not taken: Connection refused",
    "not delivered to Crow: 550 no such user here",
    "no longer wanted by Jay",
  ]);
  expect(wrapper.find("table").text()).toContain("to nobody");
  expect(wrapper.find("table").text()).toContain("Inspection office");
  expect(wrapper.find("pre").text()).toBe("At LH-07 this is to be put right:");
});
