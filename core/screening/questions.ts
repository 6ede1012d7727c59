/**
 * What is asked before any hands-on work, in words a client can answer alone. Yes means: a doctor sees it first. Not
 * sure is never taken for no. Common practice; check it against local codes.
 */
export type Question = {
  key: string;
  ask: string;
  /** Two or three words for the caution's chip. */
  title: string;
  /** What it may mean, and so why it is asked: one sentence. */
  reason: string;
  /** What waits for the clearance: all hands-on work, or cranial work and neck levers only. */
  blocks: "all work" | "cranial work";
};

const all = (key: string, title: string, ask: string, reason: string): Question => ({
  key,
  title,
  ask,
  reason,
  blocks: "all work",
});
const cranial = (key: string, title: string, ask: string, reason: string): Question => ({
  key,
  title,
  ask,
  reason,
  blocks: "cranial work",
});

export const questions: readonly Question[] = [
  all(
    "bladder-bowel",
    "Bladder, bowel or saddle",
    "Has your control of bladder or bowel changed, or is there numbness where you would sit on a saddle?",
    "These can be signs of pressure on the lowest nerves, which is urgent.",
  ),
  all(
    "weakness",
    "Growing weakness",
    "Is an arm or a leg getting weaker or more numb from week to week?",
    "Weakness or numbness that grows needs a doctor first.",
  ),
  all(
    "fever-back",
    "Fever with back pain",
    "Do you have a fever together with new back pain?",
    "Fever with new back pain can be an infection.",
  ),
  all(
    "weight-night",
    "Weight loss, night pain",
    "Have you lost weight without meaning to, with pain that wakes you at night?",
    "Unexplained weight loss with night pain needs a doctor first.",
  ),
  all(
    "major-trauma",
    "Recent bad fall or accident",
    "Have you had a bad fall or accident lately after which something might be broken?",
    "A suspected fracture is looked at by a doctor first.",
  ),
  all(
    "headache",
    "New severe headache",
    "Have you had a new, sudden and severe headache, unlike any before?",
    "A new, sudden and severe headache needs a doctor at once.",
  ),
  all(
    "neck-artery",
    "Dizzy, double vision, speech",
    "With neck pain: dizziness, double vision, trouble speaking or swallowing, sudden falls, a numb face or an unsteady walk?",
    "These can be signs of trouble with an artery of the neck.",
  ),
  all(
    "hot-calf",
    "Hot, swollen calf",
    "Is one of your calves hot, swollen or painful?",
    "A hot, swollen calf can be a clot.",
  ),
  all(
    "chest-pain",
    "Chest pain, breathless at rest",
    "Do you have chest pain, or are you short of breath while resting?",
    "Chest pain or breathlessness at rest needs a doctor at once.",
  ),
  all(
    "infection",
    "Fever or infection",
    "Do you have a fever, a spreading skin infection or anything others could catch?",
    "With fever or an infection no hands-on work is done.",
  ),
  all(
    "belly-pulse",
    "Pulsing lump in the belly",
    "Is there a lump in your belly that you can feel pulsing?",
    "A pulsing lump can be a widened artery.",
  ),
  cranial(
    "brain-bleed",
    "Recent stroke or brain bleed",
    "Have you had a stroke or bleeding inside the skull in the last half year?",
    "After a recent stroke or bleed cranial work needs clearance.",
  ),
  cranial(
    "known-aneurysm",
    "Known aneurysm",
    "Has a doctor told you that you have an aneurysm?",
    "With a known aneurysm cranial work needs clearance.",
  ),
  cranial(
    "skull-pressure",
    "Raised pressure in the skull",
    "Has a doctor told you that the pressure inside your skull is raised, or that the brain stem is pressed down?",
    "Raised pressure in the skull or a brain-stem herniation rules cranial work out until cleared.",
  ),
  cranial(
    "skull-fracture",
    "Recent skull fracture",
    "Have you broken a bone of the skull in the last half year?",
    "After a recent skull fracture cranial work needs clearance.",
  ),
  cranial(
    "spinal-fluid",
    "Lumbar puncture, fluid leak",
    "Have you had a needle in the spine (lumbar puncture, epidural) or a leak of spinal fluid in the last two months?",
    "After a lumbar puncture or a leak cranial work needs clearance.",
  ),
];

/** What is asked again before every visit. A yes opens the history or the questions above. */
export const rescreen: readonly { key: string; ask: string }[] = [
  { key: "new-injury", ask: "Any new injury, fall, accident or operation?" },
  { key: "new-illness", ask: "Any new illness, fever, diagnosis or pregnancy?" },
  { key: "new-medication", ask: "Any new medication, or anything against pain taken today?" },
  { key: "new-signs", ask: "Any new numbness, weakness, dizziness, chest pain or swelling?" },
  { key: "skin", ask: "Any open, sore or marked skin, also from the last session?" },
];

export type Answer = "yes" | "no" | "unsure";
export const answers: readonly Answer[] = ["yes", "no", "unsure"];
/** Of what was told and is not in the catalogue it may also be said that a doctor has to see it first. */
export type EntryAnswer = Answer | "doctor";
export const entryAnswers: readonly EntryAnswer[] = [...answers, "doctor"];
export const entryAnswerWord: Record<EntryAnswer, string> = {
  yes: "Yes",
  no: "No",
  unsure: "Don’t know",
  doctor: "A doctor first",
};
export const answerWord: Record<Answer, string> = { yes: "Yes", no: "No", unsure: "Don’t know" };

export const questionOf = (key: string): Question | undefined => questions.find((question) => question.key === key);
export const askedKeys: readonly string[] = [...questions, ...rescreen].map((question) => question.key);

/** How much an answer holds back: a yes more than not knowing, and that more than a no. */
const strictness: Record<Answer, number> = { yes: 2, unsure: 1, no: 0 };

/** Of answers to one question that all stand, the strictest, which holds; and those that say something else. At least one. */
export function strictestFirst<A extends { answer: Answer }>(standing: readonly A[]): A & { against: A[] } {
  const [first, ...others] = [...standing].sort((a, b) => strictness[b.answer] - strictness[a.answer]);
  return { ...first!, against: others.filter(({ answer }) => answer !== first!.answer) };
}
