import { execSync, spawn, type ChildProcess } from "node:child_process";
import { randomUUID } from "node:crypto";
import { expect, test } from "@playwright/test";
import pg from "pg";
import sharp from "sharp";

/** Servers of this test's own, on a database of its own, so that they can be killed. */
async function serve(port: number, env: Record<string, string>): Promise<ChildProcess> {
  const child = spawn(process.execPath, ["scripts/serve.mjs"], {
    env: { ...process.env, ...env, PORT: String(port), EMBER_DEMO: "1", LOG_LEVEL: "error" },
    stdio: "ignore",
  });
  for (let i = 0; i < 200; i++) {
    if (
      await fetch(`http://127.0.0.1:${port}/readyz`).then(
        (answer) => answer.ok,
        () => false,
      )
    )
      return child;
    await new Promise((resolve) => setTimeout(resolve, 150));
  }
  throw new Error("the server did not answer");
}

test("a server killed in mid-session loses nothing, and what was pressed meanwhile follows", async ({ page }) => {
  const urls = JSON.parse(process.env.EMBER_TEST_CLUSTER!) as { super: string };
  const name = `killed_${randomUUID().slice(0, 8)}`;
  const admin = new pg.Client(urls.super);
  await admin.connect();
  await admin.query(`create database ${name} owner ember_owner`);
  const at = (url: string) => Object.assign(new URL(url), { pathname: `/${name}` }).href;
  const env = {
    APP_DATABASE_URL: at(process.env.APP_DATABASE_URL!),
    OWNER_DATABASE_URL: at(process.env.OWNER_DATABASE_URL!),
  };
  const query = async (sql: string) => {
    const own = new pg.Client(at(urls.super));
    await own.connect();
    return (await own.query(sql).finally(() => own.end())).rows as unknown[];
  };
  const port = 20_000 + Math.floor(Math.random() * 20_000);
  let server = await serve(port, env);
  try {
    const home = `http://127.0.0.1:${port}`;
    await page.goto(`${home}/sign-in`);
    await page.getByLabel("E-mail").fill("tamsin@kiln.example");
    await page.getByLabel("Password").fill("slow warm hands");
    await page.getByRole("button", { name: "Sign in" }).click();
    await page.getByRole("link", { name: "Ruben Asplund" }).first().click();
    await page.getByRole("link", { name: "Sessions", exact: true }).click();
    await page.getByRole("link", { name: "Start the session" }).click();
    await page.getByRole("button", { name: "Start the clock" }).click();
    await page.keyboard.press("ArrowRight");
    await page.keyboard.press("n");
    await page.getByLabel("Note to this step").fill("before the fall");
    await page.keyboard.press("Enter");
    await expect(page.getByText("Noted: before the fall")).toBeVisible();
    await expect(page.getByText(/saving|kept here/)).toHaveCount(0);

    server.kill("SIGKILL");
    await page.keyboard.press("ArrowRight");
    await expect(page.getByText(/no connection, \d+ kept here/)).toBeVisible();
    const step = await page.getByRole("heading", { level: 2 }).innerText();
    const pass = await page
      .getByText(/of \w+ passes|prone|supine|side-lying/)
      .first()
      .innerText();

    server = await serve(port, env);
    await expect(page.getByText(/kept here/)).toHaveCount(0);
    await page.reload();
    await expect(page.getByRole("heading", { level: 2 })).toHaveText(step);
    await expect(page.getByText(pass).first()).toBeVisible();
    await page.waitForLoadState("networkidle");
    await page.keyboard.press("ArrowLeft");
    await expect(page.getByText("Noted: before the fall")).toBeVisible();

    // at the table, between a press and its sending
    await page.goto(`${home}/clients/5c1d0a3e-7f41-4c55-9a3c-0d1f6b0a8e01/assess/table?visit=5`);
    const short = (how: string) => page.getByRole("group", { name: "Right short" }).getByRole("button", { name: how });
    // a press counts once the page is alive
    await expect(async () => {
      await short("a little").click();
      await expect(short("a little")).toHaveAttribute("aria-pressed", "true", { timeout: 500 });
    }).toPass();
    server.kill("SIGKILL");
    await short("clearly").click();
    await expect(page.getByText(/[12] not sent yet: kept here/)).toBeVisible();
    server = await serve(port, env);
    await expect(page.getByText(/kept here|Being kept/)).toHaveCount(0);
    await page.reload();
    await expect(page.getByRole("button", { name: /^Ankle bones clearly right short/ })).toBeVisible();
    const rows = await query(
      "select e.id from table_event e join visit v on v.id = e.visit_id where v.ordinal = 5 and e.body->>'value' = '-2'",
    );
    // what was pressed while it was down is there, once
    expect(rows).toHaveLength(1);

    // whoever takes pictures in is killed just as one is sent: another begins, and the picture that was accepted is there
    const workers = () => execSync(`pgrep -P ${server.pid} -f scripts/work.mjs || true`).toString().trim().split("\n");
    process.kill(Number(workers()[0]), "SIGKILL");
    const picture = randomUUID();
    const [{ visit_id: visit }] = (await query(
      "select visit_id from photo p join visit v on v.id = p.visit_id where v.ordinal = 5 limit 1",
    )) as [{ visit_id: string }];
    const client = `${home}/clients/5c1d0a3e-7f41-4c55-9a3c-0d1f6b0a8e01`;
    const sent = await page.request.post(
      `${client}/photos/upload?id=${picture}&visit=${visit}&moment=after&view=front&stickLength=1800&cameraDistance=3000&cameraHeight=950`,
      {
        data: await sharp({ create: { width: 400, height: 600, channels: 3, background: "#cbb" } })
          .jpeg()
          .toBuffer(),
        headers: { "Sec-Fetch-Site": "same-origin", "Content-Type": "application/octet-stream" },
      },
    );
    expect(sent.status()).toBe(202);
    await page.goto(`${client}/assess/stand?visit=5&moment=after&view=front`);
    await expect(page.getByRole("application", { name: /Photograph to mark/ })).toBeVisible();
    expect((await page.request.get(`${client}/photos/${picture}`)).ok()).toBe(true);

    // a database that does not answer has a page of its own, and comes back by itself
    await admin.query(`alter database ${name} allow_connections false`);
    await admin.query("select pg_terminate_backend(pid) from pg_stat_activity where datname = $1", [name]);
    await page.goto(`${home}/clients`);
    await expect(page.getByRole("heading", { name: "The database does not answer" })).toBeVisible();
    await admin.query(`alter database ${name} allow_connections true`);
    await page.getByRole("button", { name: "Load again" }).click();
    await expect(page.getByRole("heading", { name: "Clients", exact: true })).toBeVisible();
  } finally {
    server.kill("SIGKILL");
    await admin.query(`drop database ${name} with (force)`);
    await admin.end();
  }
});
