import { bleeding, circulation, faceDown, weeks, type Condition } from "./condition";

/** What is seen by a doctor or rests while it is recent, and has a rule of its own for good. Common practice. */
export const bandedConditions: readonly Condition[] = [
  {
    key: "osteopenia",
    name: "Osteopenia",
    kind: "condition",
    synonyms: ["bone a little thin"],
    rules: [
      {
        key: "ribs",
        kind: "limit",
        scope: { tags: ["rib compression"] },
        pressure: 3,
        reason: "Bone that is thinner than usual is pressed lightly at the ribs.",
      },
    ],
  },
  {
    key: "stent",
    name: "Heart attack, stent or heart operation",
    kind: "condition",
    synonyms: ["heart attack", "infarct", "stent", "angioplasty", "bypass", "valve replaced"],
    rules: [
      {
        key: "recent",
        kind: "refer",
        days: { until: weeks(12) },
        reason:
          "A heart attack, stent or heart operation under three months old needs the doctor's clearance before any hands-on work.",
      },
      ...circulation("After a heart attack, a stent or a heart operation time face down and sessions stay short."),
    ],
  },
  {
    key: "fit",
    name: "First or recent fit",
    kind: "condition",
    synonyms: ["first seizure", "had a fit"],
    rules: [
      {
        key: "recent",
        kind: "refer",
        days: { until: weeks(13) },
        reason: "A fit in the last three months is looked into by a doctor before any hands-on work.",
      },
      {
        key: "cranial",
        kind: "exclude",
        scope: { tags: ["cranial"] },
        reason: "Cranial work waits for the doctor's clearance.",
      },
    ],
  },
  {
    key: "eye-operation",
    name: "Eye operation",
    kind: "operation",
    synonyms: ["cataract operation", "eye laser", "retina operation"],
    place: "head",
    rules: [
      {
        key: "recent",
        kind: "limit",
        days: { until: weeks(6) },
        without: ["prone"],
        reason: "After an eye operation nobody lies face down for six weeks.",
      },
      {
        key: "cranial",
        kind: "exclude",
        days: { until: weeks(6) },
        scope: { tags: ["cranial", "neck lever"] },
        reason: "After an eye operation the head is left alone for six weeks.",
      },
      ...faceDown("Pressure on the face raises the pressure in the eye."),
    ],
  },
  {
    key: "shingles",
    name: "Shingles",
    kind: "condition",
    synonyms: ["herpes zoster", "zoster"],
    place: "ask",
    rules: [
      {
        key: "recent",
        kind: "refer",
        days: { until: weeks(4) },
        lasts: true,
        reason: "While shingles blister they can be caught: no hands-on work until a doctor says that it is over.",
      },
      {
        key: "tender",
        kind: "limit",
        days: { from: weeks(4) },
        scope: { at: "region" },
        pressure: 3,
        reason: "Where shingles were, the skin can stay oversensitive.",
      },
    ],
  },
  {
    key: "abscess",
    name: "Abscess",
    kind: "condition",
    synonyms: ["boil lanced", "carbuncle"],
    place: "ask",
    rules: [
      {
        key: "recent",
        kind: "refer",
        days: { until: weeks(4) },
        lasts: true,
        reason: "An abscess is seen by a doctor first: pressure can spread it.",
      },
    ],
  },
  {
    key: "kidney-colic",
    name: "Kidney colic",
    kind: "condition",
    synonyms: ["renal colic", "passing a stone"],
    rules: [
      {
        key: "recent",
        kind: "refer",
        days: { until: 14 },
        lasts: true,
        reason: "A colic is looked at by a doctor first: pain of the flank may be the kidney.",
      },
      { key: "deep", kind: "exclude", scope: { tags: ["deep belly"] }, reason: "The belly is not worked deeply." },
    ],
  },
  {
    key: "platelets",
    name: "Low platelets",
    kind: "condition",
    synonyms: ["thrombocytopenia", "itp"],
    rules: [
      ...bleeding("With few platelets bruises come from nothing.").filter(({ key }) => key !== "pressure"),
      {
        key: "light",
        kind: "limit",
        pressure: 2,
        reason: "With few platelets only light work is done; ask for the doctor's clearance.",
      },
    ],
  },
  {
    key: "pre-eclampsia",
    name: "High blood pressure in pregnancy",
    kind: "pregnancy",
    synonyms: ["pre-eclampsia", "toxaemia"],
    rules: [{ key: "seen", kind: "refer", reason: "High blood pressure in pregnancy is a doctor's matter first." }],
  },
  {
    key: "very-high-pressure",
    name: "Very high blood pressure",
    kind: "condition",
    synonyms: [],
    rules: [{ key: "seen", kind: "refer", reason: "From 180 over 110 on a doctor sees it before any hands-on work." }],
  },
  {
    key: "skull-pressure",
    name: "Raised pressure or malformation in the skull",
    kind: "condition",
    synonyms: ["intracranial hypertension", "chiari", "hydrocephalus"],
    place: "head",
    rules: [
      {
        key: "cranial",
        kind: "exclude",
        scope: { tags: ["cranial", "neck lever", "skull-base pressure", "unwinding"] },
        reason:
          "With raised pressure or a malformation in the skull cranial work and neck levers are out until cleared.",
      },
    ],
  },
  {
    key: "neck-artery",
    name: "Tear or narrowing of a neck artery",
    kind: "condition",
    synonyms: ["carotid dissection", "vertebral artery"],
    place: "neck",
    rules: [
      {
        key: "recent",
        kind: "refer",
        days: { until: weeks(26) },
        reason: "A neck artery that tore or is narrowed is cleared by a doctor before any hands-on work.",
      },
      {
        key: "neck",
        kind: "exclude",
        scope: { tags: ["neck lever", "skull-base pressure", "cranial"] },
        reason: "The neck is not pulled, levered or pressed at the skull base.",
      },
    ],
  },
  {
    key: "cancer-past",
    name: "Cancer, treatment over",
    kind: "condition",
    synonyms: ["remission", "cancer free"],
    place: "ask",
    rules: [
      {
        key: "left",
        kind: "inform",
        reason:
          "Ask what the treatment left: nodes taken, skin that was irradiated, thin bones, numb places; note each.",
      },
      {
        key: "light",
        kind: "limit",
        days: { until: weeks(26) },
        pressure: 3,
        reason: "Half a year after the last treatment work stays light.",
      },
    ],
  },
  {
    key: "skin-cancer",
    name: "Skin cancer, treated",
    kind: "condition",
    synonyms: ["basal cell", "mole cut out"],
    place: "ask",
    rules: [
      {
        key: "area",
        kind: "exclude",
        scope: { at: "near" },
        reason: "Where a skin cancer was or is, nothing is worked until the doctor clears it.",
      },
    ],
  },
];
