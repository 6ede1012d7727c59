import type { MarkKey, Marks } from "../core/measure/calibration";
import { isReference } from "../core/measure/marking";
import { seeded, seedOf } from "../core/random";
import { randomUUID } from "node:crypto";
import { expect, test } from "@playwright/test";
import { format } from "date-fns";
import { compare } from "../core/change/compare";
import { readPhoto, type MarkedPhoto } from "../core/measure/read-photo";
import { createClient } from "../data/clients";
import { madeBytes, madePhotos, madeStudy } from "../data/demo/made";
import { textFor } from "../core/consent/consent";
import { recordConsent } from "../data/consents";
import { addPhoto } from "../data/photos";
import { takeIn } from "../data/photo-intake";
import { hashPassword } from "../data/practitioners";
import type { StudyItem } from "../data/studies";
import { accessible, markTrue, noConsoleErrors } from "./helpers";
import { inKiln, signIn } from "./before";

/** A picture whose craniovertebral angle is `by` degrees more: the ear is moved up. */
function raised(photo: MarkedPhoto, by: number): MarkedPhoto {
  const angle = (lift: number) => {
    const at = photo.marks["tragus.L"]!;
    const marks = { ...photo.marks, "tragus.L": { x: at.x, y: at.y - lift } };
    return {
      marks,
      value: readPhoto({ ...photo, marks }).find(({ metric }) => metric.key === "craniovertebral")!.value,
    };
  };
  const start = angle(0).value;
  let lift = 0;
  while (angle(lift).value - start < by) lift += 0.05;
  return { ...photo, marks: angle(lift).marks };
}

/** Marks as a loose hand places them: bony points some forty millimetres about; a picture's `pass` alike in whatever order. */
function loose(marks: Marks, key: string, pass: number): Marks {
  const random = seeded(seedOf(`${key} ${pass}`));
  return Object.fromEntries(
    Object.entries(marks).map(([key, { x, y }]) =>
      isReference(key as MarkKey) || /^(canthus|tragus)/.test(key)
        ? [key, { x, y }]
        : [key, { x: x + 16 * random.normal(), y: y + 16 * random.normal() }],
    ),
  );
}

test("a study's own figures are used beside the model's, and the verdicts change with them", async ({ page }) => {
  const [me, client, email] = [randomUUID(), randomUUID(), `${randomUUID().slice(0, 8)}@kiln.example`];
  const photo = madePhotos().find(({ visit, moment, view }) => visit === 1 && moment === "before" && view === "left")!;
  // enough for an ordinary hand and an ordinary standing, too little for a loose hand
  const angle = readPhoto(photo).find(({ metric }) => metric.key === "craniovertebral")!;
  const later = raised(photo, 1.5 * compare(angle, angle).band);
  const name = `Vera Repeat ${client.slice(0, 4)}`;
  await inKiln(async (tx) => {
    await tx("practitioner").insert({
      id: me,
      name: "Loose Hand",
      email,
      password_hash: await hashPassword("slow warm hands"),
    });
    await createClient(tx, client, {
      name,
      born: null,
      occupation: "",
      complaint: "stiff neck",
      complaintRegion: "neck",
      statureMm: 1790,
      pressureCeiling: 5,
    });
    const visit = randomUUID();
    await tx("visit").insert({
      id: visit,
      client_id: client,
      ordinal: 1,
      on_date: format(new Date(), "yyyy-MM-dd"),
      status: "planned",
    });
    const { version, text } = textFor("photographs");
    await recordConsent(tx, client, {
      id: randomUUID(),
      visitId: visit,
      subject: "photographs",
      given: true,
      textVersion: version,
      text,
      signedBy: name,
      signature: null,
      by: "Loose Hand",
    });
    const file = await takeIn(madeBytes(photo.file));
    for (const [moment, { marks }] of [
      ["before", photo],
      ["after", later],
    ] as const)
      await addPhoto(
        tx,
        { id: randomUUID(), visitId: visit, moment, view: "left", setup: photo.setup, marks, markedBy: me },
        file,
      );
  });

  await signIn(page, email);
  const change = () => page.getByRole("listitem").filter({ hasText: "Craniovertebral angle" });
  const everywhere = async (verdict: RegExp) => {
    await page.goto(`/clients/${client}/change`);
    await expect(change()).toContainText(verdict);
    await page.goto(`/clients/${client}/assess/stand?visit=1&moment=after&view=left`);
    await expect(change()).toContainText(verdict);
    await page.goto("/");
    const brief = page.getByRole("listitem").filter({ hasText: name });
    await (verdict.test("clear") ? expect(brief) : expect(brief).not).toContainText("Craniovertebral angle");
    await page.goto(`/clients/${client}`);
    await expect(page.getByText("Craniovertebral angle").first()).toBeVisible({ visible: verdict.test("clear") });
  };
  await everywhere(/clear/);
  await page.goto(`/clients/${client}/change`);
  await expect(page.getByText(/Marking is taken as the model has it, not yet as you do it/)).toBeVisible();

  // five side views, twice each, blind, by the mouse
  await page.goto("/practice/repeatability");
  await expect(page.getByText("Nothing is known of your own marking yet.")).toBeVisible();
  await accessible(page);
  await page.getByLabel("Front (5)").uncheck();
  await page.getByRole("button", { name: "Begin marking" }).click();
  await expect(page.getByText("Views: choose at least one.")).toBeVisible();
  const clean = noConsoleErrors(page);
  await page.getByLabel("Side (5)").check();
  await page.getByRole("button", { name: "Begin marking" }).click();
  await expect(page.getByText(/Marking 1 of 10/)).toBeVisible();
  const items = await inKiln(
    async (tx) => (await tx("study").where({ practitioner_id: me }).first("items")).items as StudyItem[],
  );
  const places = new Map(madeStudy().map(({ key, marks }) => [key, marks]));
  const passes = new Map<string, number>();
  for (const [i, { source, view, setup }] of items.entries()) {
    await expect(page.getByText(`Marking ${i + 1} of 10`)).toBeVisible();
    await expect(page.getByTestId("photograph")).toHaveCount(1);
    if (source.kind !== "set") throw new Error("only the shipped set was asked for");
    const pass = passes.get(source.key) ?? 0;
    passes.set(source.key, pass + 1);
    await markTrue(page, loose(places.get(source.key)!, source.key, pass), view, setup);
    if (i === 1) {
      // a reload in the middle loses no mark
      await page.reload();
      await expect(page.getByText("All points are placed.")).toBeVisible();
    }
    await page.getByRole("button", { name: "Next picture" }).click();
  }
  await expect(page.getByText(/Your own figures are used for \d+ of 12 metrics/)).toBeVisible();
  await expect(page.getByRole("row", { name: /Craniovertebral angle, side 5 / })).toContainText("own");
  await expect(page.getByRole("img", { name: /Differences between first and second marking/ })).toBeVisible();
  await accessible(page);

  // so loose a hand leaves more open than any change to be expected
  await everywhere(/cannot be told|not judged/);
  await page.goto(`/clients/${client}/change`);
  await expect(page.getByText(/Marking is the marker’s own, pooled with the model’s/)).toBeVisible();

  // taken back, the model speaks again
  await page.goto("/practice/repeatability");
  page.once("dialog", (dialog) => void dialog.accept());
  await page.getByRole("button", { name: "Take it back" }).click();
  await expect(page.getByText("Nothing is known of your own marking yet.")).toBeVisible();
  await page.goto(`/clients/${client}/change`);
  await expect(change()).toContainText("clear");
  clean();
});
