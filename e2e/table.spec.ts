import { randomUUID } from "node:crypto";
import { expect, test } from "@playwright/test";
import { firstVisit, inKiln, newClient, send, signIn } from "./before";
import { accessible } from "./helpers";

test("a whole run by four keys, through a lost network and a reload; then only what was off is looked at again", async ({
  page,
  context,
}) => {
  await signIn(page);
  const home = await newClient(page, "At The Table");
  const visitId = await firstVisit(home.split("/").at(-1)!);
  const kept = () =>
    inKiln(async (tx) => Number((await tx("table_event").where({ visit_id: visitId }).count("* as n"))[0]!.n));
  let posts = 0;
  page.on("request", (request) => {
    if (request.method() === "POST" && request.url().includes("/table/")) posts += 1;
  });
  await page.goto(`${home}/assess/table`);
  const card = (name: string) => page.getByRole("region", { name, exact: true });
  await expect(card("Ankle bones")).toBeVisible();
  await expect(page.getByRole("button", { name: "Even, next" })).toBeEnabled();

  // face up the client's right lies at the left
  const keys = async (...list: string[]) => {
    for (const key of list) await page.keyboard.press(key);
  };
  await keys("ArrowLeft", "ArrowLeft");
  await expect(
    card("Ankle bones").getByRole("group", { name: "Right short" }).getByRole("button", { name: "clearly" }),
  ).toHaveAttribute("aria-pressed", "true");
  await keys("Space");
  await page.getByLabel("Right, mm").fill("90");
  await page.keyboard.press("Enter");
  await expect(page.getByText("Leg length by tape: from 400 to 1300, got 90.")).toBeVisible();
  await page.getByLabel("Right, mm").fill("880");
  await page.getByLabel("Left, mm").fill("897");
  await page.keyboard.press("Enter");
  await expect(card("Feet turned out at rest")).toBeVisible();
  await keys("ArrowDown", "ArrowDown", "ArrowDown", "Space", "ArrowDown", "Space");
  await context.setOffline(true);
  await keys("ArrowLeft", "ArrowLeft", "Space");
  await expect(card("Hip height")).toBeVisible();
  // face down the client's left lies at the left
  await keys("ArrowRight", "ArrowRight", "Space");
  await expect(page.getByText(/not sent yet: kept here/)).toBeVisible();
  await context.setOffline(false);
  await expect.poll(kept).toBe(11);
  await page.reload();
  // it goes on where nothing was said yet
  await page.getByRole("button", { name: /^Shoulder height/ }).click();
  await expect(page.getByRole("button", { name: "Even, next" })).toBeEnabled();
  await page.keyboard.press("Escape");
  await page.locator("body").click({ position: { x: 700, y: 150 } });
  for (let i = 0; i < 16; i++) await page.keyboard.press("Space");
  await keys("ArrowDown", "ArrowDown", "ArrowDown", "Space");
  await expect(page.getByText("That was the last one. What was found stands below.")).toBeVisible();
  const off = page.getByRole("region", { name: "Off before the work" });
  await expect(off).toContainText("Ankle bones: clearly right short");
  await expect(off).toContainText("Hip height: clearly right high");
  await expect(page.getByRole("region", { name: "Leg difference" })).toContainText(
    "By the tape the right leg is 17 ±11 mm shorter: the same leg.",
  );
  await accessible(page);
  await expect(page.getByText("Being kept …")).toHaveCount(0);
  expect(posts).toBeLessThan(30);

  await page.getByRole("button", { name: /^Retest these/ }).click();
  await expect(page.getByRole("heading", { name: /^Retest, 0 of 4/ })).toBeVisible();
  await expect(card("Ankle bones")).toContainText("Before the work: clearly right short.");
  await page.locator("body").click({ position: { x: 700, y: 150 } });
  await keys("Space", "ArrowDown", "ArrowDown", "Space");
  await expect(off).toContainText("Hip height: clearly right high → even (clear, nearer to even)");
  await expect(off).toContainText("Not looked at again yet.");

  // it reaches the note and the change, also when the page is left before it was sent
  await page.goto(`${home}/sessions?visit=1`);
  await expect.poll(kept).toBe(39);
  await page.reload();
  await expect(page.getByLabel("Note", { exact: true })).toHaveValue(
    /Hip height: clearly right high, after even \(clear, nearer to even\)\.\nOff and not looked at again: leg length by tape/,
  );
  await page.goto(`${home}/change?visit=1`);
  await expect(page.getByRole("region", { name: "At the table" })).toContainText(
    "Hip height: clearly right high → even (clear, nearer to even)",
  );
  await page.goto(`${home}/assess/summary`);
  await expect(page.getByRole("region", { name: "At the table" })).toContainText("Hip height");
});

test("what is no answer is refused by field, rule and value, and holds up nothing", async ({ page }) => {
  await signIn(page);
  const home = await newClient(page, "No Answers");
  const visitId = await firstVisit(home.split("/").at(-1)!);
  const event = (body: object) => ({ id: randomUUID(), at: "2026-03-02T10:00:00Z", kind: "answer", body });
  const good = event({ moment: "before", check: "hip-height", side: null, way: "hand", value: 1 });
  const bad: [object, RegExp][] = [
    [event({ moment: "noon", check: "hip-height", way: "hand", value: 1 }), /Moment: before, again or after/],
    [event({ moment: "before", check: "aura", way: "hand", value: 1 }), /“aura” is not made here/],
    [event({ moment: "before", check: "hip-height", way: "hand", value: 7 }), /from -3 to 3, got 7/],
    [event({ moment: "before", check: "hip-height", way: "guess", value: 1 }), /by hand or measured/],
    [{ ...good, id: "one" }, /its id is not valid/],
    [{ ...good, id: randomUUID(), kind: "song" }, /its kind is not known/],
  ];
  const sent = await send(page, `${home}/table/${visitId}`, [...bad.map(([each]) => each), good, good]);
  expect(sent.status).toBe(200);
  for (const [, says] of bad) expect(sent.text).toMatch(says);
  expect(await inKiln((tx) => tx("table_event").where({ visit_id: visitId }).pluck("id"))).toEqual([good.id]);
  // the same id for something else
  const other = await send(page, `${home}/table/${visitId}`, [{ ...good, body: { ...good.body, value: 2 } }]);
  expect(other).toMatchObject({ status: 422, text: expect.stringContaining("stands for something else") });
});

test("ranges are heard three in a row and typed, judged by their error, and a hard painful end keeps levers out", async ({
  page,
  context,
}) => {
  await signIn(page);
  const home = await newClient(page, "On The Move");
  const visitId = await firstVisit(home.split("/").at(-1)!);
  const kept = () =>
    inKiln(async (tx) => Number((await tx("table_event").where({ visit_id: visitId }).count("* as n"))[0]!.n));
  // an inclinometer at the cable: two ends are held, then it is unplugged
  await page.addInitScript(() => {
    const readable = new ReadableStream<Uint8Array>({
      async start(port) {
        for (const angle of [0, 20, 40, 40, 40, 40, 40, 20, 0, 20, 42, 42, 42, 42, 42, 20, 0])
          for (let i = 0; i < 15; i++) {
            await new Promise((done) => setTimeout(done, 20));
            port.enqueue(new TextEncoder().encode(`${angle}.0\r\n`));
          }
        port.error(new Error("unplugged"));
      },
    });
    const port = { open: () => Promise.resolve(), close: () => Promise.resolve(), readable };
    Object.defineProperty(navigator, "serial", { value: { requestPort: () => Promise.resolve(port) } });
  });
  await page.goto(`${home}/assess/move`);
  const [left, right] = [page.getByRole("group", { name: "Left" }), page.getByRole("group", { name: "Right" })];
  await left.getByRole("button", { name: "Hear 3 in a row" }).click();
  await expect(left.getByRole("status")).toContainText(/: \d+(\.\d)? ±\d(\.\d)?°, mean of 3/);
  await expect(left.getByRole("button", { name: "Hear 3 in a row" })).toBeVisible();
  await context.setOffline(true);
  await right.getByLabel("Typed, °").fill("400");
  await expect(page.getByText("Neck, turning: from -40 to 220, got 400.")).toBeVisible();
  for (const value of ["41", "42", "40"]) {
    await right.getByLabel("Typed, °").fill(value);
    await page.keyboard.press("Enter");
  }
  await expect(right.getByRole("status")).toContainText("41 ±3.3°, mean of 3");
  await expect(page.getByText(/not sent yet: kept here/)).toBeVisible();
  await expect(page.getByRole("region", { name: "Sides differ" })).toContainText(/\(clear\)/);
  await context.setOffline(false);
  await right.getByLabel("It ended").click();
  await page.getByRole("option", { name: /^hard/ }).click();
  await right.getByLabel(/^Pain at the end/).click();
  await page.getByRole("option", { name: "4", exact: true }).click();
  await expect(page.getByText(/ended hard or empty and hurt/)).toBeVisible();
  await accessible(page);
  await expect.poll(kept).toBe(8);
  await page.reload();
  await expect(right.getByRole("status")).toContainText("41 ±3.3°, mean of 3");
  await expect(page.getByText("Ends hard: neck, turning, right")).toBeVisible();

  await page.getByRole("button", { name: "Neck, side-bending" }).click();
  await page.getByLabel("Angles come from").click();
  await page.getByRole("option", { name: "Inclinometer at the cable" }).click();
  await left.getByRole("button", { name: "Hear 3 in a row" }).click();
  await expect(page.getByText("Inclinometer at the cable tells nothing any more. What it took stays")).toBeVisible();
  await expect(left.getByRole("status")).toContainText("41 ±");
  await expect(left.getByRole("status")).toContainText("mean of 2");

  await page.getByRole("button", { name: "Hip at the edge of the table" }).click();
  const leg = page.getByRole("group", { name: "Left leg" });
  await leg.getByLabel("Thigh above the table, °").fill("15");
  await leg.getByLabel("Knee from straight, °").fill("60");
  await leg.getByLabel("Thigh drifts outward, °").fill("30");
  await page.keyboard.press("Enter");
  await expect(leg.getByRole("status")).toHaveText(
    /Short: outer band by 15°\. The thigh is up: hold the knee straight/,
  );
  await leg.getByLabel(/^Thigh, knee held straight/).fill("0");
  await page.keyboard.press("Enter");
  await expect(leg.getByRole("status")).toHaveText("Short: rectus femoris by 35°, outer band by 15°.");
});

test("a high side is worked and level now, judged by one's own figures after a second round, blind", async ({
  page,
}) => {
  await signIn(page);
  const home = await newClient(page, "Level Now");
  await firstVisit(home.split("/").at(-1)!);
  await page.goto(`${home}/assess/table`);
  const card = page.getByRole("region", { name: "High side, upper lumbar" });
  const strip = async (atUpperLumbar: string[]) => {
    await page.getByRole("button", { name: /^High side, neck/ }).click();
    await page.locator("body").click({ position: { x: 700, y: 150 } });
    for (const name of [
      "neck",
      "upper thoracic",
      "middle thoracic",
      "lower thoracic",
      "upper lumbar",
      "lower lumbar",
    ]) {
      await expect(page.getByRole("region", { name: `High side, ${name}` })).toBeVisible();
      for (const key of name === "upper lumbar" ? [...atUpperLumbar, "Space"] : ["Space"])
        await page.keyboard.press(key);
      // how it is held is asked where it is off only
      for (let i = 0; i < 2 && name === "upper lumbar" && atUpperLumbar.length > 0; i++)
        if (await page.getByRole("region", { name: /^(Hollow side|Comes level), upper lumbar/ }).isVisible())
          await page.keyboard.press("ArrowDown");
    }
  };
  await expect(page.getByRole("button", { name: "Even, next" })).toBeEnabled();
  await strip(["ArrowRight"]);
  await page.getByRole("button", { name: "Second round, blind" }).click();
  await expect(page.getByRole("heading", { name: "Second round, blind, 0 of 6" })).toBeVisible();
  // nothing of the first round is on the screen
  await expect(page.getByText("right high", { exact: false }).filter({ hasText: "a little right" })).toHaveCount(0);
  await strip(["ArrowRight"]);
  await expect(page.getByText(/Looked at again, blind: 6 answers, 6 the same as before/)).toBeVisible();
  await expect(page.getByText("Being kept …")).toHaveCount(0);
  await page.reload();
  await page.getByRole("button", { name: /^Retest it/ }).click();
  await expect(card).toContainText(/One look is good to ±0\.\d grades: your own, from \d+ second looks/);
  await page.locator("body").click({ position: { x: 700, y: 150 } });
  await page.keyboard.press("Space");
  const level = "High side, upper lumbar: a little right high → even (clear, nearer to even)";
  await expect(page.getByRole("region", { name: "Off before the work" })).toContainText(level);
  await expect(page.getByText("Being kept …")).toHaveCount(0);
  await page.goto(`${home}/change?visit=1`);
  await expect(page.getByRole("region", { name: "At the table" })).toContainText(level);
  await page.goto(`${home}/sessions?visit=1`);
  await expect(page.getByLabel("Note", { exact: true })).toHaveValue(
    /High side, upper lumbar: a little right high, after even \(clear, nearer to even\)/,
  );

  // what it says of the hands; and the lay figures, left in the middle and gone on with
  await page.goto("/practice/repeatability");
  await expect(page.getByRole("row", { name: /^High side beside the spine/ })).toContainText("pooled");
  await page.getByRole("link", { name: "Look at the drawings" }).click();
  await expect(page.getByText("Drawing 1 of 80")).toBeVisible();
  await page.keyboard.press("ArrowLeft");
  await page.keyboard.press("Space");
  await page
    .getByRole("group", { name: /^Right (high|short)/ })
    .getByRole("button", { name: "clearly" })
    .click();
  await expect(page.getByText("Drawing 3 of 80")).toBeVisible();
  await expect(page.getByRole("status").filter({ hasText: "not kept yet" })).toHaveCount(0);
  await accessible(page);
  await page.getByRole("link", { name: "Go on later" }).click();
  await page.getByRole("link", { name: "Go on: 2 of 80" }).click();
  await expect(page.getByText("Drawing 3 of 80")).toBeVisible();
  await page.goBack();
  page.once("dialog", (dialog) => void dialog.accept());
  await page.getByRole("listitem").filter({ hasText: "2 of 80 drawings graded" }).getByRole("button").click();
  await expect(page.getByRole("link", { name: "Look at the drawings" })).toBeVisible();
});
