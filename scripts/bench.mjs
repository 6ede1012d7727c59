// npm run bench: figures for the plan, the metrics, the pages and the memory, kept in bench/results.md.
// `npm run bench -- plan` (or library, metrics, coverage, honest, stand, pages, scale) runs a part.
import { main, installPackages, build, bin, run, step } from "./lib/steps.mjs";

main(async () => {
  await installPackages();
  await build();
  const parts = process.argv.slice(2);
  for (const part of [
    "metrics",
    "coverage",
    "honest",
    "touch",
    "stand",
    "plan",
    "pages",
    "felt",
    "history",
    "table",
    "light",
    "reading",
    "library",
    "scale",
    "many",
  ])
    if (parts.length === 0 || parts.includes(part))
      await step(
        part,
        async () => void (await run(process.execPath, [bin("tsx"), `bench/${part}.ts`], { show: true })),
      );
});
