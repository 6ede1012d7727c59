import type { Logged } from "./outbox-store";

/** What became of a piece of a log that was sent. */
export type Delivered =
  | { kind: "answered"; stored: string[]; refused: { id: string; reason: string }[] }
  /** Somebody has to sign in again first. */
  | { kind: "signed out" }
  /** No network, or the server says "not now". */
  | { kind: "later"; reached: boolean };

type Answer = { stored?: string[]; refused?: { id: string | null; reason: string }[]; error?: string };

/** Most of a log that is sent at a time (bytes of JSON): what browsers go on sending when a page is left is 64 kB. */
const mostBytes = 60_000;
const mostEvents = 200;

/** As much of the beginning of a log as is sent at a time; one at least. */
export function pieceOf<E extends Logged>(events: readonly E[]): E[] {
  const piece: E[] = [];
  let bytes = 2;
  for (const event of events) {
    bytes += JSON.stringify(event).length + 1;
    if (piece.length > 0 && (bytes > mostBytes || piece.length === mostEvents)) break;
    piece.push(event);
  }
  return piece;
}

/**
 * Sends a piece of a log. Only what the server names as stored may be let go of. An answer that names nothing and is no "not
 * now" is about something in the piece: it is halved until what it is about stands alone, and refused.
 */
export async function deliver<E extends Logged>(
  url: string,
  events: readonly E[],
  send: typeof fetch,
): Promise<Delivered> {
  const body = JSON.stringify(events);
  let status: number;
  let answer: Answer;
  try {
    const response = await send(url, {
      method: "POST",
      headers: { "Content-Type": "application/json" },
      body,
      keepalive: body.length < 64_000,
    });
    ({ status } = response);
    if (status === 401) return { kind: "signed out" };
    if (status >= 500 || [408, 423, 429].includes(status)) return { kind: "later", reached: true };
    answer = (await response.json()) as Answer;
  } catch {
    return { kind: "later", reached: false };
  }
  const stored = answer.stored ?? [];
  const refused = (answer.refused ?? []).filter((each): each is { id: string; reason: string } => each.id !== null);
  if (stored.length + refused.length > 0) return { kind: "answered", stored, refused };
  if (status < 400) return { kind: "later", reached: true };
  const reason = answer.error ?? answer.refused?.[0]?.reason ?? "It cannot be read.";
  if (events.length === 1) return { kind: "answered", stored: [], refused: [{ id: events[0]!.id, reason }] };
  const half = Math.ceil(events.length / 2);
  const first = await deliver(url, events.slice(0, half), send);
  if (first.kind !== "answered") return first;
  const second = await deliver(url, events.slice(half), send);
  if (second.kind !== "answered") return first;
  return {
    kind: "answered",
    stored: [...first.stored, ...second.stored],
    refused: [...first.refused, ...second.refused],
  };
}
