import { readdirSync } from "node:fs";
import { gzipSync } from "node:zlib";
import autocannon from "autocannon";
import { report, sizeOf } from "./report";
import { memory, ruben, signIn, withServer } from "./server";

async function main() {
  await withServer(async (base, pid, startedMs) => {
    const lines: string[] = [];
    lines.push(`Server ready, migrated and with demo data after ${(startedMs / 1000).toFixed(1)} s.`);
    const idle = memory(pid).now;
    const cookie = await signIn(base);

    const html = await (await fetch(`${base}/sign-in`)).text();
    const scripts = new Set([...html.matchAll(/\/assets\/[\w.-]+\.js/g)].map((match) => match[0]));
    // a page also loads what its scripts import
    for (const script of scripts)
      for (const match of sizeOf(`build/client${script}`)
        .toString()
        .matchAll(/from"\.\/([\w.-]+\.js)"|import"\.\/([\w.-]+\.js)"/g))
        scripts.add(`/assets/${match[1] ?? match[2]}`);
    const gzip = [...scripts].reduce((sum, script) => sum + gzipSync(sizeOf(`build/client${script}`)).length, 0);

    const load = async (path: string) => {
      await autocannon({
        url: `${base}${path}`,
        connections: 10,
        duration: 3,
        headers: path === "/sign-in" ? {} : { cookie },
      });
      const result = await autocannon({
        url: `${base}${path}`,
        connections: 10,
        duration: 8,
        headers: path === "/sign-in" ? {} : { cookie },
      });
      if (result.non2xx > 0) throw new Error(`${path}: ${result.non2xx} answers were not 2xx`);
      return result;
    };
    const pages: [string, string][] = [
      ["bare JSON route", "/bench/bare"],
      ["sign-in page", "/sign-in"],
      ["client overview", `/clients/${ruben}`],
      ["clients list", "/clients"],
      ["path", `/clients/${ruben}/path`],
    ];
    lines.push(
      "",
      "| page, one process, 10 connections | requests/s | p50 | p97.5 | of the bare route |",
      "| --- | --- | --- | --- | --- |",
    );
    let bare = 1;
    for (const [name, path] of pages) {
      const result = await load(path);
      if (path === "/bench/bare") bare = result.requests.average;
      lines.push(
        `| ${name} | ${Math.round(result.requests.average)} | ${result.latency.p50} ms | ${result.latency.p97_5} ms | ${((100 * result.requests.average) / bare).toFixed(1)} % |`,
      );
    }
    lines.push("", `Memory (resident): ${Math.round(idle)} MB idle, ${Math.round(memory(pid).now)} MB after load.`);
    lines.push(
      `JavaScript of the first page: ${Math.round(gzip / 1024)} kB gzip in ${scripts.size} files (all client files: ${readdirSync("build/client/assets").filter((name) => name.endsWith(".js")).length}).`,
    );
    report("pages", "Pages and memory", lines);
  });
}
void main();
