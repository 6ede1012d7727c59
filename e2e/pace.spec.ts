import { readdirSync, readFileSync } from "node:fs";
import { expect, test } from "@playwright/test";
import { signIn } from "./before";
import { accessible } from "./helpers";
import { firstPage } from "../bench/first-page";

test("the first page asks for little: 180 kB of JavaScript in a dozen files, its letters at once, all kept for good", async ({
  request,
}) => {
  const html = await (await request.get("/sign-in")).text();
  expect(html).toMatch(/^<!DOCTYPE html>/);
  const { kB, files, names } = firstPage(html);
  expect(names.length).toBeGreaterThan(3);
  expect(kB).toBeLessThanOrEqual(180);
  expect(files).toBeLessThanOrEqual(12);
  const letters = [...html.matchAll(/rel="preload" href="([^"]+[.]woff2)"/g)].map(([, href]) => href!);
  expect(letters).toHaveLength(2);
  // the same files that the styles name, or each would come twice
  const styles = await (await request.get(/href="([^"#]+[.]css)#?"/.exec(html)![1]!)).text();
  for (const href of letters) expect(styles).toContain(href);
  for (const asset of [...names, ...letters])
    expect((await request.get(asset)).headers()["cache-control"]).toBe("public, max-age=31536000, immutable");
});

test("what cannot be fetched any more takes no page down: it says so, and is there after loading again", async ({
  page,
}) => {
  await signIn(page);
  await page.route(/\/assets\/(notice|fault-page|command-box)-/, (route) => route.abort());
  await page.goto("/clients");
  await expect(async () => {
    await page.keyboard.press("Control+k");
    await expect(page.getByRole("alert")).toContainText("No connection", { timeout: 1000 });
  }).toPass();
  await accessible(page);
  await page.getByRole("alert").getByRole("button", { name: "Close" }).click();
  await expect(page.getByRole("heading", { level: 1, name: "Clients" })).toBeVisible();
  await page.unroute(/\/assets\/(notice|fault-page|command-box)-/);
  // a browser does not ask again for a script that failed, before the page is loaded anew
  await page.reload();
  await expect(async () => {
    await page.keyboard.press("Control+k");
    await expect(page.getByRole("dialog", { name: "Jump to" })).toBeVisible({ timeout: 1000 });
  }).toPass();
});

test("no development build of React is served, nor runs on the server", () => {
  const files = ["build/client/assets", "build/server/assets"].flatMap((folder) =>
    readdirSync(folder)
      .filter((name) => name.endsWith(".js"))
      .map((name) => `${folder}/${name}`),
  );
  // the router's package names one build only, and calls it its development build
  const telling = /Download the React DevTools|react-dom-client\.development/;
  for (const file of files)
    expect({ file, found: telling.exec(readFileSync(file, "utf8"))?.[0] }).toEqual({ file, found: undefined });
  expect(files.length).toBeGreaterThan(20);
});
