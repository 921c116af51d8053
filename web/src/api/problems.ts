import { $gettext } from "../language/language";
import { ProblemError } from "./client";

/** The sentence to show for anything thrown. */
export function sentence(thrown: unknown): string {
  return thrown instanceof ProblemError
    ? thrown.problem.detail
    : $gettext("Something went wrong on this page. Load it again.");
}
