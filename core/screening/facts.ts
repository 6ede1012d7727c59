import type { SafetyTag } from "../techniques/safety-tags";
import type { IsoDay } from "../days";
import type { PlaceKey } from "../anatomy/places";
import type { RegionKey } from "../anatomy/regions";
import type { Position } from "../techniques/technique";
import type { Side } from "../units";
import type { EntryKind } from "./conditions";
import type { Answer, EntryAnswer } from "./questions";
import type { Stance } from "./told/stance";
import type { RoughDate } from "./rough-date";

/** One thing of a client's history as it stands now. Its earlier wordings are kept beside it. */
export type HistoryEntry = {
  id: string;
  kind: EntryKind;
  /** Key of the condition catalogue; null for what it does not know. */
  condition: string | null;
  /** In their words. */
  words: string;
  when: RoughDate | null;
  region: RegionKey | null;
  /** Places of the region that were named; none, or left out in what was recorded before they were read: all of it. */
  places?: readonly PlaceKey[];
  side: Side | "both" | null;
  /** How it stands to the client; left out in what was recorded before it was asked: then it is theirs. */
  stance?: Stance;
  /** Answer to the condition's question (to the one that is asked of what is not known); null when not asked. */
  answer: EntryAnswer | null;
  /** "ended": healed or over since `endedOn`. */
  status: "open" | "ended";
  endedOn: IsoDay | null;
  /** When this wording was recorded (ISO moment). */
  at: string;
};

/** The latest answer to each question. */
export type GivenAnswer = { question: string; answer: Answer; visitId: string | null; at: string };

/** What the client wants and does not want. */
export type Preferences = {
  covering: "draped" | "clothed";
  positionsOut: Position[];
  oil: boolean;
  wax: boolean;
  scentFree: boolean;
  talk: "talk" | "quiet" | "either";
  areasOut: { region: RegionKey; places?: readonly PlaceKey[]; side: Side | "both" }[];
  pauseWord: string;
  chaperone: boolean;
};

export const usualPreferences: Preferences = {
  covering: "draped",
  positionsOut: [],
  oil: true,
  wax: true,
  scentFree: false,
  talk: "either",
  areasOut: [],
  pauseWord: "",
  chaperone: false,
};

/** How a practitioner works: their school's settings. The client's own ceiling always wins. */
export type School = {
  pressureCeiling: number;
  /** Seconds a tender point is held. */
  hold: { least: number; most: number };
  oil: boolean;
  wax: boolean;
  /** To the barrier and wait, or follow ease. */
  way: "direct" | "indirect" | "both";
  /** Tools that are not used. */
  withoutElbow: boolean;
  withoutThumb: boolean;
  /** Kinds of work that are left out altogether. */
  avoids: readonly SafetyTag[];
  /** How much the usual order of patterns weighs in a series that is begun, 0–1. */
  order: number;
};

export const usualSchool: School = {
  pressureCeiling: 7,
  hold: { least: 20, most: 60 },
  oil: true,
  wax: true,
  way: "both",
  withoutElbow: false,
  withoutThumb: false,
  avoids: [],
  order: 0.2,
};

export type Facts = {
  born: IsoDay | null;
  history: readonly HistoryEntry[];
  answers: readonly GivenAnswer[];
  preferences: Preferences;
  school: School;
};
