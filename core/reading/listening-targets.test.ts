import { structureOf } from "../anatomy/structures";
import { stations, type HandFelt, type Listening } from "../light-touch/stations";
import { targetsOfListening, weakStations, type VisitHeard } from "./listening-targets";
import { targetsFrom } from "./targets";

const hand = (grade: 0 | 1 | 2 | 3): HandFelt => ({ quality: grade, amplitude: grade });
const at = (visit: number, before: Listening, after?: Listening): VisitHeard => ({
  visit,
  heard: { before, ...(after && { after }) },
});

describe("targets from listening", () => {
  it("are where a hand heard little, as it was last heard, weakest first", () => {
    const heard = [at(1, { ribs: { L: hand(0), R: hand(3) }, heels: { L: hand(1), R: hand(2) } })];
    expect(weakStations(heard).map(({ station, side }) => `${station} ${side}`)).toEqual(["ribs L", "heels L"]);
    expect(weakStations([...heard, at(2, { ribs: { L: hand(2) } })]).map(({ station }) => station)).toEqual(["heels"]);
    expect(weakStations([at(1, { ribs: { L: hand(0) } }, { ribs: { L: hand(3) } })])).toEqual([]);
  });

  it("name a structure for every station and say what was heard, with its error", () => {
    const all = Object.fromEntries(stations.map(({ key }) => [key, { L: hand(0), R: hand(0) }]));
    const targets = targetsOfListening([at(3, all)]);
    expect(targets).toHaveLength(2 * stations.length);
    for (const { structures, because } of targets) {
      for (const key of structures!) expect(structureOf(key)).toBeDefined();
      expect(because).toMatch(/heard 0 ±23 % of free before visit 3/);
    }
  });

  it("weigh less than a finding of the hands, and stand beside the others", () => {
    const [target] = targetsOfListening([at(1, { ribs: { L: hand(0) } })]);
    expect(target!.weight).toBeLessThan(1);
    expect(targetsFrom([], [], [], [], [at(1, { ribs: { L: hand(0) } })])).toHaveLength(1);
  });
});
