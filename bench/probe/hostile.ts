import { randomUUID } from "node:crypto";
import { Agent, get } from "node:http";
import { connect as dial } from "node:net";
import sharp from "sharp";
import { family, memory, pause, post, ruben, signIn } from "../server";
import { quantile } from "../report";
import { addresses } from "./practices";

const own = new Agent({ keepAlive: true });

/** The status of a page asked for on a connection that no hostile request shares; 0 when it was cut. */
const ask = (url: string, cookie: string) =>
  new Promise<number>((resolve) => {
    get(url, { agent: own, headers: { Cookie: cookie } }, (answer) => {
      answer.resume();
      answer.on("end", () => resolve(answer.statusCode ?? 0));
      answer.on("error", () => resolve(0));
    }).on("error", () => resolve(0));
  });

export type Colleague = { requests: number; failed: number; p95: number; max: number };

/** A colleague who works on while `work` goes on: asks for a page again and again, and notes how long it takes (ms). */
export async function meanwhile<T>(base: string, cookie: string, work: () => Promise<T>): Promise<[T, Colleague]> {
  const times: number[] = [];
  let failed = 0;
  let over = false;
  const colleague = (async () => {
    while (!over) {
      const started = performance.now();
      const answer = await ask(`${base}/clients`, cookie);
      times.push(performance.now() - started);
      if (answer !== 200) failed++;
      await pause(50);
    }
  })();
  const result = await work();
  over = true;
  await colleague;
  const sorted = [...times].sort((a, b) => a - b);
  return [result, { requests: times.length, failed, p95: quantile(sorted, 0.95), max: sorted.at(-1) ?? 0 }];
}

/** Begins requests whose bodies never come to an end, and holds them open while `work` goes on. */
export async function halfSent<T>(base: string, cookie: string, many: number, work: () => Promise<T>): Promise<T> {
  const { hostname, port } = new URL(base);
  const paths = [
    `/clients/${ruben}/assess/touch`,
    `/clients/${ruben}/assess/scars`,
    `/clients/${ruben}/photos/upload?id=${randomUUID()}`,
    `/run/${randomUUID()}/events`,
    "/sign-in",
    "/clients/new",
  ];
  const sockets = Array.from({ length: many }, (_, i) => {
    const socket = dial(Number(port), hostname);
    socket.on("error", () => undefined);
    socket.write(
      `POST ${paths[i % paths.length]} HTTP/1.1\r\nHost: ${hostname}:${port}\r\nCookie: ${cookie}\r\nSec-Fetch-Site: same-origin\r\nContent-Type: application/json\r\nContent-Length: 4000\r\n\r\n{"half":`,
    );
    return socket;
  });
  try {
    await pause(300);
    return await work();
  } finally {
    for (const socket of sockets) socket.destroy();
  }
}

/** Bodies that no page sends: of the wrong kind, the wrong shape, too deep, too many, too large. */
function oddBodies(): [name: string, body: string, type: string][] {
  const json = "application/json";
  const id = randomUUID();
  const many = (n: number, each: unknown) => JSON.stringify(Array.from({ length: n }, () => each));
  return [
    ["null", "null", json],
    ["a number", "7", json],
    ["a list", "[]", json],
    ["a list of nulls", "[null,null]", json],
    ["not closed", '{"a":', json],
    ["empty", "", json],
    ["no type", "a=b", "text/plain"],
    ["multipart", "--x\r\n\r\n--x--", "multipart/form-data; boundary=x"],
    ["deep", "[".repeat(50_000) + "]".repeat(50_000), json],
    [
      "ids of no kind",
      JSON.stringify({ intent: "grade", id: "7", visitId: "7", entryId: "7", moment: "before" }),
      json,
    ],
    [
      "fields of other kinds",
      JSON.stringify({
        intent: {},
        id: [],
        visitId: {},
        version: "x",
        settings: 7,
        felt: "x",
        answers: {},
        name: {},
        marks: 3,
        setup: [],
      }),
      json,
    ],
    [
      "zero bytes",
      JSON.stringify({ id, name: "a\u0000b", words: "\u0000", intent: "words", pressureCeiling: 5 }),
      json,
    ],
    ["lone surrogates", '{"name":"\\ud800","pressureCeiling":5,"id":"' + id + '"}', json],
    [
      "days that are none",
      JSON.stringify({
        intent: "tell",
        entryId: id,
        versionId: id,
        endedOn: "2026-02-31",
        born: "2026-02-31",
        name: "A",
        id,
        pressureCeiling: 5,
      }),
      json,
    ],
    [
      "huge numbers",
      JSON.stringify({ version: 1e308, score: 1e99, value: -1e99, item: 1e12, id, name: "A", pressureCeiling: 1e9 }),
      json,
    ],
    [
      "5,000 answers",
      JSON.stringify({
        visitId: id,
        answers: Array.from({ length: 3000 }, () => ({ id, question: "x", answer: "maybe" })),
      }),
      json,
    ],
    [
      "a signature of 40,000 points",
      JSON.stringify({
        id,
        visitId: id,
        subject: "general",
        given: true,
        signedBy: "x",
        signature: [Array.from({ length: 25_000 }, () => [1, 2])],
      }),
      json,
    ],
    ["1,200 events", many(1200, { id, at: "2026-01-01T00:00:00Z", kind: "next", body: { step: 1 } }), json],
    [
      "starts of 200 steps",
      many(40, {
        id,
        at: "2026-01-01T00:00:00Z",
        kind: "started",
        body: { steps: Array.from({ length: 150 }, () => ({ technique: "x", side: "L", planned: 1, passes: 1 })) },
      }),
      json,
    ],
    [
      "a plan of 4,000 steps",
      JSON.stringify({
        id,
        version: 0,
        template: "ten-step",
        settings: {},
        plan: {
          score: 1,
          sessions: Array.from({ length: 40 }, () => ({
            steps: Array.from({ length: 40 }, () => ({ technique: "x", minutes: { mid: 1 } })),
          })),
        },
      }),
      json,
    ],
    ["255 kB of text", JSON.stringify({ intent: "words", visitId: id, words: "w".repeat(255_000) }), json],
    ["2 MB", JSON.stringify({ words: "w".repeat(2_000_000) }), json],
    ["a form of 2 MB", "a=" + "b".repeat(2_000_000), "application/x-www-form-urlencoded"],
  ];
}

export type Bodies = {
  requests: number;
  statuses: Record<string, number>;
  faults: string[];
  loop: { p99: number; max: number };
};

/** Sends every odd body to every address that takes any. `faults`: answers of 500 and over that are no 503. */
export async function hostileBodies(base: string, cookie: string, visitId: string): Promise<Bodies> {
  const result: Bodies = { requests: 0, statuses: {}, faults: [], loop: { p99: 0, max: 0 } };
  const concrete = (pattern: string) =>
    pattern
      .replace(":clientId", ruben)
      .replace(":visitId", visitId)
      .replace(/:(photoId|studyId|handoverId)/, randomUUID())
      .replace(":item", "0");
  await fetch(`${base}/bench/loop`);
  const paths = addresses()
    .map(concrete)
    .filter((path) => path !== "/account");
  const all = paths.flatMap((path) => oddBodies().map((body) => [path, ...body] as const));
  const one = async ([path, name, body, type]: (typeof all)[number]) => {
    const answer = await post(base, path, cookie, body, { "Content-Type": type }).catch(() => undefined);
    result.requests++;
    const status = answer ? String(answer.status) : "cut";
    await answer?.text().catch(() => undefined);
    result.statuses[status] = (result.statuses[status] ?? 0) + 1;
    if (Number(status) >= 500 && status !== "503") result.faults.push(`${path}: ${name} was answered ${status}`);
  };
  // four at a time, as four strangers would
  const lanes = Array.from({ length: 4 }, async (_, lane) => {
    for (let i = lane; i < all.length; i += 4) await one(all[i]!);
  });
  await Promise.all(lanes);
  for (const path of [
    "/clients/nonsense",
    "/clients/%00",
    "/clients/%ff",
    `/clients/${ruben}?visit=x`,
    `/clients/${ruben}/photos/7`,
    "/run/7",
    "/practice/repeatability/7",
    `/clients?after=7`,
    "/%2e%2e/%2e%2e/etc/passwd",
    "/clients?q=%00",
  ]) {
    const answer = await fetch(`${base}${path}`, { headers: { Cookie: cookie }, redirect: "manual" });
    result.requests++;
    result.statuses[answer.status] = (result.statuses[answer.status] ?? 0) + 1;
    if (answer.status >= 500) result.faults.push(`${path} was answered ${answer.status}`);
  }
  result.loop = (await (await fetch(`${base}/bench/loop`)).json()) as Bodies["loop"];
  return result;
}

/** Those of them that are pictures like any other, and taken. */
export const sound = { large: "63 megapixels, turned by EXIF", noise: "noise" };

/** Pictures that are dear to decode, and files that are none. */
async function oddFiles(size: "small" | "whole"): Promise<[name: string, bytes: Buffer][]> {
  const [w, h] = [8_800, size === "whole" ? 8_970 : 7_300];
  const plain = (width: number, height: number, channels: 3 | 4 = 3) =>
    sharp({
      create: { width, height, channels, background: { r: 90, g: 120, b: 90, alpha: 0.5 } },
      limitInputPixels: false,
    });
  const jpeg = await plain(1200, 1600).jpeg().toBuffer();
  const noise = await sharp({
    create: {
      width: 2400,
      height: 3200,
      channels: 3,
      background: "#888",
      noise: { type: "gaussian", mean: 128, sigma: 60 },
    },
  })
    .jpeg({ quality: 95 })
    .toBuffer();
  const turned = await plain(w, h)
    .withExif({ IFD0: { Orientation: "6" } })
    .png({ compressionLevel: 9 })
    .toBuffer();
  return [
    [
      sound.large,
      await plain(8_000, size === "whole" ? 7_900 : 2_000, 4)
        .withExif({ IFD0: { Orientation: "6" } })
        .png({ compressionLevel: 9 })
        .toBuffer(),
    ],
    ["79 megapixels, PNG", await plain(w, h, 4).png({ compressionLevel: 9 }).toBuffer()],
    ["79 megapixels, turned by EXIF", turned],
    ["79 megapixels, JPEG", await plain(w, h).jpeg().toBuffer()],
    ["79 megapixels, progressive JPEG", await plain(w, h).jpeg({ progressive: true }).toBuffer()],
    [
      "a bomb of 400 megapixels",
      await plain(20_000, size === "whole" ? 20_000 : 5_000)
        .png({ compressionLevel: 9 })
        .toBuffer(),
    ],
    [sound.noise, noise],
    ["cut off", jpeg.subarray(0, jpeg.length / 2)],
    ["head only", jpeg.subarray(0, 40)],
    ["a JPEG's head before text", Buffer.concat([Buffer.from([0xff, 0xd8, 0xff]), Buffer.alloc(200_000, "x")])],
    ["SVG", Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"><image href="file:///etc/passwd"/></svg>')],
    ["HTML", Buffer.from("<script>alert(1)</script>")],
    ["nothing", Buffer.alloc(0)],
    ["26 MB", Buffer.alloc(26 * 1024 * 1024, 0xff)],
    ["zeros", Buffer.alloc(1_000_000)],
    ["a thin line", await plain(199, 4000).png().toBuffer()],
  ];
}

export type Files = {
  sent: number;
  statuses: Record<string, number>;
  stored: string[];
  faults: string[];
  peakMb: number;
};

/** Sends odd files, ten at a time, to a client's visit. `stored`: names of those that were taken. */
export async function hostileFiles(
  base: string,
  cookies: readonly string[],
  target: { clientId: string; visitId: string },
  pid: number,
  size: "small" | "whole",
): Promise<Files> {
  const result: Files = { sent: 0, statuses: {}, stored: [], faults: [], peakMb: 0 };
  const files = await oddFiles(size);
  const query = (id: string) =>
    `id=${id}&visit=${target.visitId}&moment=before&view=front&stickLength=1000&cameraDistance=3000&cameraHeight=950`;
  const accepted: [name: string, id: string][] = [];
  /** Waits until whatever was accepted is taken in or refused; those that were refused. */
  const settled = async (): Promise<Set<string>> => {
    for (;;) {
      const answer = await fetch(`${base}/clients/${target.clientId}/jobs`, { headers: { Cookie: cookies[0]! } });
      const { jobs } = (await answer.json()) as { jobs: { id: string; problem: string | null }[] };
      result.peakMb = Math.max(result.peakMb, ...family(pid).map((each) => memory(each).peak));
      if (jobs.every(({ problem }) => problem !== null)) return new Set(jobs.map(({ id }) => id));
      await pause(200);
    }
  };
  const one = async (name: string, bytes: Buffer, cookie: string) => {
    const id = randomUUID();
    const path = `/clients/${target.clientId}/photos/upload?${query(id)}`;
    const answer = await post(base, path, cookie, bytes, { "Content-Type": "application/octet-stream" }).catch(
      () => undefined,
    );
    const status = answer ? String(answer.status) : "cut";
    await answer?.text().catch(() => undefined);
    result.sent++;
    result.statuses[status] = (result.statuses[status] ?? 0) + 1;
    if (answer?.ok) accepted.push([name, id]);
    if (Number(status) >= 500 && status !== "503") result.faults.push(`${name}: ${status}`);
  };
  const all = Array.from({ length: size === "whole" ? 4 : 1 }, () => files).flat();
  for (let i = 0; i < all.length; i += 10)
    await Promise.all(all.slice(i, i + 10).map(([name, bytes], k) => one(name, bytes, cookies[k % cookies.length]!)));
  // the dearest one, ten at once
  const [dearest] = files;
  await Promise.all(Array.from({ length: 10 }, (_, k) => one(...dearest!, cookies[k % cookies.length]!)));
  const refused = await settled();
  result.stored = accepted.filter(([, id]) => !refused.has(id)).map(([name]) => name);
  return result;
}

export { signIn };
