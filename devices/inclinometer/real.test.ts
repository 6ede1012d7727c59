import fc from "fast-check";
import type { Heard } from "../../core/measure/steady";
import { orientationInclinometer, turnedBy, type Orientation } from "./orientation";
import { linesFrom, numberOfLine, type Port } from "../serial";
import { serialInclinometer } from "./serial";

/** A port whose other end the test holds. */
function fakePort() {
  let end!: ReadableStreamDefaultController<Uint8Array>;
  const calls: string[] = [];
  const port: Port = {
    open: ({ baudRate }) => Promise.resolve(void calls.push(`open ${baudRate}`)),
    close: () => Promise.resolve(void calls.push("close")),
    readable: new ReadableStream({ start: (controller) => void (end = controller) }),
  };
  return { port, calls, say: (text: string) => end.enqueue(new TextEncoder().encode(text)), pull: () => end.error() };
}
const settle = () => new Promise((done) => setTimeout(done, 5));

describe("an inclinometer at the cable", () => {
  it("tells one angle a line, however the lines are cut into chunks", () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: -180, max: 180 }), { maxLength: 20 }),
        fc.integer({ min: 1, max: 9 }),
        (angles, n) => {
          const text = angles.map((angle) => `${angle}.5\r\n`).join("");
          let rest = "";
          const heard: (number | undefined)[] = [];
          for (let i = 0; i < text.length; i += n) {
            const read = linesFrom(rest, text.slice(i, i + n));
            rest = read.rest;
            // a carriage return at the end of a chunk leaves an empty line, which tells nothing
            heard.push(...read.lines.filter((line) => line !== "").map((line) => numberOfLine(line, 360)));
          }
          expect(heard).toEqual(angles.map((angle) => Number(`${angle}.5`)));
        },
      ),
    );
    expect(["A: −12,5 °", "+3", "low battery", "9999", ""].map((line) => numberOfLine(line, 360))).toEqual([
      -12.5,
      3,
      undefined,
      undefined,
      undefined,
    ]);
    expect(linesFrom("", "x".repeat(300)).rest).toBe("");
  });

  it("is heard until it is stopped, and closes its port", async () => {
    const { port, calls, say } = fakePort();
    let clock = 0;
    const device = await serialInclinometer({ requestPort: () => Promise.resolve(port) }, () => (clock += 20));
    const heard: Heard[] = [];
    const lost = jest.fn();
    const stop = device.listen((each) => heard.push(each), lost);
    say("10.0\n11");
    await settle();
    say(".5\n");
    await settle();
    expect(heard.map(({ angle }) => angle)).toEqual([10, 11.5]);
    expect(heard[1]!.at).toBeGreaterThan(heard[0]!.at);
    stop();
    await settle();
    expect(calls).toEqual(["open 9600", "close"]);
    expect(lost).not.toHaveBeenCalled();
  });

  it("says once that it was unplugged", async () => {
    const { port, say, pull } = fakePort();
    const device = await serialInclinometer({ requestPort: () => Promise.resolve(port) });
    const lost = jest.fn();
    device.listen(() => undefined, lost);
    say("4\n");
    await settle();
    pull();
    await settle();
    expect(lost).toHaveBeenCalledTimes(1);
  });
});

describe("a device's own tilt", () => {
  const at = (alpha: number, beta: number, gamma: number): Orientation => ({ alpha, beta, gamma });
  const angles = fc.tuple(
    fc.double({ min: 0, max: 360, noNaN: true }),
    fc.double({ min: -180, max: 180, noNaN: true }),
    fc.double({ min: -90, max: 90, noNaN: true }),
  );

  it("is the angle of a turn about one axis", () => {
    expect(turnedBy(at(0, 0, 0), at(0, 35, 0))).toBeCloseTo(35, 6);
    expect(turnedBy(at(0, 0, 10), at(0, 0, -30))).toBeCloseTo(40, 6);
    // about the vertical, however it is tilted, and through north
    expect(turnedBy(at(350, 40, 20), at(30, 40, 20))).toBeCloseTo(40, 6);
  });

  it("is none for the same, the same to and fro, and never more than over a third orientation", () => {
    fc.assert(
      fc.property(angles, angles, angles, (one, two, three) => {
        const [a, b, c] = [at(...one), at(...two), at(...three)];
        expect(turnedBy(a, a)).toBeCloseTo(0, 4);
        expect(turnedBy(a, b)).toBeCloseTo(turnedBy(b, a), 6);
        expect(turnedBy(a, c)).toBeLessThanOrEqual(turnedBy(a, b) + turnedBy(b, c) + 1e-4);
      }),
    );
  });

  it("counts from where it lies at first, and says so when nothing is told", () => {
    jest.useFakeTimers();
    const listeners = new Set<(event: Orientation) => void>();
    const target = {
      addEventListener: (_: string, hear: (event: Orientation) => void) => void listeners.add(hear),
      removeEventListener: (_: string, hear: (event: Orientation) => void) => void listeners.delete(hear),
    };
    const device = orientationInclinometer(target, () => 0);
    const heard: number[] = [];
    const lost = jest.fn();
    const stop = device.listen(({ angle }) => heard.push(Math.round(angle)), lost);
    for (const event of [{ alpha: null, beta: null, gamma: null }, at(0, 20, 0), at(0, 65, 0)])
      for (const hear of listeners) hear(event);
    jest.advanceTimersByTime(5000);
    expect(heard).toEqual([0, 45]);
    expect(lost).not.toHaveBeenCalled();
    stop();
    expect(listeners.size).toBe(0);
    device.listen(() => undefined, lost);
    jest.advanceTimersByTime(5000);
    jest.useRealTimers();
    expect(lost).toHaveBeenCalledTimes(1);
  });
});
