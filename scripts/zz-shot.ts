import { chromium } from "@playwright/test";
const base = "http://127.0.0.1:3123";
const id = (n: string) => `/clients/5c1d0a3e-7f41-4c55-9a3c-0d1f6b0a8e${n}`;
async function main() {
  const browser = await chromium.launch({ executablePath: "/usr/bin/chromium", args: ["--no-sandbox","--disable-gpu","--disable-dev-shm-usage"] });
  const page = await browser.newPage({ viewport: { width: 1280, height: Number(process.env.H ?? 800) }, baseURL: base });
  page.on("console", (m) => m.type() === "error" && console.log("console:", m.text()));
  page.on("pageerror", (e) => console.log("pageerror:", e.message));
  await page.goto("/sign-in");
  await page.getByLabel("E-mail").fill("odile@kiln.example");
  await page.getByLabel("Password").fill("slow warm hands");
  await page.getByRole("button", { name: "Sign in" }).click();
  await page.getByRole("navigation", { name: "Places" }).waitFor();
  for (const arg of process.argv.slice(2)) {
    const [name, path] = arg.split("=", 2) as [string, string];
    await page.goto(path.replace(/^(\d\d)/, (n) => id(n)) );
    await page.waitForLoadState("networkidle");
    await page.waitForTimeout(300);
    await page.screenshot({ path: `/tmp/shots/${name}.png` });
  }
  await browser.close();
}
void main();
