// Called by screenshots.mjs with the address of a running demo.
import { chromium, type Page } from "@playwright/test";

const base = process.argv[2]!;
const ruben = "/clients/5c1d0a3e-7f41-4c55-9a3c-0d1f6b0a8e01";
const petra = "/clients/5c1d0a3e-7f41-4c55-9a3c-0d1f6b0a8e03";
const desmond = "/clients/5c1d0a3e-7f41-4c55-9a3c-0d1f6b0a8e06";
const maribel = "/clients/5c1d0a3e-7f41-4c55-9a3c-0d1f6b0a8e05";

async function main() {
  for (
    let i = 0;
    i < 100 &&
    !(await fetch(`${base}/readyz`).then(
      (answer) => answer.ok,
      () => false,
    ));
    i++
  )
    await new Promise((resolve) => setTimeout(resolve, 200));
  const browser = await chromium.launch({
    executablePath: "/usr/bin/chromium",
    args: [
      "--no-sandbox",
      "--disable-gpu",
      "--disable-dev-shm-usage",
      "--disable-background-networking",
      "--no-first-run",
    ],
  });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, baseURL: base });
  const shot = async (name: string, path?: string, prepare?: (page: Page) => Promise<unknown>) => {
    if (path) await page.goto(path);
    await page.waitForLoadState("networkidle");
    await prepare?.(page);
    await page.evaluate(() => window.scrollTo(0, 0));
    await page.waitForTimeout(500);
    await page.screenshot({ path: `docs/screenshots/${name}.png` });
  };
  await page.goto("/sign-in");
  await page.getByLabel("E-mail").fill("odile@kiln.example");
  await page.getByLabel("Password").fill("slow warm hands");
  await page.getByRole("button", { name: "Sign in" }).click();
  await page.getByRole("navigation", { name: "Places" }).waitFor();
  await shot("today", "/");
  await shot("overview", ruben);
  await shot("intake", `${desmond}/intake`, async () => {
    await page.getByLabel("What", { exact: true }).fill("broken left wrist");
    await page.getByLabel("When", { exact: true }).fill("11 weeks ago");
  });
  await shot("screening", `${petra}/intake/screening`);
  await shot("stand-front", `${ruben}/assess/stand?view=front`, async () => {
    await page.getByRole("button", { name: "Slider" }).click();
    await page.getByTestId("earlier-picture").waitFor();
  });
  await shot("table", `${ruben}/assess/table?visit=4`, () =>
    page.getByRole("button", { name: /^High side, upper lumbar/ }).click(),
  );
  await shot("move", `${ruben}/assess/move?visit=4`);
  await shot("touch", `${ruben}/assess/touch`, async () => {
    await page.getByRole("slider", { name: "Peel to layer" }).press("End");
    await page.getByRole("slider", { name: "Peel to layer" }).press("ArrowLeft");
    await page.getByLabel("What you feel, in one line").fill("l qu lu 2 band t4 bind head");
  });
  await shot("scars", `${ruben}/assess/scars`);
  await shot("arc", `${maribel}/assess/arc?visit=3`, async () => {
    await page.getByRole("button", { name: /^Third of three/ }).click();
    await page.getByRole("button", { name: "Hands on: melt in" }).click();
    await page.waitForTimeout(3000);
  });
  await shot("bones", `${maribel}/assess/bones?visit=1`);
  await shot("reading", `${ruben}/reading`);
  await shot("home-care", `${ruben}/sessions/home`, async () => {
    await page.getByRole("button", { name: "Give" }).first().click();
    await page.getByText("One thing, about").waitFor();
  });
  await shot("path", `${ruben}/path`, async () => {
    await page
      .getByRole("complementary")
      .getByRole("button", { name: /^Hip-flexor wait|^Rectus|^Pectoralis/ })
      .first()
      .click();
    await page.getByRole("button", { name: "Take it out by hand" }).click();
    await page.getByRole("region", { name: "Changed by hand" }).waitFor();
    await page.evaluate(() => window.scrollTo(0, 0));
  });
  await shot("change", `${ruben}/change?from=1-before&to=5-before`);
  await shot("library", "/library?q=psoas&open=psoas-wait");
  await shot("trainer", "/practice/trainer", async () => {
    await page.getByRole("button", { name: "Begin" }).click();
    await page.getByText(/Hands on, and hold/).waitFor();
    const force = page.getByRole("slider", { name: "Force on the stand-in" });
    for (let i = 0; i < 50; i++) await force.press("ArrowUp");
    await page.getByRole("region", { name: "This round" }).waitFor({ timeout: 60_000 });
  });
  await shot("repeatability", "/practice/repeatability");
  await page.goto(`${ruben}/sessions`);
  await page.getByRole("link", { name: "Start the session" }).click();
  await page.getByRole("button", { name: "Start the clock" }).click();
  for (let i = 0; i < 9; i++) {
    await page.waitForTimeout(120);
    await page.keyboard.press("ArrowRight");
  }
  await page.getByRole("button", { name: "more" }).click();
  await page.waitForTimeout(18_000);
  await shot("run-sheet");
  await browser.close();
}
void main();
