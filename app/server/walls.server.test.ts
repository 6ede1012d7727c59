import { Body, readBody } from "~app/server/request/body.server";
import { answerTo } from "~app/server/request/faults.server";
import { withoutWords } from "~app/server/request/log.server";
import { PracticeCache } from "./practice-cache.server";
import { trustedProxies } from "~app/server/request/trusted-proxies";
import { NotFound, Overtaken } from "~data/errors";
import { Busy, ConcurrencyLimiter } from "~data/concurrency-limiter";

describe("a cache of the server", () => {
  const of = (practiceId: string) => ({ practiceId });

  it("never gives one practice what another one's transaction made, whatever ids it sends", async () => {
    const cache = new PracticeCache<string>(10);
    expect(await cache.of(of("a"), "photo 1", () => "of a")).toBe("of a");
    expect(await cache.of(of("b"), "photo 1", () => "of b")).toBe("of b");
    expect(await cache.of(of("a"), "photo 1", () => "anew")).toBe("of a");
  });

  it("makes anew what no longer fits, and lets go of what was not asked for longest", async () => {
    const cache = new PracticeCache<number>(2);
    await cache.of(of("a"), "x", () => 1);
    expect(
      await cache.of(
        of("a"),
        "x",
        () => 2,
        (kept) => kept > 1,
      ),
    ).toBe(2);
    await cache.of(of("a"), "y", () => 3);
    await cache.of(of("a"), "x", () => 0);
    await cache.of(of("a"), "z", () => 4);
    expect(await cache.of(of("a"), "x", () => 9)).toBe(2);
    expect(await cache.of(of("a"), "y", () => 9)).toBe(9);
  });
});

describe("a lane", () => {
  it("works as many at once as it says, in the order they came, and turns away who finds no place", async () => {
    const lane = new ConcurrencyLimiter({ atOnce: 1, inside: 3, ofOne: 2 });
    const order: string[] = [];
    let running = 0;
    const work = (name: string) => async () => {
      expect(++running).toBe(1);
      await new Promise((resolve) => setTimeout(resolve, 5));
      order.push(name);
      running--;
    };
    const all = [lane.through("a", work("a1")), lane.through("a", work("a2"))];
    await expect(lane.through("a", work("a3"))).rejects.toThrow(Busy);
    all.push(lane.through("b", work("b1")));
    await expect(lane.through("c", work("c1"))).rejects.toThrow(Busy);
    await Promise.all(all);
    expect(order).toEqual(["a1", "a2", "b1"]);
    await lane.through("c", work("c2"));
    await expect(lane.through("c", () => Promise.reject(new Error("broken")))).rejects.toThrow("broken");
    await lane.through("c", work("c3"));
    expect(order.slice(-2)).toEqual(["c2", "c3"]);
  });
});

describe("which proxies are believed", () => {
  it.each([
    [undefined, false],
    ["", false],
    [" 2 ", 2],
    ["loopback", ["loopback"]],
    ["10.0.0.5, 10.1.0.0/16", ["10.0.0.5", "10.1.0.0/16"]],
    ["fd00::1/64", ["fd00::1/64"]],
  ])("%j", (told, meant) => expect(trustedProxies(told)).toEqual(meant));

  it.each(["true", "0", "12", "everyone", "10.0.0.0/33", "10.0.0.5/", "10.0.0/8/8", "10.0.0.5,", "*"])(
    "stops the start with a sentence for %j",
    (told) => expect(() => trustedProxies(told)).toThrow(/^TRUST_PROXY: “.*” is not understood\./),
  );
});

describe("a body", () => {
  const sent = (path: string, body: string | ReadableStream, headers: Record<string, string> = {}) =>
    new Request(`http://here${path}`, { method: "POST", body, headers, duplex: "half" } as RequestInit);
  const status = (request: Request) =>
    readBody(request).then(
      () => 200,
      (answer: Response) => answer.status,
    );
  const json = { "Content-Type": "application/json; charset=utf-8" };

  it("is read whole and parsed once, as JSON or as a form", async () => {
    expect((await readBody(sent("/a", '{"b":[1]}', json))).fields).toEqual({ b: [1] });
    const form = { "Content-Type": "application/x-www-form-urlencoded" };
    expect((await readBody(sent("/a.data", "b=1&c=%C3%A9", form))).fields).toEqual({ b: "1", c: "é" });
  });

  it("is refused by size for where it goes, whether its length is told or not", async () => {
    const large = "x".repeat(256 * 1024 + 1);
    expect(await status(sent("/clients/new", large, json))).toBe(413);
    expect(await status(sent("/clients/new", large, { ...json, "Content-Length": String(large.length) }))).toBe(413);
    expect(await status(sent("/sign-in", "x".repeat(8 * 1024 + 1)))).toBe(413);
    expect(await status(sent("/run/1/events", JSON.stringify(large), json))).toBe(200);
    expect(await status(sent("/clients/1/photos/upload", large))).toBe(200);
  });

  it("is refused when it is cut off, not well formed, or not of the kind that is needed", async () => {
    expect(await status(sent("/a", "{}", { ...json, "Content-Length": "9" }))).toBe(400);
    expect(await status(sent("/a", "{", json))).toBe(400);
    const kind = (get: () => unknown) => {
      try {
        return get() && 200;
      } catch (answer) {
        return (answer as Response).status;
      }
    };
    const text = await readBody(sent("/a", "hello", { "Content-Type": "text/plain" }));
    expect(kind(() => text.json)).toBe(415);
    expect(kind(() => text.fields)).toBe(415);
    for (const value of [null, [], "text", 7])
      expect(kind(() => new Body("application/json", Buffer.alloc(0), value).fields)).toBe(400);
  });
});

describe("a fault", () => {
  const pg = (code: string) => Object.assign(new Error("Key (name)=(Wilma) is a secret"), { code });

  it.each([
    [new NotFound("client"), 404],
    [new Overtaken("grade", 3), 409],
    [new Busy(), 503],
    [pg("22P02"), 400],
    [pg("23503"), 404],
    [pg("23505"), 409],
    [pg("23514"), 422],
    [pg("57014"), 503],
    [pg("55P03"), 503],
    [new Error("Connection terminated unexpectedly"), 503],
  ])("%s is answered with %i and nothing of what was sent", async (error, status) => {
    const answer = answerTo(error)!;
    expect(answer.status).toBe(status);
    expect(await answer.text()).not.toContain("Wilma");
  });

  it("of our own is no answer, and reaches the log without its words", () => {
    expect(answerTo(new TypeError("x"))).toBeUndefined();
    const noted = withoutWords(pg("23505"));
    expect(noted).toMatchObject({ name: "Error", code: "23505" });
    expect(JSON.stringify(noted)).not.toContain("Wilma");
    expect(noted.at!.length).toBeGreaterThan(0);
  });
});
