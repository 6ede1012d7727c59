// Who uses a folder's database: the last one to leave stops it, and a second start finds the first.
import { mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { join } from "node:path";

const alive = (pid) => {
  try {
    process.kill(pid, 0);
    return true;
  } catch (error) {
    return error.code === "EPERM";
  }
};

/** Processes other than this one that use the folder's database, with what they said of themselves. */
export function others(folder) {
  const list = join(folder, "users");
  mkdirSync(list, { recursive: true });
  return readdirSync(list).flatMap((name) => {
    if (Number(name) === process.pid) return [];
    if (!alive(Number(name))) {
      rmSync(join(list, name), { force: true });
      return [];
    }
    try {
      return [{ pid: Number(name), ...JSON.parse(readFileSync(join(list, name), "utf8")) }];
    } catch {
      return [{ pid: Number(name) }];
    }
  });
}

/** Notes that this process uses the database; `said`: what it is and where it answers. */
export function enter(folder, said) {
  mkdirSync(join(folder, "users"), { recursive: true });
  writeFileSync(join(folder, "users", String(process.pid)), JSON.stringify(said), { mode: 0o600 });
}

/** Takes the note away; true when nobody else is left. */
export function leave(folder) {
  rmSync(join(folder, "users", String(process.pid)), { force: true });
  return others(folder).length === 0;
}
