import { homes } from "../../kinds/register";
import { randomUUID } from "node:crypto";
import { readFileSync } from "node:fs";
import { connect, inPractice, type Tx } from "../../data/database";
import { hashPassword } from "../../data/practitioners";

export const kiln = "5c1d0a3e-7f41-4c55-9a3c-0d1f6b0a7e01";

/** A second practice with one practitioner, who knows every id of the first. */
export async function secondPractice(appUrl: string): Promise<{ id: string; email: string; password: string }> {
  const db = connect(appUrl, 1);
  const id = randomUUID();
  const email = `${id.slice(0, 8)}@other.example`;
  const password = "other words of theirs";
  try {
    const password_hash = await hashPassword(password);
    await inPractice(db, id, async (tx) => {
      await tx("practice").insert({ practice_id: id, name: "Other practice" });
      await tx("practitioner").insert({ id: randomUUID(), email, name: "Other Person", password_hash });
    });
  } finally {
    await db.destroy();
  }
  return { id, email, password };
}

export async function within<T>(appUrl: string, practice: string, work: (tx: Tx) => Promise<T>): Promise<T> {
  const db = connect(appUrl, 1);
  try {
    return await inPractice(db, practice, work);
  } finally {
    await db.destroy();
  }
}

/** Tables of a practice and a fingerprint of all it holds in each: what must not change while others try. */
export const fingerprint = (appUrl: string, practice: string): Promise<Record<string, string>> =>
  within(appUrl, practice, async (tx) => {
    const { rows } = await tx.raw(
      "select table_name as name from information_schema.columns where table_schema = 'public' and column_name = 'practice_id'",
    );
    const found: Record<string, string> = {};
    for (const { name } of rows as { name: string }[]) {
      if (name === "auth_session" || name === "known_device") continue;
      const sum = await tx.raw(
        `select count(*)::text || ' ' || coalesce(md5(string_agg(md5(t::text), '' order by md5(t::text))), '') as sum from ?? t`,
        [name],
      );
      found[name] = sum.rows[0].sum;
    }
    return found;
  });

/** Every address pattern of the application, read from its routes: a new one is probed without being named here. */
export function addresses(): string[] {
  const source = readFileSync("app/routes.ts", "utf8");
  const found: string[] = ["/"];
  let prefix = "";
  let client = "";
  for (const line of source.split("\n")) {
    const pre = /\.\.\.prefix\("([^"]+)"/.exec(line);
    if (pre) prefix = `/${pre[1]}`;
    if (/^\s*\]\),/.test(line)) {
      prefix = "";
      client = "";
    }
    const route = /route\("([^"]+)"/.exec(line);
    if (route && route[1] !== "*") found.push(`${client}${prefix}/${route[1]}`.replace("//", "/"));
    if (/index\(/.test(line) && prefix) found.push(prefix);
    if (route && /\[$/.test(line)) client = `/${route[1]}`;
  }
  const own = homes.filter(({ own }) => own).map(({ path }) => `/clients/:clientId/${path}`);
  return [...new Set([...found, ...own])];
}
