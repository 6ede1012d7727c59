import { momentsOf } from "../../core/change/moments";
import { violations } from "../../core/series/rules";
import { foldRun } from "../../core/session/fold";
import { listClients } from "../clients";
import { photosOfClient } from "../photos";
import { seriesOf } from "../series";
import { eventsOf } from "../session-events";
import { makeDatabase, type TestDatabase } from "../test/database";
import { listVisits } from "../visits";
import { loadDemo } from "./load";
import { practice, ruben } from "./people";

let db: TestDatabase;
beforeAll(async () => {
  db = await makeDatabase();
});
afterAll(() => db.drop());

describe("the demo practice", () => {
  it("is loaded once, with a client in mid-series whose plan keeps every rule", async () => {
    expect(await loadDemo(db.app, "2026-11-24")).toBe(true);
    expect(await loadDemo(db.app, "2026-11-25")).toBe(false);
    await db.within(practice.id, async (tx) => {
      expect((await listClients(tx)).clients).toHaveLength(7);
      const visits = await listVisits(tx, ruben.id);
      expect(visits.map((visit) => visit.status)).toEqual([...Array(4).fill("closed"), ...Array(6).fill("planned")]);
      expect(visits[4]!.onDate).toBe("2026-11-24");
      const series = (await seriesOf(tx, ruben.id))!;
      const input = {
        template: series.template,
        tableMinutes: 70,
        targets: series.plan!.targets,
        complaintRegion: ruben.complaintRegion,
        pressureCeiling: ruben.pressureCeiling,
        thumbBudget: series.settings.thumbBudget,
        cautions: [],
        days: [],
        locks: [],
        done: [],
      };
      expect(violations(input, series.plan!.sessions)).toEqual([]);
      const moments = momentsOf(await photosOfClient(tx, ruben.id));
      expect(moments.map((moment) => moment.key)).toEqual([
        "1-before",
        "1-after",
        "2-before",
        "2-after",
        "3-before",
        "3-after",
        "4-before",
        "4-after",
        "5-before",
      ]);
      for (const moment of moments) expect(moment.readings.length).toBeGreaterThanOrEqual(15);
      for (const visit of visits.slice(0, 4)) {
        expect(foldRun(await eventsOf(tx, visit.id)).phase).toBe("finished");
        expect(visit.closingNote).toMatch(/min at the table/);
      }
    });
  });
});
