import { randomUUID } from "node:crypto";
import { post, signIn } from "../server";
import { within } from "./practices";

const json = { "Content-Type": "application/json" };
const tally = (statuses: readonly number[]): Record<string, number> => {
  const counted: Record<string, number> = {};
  for (const status of statuses) counted[status] = (counted[status] ?? 0) + 1;
  return counted;
};

/** Files of techniques that are none: many empty ones, deep ones, no JSON at all, several at once. */
export async function hostileImports(base: string, cookie: string): Promise<Record<string, number>> {
  const texts = [
    JSON.stringify({
      format: "ember-path-techniques",
      version: 1,
      techniques: Array.from({ length: 20_000 }, () => ({})),
    }),
    `[${"{},".repeat(80_000)}{}]`,
    "{}".repeat(120_000),
    "x".repeat(1_900_000),
    "[".repeat(200_000),
    JSON.stringify({
      format: "ember-path-techniques",
      version: 1,
      techniques: Array.from({ length: 2000 }, (_, i) => ({ key: `k-${i}`, reach: [{ structure: "x".repeat(200) }] })),
    }),
  ];
  const answers = await Promise.all(
    [...texts, ...texts].map((text) => post(base, "/library/import.data", cookie, { intent: "look", text }, json)),
  );
  return tally(answers.map(({ status }) => status));
}

export type Tablets = { wrong: Record<string, number>; right: Record<string, number>; slowestMs: number };

/**
 * So many tablets of one practice in clients' hands: each is asked for its password with wrong ones at the same moment, three
 * times over, and then with the right one.
 */
export async function tabletsAtOnce(
  base: string,
  url: string,
  practice: { id: string; email: string; password: string },
  target: { clientId: string; visitId: string },
  many: number,
): Promise<Tablets> {
  const tablets: { cookie: string; id: string }[] = [];
  for (let i = 0; i < many; i++) {
    const cookie = await signIn(base, practice.email, practice.password);
    await post(base, `/clients/${target.clientId}/intake/screening.data`, cookie, {
      intent: "hand-over",
      visitId: target.visitId,
    });
    const id = await within(
      url,
      practice.id,
      async (tx) => (await tx("handover").orderBy("created_at", "desc").first("id")).id as string,
    );
    tablets.push({ cookie, id });
  }
  const ask = async (password: () => string) =>
    (
      await Promise.all(
        tablets.map(({ cookie, id }) =>
          post(base, `/handed/${id}.data`, cookie, { intent: "take-back", password: password() }),
        ),
      )
    ).map(({ status }) => status);
  const wrong: number[] = [];
  for (let round = 0; round < 3; round++) wrong.push(...(await ask(() => randomUUID())));
  const begun = performance.now();
  // "not now" is asked again, as a person would
  let right = await ask(() => practice.password);
  for (let again = 0; again < 40 && right.some((status) => status >= 400); again++) {
    await new Promise((resolve) => setTimeout(resolve, 1000));
    right = (await ask(() => practice.password)).map((status, i) => (right[i]! < 400 ? right[i]! : status));
  }
  return { wrong: tally(wrong), right: tally(right), slowestMs: performance.now() - begun };
}
