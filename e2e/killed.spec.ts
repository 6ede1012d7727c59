import { spawn, type ChildProcess } from "node:child_process";
import { randomUUID } from "node:crypto";
import { expect, test } from "@playwright/test";
import pg from "pg";

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
    const kept = new pg.Client(at(urls.super));
    await kept.connect();
    const { rows } = await kept.query(
      "select e.id from table_event e join visit v on v.id = e.visit_id where v.ordinal = 5 and e.body->>'value' = '-2'",
    );
    await kept.end();
    // what was pressed while it was down is there, once
    expect(rows).toHaveLength(1);

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
