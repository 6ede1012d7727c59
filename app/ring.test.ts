import fc from "fast-check";
import { middleOfSector, partAt, ring, ringRadius, sectorPath } from "./routes/client/touch/ring-layout";

describe("the ring around the finger", () => {
  it("has one part at every spot of it, and none beyond", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: ringRadius - 0.001, noNaN: true }),
        fc.double({ min: 0, max: 2 * Math.PI, noNaN: true }),
        (r, turn) => {
          const [x, y] = [r * Math.cos(turn), r * Math.sin(turn)];
          expect(partAt(x, y)).toBeDefined();
          const far = ringRadius + 1 + r;
          expect(partAt(far * Math.cos(turn), far * Math.sin(turn))).toBeUndefined();
        },
      ),
    );
  });

  it("finds each part at the middle of what is drawn of it, and gives a fingertip 24 px there", () => {
    for (const sector of ring) {
      expect(partAt(...middleOfSector(sector))).toEqual(sector.part);
      const across = (((sector.inner + sector.outer) / 2) * ((sector.to - sector.from) * Math.PI)) / 180;
      expect(Math.min(across, sector.outer - sector.inner)).toBeGreaterThanOrEqual(24);
      expect(sectorPath(sector)).toMatch(/^M.*Z$/);
    }
  });

  it("stands tender above and ways below, and grades in the middle", () => {
    expect(partAt(0, -130)).toEqual({ kind: "tenderness", value: 5 });
    expect(partAt(-130, -3)).toEqual({ kind: "tenderness", value: 0 });
    expect(partAt(130, 10)).toEqual({ kind: "way", value: "head" });
    expect(partAt(0, -80)).toEqual({ kind: "quality", value: "drag" });
    expect(partAt(20, -20)).toEqual({ kind: "grade", value: 1 });
    expect(partAt(-20, 20)).toEqual({ kind: "grade", value: 3 });
  });
});
