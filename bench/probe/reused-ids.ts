import { randomUUID } from "node:crypto";
import sharp from "sharp";
import { post, signIn } from "../server";
import { addresses, fingerprint, kiln, secondPractice, within } from "./practices";

/** Words of the demo practice that must never reach anyone else. */
const secrets = ["Asplund", "Maribel", "Desmond", "Petra", "Kiln ConcurrencyLimiter", "odile@", "net mender"];

type Ids = Record<string, string[]>;

/** Every id there is in a practice, by what it names in an address. */
export async function idsOf(appUrl: string): Promise<Ids> {
  return within(appUrl, kiln, async (tx) => {
    const all = async (table: string) => (await tx(table).limit(40).select("id")).map((row) => row.id as string);
    const ids: Ids = {};
    for (const [name, table] of [
      ["clientId", "client"],
      ["visitId", "visit"],
      ["photoId", "photo"],
      ["studyId", "study"],
      ["restriction", "restriction"],
      ["measure", "own_measure"],
      ["entry", "history_version"],
      ["event", "session_event"],
      ["series", "series"],
    ] as const)
      ids[name] = await all(table);
    ids.handoverId = [randomUUID()];
    return ids;
  });
}

/** Bodies that a page of this address could send, about these ids. */
export function bodiesFor(path: string, id: (name: string) => string): unknown[] {
  const visitId = id("visitId");
  const now = new Date().toISOString();
  const felt = { grade: 3, tenderness: 9 };
  if (path.endsWith("/touch"))
    return [
      { intent: "remove", id: id("restriction") },
      { intent: "grade", id: id("restriction"), visitId, moment: "before", was: null, ...felt },
    ];
  if (path.endsWith("/listen"))
    return [{ visitId, moment: "before", station: "heels", felt: { symmetry: "even" }, was: null }];
  if (path.endsWith("/scales"))
    return [
      { intent: "retire", id: id("measure"), retired: true },
      { intent: "score", id: id("measure"), visitId, score: 9 },
      { intent: "words", visitId, words: "theirs" },
    ];
  if (path.endsWith("/stand"))
    return [
      { intent: "delete-pictures" },
      { visitId, moment: "before", readingId: "head-tilt.front", method: "inclinometer", value: 9 },
    ];
  if (path.endsWith("/intake"))
    return [{ intent: "strike", entryId: id("entry"), versionId: randomUUID(), after: id("entry"), why: "mine now" }];
  if (path.endsWith("/screening"))
    return [
      { intent: "hand-over", visitId },
      { visitId, answers: [{ id: randomUUID(), question: "hot-calf", answer: "yes", seen: 0 }] },
    ];
  if (path.endsWith("/consent"))
    return [{ id: randomUUID(), visitId, subject: "photographs", given: false, seen: 0, signedBy: "me" }];
  if (path.endsWith("/wishes"))
    return [
      {
        version: 0,
        covering: "clothed",
        positionsOut: [],
        oil: false,
        wax: false,
        scentFree: false,
        talk: "quiet",
        areasOut: [],
        pauseWord: "",
        chaperone: false,
      },
    ];
  if (path.endsWith("/edit")) return [{ version: 1, name: "Taken over", pressureCeiling: 5 }];
  if (path.endsWith("/sessions")) return [{ visitId, version: 1, note: "closed by a stranger" }];
  if (path.endsWith("/path"))
    return [
      {
        id: id("series"),
        version: 1,
        template: "ten-step",
        settings: { bookedMinutes: 60, thumbBudget: 0, startOn: "2026-12-01", intervalDays: 7, locks: [] },
      },
    ];
  if (path.endsWith("/cautions"))
    return [{ id: randomUUID(), outcomeKey: "x", kind: "clearance", who: "me", on: "2026-01-05", what: "cleared" }];
  if (path.endsWith("/events"))
    return [[{ id: id("event"), at: now, kind: "note", body: { step: 0, text: "from outside" } }]];
  if (path.startsWith("/run/"))
    return [{ intent: "nothing-changed" }, { id: randomUUID(), subject: "general", given: true, seen: 0 }];
  if (/\/photos\/[^/]+$/.test(path))
    return [
      { intent: "remove" },
      { intent: "delete" },
      { intent: "restore" },
      { version: 1, marks: {}, setup: { stickLength: 1000, cameraDistance: 3000, cameraHeight: 950 } },
    ];
  if (path === "/clients") return [{ id: id("clientId"), intent: "archive" }];
  if (path === "/practice/repeatability")
    return [
      { intent: "delete", id: id("studyId") },
      { intent: "finish", id: id("studyId") },
    ];
  if (/\/repeatability\/[^/]+$/.test(path)) return [{ item: 0, marks: {} }];
  return [{ intent: "x" }];
}

export type Leaks = { requests: number; leaks: string[]; changed: string[]; readings: string[] };

/**
 * A second practice that knows every id of the first: asks every address with them, sends every form with them, and
 * then makes its own clients, visits, pictures and restrictions under the same ids, so that whatever is kept by id alone
 * would be found. `leaks`: answers that held anything of the first one's. `changed`: tables of the first one that are not
 * as before. `readings`: pages of the first one that show something else than before.
 */
export async function reusedIds(base: string, appUrl: string, times = 6): Promise<Leaks> {
  const other = await secondPractice(appUrl);
  const mine = await signIn(base);
  const theirs = await signIn(base, other.email, other.password);
  const ids = await idsOf(appUrl);
  const turn = new Map<string, number>();
  const id = (name: string) => {
    const list = ids[name] ?? [randomUUID()];
    const at = turn.get(name) ?? 0;
    turn.set(name, at + 1);
    return list[at % list.length]!;
  };
  const concrete = (pattern: string) =>
    pattern.replace(/:(\w+)/g, (_, name: string) => (name === "item" ? "0" : id(name)));
  const result: Leaks = { requests: 0, leaks: [], changed: [], readings: [] };
  const look = async (path: string, answer: Response, own?: RegExp) => {
    result.requests++;
    const text = await answer.text();
    for (const secret of secrets)
      if (text.includes(secret) && !own?.test(secret))
        result.leaks.push(`${path} answered ${answer.status} with “${secret}”`);
    return answer.status;
  };
  const figures = async (path: string) => {
    const answer = await fetch(`${base}${path}.data`, { headers: { Cookie: mine } });
    // what is said, not how it was written down: that depends on which parts of it are one object; and without what is
    // made for each request: ids for new rows, and the page's nonce
    const said = (await answer.text()).match(/"(?:[^"\\]|\\.)*"|-?\d+\.\d+/g) ?? [];
    return [...new Set(said)]
      .map((each) => each.replace(/[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}|[A-Za-z0-9+/]{22}==/g, ""))
      .sort()
      .join();
  };
  const before = await fingerprint(appUrl, kiln);
  const shown = ["change", "assess/stand"].map((stage) => `/clients/${ids.clientId![0]}/${stage}`);
  // fills every cache with what is the first practice's
  const seen = await Promise.all(shown.map(figures));

  for (const pattern of addresses())
    for (let i = 0; i < times; i++) {
      const path = concrete(pattern);
      for (const suffix of path === "/" ? [""] : ["", ".data"])
        await look(path, await fetch(`${base}${path}${suffix}`, { headers: { Cookie: theirs }, redirect: "manual" }));
      for (const body of bodiesFor(path, id)) {
        const intoOwn = /^\/(clients\/new|account|practice|sign-in)$/.test(path);
        const status = await look(path, await post(base, `${path}.data`, theirs, body));
        if (status < 300 && pattern.includes(":") && !intoOwn && !pattern.includes("/handed/"))
          result.leaks.push(`${path} took ${JSON.stringify(body)}: ${status}`);
      }
    }

  // the same ids, as its own: through the form as far as there is one, the rest as if there were
  for (const clientId of ids.clientId!)
    await look(
      "/clients/new",
      await post(base, "/clients/new.data", theirs, { id: clientId, name: "Other", pressureCeiling: 5 }),
    );
  const picture = await sharp({ create: { width: 300, height: 600, channels: 3, background: "#aaa" } })
    .jpeg()
    .toBuffer();
  await within(appUrl, other.id, async (tx) => {
    for (const clientId of ids.clientId!) {
      await tx("client").insert({ id: clientId, name: "Other Client", pressure_ceiling: 5 }).onConflict().ignore();
      await tx("visit")
        .insert({ id: ids.visitId![0], client_id: clientId, ordinal: 90, on_date: "2026-01-01", status: "planned" })
        .onConflict()
        .ignore();
    }
    for (const photoId of ids.photoId!)
      await tx("photo").insert({
        id: photoId,
        visit_id: ids.visitId![0],
        moment: "before",
        view: "front",
        width: 300,
        height: 600,
        setup: JSON.stringify({
          width: 300,
          height: 600,
          stickLength: 1000,
          cameraDistance: 3000,
          cameraHeight: 950,
          stature: 1700,
        }),
        replaced_at: photoId === ids.photoId![0] ? null : tx.fn.now(),
      });
    await tx("photo_file").insert({ photo_id: ids.photoId![0], mime: "image/jpeg", bytes: picture });
    const [who] = await tx("practitioner").select("id");
    for (const studyId of ids.studyId!)
      await tx("study").insert({ id: studyId, practitioner_id: who.id, items: "[]", finished_at: tx.fn.now() });
  });
  for (const pattern of addresses())
    for (let i = 0; i < times; i++) {
      const path = concrete(pattern);
      for (const suffix of path === "/" ? [""] : ["", ".data"])
        await look(path, await fetch(`${base}${path}${suffix}`, { headers: { Cookie: theirs }, redirect: "manual" }));
    }
  const after = await fingerprint(appUrl, kiln);
  for (const [table, sum] of Object.entries(before)) if (after[table] !== sum) result.changed.push(table);
  const again = await Promise.all(shown.map(figures));
  again.forEach((text, i) => text !== seen[i] && result.readings.push(shown[i]!));
  return result;
}
