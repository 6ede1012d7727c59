// npm run probe: what a second practice, hostile bodies and files, kill -9 and a proxy do to a fresh instance. Figures go
// to bench/results/probe.md; `npm run probe -- walls` (or hostile, killed, proxy) runs a part and only prints it.
import { existsSync } from "node:fs";
import { main, installPackages, build, bin, debianPackage, run } from "./lib/steps.mjs";

main(async () => {
  await installPackages();
  await build();
  if (!["/usr/sbin/haproxy", "/usr/bin/haproxy"].some((path) => existsSync(path)))
    await debianPackage("haproxy", "haproxy");
  await run(process.execPath, [bin("tsx"), "bench/probe.ts", ...process.argv.slice(2)], { show: true }).catch(() =>
    process.exit(1),
  );
});
