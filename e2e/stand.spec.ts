import { expect, test } from "@playwright/test";
import sharp from "sharp";
import { readyToWork } from "./intake-steps";
import { accessible, newClient, ruben, signIn } from "./helpers";

test("marks by keyboard and touch, with undo, redo and a magnifier that stays clear of the point", async ({
  browser,
}) => {
  const context = await browser.newContext({ viewport: { width: 820, height: 1180 }, hasTouch: true });
  const page = await context.newPage();
  await signIn(page);
  await page.goto(`/clients/${ruben}/assess/stand?visit=3&moment=after&view=left`);
  const picture = page.getByRole("application");
  const tilt = page.getByRole("listitem").filter({ hasText: "Pelvic tilt" });
  const original = await tilt.innerText();

  await page.getByRole("button", { name: /^ASIS, left/ }).click();
  await picture.focus();
  for (let i = 0; i < 3; i++) await page.keyboard.press("Shift+ArrowDown");
  await expect(tilt).not.toHaveText(original);
  await page.keyboard.press("Control+z");
  await expect.poll(() => tilt.innerText()).toBe(original);
  await page.keyboard.press("Control+y");
  await expect.poll(() => tilt.innerText()).not.toBe(original);
  await page.keyboard.press("Delete");
  await expect(tilt).toHaveCount(0);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(tilt).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect.poll(() => tilt.innerText()).toBe(original);

  // touch: a finger on a free place moves the chosen point there
  await page.getByRole("button", { name: /^Tragus, left/ }).click();
  await picture.scrollIntoViewIfNeeded();
  const box = (await picture.boundingBox())!;
  await page.touchscreen.tap(box.x + box.width * 0.2, box.y + box.height * 0.5);
  await expect(page.getByRole("listitem").filter({ hasText: "Head forward of ankle" })).toBeVisible();
  const glass = (await page.getByTestId("magnifier").boundingBox())!;
  expect(glass.x > box.x + box.width * 0.2 || glass.x + glass.width < box.x + box.width * 0.2).toBe(true);
  await page.getByRole("button", { name: "Undo" }).click();
  await accessible(page);
  await context.close();
});

test("uploads a real picture upright, and refuses anything else without keeping it", async ({ page }) => {
  await signIn(page);
  const home = await newClient(page, "Lena Upload");
  await readyToWork(page, home);
  await page.goto(`${home}/assess/stand`);
  await page.getByRole("button", { name: "Take or choose a picture" }).click();
  await page.getByRole("tab", { name: "Picture file" }).click();
  const choose = page.getByLabel("Picture file", { exact: true });
  const store = page.getByRole("button", { name: "Store the picture" });
  await choose.setInputFiles({
    name: "notes.jpg",
    mimeType: "image/jpeg",
    buffer: Buffer.from("not a picture at all"),
  });
  await store.click();
  await expect(page.getByRole("alert")).toContainText("This is not a JPEG, PNG or WebP picture. Nothing was stored.");
  const picture = await sharp({ create: { width: 900, height: 600, channels: 3, background: "#cbb" } })
    .withMetadata({ orientation: 6 })
    .jpeg()
    .toBuffer();
  await choose.setInputFiles({
    name: "cut.jpg",
    mimeType: "image/jpeg",
    buffer: picture.subarray(0, picture.length / 2),
  });
  await store.click();
  await expect(page.getByRole("alert")).toContainText("damaged or cut off");
  await choose.setInputFiles({ name: "whole.jpg", mimeType: "image/jpeg", buffer: picture });
  await page.getByLabel("Camera distance (mm)").fill("200");
  await store.click();
  await expect(page.getByRole("alert")).toContainText("Camera distance: 200 mm is under 1000.");
  await page.getByLabel("Camera distance (mm)").fill("2800");
  await store.click();
  await expect(page.getByRole("application")).toBeVisible();
  const box = (await page.getByRole("application").boundingBox())!;
  expect(box.height).toBeGreaterThan(box.width);
});

test("keeps marks through a lost network and a reload", async ({ page, context }) => {
  await signIn(page);
  await page.goto(`/clients/${ruben}/assess/stand?visit=2&moment=before&view=front`);
  await page.getByRole("button", { name: /^Acromion, right/ }).click();
  const level = page.getByRole("listitem").filter({ hasText: "Shoulder level" });
  const original = await level.innerText();
  await context.setOffline(true);
  await page.getByRole("application").focus();
  await page.keyboard.press("Shift+ArrowUp");
  await page.keyboard.press("Shift+ArrowUp");
  const changed = await level.innerText();
  expect(changed).not.toBe(original);
  await expect(page.getByText(/No connection. The marks are kept in this tab/)).toBeVisible();
  await context.setOffline(false);
  await expect(page.getByText(/^Saved/)).toBeVisible({ timeout: 20_000 });
  await page.reload();
  await expect.poll(() => level.innerText()).toBe(changed);
});
