import {
  belly,
  bleeding,
  bones,
  circulation,
  faceDown,
  looseNeck,
  lymph,
  notFlat,
  plain,
  vein,
  weeks,
  type Condition,
  type Rule,
} from "./condition";
import { bandedConditions } from "./conditions-by-age";
import { deviceConditions } from "./conditions-devices";
import { spineConditions } from "./conditions-spine";
import { questions } from "./questions";

export { entryKinds, type Around, type Condition, type EntryKind, type Rule } from "./condition";

/** The starting catalogue of conditions. Common practice; check it against local codes. Keys are stable. */
export const conditions: readonly Condition[] = [
  {
    key: "osteoporosis",
    name: "Osteoporosis",
    kind: "condition",
    synonyms: ["brittle bones", "thin bones", "low bone density", "bone loss"],
    rules: bones("Thin bones can break under compression and leverage."),
  },
  {
    key: "steroids",
    name: "Long steroid use",
    kind: "medication",
    synonyms: ["cortisone", "prednisone", "prednisolone", "corticosteroids"],
    rules: [
      ...bones("Long steroid use thins bone and skin."),
      {
        key: "instruments",
        kind: "exclude",
        scope: { tags: ["instrument"] },
        reason: "Skin that steroids have thinned tears under an instrument.",
      },
    ],
  },
  {
    key: "fracture",
    name: "Fracture",
    kind: "injury",
    synonyms: ["broken bone", "break", "broke", "crack", "stress fracture"],
    place: "ask",
    rules: [
      {
        key: "healing",
        kind: "exclude",
        days: { until: weeks(12) },
        scope: { at: "outward" },
        reason: "A fracture needs twelve weeks before it and what is near it is worked.",
      },
      {
        key: "levers",
        kind: "exclude",
        days: { until: weeks(12) },
        scope: { at: "joints around", tags: ["lever", "end range", "rib compression"] },
        reason: "A fracture needs twelve weeks before anything levers across it or presses on ribs beside it.",
      },
    ],
  },
  {
    key: "operation",
    name: "Operation",
    kind: "operation",
    synonyms: ["surgery", "operated", "keyhole", "arthroscopy", "caesarean", "c-section", "appendix", "disc operation"],
    place: "ask",
    question: "Is the scar fully closed?",
    rules: [
      {
        key: "recent",
        kind: "exclude",
        days: { until: weeks(8) },
        scope: { at: "near" },
        reason: "The place and what is near it rests for eight weeks after an operation.",
      },
      {
        key: "open",
        kind: "exclude",
        unless: "yes",
        scope: { at: "near" },
        reason: "A scar that is not closed, or may not be, is left alone.",
      },
      {
        key: "gentle",
        kind: "limit",
        days: { from: weeks(8), until: weeks(26) },
        scope: { at: "near" },
        pressure: 3,
        reason: "After an operation the place and what is near it starts with gentle scar slide.",
      },
    ],
  },
  {
    key: "scar",
    name: "Scar",
    kind: "scar",
    synonyms: ["cut", "burn scar", "stitches", "keloid"],
    place: "ask",
    question: "Is it fully closed?",
    rules: [
      {
        key: "open",
        kind: "exclude",
        unless: "yes",
        scope: { at: "near" },
        reason: "A scar that is not closed, or may not be, is left alone.",
      },
    ],
  },
  {
    key: "pregnancy",
    name: "Pregnancy",
    kind: "pregnancy",
    synonyms: ["pregnant", "expecting", "baby due", "due date"],
    rules: [
      {
        key: "prone",
        kind: "limit",
        due: { from: weeks(14), until: 280 + 42 },
        without: ["prone"],
        reason: "From the fourteenth week of pregnancy nobody lies on the belly.",
      },
      {
        key: "supine",
        kind: "limit",
        due: { from: weeks(20), until: 280 + 42 },
        without: ["prone", "supine"],
        reason:
          "From the twentieth week of pregnancy nobody lies on the belly or flat on the back: side-lying or half-sitting.",
      },
      {
        key: "areas",
        kind: "exclude",
        due: { from: 0, until: 280 + 42 },
        scope: { tags: ["deep belly", "inner thigh"] },
        reason: "The deep belly and the inner thigh are not worked in pregnancy.",
      },
      {
        key: "instruments",
        kind: "exclude",
        due: { from: 0, until: 280 + 42 },
        scope: { regions: ["thigh", "leg"], tags: ["instrument"] },
        reason: "No instruments on the legs in pregnancy: a clot forms more easily.",
      },
      {
        key: "first",
        kind: "inform",
        due: { from: 0, until: 98 },
        reason: "First three months: talk it over and agree on it before any work.",
      },
    ],
  },
  {
    key: "anticoagulant",
    name: "Blood thinner",
    kind: "medication",
    synonyms: ["blood thinner", "anticoagulant", "warfarin", "heparin", "apixaban", "rivaroxaban", "clopidogrel"],
    rules: bleeding("A blood thinner makes bruises easy."),
  },
  {
    key: "bleeding",
    name: "Bleeding disorder, easy bruising",
    kind: "condition",
    synonyms: ["haemophilia", "hemophilia", "bruises easily"],
    rules: bleeding("Bruises come easily."),
  },
  {
    key: "clot",
    name: "Blood clot, past",
    kind: "condition",
    synonyms: ["thrombosis", "dvt", "embolism", "clot in the leg", "phlebitis"],
    place: "leg",
    rules: [
      {
        key: "recent",
        kind: "refer",
        days: { until: weeks(13) },
        reason: "A clot under three months old can still move: its doctor clears any hands-on work first.",
      },
      ...vein("A leg that had a clot is worked at the surface only."),
    ],
  },
  {
    key: "varicose",
    name: "Varicose veins",
    kind: "condition",
    synonyms: ["spider veins", "vein trouble"],
    place: "leg",
    rules: vein("Over varicose veins and beside them only the surface is worked.", "near"),
  },
  {
    key: "cancer",
    name: "Cancer under treatment",
    kind: "condition",
    synonyms: ["chemotherapy", "radiotherapy", "tumour", "tumor", "chemo", "leukaemia"],
    place: "ask",
    rules: lymph(
      "Under cancer treatment work stays light.",
      "Where the cancer is or was treated nothing is worked until the doctor clears it.",
    ),
  },
  {
    key: "lymph-nodes",
    name: "Lymph nodes removed, lymphoedema",
    kind: "condition",
    synonyms: ["lymphedema", "swollen arm", "nodes out", "mastectomy"],
    place: "arm",
    rules: lymph(
      "With lymph nodes removed work stays light.",
      "The limb whose lymph nodes were removed is left alone.",
    ),
  },
  {
    key: "blood-pressure",
    name: "High blood pressure",
    kind: "condition",
    synonyms: ["hypertension", "blood pressure tablets"],
    question: "Is it under control?",
    rules: circulation("With uncontrolled blood pressure time face down and sessions stay short.", "yes"),
  },
  {
    key: "heart-failure",
    name: "Heart failure",
    kind: "condition",
    synonyms: ["weak heart", "heart disease", "cardiac insufficiency"],
    rules: circulation("With a weak heart time face down and sessions stay short."),
  },
  {
    key: "device",
    name: "Pacemaker, port or implant",
    kind: "implant",
    synonyms: ["icd", "defibrillator", "port-a-cath", "pump", "stimulator", "breast implant", "metal plate", "screws"],
    place: "chest",
    rules: [
      {
        key: "area",
        kind: "exclude",
        scope: { at: "near" },
        reason: "The area over an implant is not worked.",
      },
    ],
  },
  {
    key: "joint-replacement",
    name: "Joint replaced",
    kind: "implant",
    synonyms: ["knee replacement", "hip replacement", "new knee", "new hip", "artificial joint", "prosthesis"],
    place: "ask",
    rules: [
      {
        key: "levers",
        kind: "exclude",
        scope: { at: "joints", tags: ["lever", "end range"] },
        reason: "A replaced joint is not taken to its end range.",
      },
      {
        key: "recent",
        kind: "exclude",
        days: { until: weeks(12) },
        scope: { at: "near" },
        reason: "A joint that was just replaced rests for twelve weeks, and what is near it.",
      },
    ],
  },
  {
    key: "hypermobility",
    name: "Hypermobility",
    kind: "condition",
    synonyms: ["double-jointed", "very flexible", "loose joints", "ehlers-danlos", "beighton"],
    rules: [
      {
        key: "end-range",
        kind: "exclude",
        scope: { tags: ["end range"] },
        reason: "Loose joints are not stretched to their end: short holds and balance work instead.",
      },
    ],
  },
  {
    key: "trunk-rotation",
    name: "Trunk rotation of 7° or more",
    kind: "condition",
    synonyms: ["rib hump", "scoliometer"],
    place: "upper-back",
    rules: [{ key: "seen", kind: "inform", reason: "A doctor sees a trunk rotation of seven degrees or more." }],
  },
  {
    key: "arthritis",
    name: "Inflammatory arthritis",
    kind: "condition",
    synonyms: ["rheumatoid", "ra", "psoriatic arthritis"],
    rules: looseNeck("Inflamed joints of the upper neck can be unstable."),
  },
  {
    key: "down-syndrome",
    name: "Down syndrome",
    kind: "condition",
    synonyms: ["trisomy 21"],
    rules: looseNeck("The upper neck can be loose."),
  },
  {
    key: "multiple-sclerosis",
    name: "Multiple sclerosis",
    kind: "condition",
    synonyms: ["ms"],
    rules: [
      {
        key: "heat",
        kind: "inform",
        reason: "Heat may make it worse: a cool room, a very gentle beginning, and expect guarding.",
      },
    ],
  },
  {
    key: "neuropathy",
    name: "Diabetes with reduced feeling",
    kind: "condition",
    synonyms: ["neuropathy", "diabetic", "numb feet", "reduced feeling", "diabetes"],
    place: "leg",
    question: "Do they feel everything there as they should?",
    rules: [
      {
        key: "feeling",
        kind: "limit",
        unless: "yes",
        scope: { at: "region" },
        pressure: 3,
        reason: "Where feeling is reduced the client cannot report pressure: go by the tissue.",
      },
      {
        key: "new",
        kind: "inform",
        unless: "yes",
        reason: "Ask whether it is new, or spreads or grows: then a doctor sees it first.",
      },
    ],
  },
  {
    key: "numbness",
    name: "Numbness or tingling",
    kind: "condition",
    synonyms: ["pins and needles", "numb", "tingling"],
    place: "ask",
    question: "Has it been so for long, without spreading, and neither between the legs nor in the face?",
    rules: [
      {
        key: "new",
        kind: "refer",
        unless: "yes",
        reason: "Numbness that is new or spreads, or is between the legs or in the face: a doctor first.",
      },
      {
        key: "feeling",
        kind: "limit",
        scope: { at: "region" },
        pressure: 3,
        reason: "Where feeling is reduced the client cannot report pressure: go by the tissue.",
      },
    ],
  },
  {
    key: "epilepsy",
    name: "Epilepsy",
    kind: "condition",
    synonyms: ["seizures", "fits"],
    rules: [
      { key: "room", kind: "inform", reason: "A quiet room without flickering light." },
      {
        key: "last",
        kind: "inform",
        reason: "Ask when the last fit was: after one in the last three months a doctor sees them first.",
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
    key: "whiplash",
    name: "Whiplash or head injury",
    kind: "trauma",
    synonyms: [
      "concussion",
      "car accident",
      "rear-ended",
      "collision",
      "head knock",
      "hit my head",
      "fall on the head",
    ],
    place: "neck",
    rules: [
      {
        key: "recent",
        kind: "refer",
        days: { until: weeks(6) },
        reason: "A head or neck injury under six weeks old is seen by a doctor before any hands-on work.",
      },
      {
        key: "past",
        kind: "inform",
        days: { from: weeks(6) },
        reason: "Cranial work first listens here. Expect locked segments and give more time.",
      },
    ],
  },
  {
    key: "eye",
    name: "Glaucoma or detached retina",
    kind: "condition",
    synonyms: ["eye pressure", "retina", "eye operation"],
    rules: faceDown("Pressure on the face and a low head raise the pressure in the eye."),
  },
  {
    key: "sinus",
    name: "Sinus infection",
    kind: "condition",
    synonyms: ["sinusitis", "blocked nose", "cold"],
    rules: faceDown("Lying on a blocked face hurts."),
  },
  {
    key: "reflux",
    name: "Reflux",
    kind: "condition",
    synonyms: ["heartburn", "gerd", "acid", "hiatus hernia"],
    rules: notFlat("Lying flat on the back brings the acid up."),
  },
  {
    key: "breathless",
    name: "Breathless lying down",
    kind: "condition",
    synonyms: ["short of breath", "copd", "asthma", "cannot lie flat"],
    rules: [
      ...notFlat("Breathing is hard flat on the back."),
      { key: "rest", kind: "inform", reason: "Ask whether it is new, or there at rest: then a doctor sees it first." },
    ],
  },
  {
    key: "aneurysm",
    name: "Aneurysm, known",
    kind: "condition",
    synonyms: ["aortic aneurysm", "bulging artery"],
    rules: [
      ...belly("A known aneurysm: the belly is left alone."),
      {
        key: "cranial",
        kind: "exclude",
        scope: { tags: ["cranial"] },
        reason: "With a known aneurysm cranial work waits for the doctor's clearance.",
      },
    ],
  },
  {
    key: "hernia",
    name: "Abdominal hernia or mesh",
    kind: "condition",
    synonyms: ["rupture", "mesh", "inguinal hernia", "umbilical hernia"],
    rules: belly("A hernia or its mesh: the belly is left alone."),
  },
  {
    key: "skin",
    name: "Skin open, inflamed or sunburnt",
    kind: "condition",
    synonyms: ["eczema", "rash", "wound", "sunburn", "psoriasis", "boil"],
    place: "ask",
    rules: [
      {
        key: "area",
        kind: "exclude",
        scope: { at: "here" },
        reason: "Skin that is open, inflamed or burnt is left alone until it has healed.",
      },
    ],
  },
  {
    key: "marked",
    name: "Skin marked by the last session",
    kind: "condition",
    synonyms: ["bruise", "red spots", "marks", "petechiae"],
    place: "ask",
    rules: [
      {
        key: "area",
        kind: "exclude",
        leastDays: 2,
        scope: { at: "here" },
        reason: "A region marked by the last session rests until the marks are gone, 48 hours at least.",
      },
    ],
  },
  {
    key: "nut-allergy",
    name: "Allergy to nuts",
    kind: "allergy",
    synonyms: ["almond", "peanut", "nut oil"],
    rules: [{ key: "oil", kind: "limit", instead: "nut-free oil and wax", reason: "No nut oils on the skin." }],
  },
  {
    key: "scent-allergy",
    name: "Allergy to scents",
    kind: "allergy",
    synonyms: ["perfume", "fragrance", "essential oil"],
    rules: [
      {
        key: "scent",
        kind: "limit",
        instead: "unscented oil and wax",
        reason: "Nothing scented on the skin or in the room.",
      },
    ],
  },
  {
    key: "wax-allergy",
    name: "Allergy to wax",
    kind: "allergy",
    synonyms: ["beeswax"],
    rules: [
      { key: "medium", kind: "limit", withoutMedia: ["wax"], reason: "No wax on the skin: it is out of every plan." },
    ],
  },
  {
    key: "oil-allergy",
    name: "Allergy to oil",
    kind: "allergy",
    synonyms: ["massage oil", "lanolin"],
    rules: [
      { key: "medium", kind: "limit", withoutMedia: ["oil"], reason: "No oil on the skin: it is out of every plan." },
    ],
  },
  {
    key: "latex-allergy",
    name: "Allergy to latex",
    kind: "allergy",
    synonyms: ["rubber", "gloves"],
    rules: [{ key: "gloves", kind: "limit", instead: "latex-free gloves", reason: "No latex." }],
  },
  {
    key: "trauma-history",
    name: "Trauma, panic or recent loss",
    kind: "condition",
    synonyms: ["ptsd", "panic attacks", "anxiety", "bereavement", "grief", "abuse"],
    rules: [
      {
        key: "pause-word",
        kind: "inform",
        reason: "Agree on a pause word, say every touch before it comes, and unwind only with consent.",
      },
    ],
  },
  {
    key: "pain-medication",
    name: "Medication that dulls pain, today",
    kind: "medication",
    synonyms: ["painkiller", "ibuprofen", "opioid", "morphine", "codeine", "tramadol", "gabapentin"],
    rules: [
      {
        key: "feeling",
        kind: "limit",
        days: { until: 1 },
        lasts: true,
        pressure: 3,
        reason: "The client's report of pressure is unreliable today: go by the tissue.",
      },
    ],
  },
  {
    key: "stroke",
    name: "Stroke or brain bleed",
    kind: "trauma",
    synonyms: ["apoplexy", "tia", "haemorrhage", "brain haemorrhage"],
    rules: [
      {
        key: "recent",
        kind: "refer",
        days: { until: weeks(26) },
        reason: "A stroke or bleed in the last half year needs the doctor's clearance before any hands-on work.",
      },
      {
        key: "cranial",
        kind: "exclude",
        days: { from: weeks(26) },
        scope: { tags: ["cranial"] },
        reason: "After a stroke or bleed cranial work waits for the doctor's clearance.",
      },
    ],
  },
  {
    key: "skull-fracture",
    name: "Skull fracture",
    kind: "trauma",
    synonyms: ["cracked skull", "broken skull"],
    place: "head",
    rules: [
      {
        key: "recent",
        kind: "refer",
        days: { until: weeks(26) },
        reason: "A recent skull fracture needs the doctor's clearance before any hands-on work.",
      },
    ],
  },
  {
    key: "lumbar-puncture",
    name: "Lumbar puncture or spinal fluid leak",
    kind: "operation",
    synonyms: ["spinal tap", "epidural", "cerebrospinal leak"],
    place: "low-back",
    rules: [
      {
        key: "cranial",
        kind: "exclude",
        days: { until: weeks(8) },
        lasts: true,
        scope: { tags: ["cranial"] },
        reason: "After a lumbar puncture or a leak cranial work waits for the doctor's clearance.",
      },
      {
        key: "site",
        kind: "exclude",
        days: { until: weeks(8) },
        lasts: true,
        scope: { at: "region", fromDepth: 2 },
        reason: "Over the place of the needle nothing deep is worked for eight weeks.",
      },
    ],
  },
  {
    key: "dental",
    name: "Dental work, recent",
    kind: "dental",
    synonyms: ["tooth pulled", "extraction", "braces", "crown", "wisdom tooth", "root canal", "dentist"],
    place: "head",
    rules: [
      {
        key: "levers",
        kind: "exclude",
        days: { until: weeks(3) },
        scope: { tags: ["neck lever"] },
        reason: "After dental work light touch comes before any neck lever.",
      },
      {
        key: "jaw",
        kind: "limit",
        days: { until: weeks(3) },
        scope: { tags: ["jaw"] },
        pressure: 2,
        reason: "The jaw is worked lightly while it heals.",
      },
    ],
  },
  {
    key: "low-pressure",
    name: "Low blood pressure, faints easily",
    kind: "condition",
    synonyms: ["hypotension", "faints easily"],
    rules: [{ key: "rise", kind: "inform", reason: "Getting up takes time: sit for a minute before standing." }],
  },
  {
    key: "fainting",
    name: "Fainting or blackouts",
    kind: "condition",
    synonyms: ["fainted", "blackouts", "passed out"],
    question: "Has a doctor said why, and is it as it always was?",
    rules: [
      {
        key: "unexplained",
        kind: "refer",
        unless: "yes",
        reason: "A faint that nobody has explained: a doctor first.",
      },
      { key: "rise", kind: "inform", reason: "Getting up takes time: sit for a minute before standing." },
    ],
  },
  {
    key: "heart-rhythm",
    name: "Irregular heartbeat",
    kind: "condition",
    synonyms: ["atrial fibrillation", "arrhythmia", "palpitations"],
    question: "Is it under control?",
    rules: circulation("With an uncontrolled heart rhythm time face down and sessions stay short.", "yes"),
  },
  {
    key: "dislocation",
    name: "Joint that came out",
    kind: "injury",
    synonyms: ["dislocated", "subluxation", "pops out"],
    place: "ask",
    rules: [
      {
        key: "levers",
        kind: "exclude",
        scope: { at: "joints", tags: ["lever", "end range"] },
        reason: "A joint that came out is not taken to its end range.",
      },
    ],
  },
  {
    key: "dizzy",
    name: "Dizziness, vertigo",
    kind: "condition",
    synonyms: ["vertigo", "dizzy spells"],
    rules: [
      {
        key: "neck",
        kind: "exclude",
        scope: { tags: ["neck lever"] },
        reason: "With dizziness the neck is not pulled or levered until a doctor has looked at it.",
      },
      {
        key: "signs",
        kind: "inform",
        reason:
          "Ask about double vision, speech, swallowing, a numb face, an unsteady walk: with any a doctor sees it first.",
      },
    ],
  },
  {
    key: "nerve-disease",
    name: "Disease of nerves or brain",
    kind: "condition",
    synonyms: ["Parkinson", "paralysis", "motor neurone"],
    rules: [
      {
        key: "feeling",
        kind: "limit",
        pressure: 3,
        reason: "Feeling and guarding may not be what they seem: go by the tissue.",
      },
    ],
  },
  {
    key: "sensitised",
    name: "Pain all over, exhaustion",
    kind: "condition",
    synonyms: ["fibromyalgia", "chronic fatigue", "long covid"],
    rules: [{ key: "dose", kind: "inform", reason: "Short and light at first: what was too much shows a day later." }],
  },
  {
    key: "belly-tender",
    name: "Tender belly",
    kind: "condition",
    synonyms: ["endometriosis", "Crohn", "kidney stones", "gallstones"],
    rules: [
      {
        key: "deep",
        kind: "exclude",
        scope: { tags: ["deep belly"] },
        reason: "A belly that may be inflamed is not worked deeply.",
      },
    ],
  },
  {
    key: "gout",
    name: "Gout",
    kind: "condition",
    synonyms: ["uric acid"],
    place: "ask",
    rules: [{ key: "hot", kind: "inform", reason: "A joint that is hot or swollen is left alone." }],
  },
  {
    key: "apnoea",
    name: "Breathing stops in sleep",
    kind: "condition",
    synonyms: ["sleep apnoea"],
    rules: [{ key: "watch", kind: "inform", reason: "If they fall asleep on the back, watch the breath." }],
  },
  {
    key: "infection-known",
    name: "Infection that stays",
    kind: "condition",
    synonyms: ["HIV", "hepatitis", "herpes"],
    rules: [{ key: "skin", kind: "inform", reason: "Intact skin can be touched as usual; gloves where it is not." }],
  },
  ...questions
    .filter((question) => question.blocks === "all work")
    .map((question): Condition => ({
      key: `sign-${question.key}`,
      name: question.title,
      kind: "condition",
      synonyms: [],
      rules: signRules(question.key, question.reason),
    })),
  ...spineConditions,
  ...deviceConditions,
  ...bandedConditions,
  // told, kept and shown, with nothing to hold back by themselves
  ...plain("injury", [
    ["sprain", "Sprain or strain", "twisted ankle, pulled muscle, torn ligament"],
    ["fall", "Fall", "fell, tumble"],
  ]),
  ...plain("condition", [
    ["osteoarthritis", "Worn joint", "osteoarthritis, arthrosis, wear and tear"],
    ["scoliosis", "Scoliosis", "curved spine"],
    ["migraine", "Migraine or headaches", "headache"],
    ["jaw", "Jaw trouble", "grinds teeth, clicking jaw"],
    ["quiet", "Known, changes nothing", "thyroid, depression, cholesterol, tinnitus, menopause"],
  ]),
  ...plain("pain", [["pain", "Pain", "ache, hurts, sore, stiff, burning"]]),
  ...plain("tried", [
    ["tried", "What was tried", "physiotherapy, massage, acupuncture, chiropractor, osteopath, exercise"],
  ]),
  ...plain("medication", [["medication", "Other medication", "tablets, pills"]]),
  ...plain("allergy", [["allergy", "Other allergy", "hay fever"]]),
];

/**
 * A sign that a doctor sees first holds until a clearance is recorded or it is said to be over: when it began ends nothing. A
 * fall and an infection are events that pass: after a while it is asked whether they have.
 */
function signRules(key: string, reason: string): Rule[] {
  const passes: Record<string, { days: number; ask: string }> = {
    "major-trauma": {
      days: weeks(13),
      ask: "A bad fall or accident some time ago: ask whether a doctor looked at what may have been broken.",
    },
    infection: { days: 14, ask: "An infection some time ago: ask whether it is over before you work." },
  };
  const event = passes[key];
  if (!event) return [{ key: "seen", kind: "refer", reason }];
  return [
    { key: "seen", kind: "refer", days: { until: event.days }, lasts: true, reason },
    { key: "asked", kind: "inform", days: { from: event.days }, reason: event.ask },
  ];
}

export const conditionOf = (key: string): Condition | undefined =>
  conditions.find((condition) => condition.key === key);
