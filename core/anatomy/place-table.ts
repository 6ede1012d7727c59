/**
 * The places of the body, as a hand or a sentence names them: finer than the plan's regions, coarser than structures.
 *
 * A row: key | name | other words | meets.
 * - "mid" after the key: it lies on the mid-line and has no sides
 * - other words: everyday and anatomical; plurals are understood
 * - meets: the places it touches (each pair is named once)
 * A line "# region" begins the places of a region. Names are those of surface anatomy, from memory of the handbooks;
 * where one place ends and the next begins is common practice.
 */
export const placeRows = `
# head
crown mid | Crown | top of the head, scalp, skull, parietal bone, vault | forehead temple back-of-head
forehead mid | Forehead | brow, frontal bone | temple face
temple | Temple | temporal bone, side of the head | face ear
face | Face | cheek, eye, eye socket, cheekbone, nose, sinus, zygomatic bone | jaw
jaw | Jaw | chin, tooth, teeth, jaw joint, gum, mandible, temporomandibular joint, tmj, wisdom tooth | ear throat neck-side
ear | Ear | behind the ear, mastoid, ear canal | back-of-head skull-base
back-of-head mid | Back of the head | occiput, occipital bone | skull-base
# neck
skull-base | Skull base | base of the skull, suboccipital, atlas, axis, c1, c2 | neck-back neck-side
neck-back | Back of the neck | nape, cervical spine, c3, c4, c5, c6 | neck-side shoulder-top t-upper
neck-side | Side of the neck | scalene groove, neck gland | throat shoulder-top collarbone
throat mid | Throat | front of the neck, larynx, adam's apple, thyroid, windpipe, hyoid | collarbone breastbone
# shoulder
shoulder-top | Top of the shoulder | yoke of the shoulder, shoulder yoke | shoulder-point blade collarbone t-upper
collarbone | Collarbone | collar bone, clavicle | shoulder-point upper-chest breastbone
shoulder-point | Point of the shoulder | shoulder joint, acromion, rotator cuff, shoulder cap, deltoid, ac joint | armpit upper-arm-front upper-arm-back blade upper-chest
armpit | Armpit | axilla, arm pit | upper-chest side-ribs upper-arm-front upper-arm-back blade
blade | Shoulder blade | scapula, blade, back of the shoulder | blade-edge side-ribs upper-arm-back
blade-edge | Inner edge of the blade | medial border, inside of the shoulder blade | t-upper t-mid
# arm
upper-arm-front | Front of the upper arm | biceps | upper-arm-back inner-elbow
upper-arm-back | Back of the upper arm | triceps | elbow
elbow | Elbow | olecranon, outer elbow, funny bone, tennis elbow, golfer's elbow | inner-elbow forearm-back forearm-front
inner-elbow | Crook of the elbow | inner elbow, elbow crease, cubital fossa | forearm-front
forearm-front | Inner forearm | front of the forearm, forearm flexors | forearm-back wrist
forearm-back | Outer forearm | back of the forearm, forearm extensors, radius, ulna | wrist
wrist | Wrist | carpus, carpal tunnel, carpal bone, scaphoid | hand palm thumb
hand | Back of the hand | knuckle, metacarpal | palm fingers thumb
palm | Palm | hollow of the hand | fingers thumb
thumb | Thumb | thumb joint, ball of the thumb |
fingers | Fingers | finger, index finger, middle finger, ring finger, little finger, fingertip |
# chest
upper-chest | Upper chest | upper ribs, below the collarbone, first rib | breastbone breast side-ribs
breast | Breast and ribs below | nipple, bust | breastbone side-ribs rib-edge
breastbone mid | Breastbone | sternum, xiphoid, middle of the chest | rib-edge upper-belly
side-ribs | Side ribs | side of the chest, flank of the chest, side of the ribs | rib-edge t-mid t-low waist
rib-edge | Rib edge | lower ribs, diaphragm, costal margin, lower edge of the ribs | upper-belly waist
# upper-back
t-upper | Upper thoracic | between neck and shoulder blades, t1, t2, t3, t4, c7, upper thoracic spine | t-mid
t-mid | Middle thoracic | mid back, middle back, t5, t6, t7, t8, middle of the back, middle thoracic spine | t-low
t-low | Lower thoracic | lower thoracic spine, t9, t10, t11, t12, bra line | l-upper flank
# low-back
l-upper | Upper lumbar | l1, l2, l3, small of the back, upper lumbar spine | l-low flank
l-low | Lower lumbar | l4, l5, lumbosacral, belt line, lower lumbar spine | sacrum buttock flank
flank | Flank | kidney, loin, back of the waist | waist buttock
# belly
upper-belly mid | Upper belly | epigastrium, liver, gallbladder, solar plexus | mid-belly waist
mid-belly mid | Middle of the belly | navel, belly button, bowel | lower-belly waist
lower-belly | Lower belly | appendix, bladder, womb, uterus, ovary, caesarean | waist groin hip-front pubis
waist | Side of the waist | waist, side waist, oblique | hip-front hip-side
groin | Groin | hernia, inguinal fold, crease of the hip, hip crease | hip-front pubis thigh-front thigh-inner
# pelvis
sacrum mid | Sacrum | sacroiliac joint, si joint, s1 | tailbone buttock
tailbone mid | Tailbone | coccyx | sit-bone buttock
buttock | Buttock | bum, gluteal, seat, glute | hip-side sit-bone thigh-back
hip-side | Side of the hip | hip, hip joint, trochanter, hip bone, outer hip | hip-front thigh-outer
hip-front | Front hip bone | asis, iliac crest, front of the hip, point of the hip | thigh-front thigh-outer
sit-bone | Sit bone | ischium, sitting bone, sit bones | thigh-back thigh-inner
pubis mid | Pubic bone | perineum, pelvic floor, symphysis, pubis | thigh-inner
# thigh
thigh-front | Front of the thigh | quadriceps, front thigh, quad | thigh-inner thigh-outer knee
thigh-inner | Inner thigh | inside of the thigh, adductor, saddle muscle | thigh-back knee
thigh-outer | Outer thigh | outside of the thigh, outer band, iliotibial band, it band | thigh-back knee
thigh-back | Back of the thigh | hamstring, back thigh, hamstrings | knee-back
# leg
knee | Knee | kneecap, patella, meniscus, cruciate ligament, acl, pcl | knee-back shin outer-leg calf
knee-back | Back of the knee | hollow of the knee, popliteal fossa, baker's cyst | calf
shin | Shin | tibia, shinbone, shin splints, front of the lower leg | outer-leg calf ankle
outer-leg | Outer lower leg | fibula, peroneal, outside of the lower leg | calf ankle
calf | Calf | calves, gastrocnemius, soleus, calf muscle | heel-cord
heel-cord | Heel cord | achilles, achilles tendon | ankle heel
ankle | Ankle | malleolus, ankle bone, ankle joint, talus | heel instep sole
heel | Heel | heel bone, calcaneus, heel spur | sole
instep | Top of the foot | instep, metatarsal of the foot, midfoot, back of the foot | sole toes big-toe
sole | Sole | arch, plantar fascia, ball of the foot, foot arch | toes big-toe
big-toe | Big toe | bunion, great toe, hallux | toes
toes | Toes | toe, little toe, hammer toe |
`;

/** Words for several places at once, or for a region as a whole. Longer words count before shorter ones. */
export const groupRows = `
head | head, cranium
neck | neck, whiplash, neck joint
shoulder | shoulder
arm | arm
chest | chest, heart, lung, rib, ribs, thorax, rib cage
upper-back | upper back, back, thoracic spine, spine
low-back | low back, lower back, lumbar, lumbar spine, disc
belly | belly, abdomen, stomach, tummy, hip flexor, psoas
pelvis | pelvis
thigh | thigh, femur
leg | leg
upper-arm-front upper-arm-back | upper arm, humerus
forearm-front forearm-back | forearm, lower arm
hand palm thumb fingers | hand
shin outer-leg calf | lower leg
heel instep sole big-toe toes | foot, feet
t-mid blade-edge | between the shoulder blades, between the blades
`;
