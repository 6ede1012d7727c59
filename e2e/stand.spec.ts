import { randomUUID } from "node:crypto";
import { connect as socketTo } from "node:net";
import { expect, test } from "@playwright/test";
import pg from "pg";
import sharp from "sharp";
import type { View } from "../core/measure/view";
import { figureOf, trueMarks, usualCamera } from "../devices/camera/camera";
import { stanceOf } from "../devices/camera/person";
import { accessible, markTrue, nextView, noConsoleErrors, ruben, takePicture, timeNewcomer } from "./helpers";
import { firstVisit, inKiln, newClient, readyToWork, signIn } from "./before";

// each test has pictures of its own: both workers can share this long file
test.describe.configure({ mode: "parallel" });

test("marks by keyboard and touch, with undo, redo and a magnifier that stays clear of the point", async ({
  browser,
}) => {
  const context = await browser.newContext({ viewport: { width: 820, height: 1180 }, hasTouch: true });
  const page = await context.newPage();
  await signIn(page);
  await page.goto(`/clients/${ruben}/assess/stand?visit=3&moment=after&view=left`);
  const picture = page.getByRole("application");
  const tilt = page.getByRole("listitem").filter({ hasText: "Pelvic tilt" });
  const original = await tilt.innerText();

  await page.getByRole("button", { name: /^ASIS, left/ }).click();
  await picture.focus();
  for (let i = 0; i < 3; i++) await page.keyboard.press("Shift+ArrowDown");
  await expect.poll(() => tilt.innerText()).not.toBe(original);
  await page.keyboard.press("Control+z");
  await expect.poll(() => tilt.innerText()).toBe(original);
  await page.keyboard.press("Control+y");
  await expect.poll(() => tilt.innerText()).not.toBe(original);
  await page.keyboard.press("Delete");
  await expect(tilt).toHaveCount(0);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(tilt).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect.poll(() => tilt.innerText()).toBe(original);

  // touch: a finger on a free place moves the chosen point there
  await page.getByRole("button", { name: /^Tragus, left/ }).click();
  await picture.scrollIntoViewIfNeeded();
  const box = (await picture.boundingBox())!;
  await page.touchscreen.tap(box.x + box.width * 0.2, box.y + box.height * 0.5);
  await expect(page.getByRole("listitem").filter({ hasText: "Head forward of ankle" })).toBeVisible();
  const glass = (await page.getByTestId("magnifier").boundingBox())!;
  expect(glass.x > box.x + box.width * 0.2 || glass.x + glass.width < box.x + box.width * 0.2).toBe(true);
  await page.getByRole("button", { name: "Undo" }).click();
  await accessible(page);
  await context.close();
});

test("uploads a real picture upright, and refuses anything else without keeping it", async ({ page }) => {
  await signIn(page);
  const home = await newClient(page, "Lena Upload");
  await readyToWork(page, home);
  await page.goto(`${home}/assess/stand`);
  await page.getByRole("button", { name: "Take or choose a picture" }).click();
  await page.getByRole("tab", { name: "Picture file" }).click();
  const choose = page.getByLabel("Picture file", { exact: true });
  const store = page.getByRole("button", { name: "Store the picture" });
  await choose.setInputFiles({
    name: "notes.jpg",
    mimeType: "image/jpeg",
    buffer: Buffer.from("not a picture at all"),
  });
  await store.click();
  await expect(page.getByRole("alert")).toContainText("This is not a JPEG, PNG or WebP picture. Nothing was stored.");
  // a wall of squares, lying on its side: what is left of it under a patch would show as contrast
  const squares = Array.from({ length: 384 }, (_, i) => {
    const [x, y] = [(i % 24) * 38, Math.floor(i / 24) * 38];
    return `<rect x="${x}" y="${y}" width="38" height="38" fill="${(i + Math.floor(i / 24)) % 2 ? "#000" : "#fff"}"/>`;
  });
  const picture = await sharp(Buffer.from(`<svg width="900" height="600">${squares.join("")}</svg>`))
    .withMetadata({ orientation: 6 })
    .jpeg()
    .toBuffer();
  const frame = (background: string) =>
    sharp({ create: { width: 300, height: 400, channels: 3, background } })
      .png()
      .toBuffer();
  const moving = await sharp([await frame("#cbb"), await frame("#bcb")], { join: { animated: true } })
    .webp()
    .toBuffer();
  // what only shows when it is read is told at its place; nothing of it is kept
  for (const [name, buffer, told] of [
    ["cut.jpg", picture.subarray(0, picture.length / 2), "damaged or cut off"],
    ["moving.webp", moving, "This is an animation"],
  ] as const) {
    await choose.setInputFiles({ name, mimeType: "image/jpeg", buffer });
    await store.click();
    await expect(page.getByRole("alert")).toContainText(told);
    await expect(page.getByRole("alert")).toContainText("Front, before visit 1");
    await accessible(page);
    await page.getByRole("button", { name: "Put away" }).click();
    await expect(page.getByRole("alert")).toHaveCount(0);
    await page.getByRole("button", { name: "Take or choose a picture" }).click();
    await page.getByRole("tab", { name: "Picture file" }).click();
  }
  await choose.setInputFiles({
    name: "huge.jpg",
    mimeType: "image/jpeg",
    buffer: Buffer.alloc(26 * 1024 * 1024, 0xff),
  });
  await store.click();
  await expect(page.getByRole("alert")).toContainText("The file is larger than 25 MB. Nothing was stored.");
  await choose.setInputFiles({ name: "whole.jpg", mimeType: "image/jpeg", buffer: picture });
  await page.getByLabel("Camera to ankles (mm)").fill("200");
  await store.click();
  await expect(page.getByRole("alert")).toContainText("Camera distance: 200 mm is under 1000.");
  await page.getByLabel("Camera to ankles (mm)").fill("2800");
  await page.getByLabel("Cover the face before it is sent").check();
  await store.click();
  await page.getByRole("application", { name: /patch over the face/ }).focus();
  await page.keyboard.press("Shift+ArrowDown");
  await accessible(page);
  const sent = page.waitForRequest((request) => request.url().includes("/photos/upload"));
  await page.getByRole("button", { name: "Cover and store" }).click();
  const id = new URL((await sent).url()).searchParams.get("id")!;
  await expect(page.getByRole("application", { name: /Photograph to mark/ })).toBeVisible();
  await expect(page.getByText(/camera 2800 mm away/)).toBeVisible();
  // under the patch nothing is left of the face, and the rest is as it was
  const covered = await (await page.request.get(`${home}/photos/${id}`)).body();
  const { width, height } = await sharp(covered).metadata();
  expect([width, height]).toEqual([600, 900]);
  const spread = async (top: number) => {
    const part = await sharp(covered).extract({ left: 265, top, width: 70, height: 70 }).greyscale().png().toBuffer();
    return (await sharp(part).stats()).channels[0]!.stdev;
  };
  expect(await spread(100)).toBeLessThan(40);
  expect(await spread(500)).toBeGreaterThan(90);
  // asked once for a set-up: the next picture starts from it
  await page.getByRole("button", { name: "Take again" }).click();
  await expect(page.getByLabel("Camera to ankles (mm)")).toHaveValue("2800");
  await page.getByRole("button", { name: "Cancel" }).click();
  const box = (await page.getByRole("application").boundingBox())!;
  expect(box.height).toBeGreaterThan(box.width);
});

test("keeps marks through a lost network and a reload", async ({ page, context }) => {
  await signIn(page);
  await page.goto(`/clients/${ruben}/assess/stand?visit=2&moment=before&view=front`);
  await page.getByRole("button", { name: /^Acromion, right/ }).click();
  const level = page.getByRole("listitem").filter({ hasText: "Shoulder level" });
  const original = await level.innerText();
  await context.setOffline(true);
  await page.getByRole("application").focus();
  await page.keyboard.press("Shift+ArrowUp");
  await page.keyboard.press("Shift+ArrowUp");
  await expect(page.getByText(/No connection. The marks are kept in this tab/)).toBeVisible();
  const changed = await level.innerText();
  expect(changed).not.toBe(original);
  await context.setOffline(false);
  await expect(page.getByText(/^Saved/)).toBeVisible();
  await page.reload();
  await expect.poll(() => level.innerText()).toBe(changed);
});

test("a newcomer marks four views of a client; every metric appears with its error, and a bad set-up is said", async ({
  page,
}) => {
  const clean = noConsoleErrors(page);
  await signIn(page, "tamsin@kiln.example");
  const home = await newClient(page, "Nora Fourways");
  const clientId = home.split("/").at(-1)!;
  await readyToWork(page, home);
  const taken = await timeNewcomer(page);
  await page.goto(`${home}/assess/stand`);
  const metrics: Record<View, string[]> = {
    front: ["Head tilt", "Pelvic level", "Knee line, left", "Foot turn-out, right", "Off the plumb, all together"],
    left: ["Craniovertebral angle", "Head pitch", "C7 to shoulder", "Pelvic tilt", "Knee position"],
    back: ["Head shift", "Trunk shift", "Upper blade to spine, left", "Lower blade to spine, right", "Heel line, left"],
    right: ["Craniovertebral angle", "Trunk lean", "Hip forward of ankle", "Off the plumb, all together"],
  };
  const views = Object.keys(metrics) as View[];
  for (const view of views) {
    // the last picture is taken with everything wrong at once, and nothing of it noted
    const last = view === "right";
    await takePicture(page, last ? { Roll: 3, Distance: 2500, "Stick behind": 150 } : {});
    const camera = { ...usualCamera, view, ...(last ? { roll: 3, distance: 2500, stickBehind: 150 } : {}) };
    const figure = figureOf(stanceOf(clientId, 1720, 0, "before", view));
    await markTrue(page, trueMarks(figure, camera), view);
    for (const name of metrics[view]) {
      const row = page.getByRole("listitem").filter({ hasText: name });
      await expect(row.first()).toContainText(/±\d/);
    }
    if (last) {
      await expect(page.getByText(/The stick seems to stand \d+ cm .* behind where it was noted/)).toBeVisible();
      await page.getByRole("button", { name: /Reckon with \d+ cm behind the ankles/ }).click();
      await expect(page.getByText(/The stick seems to stand/)).toHaveCount(0);
      await expect(page.getByText(/stick 1800 mm, \d+ mm behind the ankles/)).toBeVisible();
    } else await expect(page.getByText(/seems to/)).toHaveCount(0);
    await expect(page.getByText(/^Saved/)).toBeVisible();
    await nextView(page, { front: "Left side", left: "Back", back: "Right side", right: "Whole body" }[view]);
  }
  await expect(page.getByText("Left side, forward and back")).toBeVisible();
  await expect(page.getByRole("listitem").filter({ hasText: "Knee line" })).toContainText(
    /clear|possible|cannot be told/,
  );
  // four minutes of marking at least, and twenty seconds for each turn and its picture: under eight minutes
  expect(await taken()).toBeGreaterThan(4 * 60);
  expect((await taken()) + 4 * 20).toBeLessThan(8 * 60);
  await accessible(page);

  // taken away, put aside, deleted for good: then no row of it is left
  await page.getByRole("button", { name: /^Front/ }).click();
  await page.getByRole("button", { name: "Take the picture away" }).click();
  await page.getByText("One picture was put aside").click();
  page.once("dialog", (dialog) => void dialog.accept());
  await page.getByRole("button", { name: "Delete for good" }).click();
  await expect(page.getByText("put aside")).toHaveCount(0);
  const left = await inKiln((tx) =>
    tx("photo as p").join("visit as v", "v.id", "p.visit_id").where("v.client_id", clientId).count("* as n").first(),
  );
  expect(Number(left!.n)).toBe(3);

  // consent withdrawn: no picture is shown or served, what was measured stays
  const photo = await inKiln((tx) =>
    tx("photo as p").join("visit as v", "v.id", "p.visit_id").where("v.client_id", clientId).first("p.id"),
  );
  await page.goto(`${home}/intake/consent`);
  await page.getByRole("button", { name: /^(Declined|Withdraw[a-z]*): Photographs/ }).click();
  await expect(page.getByText(/^(Declined|Withdrawn) /).first()).toBeVisible();
  expect((await page.request.get(`${home}/photos/${photo!.id}`)).status()).toBe(403);
  await page.goto(`${home}/assess/stand?view=left`);
  await expect(page.getByText(/3 pictures were taken while consent stood/)).toBeVisible();
  await expect(page.getByRole("listitem").filter({ hasText: "Pelvic tilt" })).toBeVisible();
  page.once("dialog", (dialog) => void dialog.accept());
  await page.getByRole("button", { name: "Delete the pictures for good" }).click();
  await expect(page.getByText(/taken while consent stood/)).toHaveCount(0);
  await expect(page.getByRole("listitem").filter({ hasText: "Pelvic tilt" })).toBeVisible();
  clean();
});

test("guesses from an earlier visit and from the picture wait to be confirmed; the model may fail", async ({
  page,
}) => {
  await signIn(page);
  await page.goto(`/clients/${ruben}/assess/stand?visit=6&moment=before&view=back`);
  await takePicture(page);
  const guesses = page.locator("[data-guess]");
  const suggest = async (name: RegExp) => {
    await page.getByRole("button", { name: "Suggest points" }).click();
    await page.getByRole("menuitem", { name }).click();
  };
  // a model that cannot be fetched costs nothing
  await page.route("**/pose/**", (route) => route.abort());
  await suggest(/From the picture/);
  await expect(page.getByText(/The model could not be run here\. Mark the picture by hand/)).toBeVisible({
    timeout: 30_000,
  });
  await expect(guesses).toHaveCount(0);
  await page.unroute("**/pose/**");

  await suggest(/As marked before visit/);
  await expect(guesses).toHaveCount(24);
  await expect(page.getByRole("list", { name: "Measurements" })).toHaveCount(0);
  await page.getByRole("application").focus();
  for (let i = 0; i < 8; i++) await page.keyboard.press("Enter");
  await expect(guesses).toHaveCount(16);
  await page.getByRole("button", { name: "Drop the guesses" }).click();
  await expect(guesses).toHaveCount(0);

  await suggest(/From the picture/);
  await expect(guesses.first()).toBeVisible({ timeout: 60_000 });
  await page.getByRole("button", { name: /^Acromion, left/ }).click();
  await expect(page.getByText(/Confirm or move .*The model is \d+% sure/)).toBeVisible();
  await page.getByRole("button", { name: "Confirm acromion, left" }).click();
  await page.getByRole("button", { name: /^Acromion, right/ }).click();
  await page.getByRole("application").focus();
  await page.keyboard.press("Enter");
  const level = page.getByRole("listitem").filter({ hasText: "Shoulder level" });
  const marked = await level.innerText();
  await page.getByRole("button", { name: "Swap left and right" }).click();
  await expect.poll(() => level.innerText()).not.toBe(marked);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect.poll(() => level.innerText()).toBe(marked);

  // another view and back: everything can still be undone
  await expect(page.getByText(/^Saved/)).toBeVisible();
  await page.getByRole("button", { name: /^Left side/ }).click();
  await expect(page.getByText("No left side picture before visit 6")).toBeVisible();
  await page.getByRole("button", { name: /^Back/ }).click();
  await expect(page.getByRole("button", { name: "Undo" })).toBeEnabled();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(level).toHaveCount(0);
});

test("magnifies by wheel, key and two fingers, and compares with the earlier picture at one scale", async ({
  browser,
}) => {
  const context = await browser.newContext({ viewport: { width: 820, height: 1180 }, hasTouch: true });
  const page = await context.newPage();
  await signIn(page);
  await page.goto(`/clients/${ruben}/assess/stand?visit=5&moment=before&view=front`);
  const picture = page.getByRole("application");
  const shown = async () => Number((await picture.getAttribute("viewBox"))!.split(" ")[2]);
  await expect(page.getByTestId("photograph")).toHaveCount(1);
  const whole = await shown();
  await picture.focus();
  await page.keyboard.press("+");
  expect(await shown()).toBeCloseTo(whole / 1.6, 0);
  await page.keyboard.press("0");
  expect(await shown()).toBe(whole);
  await page.evaluate(() => window.scrollTo(0, 0));
  let box = (await picture.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height * 0.3);
  await page.mouse.wheel(0, -300);
  await expect.poll(shown).toBeLessThan(whole * 0.8);
  await page.getByRole("button", { name: "Whole picture" }).click();

  // two fingers drawn apart magnify, and place nothing
  const before = await page.getByRole("list", { name: "Measurements" }).innerText();
  await page.evaluate(() => window.scrollTo(0, 0));
  box = (await picture.boundingBox())!;
  const touches = await context.newCDPSession(page);
  const at = (apart: number) => [
    { x: box.x + box.width / 2 - apart, y: box.y + box.height / 2, id: 1 },
    { x: box.x + box.width / 2 + apart, y: box.y + box.height / 2, id: 2 },
  ];
  await touches.send("Input.dispatchTouchEvent", { type: "touchStart", touchPoints: at(30).slice(0, 1) });
  await touches.send("Input.dispatchTouchEvent", { type: "touchStart", touchPoints: at(30) });
  for (const apart of [45, 60, 90])
    await touches.send("Input.dispatchTouchEvent", { type: "touchMove", touchPoints: at(apart) });
  await touches.send("Input.dispatchTouchEvent", { type: "touchEnd", touchPoints: [] });
  await expect.poll(shown).toBeLessThan(whole / 2.5);
  expect(await page.getByRole("list", { name: "Measurements" }).innerText()).toBe(before);
  await page.getByRole("button", { name: "Whole picture" }).click();

  await page.getByRole("button", { name: "Slider" }).click();
  await expect(page.getByTestId("earlier-picture")).toHaveCount(1);
  await page.getByRole("slider", { name: /How much of the earlier picture/ }).fill("0.2");
  await page.getByRole("button", { name: "Side by side" }).click();
  await expect(page.getByRole("img", { name: /before visit 4, at the same scale/ })).toBeVisible();
  await page.getByRole("button", { name: "Blink" }).click();
  await expect(page.getByTestId("earlier-picture")).toHaveCount(1);
  await expect(page.getByTestId("earlier-picture")).toHaveCount(0);
  await accessible(page);
  await context.close();
});

test("hears the inclinometer, and keeps several methods of one metric side by side", async ({ page }) => {
  await signIn(page);
  const home = await newClient(page, "Ivo Level");
  await readyToWork(page, home);
  const stand = `${home}/assess/stand?view=front&by=hand`;
  await page.goto(stand);
  const rows = () =>
    page.getByRole("list", { name: "Measurements" }).getByRole("listitem").filter({ hasText: "Shoulder level" });
  await page.getByRole("button", { name: "Hear the inclinometer for Shoulder level" }).click();
  const keep = page.getByRole("button", { name: "Keep the angle of Shoulder level" });
  await expect(keep).toBeDisabled();
  await expect(keep).toBeEnabled();
  await keep.click();
  await expect(rows()).toHaveCount(1);
  await expect(rows()).toContainText("inclinometer");
  const form = page.getByRole("group", { name: "Shoulder level" });
  await form.getByRole("combobox").last().click();
  await page.getByRole("option", { name: "By eye, plumb beside" }).click();
  await form.getByRole("combobox", { name: "Grade" }).click();
  await page.getByRole("option", { name: "clearly right low" }).click();
  await expect(rows()).toHaveCount(2);
  await expect(form.getByRole("button", { name: /^Inclinometer: / })).toBeVisible();
  await accessible(page);

  // after: by eye only for the one, by tape for another: never compared across methods
  await page.goto(`${stand}&moment=after`);
  const other = page.getByRole("group", { name: "Shoulder level" });
  await other.getByRole("combobox").last().click();
  await page.getByRole("option", { name: "Goniometer with a level" }).click();
  await page.getByRole("textbox", { name: "Shoulder level" }).fill("1");
  await page.keyboard.press("Enter");
  await expect(rows()).toContainText("goniometer");
  await page.goto(`${home}/change`);
  await expect(
    page.getByText(/Not compared, because the method changed: shoulder level \(inclinometer, then goniometer/),
  ).toBeVisible();
});

test("a cut-off upload and a full disk store nothing, and say so", async ({ page }) => {
  await signIn(page);
  const home = await newClient(page, "Olle Overflow");
  const clientId = home.split("/").at(-1)!;
  await readyToWork(page, home);
  const visit = await firstVisit(clientId);
  const [cut, full] = [randomUUID(), randomUUID()];
  const address = (id: string) =>
    `${home}/photos/upload?id=${id}&visit=${visit}&moment=before&view=front&stickLength=1800&cameraDistance=3000&cameraHeight=950`;
  const picture = await sharp({ create: { width: 400, height: 600, channels: 3, background: "#cbb" } })
    .jpeg()
    .toBuffer();

  const { hostname, port } = new URL(process.env.BASE_URL!);
  const cookie = (await page.context().cookies()).map(({ name, value }) => `${name}=${value}`).join("; ");
  await new Promise<void>((done) => {
    const socket = socketTo(Number(port), hostname, () => {
      socket.write(
        `POST ${address(cut)} HTTP/1.1\r\nHost: ${hostname}:${port}\r\nCookie: ${cookie}\r\nSec-Fetch-Site: same-origin\r\nContent-Type: application/octet-stream\r\nContent-Length: ${picture.length}\r\n\r\n`,
      );
      socket.write(picture.subarray(0, picture.length / 2), () => setTimeout(() => socket.destroy(), 300));
    });
    socket.on("close", () => done());
    socket.on("error", () => done());
  });

  // a disk that fills up in the middle of storing: the database's own error for it, for this one picture
  const owner = new pg.Client(process.env.OWNER_DATABASE_URL);
  await owner.connect();
  await owner.query(`create or replace function full_disk() returns trigger language plpgsql as
    $$ begin raise exception 'could not extend file' using errcode = '53100'; end $$`);
  await owner.query(
    `create trigger full_disk before insert on job_file for each row when (new.job_id = '${full}') execute function full_disk()`,
  );
  const answer = await page.request.post(address(full), {
    data: picture,
    headers: { "Sec-Fetch-Site": "same-origin", "Content-Type": "application/octet-stream" },
  });
  await owner.query("drop trigger full_disk on job_file");
  await owner.end();
  expect(answer.status()).toBe(507);
  expect(((await answer.json()) as { error: string }).error).toMatch(/disk is full\. Nothing was stored/);

  const rows = await inKiln(async (tx) => [
    ...(await tx("job").whereIn("id", [cut, full])),
    ...(await tx("job_file").whereIn("job_id", [cut, full])),
    ...(await tx("photo").whereIn("id", [cut, full])),
  ]);
  expect(rows).toEqual([]);
  // and the next one is stored as ever
  const again = await page.request.post(address(full), {
    data: picture,
    headers: { "Sec-Fetch-Site": "same-origin", "Content-Type": "application/octet-stream" },
  });
  expect(again.ok()).toBe(true);
});
