import { expect, test, type Locator, type Page } from "@playwright/test";
import { homes } from "../kinds/register";
import { ruben } from "./helpers";
import { inKiln, newClient, readyToWork, send, signIn } from "./before";

const maribel = "5c1d0a3e-7f41-4c55-9a3c-0d1f6b0a8e05";
const sizes = [
  { width: 1280, height: 800 },
  { width: 1024, height: 768 },
  { width: 820, height: 1180 },
  { width: 390, height: 844 },
];

/** Each screen with its main act: what somebody comes there to press. */
const screens: [path: string, act: (page: Page) => Locator][] = [
  ["/", (page) => page.getByRole("link", { name: /^(Prepare|Plan|Go on)$/ }).first()],
  ["/clients", (page) => page.getByRole("link", { name: "New client" })],
  ["/clients/new", (page) => page.getByRole("textbox", { name: /^Name/ })],
  ["/calendar", (page) => page.getByRole("heading", { level: 1 })],
  ["/library", (page) => page.getByRole("textbox").first()],
  ["/library/new", (page) => page.getByLabel("Name", { exact: true })],
  ["/library/import", (page) => page.getByText("Choose a file")],
  ["/practice/repeatability", (page) => page.getByRole("heading", { level: 1 })],
  [`/clients/${ruben}`, (page) => page.getByRole("link", { name: /^(Prepare|Go on)/ }).first()],
  [`/clients/${ruben}/intake`, (page) => page.getByRole("button", { name: "Add", exact: true })],
  [`/clients/${ruben}/intake/screening`, (page) => page.getByRole("button", { name: "Nothing changed" })],
  [`/clients/${ruben}/intake/consent`, (page) => page.getByRole("button", { name: /^(Ask|Sign again)$/ }).first()],
  [`/clients/${ruben}/intake/scales`, (page) => page.getByRole("group", { name: /0 to 10/ }).first()],
  [`/clients/${ruben}/assess/stand?view=front`, (page) => page.getByRole("button", { name: /^Next view/ })],
  [`/clients/${ruben}/assess/touch`, (page) => page.getByText("front", { exact: true })],
  [`/clients/${ruben}/assess/summary`, (page) => page.getByRole("button", { name: "Print" })],
  [`/clients/${ruben}/assess/table`, (page) => page.getByRole("button", { name: /next$/i })],
  [`/clients/${ruben}/assess/move`, (page) => page.getByRole("button", { name: /^Hear 3 in a row/ }).first()],
  [`/clients/${ruben}/assess/points`, (page) => page.getByRole("button", { name: "Add a point" })],
  [`/clients/${ruben}/assess/scars`, (page) => page.getByRole("button", { name: "Add a scar" })],
  [`/clients/${maribel}/assess/listen`, (page) => page.getByRole("group", { name: "Left quality" })],
  [`/clients/${maribel}/assess/arc?visit=2`, (page) => page.getByRole("heading", { name: /Listen again/ })],
  [`/clients/${maribel}/assess/bones?visit=1`, (page) => page.getByRole("heading", { name: "Sphenoid" })],
  [`/clients/${maribel}/assess/unwinding`, (page) => page.getByRole("button", { name: "Hands on" })],
  [
    "/practice/repeatability/drawings/5c1d0a3e-7f41-4c55-9a3c-0d1f6b0a8eff",
    (page) => page.getByText("Drawing 1 of 80"),
  ],
  [`/clients/${ruben}/reading`, (page) => page.getByRole("heading", { name: /^It suggests/ })],
  [`/clients/${ruben}/path`, (page) => page.getByRole("button", { name: "Solve again" })],
  [`/clients/${ruben}/path/list`, (page) => page.getByRole("button", { name: "Print" })],
  [`/clients/${ruben}/path/plans`, (page) => page.getByRole("button", { name: "Gentler" })],
  [`/clients/${ruben}/sessions`, (page) => page.getByRole("link", { name: /the session$/ })],
  [`/clients/${ruben}/change`, (page) => page.getByRole("heading", { level: 2 }).filter({ visible: true }).first()],
];

/** Kinds of record bring their screens themselves; these are looked at elsewhere above. */
const named = new Set(screens.map(([path]) => path.split("?")[0]!.split("/").slice(3).join("/")));
for (const { path, act } of homes)
  if (!named.has(path))
    screens.push([
      `/clients/${ruben}/${path}`,
      (page) => page.getByRole(act.role, { name: new RegExp(act.name, "i") }).first(),
    ]);

/** The whole of it is on the screen, without scrolling and under nothing else. */
async function inView(page: Page, act: Locator, what: string) {
  await expect.soft(act, what).toBeVisible();
  if (!(await act.isVisible())) return;
  const size = page.viewportSize()!;
  const box = (await act.boundingBox())!;
  const seen = {
    left: box.x >= 0,
    top: box.y >= 0,
    right: box.x + box.width <= size.width + 1,
    bottom: box.y + box.height <= size.height,
  };
  expect.soft({ what, ...seen, at: box }).toMatchObject({ left: true, top: true, right: true, bottom: true });
  const covered = await act.evaluate((element) => {
    const { left, top, width, height } = element.getBoundingClientRect();
    const there = document.elementFromPoint(left + width / 2, top + height / 2);
    return !(there && (element.contains(there) || there.contains(element)));
  });
  expect.soft({ what, covered }).toEqual({ what, covered: false });
}

for (const viewport of sizes)
  test(`the main act of every screen is in view at ${viewport.width} × ${viewport.height}, and nothing is cut off sideways`, async ({
    page,
  }) => {
    await page.setViewportSize(viewport);
    await signIn(page);
    for (const [path, act] of screens) {
      await page.goto(path);
      await inView(page, act(page), path);
      const wide = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
      expect.soft({ path, wide }).toEqual({ path, wide: 0 });
    }
    // the stages of a client fit, without pushing
    const stages = page.getByRole("navigation", { name: "Stages" });
    for (const name of ["Overview", "Change"]) await inView(page, stages.getByRole("link", { name }), `stage ${name}`);

    // a choice on the plan's grid shows what was chosen
    await page.goto(`/clients/${ruben}/path`);
    await page.getByRole("button", { name: /^Session 7,/ }).click();
    await expect(
      page.getByRole("complementary", { name: "Chosen session" }).getByRole("heading").first(),
    ).toBeInViewport();

    // the table: the next press is where the hand left it, however much the step says
    const home = await newClient(page, `Size ${viewport.width}`);
    await readyToWork(page, home);
    const clientId = home.split("/").at(-1)!;
    const visitId = await inKiln(
      async (tx) => (await tx("visit").where({ client_id: clientId }).first("id")).id as string,
    );
    const steps = [{ technique: "side-leg-wring", side: "L", position: "side", planned: 60, passes: 2 }];
    const started = { id: crypto.randomUUID(), at: new Date().toISOString(), kind: "started", body: { steps } };
    expect(
      (
        await page.request.post(`/run/${visitId}/events`, {
          data: [started],
          headers: { "Sec-Fetch-Site": "same-origin" },
        })
      ).status(),
    ).toBe(200);
    await send(page, `${home}/intake`, {
      intent: "tell",
      entryId: crypto.randomUUID(),
      versionId: crypto.randomUUID(),
      after: null,
      what: "varicose veins",
      condition: "varicose",
      kind: "condition",
      when: "",
      where: "left leg",
      answer: null,
    });
    await page.goto(`/run/${visitId}`);
    await inView(page, page.getByRole("button", { name: /^It let go/ }), "run sheet");
    await expect(page.getByText("Varicose veins: lower legs, feet, left.", { exact: false }).first()).toBeVisible();
  });
