import { ref, shallowRef } from "vue";
import { at } from "../api/address";
import { api, type Schemas } from "../api/client";

const person = shallowRef<Schemas["Person"]>();
/** Whether this person has a second factor, and whether their role needs one that is not set up. */
const factor = ref({ has: false, due: false });
const demoAccounts = ref<Schemas["Account"][]>([]);
let loading: Promise<void> | undefined;

function take(session: Schemas["Session"]) {
  person.value = session.person;
  demoAccounts.value = session.demoAccounts;
  factor.value = { has: session.secondFactor, due: session.secondFactorDue };
}

/** Who is signed in. */
export function useSession() {
  return {
    person,
    demoAccounts,
    factor,
    /** After the second factor was set up or taken away. */
    async again() {
      take(await api.get(at("/api/session")));
    },
    /** Asks the server once; a failed question may be asked again. */
    load(): Promise<void> {
      loading ??= api
        .get(at("/api/session"))
        .then(take)
        .catch(() => {
          loading = undefined;
        });
      return loading;
    },
    async signIn(name: string, password: string, code?: string) {
      take(await api.post(at("/api/session"), { name, password, code: code || undefined }));
    },
    async signOut() {
      await api.remove(at("/api/session"));
      person.value = undefined;
      loading = undefined;
    },
    /** The server has ended the session. */
    ended() {
      person.value = undefined;
    },
  };
}
