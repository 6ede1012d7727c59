import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { verdicts } from "./statistics/verdict";

/** Every file that can put words on a screen, into a note or a picture, without its comments. */
function texts(): { file: string; text: string }[] {
  const root = join(__dirname, "..");
  return ["app", "core", "data", "devices"].flatMap((folder) =>
    readdirSync(join(root, folder), { recursive: true, encoding: "utf8" })
      .filter((name) => /\.tsx?$/.test(name) && !/\.test\.ts$/.test(name))
      .map((name) => ({
        file: `${folder}/${name}`,
        text: readFileSync(join(root, folder, name), "utf8")
          .replace(/\/\*[\s\S]*?\*\//g, "")
          .replace(/^\s*\/\/.*$/gm, ""),
      })),
  );
}

/** Other words for what is clear, possible, or cannot be told. */
const others =
  /\b(really (?!sure)\w+|real changes?|unclear|(in)?significan(t|ce|tly)|meaningful(ly)?|detectable|reliable change|proven change|likely change|confirmed change|too small to tell)\b/gi;

describe("one vocabulary for verdicts", () => {
  it("is clear, possible, cannot be told", () => expect(verdicts).toEqual(["clear", "possible", "cannot be told"]));

  it("is the only one in screens, notes and pictures", () => {
    const found = texts()
      .filter(({ file }) => !file.startsWith("core/screening/"))
      .flatMap(({ file, text }) => [...text.matchAll(others)].map((match) => `${file}: ${match[0]}`));
    expect(found).toEqual([]);
  });

  it("would find another one", () => expect("No real change is on record".match(others)).toEqual(["real change"]));
});
