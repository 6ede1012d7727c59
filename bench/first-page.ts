import { gzipSync } from "node:zlib";
import { sizeOf } from "./report";

/** What a page's JavaScript weighs, by its HTML: the scripts it asks for and all they import at once. */
export function firstPage(html: string, folder = "build/client"): { kB: number; files: number; names: string[] } {
  const scripts = new Set(
    [...html.matchAll(/rel="modulepreload" href="(\/assets\/[\w.-]+\.js)"/g)].map(([, name]) => name!),
  );
  for (const script of scripts)
    for (const match of sizeOf(`${folder}${script}`)
      .toString()
      .matchAll(/(?:from|import)\s*"\.\/([\w.-]+\.js)"/g))
      scripts.add(`/assets/${match[1]}`);
  const bytes = [...scripts].reduce((sum, script) => sum + gzipSync(sizeOf(`${folder}${script}`)).length, 0);
  return { kB: Math.round(bytes / 1024), files: scripts.size, names: [...scripts] };
}
