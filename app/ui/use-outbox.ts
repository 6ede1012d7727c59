import { startTransition, useCallback, useEffect, useMemo, useRef, useState } from "react";

type Event = { id: string; at: string };

function waiting<E extends Event>(key: string): E[] {
  try {
    return JSON.parse(localStorage.getItem(key) ?? "[]") as E[];
  } catch {
    return [];
  }
}

/** Omits the id and time, which are given when an event is made. */
export type NewEvent<E extends Event> = E extends Event ? Omit<E, "id" | "at"> : never;

/**
 * A log of what was pressed: what the server has, and what still waits to reach it at `url`. Every event goes to this
 * browser's storage (under `key`) before anything else, and leaves it only when the server has confirmed it: a reload, a
 * lost network or a killed server lose nothing. `quietMs`: several that are pressed one after the other go together.
 */
export function useOutbox<E extends Event>(key: string, url: string, stored: readonly E[], quietMs = 0) {
  // both in one: an event is always in one of them, whichever change is drawn first
  const [{ confirmed, outbox }, setLog] = useState<{ confirmed: readonly E[]; outbox: readonly E[] }>({
    confirmed: stored,
    outbox: [],
  });
  const [online, setOnline] = useState(true);
  const [refused, setRefused] = useState<string | undefined>();
  const busy = useRef(false);
  const again = useRef<number | undefined>(undefined);
  const queue = useRef<E[]>([]);

  const send = useCallback(async () => {
    if (busy.current || queue.current.length === 0) return;
    busy.current = true;
    const batch = queue.current;
    const body = JSON.stringify(batch);
    try {
      const response = await fetch(url, {
        method: "POST",
        headers: { "Content-Type": "application/json" },
        body,
        // goes on when the page is left, as far as browsers let it (64 kB)
        keepalive: body.length < 60_000,
      });
      // Only what the server names as stored may be let go of: a sign-in page is an answer too.
      const answer = (await response.json()) as {
        stored?: string[];
        refused?: { id: string | null; reason: string }[];
        /** Why the start was refused. */
        reason?: string;
        error?: string;
      };
      if (!answer.stored) throw new Error("nothing was stored");
      // What was refused is never taken: a start that something stands in the way of, and what was pressed after it.
      const no = new Set(answer.refused?.map(({ id }) => id));
      if (answer.refused && answer.refused.length > 0) {
        setRefused(answer.reason ?? answer.refused[0]!.reason);
        queue.current = queue.current.filter((event) => !no.has(event.id));
      }
      const sent = new Set(answer.stored);
      queue.current = queue.current.filter((event) => !sent.has(event.id));
      localStorage.setItem(key, JSON.stringify(queue.current));
      // nothing that is seen changes much by it: whatever is drawn meanwhile comes first
      startTransition(() => {
        setLog((log) => ({
          confirmed: [...log.confirmed, ...batch.filter((event) => sent.has(event.id))],
          outbox: log.outbox.filter((event) => !sent.has(event.id) && !no.has(event.id)),
        }));
        setOnline(true);
      });
    } catch {
      setOnline(false);
    } finally {
      busy.current = false;
    }
    window.clearTimeout(again.current);
    if (queue.current.length > 0) again.current = window.setTimeout(() => void send(), 1500);
  }, [key, url]);

  useEffect(() => {
    const known = new Set(stored.map((event) => event.id));
    queue.current = waiting<E>(key).filter((event) => !known.has(event.id));
    setLog((log) => ({ ...log, outbox: queue.current }));
    void send();
    const back = () => void send();
    window.addEventListener("online", back);
    document.addEventListener("visibilitychange", back);
    window.addEventListener("pagehide", back);
    return () => {
      window.removeEventListener("online", back);
      window.removeEventListener("pagehide", back);
      document.removeEventListener("visibilitychange", back);
      // what was just pressed does not wait on a page that is left
      back();
    };
  }, [key, stored, send]);

  const add = useCallback(
    (event: NewEvent<E>) => {
      const made = { ...event, id: crypto.randomUUID(), at: new Date().toISOString() } as unknown as E;
      queue.current = [...queue.current, made];
      localStorage.setItem(key, JSON.stringify(queue.current));
      setLog((log) => ({ ...log, outbox: [...log.outbox, made] }));
      if (quietMs === 0) void send();
      else {
        window.clearTimeout(again.current);
        again.current = window.setTimeout(() => void send(), quietMs);
      }
    },
    [key, send, quietMs],
  );

  const events = useMemo(() => {
    const seen = new Set<string>();
    return [...confirmed, ...outbox].filter((event) => !seen.has(event.id) && seen.add(event.id));
  }, [confirmed, outbox]);
  return { events, add, online, unsent: outbox.length, refused };
}
