import { vi, type Mock } from "vitest";
import { api } from "./client";

interface Asking {
  ask(address: string, body?: unknown, kind?: string): Promise<unknown>;
}
type Answering = Mock<Asking["ask"]>;

/** One of the ways to ask, as tests answer it: by the address, with anything. */
export function answering(method: keyof typeof api): Answering {
  return vi.mocked(api[method]) as unknown as Answering;
}

/** The same, where the rest of the client stays as it is. */
export function spied(method: keyof typeof api): Answering {
  return vi.spyOn(api, method) as unknown as Answering;
}
