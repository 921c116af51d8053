import { ref } from "vue";
import type { components } from "./generated/types";

export type Schemas = components["schemas"];

/** What the server says when something cannot be done; see the problem package of the server. */
export interface Problem {
  status: number;
  detail: string;
  fields?: Record<string, string>;
  ask?: boolean;
  choices?: string[];
  yours?: unknown;
  theirs?: unknown;
  problems?: { line: number; key: string; message: string }[];
}

export class ProblemError extends Error {
  constructor(readonly problem: Problem) {
    super(problem.detail);
  }
}

/** Requests under way, for the progress line. */
export const pending = ref(0);

/** Called when the server says that nobody is signed in any more. */
let onSignedOut = () => {};
export function whenSignedOut(action: () => void) {
  onSignedOut = action;
}

const NO_CONNECTION: Problem = {
  status: 0,
  detail:
    "No connection to the server. Whether it was saved is not known; what you typed is still here. Try again.",
};

function token(): string {
  const cookie = document.cookie.split("; ").find((c) => c.startsWith("XSRF-TOKEN="));
  return cookie ? decodeURIComponent(cookie.slice("XSRF-TOKEN=".length)) : "";
}

async function problemOf(response: Response): Promise<Problem> {
  const kind = response.headers.get("Content-Type") ?? "";
  if (kind.includes("problem+json")) {
    return (await response.json()) as Problem;
  }
  return {
    status: response.status,
    detail: `The server answered ${response.status} and no more. Load the page again and look whether it was saved.`,
  };
}

function asSent(body: unknown, contentType?: string): BodyInit | undefined {
  if (body === undefined || body instanceof Blob) {
    return body;
  }
  return contentType ? String(body) : JSON.stringify(body);
}

async function send<T>(method: string, path: string, body?: unknown, contentType?: string): Promise<T> {
  pending.value++;
  try {
    const headers: Record<string, string> = {};
    if (method !== "GET") {
      headers["X-XSRF-TOKEN"] = token();
      headers["Content-Type"] = contentType ?? "application/json";
    }
    let response: Response;
    try {
      response = await fetch(path, {
        method,
        headers,
        body: asSent(body, contentType),
      });
    } catch {
      throw new ProblemError(NO_CONNECTION);
    }
    if (!response.ok) {
      const problem = await problemOf(response);
      if (response.status === 401 && path !== "/api/session") {
        onSignedOut();
      }
      throw new ProblemError(problem);
    }
    return response.status === 204 ? (undefined as T) : ((await response.json()) as T);
  } finally {
    pending.value--;
  }
}

export const api = {
  get: <T>(path: string) => send<T>("GET", path),
  post: <T>(path: string, body: unknown, contentType?: string) => send<T>("POST", path, body, contentType),
  /** A file as it is; the server tells by its content what it is. */
  file: <T>(path: string, file: Blob) => send<T>("POST", path, file, "application/octet-stream"),
  put: <T>(path: string, body: unknown) => send<T>("PUT", path, body),
  remove: (path: string) => send<void>("DELETE", path),
};
