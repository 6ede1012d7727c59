import type { LayerKey } from "../anatomy/layers";
import { reachOf, readReach, techniqueFrom } from "./definition";
import { forceByKey } from "./forces";
import { holds } from "./holds";
import { jointsByKey, tagsByKey } from "./safety-tags";
import type { Load, Medium, Phase, Position, Technique } from "./technique";

/**
 * The starting catalogue of techniques. All of it is common practice; times and pressures are defaults. Keys are
 * stable: plans and session logs refer to them.
 *
 * A row: key | name | what is done | layer, positions, medium, phase, ideal(least) minutes, pressure, load | reach | more.
 * - layer: SF DF SM DM AR, or LT for light touch; positions: P prone, S supine, L side-lying, T seated, A any
 * - medium: D dry, W wax, O oil, A any; load 1–3: t thumb, f fingers, w wrist, s shoulder, b back
 * - reach: structure or group[@place,place][*share]: in all of its places and with a share of 1 unless named; the first
 *   place is the one the plan counts
 * - more: "whole" (not two-sided), "consent" (sensitive area), "stop: …" (when to stop)
 */
const rows = `
# opening and closing
settle-touch | Settling touch | Two still palms. Match the breath before anything moves. | SF A D open 2(1) 2 | skin-of-the-low-back@l-upper,l-low*.2 | whole
side-breath | Breath at the side ribs | One palm over the side ribs, one over the belly's flank; follow until the breath reaches both. | SF LT D open 3(2) 1 | skin-of-the-side-ribs@side-ribs*.3 skin-of-the-belly@waist*.2 | whole
leg-rock | Leg rock | Lift both ankles a little, lengthen, sway side to side, then press the feet headward and look at the hips again. | AR P D open 2(1) 2 b1 | hip-joint*.3 sacroiliac*.2 ankle-joint*.2 | whole
broad-compress | Broad compressions | Rhythmic palm presses through cloth, from the shoulders to the calves. | DF PS D warm 3(2) 4 w1 | upper-back-fascia*.4 thoracolumbar-fascia*.5 gluteal-fascia*.5 thigh-fascia@thigh-back*.4 crural-fascia@calf,outer-leg*.4 | whole
broad-compress-front | Broad compressions, front | Rhythmic palm presses through cloth on chest, hip fronts, thighs and arms. | DF S D warm 3(2) 4 w1 | pectoral-fascia@upper-chest*.4 abdominal-fascia@waist*.4 thigh-fascia@thigh-front*.4 arm-fascia*.4 shoulder-fascia@shoulder-point*.4 forearm-fascia@forearm-front,forearm-back*.4 | whole
long-glide | Long glides | Slow gliding strokes to the skull base; stop there and hold. Feel the whole spine on the way. | SF P O close 4(2) 3 s1 | skin-of-the-upper-back*.5 skin-of-the-low-back*.4 skin-of-the-nape*.3 | whole
node-sweep | Node sweep | Feather strokes to the armpits and groins. | SF S O close 2(1) 1 | skin-of-the-chest@upper-chest*.4 skin-of-the-armpit@armpit*.4 skin-of-the-upper-arm*.3 skin-of-the-belly@groin*.2 | whole
head-cradle | Head cradle | The head rests in both hands; the scalp moves slowly. | LT S A close 4(2) 1 f1 | scalp*.6 skin-of-the-nape@skull-base,neck-back*.4 | whole
straighten-reset | Neck lift and draw | Fingertips past the neck's root on both sides, lift and draw headward. | SF S O close 1(1) 3 f1 | skin-of-the-nape*.6 | whole
sacral-hand | Hand under the sacrum | One hand under the sacrum, one over the navel. Wait until the two breathe together. | LT S A close 3(2) 1 | skin-over-the-sacrum@sacrum*.5 skin-of-the-low-back@l-low*.3 skin-of-the-belly@mid-belly*.2 | whole
resting-hold | Resting hold | One still hand on the shoulder blade, one on the sacrum, until the breath is even. | LT LT A close 3(2) 1 | skin-of-the-upper-back@t-mid*.4 skin-of-the-low-back@l-low*.4 | whole
seated-cradle | Brow and skull-base cradle | Forehead in one palm, skull base in the other; let the neck rest. | LT LT A close 3(2) 1 f1 | skin-of-the-nape@skull-base*.5 scalp@forehead,back-of-head*.4 | whole
rise-slowly | Rise slowly | To the side, sit, breathe, stand, feel both feet. | SF A D close 2(2) 0 | - | whole
# back, dry
curl-lift-back | Curl and lift | Gather a large fold between fingers and thumbs, curl it into an arc, push slowly. Small folds pinch. | SF P D warm 4(2) 4 t2 f2 | skin-of-the-upper-back*.6 skin-of-the-low-back*.6 skin-over-the-sacrum@sacrum*.3
skin-roll-back | Skin roll | Let a fold travel slowly. Where it stops is a restriction. | SF P D warm 4(2) 5 t2 f2 | skin-of-the-upper-back*.5 skin-of-the-low-back*.5 skin-over-the-blade@blade,blade-edge*.3 skin-over-the-sacrum@sacrum*.3
grip-lean-trap | Trapezius grip and lean | Palm and fingers hold the upper trapezius; lean towards the floor, no thumb. | DF P D warm 2(1) 5 f2 | nuchal-fascia@neck-back,shoulder-top*.6 shoulder-fascia@shoulder-top*.5
push-pull-trap | Push and pull | One hand draws the shoulder up, the other pushes away. | DF P D warm 2(1) 4 s1 | nuchal-fascia@neck-back,shoulder-top*.3 shoulder-fascia@shoulder-top,shoulder-point*.6
hip-lift-press | Hip lift and press | Raise the front of the pelvis from below; the heel of the other hand follows the erectors down, then half-way up. | SM P D work 3(2) 5 w1 b1 | lumbar-erectors gluteus-maximus*.3
arm-off-lat | Latissimus pin, arm off the edge | Arm over the table's edge; the palm pins the side of the back while the arm travels headward. | SM P D work 2(1) 5 w1 | latissimus@flank,t-low,l-upper*.5 teres-major@blade*.6
lumbar-spread | Low-back spread | One hand holds the hip down, the other spreads the low back headward. | DF P D work 3(2) 4 w1 | thoracolumbar-fascia@l-low,l-upper,flank gluteal-fascia@buttock*.3
cross-spread | Crossed-palm spread | Crossed palms beside the spine; lean so that they part; wait until it gives. Three trips, never on the spine. | DF P D warm 5(3) 5 w2 | upper-back-fascia thoracolumbar-fascia*.7
diagonal-spread | Diagonal spread | Hip to opposite shoulder, then the other way. | DF P D warm 2(1) 4 w1 | thoracolumbar-fascia*.6 upper-back-fascia*.4 gluteal-fascia@buttock*.3
sacrum-slide | Sacrum slide | One hand on the sacrum, one on the low back; part them along the spine without pressing on it. | DF P D work 2(1) 4 w1 | thoracolumbar-fascia@l-low,l-upper*.6 sacral-fascia@sacrum*.7 | whole
spine-rock | Spine rock | Push from the near side with fingertips, up and down. Note stuck segments. | AR P D warm 3(2) 3 f1 | thoracic-segments*.5 lumbar-segments*.5
sink-wait | Sink and wait | The forearm sinks at the low back to the sticky layer and waits for movement. | DF P D work 5(3) 4 s1 | thoracolumbar-fascia@l-low,l-upper,flank side-waist-seam@flank*.6
sweep-out | Sweep out | Forearms spread outward from the low back. | DF P W work 3(2) 5 s1 | thoracolumbar-fascia@l-low,l-upper,flank*.7 gluteal-fascia@buttock*.4
crest-follow | Crest follow | Forearm along the iliac crest and into the side of the waist. | SM P W work 4(2) 5 s1 | gluteus-medius@hip-side,buttock*.7 gluteus-maximus*.5 lumbar-erectors@l-low*.6 latissimus@flank*.4
sacral-ease | Sacral ease | Fingers draw the sacral tissue footward, hold, slow release, three times. | DF P D work 2(1) 4 f1 | sacral-fascia@sacrum gluteal-fascia@buttock*.4 | whole
# back, with oil, and specific
groove-strip | Groove strip | Braced fingers in the groove beside the spine, off the bone; pause at ropes. Three trips. | DM P O work 5(3) 5 t3 | thoracic-groove*.7 multifidus-groove@l-low,l-upper*.7
spine-pincer | Pincer walk | Thumb and bent finger either side of the spine, slowly down and up to the skull. | SM P O warm 3(2) 4 t2 | thoracic-erectors*.6 lumbar-erectors*.4 upper-trapezius@neck-back,skull-base*.4 | whole
forearm-glide | Forearm glide | Fleshy forearm down the erectors. | SM P O work 4(2) 6 s1 b1 | thoracic-erectors*.8 lumbar-erectors*.6
lat-squeeze | Side-body glide | Thighs against the table; both hands glide down the far side of the back, from armpit to hip, with a soft squeeze. | SM P O work 2(1) 5 f1 b1 | latissimus@flank,t-low*.8 teres-major@blade*.4
high-side-in | High side in | Hook the tissue of the higher side at a slant and carry it to the midline, level by level; draw the low side away. Look again from the head. | DM P A balance 5(3) 5 f2 | thoracic-groove*.7 multifidus-groove@l-low,l-upper*.7 quadratus-lumborum@flank*.3 | whole
open-close-twist | Open and close | One hand closes one side, the other opens. Slow, no thrust. | AR P D balance 2(1) 4 w1 | lumbar-segments*.7 thoracic-segments@t-low*.4
crest-inch | Crest, inch by inch | Along the edge of the iliac crest, inch by inch. | SM P O work 3(2) 5 t2 | gluteus-medius@hip-side,buttock gluteus-maximus*.7 lumbar-erectors@l-low*.4
lateral-iron | Outward iron | Hook past the spine, slow outward strokes across trapezius, rhomboids and cuff. | DF P O warm 4(2) 5 w1 | upper-back-fascia*.7 infraspinous-fascia*.7 shoulder-fascia@blade*.5
cord-hold | Band hold | Creep on to the band's crest, stop before falling off, flat pressure about half a minute. | SM PT A work 2(1) 5 t1 f1 | thoracic-erectors*.7 upper-trapezius@neck-back,shoulder-top*.4
fist-trap | Soft fists on trapezius | Alternate soft fists on the upper trapezius from the head end. | SM P O warm 2(1) 5 w1 | upper-trapezius@neck-back,shoulder-top,neck-side*.5 middle-trapezius@blade,shoulder-top*.5
shrug-release | Shrug into the hand | Creep on to the band's crest; the client shrugs gently into the hand, then lets go. | SM TP A work 2(1) 5 f1 | upper-trapezius@neck-back,shoulder-top*.8
hip-sway | Hip sway | Alternate pushes to the tops of the hips, until the low back swings by itself. | AR P A warm 1(1) 3 | lumbar-segments*.4 sacroiliac*.3 | whole
sacral-ligament-hold | Sacral ligament hold | Braced fingers on the ligament between sacrum and sit bone: flat pressure, wait, follow headward. | DM P A work 3(2) 5 f1 | sacrotuberous-ligament@buttock*.8 back-sacroiliac-ligaments@sacrum*.7
tilt-glide | Tilt and glide | Braced fingers in the sacral groove; the client tips the pelvis on an out-breath and the tissue rolls under still fingers. Stop at the last rib. | DM P W work 4(2) 5 f2 | multifidus-groove piriformis*.4
bend-glide | Hitch and glide | The client hitches and lowers one hip; glide across the lumbar erectors as it lowers. | SM P W work 3(2) 5 f2 | lumbar-erectors latissimus@flank*.4
roll-glide | Knee-roll glide | Bent knees roll towards you; glide on the out-breath, then passively. | SM P W work 3(2) 5 f1 | lumbar-erectors*.8 gluteus-maximus*.4
roll-push-relax | Knee roll, press and relax | Bent knees rolled aside; the client presses back for ten seconds at a tenth of strength and lets go; roll on and glide. | SM P W work 2(1) 5 s1 | lumbar-erectors*.7 gluteus-medius@hip-side,buttock*.4
low-rib-sink | Low-rib sink | A soft fist just below the last ribs sinks on out-breaths and draws outward. Off the ribs. | DM PL A work 3(2) 4 s1 | serratus-posterior-inferior@flank*.8 quadratus-lumborum@flank*.4
deep-groove-reach | Groove with reach | In the narrow groove while the client reaches across: headward-outward, then footward-outward. | DM PT A work 4(2) 5 t3 | thoracic-groove lifters-of-the-ribs*.5
# on the side or seated: for those who cannot lie flat
side-back-spread | Back spread, spine outward | The palm spreads slowly from the spine outward, level by level. | DF LT D warm 4(2) 4 w1 | upper-back-fascia*.8 thoracolumbar-fascia*.8
side-back-skin | Back skin roll, waist to blade | Let a fold travel along one side of the back, from the waist to the blade. | SF LT D warm 3(2) 4 t1 | skin-of-the-low-back*.7 skin-of-the-upper-back*.6
side-back-glide | Erector glide, blade to crest | Soft fist along one side's erectors, from the blade to the crest. | SM LT A work 4(2) 5 s1 | thoracic-erectors*.8 lumbar-erectors*.8
loin-sink | Loin sink | Upper arm overhead, leg long: a soft fist or flat forearm between last rib and crest sinks towards the spine on the out-breath. Off the ribs, slow. | DM L A work 4(2) 5 s1 | quadratus-lumborum@flank,l-upper,l-low iliolumbar-ligament@flank*.4 | stop: the breath catches, or it pulls in the groin
side-hip-melt | Hip melt on the side | Heel of the hand behind the hip bone, long compression until warm, knee on a cushion. | SM L D work 4(2) 5 w1 | gluteus-medius gluteus-maximus*.8 vastus-lateralis@thigh-outer*.4
side-hip-skin | Hip and thigh skin, on the side | Lift and roll the skin over hip and outer thigh. | SF L D warm 3(2) 4 f1 | skin-of-the-hip@hip-side,buttock*.7 skin-of-the-back-thigh@thigh-outer*.6
side-thigh-part | Outer-thigh part | Crossed palms part the outer thigh; light towards the knee. | DF L D warm 3(2) 4 w1 | iliotibial-band@thigh-outer outer-thigh-septum*.6 gluteal-fascia@hip-side*.4
side-leg-wring | Calf wring on the side | Opposite hands wring the calf, stepping down to the ankle. | DF L D warm 3(2) 4 w1 | crural-fascia
seated-shoulder-melt | Shoulder melt, seated | Forearms rest on both shoulders and wait; the client breathes into them. | DF T D warm 3(2) 4 s1 | nuchal-fascia@neck-back,shoulder-top*.6 shoulder-fascia@shoulder-top*.7 | whole
seated-neck-fold | Neck skin fold, head supported | Lift and roll the back of the neck, the head supported. | SF LT D warm 2(1) 4 f1 | skin-of-the-nape | whole
side-rib-part | Side-rib part | Flat palms part the tissue over the upper side's ribs, forward and back, on the out-breath. Never inward. | DF L D work 3(2) 3 w1 | side-rib-fascia@side-ribs*.8 upper-back-fascia@t-mid,t-low*.4
seated-chest-part | Chest part, seated | From behind, flat hands part the front from breastbone to shoulders while the client breathes in. | DF T D work 3(2) 3 s1 | pectoral-fascia@upper-chest,breastbone*.8 shoulder-fascia@shoulder-point*.4 | whole; consent
seated-collar-fold | Collar-bone skin fold, seated | From behind, lift and roll the skin below the collar bones, away from breast tissue. | SF T D warm 2(1) 4 f1 | skin-of-the-chest@upper-chest,collarbone*.8 skin-over-the-blade@shoulder-point*.3 | whole
seated-back-glide | Back glide, seated | The client leans forward over a cushion; flat forearm from the shoulders to the crest, one side at a time. | SM T A work 3(2) 5 s1 | thoracic-erectors*.8 lumbar-erectors*.7
seated-low-back-spread | Low-back spread, seated | The client leans forward; palms part the low back from the spine outward and wait. | DF T D warm 3(2) 4 w1 | thoracolumbar-fascia*.8
# shoulder, chest
trap-border | Trapezius border | Find and work the lower outer edge: a normal edge, not a knot. | SM P O work 2(1) 5 f1 | middle-trapezius*.7 lower-trapezius@blade-edge,t-mid*.7 thoracic-erectors@t-mid*.4
trap-point | Blade-border point | A tender point beside the blade is pinned to the ribs for two or three breaths, then let go. | SM P A work 2(1) 5 t2 | lower-trapezius@blade-edge*.8 middle-trapezius@blade-edge*.6
angle-glide | Upper inner angle | Thumbs take turns over the upper inner corner of the blade, slowly, with the fibres. | DM P O work 2(1) 5 t2 | levator-scapulae@shoulder-top*.8
pin-turn | Pin and turn | Pin the stuck spot with an angled forearm, turn it, wait for a breath; the other hand draws tissue away. | DM P O work 4(2) 6 s1 | rhomboids@blade-edge infraspinatus@blade*.5 thoracic-groove@t-mid*.4
hand-behind-back | Blade border, hand behind | The arm behind the back opens the border: cross strokes, then a pin. It is stretched already: gently. | DM P O work 3(2) 5 f1 | rhomboids@blade-edge subscapularis@blade*.4
reach-across | Reach across | The client draws the arm across while you go from spine to blade. | DM TP A work 3(2) 5 s1 | rhomboids@blade-edge*.7 thoracic-groove@t-mid,t-upper*.6
scap-hook | Float the blade | Hook in front of the upper inner angle, lift the lower angle; float the blade off the ribs. | DM P A work 4(2) 5 f2 | subscapularis@blade serratus-posterior-superior@blade-edge*.5 rhomboids@blade-edge*.6 levator-scapulae@shoulder-top*.4
scap-rounds | Blade rounds | Forward, back, up, down: many slow rounds. | AR LP D balance 3(2) 3 s1 | blade-on-ribs
serratus-roll | Side-rib roll | Skin rolling and arc lift along the side ribs. | SF L D warm 3(2) 4 t1 | skin-of-the-side-ribs@side-ribs*.6 skin-of-the-armpit@armpit*.6 skin-of-the-upper-back@t-mid*.2
serratus-wring | Side-rib wring | Opposite hands wring the side ribs. | SM L O work 2(1) 4 s1 | serratus-anterior@side-ribs*.5 teres-major@blade*.6
serratus-point | Point below the armpit | The tender point among the side ribs is held or circled within an inch, up to a minute and a half; then again after the arm has moved. | SM LSP A work 4(2) 5 t2 | serratus-anterior@side-ribs
rib-rake | Rib-space rake | Braced fingers between the ribs, drawn outward on the out-breath, space by space. | DM LP O work 3(2) 4 f2 | outer-rib-spaces@side-ribs*.8
subscap-reach | Front of the blade | Fingers under the front of the blade, slowly, with the breath. | DM LS A work 3(2) 4 f2 | subscapularis | consent
cuff-hang | Cuff, arm hanging | Arm hanging: infraspinatus and teres. | SM P O work 3(2) 5 t1 | infraspinatus teres-minor@blade deltoid-back@shoulder-point,upper-arm-back*.5 triceps-long-head@upper-arm-back*.3
rib-breath | Rib breath | The palm on the rib side presses inward on three out-breaths, holds, and lets go on the fourth in-breath. Never past a barrier. | AR S D work 5(3) 4 w2 | rib-joints@side-ribs breastbone-joints@upper-chest,breastbone | stop: the breath catches or a rib feels sharp
rib-space-glide | Rib spaces | Pads angled to the rib edges, from the breastbone outward. | DM S O work 3(2) 4 t2 | outer-rib-spaces@upper-chest,breast,side-ribs inner-rib-spaces@breastbone,upper-chest | consent
chest-back-slide | Chest slide | From the shoulder tip take up slack; heel of the hand up and out. The next stroke starts nearer the breastbone. | DF S D work 3(2) 4 w1 | pectoral-fascia@upper-chest,breast clavipectoral-fascia@upper-chest*.7 shoulder-fascia@shoulder-point*.4 | consent
chest-skin-roll | Chest skin lift | Lift and roll the skin below the collarbones, away from breast tissue. | SF S D warm 2(1) 4 f1 | skin-of-the-chest@upper-chest,collarbone*.8 skin-over-the-blade@shoulder-point*.3
pec-major-sink | Pectoral sink | Soft fist sinks into the pectoral near the shoulder and waits while the arm turns out. | SM S D work 3(2) 5 w1 | pectoralis-major@upper-chest deltoid-front@shoulder-point*.4 | consent
pec-minor-open | Pectoralis minor opening | Arm slack across, forearm leans in, the arm rolls outward. | DM S D work 3(2) 5 s1 | pectoralis-minor@upper-chest subclavius@collarbone*.4 supraspinatus@shoulder-point*.5 | consent
coraco-lower | Inner arm pin | The palm pins the inner upper arm while the arm is lowered. | SM S D work 2(1) 4 | coracobrachialis@upper-arm-front biceps-short-head@upper-arm-front teres-minor@armpit*.3
chest-pin-rise | Chest pin, arm rising | The palm pins the chest below the collar bone while the arm rises and the client turns the palm. | DF S D work 2(1) 4 w1 | pectoral-fascia@upper-chest*.8 axillary-fascia@armpit*.4 | consent
chest-fold | Armpit fold hold | The whole front fold of the armpit between fingers and thumb, arm overhead; hold and wait. | DF S D work 2(1) 4 t2 | axillary-fascia@armpit*.7 clavipectoral-fascia@armpit,upper-chest*.6 | consent
front-line-hold | Collar-bone line | Spread the tissue below the collar bone while the arm turns out; then arm overhead, towards the breastbone. | DF S O work 3(2) 4 | clavipectoral-fascia@collarbone,upper-chest*.8 pectoral-fascia@upper-chest,breastbone*.5 | consent
edge-lever | Weight over the fingers | Fingertips under the upper back, level by level: the client's own weight opens the chest over them. | AR S D work 2(1) 3 f2 | thoracic-segments@t-upper,t-mid*.5 rib-joints@t-mid*.4 | whole
breastbone-spread | Breastbone part | Flat pads part the tissue along the breastbone, from the middle outward. | DF S D warm 2(1) 3 f1 | breastbone-fascia@breastbone | whole; consent
delt-across | Arm across | Arm over the chest, back of the shoulder pressed to the table. | SM S D warm 2(1) 4 | deltoid-back@shoulder-point*.8 deltoid-middle*.8 infraspinatus*.5
arm-skin-roll | Arm skin roll | Roll the skin from shoulder to wrist. | SF S D warm 2(1) 4 f1 | skin-of-the-upper-arm*.8 skin-of-the-forearm*.8
arm-spread | Arm spread | Palms spread around the arm, stepping down to the wrist. | DF S D warm 3(2) 4 w1 | arm-fascia forearm-fascia
wrist-pin | Wrist pin | Pin one face, the client moves the wrist; then the other face. | SM S D work 3(2) 4 t1 | wrist-flexors@forearm-front wrist-extensors@forearm-back
upper-arm-melt | Back-of-arm melt | Soft fist from elbow to shoulder along the back of the arm; wait where it is thick. | SM PL A work 3(2) 5 w1 | triceps-long-head@upper-arm-back triceps-outer-head@upper-arm-back
forearm-iron | Forearm iron | Soft fist from wrist to elbow, one face of the forearm, then the other. | SM S O work 3(2) 5 w1 | wrist-flexors@forearm-front wrist-extensors@forearm-back brachioradialis@forearm-front*.6
arm-line-stretch | Arm-line stretch | The whole arm taken long, thumb side up and then palm down; hold the fingers and wait. | DF S D balance 2(1) 4 | arm-fascia*.7 forearm-fascia*.7
hand-skin | Hand skin lift | Lift and shift the skin over the back of the hand and between the fingers. | SF S D warm 1(1) 3 f1 | skin-of-the-hand*.8
wrist-band-spread | Wrist-band spread | Pads spread the band across the wrist, palm side and back, while the hand opens and closes. | DF S A warm 2(1) 4 f1 | wrist-bands
palm-open | Palm opening | Spread the palm from its middle outward, then each web between the fingers. | DF S A warm 3(2) 4 t2 | palm-fascia
thumb-ball | Balls of the hand | Slow circles over the ball of the thumb and of the little finger. | SM S A warm 2(1) 4 t1 | ball-of-the-thumb ball-of-the-little-finger*.5
thumb-web | Thumb-web melt | The web of the thumb between two fingers: hold until it softens, then open the thumb. | DM S O work 2(1) 4 f1 | thumb-adductor@palm,thumb
hand-rounds | Wrist and hand rounds | Slow rounds at the wrist, then each finger long and round. | AR S A balance 2(1) 2 f1 | wrist-joint knuckles*.6 thumb-base*.5 finger-joints*.4
# neck
chest-to-skull | Chest to skull | Scoop from below the collarbones around the shoulders up the neck to the hairline. | SF S O warm 3(2) 3 f1 | skin-of-the-nape@neck-back,skull-base*.7 skin-of-the-throat@neck-side*.5 skin-of-the-chest@upper-chest*.2 skin-over-the-blade@shoulder-point*.3 | whole
soft-knead | Soft neck knead | Alternate kneading with flat fingers, no pinch. | SM S O warm 2(1) 4 f1 | upper-trapezius@neck-back,neck-side,skull-base sternocleidomastoid*.4 | whole
neck-sway | Neck sway | One hand pushes footward-outward, the other draws up and in, until the client stops holding the head. | AR S O warm 2(1) 2 | neck-joints*.6 | whole
knuckle-walk | Knuckle walk | Walk under the back to the shoulder blades, then drag slowly headward in the grooves. | SM S O work 3(2) 4 f2 w1 | thoracic-erectors@t-upper,t-mid*.6 upper-trapezius@neck-back,skull-base*.6 | whole
collar-turn | Collar turn | Palm below the collarbone outward, soft fist inward: the head turns by the fascia. | DF S O work 2(1) 3 w1 | investing-neck-fascia@neck-side,collarbone*.8 nuchal-fascia@neck-back*.6 pectoral-fascia@upper-chest*.3
trap-delt-part | Trapezius and deltoid apart | One hand draws the top of the shoulder headward, the other its point footward. | DF S O work 1(1) 4 | shoulder-fascia@shoulder-top,shoulder-point*.8
rope-draw | Rope draw | Hands alternate, drawing up the back of the neck as if along a rope. | SM S O warm 2(1) 3 f1 | upper-trapezius@neck-back,neck-side*.6 | whole
scalene-creep | Scalene creep | Thumb beside the collarbone; force to the table, not to the rib. | DM S O work 2(1) 3 t1 | scalenes | stop: tingling or pulse is felt
scalene-pin | Scalene pin | Pin beside the collarbone, well behind the big neck muscle; the head is carried slowly to the other side. | DM S O work 2(1) 3 t1 | middle-scalene@neck-side posterior-scalene@neck-side*.6 | stop: tingling or a pulse is felt
levator-strip | Levator strip | Down on the upper inner angle, then slowly up beside the spine to the skull. | DM S O work 3(2) 5 f1 | levator-scapulae splenius@neck-back*.7 supraspinatus@shoulder-top*.4
side-forearm-neck | Side-lying neck | Forearm into the back of the neck, thick lower part first, then upward. Never in front of the big neck muscle. | SM L D work 5(3) 5 s1 | upper-trapezius@neck-back,skull-base middle-trapezius@shoulder-top*.3
hand-cushion-skull | Skull-base lean | Your own hand under the elbow; lean into the skull base. | DM L D work 3(2) 5 | suboccipitals*.8 semispinalis-capitis@skull-base*.6 occipitalis@back-of-head*.3
neck-fold | Neck fold | Lift and roll the back of the neck, slowly; S-shaped shear. | SF P D warm 2(1) 4 t1 | skin-of-the-nape | whole
nod-release | Nod and turn | Seated: hold while the client turns and nods. | DM T A work 3(2) 4 t1 | splenius@neck-back suboccipitals*.7 levator-scapulae@neck-back,neck-side*.6
scalp-shift | Scalp shift | Shift the scalp on the skull, all directions, then hold at the stiff one. | DF S D warm 3(2) 3 f1 | galea temporal-fascia@temple*.6 nuchal-fascia@skull-base*.2 | whole
scalp-lift | Scalp and ear lift | Small lifts of skin around the ears and along the jaw. | SF S D warm 2(1) 2 f1 | scalp@temple,back-of-head*.8 skin-of-the-face@ear,jaw*.8 skin-of-the-nape@skull-base*.2 | whole
temporalis-wait | Temporal wait | Flat fingers on the temple wait for the jaw to drop. | SM S D work 3(2) 3 f1 | temporalis
brow-smooth | Brow and crown | Flat pads draw from the brows to the crown and from the skull base up, slowly, and wait. | SM S A work 2(1) 2 f1 | frontalis occipitalis*.5 | whole
cheek-spread | Cheek and jaw spread | Flat pads spread from the corner of the mouth to the ear and along the edge of the jaw, slowly. | DF S D warm 2(1) 3 f1 | masseteric-fascia investing-neck-fascia@jaw*.4
masseter-melt | Jaw muscle melt | Flat pads on the jaw muscle sink, the client lets the jaw hang, draw footward. | SM S D work 3(2) 3 f1 | masseter
# hip and leg
gluteal-skin | Hip skin lift | Lift and roll the skin over sacrum and hip. | SF P D warm 2(1) 4 t1 | skin-of-the-hip@buttock,hip-side*.8 skin-over-the-sacrum@sacrum*.8 skin-of-the-low-back@l-low*.2
glute-melt | Gluteal melt | Heel of the hand at the pelvic scoop, sacral edge and joint line; long compression until warm. | SM P D warm 5(3) 6 w1 | gluteus-maximus gluteus-medius@buttock*.6
tfl-lift | Hip-side lift | Lift and compress the front of the hip side. | SM PL D work 2(1) 5 w1 | tensor-fasciae-latae@hip-front,hip-side*.7 gluteus-medius@hip-side*.4 vastus-lateralis@thigh-outer*.3
quad-stretch | Front-thigh stretch | The heel carried towards the buttock to the first barrier, a light press into your hand, and on. | SM PL D balance 2(1) 4 b1 | rectus-femoris@thigh-front*.8 vastus-lateralis@thigh-front*.4
rotator-sink | Hip rotators | Forearm flat behind the hip bone, lean in at a slant. Wait until it lets you, then let the knee fall out. | DM P A work 5(3) 6 s1 | hip-rotators@buttock gluteus-minimus@hip-side*.4
trochanter-circle | Trochanter circles | Heel of the hand circles around and over the trochanter. | AR P D work 3(2) 5 w1 | hip-joint@hip-side*.8
sit-bone-hook | Sit-bone hook | Angled elbow at the sit bone, heel turned the other way. | SM P D work 2(1) 6 s1 | gluteus-maximus@buttock*.6 hamstrings@thigh-back,sit-bone*.6 | consent
thigh-skin | Thigh skin roll | Roll the skin of the thigh, lighter towards the knee. | SF PS D warm 3(2) 4 t1 | skin-of-the-front-thigh@thigh-front,knee*.8 skin-of-the-back-thigh@thigh-back,thigh-outer*.8
band-ham-split | Band and hamstring split | Between outer band and hamstrings; lighten towards the knee. | DF P A work 3(2) 5 t1 | outer-thigh-septum iliotibial-band@thigh-outer*.7 thigh-fascia@thigh-back*.6
palm-part-ham | Back-thigh part | Crossed palms part the back of the thigh. | DF P D warm 2(1) 4 w1 | thigh-fascia@thigh-back
ham-osc | Hamstring waves | Oscillating compression and lengthening, felt up to the low back. | DF P D warm 3(2) 4 w1 | thigh-fascia@thigh-back*.8 gluteal-fascia@buttock*.3
ham-iron | Hamstring iron | Forearm, slow; broad and light near the knee. | SM P O work 4(2) 6 s1 | hamstrings@thigh-back
ham-chisel | Hamstring line | Short strokes along one tight line and at the tendons. | DM P O work 3(2) 5 f2 | adductor-magnus@thigh-back biceps-femoris-short-head@thigh-back,thigh-outer
ham-pin-straighten | Pin and straighten | Knee bent; soft fist up the thigh while the leg lowers. | SM P D work 2(1) 5 w1 | hamstrings@thigh-back
slr-push-relax | Straight leg, press and relax | The straight leg to its first barrier; a light press down, let go, further: three times. | SM S D balance 2(1) 4 s1 | hamstrings@thigh-back*.8
knee-push-relax | Bent hip, press and relax | Hip at a right angle; the knee straightens to its barrier, the client bends lightly into the hand, lets go, further. | SM S D balance 2(1) 4 s1 | hamstrings@thigh-back*.7
hollow-ease | Knee-hollow ease | The knee bent over your arm; flat pads rest in the hollow, hardly heavier than the hand, and wait. | DF P A warm 2(1) 2 f1 | hollow-fascia@knee-back*.8 | stop: a pulse or tingling is felt
calf-skin | Calf skin roll | Roll the skin from ankle to knee. | SF PS D warm 2(1) 4 t1 | skin-of-the-lower-leg*.8
calf-lift | Calf lift | Lift the calf to the ceiling, down to the heel cord; S-shear there. | DF P D warm 2(1) 4 f2 | crural-fascia@calf achilles-tendon@heel-cord*.7
heel-cord-part | Heel-cord part | Fingers either side of the heel cord lift it, shift it across and part it from what lies under. | DF P D warm 2(1) 4 f1 | achilles-tendon@heel-cord,heel
calf-pin | Calf pin | Foot pointed; pin, move down as the ankle bends up. | SM P D work 2(1) 5 w1 | gastrocnemius@calf
deep-calf-sink | Deep calf sink | Braced fingers sink between the calf's two heads and wait while the foot moves. | DM P A work 3(2) 5 f2 | soleus@calf tibialis-posterior@calf long-toe-flexor@calf*.8 long-big-toe-flexor@calf*.8
shin-line | Outer shin line | The lower leg carried across; follow the outer shin line. | SM P D work 2(1) 5 b1 | peroneus-longus@outer-leg tibialis-anterior@shin extensor-digitorum-longus@shin*.6
peroneal-strip | Outer-leg strip | Flat knuckles along the outside of the lower leg, from below the knee to the ankle. | SM L A work 3(2) 5 w1 | peroneus-longus@outer-leg
thigh-wring | Thigh wring | Hands above and below shear across; take slack, then more. | DF S D warm 3(2) 4 s1 | thigh-fascia@thigh-front,thigh-inner iliotibial-band@thigh-outer*.5
thigh-spread | Front-thigh spread | Hold the hip bone headward; the other hand spreads down the thigh. | DF S D work 3(2) 4 w1 | thigh-fascia@thigh-front*.8 inguinal-ligament@hip-front*.4
quad-iron | Front-thigh iron | Knuckles or forearm, either way. | SM S O work 3(2) 5 w1 | rectus-femoris@thigh-front vastus-lateralis@thigh-front,thigh-outer*.8 vastus-medialis@thigh-front*.8
patella-spread | Kneecap spread | Spread the fascia around the kneecap. | DF S A work 2(1) 4 t1 | kneecap-bands@knee*.6 kneecap-tendon@knee*.6 thigh-fascia@thigh-front*.3
quad-pin | Front-thigh pin | Knee over the edge: a soft fist pins the middle of the thigh while the client bends the knee, then a hand lower. | SM S D work 2(1) 5 w1 | rectus-femoris@thigh-front vastus-lateralis@thigh-front*.5 vastus-medialis@thigh-front*.5
rectus-bend | Rectus with knee bend | Leg over yours; palm, then braced fingers from knee to hip as the client bends the knee. | DM S W work 4(2) 5 f1 | vastus-intermedius@thigh-front rectus-femoris@thigh-front,hip-front*.8 iliacus@hip-front*.3
band-side-iron | Outer-band iron | Side-lying: back border, front border, short oblique strokes. | DF L O work 4(2) 5 f1 s1 | iliotibial-band@thigh-outer,hip-side outer-thigh-septum*.8 gluteal-fascia@hip-side*.4
quad-band-split | Front thigh and band, apart | Hooked fingers between the front of the thigh and the outer band; end with the leg long. | DF S O work 3(2) 5 f2 | iliotibial-band@thigh-outer*.8 thigh-fascia@thigh-front*.6
band-bend | Outer band with knee bend | Hold above the outer band, then below it, while the client bends the knee. | DF S W work 3(2) 5 t2 | iliotibial-band@thigh-outer
adductor-lean | Inner-thigh lean | Knee towards the same shoulder, extra folded towel, forearm lean. | SM S D work 4(2) 5 b1 | adductor-longus@thigh-inner gracilis@thigh-inner | consent
belly-skin | Belly skin lift | Lift and roll the skin of the belly and side waist. | SF S D warm 2(1) 3 f1 | skin-of-the-belly@mid-belly,upper-belly,lower-belly,waist*.8 | consent
waist-skin | Waist skin lift | Lift and roll the skin of the side of the waist, from the crest to the ribs; small folds pinch. | SF SL D warm 3(2) 4 f1 | skin-of-the-belly@waist*.8 skin-of-the-side-ribs@waist*.4
side-waist-draw | Side-waist draw | Draw the side waist forward and up between ribs and crest. | DF SL D work 3(2) 4 f1 | abdominal-fascia@waist,lower-belly side-waist-seam@flank,waist*.4 | consent
oblique-slide | Rib-edge slide | Soft fingers slide along the rib edge and obliques on the out-breath. | SM S D work 3(2) 4 f1 | external-oblique rectus-abdominis@upper-belly*.5 serratus-anterior@side-ribs*.3 | consent
rib-arch-ease | Rib-arch ease | Flat fingers along the rib edge follow the out-breath under it, and let the in-breath lift them out. | DM S D work 3(2) 3 f1 | diaphragm@rib-edge*.7 | consent; stop: the breath catches, or it feels sharp
white-line-draw | Mid-line draw | Flat pads draw the belly's mid-line long, from the ribs towards the navel and back. | DF S D work 2(1) 3 f1 | white-line | whole; consent
psoas-wait | Hip-flexor wait | Knee bent; flat fingers sink beside the belly on out-breaths, never on a pulse; the client slides the heel. | DM S D work 4(3) 4 f2 | psoas-major@lower-belly,mid-belly iliacus@lower-belly,groin internal-oblique@lower-belly*.3 | consent; stop: a pulse is felt, or any sharpness
side-psoas-wait | Hip-flexor wait on the side | Knees bent; the belly falls away, flat fingers sink inside the hip bone on out-breaths, never on a pulse. | DM L D work 4(3) 3 f2 | iliacus@lower-belly psoas-major@lower-belly*.7 internal-oblique@lower-belly*.3 | consent; stop: a pulse is felt, or any sharpness
leg-as-lever | Leg as lever | The leg carried over works the low back through the leg. Slow. | AR S D balance 3(2) 4 b1 | lumbar-segments*.7 lumbosacral*.6 hip-joint*.6
hip-hike | Hip hike | Hold at the ankle and lengthen; the client hikes that hip at a tenth of strength, breath in. Three times. | AR S D balance 2(2) 2 b1 | hip-joint sacroiliac*.6 lumbar-segments*.4
knee-press | Knee press | Hip at a right angle, back off a touch; the client presses the knee at a tenth. Three times. | AR S D balance 2(2) 3 b1 | hip-joint sacroiliac*.6
twist-press | Twist and press | Foot above the other knee, twisted to the first resistance; the client presses the knee at a tenth. Three times, ribs down. | AR S D balance 2(2) 3 b1 | lumbar-segments*.7 hip-joint*.5 lumbosacral*.5
foot-skin | Foot skin roll | Lift and roll the skin of heel and instep; on the sole only shift it. | SF PS D warm 2(1) 4 f1 | skin-of-the-foot@heel,instep,sole*.8
foot-open | Foot opening | Sole and heel, last in the chain. | DF PS O work 3(2) 5 t2 | sole-of-the-foot@sole,heel
sole-fist | Sole under the fist | A soft fist from the heel to the ball of the foot while the client draws the toes up. | SM PS O work 3(2) 5 w1 | short-toe-flexor@sole abductor-hallucis@sole,heel*.7
ankle-band-spread | Front-of-ankle spread | Palms spread the bands across the front of the ankle while the foot circles. | DF S A warm 2(1) 4 w1 | ankle-bands
instep-glide | Instep glide | Pads glide from the toes to the ankle over the top of the foot. | SM S O warm 2(1) 4 f1 | short-toe-extensor@instep extensor-digitorum-longus@instep*.6
foot-bones | Between the long foot bones | Pads in each space between the long bones, from the toes upward; spread and wait. | DM S O work 2(1) 4 f1 | foot-spreaders@instep*.8
ankle-rounds | Ankle and foot rounds | Slow rounds at the ankle, then each arch in turn. | AR S A balance 2(1) 3 f1 | ankle-joint subtalar midfoot*.7 toe-joints*.4
neck-rounds | Head rounds | Carry the head in small slow rounds, then rest it at each side. | AR S A balance 2(1) 2 f1 | neck-joints skull-atlas*.6 atlas-axis*.6 | whole
shoulder-rounds | Arm-pull rounds | Draw the arm gently and let the shoulder roll. | AR S D balance 2(1) 3 s1 | shoulder-joint*.8 elbow-joint*.4
# light touch: weight of a coin, follow, no push
lt-still-point | Still point at the feet | Hold the heels, follow, rest at one end until the rhythm stops; wait for its return. | LT S A open 4(2) 1 | skin-of-the-foot@heel*.3 | whole
lt-sheets | Cross-wise sheets | One hand under, one over: pelvis, breath, chest inlet. Wait for each to let go. | LT SL A work 8(5) 1 s1 | skin-over-the-sacrum@sacrum*.3 skin-of-the-chest@upper-chest,rib-edge*.3 skin-of-the-throat@throat,collarbone*.3 | whole
lt-skull-base | Skull base | Fingertips under the skull edge, the head balanced like on a pedestal, until the tissue softens. | LT S A work 6(4) 1 f1 | suboccipitals*.4 galea@back-of-head*.4 | whole
lt-sacrum | Sacral ease, light | Hand under the sacrum; ease it footward and follow. | LT SL A work 5(3) 1 | sacral-fascia@sacrum*.4 thoracolumbar-fascia@l-low*.3 | whole
lt-tube | Sacrum and skull | One hand at each end. Follow the rocking, add the weight of a coin at the ends. | LT SL A work 6(4) 1 s1 | thoracolumbar-fascia@l-low*.3 nuchal-fascia@skull-base*.3 scalp@back-of-head*.2 sacral-fascia@sacrum*.3 | whole
lt-vault | Vault and jaw | Lift the forehead, then the sides, then let the jaw be drawn footward: follow small turns until each floats. | LT S A work 8(5) 1 f1 | galea@crown,forehead*.6 temporal-fascia@temple*.6 temporalis*.4 masseter@jaw*.4 | whole
lt-listen | Listening at the stations | Hands still at each station in turn, from the heels to the head: what moves, which side leads, how free. | LT SL A open 3(3) 1 | - | whole
lt-frontal | Frontal lift | Fingers at the ridges beside the forehead: together, wait, lift forward and follow small turns until it floats. | LT S A work 3(2) 1 f1 | galea@forehead*.6 | whole
lt-parietals | Parietal lift | A finger's breadth above the line of the ears: inward until the edges flare, wait for the fluid, lift headward. | LT S A work 3(2) 1 f1 | galea@crown*.6 temporal-fascia@temple*.3 | whole
lt-sphenoid | Sphenoid back and forward | Thumbs at the outer corners of the brow, fingers at the occiput: ease back, wait, lift forward, feel its motions. | LT S A work 5(3) 1 f1 | galea@forehead,back-of-head*.4 temporal-fascia@temple*.5 | whole
lt-temporals | Temporals and jaw | Turn about the ears, in and out at the mastoids, the ears drawn; then the jaw up, footward and forward. | LT S A work 8(5) 1 f1 | temporal-fascia@temple*.5 temporalis*.4 masseter@jaw*.4 | whole
lt-occiput-still | Still point at the occiput | Follow; do not follow one way, follow the other, until the rhythm stops. Wait for its return. | LT S A close 5(3) 1 | scalp@back-of-head*.4 skin-of-the-nape@skull-base*.4 | whole
lt-listen-again | Listening again | The same stations in the same order with the same hands: what is freer now, and what is not. | LT SL A close 3(3) 1 | - | whole
lt-unwind-neck | Neck unwinding | Take the head's weight and follow its own path. Stop on a word. | LT S A work 6(4) 1 w1 | nuchal-fascia@neck-back,skull-base*.4 upper-trapezius@neck-back,skull-base*.3 | whole
lt-unwind-arm | Arm unwinding | Take the arm's weight at wrist and elbow and follow its own path. Stop on a word. | LT S A work 5(3) 1 w1 | shoulder-fascia@shoulder-point*.4 arm-fascia*.3
lt-unwind-leg | Leg unwinding | Take the leg's weight at heel and knee and follow its own path. Stop on a word. | LT S A work 5(3) 1 b1 | thigh-fascia@thigh-front*.3 crural-fascia*.3
lt-chest-float | Breastbone float | One hand on the breastbone, one under the upper back; wait until the front floats. | LT S A work 5(3) 1 | breastbone-fascia@breastbone*.4 skin-of-the-upper-back@t-mid*.3 | whole; consent
`;

const positions: Record<string, Position> = { P: "prone", S: "supine", L: "side", T: "seated" };
const media: Record<string, Medium> = { D: "dry", W: "wax", O: "oil", A: "any" };
const loads = { t: "thumb", f: "fingers", w: "wrist", s: "shoulder", b: "back" } as const;

function parse(row: string): Technique {
  const [key, name, what, at, reach, more = ""] = row.split(" | ") as [string, string, string, string, string, string?];
  const [layer, where, medium, phase, time, pressure, ...strain] = at.split(" ") as [
    LayerKey | "LT",
    string,
    string,
    Phase,
    string,
    string,
    ...string[],
  ];
  const [ideal, least] = time.match(/[\d.]+/g)!.map(Number) as [number, number];
  const load: Load = {};
  for (const part of strain) load[loads[part[0] as keyof typeof loads]] = Number(part[1]) as 1 | 2 | 3;
  const options = more.split("; ");
  const stop = options.find((option) => option.startsWith("stop: "));
  const hold = holds[key];
  const force = forceByKey(key);
  const joints = jointsByKey[key];
  const reached = reach === "-" ? [] : reach.split(" ").map(readReach);
  const nowhere = reached.find((each) => reachOf(each).length === 0);
  if (nowhere) throw new RangeError(`${key}: "${nowhere.structure}" reaches nothing that is in the anatomy`);
  return techniqueFrom({
    key,
    name,
    what,
    layer,
    positions: where === "A" ? [] : [...where].map((letter) => positions[letter]!),
    medium: media[medium]!,
    phase,
    minutes: { ideal, least },
    load,
    pressure: Number(pressure),
    sided: !options.includes("whole"),
    reach: reached,
    tags: tagsByKey(key),
    ...(stop && { stopWhen: stop.slice("stop: ".length) }),
    ...(options.includes("consent") && { consent: true }),
    ...(joints && { joints }),
    ...(hold && { hold }),
    ...(force && { force: { kind: force.kind, ways: [...force.ways] } }),
  });
}

/** The techniques everyone starts with. */
export const catalogue: readonly Technique[] = rows
  .split("\n")
  .filter((row) => row.includes(" | "))
  .map(parse);
