import { tables } from "../../kinds/register";

/**
 * What the application's role may do with each table: nothing else, and nothing at all with tables that are not named
 * here (the migrations' own among them). A table that says only "select, insert" is never rewritten: not by an update,
 * and not by a reference that cascades, which a test reads from the catalogue.
 */
export const grants: Record<string, string> = {
  // what is recorded of clients says it itself
  ...Object.fromEntries(Object.entries(tables).map(([table, { rights }]) => [table, rights])),

  practice: "select, insert",
  practitioner: "select, insert, update",
  auth_session: "select, insert, update, delete",
  known_device: "select, insert, update, delete",
  sign_in_attempt: "select, insert, update, delete",

  client: "select, insert, update",
  series: "select, insert, update",
  named_plan: "select, insert, update, delete",
  /** A planned visit in which nothing was recorded may go when a series gets shorter. */
  visit: "select, insert, update, delete",
  handover: "select, insert, update",
  /** A decision about the reading is taken back. */
  reading_choice: "select, insert, update, delete",

  study: "select, insert, update, delete",
  study_marking: "select, insert",
  lay_look: "select, insert, delete",
  trainer_round: "select, insert, delete",

  /** Work that is asked for goes when it is done, or not wanted any more. */
  job: "select, insert, update, delete",
  job_file: "select, insert, delete",

  visit_amendment: "select, insert",
  library_version: "select, insert",

  /** What everything else stands at: written by its triggers. */
  stamp: "select, insert, update",
  /** What clients are found by: written by a trigger of theirs. */
  client_word: "select, insert, delete",
};

/** Tables whose rows go with the row they belong to; everywhere else a reference holds its row fast. */
export const goesWithParent = ["photo_file", "job_file", "study_marking", "auth_session", "known_device"];

export const grantSql = () =>
  [
    "revoke all on all tables in schema public from ember_app, public;",
    ...Object.entries(grants).map(([table, what]) => `grant ${what} on ${table} to ember_app;`),
    "grant usage on all sequences in schema public to ember_app;",
  ].join("\n");
