import { randomUUID } from "node:crypto";
import { expect, test } from "@playwright/test";
import { firstVisit, newClient, readyToWork, send, signIn, solveBy } from "./before";
import { accessible } from "./helpers";

const answer = (check: string, value: number) => ({
  id: randomUUID(),
  at: new Date().toISOString(),
  kind: "answer",
  body: { moment: "before", check, side: null, way: "hand", value },
});

test("findings suggest a pattern with its reasons; it is ruled out, taken back, weighed, planned, and traced both ways", async ({
  page,
}) => {
  await signIn(page);
  const home = await newClient(page, "Turned Low Back");
  const visitId = await firstVisit(home.split("/").at(-1)!);
  await readyToWork(page, home);
  await page.goto(`${home}/reading`);
  const next = page.getByRole("complementary", { name: "What to look at next" });
  await expect(next.getByRole("link").first()).toBeVisible();
  await accessible(page);

  // the check that would tell most opens where it is done
  const sent = await send(page, `${home}/table/${visitId}`, [
    answer("high-l-low", 3),
    answer("high-l-upper", 2),
    answer("ankle-bones-that-are-none", 1),
  ]);
  expect(sent.status).toBe(200);
  await page.reload();
  await expect(page.getByRole("heading", { name: "It suggests: Lumbar segments held in a turn, left" })).toBeVisible();
  const own = page.getByRole("button", { name: /^Lumbar segments held in a turn, left asks for work/ });
  await expect(own).toHaveAttribute("aria-expanded", "true");
  await expect(page.getByRole("region", { name: "Suggests it" })).toContainText(
    "High beside the lower lumbar spine, left",
  );
  await expect(page.getByText(/Not looked at:.*lumbar spine rocks little, left/)).toBeVisible();
  const targets = page.getByRole("region", { name: "Targets" });
  await expect(targets).toContainText(/Stuck by “Lumbar segments held in a turn, left”, suggested with \d+ %/);

  await page.getByRole("button", { name: "Rule it out" }).click();
  await expect(page.getByRole("heading", { name: /It suggests: Lumbar segments/ })).toHaveCount(0);
  const out = page.getByRole("region", { name: "Ruled out" });
  await expect(out).toContainText("Lumbar segments held in a turn, left");
  await expect(targets).not.toContainText("Stuck by “Lumbar segments held in a turn, left”");
  await out.getByRole("button", { name: "Take it back" }).click();
  await expect(page.getByRole("heading", { name: "It suggests: Lumbar segments held in a turn, left" })).toBeVisible();

  const first = targets.getByRole("group", { name: /^Weight of/ }).first();
  await first.getByRole("button", { name: "Leave out" }).click();
  await expect(targets.getByText(/: left out by you$/)).toHaveCount(1);
  await targets.getByLabel("Add a target").fill("psoas");
  await page.getByRole("option").first().click();
  await targets.getByRole("button", { name: "Add", exact: true }).click();
  await expect(targets.getByText("You added it.")).toBeVisible();
  await accessible(page);

  // the plan is solved from these, and each step leads back to what speaks for it
  await page.goto(`${home}/path`);
  await expect(page.getByText("You added it.")).toBeVisible();
  await solveBy(page, home, /^Three-step/);
  await expect(page.getByText(/it is proven that no plan/)).toBeVisible({ timeout: 60_000 });
  await page.goto(`${home}/reading`);
  await expect(targets.getByText(/^In the plan: session \d/).first()).toBeVisible();
});
