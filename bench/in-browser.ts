import { chromium, type Browser, type Page } from "@playwright/test";

/** Debian's own, as it runs here. */
export const launch = (): Promise<Browser> =>
  chromium.launch({
    executablePath: "/usr/bin/chromium",
    args: ["--no-sandbox", "--disable-gpu", "--disable-dev-shm-usage"],
  });

/** A real browser at the bench's server, signed in, for as long as `work` takes. */
export async function inBrowser<T>(base: string, work: (page: Page, browser: Browser) => Promise<T>): Promise<T> {
  const browser = await launch();
  try {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, baseURL: base });
    const page = await context.newPage();
    await page.goto("/sign-in");
    await page.getByLabel("E-mail").fill("odile@kiln.example");
    await page.getByLabel("Password").fill("slow warm hands");
    await page.getByRole("button", { name: "Sign in" }).click();
    await page.getByRole("navigation", { name: "Places" }).waitFor();
    return await work(page, browser);
  } finally {
    await browser.close();
  }
}
