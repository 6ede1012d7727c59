import fc from "fast-check";
import { deliver, pieceOf } from "./ui/deliver";
import { OutboxStore, type Shelf } from "./ui/outbox-store";

type Event = { id: string; at: string; text?: string };
const event = (id: string): Event => ({ id, at: "2026-01-05T10:00:00.000Z" });
const ids = (list: readonly Event[]) => list.map(({ id }) => id);

function shelf(full = false): Shelf & { entries: Map<string, string> } {
  const entries = new Map<string, string>();
  return {
    entries,
    getItem: (key) => entries.get(key) ?? null,
    setItem: (key, value) => {
      if (full) throw new DOMException("full", "QuotaExceededError");
      entries.set(key, value);
    },
    removeItem: (key) => void entries.delete(key),
    key: (i) => [...entries.keys()][i] ?? null,
    get length() {
      return entries.size;
    },
  };
}

describe("what waits in the browser", () => {
  it("is kept by several tabs side by side: none writes over another's", () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 0, max: 2 }), fc.constantFrom("add", "confirm", "refuse", "again")), {
          maxLength: 30,
        }),
        (acts) => {
          const common = shelf();
          let clock = 0;
          const tabs = [0, 1, 2].map(() => new OutboxStore<Event>(common, "run", () => ++clock));
          const waits: string[] = [];
          const aside: string[] = [];
          acts.forEach(([tab, act], i) => {
            const store = tabs[tab]!;
            if (act === "add") {
              store.add(event(String(i)));
              waits.push(String(i));
            } else if (act === "confirm" && waits.length > 0) store.confirm(waits.shift()!);
            else if (act === "refuse" && waits.length > 0) {
              store.refuse(waits[0]!, "no");
              aside.push(waits.shift()!);
            } else if (act === "again") {
              store.tryAgain();
              waits.push(...aside.splice(0));
              waits.sort((a, b) => Number(a) - Number(b));
            }
            for (const each of tabs) {
              expect(ids(each.waiting())).toEqual(waits);
              expect(ids(each.setAside().map((one) => one.event))).toEqual(aside);
            }
          });
        },
      ),
    );
  });

  it("survives a full storage, and a list from before", () => {
    const none = new OutboxStore<Event>(shelf(true), "run");
    none.add(event("a"));
    none.add(event("b"));
    none.confirm("a");
    none.refuse("b", "no");
    expect([none.waiting(), none.setAside()]).toEqual([[], [{ event: event("b"), reason: "no" }]]);
    const old = shelf();
    old.entries.set("run", JSON.stringify([event("x"), event("y")]));
    expect(ids(new OutboxStore<Event>(old, "run").waiting())).toEqual(["x", "y"]);
    expect(old.entries.has("run")).toBe(false);
  });
});

describe("sending a log", () => {
  /** A server that stores everything but what is `bad` (refused by name) and `broken` (a whole piece is answered 400 for it). */
  const server = (bad: readonly string[], broken: readonly string[]) => {
    const stored: string[] = [];
    const send = ((_url: string, init: RequestInit) => {
      const events = JSON.parse(String(init.body)) as Event[];
      if (events.some(({ id }) => broken.includes(id)))
        return Promise.resolve(Response.json({ error: "cannot be read" }, { status: 400 }));
      const sound = ids(events).filter((id) => !bad.includes(id));
      stored.push(...sound);
      const refused = ids(events)
        .filter((id) => bad.includes(id))
        .map((id) => ({ id, reason: "refused" }));
      return Promise.resolve(Response.json({ stored: sound, refused }));
    }) as typeof fetch;
    return { stored, send };
  };

  it("has one bad event hold up nothing, wherever it stands", async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.uniqueArray(fc.integer({ min: 0, max: 40 }).map(String), { minLength: 1, maxLength: 20 }),
        fc.integer(),
        async (all, pick) => {
          const bad = all.filter((_, i) => (i + pick) % 5 === 0);
          const broken = all.filter((_, i) => (i + pick) % 7 === 3 && !bad.includes(all[i]!));
          const { stored, send } = server(bad, broken);
          const answer = await deliver("/log", all.map(event), send);
          if (answer.kind !== "answered") throw new Error(answer.kind);
          expect([...answer.stored].sort()).toEqual(stored.sort());
          expect(ids(answer.refused as never).sort()).toEqual([...bad, ...broken].sort());
          expect([...answer.stored, ...ids(answer.refused as never)].sort()).toEqual([...all].sort());
        },
      ),
    );
  });

  it("takes nothing for stored that was not named: a sign-in page, a fault, a lost network", async () => {
    const answering = (status: number, body: string) =>
      deliver("/log", [event("a")], () => Promise.resolve(new Response(body, { status })));
    expect(await answering(200, "<!DOCTYPE html>")).toEqual({ kind: "later", reached: false });
    expect(await answering(200, "{}")).toEqual({ kind: "later", reached: true });
    expect(await answering(401, "{}")).toEqual({ kind: "signed out" });
    expect(await answering(507, "{}")).toEqual({ kind: "later", reached: true });
    expect(await deliver("/log", [event("a")], () => Promise.reject(new TypeError()))).toEqual({
      kind: "later",
      reached: false,
    });
  });

  it("goes in pieces that a browser sends on when the page is left", () => {
    const long = Array.from({ length: 500 }, (_, i) => ({ ...event(String(i)), text: "x".repeat(300) }));
    const piece = pieceOf(long);
    expect(JSON.stringify(piece).length).toBeLessThan(64_000);
    expect(piece.length).toBeGreaterThan(50);
    expect(pieceOf([{ ...event("a"), text: "x".repeat(100_000) }, event("b")])).toHaveLength(1);
  });
});
