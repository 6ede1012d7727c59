import { expect, test } from "@playwright/test";
import { figureOf, trueMarks, usualCamera } from "../devices/camera/camera";
import { neutralPosture } from "../devices/camera/posture";
import { newClient, readyToWork, signIn } from "./before";
import { accessible, clickPicture, noConsoleErrors } from "./helpers";

test("three standings of a client with dots: a press to take, a press to confirm, one mean with a narrower band", async ({
  page,
}) => {
  const clean = noConsoleErrors(page);
  await signIn(page);
  const home = await newClient(page, "Dorrit Standing");
  await readyToWork(page, home);
  await page.goto(`${home}/assess/stand?view=left`);
  const dialog = page.getByRole("dialog");
  let presses = 0;
  const press = async (name: string | RegExp, within: typeof dialog | typeof page = page) => {
    presses++;
    await within.getByRole("button", { name }).click();
  };
  const take = async () => {
    await press("Take the picture", dialog);
    await expect(page.getByRole("application")).toBeVisible({ timeout: 90_000 });
    await expect(dialog).toHaveCount(0);
  };
  await press("Take or choose a picture");
  await dialog.getByLabel("Dots are worn on the bony points").check();
  await take();
  // eight dots in this view; the eye corner wears none, plumb and stick are the eye's
  await press(/Confirm the 8 that are sure/);
  const hung = trueMarks(figureOf(neutralPosture), { ...usualCamera, view: "left" });
  for (const key of ["plumb.top", "plumb.foot", "stick.top", "stick.foot"] as const) {
    presses++;
    await clickPicture(page, hung[key]!.x, hung[key]!.y, usualCamera);
  }
  const row = page.getByRole("listitem").filter({ hasText: "Craniovertebral angle" });
  await expect(row).toContainText(/±\d/);
  await expect(page.getByText(/narrow the band of a change by about \d+%/)).toBeVisible();
  await accessible(page);

  for (const standing of [2, 3]) {
    await press("Stand again");
    await expect(dialog.getByLabel("Dots are worn on the bony points")).toBeChecked();
    await take();
    // plumb and stick hang where they hung, the dots have gone where the body went
    await press(/Confirm the \d+ that are sure/);
    await expect(page.getByText(`mean of ${standing} standings`)).toBeVisible();
    await expect(page.getByText(/^Saved/)).toBeVisible();
  }
  // under four minutes for four views of three, at three seconds a press: here is one view
  expect(4 * presses * 3).toBeLessThan(4 * 60);
  await page.reload();
  await expect(page.getByText("mean of 3 standings")).toBeVisible();
  await page.goto("/practice/repeatability");
  await expect(page.getByRole("region", { name: "Standing again" })).toContainText("Craniovertebral angle");
  clean();
});
