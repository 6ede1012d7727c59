import type { Knex } from "knex";

/** What structures were called before each had a place of its own: by region and name. What is not named keeps its name. */
export const renamed: Readonly<Record<string, string>> = {
  "head.jaw-joint": "jaw",
  "neck.neck-skin-fold": "skin-of-the-nape",
  "shoulder.blade-on-the-ribs": "blade-on-ribs",
  "arm.skin-of-the-arm": "skin-of-the-upper-arm",
  "arm.coracobrachialis-and-short-biceps": "coracobrachialis",
  "pelvis.sacroiliac-joint": "sacroiliac",
  "thigh.skin-of-the-thigh": "skin-of-the-front-thigh",
  "thigh.rectus-femoris-and-deep-thigh": "rectus-femoris",
  "thigh.knee": "knee-joint",
  "leg.ankle-and-foot-joints": "ankle-joint",
};

/** What is found in another region since it has a place of its own. */
const moved = { "serratus-anterior": "chest", "knee-joint": "leg" };

const list = Object.entries(renamed).map(([from, to]) => `('${from}', '${to}')`);

const up = `
  alter table restriction no force row level security;
  alter table restriction disable trigger restriction_touch;
  update restriction r set structure = coalesce(
    (select n.becomes from (values ${list.join(", ")}) n (was, becomes) where n.was = r.structure),
    regexp_replace(r.structure, '^[a-z-]+[.]', ''));
  ${Object.entries(moved)
    .map(([structure, region]) => `update restriction set region = '${region}' where structure = '${structure}';`)
    .join("\n  ")}
  alter table restriction enable trigger restriction_touch;
  alter table restriction force row level security;
`;

export const structuresNamed = {
  name: "008-structures",
  up: (knex: Knex) => knex.raw(up),
  down: () => Promise.reject(new Error("008-structures: names that say less are not given back")),
};
