import type { Knex } from "knex";
import { stampTriggers, type Stamped } from "./022-stamps";
import { practiceTable } from "./practice-table";

const height = (name: string) => `${name} integer not null check (${name} between 10 and 100)`;

export const dropStamped: Record<string, Stamped> = { navicular_drop: { client: "visit" } };

/** How high the navicular bone stands above the floor, sitting and standing, by foot. */
const up = `
  ${practiceTable(
    "navicular_drop",
    "visit_id, moment, side",
    `visit_id uuid not null, moment text not null check (moment in ('before', 'after')),
     side text not null check (side in ('L', 'R')), ${height("sitting_mm")}, ${height("standing_mm")},
     foreign key (practice_id, visit_id) references visit (practice_id, id)`,
  )}
  ${stampTriggers("navicular_drop", dropStamped.navicular_drop!)}
`;

export const navicularDrop = {
  name: "027-navicular-drop",
  up: (knex: Knex) => knex.raw(up),
  down: () => Promise.reject(new Error("027-navicular-drop keeps what was measured: it is not taken back")),
};
