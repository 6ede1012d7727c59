import AxeBuilder from "@axe-core/playwright";
import { expect, type Page } from "@playwright/test";
import type { Marks } from "../core/measure/calibration";
import { usualCamera } from "../devices/camera/camera";
import { marksOfView } from "../core/measure/marking";
import type { View } from "../core/measure/view";

export const ruben = "5c1d0a3e-7f41-4c55-9a3c-0d1f6b0a8e01";

/** No serious or critical accessibility fault (WCAG 2 A and AA rules of axe). */
export async function accessible(page: Page) {
  // a colour in the middle of a transition is nobody's reading: what lasts is what counts
  await expect(async () => {
    // in the page itself: the usual way opens another page to put the results of frames together, and there are none
    const { violations } = await new AxeBuilder({ page })
      .setLegacyMode()
      .options({ resultTypes: ["violations"] })
      .withTags(["wcag2a", "wcag2aa", "wcag21a", "wcag21aa"])
      .analyze();
    expect(
      violations.map((violation) => ({
        id: violation.id,
        nodes: violation.nodes.slice(0, 3).map((node) => node.html.slice(0, 160)),
      })),
    ).toEqual([]);
  }).toPass({ timeout: 60_000 });
}

/** Fails the test on any error a page logs: script faults, refused styles, broken hydration. */
export function noConsoleErrors(page: Page): () => void {
  const errors: string[] = [];
  page.on("console", (message) => message.type() === "error" && errors.push(`${page.url()} ${message.text()}`));
  page.on("pageerror", (error) => errors.push(`${page.url()} ${error.message}`));
  return () => expect(errors).toEqual([]);
}

/** Takes a picture with the camera stand-in and waits until it can be marked. Returns where things truly are. */
export async function takePicture(page: Page, dials: Record<string, number> = {}) {
  await page.getByRole("button", { name: /Take or choose a picture|Take again/ }).click();
  const dialog = page.getByRole("dialog");
  for (const [name, value] of Object.entries(dials)) {
    const dial = dialog.getByRole("slider", { name, exact: true });
    await dial.fill(String(value));
  }
  await dialog.getByRole("button", { name: "Take the picture" }).click();
  await expect(page.getByRole("application")).toBeVisible({ timeout: 90_000 });
  // until it has faded out it lies above the picture and takes the clicks
  await expect(dialog).toHaveCount(0);
}

/** Goes on to the view that is asked for next, and waits until it is there: until then buttons still mean the one before. */
export async function nextView(page: Page, name: string) {
  await page.getByRole("button", { name: /^Next/ }).click();
  await expect(page.getByRole("group", { name: "View" }).getByRole("button", { name, pressed: true })).toBeVisible();
}

/** Clicks a place given in the picture's own pixels. */
export async function clickPicture(page: Page, x: number, y: number, size: { width: number; height: number }) {
  const box = (await page.getByRole("application").boundingBox())!;
  await page.mouse.click(box.x + (x / size.width) * box.width, box.y + (y / size.height) * box.height);
}

/** Marks every point of the picture shown at the given places, by mouse, as a practised hand would. */
export async function markTrue(
  page: Page,
  truth: Marks,
  view: View,
  size: { width: number; height: number } = usualCamera,
) {
  for (const key of marksOfView(view)) await clickPicture(page, truth[key]!.x, truth[key]!.y, size);
  await expect(page.getByText(/All points placed/)).toBeVisible();
}

/**
 * Counts what is pressed with mouse or finger from the next page on. Returns how long a person takes for it by the
 * keystroke-level model (Card, Moran & Newell 1980; its times from memory): for each press 1.1 s to point and 0.2 s to
 * press, and 1.35 s to think, which a newcomer needs twice.
 */
export async function timeNewcomer(page: Page): Promise<() => Promise<number>> {
  await page.addInitScript(() =>
    addEventListener(
      "pointerdown",
      () => sessionStorage.setItem("presses", String(1 + Number(sessionStorage.getItem("presses")))),
      true,
    ),
  );
  return async () => (2 * 1.35 + 1.1 + 0.2) * Number(await page.evaluate(() => sessionStorage.getItem("presses")));
}
