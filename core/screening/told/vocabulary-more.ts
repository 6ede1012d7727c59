/** More of how people say it, for conditions that have a rule of their own; as in `phrases`, and read before them. */
export const more: Record<string, string> = {
  osteopenia: "osteopenia, osteopenic",
  "wax-allergy":
    "beeswax itch/rash/hives/swell, wax itch, allergic wax/beeswax, allergy wax/beeswax, wax rash, react wax/beeswax, wax itch, wax hives",
  "oil-allergy":
    "massage oil rash/itch/hives/spots, oil brings rash/hives, oil itch/hives, allergic oil/oils/lanolin, allergy oil/oils/lanolin, oil rash, massage oil rash/itch/hives, react oil/oils, lanolin",
  "very-high-pressure": "hypertensive crisis, pressure through the roof",
  "disc-leg":
    "disc dead leg/arm, disc numb leg/arm, nerve pain down leg, pain down leg, shooting leg, trapped nerve, compressed nerve, nerve compressed, radiculopathy, pinched, sciatica, sciatic, pinched nerve, nerve root, nerve leg pain, nerve down arm/leg, pain shoots leg/arm, disc numb leg/foot/toes/arm/hand, disc tingling leg/foot/arm, disc pressing nerve",
  stenosis:
    "narrowing spine, spinal stenosis, stenosis, narrow spinal canal, spinal canal narrow, canal narrow, narrowed canal",
  fusion:
    "rods back, rods scoliosis, rod back, spinal fusion, fusion *, fusion, fused spine/vertebra/vertebrae/back/neck, vertebrae fused, fuse vertebra, fuse spine, spondylodesis, cage vertebra/vertebrae/spine, rods spine, rod spine, screws spine, * fused, bones fused",
  "slipped-vertebra":
    "vertebra slid, vertebra forward, slipped vertebra, vertebra slipped, spondylolisthesis, spondylolysis, spondy, pars defect",
  ankylosing:
    "ankylosing, ankylosing spondylitis, bechterew, spondylitis, axial, axial spondyloarthritis, sacroiliitis, bamboo spine",
  "stiff-shoulder": "frozen shoulder, shoulder frozen, adhesive capsulitis, stiff shoulder, shoulder capsule stiff",
  "joint-injection":
    "prp, prp *, plasma injection *, cortisone injection/injected/shot/jab *, steroid injection/jab/injected *, injection knee/shoulder/hip/elbow/heel/thumb/wrist/ankle, injected knee/shoulder/hip/elbow/heel/thumb/wrist/ankle, cortisone shot, cortisone jab, steroid injection, steroid jab, hyaluronic, prp injection, joint injection, jab knee/shoulder/hip/elbow",
  "nerve-block":
    "nerve block, nerve blocked, facet block, facet injection, medial branch, radiofrequency, denervation, nerve burnt, occipital block",
  port: "port, port catheter, portacath, port a cath, picc, picc line, central line, hickman",
  stoma: "stoma, colostomy, ileostomy, urostomy, bag on belly, feeding tube, peg tube",
  coil: "coil, coil copper/hormone, coil fitted, iud, mirena, copper coil, the coil",
  shunt: "shunt, brain shunt, vp shunt",
  cochlear: "cochlear, cochlear implant, hearing implant",
  stimulator:
    "stimulator, dbs, deep brain, neurostimulator, nerve stimulator, bladder stimulator, spinal cord stimulator",
  plate:
    "titanium, bolt *, bolts *, wires *, staples *, plated, k wires, rod *, rods *, metal plate, plate *, screws *, screw, pins *, nail *, metal body, metal *",
  stent:
    "heart bypass, bypass, triple/quadruple/double bypass, open heart, heart/valve operation/surgery/replaced/repaired, valve replaced/new/repair, heart attack, infarct, stent, stents, angioplasty, balloon artery",
  fit: "epileptic/epilepsy last days/week/weeks/yesterday, first ever fit/seizure/convulsion, convulsion ago/week/weeks/days, first convulsion, seizure ago/week/weeks/days, fit ago/weeks/days, first fit, first seizure, a +fit, had fit, last +fit, had seizure, seizure last/yesterday",
  "eye-operation":
    "cataract operation, eye operation/surgery, cataract operation/surgery/removed/done/out, lens replaced, eye laser, laser eye, lasered eye, lasik, squint operation, eye injection, retina operation/surgery",
  shingles: "shingles, zoster",
  abscess: "pus lump, pus filled, abscess, carbuncle, boil lanced, lanced",
  "kidney-colic":
    "stone ureter/stuck/kidney passing, kidney colic, renal colic, colic, passing stone, pass kidney stone",
  platelets: "platelet count, low platelets, itp, platelets low, platelet count low, thrombocytopenia",
  "pre-eclampsia": "pre eclampsia, preeclampsia, eclampsia, toxaemia",
  "skull-pressure":
    "intracranial pressure, pressure inside skull/head/brain, pressure skull, raised pressure skull/brain, intracranial hypertension, chiari, hydrocephalus, water on brain, arnold chiari",
  "neck-artery":
    "carotid, vertebral artery, artery split, artery tore neck, artery torn, artery tear, torn artery, dissection neck/carotid/vertebral, artery tore, dissection",
  "cancer-past":
    "in remission, remission, cancer free, clear of cancer, cancer over, cancer healed, beat cancer, survived cancer, cancer survivor, had cancer years, cancer years ago, all clear cancer",
  "skin-cancer": "skin cancer, basal cell, squamous, melanoma, mole suspicious, suspicious mole",
};
