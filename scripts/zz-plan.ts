import { chromium } from "@playwright/test";
const base = "http://127.0.0.1:3123";
const petra = "/clients/5c1d0a3e-7f41-4c55-9a3c-0d1f6b0a8e03";
async function main() {
  const browser = await chromium.launch({ executablePath: "/usr/bin/chromium", args: ["--no-sandbox","--disable-gpu","--disable-dev-shm-usage"] });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, baseURL: base });
  page.on("console", (m) => m.type() === "error" && console.log("console:", m.text()));
  page.on("pageerror", (e) => console.log("pageerror:", e.message));
  await page.goto("/sign-in");
  await page.getByLabel("E-mail").fill("odile@kiln.example");
  await page.getByLabel("Password").fill("slow warm hands");
  await page.getByRole("button", { name: "Sign in" }).click();
  await page.getByRole("navigation", { name: "Places" }).waitFor();
  await page.goto(`${petra}/path`);
  await page.getByRole("button", { name: "Solve the series" }).click();
  await page.getByRole("link", { name: /^Visit 10,/ }).waitFor({ timeout: 60000 }); await page.waitForTimeout(500);
  await page.screenshot({ path: "/tmp/shots/petra-path.png", fullPage: true });
  await page.goto(`${petra}/sessions`);
  await page.waitForTimeout(500);
  await page.screenshot({ path: "/tmp/shots/petra-sessions.png", fullPage: true });
  await page.getByRole("link", { name: "Start the session" }).click();
  await page.waitForTimeout(800);
  await page.screenshot({ path: "/tmp/shots/petra-before.png" });
  for (const b of await page.getByRole("button", { name: /^Agreed:/ }).all()) { await b.click(); await page.waitForTimeout(400); }
  await page.getByRole("button", { name: "Start the clock" }).click();
  await page.waitForTimeout(500);
  await page.keyboard.press("ArrowRight");
  for (let i=0;i<30;i++){ await page.keyboard.press("s"); if (await page.getByText(/Only up to/).count()) break; await page.waitForTimeout(50);}
  await page.screenshot({ path: "/tmp/shots/petra-run.png" });
  await browser.close();
}
void main();
