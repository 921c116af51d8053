import {
  createFinalURL,
  createQuerySerializer,
  defaultPathSerializer,
  type ClientPathsWithMethod,
  type Client,
} from "openapi-fetch";
import type { paths } from "./generated/types";

export type Path = keyof paths;
type Operation<P extends Path> = Exclude<
  paths[P][keyof paths[P] & ("get" | "post" | "put" | "delete")],
  undefined
>;
type Part<O, K extends "path" | "query"> = O extends { parameters: { [key in K]?: infer V } } ? V : never;
type Filled<V> = [V] extends [never] ? object : V;

/** What stands in an address and behind it; both as the description of the server's interface has them. */
export interface Parts<P extends Path> {
  path?: Filled<Part<Operation<P>, "path">>;
  query?: Filled<Part<Operation<P>, "query">>;
}

declare const described: unique symbol;
/** An address of the server that is known to be one. */
export type Address<P extends Path> = string & { readonly [described]: P };

/** The paths that can be asked in this way. */
export type Asked<M extends "get" | "post" | "put" | "delete"> = ClientPathsWithMethod<Client<paths>, M>;

const querySerializer = createQuerySerializer();

/** Fills an address in; what is undefined or empty is left out of its query. */
export function at<P extends Path>(path: P, parts: Parts<P> = {}): Address<P> {
  const query: [string, unknown][] = Object.entries(parts.query ?? {}).filter(
    ([, value]) => value !== undefined && value !== "",
  );
  const url = createFinalURL(path, {
    baseUrl: "",
    params: { path: parts.path as Record<string, unknown> | undefined, query: Object.fromEntries(query) },
    querySerializer,
    pathSerializer: defaultPathSerializer,
  });
  return url as Address<P>;
}
