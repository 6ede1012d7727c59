import { faceDown, looseNeck, type Condition, type Rule } from "./condition";

const noLevers = (reason: string): Rule => ({
  key: "levers",
  kind: "exclude",
  scope: { at: "joints", tags: ["lever", "end range"] },
  reason,
});
const allLevers = (reason: string): Rule => ({
  key: "all-levers",
  kind: "exclude",
  scope: { tags: ["lever", "end range", "neck lever"] },
  reason,
});

/** Of the spine and the joints: what is stiff, slipped, fused or was injected. Common practice. */
export const spineConditions: readonly Condition[] = [
  {
    key: "disc",
    name: "Disc trouble",
    kind: "injury",
    synonyms: ["slipped disc", "prolapsed disc", "herniated disc", "bulging disc"],
    place: "low-back",
    rules: [noLevers("A disc that has come out is not levered across, nor taken to the end of its range.")],
  },
  {
    key: "disc-leg",
    name: "Disc trouble with pain or numbness down a limb",
    kind: "injury",
    synonyms: ["sciatica", "trapped nerve", "radiculopathy", "nerve root"],
    place: "low-back",
    rules: [
      noLevers("A nerve that is pressed is not levered across, nor taken to the end of its range."),
      {
        key: "pressure",
        kind: "limit",
        scope: { at: "region" },
        pressure: 4,
        reason: "Over a nerve that is pressed work stays moderate, and stops when the leg or arm answers.",
      },
      {
        key: "watch",
        kind: "inform",
        reason: "If strength or feeling gets less, or bladder or bowel change, a doctor sees it first.",
      },
    ],
  },
  {
    key: "stenosis",
    name: "Narrowed spinal canal",
    kind: "condition",
    synonyms: ["spinal stenosis", "narrow canal"],
    place: "low-back",
    rules: [
      noLevers("A narrowed canal is not bent back nor levered."),
      ...faceDown("Lying on the front bends the back and narrows the canal further."),
    ],
  },
  {
    key: "fusion",
    name: "Fused spine",
    kind: "operation",
    synonyms: ["spinal fusion", "vertebrae fused", "cage in the spine", "rods in the spine"],
    place: "low-back",
    rules: [allLevers("A fused spine is not levered: what lies above and below it would give instead.")],
  },
  {
    key: "slipped-vertebra",
    name: "Slipped vertebra",
    kind: "condition",
    synonyms: ["spondylolisthesis", "spondylolysis", "pars defect"],
    place: "low-back",
    rules: [noLevers("A vertebra that has slipped is not levered nor pushed.")],
  },
  {
    key: "ankylosing",
    name: "Stiffening inflammation of the spine",
    kind: "condition",
    synonyms: ["ankylosing spondylitis", "bechterew", "axial spondyloarthritis"],
    rules: [allLevers("A stiffening spine breaks before it bends."), ...looseNeck("Its upper neck can be loose.")],
  },
  {
    key: "stiff-shoulder",
    name: "Frozen shoulder",
    kind: "condition",
    synonyms: ["adhesive capsulitis", "stiff shoulder"],
    place: "shoulder",
    rules: [noLevers("A frozen shoulder is not forced to the end of its range.")],
  },
  {
    key: "joint-injection",
    name: "Injection into a joint or tendon",
    kind: "operation",
    synonyms: ["cortisone injection", "joint jab", "hyaluronic injection"],
    place: "ask",
    rules: [
      {
        key: "rest",
        kind: "exclude",
        days: { until: 14 },
        scope: { at: "near" },
        reason: "A place that was injected rests for two weeks.",
      },
    ],
  },
  {
    key: "nerve-block",
    name: "Nerve block",
    kind: "operation",
    synonyms: ["facet block", "nerve blocked", "radiofrequency"],
    place: "ask",
    rules: [
      {
        key: "rest",
        kind: "exclude",
        days: { until: 7 },
        scope: { at: "region" },
        reason: "Where a nerve was blocked nothing is felt as it should be: it rests for a week.",
      },
    ],
  },
];
