import { readdirSync, readFileSync } from "node:fs";
import { expect, test } from "@playwright/test";
import { firstPage } from "../bench/first-page";

test("the first page asks for little: 160 kB of JavaScript in a dozen files, its letters at once, all kept for good", async ({
  request,
}) => {
  const html = await (await request.get("/sign-in")).text();
  const { kB, files, names } = firstPage(html);
  expect(names.length).toBeGreaterThan(3);
  expect(kB).toBeLessThanOrEqual(160);
  expect(files).toBeLessThanOrEqual(12);
  const letters = [...html.matchAll(/rel="preload" href="([^"]+[.]woff2)"/g)].map(([, href]) => href!);
  expect(letters).toHaveLength(2);
  // the same files that the styles name, or each would come twice
  const styles = await (await request.get(/href="([^"]+[.]css)"/.exec(html)![1]!)).text();
  for (const href of letters) expect(styles).toContain(href);
  for (const asset of [...names, ...letters])
    expect((await request.get(asset)).headers()["cache-control"]).toBe("public, max-age=31536000, immutable");
});

test("no development build is served, nor runs on the server", () => {
  const files = ["build/client/assets", "build/server/assets"].flatMap((folder) =>
    readdirSync(folder)
      .filter((name) => name.endsWith(".js"))
      .map((name) => `${folder}/${name}`),
  );
  // what only the development builds of react and of the router say
  const telling =
    /Download the React DevTools|react-router\/dist\/development|You are calling a `loader` on a lazy route/;
  for (const file of files)
    expect({ file, found: telling.exec(readFileSync(file, "utf8"))?.[0] }).toEqual({ file, found: undefined });
  expect(files.length).toBeGreaterThan(20);
});
