import { $gettext } from "../language/language";
import createClient, { type FetchResponse, type RequestBodyOption } from "openapi-fetch";
import { ref } from "vue";
import type { Address, Asked } from "./address";
import type { components, paths } from "./generated/types";

export type Schemas = components["schemas"];

/** What the server says when something cannot be done; see the problem package of the server. */
export interface Problem {
  status: number;
  detail: string;
  fields?: Record<string, string>;
  ask?: boolean;
  /** Name and password are right; the code of the second factor is wanted. */
  code?: boolean;
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
  detail: $gettext(
    "No connection to the server. Whether it was saved is not known; what you typed is still here. Try again.",
  ),
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
    detail: $gettext(
      "The server answered %{status} and no more. Load the page again and look whether it was saved.",
      { status: response.status },
    ),
  };
}

const http = createClient<paths>({
  baseUrl: location.origin,
  fetch: (request) => fetch(request),
  // what is a file or a text goes out as it is
  bodySerializer: (body: unknown) =>
    body instanceof Blob || typeof body === "string" ? body : JSON.stringify(body),
});

http.use({
  onRequest({ request }) {
    if (request.method !== "GET") {
      request.headers.set("X-XSRF-TOKEN", token());
    }
  },
  async onResponse({ request, response }) {
    if (!response.ok) {
      const problem = await problemOf(response);
      if (response.status === 401 && new URL(request.url).pathname !== "/api/session") {
        onSignedOut();
      }
      throw new ProblemError(problem);
    }
  },
  onError: () => new ProblemError(NO_CONNECTION),
});

type Method = "get" | "post" | "put" | "delete";
type Called<P extends keyof paths, M extends Method> = NonNullable<paths[P][M]>;
type Answer<P extends keyof paths, M extends Method> = NonNullable<
  FetchResponse<Called<P, M>, object, `${string}/${string}`>["data"]
>;
type Body<P extends keyof paths, M extends Method> =
  RequestBodyOption<Called<P, M>> extends { body?: infer B } ? B : never;

/** How a long upload is followed and ended. */
interface Upload {
  /** Hears how much has been sent, 0 to 1. */
  progress: (share: number) => void;
  signal: AbortSignal;
}

/** As fetch does, but telling how much has been sent, which fetch cannot. */
function sending({ progress, signal }: Upload) {
  return async (request: Request): Promise<Response> => {
    const body = await request.blob();
    return new Promise((done, failed) => {
      const xhr = new XMLHttpRequest();
      xhr.open(request.method, request.url);
      request.headers.forEach((value, name) => xhr.setRequestHeader(name, value));
      xhr.upload.onprogress = (event) => progress(event.loaded / event.total);
      xhr.onload = () => {
        const headers = { "Content-Type": xhr.getResponseHeader("Content-Type") ?? "" };
        done(new Response(xhr.responseText, { status: xhr.status, headers }));
      };
      xhr.onerror = () => failed(new TypeError("not sent"));
      xhr.onabort = () => failed(new TypeError("cancelled"));
      signal.addEventListener("abort", () => xhr.abort());
      xhr.send(body);
    });
  };
}

async function send(
  method: Method,
  address: string,
  body?: unknown,
  kind = "application/json",
  upload?: Upload,
  keepalive = false,
) {
  pending.value++;
  try {
    const by = upload && { fetch: sending(upload) };
    const init = body === undefined ? {} : { body, headers: { "Content-Type": kind }, keepalive, ...by };
    const answered = await http.request(method, address as never, init as never);
    return (answered as { data: unknown }).data as never;
  } finally {
    pending.value--;
  }
}

export const api = {
  get: <P extends Asked<"get">>(address: Address<P>): Promise<Answer<P, "get">> => send("get", address),
  post: <P extends Asked<"post">>(
    address: Address<P>,
    body: Body<P, "post">,
    kind?: string,
  ): Promise<Answer<P, "post">> => send("post", address, body, kind),
  /** The same, sent also where the page goes meanwhile. */
  postAnyway: <P extends Asked<"post">>(
    address: Address<P>,
    body: Body<P, "post">,
  ): Promise<Answer<P, "post">> => send("post", address, body, undefined, undefined, true),
  /** A file as it is; the server tells by its content what it is. */
  file: <P extends Asked<"post">>(
    address: Address<P>,
    file: Blob,
    kind = "application/octet-stream",
  ): Promise<Answer<P, "post">> => send("post", address, file, kind),
  /** A file that takes a while. */
  upload: <P extends Asked<"post">>(
    address: Address<P>,
    file: Blob,
    upload: Upload,
  ): Promise<Answer<P, "post">> => send("post", address, file, "application/octet-stream", upload),
  put: <P extends Asked<"put">>(address: Address<P>, body: Body<P, "put">): Promise<Answer<P, "put">> =>
    send("put", address, body),
  remove: <P extends Asked<"delete">>(address: Address<P>): Promise<Answer<P, "delete">> =>
    send("delete", address),
};
