/**
 * How people say it: everyday phrases by condition. A phrase is found when all its words are near one another in one part
 * of a sentence, in any order, whatever their endings and small misspellings; so a phrase has to be as long as it takes
 * to mean nothing else. `a/b` is one word or the other, `*` any place on the body.
 */
export const phrases: Record<string, string> = {
  pregnancy:
    "pregnant, pregnancy, expecting baby, expecting child, expecting twins, having baby, we baby, trimester, weeks along, months along, weeks gone, months gone, gone weeks, baby due, due date, with child, antenatal, morning sickness, bump growing",
  anticoagulant:
    "blood thinner, blood thinning, thin blood, thins blood, anticoagulant, anticoagulation, aspirin daily/day/morning/evening/dose/baby/night/stent/heart, antiplatelet, anti clotting, clotting medication/tablets, inr, stop clots",
  bleeding:
    "bruise easily/easy, bruise peach, bruises slightest, bruise from nothing, bruises touch, black blue easily, haemophilia, hemophilia, haemophiliac, hemophiliac, platelets low, platelet count low, thrombocytopenia, von willebrand, blood not clot, blood clot properly, bleed long, bleed easily, bleeding disorder, bleeding tendency, nosebleeds stop, factor five",
  fracture:
    "fracture, broken bone, broke bone, break bone, break *, crack *, snap *, shattered *, crushed vertebra, vertebra break, stress fracture, hairline crack, bone cast, plaster cast, in plaster",
  osteoporosis:
    "osteoporosis, osteopenia, osteoporotic, brittle bone, thin bone, bone thin, bone density, bone loss, weak bone, infusion bones, injection bones, porous bone, bones crumbling, dexa low",
  steroids:
    "cortisone tablet/long/year/month/decade, cortisone, steroid tablet/long/year/month, steroids, corticosteroid, steroid long term",
  operation:
    "operation, operate, surgery, surgical, keyhole, arthroscopy, caesarean, cesarean, c section, csection, hysterectomy, gallbladder out/remove, gall bladder out/remove, appendix out/remove, appendectomy, tonsil out/remove, spleen out/remove, take out womb/ovary/kidney/gallbladder/appendix/tonsil, womb remove/out, ovary remove/out, kidney remove/out, remove kidney, tummy tuck, bypass, gastric sleeve/band, thyroid remove/out, breast reduction, facelift, spinal fusion, fuse vertebra, fuse spine, fusion *, laminectomy, discectomy, laparoscopy, vasectomy, prostate out/remove, lump out/cut/remove, cyst out/remove, mole remove/cut, nose job, liposuction, amputated, amputation, transplant, tendon repair, ligament repair/reconstruction, cruciate reconstruction, meniscus remove/repair, sewn up, under knife, vein graft, d and c, curettage",
  scar: "scar, keloid, stitches in, stitches still, stitches, scar tissue, burn scar",
  clot: "blood clot, deep vein thrombosis, clot, dvt, thrombosis, thrombotic, embolism, embolus, a clot",
  varicose:
    "varicose, spider vein, bad vein, vein leg, vein strip, phlebitis, thick vein, vein trouble/problem, bulging vein, venous insufficiency, inflamed vein, vein laser/closed",
  cancer:
    "cancer, chemo, chemotherapy, radiotherapy, radiation therapy/treatment, tumour, tumor, leukaemia, leukemia, lymphoma, melanoma, myeloma, sarcoma, carcinoma, metastasis, oncologist, oncology, malignant, secondaries, hormone therapy breast/prostate, found lump, biopsy lump, lump breast, biopsy",
  "lymph-nodes":
    "lymph node, lymph gland, nodes remove/out/take, lymphoedema, lymphedema, mastectomy, swollen arm, sentinel node, armpit clearance, axillary clearance, lymph drainage arm",
  "blood-pressure":
    "high blood pressure, blood pressure high, blood pressure tablet/pill/medication/medicine, hypertension, hypertensive, raised blood pressure, blood pressure up, blood pressure roof, pressure tablets, treated blood pressure, beta blocker, blood pressure",
  "low-pressure":
    "low blood pressure, hypotension, faint easily, faint up, faint stand, faint, black out up/stand, dizzy stand, blood pressure low, pass out, pots",
  "heart-failure":
    "heart failure, weak heart, heart attack, water lung, angina, coronary, heart disease, stent, heart valve, valve replaced, heart muscle, cardiomyopathy, enlarged heart, heart condition/problem/trouble, heart operation, heart bypass, bad heart, ischaemic heart, cardiac insufficiency/arrest, infarct, leaky valve, water tablets heart",
  "heart-rhythm":
    "irregular heartbeat, irregular heart, heart rhythm, atrial fibrillation, fibrillation, afib, arrhythmia, skip beat, heart skip, palpitation, heart flutter, heart race, extra beats, ablation, heart block",
  device:
    "pacemaker, pace maker, defibrillator, port, port catheter, portacath, insulin pump, pump belly/pain, metal plate, plate *, screws *, screw, pins *, rods *, rod spine, nail *, implant breast/chest, breast implant, implant, coil copper/hormone, iud, shunt, cochlear, stimulator, metal body, metal *, stoma, colostomy, catheter, hearing implant, icd, loop recorder, titanium, contraceptive implant, feeding tube, picc line",
  "joint-replacement":
    "new knee, new hip, new shoulder, new ankle, knee replacement, hip replacement, shoulder replacement, joint replacement, replaced knee/hip/shoulder/joint, artificial hip/knee/joint/shoulder, total knee, total hip, prosthetic hip/knee/joint, prosthesis hip/knee, partial knee, resurfacing hip, hip done, knee done, endoprosthesis",
  hypermobility:
    "hypermobile, hypermobility, bendy, double joint, doublejointed, ehlers danlos, eds, loose joint, lax joint/ligament, too flexible, very flexible, super flexible, marfan",
  dislocation:
    "dislocate, dislocation, pop out, * out socket, comes out socket, subluxation, sublux, put back in socket, slips out, shoulder out, kneecap out/slip",
  arthritis:
    "rheumatoid, rheumatism, rheumatic, ankylosing, bechterew, psoriatic, spondylitis, lupus, inflammatory arthritis, juvenile arthritis, autoimmune joint, polymyalgia, sjogren, scleroderma, reactive arthritis, still disease, connective tissue disease",
  osteoarthritis:
    "arthritis *, osteoarthritis, arthrosis, worn out *, worn *, wear tear, arthritis, degenerative, bone on bone, cartilage gone/worn, spondylosis, spinal stenosis, stenosis, bone spur, facet joint",
  gout: "gout, uric acid",
  "down-syndrome": "down syndrome, downs syndrome, trisomy",
  "multiple-sclerosis": "multiple sclerosis, ms, relapsing remitting",
  neuropathy:
    "diabetes, diabetic, prediabetes, insulin, blood sugar high, sugar disease, neuropathy, polyneuropathy, numb foot/feet/toe/leg/hand/finger/fingers/arm, no feeling *, not feel *, can't feel *, lost feeling *, less feeling *, reduced feeling, burning feet nerve, pins needles, nerve damage, tingling *, numbness *, dead leg/foot",
  epilepsy: "epilepsy, epileptic, fits, seizure, convulsion, grand mal, absences",
  whiplash:
    "whiplash, rear ended, concussion, hit head, hit my head, bang head, knock head, bump head, fall head, fell head, fell horse head, head injury, head knock, knocked out, knock unconscious, car crash, car accident, motorbike accident, bike accident, accident, blow head, landed head, head on windscreen, road accident, crash, kicked head, dove shallow",
  "skull-fracture": "skull fracture, crack skull, broke skull, break skull, fractured skull, broken skull",
  stroke:
    "stroke, ministroke, mini stroke, tia, brain bleed, bleed brain, brain haemorrhage, brain hemorrhage, subarachnoid, apoplexy, clot brain, cerebral, bleeding head, subdural, haematoma brain",
  aneurysm:
    "aneurysm, bulge aorta, aorta wide/bulge/enlarged/widened, bulging artery, dissection artery/aorta, weak artery",
  hernia:
    "hernia, rupture groin, mesh, umbilical hernia, inguinal hernia, hernia groin, hernia belly, abdominal mesh, diastasis",
  disc: "slipped disc, slip disc, herniated disc, disc bulge, bulging disc, prolapsed disc, disc prolapse, sciatica, sciatic, pinched nerve, trapped nerve, disc hernia, disc trouble, disc problem, nerve root, lumbago disc, disc *, bad disc, nerve leg pain",
  eye: "glaucoma, detached retina, retina detach, retina, eye pressure, pressure eye, cataract, eye operation/surgery, eye drops, lasik, macular, eye injection, cornea",
  sinus:
    "sinusitis, sinus infection, sinus, blocked nose, stuffed nose, stuffy nose, runny nose, nasty cold, a cold, head cold, have cold, common cold",
  reflux:
    "heartburn, reflux, gerd, acid stomach/night/throat, hiatus hernia, hiatal hernia, acid comes up, stomach acid, acidity",
  breathless:
    "asthma, asthmatic, copd, breathless, emphysema, steroid inhaler, cortisone inhaler, inhaler, out breath, lie flat, not lie back, cannot lie back, no breath, short breath, bronchitis, chronic bronchitis, lung disease, puffed out, cannot breathe lying, breathless lying, oxygen home, pulmonary fibrosis, cystic fibrosis",
  apnoea: "sleep apnoea, sleep apnea, cpap, stop breathing night",
  skin: "eczema, rash, psoriasis, shingles, sunburn, sunburnt, open sore, sore heel/open, boil, athlete foot, burnt hand/arm/leg/skin/*, burn *, burned *, scald, wound, cut not/open/hand/leg/foot, graze, blister, ulcer leg/skin/foot, dermatitis, hives, fungus, fungal, infected toenail, ringworm, skin infection, cellulitis, abscess, pressure sore, acne bad, itchy skin, warts, verruca, new tattoo, fresh tattoo, tattoo",
  marked: "bruise *, red marks, red spots, marks cups, marks last, bruised *, petechiae, bruise last session",
  "nut-allergy":
    "nut allergy, allergic nut, allergy nut, peanut, almond oil, almond, allergic almond, hazelnut, walnut, nuts swell, sesame allergy",
  "scent-allergy":
    "allergic perfume/scent/lavender, perfume, fragrance, essential oil, scent headache, strong smells, react lavender, scented",
  "latex-allergy": "latex, rubber glove, rubber rash, allergic rubber",
  allergy:
    "allergic penicillin/antibiotic/antibiotics/bee/wasp/pollen/cat/dog/dust/egg/fish/milk/plaster/nickel/gluten, hay fever, bee sting, wasp sting, allergy, allergic, allergies, coeliac, celiac, lactose, anaphylaxis, epipen",
  "trauma-history":
    "ptsd, broken heart, heartbroken, panic, anxiety, anxious, wife died, husband died, mother died, father died, partner died, child died, son died, daughter died, brother died, sister died, friend died, lost mother/mum/father/dad/wife/husband/child/baby/son/daughter/partner, bereaved, bereavement, grief, grieving, widowed, abuse, abused, assault, assaulted, raped, traumatic birth, flashback, do not like touched, miscarriage, stillbirth, war zone, nervous being touched",
  "pain-medication":
    "painkiller, pain killer, pain relief, pain tablet, pain patch, morphine, opioid, opiate, pain medication, anti inflammatory, antiinflammatory, local anaesthetic, muscle relaxant, cortisone injection, nerve block, cannabis pain, cbd pain",
  "lumbar-puncture":
    "spinal tap, lumbar puncture, epidural, spinal fluid, needle spine, csf, spinal block, spinal anaesthetic",
  dental:
    "wisdom tooth, tooth pull/out/extract, teeth pull/out, root canal, braces, crown, dental, dentist, denture, filling tooth, new bridge, gum surgery, retainer, tooth implant",
  jaw: "grind tooth, grind teeth, jaw click, clench, jaw lock, jaw pain, tmj, tmd, jaw, night guard, bruxism",
  scoliosis:
    "scoliosis, crooked spine, curved spine, curve spine, spine curve, kyphosis, hunchback, scheuermann, one leg shorter, leg shorter",
  "trunk-rotation": "rib hump, hump rib",
  migraine: "migraine, headache, cluster headache, head aches",
  sensitised:
    "fibromyalgia, chronic fatigue, long covid, chronic pain, pain everywhere, me cfs, post viral, burnout, exhaustion syndrome",
  quiet:
    "thyroid underactive/overactive, hashimoto, hypothyroid, hyperthyroid, vitamin, magnesium, iron tablets, omega, fish oil, thyroid tablet/pill, the pill, contraceptive pill, contraception, depression, depressed, antidepressant, irritable bowel, ibs, cholesterol, statin, menopause, hrt, hot flushes, tinnitus, anaemia, anemia, insomnia, sleep badly, adhd, autism, hearing aid, wear glasses, contact lenses, supplements, probiotics, collagen, folic acid, zinc, melatonin, pcos, polycystic, acne, snore, restless legs, short sighted, vegetarian, vegan, flat feet, hammer toe, bunions",
  "belly-tender":
    "endometriosis, crohn, colitis, ulcerative, kidney stone, gallstone, gall stone, stomach ulcer, diverticulitis, diverticulosis, fibroid, ovarian cyst, pancreatitis, gastritis, constipated, constipation, stomach cramps, painful periods, bladder infection, cystitis, prolapse, pelvic floor, fatty liver, kidney infection, prostate enlarged, interstitial cystitis",
  "nerve-disease":
    "parkinson, als, motor neurone, muscular dystrophy, huntington, myasthenia, guillain barre, cerebral palsy, spina bifida, paralysed, paralysis, dementia, alzheimer, polio, syringomyelia, chiari, hydrocephalus, spinal cord injury/damage, bell palsy, trigeminal",
  dizzy: "vertigo, dizzy, dizziness, meniere, labyrinthitis, light headed, spinning room, balance problem/bad",
  "sign-infection":
    "fever, flu, influenza, covid, corona, chickenpox, impetigo, norovirus, tuberculosis, measles, mumps, scabies, vomiting, diarrhoea, diarrhea, stomach bug, contagious, infectious, strep throat, pneumonia, glandular fever, high temperature, temperature, mononucleosis, whooping cough, hand foot mouth, head lice, mrsa, meningitis, sepsis, blood poisoning, ill yesterday",
  "infection-known": "hiv, hepatitis, herpes, cold sore",
  "sign-bladder-bowel":
    "bladder control/lost/lately, control bladder, control bowel, control bladder, wet myself, wet bed, lost bladder, bowel control, numb between leg, saddle numb, numb saddle, numb groin, soil myself, incontinent suddenly, cannot pee, not pee, can't pee, leak urine new",
  "sign-weakness":
    "weaker week, getting weak *, gets weak *, leg weaker, arm weaker, foot drop, drop foot, leg gives way, legs give way, losing strength, lost strength, strength going, hand weak, cannot lift foot/arm, weakness grow/worse/spread, dropping things",
  "sign-fever-back": "fever back pain, back pain fever, back ache fever, shivering back",
  "sign-weight-night":
    "lost kilo try, lost weight try, lose weight try, weight lose mean, lost weight night, pain wake night weight, night sweats weight, losing weight, lost kilo, lost stone trying, lost weight reason",
  "sign-headache":
    "worst headache, sudden headache, terrible headache, thunderclap, headache never, severe headache, new headache, headache suddenly, headache unlike",
  "sign-neck-artery":
    "double vision, trouble swallow, trouble speak, slur speech, speech slurred, keep dropping floor, drop attack, numb face, face numb, unsteady neck, see double, cannot swallow, dizzy neck pain, dizzy neck hurt, words come out wrong, face drooped, walk drunk, can't find words, vision blurred neck",
  "sign-hot-calf":
    "calf hot, calf swollen, hot calf, swollen calf, calf swell, calf red, calf sore flight, leg hot swollen, swollen leg, leg swollen, calf painful swollen",
  "sign-chest-pain":
    "chest pain, pain chest, tight chest, tightness chest, pressure chest, breath rest, short breath rest, breathless rest, elephant chest, chest hurts, heavy chest, squeezing chest, pain left arm chest, breathless sitting",
  "sign-belly-pulse":
    "throbbing lump belly, pulse belly, pulsing belly, pulsating, throb belly, beating belly, throbbing belly",
  "sign-major-trauma":
    "fell ladder, fall ladder, bad fall, fell stairs, fall stairs, fall roof, fell roof, cannot put weight, not put weight, hit by car, run over, fall height, thrown horse, bad crash, fell heavily, might be broken fall, can't bear weight",
  fall: "fell, fall off/down/over, tumble, tripped, thrown off",
  pain: "hurt, hurts, pain *, ache, aches, stiff, stiffness, sore *, frozen shoulder, tennis elbow, golfer elbow, plantar, fasciitis, heel spur, carpal tunnel, impingement, tendinitis, tendonitis, tendinopathy, bursitis, pulled *, strain *, strained, cramp, tension, tight *, lumbago, spasm, knots, rotator cuff, shin splints, runner knee, trigger finger, tight neck/shoulder/back, hip pain, repetitive strain, rsi, backache, locked back, back went, crick, burning shoulder, twinge, niggle, tender *, thoracic outlet, pain",
  sprain:
    "sprain, sprained, torn ligament/muscle/meniscus/tendon/hamstring/calf, meniscus, ruptured achilles/ligament/tendon, rupture achilles, twisted ankle/knee, cruciate, acl, torn *, ligament, rolled ankle, hyperextended, whiplashed ankle",
  tried:
    "physio, physiotherapy, physiotherapist, chiropractor, osteopath, acupuncture, yoga, pilates, massage, personal trainer, insoles, orthotics, exercises, stretching help, craniosacral, feldenkrais, shockwave, dry needling, taping, hot water bottle",
};
