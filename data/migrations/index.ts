import type { Knex } from "knex";
import { inTransaction } from "../transaction";
import { firstPath } from "./001-first-path";
import { intake } from "./002-intake";
import { stand } from "./003-stand";
import { walls } from "./004-walls";
import { complaints } from "./005-complaints";
import { standings } from "./006-standings";
import { handStandings } from "./007-hand-standings";
import { structuresNamed } from "./008-structures";
import { scars } from "./009-scars";
import { triggerPoints } from "./010-trigger-points";
import { joinedLines } from "./011-joined-lines";
import { skinAndBuild } from "./012-skin-and-build";
import { tableEvents } from "./013-table";
import { looks } from "./014-looks";
import { trainer } from "./015-trainer";
import { hands } from "./016-hands";
import { choices } from "./017-choices";
import { library } from "./018-library";
import { homeCare } from "./019-home-care";
import { namedPlans } from "./020-named-plans";
import { whoGives } from "./021-who-gives";
import { stamps } from "./022-stamps";
import { words } from "./023-words";
import { jobs } from "./024-jobs";
import { said } from "./025-said";
import { amendments } from "./026-amendments";
import { navicularDrop } from "./027-navicular-drop";
import { grantSql } from "./grants";

type Migration = { name: string; up: (knex: Knex) => Promise<unknown>; down: () => Promise<unknown> };
const migrations: Migration[] = [
  firstPath,
  intake,
  stand,
  walls,
  complaints,
  standings,
  handStandings,
  structuresNamed,
  scars,
  triggerPoints,
  joinedLines,
  skinAndBuild,
  tableEvents,
  looks,
  trainer,
  hands,
  choices,
  library,
  homeCare,
  namedPlans,
  whoGives,
  stamps,
  words,
  jobs,
  said,
  amendments,
  navicularDrop,
];

/** Migrations are imported statically, so that the bundled server carries them. */
export const migrationSource: Knex.MigrationSource<Migration> = {
  getMigrations: () => Promise.resolve(migrations),
  getMigrationName: (migration) => migration.name,
  getMigration: (migration) =>
    Promise.resolve({
      up: (knex) => migration.up(knex) as Promise<void>,
      down: () => migration.down() as Promise<void>,
    }),
};

/** Any number: who holds it, and nobody else meanwhile, hands out rights. */
const granting = 7_301_964;

/**
 * Brings the database up to date. `owner` must own the schema; the application role `ember_app` must exist
 * and is granted what `grants` says, all at once, after the last migration. Safe to call from several processes at once.
 */
export async function migrate(owner: Knex): Promise<void> {
  await owner.migrate.latest({ migrationSource, tableName: "knex_migrations" });
  await inTransaction(owner, async (trx) => {
    await trx.raw("select pg_advisory_xact_lock(?)", [granting]);
    await trx.raw(grantSql());
  });
}
