import type { Knex } from "knex";
import { firstPath } from "./001-first-path";
import { intake } from "./002-intake";
import { stand } from "./003-stand";
import { walls } from "./004-walls";
import { complaints } from "./005-complaints";
import { standings } from "./006-standings";

type Migration = { name: string; up: (knex: Knex) => Promise<unknown>; down: () => Promise<unknown> };
const migrations: Migration[] = [firstPath, intake, stand, walls, complaints, standings];

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

/**
 * Brings the database up to date. `owner` must own the schema; the application role `ember_app` must exist
 * and is granted what it may do by the migrations. Safe to call from several processes at once.
 */
export async function migrate(owner: Knex): Promise<void> {
  await owner.migrate.latest({ migrationSource, tableName: "knex_migrations" });
}
