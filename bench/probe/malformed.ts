import { readFileSync, readdirSync } from "node:fs";
import { join } from "node:path";
import { seeded } from "../../core/random";
import { unstorable } from "../../app/storable";
import { addresses } from "./practices";

export type Malformed = { requests: number; statuses: Record<string, number>; faults: string[] };

/** Every intent that an action of ours knows, read from its source: malformed bodies get as far as they can. */
function intents(): string[] {
  const found = new Set<string>();
  const visit = (folder: string) => {
    for (const entry of readdirSync(folder, { withFileTypes: true }))
      if (entry.isDirectory()) visit(join(folder, entry.name));
      else
        for (const [, name] of readFileSync(join(folder, entry.name), "utf8").matchAll(
          /(?:intent|act|kind|press)\)? ?(?:===|:) "([a-z- ]+)"/g,
        ))
          found.add(name!);
  };
  visit("app/routes");
  return [...found].sort();
}

const names =
  `id intent act kind visitId visit entryId versionId after version moment was value values answers answer question seen subject given
  signature signedBy name born complaint pressureCeiling further furtherComplaints region side structure layer quality bind grade
  tenderness felt slides lift closed retired words text choices stamp settings plan template locks key body stations station reading
  readingId method standing marks setup points places line since sinceSaid lengthMm outcomeKey who on what exercise score measureId
  definition number order items item study looks grades note minutes from to removed at email password dim step steps`
    .split(/\s+/)
    .filter(Boolean);

const deep = (n: number) => JSON.parse("[".repeat(n) + "]".repeat(n)) as unknown;

/** Values of every kind that a field may meet; `own`: ids that are there. */
const odd = (own: readonly string[]): unknown[] => [
  ...own,
  { toString: 1 },
  { valueOf: 1 },
  { toJSON: "x" },
  { length: 5 },
  JSON.parse('{"__proto__":{"x":1}}'),
  { constructor: { prototype: 1 } },
  null,
  true,
  false,
  0,
  -1,
  1e308,
  -0.5,
  2 ** 53,
  "",
  " ",
  "x",
  "x".repeat(5000),
  "\u0000",
  "\ud800",
  "9999-99-99",
  "0000-01-01",
  "2026-02-30",
  "2026-11-25T08:00:00.000Z",
  "before",
  "L",
  "yes",
  "general",
  "[object Object]",
  "../../etc",
  "' or 1=1 --",
  [],
  [[]],
  [null],
  ["x"],
  [{}],
  {},
  { a: {} },
  deep(30),
  deep(3000),
];

const searches = [
  "from=9999-99-99",
  "from=0000-00-00",
  "from=-1",
  "from=2026-13-01&to=x",
  "month=9999-99",
  "month=2026-00",
  "month=%00",
  "visit=1e9",
  "visit=-1",
  "visit=NaN",
  "visit=%00",
  "visit=99999999999999999999",
  "moment=constructor",
  "moment=__proto__",
  "view=toString",
  "q=%F0%9F%92%A9",
  "q=%ff",
  `q=${"a ".repeat(6000)}`,
  `q=${"(".repeat(3000)}`,
  "after=x",
  "after=00000000-0000-0000-0000-000000000000",
  "archived=1&after=%00",
  "open=constructor&beside=__proto__",
  "region=hasOwnProperty",
  "school=__proto__",
  "place=toString&structure=valueOf",
  "first=1&second=99",
  "a=1&a=2&a[]=3",
  "size=huge",
  "_routes=%00",
  "_routes=root",
];

const filled = (pattern: string, ids: Record<string, string>, stem: string) =>
  pattern.replace(/:(\w+)/g, (_, name: string) => ids[name] ?? stem);

/** Asks and sends what no page of ours does, at every address, as somebody who is signed in. */
export async function malformed(
  base: string,
  cookie: string,
  ids: Record<string, string>,
  least: number,
  seed = 20261201,
): Promise<Malformed> {
  const found: Malformed = { requests: 0, statuses: {}, faults: [] };
  const { uniform: random } = seeded(seed);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
  const paths = addresses().map((pattern) => filled(pattern, ids, "ham-iron"));
  const known = intents();
  const values = odd(Object.values(ids));
  // what the reader of bodies lets through gets further in
  const readable = values.filter((value) => unstorable(value) === undefined);
  const ask = async (method: string, path: string, body?: string, type = "application/json") => {
    const answer = await fetch(`${base}${path}`, {
      method,
      redirect: "manual",
      headers: {
        "Sec-Fetch-Site": "same-origin",
        Cookie: cookie,
        ...(body === undefined ? {} : { "Content-Type": type }),
      },
      ...(body === undefined ? {} : { body }),
    }).catch(() => undefined);
    await answer?.arrayBuffer().catch(() => undefined);
    const status = answer?.status ?? 0;
    found.requests++;
    found.statuses[status] = (found.statuses[status] ?? 0) + 1;
    if (status === 0 || (status >= 500 && status !== 503))
      found.faults.push(`${status} ${method} ${path.slice(0, 160)} ${(body ?? "").slice(0, 300)}`);
  };
  const inside = paths.filter((path) => path !== "/account" && !path.startsWith("/sign-in"));
  for (const path of inside)
    for (const search of searches) await ask("GET", `${path}${random() < 0.5 ? ".data" : ""}?${search}`);
  while (found.requests < least) {
    const path = pick(inside);
    const fields: Record<string, unknown> = { intent: pick(known), act: pick(known), kind: pick(known) };
    if (random() < 0.7) Object.assign(fields, { visitId: ids.visitId, id: pick(Object.values(ids)) });
    const pool = random() < 0.15 ? values : readable;
    for (let i = 0; i < 14; i++) fields[pick(names)] = pick(pool);
    const kind = random();
    const body =
      kind < 0.75
        ? JSON.stringify(fields)
        : kind < 0.85
          ? JSON.stringify([pick(pool), fields])
          : kind < 0.9
            ? JSON.stringify(pick(values))
            : kind < 0.95
              ? new URLSearchParams(
                  Object.entries(fields).map(([name, value]) => [name, String(JSON.stringify(value))]),
                ).toString()
              : JSON.stringify(fields).slice(0, -Math.ceil(random() * 20));
    const type = kind >= 0.9 && kind < 0.95 ? "application/x-www-form-urlencoded" : "application/json";
    await ask("POST", `${path}${random() < 0.6 && path !== "/" ? ".data" : ""}`, body, type);
  }
  return found;
}
