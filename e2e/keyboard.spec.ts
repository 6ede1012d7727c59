import { expect, test } from "@playwright/test";
import { signIn } from "./before";
import { ruben } from "./helpers";

/** What the keyboard is at, and whether it can be seen to be there: by a ring, or by a field's own border. */
const at = () => {
  const here = document.activeElement!;
  const ringed = (element: Element | null) => element !== null && getComputedStyle(element).outlineStyle === "solid";
  const unseen = getComputedStyle(here).opacity === "0";
  return {
    what: `${here.tagName} ${here.getAttribute("aria-label") ?? here.textContent}`.slice(0, 40),
    seen: ringed(unseen ? here.closest(".Mui-focusVisible") : here) || here.closest(".Mui-focused") !== null,
    left: here === document.body,
  };
};

test("whoever goes by the keyboard sees where they are, on every kind of control", async ({ page }) => {
  await signIn(page);
  for (const path of ["assess/stand", "path", "assess/points", "edit"]) {
    await page.goto(`/clients/${ruben}/${path}`);
    let stops = 0;
    for (; stops < 70; stops++) {
      await page.keyboard.press("Tab");
      const { what, seen, left } = await page.evaluate(at);
      if (left) break;
      expect({ path, what, seen }).toEqual({ path, what, seen: true });
    }
    expect(stops).toBeGreaterThan(15);
  }
});

test("toggles are one stop of the keyboard: arrows go through them, Enter chooses, Tab goes on", async ({ page }) => {
  await signIn(page);
  await page.goto(`/clients/${ruben}/assess/stand?visit=3&moment=after&view=left`);
  const views = page.getByRole("group", { name: "View", exact: true });
  const [left, front, last] = [/^Left side/, /^Front/, /^Whole body/].map((name) =>
    views.getByRole("button", { name }),
  );
  await left!.focus();
  await page.keyboard.press("ArrowRight");
  await expect(views.getByRole("button", { name: /^Right side/ })).toBeFocused();
  await page.keyboard.press("End");
  await expect(last!).toBeFocused();
  await page.keyboard.press("ArrowRight");
  await expect(front!).toBeFocused();
  await page.keyboard.press("Enter");
  await expect(front!).toHaveAttribute("aria-pressed", "true");
  await expect(left!).toHaveAttribute("aria-pressed", "false");
  await page.keyboard.press("Tab");
  await expect(views.locator(":focus")).toHaveCount(0);
  await page.keyboard.press("Shift+Tab");
  await expect(front!).toBeFocused();
});

test("more about something small is there for the keyboard and the pointer, in sight, and Escape takes it away", async ({
  page,
}) => {
  await signIn(page);
  await page.goto(`/clients/${ruben}/path`);
  const chip = page.getByText(/^Pressure up to \d+$/).locator("..");
  const more = page.getByRole("tooltip", { name: /^The highest pressure/ });
  await expect(chip).toHaveAccessibleDescription(/^The highest pressure for the whole body/);
  await chip.hover();
  await expect(more).toBeInViewport({ ratio: 1 });
  await page.keyboard.press("Escape");
  await expect(more).toBeHidden();
  await page.getByRole("link", { name: "Practice", exact: true }).focus();
  for (let stops = 0; stops < 4 && !(await more.isVisible()); stops++) await page.keyboard.press("Tab");
  await expect(chip).toBeFocused();
  await expect(more).toBeInViewport({ ratio: 1 });
  await page.keyboard.press("Tab");
  await expect(more).toBeHidden();
});

test("the rows of links go where they say without loading the page anew, and elsewhere when that is asked for", async ({
  page,
  context,
}) => {
  await signIn(page);
  await page.goto(`/clients/${ruben}`);
  await page.evaluate(() => Object.assign(window, { stays: true }));
  const stays = () => page.evaluate(() => "stays" in window);
  await page.getByRole("link", { name: "Path", exact: true }).press("Enter");
  await expect(page.getByRole("link", { name: "Path", exact: true })).toHaveAttribute("aria-current", "page");
  await page.getByRole("link", { name: /^Visit 2, / }).click();
  await expect(page).toHaveURL(/\/path\?visit=2$/);
  await page.getByRole("link", { name: "List", exact: true }).click();
  await expect(page).toHaveURL(/\/path\/list\?visit=2$/);
  await page.getByRole("link", { name: "Calendar", exact: true }).click();
  await expect(page.getByRole("heading", { level: 1 })).toBeVisible();
  expect(await stays()).toBe(true);
  const [other] = await Promise.all([
    context.waitForEvent("page"),
    page.getByRole("link", { name: "Library", exact: true }).click({ modifiers: ["Control"] }),
  ]);
  await expect(other).toHaveURL(/\/library$/);
  await expect(page).toHaveURL(/\/calendar/);
});
