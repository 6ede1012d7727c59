import { expect, type Page } from "@playwright/test";

/** Consent by word of mouth on the consent page. */
export async function agree(page: Page, subject: string) {
  await page
    .getByText(subject, { exact: true })
    .locator("xpath=ancestor::*[.//button][1]")
    .getByRole("button", { name: /^(Ask|Sign again)$/ })
    .click();
  const dialog = page.getByRole("dialog", { name: subject });
  await dialog.getByRole("button", { name: "Agreed by word of mouth" }).click();
  await expect(dialog).toHaveCount(0);
}

/** Tells one thing of the history by keyboard; the place may be within the words. */
export async function tell(page: Page, what: string, when = "") {
  await page.getByLabel("What", { exact: true }).fill(what);
  if (when) await page.getByLabel(/^(When|Due date)$/).fill(when);
  await page.getByRole("button", { name: "Add", exact: true }).click();
  await expect(page.getByRole("listitem").filter({ hasText: what }).first()).toBeVisible();
}

/** Solves the series of a client and waits until it is saved. */
export async function solve(page: Page, home: string) {
  await page.goto(`${home}/path`);
  await page.getByRole("button", { name: "Solve the series" }).click();
  await expect(page.getByRole("button", { name: "Take this one" })).toBeVisible();
  await page.getByRole("button", { name: "Take this one" }).click();
  await expect(page.getByRole("navigation", { name: "Visits of the series" }).getByRole("link")).toHaveCount(10);
}
