import sharp from "sharp";
import { madeBytes, madePhotos } from "../data/demo/made";
import { inBrowser } from "./in-browser";
import { quantile, report } from "./report";
import { ruben, withServer } from "./server";

/** Marking in a real browser on a picture of 12 MP: frames while a mark is dragged, suggestion, upload. */
async function main() {
  await withServer(async (base) => {
    await inBrowser(base, async (page) => {
      const made = madePhotos().find(
        ({ view, visit, moment }) => view === "front" && visit === 5 && moment === "before",
      )!;
      const factor = 3000 / made.setup.width;
      const large = await sharp(madeBytes(made.file)).resize({ width: 3000 }).jpeg({ quality: 92 }).toBuffer();
      await page.goto(`/clients/${ruben}/assess/stand?visit=6&moment=before&view=front`);
      await page.getByRole("button", { name: "Take or choose a picture" }).click();
      await page.getByRole("tab", { name: "Picture file" }).click();
      await page
        .getByLabel("Picture file", { exact: true })
        .setInputFiles({ name: "large.jpg", mimeType: "image/jpeg", buffer: large });
      const uploading = performance.now();
      await page.getByRole("button", { name: "Store the picture" }).click();
      const picture = page.getByRole("application");
      await page.getByTestId("photograph").waitFor({ timeout: 60_000 });
      const uploaded = performance.now() - uploading;

      const box = (await picture.boundingBox())!;
      const size = { width: 3000, height: Math.round((made.setup.height * 3000) / made.setup.width) };
      const at = ({ x, y }: { x: number; y: number }) => ({
        x: box.x + ((x * factor) / size.width) * box.width,
        y: box.y + ((y * factor) / size.height) * box.height,
      });
      for (const mark of Object.values(made.marks)) {
        const { x, y } = at(mark);
        await page.mouse.click(x, y);
      }
      await page.getByText("All points placed").waitFor();

      // a mark dragged about for four seconds: how long each frame took, and how long the script held the thread
      // as text: what the bundler adds to functions does not exist in the page
      await page.evaluate(`
      window.dragFrames = [];
      let last = performance.now();
      const tick = () => {
        const now = performance.now();
        window.dragFrames.push(now - last);
        last = now;
        requestAnimationFrame(tick);
      };
      requestAnimationFrame(tick);
    `);
      await page.waitForTimeout(3000);
      const atRest = await page.evaluate<number[]>("window.dragFrames.splice(0)");
      const from = at(made.marks["asis.L"]!);
      await page.mouse.move(from.x, from.y);
      await page.mouse.down();
      await page.evaluate("window.dragFrames.length = 0");
      for (let i = 0; i < 240; i++)
        await page.mouse.move(from.x + 30 * Math.sin(i / 9), from.y + 30 * Math.cos(i / 11));
      const frames = await page.evaluate<number[]>("[...window.dragFrames]");
      await page.mouse.up();

      const suggest = async () => {
        await page.getByRole("button", { name: "Take the picture away" }).scrollIntoViewIfNeeded();
        const started = performance.now();
        await page.getByRole("button", { name: "Suggest points" }).click();
        await page.getByRole("menuitem", { name: /From the picture/ }).click();
        await page.getByRole("button", { name: "Looking at the picture" }).waitFor();
        await page.getByRole("button", { name: "Suggest points" }).waitFor({ timeout: 60_000 });
        return performance.now() - started;
      };
      const [first, second] = [await suggest(), await suggest()];
      report("stand", "Marking in the browser", [
        "Headless Chromium without a graphics processor: pixels are drawn by the same two cores that run everything else.",
        "",
        "| what | figure |",
        "| --- | --- |",
        `| frame time while a mark is dragged on a 12 MP picture | median ${quantile(frames, 0.5).toFixed(1)} ms, 95 % under ${quantile(frames, 0.95).toFixed(1)} ms (${frames.length} frames); at rest median ${quantile(atRest, 0.5).toFixed(1)} ms, 95 % under ${quantile(atRest, 0.95).toFixed(1)} ms |`,
        `| 12 MP file of ${(large.length / 1e6).toFixed(1)} MB, from “Store” to the picture on the screen | ${(uploaded / 1000).toFixed(1)} s |`,
        `| suggested points, first time (model is fetched) and again | ${(first / 1000).toFixed(1)} s, ${(second / 1000).toFixed(1)} s |`,
      ]);
    });
  });
}
void main();
