import { at } from "../api/address";
import { api } from "../api/client";
import { useFollowing } from "../frame/useFollowing";

/**
 * A change being tried on the archive, followed until it is done.
 *
 * @param failed hears what went wrong on the way
 */
export function useTrial(failed: (thrown: unknown) => void) {
  const { followed: trial, ...rest } = useFollowing(
    (id) => api.get(at("/api/trials/{id}", { path: { id } })),
    (id) => api.remove(at("/api/trials/{id}", { path: { id } })),
    failed,
  );
  return { trial, ...rest };
}
