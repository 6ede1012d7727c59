import { expect, test } from "@playwright/test";
import { trueMarks, figureOf, usualCamera } from "../devices/camera/camera";
import { stanceOf } from "../devices/camera/person";
import type { View } from "../core/measure/view";
import type { Page } from "@playwright/test";
import { agree } from "./intake-steps";
import { accessible, markTrue, nextView, noConsoleErrors, takePicture } from "./helpers";

async function signIn(page: Page, email = "odile@kiln.example", password = "slow warm hands") {
  await page.goto("/sign-in");
  await page.getByLabel("E-mail").fill(email);
  await page.getByLabel("Password").fill(password);
  await page.getByRole("button", { name: "Sign in" }).click();
  await expect(page.getByRole("navigation", { name: "Places" })).toBeVisible();
}

/** Makes a client by the form and returns its address. */
async function newClient(page: Page, name: string): Promise<string> {
  await page.goto("/clients/new");
  await page.getByLabel("Name").fill(name);
  await page.getByLabel("Occupation").fill("net mender");
  await page.getByLabel("Stature (cm)").fill("172");
  await page.getByLabel("What they come for, in their words").fill("The left side feels shorter.");
  await page.getByLabel("Where it is").click();
  await page.getByRole("option", { name: "Low back" }).click();
  await page.getByRole("button", { name: "Save client" }).click();
  await expect(page.getByRole("heading", { level: 1, name })).toBeVisible();
  return new URL(page.url()).pathname;
}

/** Everything that has to be settled before a session may start: questions, consent to the work and to pictures. */
async function readyToWork(page: Page, home: string) {
  await page.goto(`${home}/intake/screening`);
  await page.getByRole("button", { name: "No to all that are open" }).click();
  await expect(page.getByRole("button", { name: "No to all that are open" })).toBeDisabled();
  await expect(page.getByText("Not screened yet")).toHaveCount(0);
  await page.goto(`${home}/intake/consent`);
  for (const subject of ["Hands-on work", "Photographs"]) await agree(page, subject);
  await page.goto(home);
}

/** Marks every point of the picture shown where it truly is, by mouse, as a practised hand would. */
async function markAll(page: Page, clientId: string, view: View, worked: number, moment: "before" | "after") {
  const figure = figureOf(stanceOf(clientId, 1720, worked, moment, view));
  const truth = trueMarks(figure, { ...usualCamera, view });
  await markTrue(page, truth, view);
  await expect(page.getByText(/^Saved/)).toBeVisible();
}

test("a client made from nothing: measured, touched, planned, worked, measured again", async ({ page }) => {
  const clean = noConsoleErrors(page);
  await signIn(page);
  const home = await newClient(page, "Selma Fathom");
  const clientId = home.split("/").at(-1)!;
  await accessible(page);
  await readyToWork(page, home);

  // Stand: front and left before the session
  await page.getByRole("link", { name: "Measure before visit 1" }).click();
  await takePicture(page);
  await markAll(page, clientId, "front", 0, "before");
  await expect(page.getByRole("listitem").filter({ hasText: "Shoulder level" })).toContainText("°");
  await accessible(page);
  await nextView(page, "Left side");
  await takePicture(page);
  await markAll(page, clientId, "left", 0, "before");
  await expect(page.getByRole("listitem").filter({ hasText: "Craniovertebral angle" })).toContainText("±");

  // everything is there after a reload
  const before = await page.getByRole("listitem").filter({ hasText: "Pelvic tilt" }).innerText();
  await page.reload();
  await expect(page.getByRole("listitem").filter({ hasText: "Pelvic tilt" })).toHaveText(before.replaceAll("\n", ""), {
    useInnerText: false,
  });

  // Touch, by keyboard
  await page.getByRole("link", { name: "Touch", exact: true }).click();
  await page.getByRole("button", { name: "Lower lumbar, left, seen from the back" }).focus();
  await page.keyboard.press("Enter");
  const here = page.getByRole("group", { name: "Structures at lower lumbar" });
  await here.getByRole("button", { name: "Lumbar erectors" }).press("Enter");
  // the grade waits for a key
  await page.keyboard.press("Tab");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("heading", { name: "1 restriction" })).toBeVisible();
  await page
    .getByRole("group", { name: /Grade of/ })
    .getByRole("button", { name: "3" })
    .click();
  await expect(page.getByRole("listitem").filter({ hasText: "left, 3" })).toBeVisible();
  await accessible(page);

  // Listen
  await page.getByRole("link", { name: "Listen", exact: true }).click();
  await page.getByRole("group", { name: "Left quality" }).getByRole("button", { name: "1" }).click();
  await page.getByRole("group", { name: "Right quality" }).getByRole("button", { name: "3" }).click();
  await expect(page.getByText(/Motion was weakest at the heels, left/)).toBeVisible();
  const tap = page.getByRole("button", { name: "Tap", exact: true });
  for (let i = 0; i < 5; i++) {
    await tap.click();
    await page.waitForTimeout(700);
  }
  await expect(page.getByText(/per minute, 4 cycles/)).toBeVisible();
  await accessible(page);

  // Path
  await page.getByRole("link", { name: "Path", exact: true }).click();
  await page.getByRole("button", { name: "Solve the series" }).click();
  await expect(page.getByText(/Already usable/)).toBeVisible();
  await expect(page.getByText(/better is possible/)).toBeVisible({ timeout: 90_000 });
  await expect(page.getByRole("navigation", { name: "Visits of the series" }).getByRole("link")).toHaveCount(10);
  await page.getByRole("button", { name: "Rise slowly" }).click();
  await expect(page.getByText("Every session ends with rising slowly.")).toBeVisible();
  await accessible(page);

  // Run sheet, by keys, with a reload in mid-hold
  await page.getByRole("link", { name: "Sessions", exact: true }).click();
  await page.getByRole("link", { name: "Start the session" }).click();
  await page.getByRole("button", { name: "Start the clock" }).click();
  const first = await page.getByRole("heading", { level: 2 }).innerText();
  await page.keyboard.press("n");
  await page.getByLabel("Note to this step").fill("cold hands, warmed first");
  await page.keyboard.press("Enter");
  await expect(page.getByText("Noted: cold hands, warmed first")).toBeVisible();
  await page.waitForTimeout(2500);
  await page.reload();
  await expect(page.getByRole("heading", { level: 2, name: first })).toBeVisible();
  await expect(page.getByText("0:00")).toHaveCount(0);
  await expect(page.getByText("Noted: cold hands, warmed first")).toBeVisible();
  await accessible(page);
  await page.keyboard.press("ArrowRight");
  await expect(page.getByRole("heading", { level: 2, name: first })).toHaveCount(0);
  await page.getByRole("button", { name: "more" }).click();
  const finish = page.getByRole("button", { name: "Finish the session" });
  for (let i = 0; i < 90 && !(await finish.isVisible()); i++)
    await page.keyboard.press(i % 3 === 1 ? "s" : "ArrowRight");
  await finish.click();
  await expect(page.getByText("Done", { exact: true })).toBeVisible();

  // measured again, closed with the drafted note, and compared
  await page.getByRole("link", { name: "Measure after" }).click();
  await takePicture(page);
  await markAll(page, clientId, "front", 0, "after");
  await page.goto(`${home}/sessions?visit=1`);
  await expect(page.getByLabel("Note", { exact: true })).toHaveValue(/cold hands, warmed first/);
  await page.getByRole("button", { name: "Close visit 1" }).click();
  await expect(page).toHaveURL(/change/);
  await expect(page.getByRole("img", { name: /Stance lines of front/ })).toBeVisible();
  await expect(page.getByRole("listitem").filter({ hasText: "Shoulder level" })).toContainText(
    /clear|possible|cannot be told/,
  );
  await accessible(page);
  clean();
});
