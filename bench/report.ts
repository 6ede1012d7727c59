import { mkdirSync, readFileSync, writeFileSync, existsSync } from "node:fs";
import { cpus } from "node:os";

/** Keeps one part's figures in bench/results/<part>.md, and prints them. */
export function report(part: string, title: string, lines: string[]): void {
  mkdirSync("bench/results", { recursive: true });
  const machine = `${cpus().length} × ${cpus()[0]?.model.trim() ?? "unknown"}, Node ${process.versions.node}, ${new Date().toISOString().slice(0, 10)}`;
  const text = `# ${title}\n\n${machine}\n\n${lines.join("\n")}\n`;
  writeFileSync(`bench/results/${part}.md`, text);
  console.log(`\n${text}`);
}

/** The value below which a share of the sorted samples lies. */
export function quantile(samples: readonly number[], share: number): number {
  const sorted = [...samples].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))]!;
}

export const sizeOf = (path: string) => (existsSync(path) ? readFileSync(path) : Buffer.alloc(0));
