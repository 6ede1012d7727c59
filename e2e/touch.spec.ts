import { expect, test, type Page } from "@playwright/test";
import { inKiln, newClient, signIn } from "./before";
import { accessible } from "./helpers";

const lines = [
  "l qu lu 2 band t4 bind head",
  "r qu lu 1",
  "r upper trap 3 band t6 ease head",
  "l upper trap 1 drag",
  "r pec min 3 tether",
  "l pec min 2 tether",
  "b lumbar er 2 band",
  "r glute med 2 nodule t5",
  "l calf 1 drag",
  "r hamstr 2",
  "l plantar fasc 1",
  "r levator 2 band t3",
];
const found = (page: Page) => page.getByRole("heading", { name: `${lines.length} restrictions` });

test("twelve findings in one line each, in under a minute and a half of typing; a spot found again goes on", async ({
  page,
}) => {
  await signIn(page);
  const home = await newClient(page, "Twelve Lines");
  await page.goto(`${home}/assess/touch`);
  const line = page.getByLabel("What you feel, in one line");
  const kept = page.getByRole("status", { name: "As it will be kept" });
  await line.fill("l qu lu 2 xyzzy");
  await expect(kept).toContainText("quadratus lumborum, left, inner muscle");
  await expect(kept).toContainText("“xyzzy” is not understood");
  // what is not understood is not kept, and nothing typed is lost
  await line.press("Enter");
  await expect(line).toHaveValue("l qu lu 2 xyzzy");
  let strokes = 0;
  for (const text of lines) {
    await line.fill(text);
    await line.press("Enter");
    await expect(line).toHaveValue("");
    strokes += text.length + 1;
  }
  await expect(found(page)).toBeVisible();
  // common practice: somebody who types with a few fingers makes three and a half strokes a second
  expect(strokes / 3.5).toBeLessThan(90);
  const spot = page.getByRole("listitem").filter({ hasText: "Quadratus lumborum, left" });
  await expect(spot).toContainText("band · binds head");
  await accessible(page);

  // after the session: the same structure and side is the same spot
  await page.getByRole("button", { name: "After", exact: true }).click();
  await line.fill("l ql 1");
  await expect(kept).toContainText("goes on from 2");
  await line.press("Enter");
  await expect(spot).toContainText("2 → 1");
  await expect(found(page)).toBeVisible();
  await page.getByRole("group", { name: "Shown" }).getByRole("button", { name: "Still 2 or 3" }).click();
  await expect(spot).toHaveCount(0);
});

test("by touch alone: two presses where it is peeled, and a lost network keeps the finding until it is there once", async ({
  browser,
}) => {
  const context = await browser.newContext({ viewport: { width: 820, height: 1180 }, hasTouch: true });
  const page = await context.newPage();
  await signIn(page);
  const home = await newClient(page, "By Finger");
  await page.goto(`${home}/assess/touch`);
  await page.getByRole("slider", { name: "Peel to layer" }).press("End");
  await page.getByRole("slider", { name: "Peel to layer" }).press("ArrowLeft");
  let presses = 0;
  const press = async (name: string, grade: string) => {
    const outline = page
      .getByRole("button", { name: `${name}, inner muscle, seen from the back` })
      .locator("path")
      .first();
    const box = (await outline.boundingBox())!;
    await page.touchscreen.tap(box.x + box.width / 2, box.y + box.height / 2);
    await page.getByRole("group", { name: "Grade: a press keeps it" }).getByRole("button", { name: grade }).tap();
    presses += 2;
  };
  await press("Rhomboid major, left", "2 stops early");
  await press("Rhomboid major, right", "3 fixed");
  await expect(page.getByRole("heading", { name: "2 restrictions" })).toBeVisible();
  expect(presses).toBe(4);

  // the mirror side is one press more
  await press("Multifidus groove, left", "2 stops early");
  await page.getByRole("button", { name: "Multifidus groove, right, the same (M)" }).tap();
  await expect(page.getByRole("heading", { name: "4 restrictions" })).toBeVisible();

  // a finger on something small may have meant its neighbour: all that it covers is offered
  const near = page.getByRole("group", { name: "Or did you mean" });
  const small = page.getByRole("button", {
    name: "Rectus capitis posterior minor, left, inner muscle, seen from the back",
  });
  const box = (await small.locator("path").first().boundingBox())!;
  await page.touchscreen.tap(box.x + box.width / 2, box.y + box.height / 2);
  await expect(near.getByRole("button", { name: "Rectus capitis posterior minor, left" })).toBeVisible();
  for (const offered of await near.getByRole("button").all())
    expect((await offered.boundingBox())!.height).toBeGreaterThanOrEqual(24);
  await page.getByRole("button", { name: "Cancel" }).tap();

  await context.setOffline(true);
  await page.getByLabel("What you feel, in one line").fill("l masseter 2");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("status", { name: "Being kept" })).toContainText("Masseter, left, grade 2. Not sent yet");
  await context.setOffline(false);
  await expect(page.getByRole("heading", { name: "5 restrictions" })).toBeVisible();
  await expect(page.getByRole("status", { name: "Being kept" })).toBeEmpty();
  await context.close();
});

test("a new knee leaves calf and sole free, a broken wrist the upper arm: intake says what is out and why", async ({
  page,
}) => {
  await signIn(page);
  const home = await newClient(page, "Knee And Wrist");
  await page.goto(`${home}/intake`);
  const read = page.getByRole("status", { name: "What was read" });
  await page.getByLabel("What", { exact: true }).fill("new left knee");
  await expect(read).toContainText("Out: levers, end-range stretch across knee; kneecap joint, left.");
  await page.getByLabel("What", { exact: true }).fill("broken left wrist");
  await page.getByLabel("When", { exact: true }).fill("11 weeks ago");
  await expect(read).toContainText(/Out: wrist; .*palm; thumb; .*fingers, left\./);
  await expect(read).toContainText(/Out: levers, end-range stretch across elbow joint; .*wrist joint.*, left\./);
  await expect(read).not.toContainText("upper arm");
  await page.getByRole("button", { name: "Add", exact: true }).click();
  const state = (place: string) => page.locator("title", { hasText: place }).first();
  await expect(state("Wrist, left: out")).toBeAttached();
  await expect(state("Front of the upper arm, left")).toHaveText("Front of the upper arm, left");
});

test("a scar is drawn where it lies, its rose felt before and after and compared; a fresh one is left alone", async ({
  page,
}) => {
  await signIn(page);
  const home = await newClient(page, "Scar And Rose");
  await page.goto(`${home}/assess/scars`);
  const place = (await page.locator('[id="place front lower-belly R"]').boundingBox())!;
  const [x, y] = [place.x + place.width / 2, place.y + place.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + 6, y + 10, { steps: 6 });
  await page.mouse.up();
  const form = page.getByRole("form", { name: "New scar" });
  await expect(form).toContainText(/lower belly.*right/);
  await form.getByLabel("Length, mm").fill("ninety");
  await form.getByRole("button", { name: "Record it" }).click();
  await expect(form).toContainText("Length: type millimetres.");
  await form.getByLabel("Length, mm").fill("90");
  await form.getByLabel("Since").fill("summer 1998");
  await form.getByLabel("In words").fill("appendix");
  await form.getByRole("button", { name: "Yes" }).click();
  await form.getByRole("button", { name: "Record it" }).click();
  const scar = page.getByRole("listitem").filter({ hasText: "appendix" });
  await expect(scar).toContainText("Older than half a year");
  const slide = (way: string) => scar.getByRole("slider", { name: `Slide ${way}`, exact: true });
  for (const way of ["outward", "footward and out", "footward"]) await slide(way).press("1");
  // what was not felt is not taken for free
  await expect(scar).toContainText("3 of 8 ways felt. It is kept once all eight and the lift are felt.");
  const rest = scar.getByRole("button", { name: "The others slide like the skin around" });
  const lift = scar.getByRole("group", { name: /^Lift of/ });
  await rest.click();
  await expect(scar).toContainText("how far does it lift?");
  await lift.getByRole("button", { name: "2 short" }).click();
  await expect(scar).toContainText("Shortest outward; footward and out; footward");
  await expect(scar).toContainText(/The rose is \d+ % ±\d+ %/);
  await accessible(page);

  await page.getByRole("button", { name: "After", exact: true }).click();
  await expect(scar).toContainText("Not tested yet after visit 1");
  for (const way of ["outward", "footward and out", "footward"]) await slide(way).press("2");
  await rest.click();
  await lift.getByRole("button", { name: "2 short" }).click();
  for (const way of ["outward", "footward and out", "footward"]) await slide(way).press("ArrowUp");
  await expect(scar).toContainText(/Dashed: before visit 1, \d+ %\. Change \+\d+ % ±\d+ %: clear\./);
  // the last of quick presses is what is kept
  const last = () =>
    inKiln(async (tx) => {
      const client_id = home.split("/").at(-1)!;
      const row = await tx("scar_rose as r")
        .join("scar as s", "s.id", "r.scar_id")
        .where({ client_id, moment: "after" })
        .first("r.slides");
      return (row as { slides: number[] } | undefined)?.slides;
    });
  await expect.poll(last).toEqual([3, 3, 3, 3, 3, 3, 3, 3]);
  await page.reload();
  await page.getByRole("button", { name: "After", exact: true }).click();
  await expect(scar).toContainText("It slides like the skin around it, every way.");

  await page.getByRole("button", { name: "Add a scar" }).click();
  await form.getByLabel("Where").fill("left knee");
  await form.getByLabel("Length, mm").fill("40");
  await form.getByLabel("Since").fill("3 weeks ago");
  await form.getByRole("button", { name: "Yes" }).click();
  await form.getByRole("button", { name: "Record it" }).click();
  const fresh = page.getByRole("listitem", { name: "Knee, left" });
  await expect(fresh).toContainText(/It rests for eight weeks; [56] more to go\./);
  await expect(fresh.getByRole("slider")).toHaveCount(0);
});
