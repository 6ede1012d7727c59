// Which processes a test or probe has left: everything it starts carries its mark in its environment.
import { randomUUID } from "node:crypto";
import { existsSync, readdirSync, readFileSync } from "node:fs";

const name = "EMBER_STARTED_BY";

/** Marks this process: whatever it starts from now on, and whatever that starts, carries the same mark. */
export function markChildren() {
  return (process.env[name] ??= randomUUID());
}

/** Processes that carry the mark and are still there after `patience` (ms), as "pid command"; none where it cannot be told. */
export async function leftRunning(mark, patience = 15_000) {
  const until = Date.now() + patience;
  for (;;) {
    const left = marked(mark);
    if (left.length === 0 || Date.now() > until) return left;
    await new Promise((again) => setTimeout(again, 250));
  }
}

function marked(mark) {
  if (!existsSync("/proc/self/environ")) return [];
  return readdirSync("/proc").flatMap((pid) => {
    if (!/^\d+$/.test(pid) || Number(pid) === process.pid || ancestors().has(Number(pid))) return [];
    try {
      if (!readFileSync(`/proc/${pid}/environ`, "latin1").includes(`${name}=${mark}`)) return [];
      // one that has ended and waits to be noticed runs nothing
      if (/^State:\s+Z/m.test(readFileSync(`/proc/${pid}/status`, "latin1"))) return [];
      const command = readFileSync(`/proc/${pid}/cmdline`, "latin1").replaceAll("\0", " ").trim();
      return [`${pid} ${command.slice(0, 160)}`];
    } catch {
      return []; // gone meanwhile, or somebody else's
    }
  });
}

/** This process's parents: a probe within a test carries the test's mark. */
function ancestors() {
  const found = new Set();
  for (let pid = process.ppid; pid > 1;) {
    found.add(pid);
    try {
      pid = Number(/^PPid:\s+(\d+)/m.exec(readFileSync(`/proc/${pid}/status`, "latin1"))[1]);
    } catch {
      break;
    }
  }
  return found;
}
