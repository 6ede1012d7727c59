import { startTransition, useCallback, useEffect, useMemo, useRef, useState } from "react";
import { deliver, pieceOf } from "./deliver";
import { signedInAgain } from "./signed-in";
import { OutboxStore, type Logged, type SetAside } from "./outbox-store";

/** Omits the id and time, which are given when an event is made. */
export type NewEvent<E extends Logged> = E extends Logged ? Omit<E, "id" | "at"> : never;

/** Whether what is pressed reaches the server: it does; there is no network; the server says "not now"; sign-in has ended. */
export type Reach = "reached" | "no network" | "not now" | "signed out";

const nowhere = {
  getItem: () => null,
  setItem: () => undefined,
  removeItem: () => undefined,
  key: () => null,
  length: 0,
};

type Log<E> = { confirmed: readonly E[]; outbox: readonly E[]; aside: readonly SetAside<E>[] };

/**
 * A log of what was pressed: what the server has, and what still waits to reach it at `url`. Every event goes to this
 * browser's storage (under `key`) before anything else, and leaves it only when the server has confirmed it: a reload, a
 * lost network or a killed server lose nothing. What the server refuses is set aside with its reason and holds up nothing.
 * Tabs that show the same log follow each other. `quietMs`: several that are pressed one after the other go together.
 */
export function useOutbox<E extends Logged>(key: string, url: string, stored: readonly E[], quietMs = 0) {
  const store = useMemo(
    () => new OutboxStore<E>(typeof localStorage === "undefined" ? nowhere : localStorage, key),
    [key],
  );
  // all in one: an event is always in one of them, whichever change is drawn first
  const [{ confirmed, outbox, aside }, setLog] = useState<Log<E>>({ confirmed: stored, outbox: [], aside: [] });
  const [reach, setReach] = useState<Reach>("reached");
  const busy = useRef(false);
  const again = useRef<number | undefined>(undefined);

  const send = useCallback(async () => {
    if (busy.current) return;
    const piece = pieceOf(store.waiting());
    if (piece.length === 0) return;
    busy.current = true;
    const answer = await deliver(url, piece, fetch);
    busy.current = false;
    if (answer.kind === "answered") {
      const there = new Set(answer.stored);
      for (const id of answer.stored) store.confirm(id);
      for (const { id, reason } of answer.refused) store.refuse(id, reason);
      // nothing that is seen changes much by it: whatever is drawn meanwhile comes first
      startTransition(() => {
        setLog((log) => ({
          confirmed: [...log.confirmed, ...piece.filter((event) => there.has(event.id))],
          outbox: store.waiting(),
          aside: store.setAside(),
        }));
        setReach("reached");
      });
    } else setReach(answer.kind === "signed out" ? "signed out" : answer.reached ? "not now" : "no network");
    window.clearTimeout(again.current);
    if (store.waiting().length > 0)
      again.current = window.setTimeout(() => void send(), answer.kind === "answered" ? 0 : 1500);
  }, [store, url]);

  useEffect(() => {
    for (const event of stored) store.confirm(event.id);
    setLog((log) => ({ ...log, outbox: store.waiting(), aside: store.setAside() }));
    void send();
    const back = () => void send();
    // what another tab adds, has confirmed or sets aside
    const elsewhere = ({ key: changed, oldValue, newValue }: StorageEvent) => {
      const about = store.about(changed);
      if (!about) return;
      const gone = about.what === "waits" && newValue === null && oldValue !== null && !store.isAside(about.id);
      setLog((log) => ({
        confirmed: gone ? [...log.confirmed, (JSON.parse(oldValue) as { event: E }).event] : log.confirmed,
        outbox: store.waiting(),
        aside: store.setAside(),
      }));
    };
    window.addEventListener("online", back);
    document.addEventListener("visibilitychange", back);
    window.addEventListener("pagehide", back);
    window.addEventListener("storage", elsewhere);
    window.addEventListener(signedInAgain, back);
    return () => {
      window.removeEventListener("online", back);
      window.removeEventListener("pagehide", back);
      document.removeEventListener("visibilitychange", back);
      window.removeEventListener("storage", elsewhere);
      window.removeEventListener(signedInAgain, back);
      // what was just pressed does not wait on a page that is left
      back();
    };
  }, [stored, store, send]);

  const add = useCallback(
    (event: NewEvent<E>) => {
      const made = { ...event, id: crypto.randomUUID(), at: new Date().toISOString() } as unknown as E;
      store.add(made);
      setLog((log) => ({ ...log, outbox: [...log.outbox, made] }));
      if (quietMs === 0) void send();
      else {
        window.clearTimeout(again.current);
        again.current = window.setTimeout(() => void send(), quietMs);
      }
    },
    [store, send, quietMs],
  );

  const tryAgain = useCallback(() => {
    store.tryAgain();
    setLog((log) => ({ ...log, outbox: store.waiting(), aside: [] }));
    void send();
  }, [store, send]);
  const discard = useCallback(() => {
    store.discard();
    setLog((log) => ({ ...log, aside: [] }));
  }, [store]);

  const events = useMemo(() => {
    const seen = new Set<string>();
    return [...confirmed, ...outbox].filter((event) => !seen.has(event.id) && seen.add(event.id));
  }, [confirmed, outbox]);
  return { events, add, reach, unsent: outbox.length, aside, tryAgain, discard, send };
}
