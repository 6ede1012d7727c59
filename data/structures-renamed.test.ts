import { structureOf } from "../core/anatomy/structures";
import { randomUUID } from "node:crypto";
import { createClient } from "./clients";
import { restrictionsOf } from "./findings";
import { renamed, structuresNamed } from "./migrations/008-structures";
import { draft, makeDatabase, type TestDatabase } from "./test/database";

/** What structures were called when a restriction named its region, too. */
const former = `head.scalp head.temporal-fascia head.masseter head.temporalis head.jaw-joint neck.neck-skin-fold
neck.nuchal-fascia neck.upper-trapezius neck.levator-scapulae neck.scalenes neck.splenius neck.suboccipitals
neck.neck-joints shoulder.skin-over-the-blade shoulder.shoulder-fascia shoulder.middle-trapezius
shoulder.deltoid shoulder.infraspinatus shoulder.serratus-anterior shoulder.rhomboids shoulder.subscapularis
shoulder.blade-on-the-ribs arm.skin-of-the-arm arm.arm-fascia arm.forearm-fascia
arm.coracobrachialis-and-short-biceps arm.wrist-flexors arm.wrist-extensors chest.skin-of-the-chest
chest.pectoral-fascia chest.pectoralis-major chest.pectoralis-minor chest.rib-spaces chest.rib-joints
upper-back.skin-of-the-upper-back upper-back.upper-back-fascia upper-back.thoracic-erectors
upper-back.thoracic-groove upper-back.thoracic-segments low-back.skin-of-the-low-back
low-back.thoracolumbar-fascia low-back.lumbar-erectors low-back.latissimus low-back.multifidus-groove
low-back.quadratus-lumborum low-back.lumbar-segments belly.skin-of-the-belly belly.abdominal-fascia
belly.rectus-abdominis belly.obliques belly.iliopsoas pelvis.skin-over-the-sacrum pelvis.gluteal-fascia
pelvis.gluteus-maximus pelvis.tensor-fasciae-latae pelvis.hip-rotators pelvis.sacroiliac-joint
pelvis.hip-joint thigh.skin-of-the-thigh thigh.iliotibial-band thigh.thigh-fascia thigh.hamstrings
thigh.quadriceps thigh.adductors thigh.rectus-femoris-and-deep-thigh thigh.knee leg.skin-of-the-lower-leg
leg.crural-fascia leg.sole-of-the-foot leg.calf leg.peroneals leg.deep-calf leg.ankle-and-foot-joints`.split(/\s+/);

describe("findings from before structures had places of their own", () => {
  it("name a structure that is still there, in the layer they were found in", () => {
    expect(former).toHaveLength(73);
    for (const key of former) {
      const now = renamed[key] ?? key.replace(/^[a-z-]+[.]/, "");
      expect([key, structureOf(now) !== undefined]).toEqual([key, true]);
    }
    for (const [key, now] of Object.entries(renamed)) {
      expect(former).toContain(key);
      expect(structureOf(now)).toBeDefined();
    }
  });

  describe("in a database", () => {
    let db: TestDatabase;
    beforeAll(async () => {
      db = await makeDatabase();
    });
    afterAll(() => db.drop());

    it("are renamed in every practice, moved where the structure moved, and not counted as changed", async () => {
      const old = [
        ["shoulder", "shoulder.serratus-anterior", "SM"],
        ["thigh", "thigh.knee", "AR"],
        ["low-back", "low-back.quadratus-lumborum", "DM"],
      ] as const;
      const clients = [randomUUID(), randomUUID()];
      for (const [i, practice] of db.practices.entries())
        await db.within(practice, async (tx) => {
          await createClient(tx, clients[i]!, draft);
          for (const [region, structure, layer] of old)
            await tx("restriction").insert({
              id: randomUUID(),
              client_id: clients[i],
              ...{ region, structure, layer, side: "L", quality: "band" },
            });
        });
      await structuresNamed.up(db.owner);
      for (const [i, practice] of db.practices.entries()) {
        const found = await db.within(practice, (tx) => restrictionsOf(tx, clients[i]!));
        expect(found.map(({ region, structure }) => [region, structure]).sort()).toEqual([
          ["chest", "serratus-anterior"],
          ["leg", "knee-joint"],
          ["low-back", "quadratus-lumborum"],
        ]);
        expect(new Set(await db.within(practice, (tx) => tx("restriction").pluck("version")))).toEqual(new Set([1]));
      }
      // the walls stand again: nobody's rows without a practice
      expect(await db.owner("restriction").select("id")).toEqual([]);
    });
  });
});
