import type { RouterContextProvider } from "react-router";
import { stampOf } from "~data/stamps";
import type { Tx } from "~data/database";
import { serialised, type Serialised } from "~app/serialised";
import { PracticeCache } from "./practice-cache.server";
import { inSession, type Session } from "./request/session.server";
import { today } from "./today.server";

/**
 * What is computed from a client's records is computed once for each change of them: what was made of them is kept under
 * the stamp they stand at, which every process asks the database for. What is handed out is shared: nobody writes to it.
 */
type Kept = { stamp: string; value: unknown };

/** By length as JSON: about a tenth of the memory that a process may take. */
const lengthOf = ({ value }: Kept) => JSON.stringify(value ?? null).length + 500;
const pages = new PracticeCache<Kept>(12_000_000, lengthOf);
const parts = new PracticeCache<Kept>(12_000_000, lengthOf);

/** The same, which nobody can write to any more. */
function frozen<T>(value: T): T {
  if (typeof value !== "object" || value === null || Object.isFrozen(value)) return value;
  Object.freeze(value);
  Object.values(value).forEach(frozen);
  return value;
}

async function under<T>(cache: PracticeCache<Kept>, tx: Tx, key: string, stamp: string, make: () => Promise<T>) {
  const made = async () => ({ stamp, value: frozen(await make()) });
  return (await cache.of(tx, key, made, (kept) => kept.stamp === stamp)).value as T;
}

/**
 * A part that follows from a client's records and what the practice shares, and from `as`, which names it together with
 * all else that it takes: records among it that were read before, for they may be older than the stamp.
 */
export const partOf = async <T>(tx: Tx, clientId: string, as: string, make: () => Promise<T>): Promise<T> =>
  under(parts, tx, `${clientId} ${as}`, await stampOf(tx, clientId), make);

/** Addresses ask for visits and moments; longer ones are nothing that a page of ours made. */
const mostSearch = 100;

/**
 * A loader's answer about a client: kept for whoever asks, for the address they ask at, for the day, and for as long as
 * the client's records stand as they do. `also` says what else it follows from.
 */
export function cachedLoader<T>(
  asked: { request: Request; params: { clientId: string }; context: Readonly<RouterContextProvider> },
  as: string,
  work: (session: Session) => Promise<T>,
  also: (tx: Tx, clientId: string) => Promise<string> = () => Promise.resolve(""),
): Promise<Serialised<T>> {
  return inSession(asked.context, async (session) => {
    const { tx, practitioner } = session;
    const { clientId } = asked.params;
    const search = new URL(asked.request.url).searchParams;
    search.delete("_routes");
    search.sort();
    if (search.toString().length > mostSearch) return serialised(await work(session));
    // who asks was found before the stamp was: a change of theirs may have come between
    const { settings, library, name, practiceName } = practitioner;
    const own = JSON.stringify([settings, library, name, practiceName]);
    const stamp = [await stampOf(tx, clientId), today(), own, await also(tx, clientId)].join(" ");
    return under(pages, tx, `${practitioner.id} ${clientId} ${as} ${search.toString()}`, stamp, async () =>
      serialised(frozen(await work(session))),
    );
  });
}
