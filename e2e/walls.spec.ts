import { randomUUID } from "node:crypto";
import { expect, test } from "@playwright/test";
import { connect, inPractice } from "../data/database";
import { hashPassword } from "../data/practitioners";
import { ruben } from "./helpers";
import { inKiln, signIn } from "./before";

test("a second practice's practitioner gets “not found” for every address of the first one's", async ({ page }) => {
  const db = connect(process.env.APP_DATABASE_URL!, 2);
  const practice = randomUUID();
  const email = `${practice.slice(0, 8)}@other.example`;
  await inPractice(db, practice, async (tx) => {
    await tx("practice").insert({ practice_id: practice, name: "Other practice" });
    await tx("practitioner").insert({
      id: randomUUID(),
      email,
      name: "Other Person",
      password_hash: await hashPassword("other words"),
    });
  });
  const first = await inKiln(async (tx) => ({
    visit: (await tx("visit").where({ client_id: ruben, ordinal: 5 }).first("id")).id as string,
    photo: (await tx("photo").first("id")).id as string,
  }));
  await db.destroy();

  await signIn(page, email, "other words");
  const stages = [
    "",
    "/edit",
    "/intake",
    "/intake/screening",
    "/intake/consent",
    "/intake/wishes",
    "/intake/scales",
    "/assess/stand",
    "/assess/touch",
    "/assess/points",
    "/assess/table",
    "/assess/move",
    "/assess/summary",
    "/assess/scars",
    "/assess/listen",
    "/assess/arc",
    "/assess/bones",
    "/assess/unwinding",
    "/reading",
    "/path",
    "/sessions",
    "/change",
  ];
  for (const address of [
    ...stages.map((stage) => `/clients/${ruben}${stage}`),
    `/run/${first.visit}`,
    `/clients/${ruben}/photos/${first.photo}`,
    `/clients/${ruben}/jobs`,
  ]) {
    const answer = await page.request.get(address);
    expect({ address, status: answer.status() }).toEqual({ address, status: 404 });
    expect(await answer.text()).not.toContain("Asplund");
  }
  const same = { "Sec-Fetch-Site": "same-origin", "Content-Type": "application/json" };
  for (const [address, data] of [
    [`/run/${first.visit}/events`, []],
    [`/clients/${ruben}/table/${first.visit}`, []],
    [`/clients/${ruben}/jobs`, { id: randomUUID(), intent: "stop" }],
    [`/run/${first.visit}`, { intent: "nothing-changed", id: randomUUID() }],
    [`/clients/${ruben}/photos/${first.photo}`, { intent: "remove" }],
    [
      `/clients/${ruben}/cautions`,
      { id: randomUUID(), outcomeKey: "x", kind: "clearance", who: "Dr A", on: "2026-01-05", what: "cleared" },
    ],
    [
      `/clients/${ruben}/photos/upload?id=${randomUUID()}&visit=${first.visit}&moment=before&view=front&stickLength=1000&cameraDistance=3000&cameraHeight=950`,
      "x",
    ],
  ] as const) {
    const answer = await page.request.post(address, { data, headers: same });
    expect({ address, status: answer.status() }).toEqual({ address, status: 404 });
  }
  // a form of one's own page, sent to another practice's client
  for (const stage of stages.slice(1)) {
    const answer = await page.request.post(`/clients/${ruben}${stage}`, {
      data: { visitId: first.visit, intent: "hand-over", id: randomUUID(), version: 1 },
      headers: same,
    });
    expect({ stage, status: answer.status() >= 400 }).toEqual({ stage, status: true });
    expect(await answer.text()).not.toContain("Asplund");
  }
  await page.goto(`/clients/${ruben}`);
  await expect(page.getByRole("heading", { name: "Nothing here by that address" })).toBeVisible();
  await page.goto("/clients");
  await expect(page.getByRole("heading", { name: "No clients yet" })).toBeVisible();
});

test("without signing in there is nothing but the door", async ({ page }) => {
  for (const address of ["/", "/clients", `/clients/${ruben}/path`]) {
    await page.goto(address);
    await expect(page).toHaveURL(/\/sign-in/);
  }
  const answer = await page.request.get("/clients.data", { maxRedirects: 0 });
  expect(await answer.text()).not.toContain("Asplund");
  await page.goto("/nowhere");
  await expect(page.getByRole("heading", { name: "Nothing here by that address" })).toBeVisible();
});

test("signing in answers plainly, remembers where one was going, and ends for good", async ({ page }) => {
  await page.goto("/library");
  await page.getByLabel("E-mail").fill("odile@kiln.example");
  await page.getByLabel("Password").fill("quick cold hands");
  await page.getByRole("button", { name: "Sign in" }).click();
  await expect(page.getByRole("alert")).toContainText("do not belong together");
  await expect(page.getByLabel("E-mail")).toHaveValue("odile@kiln.example");
  await page.getByLabel("Password").fill("slow warm hands");
  await page.getByRole("button", { name: "Sign in" }).click();
  await expect(page).toHaveURL(/\/library/);
  const [cookie] = await page.context().cookies();
  expect(cookie).toMatchObject({ httpOnly: true, sameSite: "Lax" });
  await page.getByRole("button", { name: "Odile" }).click();
  await page.getByRole("menuitem", { name: "Sign out", exact: true }).click();
  await expect(page).toHaveURL(/sign-in/);
  await page.context().addCookies([cookie!]);
  await page.goto("/clients");
  await expect(page).toHaveURL(/sign-in/);
});

test("what does not come from our own pages changes nothing, and headers say what a page may do", async ({ page }) => {
  const foreign = await page.request.post("/sign-in", {
    form: { email: "a@b.example", password: "x" },
    headers: { Origin: "https://elsewhere.example", "Sec-Fetch-Site": "cross-site" },
  });
  expect(foreign.status()).toBe(403);
  const answer = await page.request.get("/sign-in");
  expect(answer.headers()["content-security-policy"]).toMatch(
    /script-src 'self' 'nonce-[A-Za-z0-9+/=]{20,}' 'wasm-unsafe-eval'/,
  );
  expect(answer.headers()).toMatchObject({
    "x-frame-options": "DENY",
    "x-content-type-options": "nosniff",
    "cache-control": "private, no-store",
  });
});
