import { randomUUID } from "node:crypto";
import { expect, type APIResponse, type Page } from "@playwright/test";
import { questions } from "../core/screening/questions";
import { connect, inPractice, type Tx } from "../data/database";

/**
 * What has to be there before a journey begins, sent as the pages would send it but without opening them: the first
 * path and the intake walk those pages themselves, and every page opened takes most of a second.
 */

const kiln = "5c1d0a3e-7f41-4c55-9a3c-0d1f6b0a7e01";

export async function inKiln<T>(work: (tx: Tx) => Promise<T>): Promise<T> {
  const db = connect(process.env.APP_DATABASE_URL!, 1);
  try {
    return await inPractice(db, kiln, work);
  } finally {
    await db.destroy();
  }
}

export const firstVisit = (clientId: string): Promise<string> =>
  inKiln(async (tx) => (await tx("visit").where({ client_id: clientId }).first("id")).id as string);

/** What a page's action answers to a body, as the page itself would get it. */
export async function send(page: Page, address: string, data: unknown): Promise<{ status: number; text: string }> {
  const [path, query = ""] = address.split("?");
  const headers = { "Sec-Fetch-Site": "same-origin", "Content-Type": "application/json" };
  const answer: APIResponse = await page.request.post(`${path}.data${query && `?${query}`}`, { data, headers });
  return { status: answer.status(), text: await answer.text() };
}

/** The same draws in every run: a stand-in's noise or a shuffled drill must not decide whether a journey passes. */
const sameDraws = () => {
  // mulberry32
  let state = 20261125;
  Math.random = () => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
};

/** Each journey has a session of its own. */
export async function signIn(page: Page, email = "odile@kiln.example", password = "slow warm hands") {
  await page.context().addInitScript(sameDraws);
  const headers = { "Sec-Fetch-Site": "same-origin" };
  const answer = await page.request.post("/sign-in", { form: { email, password }, headers, maxRedirects: 0 });
  expect(answer.status()).toBe(302);
}

/** Makes a client and returns its address. */
export async function newClient(page: Page, name: string): Promise<string> {
  const id = randomUUID();
  const { status } = await send(page, "/clients/new", {
    id,
    name,
    occupation: "net mender",
    statureCm: 172,
    complaint: "The left side feels shorter.",
    complaintRegion: "low-back",
    pressureCeiling: 5,
  });
  expect(status).toBe(202);
  return `/clients/${id}`;
}

/** Everything that has to be settled before a session may start: questions, consent to the work and to pictures. */
export async function readyToWork(page: Page, home: string) {
  const visitId = await firstVisit(home.split("/").at(-1)!);
  const answers = questions.map(({ key }) => ({ id: randomUUID(), question: key, answer: "no", seen: 0 }));
  expect((await send(page, `${home}/intake/screening`, { visitId, answers })).status).toBe(200);
  for (const subject of ["general", "photographs"]) {
    const consent = { id: randomUUID(), visitId, subject, given: true, seen: 0, signedBy: "the client" };
    expect((await send(page, `${home}/intake/consent`, consent)).status).toBe(200);
  }
}

/** Solves a series by another template than the usual one, in the dialog of the path; the solver is left to its work. */
export async function solveBy(page: Page, home: string, template: RegExp | string, bookedMinutes?: number) {
  await page.goto(`${home}/path`);
  const dialog = page.getByRole("dialog");
  await expect(async () => {
    // one that was slow to open takes the button's clicks away
    if (!(await dialog.isVisible())) await page.getByRole("button", { name: "Change series" }).click({ timeout: 1000 });
    await expect(dialog).toBeVisible({ timeout: 1000 });
  }).toPass();
  await page.getByLabel("Template").click();
  await page.getByRole("option", { name: template }).click();
  // a list that fades out takes clicks
  await expect(page.getByRole("listbox")).toHaveCount(0);
  if (bookedMinutes !== undefined) await page.getByLabel("Booked minutes").fill(String(bookedMinutes));
  await page.getByRole("button", { name: "Solve with these" }).click();
}
