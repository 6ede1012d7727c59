import type { Subject } from "../../core/consent/consent";
import type { TypedEntry } from "../../core/screening/entry";
import { suggest } from "../../core/screening/find-condition";
import type { Preferences } from "../../core/screening/facts";
import type { Person } from "./people";

/** What the demo's people told: typed the way a practitioner types it. All invented. */
export type Told = {
  history: Partial<TypedEntry>[];
  consents: Subject[];
  wishes: Partial<Preferences>;
  /** Scores at the visits from the first on. */
  scales: { kind: "activity" | "pain"; name: string; scores: number[] }[];
};

const nothing: Told = { history: [], consents: ["general", "photographs"], wishes: {}, scales: [] };

const told: Record<string, Partial<Told>> = {
  Ruben: {
    history: [
      { what: "appendix out", condition: "operation", when: "at 12", where: "belly", answer: "yes" },
      { what: "fell off a ladder", condition: "fall", when: "2011", where: "low back" },
      { what: "tennis elbow", condition: "pain", when: "autumn 2023", where: "right elbow" },
    ],
    scales: [
      { kind: "activity", name: "Bend over the bench for an hour", scores: [3, 4, 5, 6, 7] },
      { kind: "activity", name: "Carry wood in from the yard", scores: [5, 5, 6, 6, 7] },
      { kind: "pain", name: "Low back in the evening", scores: [7, 6, 5, 5, 4] },
    ],
  },
  Ines: {
    history: [{ what: "nut allergy", condition: "nut-allergy", when: "as a child" }],
    scales: [{ kind: "activity", name: "Ring a full peal", scores: [4, 5] }],
  },
  Petra: {
    history: [
      { what: "thin bones, seen on a scan", condition: "osteoporosis", when: "spring 2024" },
      { what: "broke the right wrist", condition: "fracture", when: "last winter", where: "right wrist" },
      { what: "heartburn at night", condition: "reflux", when: "about 5 years" },
    ],
    consents: ["general"],
    scales: [{ kind: "activity", name: "Breathe in to the end at the helm", scores: [4] }],
  },
  Jonah: { history: [{ what: "sprained ankle", condition: "sprain", when: "summer 2025", where: "left ankle" }] },
  Maribel: {
    history: [
      { what: "rear-end collision", condition: "whiplash", when: "about 3 years", where: "neck" },
      { what: "wisdom teeth out", condition: "dental", when: "2004" },
    ],
    consents: ["general", "photographs", "unwinding"],
    wishes: { pauseWord: "harbour", talk: "quiet", covering: "clothed" },
    scales: [{ kind: "pain", name: "Base of the skull", scores: [6, 5] }],
  },
  Desmond: {
    history: [
      { what: "new left knee", condition: "joint-replacement", when: "14 months ago", where: "left knee" },
      { what: "high blood pressure, on tablets", condition: "blood-pressure", when: "about 10 years", answer: "yes" },
    ],
    wishes: { areasOut: [{ region: "leg", places: ["sole"], side: "L" }] },
  },
};

export const toldBy = (person: Person): Told => ({ ...nothing, ...told[person.name.split(" ")[0]!] });

/** A typed entry with what was left out; the catalogue is asked where no condition is named. */
export const typedEntry = (entry: Partial<TypedEntry>): TypedEntry => ({
  what: "",
  kind: "condition",
  when: "",
  where: "",
  answer: null,
  ...entry,
  condition: entry.condition ?? (entry.kind ? null : (suggest(entry.what ?? "")[0]?.key ?? null)),
});
