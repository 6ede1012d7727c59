/**
 * The joints, head to foot. A row: key | name | places it joins | what it does | other words.
 * Motions come in opposite pairs (`opposite` in joints.ts). Names and motions as in the handbooks of anatomy (Gray's
 * Anatomy; Platzer, Color Atlas), from memory. "mid": on the mid-line.
 */
export const jointRows = `
vault mid | Seams of the skull | crown forehead back-of-head | give | sutures, cranial bones
jaw | Jaw joint | jaw ear | opening closing protraction retraction side-shift | temporomandibular joint, tmj
skull-atlas mid | Skull on atlas | skull-base back-of-head | flexion extension side-bend | atlanto-occipital joint, nodding joint
atlas-axis mid | Atlas on axis | skull-base neck-back | rotation | atlanto-axial joint
neck-joints mid | Neck joints | neck-back neck-side | flexion extension side-bend rotation | cervical segments, cervical facets
neck-root mid | Root of the neck | neck-back t-upper | flexion extension side-bend rotation | cervicothoracic junction, c7 t1
thoracic-segments mid | Thoracic segments | t-upper t-mid t-low | flexion extension side-bend rotation | thoracic facets, thoracic vertebrae
rib-joints | Rib joints | side-ribs t-upper t-mid t-low | elevation depression | costovertebral joints, rib heads
breastbone-joints | Breastbone joints | breastbone upper-chest breast | elevation depression | sternocostal joints, rib cartilage
collarbone-inner | Inner collarbone joint | collarbone breastbone | elevation depression protraction retraction | sternoclavicular joint
collarbone-outer | Outer collarbone joint | collarbone shoulder-point | elevation depression protraction retraction | acromioclavicular joint
blade-on-ribs | Blade on the ribs | blade blade-edge armpit | elevation depression protraction retraction upward-turn downward-turn | scapulothoracic gliding plane
shoulder-joint | Shoulder joint | shoulder-point armpit | flexion extension abduction adduction inward-turn outward-turn | glenohumeral joint
elbow-joint | Elbow joint | elbow inner-elbow | flexion extension | humero-ulnar joint
forearm-turn | Forearm turning joints | forearm-front forearm-back | pronation supination | radio-ulnar joints
wrist-joint | Wrist joint | wrist | flexion extension abduction adduction | radiocarpal joint
thumb-base | Base of the thumb | thumb wrist | flexion extension abduction adduction opposition | carpometacarpal joint of the thumb, saddle joint
knuckles | Knuckles | hand palm | flexion extension abduction adduction | metacarpophalangeal joints
finger-joints | Finger joints | fingers | flexion extension | interphalangeal joints of the hand
lumbar-segments mid | Lumbar segments | l-upper l-low | flexion extension side-bend rotation | lumbar facets, lumbar vertebrae
lumbosacral mid | Lumbosacral joint | l-low sacrum | flexion extension side-bend | l5 s1
sacroiliac | Sacroiliac joint | sacrum buttock | nutation counternutation | si joint
pubic-joint mid | Pubic joint | pubis | give | pubic symphysis
tail-joint mid | Tailbone joint | tailbone | flexion extension | sacrococcygeal joint
hip-joint | Hip joint | hip-side groin buttock | flexion extension abduction adduction inward-turn outward-turn | coxofemoral joint
knee-joint | Knee | knee knee-back | flexion extension inward-turn outward-turn | tibiofemoral joint
kneecap-joint | Kneecap joint | knee | glide | patellofemoral joint
fibula-upper | Upper fibula joint | outer-leg | glide | proximal tibiofibular joint
fibula-lower | Lower fibula joint | outer-leg ankle | glide | syndesmosis, distal tibiofibular joint
ankle-joint | Ankle joint | ankle | dorsiflexion plantarflexion | talocrural joint
subtalar | Subtalar joint | ankle heel | inversion eversion | talocalcaneal joint, lower ankle joint
midfoot | Midfoot joints | instep sole | inversion eversion give | transverse tarsal joint, chopart joint
forefoot | Forefoot joints | instep | give | tarsometatarsal joints, lisfranc joint
big-toe-joint | Big-toe joint | big-toe sole | flexion extension abduction adduction | first metatarsophalangeal joint
toe-joints | Toe joints | toes | flexion extension abduction adduction | lesser metatarsophalangeal joints
`;
