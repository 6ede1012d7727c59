import { spawn } from "node:child_process";
import { createHash } from "node:crypto";
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync, mkdirSync } from "node:fs";
import { createServer } from "node:net";
import { dirname, join, relative } from "node:path";
import { fileURLToPath } from "node:url";

/** The project's own folder: every script works from there, wherever it is called. */
export const root = join(dirname(fileURLToPath(import.meta.url)), "..", "..");
process.chdir(root);

/** Something the person at the keyboard has to do; shown without a stack. */
export class Stop extends Error {}

/** Runs one step and prints a line with its time. */
export async function step(name, work) {
  const started = performance.now();
  process.stdout.write(`  ${name} … `);
  try {
    const note = await work();
    console.log(`${typeof note === "string" ? `${note}, ` : ""}${((performance.now() - started) / 1000).toFixed(1)} s`);
    return note;
  } catch (error) {
    console.log("failed");
    throw error;
  }
}

/** Runs a command; its output is kept and shown only when it fails, unless `show` is set. */
export function run(command, args, { env = {}, show = false } = {}) {
  return new Promise((resolve, reject) => {
    const child = spawn(command, args, {
      cwd: root,
      env: { ...process.env, ...env },
      stdio: show ? "inherit" : ["ignore", "pipe", "pipe"],
    });
    let output = "";
    child.stdout?.on("data", (chunk) => (output += chunk));
    child.stderr?.on("data", (chunk) => (output += chunk));
    child.on("error", reject);
    child.on("close", (code) =>
      code === 0
        ? resolve(output)
        : reject(
            Object.assign(new Error(`${command} ${args.join(" ")} ended with ${code}\n${output}`), {
              output,
            }),
          ),
    );
  });
}

export const bin = (name) => join(root, "node_modules", ".bin", name);

export function freePort(wanted = 0) {
  return new Promise((resolve, reject) => {
    const server = createServer();
    server.on("error", () => (wanted ? freePort().then(resolve, reject) : reject(new Error("no free port"))));
    server.listen(wanted, "127.0.0.1", () => {
      const { port } = server.address();
      server.close(() => resolve(port));
    });
  });
}

/** Fingerprint of what files hold, so that work is done again only when something changed. */
export function fingerprint(paths) {
  const hash = createHash("sha256");
  const visit = (path) => {
    if (!existsSync(path)) return;
    if (statSync(path).isDirectory()) for (const name of readdirSync(path).sort()) visit(join(path, name));
    // by its place in the project: a folder that was moved holds the same
    else hash.update(relative(root, path)).update(readFileSync(path));
  };
  for (const path of paths) visit(join(root, path));
  return hash.digest("hex");
}

/** Does `work` unless `stamp` says it was done for the same fingerprint. */
async function unlessDone(stamp, mark, work) {
  if (existsSync(stamp) && readFileSync(stamp, "utf8") === mark) return "nothing changed";
  await work();
  mkdirSync(dirname(stamp), { recursive: true });
  writeFileSync(stamp, mark);
  return undefined;
}

export const installPackages = () =>
  step("packages", () =>
    unlessDone(join(root, "node_modules", ".ember-stamp"), fingerprint(["package-lock.json"]), () =>
      run("npm", ["ci", "--ignore-scripts", "--no-audit", "--no-fund"], { env: { NODE_ENV: "" } }),
    ),
  );

export const build = () =>
  step("application build", () =>
    unlessDone(
      join(root, "build", ".ember-stamp"),
      fingerprint([
        "app",
        "core",
        "data",
        "devices",
        "public",
        "package-lock.json",
        "vite.config.ts",
        "react-router.config.ts",
        "tsconfig.json",
      ]),
      () => run(process.execPath, [bin("react-router"), "build"], { env: { NODE_ENV: "production" } }),
    ),
  );

export const isRoot = () => process.getuid?.() === 0;

/** Installs a Debian package when root; otherwise says which command would. */
export async function debianPackage(name, why) {
  const command = `apt-get install -y --no-install-recommends ${name}`;
  if (!isRoot()) throw new Stop(`${why} is missing. Install it with:\n\n    sudo ${command}\n\nand run this again.`);
  const quiet = { env: { DEBIAN_FRONTEND: "noninteractive" } };
  await run("apt-get", ["update"], quiet);
  await run("apt-get", ["install", "-y", "--no-install-recommends", name], quiet);
}

/** Runs a script's main function; a Stop is shown as its sentence. */
export function main(work) {
  work().catch((error) => {
    console.error(error instanceof Stop ? `\n${error.message}` : error);
    process.exit(1);
  });
}
