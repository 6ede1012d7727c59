import { consent } from "./consent/kind";
import { historyEntry } from "./history-entry/kind";
import { homeCare } from "./home-care/kind";
import {
  isNone,
  judgedTogether,
  type At,
  type Home,
  type Judged,
  type Kind,
  type Line,
  type Row,
  type Table,
} from "./kind";
import { lightTouch } from "./light-touch/kind";
import { look } from "./look/kind";
import { measurement } from "./measurement/kind";
import { navicularDrop } from "./navicular-drop/kind";
import { ownScale } from "./own-scale/kind";
import { photograph } from "./photograph/kind";
import { range } from "./range/kind";
import { restriction } from "./restriction/kind";
import { run } from "./run/kind";
import { scar } from "./scar/kind";
import { screeningAnswer } from "./screening-answer/kind";
import { skin } from "./skin/kind";
import { triggerPoint } from "./trigger-point/kind";
import { wish } from "./wish/kind";

/** Every kind of record there is, in the order of a visit. A new one is a folder, a line here and a migration. */
export const kinds = {
  historyEntry,
  screeningAnswer,
  consent,
  wish,
  ownScale,
  photograph,
  measurement,
  look,
  range,
  restriction,
  skin,
  triggerPoint,
  scar,
  navicularDrop,
  lightTouch,
  run,
  homeCare,
};

export type KindKey = keyof typeof kinds;
export type RecordOf<K extends KindKey> = (typeof kinds)[K] extends Kind<infer R> ? R : never;
/** All that is recorded of a client, by kind. */
export type Records = { readonly [K in KindKey]: readonly RecordOf<K>[] };

export const kindKeys = Object.keys(kinds) as KindKey[];

/** Of each kind that has records here, what `of` makes of it. */
function each<T>(records: Partial<Records>, of: <R>(kind: Kind<R>, records: readonly R[], key: KindKey) => T): T[] {
  return kindKeys.flatMap((key) => {
    const list = records[key];
    return list ? [of(kinds[key] as Kind<unknown>, list, key)] : [];
  });
}

/** The kinds that have an answer to a question. */
export const kindsWith = (question: "moments" | "differences" | "summary" | "note" | "exported"): KindKey[] =>
  kindKeys.filter((key) => !isNone(kinds[key][question]));

/** "navicularDrop" lies in "navicular-drop". */
const folderOf = (key: KindKey) => key.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`);

/** Every screen on which something is recorded, and the folder of its kind. */
export const homes: readonly (Home & { key: KindKey; folder: string })[] = kindKeys.flatMap((key) => {
  const kind = kinds[key] as Kind<unknown>;
  return isNone(kind.homes) ? [] : kind.homes.map((home) => ({ ...home, key, folder: folderOf(key) }));
});

/** Tables of all kinds. */
export const tables: Readonly<Record<string, Table>> = Object.assign({}, ...kindKeys.map((key) => kinds[key].tables));

/** Moments at which anything was found. */
export const momentsIn = (records: Partial<Records>): At[] =>
  each(records, ({ moments }, list) => (isNone(moments) ? [] : moments(list))).flat();

/** What differs between two moments, kind by kind, each judged among its own; kinds without anything at both left out. */
export const differencesIn = (
  records: Partial<Records>,
  first: At,
  second: At,
): { key: KindKey; name: string; list: Judged[] }[] =>
  each(records, ({ name, differences }, list, key) => ({
    key,
    name,
    list: isNone(differences) ? [] : judgedTogether(differences(list, first, second)),
  })).filter(({ list }) => list.length > 0);

/** The lines of a visit's sheet, kind by kind. */
export const summaryIn = (
  records: Partial<Records>,
  visit: number,
): { key: KindKey; name: string; lines: readonly Line[] }[] =>
  each(records, ({ name, summary }, list, key) => ({
    key,
    name,
    lines: isNone(summary) ? [] : summary(list, visit),
  })).filter(({ lines }) => lines.length > 0);

/** The lines of a visit's note. */
export const noteIn = (records: Partial<Records>, visit: number): string[] =>
  each(records, ({ note }, list) => (isNone(note) ? [] : note(list, visit))).flat();

/** All that leaves, kind by kind. */
export const exportIn = (records: Partial<Records>): { key: KindKey; name: string; rows: readonly Row[] }[] =>
  each(records, ({ name, exported }, list, key) => ({
    key,
    name,
    rows: isNone(exported) ? [] : exported(list),
  })).filter(({ rows }) => rows.length > 0);
