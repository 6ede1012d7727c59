import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import type { SessionEvent } from "~core/session/events";

const key = (visitId: string) => `ember-run-${visitId}`;

function waiting(visitId: string): SessionEvent[] {
  try {
    return JSON.parse(localStorage.getItem(key(visitId)) ?? "[]") as SessionEvent[];
  } catch {
    return [];
  }
}

/** Omits the id and time, which are given when an event is made. */
export type NewEvent = SessionEvent extends infer E ? (E extends SessionEvent ? Omit<E, "id" | "at"> : never) : never;

/**
 * The session's log: what the server has, and what still waits to reach it. Every event goes to this browser's storage
 * before anything else, and leaves it only when the server has confirmed it: a reload, a lost network or a killed
 * server in mid-hold lose nothing.
 */
export function useEvents(visitId: string, stored: readonly SessionEvent[]) {
  const [outbox, setOutbox] = useState<SessionEvent[]>([]);
  const [confirmed, setConfirmed] = useState<readonly SessionEvent[]>(stored);
  const [online, setOnline] = useState(true);
  const [refused, setRefused] = useState<string | undefined>();
  const busy = useRef(false);
  const again = useRef<number | undefined>(undefined);
  const queue = useRef<SessionEvent[]>([]);

  const send = useCallback(async () => {
    if (busy.current || queue.current.length === 0) return;
    busy.current = true;
    const batch = queue.current;
    try {
      const response = await fetch(`/run/${visitId}/events`, {
        method: "POST",
        headers: { "Content-Type": "application/json" },
        body: JSON.stringify(batch),
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
      localStorage.setItem(key(visitId), JSON.stringify(queue.current));
      setConfirmed((known) => [...known, ...batch.filter((event) => sent.has(event.id))]);
      setOutbox(queue.current);
      setOnline(true);
    } catch {
      setOnline(false);
    } finally {
      busy.current = false;
    }
    window.clearTimeout(again.current);
    if (queue.current.length > 0) again.current = window.setTimeout(() => void send(), 1500);
  }, [visitId]);

  useEffect(() => {
    const known = new Set(stored.map((event) => event.id));
    queue.current = waiting(visitId).filter((event) => !known.has(event.id));
    setOutbox(queue.current);
    void send();
    const back = () => void send();
    window.addEventListener("online", back);
    return () => window.removeEventListener("online", back);
  }, [visitId, stored, send]);

  const add = useCallback(
    (event: NewEvent) => {
      const made = { ...event, id: crypto.randomUUID(), at: new Date().toISOString() } as SessionEvent;
      queue.current = [...queue.current, made];
      localStorage.setItem(key(visitId), JSON.stringify(queue.current));
      setOutbox(queue.current);
      void send();
    },
    [visitId, send],
  );

  const events = useMemo(() => {
    const seen = new Set<string>();
    return [...confirmed, ...outbox].filter((event) => !seen.has(event.id) && seen.add(event.id));
  }, [confirmed, outbox]);
  return { events, add, online, unsent: outbox.length, refused };
}
