import { seeded } from "../../core/random";
import { scoreForce, tareOf, type Weighed } from "../../core/trainer/force";
import { faults, reads, scaleStandIn, serialScale } from "./scale";

describe("a scale", () => {
  it("gives believable scores against the stand-in's known truth, its zero taken off first", () => {
    const random = seeded(3);
    const at = (i: number) => i / 100;
    const empty = Array.from({ length: 150 }, (_, i): Weighed => ({ at: at(i), grams: reads(0, at(i), random) }));
    const zero = tareOf(empty)!;
    expect(Math.abs(zero - faults.zero)).toBeLessThan(0.1);
    const held = Array.from({ length: 4000 }, (_, i): Weighed => ({ at: at(i), grams: reads(5.6, at(i), random) }));
    const score = scoreForce(held, 5, zero)!;
    expect(score.error).toBeCloseTo(0.65, 1);
    expect(score.steadiness).toBeCloseTo(faults.noise, 1);
    expect(Math.abs(score.drift - faults.creep)).toBeLessThan(0.15);
  });

  it("tells a hundred readings a second until it is stopped, and says when it is unplugged", () => {
    jest.useFakeTimers();
    const heard: Weighed[] = [];
    const lost = jest.fn();
    const scale = scaleStandIn(() => 5, seeded(1));
    const stop = scale.listen((weighed) => heard.push(weighed), lost);
    jest.advanceTimersByTime(2000);
    expect(heard.length).toBeGreaterThan(120);
    expect(heard.length).toBeLessThanOrEqual(200);
    scale.unplug();
    const count = heard.length;
    jest.advanceTimersByTime(1000);
    expect(heard).toHaveLength(count);
    expect(lost).toHaveBeenCalledTimes(1);
    stop();
    jest.useRealTimers();
  });

  it("at the cable sends grams a line through the same interface", async () => {
    let end!: ReadableStreamDefaultController<Uint8Array>;
    const port = {
      open: () => Promise.resolve(),
      close: () => Promise.resolve(),
      readable: new ReadableStream<Uint8Array>({ start: (controller) => void (end = controller) }),
    };
    const scale = await serialScale({ requestPort: () => Promise.resolve(port) }, () => 0);
    const heard: number[] = [];
    scale.listen(({ grams }) => heard.push(grams));
    end.enqueue(new TextEncoder().encode("ST,GS,+ 4.98 g\r\n5.02 g\r\nERR\r\n"));
    await new Promise((done) => setTimeout(done, 5));
    expect(heard).toEqual([4.98, 5.02]);
  });
});
