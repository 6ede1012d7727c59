import type { LayerKey } from "../anatomy/layers";
import type { RegionKey } from "../anatomy/regions";
import type { Load, Medium, Phase, Position, Technique } from "./technique";

/**
 * The starting catalogue of techniques. All of it is common practice; times and pressures are defaults. Keys are
 * stable: plans and session logs refer to them.
 *
 * A row: key | name | what is done | layer, positions, medium, phase, ideal(least) minutes, pressure, load | reach | more.
 * - layer: SF DF SM DM AR, or LT for light touch; positions: P prone, S supine, L side-lying, T seated, A any
 * - medium: D dry, W wax, O oil, A any; load 1–3: t thumb, f fingers, w wrist, s shoulder, b back
 * - reach: region[.layer][*share], the row's own layer and a share of 1 unless named
 * - more: "whole" (not two-sided), "consent" (sensitive area), "stop: …" (when to stop)
 */
const rows = `
# opening and closing
settle-touch | Settling touch | Two still palms. Match the breath before anything moves. | SF A D open 2(1) 2 | low-back*.2 | whole
side-breath | Breath at the side ribs | One palm over the side ribs, one over the belly's flank; follow until the breath reaches both. | SF LT D open 3(2) 1 | chest*.3 belly*.2 | whole
leg-rock | Leg rock | Lift both ankles a little, lengthen, sway side to side, then press the feet headward and look at the hips again. | AR P D open 2(1) 2 b1 | pelvis*.3 leg*.2 | whole
broad-compress | Broad compressions | Rhythmic palm presses through cloth, from the shoulders to the calves. | DF PS D warm 3(2) 4 w1 | upper-back*.4 low-back*.5 pelvis*.5 thigh*.4 leg*.4 | whole
broad-compress-front | Broad compressions, front | Rhythmic palm presses through cloth on chest, hip fronts, thighs and arms. | DF S D warm 3(2) 4 w1 | chest*.4 belly*.4 thigh*.4 arm*.4 shoulder*.4 | whole
long-glide | Long glides | Slow gliding strokes to the skull base; stop there and hold. Feel the whole spine on the way. | SF P O close 4(2) 3 s1 | upper-back*.5 low-back*.4 neck*.3 | whole
node-sweep | Node sweep | Feather strokes to the armpits and groins. | SF S O close 2(1) 1 | chest*.4 arm*.3 | whole
head-cradle | Head cradle | The head rests in both hands; the scalp moves slowly. | LT S A close 4(2) 1 f1 | head.SF*.6 neck.SF*.4 | whole
straighten-reset | Neck lift and draw | Fingertips past the neck's root on both sides, lift and draw headward. | SF S O close 1(1) 3 f1 | neck*.6 | whole
sacral-hand | Hand under the sacrum | One hand under the sacrum, one over the navel. Wait until the two breathe together. | LT S A close 3(2) 1 | pelvis.SF*.5 low-back.SF*.3 | whole
resting-hold | Resting hold | One still hand on the shoulder blade, one on the sacrum, until the breath is even. | LT LT A close 3(2) 1 | upper-back.SF*.4 low-back.SF*.4 | whole
seated-cradle | Brow and skull-base cradle | Forehead in one palm, skull base in the other; let the neck rest. | LT LT A close 3(2) 1 f1 | neck.SF*.5 head.SF*.4 | whole
rise-slowly | Rise slowly | To the side, sit, breathe, stand, feel both feet. | SF A D close 2(2) 0 | - | whole
# back, dry
curl-lift-back | Curl and lift | Gather a large fold between fingers and thumbs, curl it into an arc, push slowly. Small folds pinch. | SF P D warm 4(2) 4 t2 f2 | upper-back*.6 low-back*.6
skin-roll-back | Skin roll | Let a fold travel slowly. Where it stops is a restriction. | SF P D warm 4(2) 5 t2 f2 | upper-back*.5 low-back*.5 shoulder*.2
grip-lean-trap | Trapezius grip and lean | Palm and fingers hold the upper trapezius; lean towards the floor, no thumb. | DF P D warm 2(1) 5 f2 | neck*.6 shoulder*.5
push-pull-trap | Push and pull | One hand draws the shoulder up, the other pushes away. | DF P D warm 2(1) 4 s1 | neck*.3 shoulder*.6
hip-lift-press | Hip lift and press | Raise the front of the pelvis from below; the heel of the other hand follows the erectors down, then half-way up. | SM P D work 3(2) 5 w1 b1 | low-back pelvis*.3
arm-off-lat | Latissimus pin, arm off the edge | Arm over the table's edge; the palm pins the side of the back while the arm travels headward. | SM P D work 2(1) 5 w1 | low-back*.5 shoulder*.6
lumbar-spread | Low-back spread | One hand holds the hip down, the other spreads the low back headward. | DF P D work 3(2) 4 w1 | low-back pelvis*.3
cross-spread | Crossed-palm spread | Crossed palms beside the spine; lean so that they part; wait until it gives. Three trips, never on the spine. | DF P D warm 5(3) 5 w2 | upper-back low-back*.7
diagonal-spread | Diagonal spread | Hip to opposite shoulder, then the other way. | DF P D warm 2(1) 4 w1 | low-back*.6 upper-back*.4 pelvis*.3
sacrum-slide | Sacrum slide | One hand on the sacrum, one on the low back; part them along the spine without pressing on it. | DF P D work 2(1) 4 w1 | low-back*.6 pelvis*.7 | whole
spine-rock | Spine rock | Push from the near side with fingertips, up and down. Note stuck segments. | AR P D warm 3(2) 3 f1 | upper-back*.5 low-back*.5
sink-wait | Sink and wait | The forearm sinks at the low back to the sticky layer and waits for movement. | DF P D work 5(3) 4 s1 | low-back
sweep-out | Sweep out | Forearms spread outward from the low back. | DF P W work 3(2) 5 s1 | low-back*.7 pelvis*.4
crest-follow | Crest follow | Forearm along the iliac crest and into the side of the waist. | SM P W work 4(2) 5 s1 | pelvis*.7 low-back*.6
sacral-ease | Sacral ease | Fingers draw the sacral tissue footward, hold, slow release, three times. | DF P D work 2(1) 4 f1 | pelvis | whole
# back, with oil, and specific
groove-strip | Groove strip | Braced fingers in the groove beside the spine, off the bone; pause at ropes. Three trips. | DM P O work 5(3) 5 t3 | upper-back*.7 low-back*.7
spine-pincer | Pincer walk | Thumb and bent finger either side of the spine, slowly down and up to the skull. | SM P O warm 3(2) 4 t2 | upper-back*.6 low-back*.4 neck*.4 | whole
forearm-glide | Forearm glide | Fleshy forearm down the erectors. | SM P O work 4(2) 6 s1 b1 | upper-back*.8 low-back*.6
high-side-in | High side in | Hook the tissue of the higher side at a slant and carry it to the midline, level by level; draw the low side away. Look again from the head. | DM P A balance 5(3) 5 f2 | upper-back*.7 low-back*.7 | whole
open-close-twist | Open and close | One hand closes one side, the other opens. Slow, no thrust. | AR P D balance 2(1) 4 w1 | low-back*.7 upper-back*.4
crest-inch | Crest, inch by inch | Along the edge of the iliac crest, inch by inch. | SM P O work 3(2) 5 t2 | pelvis low-back*.4
lateral-iron | Outward iron | Hook past the spine, slow outward strokes across trapezius, rhomboids and cuff. | DF P O warm 4(2) 5 w1 | upper-back*.7 shoulder*.7
cord-hold | Band hold | Creep on to the band's crest, stop before falling off, flat pressure about half a minute. | SM PT A work 2(1) 5 t1 f1 | upper-back*.7 neck*.4
fist-trap | Soft fists on trapezius | Alternate soft fists on the upper trapezius from the head end. | SM P O warm 2(1) 5 w1 | neck*.5 shoulder*.5
tilt-glide | Tilt and glide | Braced fingers in the sacral groove; the client tips the pelvis on an out-breath and the tissue rolls under still fingers. Stop at the last rib. | DM P W work 4(2) 5 f2 | low-back pelvis*.4
bend-glide | Hitch and glide | The client hitches and lowers one hip; glide across the lumbar erectors as it lowers. | SM P W work 3(2) 5 f2 | low-back
roll-glide | Knee-roll glide | Bent knees roll towards you; glide on the out-breath, then passively. | SM P W work 3(2) 5 f1 | low-back*.8 pelvis*.4
deep-groove-reach | Groove with reach | In the narrow groove while the client reaches across: headward-outward, then footward-outward. | DM PT A work 4(2) 5 t3 | upper-back
# on the side or seated: for those who cannot lie flat
side-back-spread | Back spread, spine outward | The palm spreads slowly from the spine outward, level by level. | DF LT D warm 4(2) 4 w1 | upper-back*.8 low-back*.8
side-back-skin | Back skin roll, waist to blade | Let a fold travel along one side of the back, from the waist to the blade. | SF LT D warm 3(2) 4 t1 | low-back*.7 upper-back*.6
side-back-glide | Erector glide, blade to crest | Soft fist along one side's erectors, from the blade to the crest. | SM LT A work 4(2) 5 s1 | upper-back*.8 low-back*.8
side-hip-melt | Hip melt on the side | Heel of the hand behind the hip bone, long compression until warm, knee on a cushion. | SM L D work 4(2) 5 w1 | pelvis thigh*.4
side-hip-skin | Hip and thigh skin, on the side | Lift and roll the skin over hip and outer thigh. | SF L D warm 3(2) 4 f1 | pelvis*.7 thigh*.6
side-thigh-part | Outer-thigh part | Crossed palms part the outer thigh; light towards the knee. | DF L D warm 3(2) 4 w1 | thigh pelvis*.4
side-leg-wring | Calf wring on the side | Opposite hands wring the calf, stepping down to the ankle. | DF L D warm 3(2) 4 w1 | leg
seated-shoulder-melt | Shoulder melt, seated | Forearms rest on both shoulders and wait; the client breathes into them. | DF T D warm 3(2) 4 s1 | neck*.6 shoulder*.7 | whole
seated-neck-fold | Neck skin fold, head supported | Lift and roll the back of the neck, the head supported. | SF LT D warm 2(1) 4 f1 | neck | whole
side-rib-part | Side-rib part | Flat palms part the tissue over the upper side's ribs, forward and back, on the out-breath. Never inward. | DF L D work 3(2) 3 w1 | chest*.8 upper-back*.4
seated-chest-part | Chest part, seated | From behind, flat hands part the front from breastbone to shoulders while the client breathes in. | DF T D work 3(2) 3 s1 | chest*.8 shoulder*.4 | whole; consent
seated-collar-fold | Collar-bone skin fold, seated | From behind, lift and roll the skin below the collar bones, away from breast tissue. | SF T D warm 2(1) 4 f1 | chest*.8 shoulder*.3 | whole
# shoulder, chest
trap-border | Trapezius border | Find and work the lower outer edge: a normal edge, not a knot. | SM P O work 2(1) 5 f1 | shoulder*.7 upper-back*.4
pin-turn | Pin and turn | Pin the stuck spot with an angled forearm, turn it, wait for a breath; the other hand draws tissue away. | DM P O work 4(2) 6 s1 | shoulder upper-back*.4
hand-behind-back | Blade border, hand behind | The arm behind the back opens the border: cross strokes, then a pin. It is stretched already: gently. | DM P O work 3(2) 5 f1 | shoulder
reach-across | Reach across | The client draws the arm across while you go from spine to blade. | DM TP A work 3(2) 5 s1 | shoulder*.7 upper-back*.6
scap-hook | Float the blade | Hook in front of the upper inner angle, lift the lower angle; float the blade off the ribs. | DM P A work 4(2) 5 f2 | shoulder
scap-rounds | Blade rounds | Forward, back, up, down: many slow rounds. | AR LP D balance 3(2) 3 s1 | shoulder
serratus-roll | Side-rib roll | Skin rolling and arc lift along the side ribs. | SF L D warm 3(2) 4 t1 | chest*.6 shoulder*.6 upper-back*.2
serratus-wring | Side-rib wring | Opposite hands wring the side ribs. | SM L O work 2(1) 4 s1 | shoulder*.6 chest*.5
subscap-reach | Front of the blade | Fingers under the front of the blade, slowly, with the breath. | DM LS A work 3(2) 4 f2 | shoulder | consent
cuff-hang | Cuff, arm hanging | Arm hanging: infraspinatus and teres. | SM P O work 3(2) 5 t1 | shoulder arm*.3
rib-breath | Rib breath | The palm on the rib side presses inward on three out-breaths, holds, and lets go on the fourth in-breath. Never past a barrier. | AR S D work 5(3) 4 w2 | chest | stop: the breath catches or a rib feels sharp
rib-space-glide | Rib spaces | Pads angled to the rib edges, from the breastbone outward. | DM S O work 3(2) 4 t2 | chest | consent
chest-back-slide | Chest slide | From the shoulder tip take up slack; heel of the hand up and out. The next stroke starts nearer the breastbone. | DF S D work 3(2) 4 w1 | chest shoulder*.4 | consent
chest-skin-roll | Chest skin lift | Lift and roll the skin below the collarbones, away from breast tissue. | SF S D warm 2(1) 4 f1 | chest*.8 shoulder*.3
pec-major-sink | Pectoral sink | Soft fist sinks into the pectoral near the shoulder and waits while the arm turns out. | SM S D work 3(2) 5 w1 | chest shoulder*.4 | consent
pec-minor-open | Pectoralis minor opening | Arm slack across, forearm leans in, the arm rolls outward. | DM S D work 3(2) 5 s1 | chest shoulder*.5 | consent
coraco-lower | Inner arm pin | The palm pins the inner upper arm while the arm is lowered. | SM S D work 2(1) 4 | arm shoulder*.3
delt-across | Arm across | Arm over the chest, back of the shoulder pressed to the table. | SM S D warm 2(1) 4 | shoulder*.8
arm-skin-roll | Arm skin roll | Roll the skin from shoulder to wrist. | SF S D warm 2(1) 4 f1 | arm*.8
arm-spread | Arm spread | Palms spread around the arm, stepping down to the wrist. | DF S D warm 3(2) 4 w1 | arm
wrist-pin | Wrist pin | Pin one face, the client moves the wrist; then the other face. | SM S D work 3(2) 4 t1 | arm
# neck
chest-to-skull | Chest to skull | Scoop from below the collarbones around the shoulders up the neck to the hairline. | SF S O warm 3(2) 3 f1 | neck*.7 chest*.2 shoulder*.3 | whole
soft-knead | Soft neck knead | Alternate kneading with flat fingers, no pinch. | SM S O warm 2(1) 4 f1 | neck | whole
neck-sway | Neck sway | One hand pushes footward-outward, the other draws up and in, until the client stops holding the head. | AR S O warm 2(1) 2 | neck*.6 | whole
knuckle-walk | Knuckle walk | Walk under the back to the shoulder blades, then drag slowly headward in the grooves. | SM S O work 3(2) 4 f2 w1 | upper-back*.6 neck*.6 | whole
collar-turn | Collar turn | Palm below the collarbone outward, soft fist inward: the head turns by the fascia. | DF S O work 2(1) 3 w1 | neck*.8 chest*.3
scalene-creep | Scalene creep | Thumb beside the collarbone; force to the table, not to the rib. | DM S O work 2(1) 3 t1 | neck | stop: tingling or pulse is felt
levator-strip | Levator strip | Down on the upper inner angle, then slowly up beside the spine to the skull. | DM S O work 3(2) 5 f1 | neck shoulder*.4
side-forearm-neck | Side-lying neck | Forearm into the back of the neck, thick lower part first, then upward. Never in front of the big neck muscle. | SM L D work 5(3) 5 s1 | neck shoulder*.3
hand-cushion-skull | Skull-base lean | Your own hand under the elbow; lean into the skull base. | DM L D work 3(2) 5 | neck*.8 head*.3
neck-fold | Neck fold | Lift and roll the back of the neck, slowly; S-shaped shear. | SF P D warm 2(1) 4 t1 | neck | whole
nod-release | Nod and turn | Seated: hold while the client turns and nods. | DM T A work 3(2) 4 t1 | neck
scalp-shift | Scalp shift | Shift the scalp on the skull, all directions, then hold at the stiff one. | DF S D warm 3(2) 3 f1 | head neck*.2 | whole
scalp-lift | Scalp and ear lift | Small lifts of skin around the ears and along the jaw. | SF S D warm 2(1) 2 f1 | head*.8 neck*.2 | whole
temporalis-wait | Temporal wait | Flat fingers on the temple wait for the jaw to drop. | SM S D work 3(2) 3 f1 | head
masseter-melt | Jaw muscle melt | Flat pads on the jaw muscle sink, the client lets the jaw hang, draw footward. | SM S D work 3(2) 3 f1 | head
# hip and leg
gluteal-skin | Hip skin lift | Lift and roll the skin over sacrum and hip. | SF P D warm 2(1) 4 t1 | pelvis*.8 low-back*.2
glute-melt | Gluteal melt | Heel of the hand at the pelvic scoop, sacral edge and joint line; long compression until warm. | SM P D warm 5(3) 6 w1 | pelvis
tfl-lift | Hip-side lift | Lift and compress the front of the hip side. | SM PL D work 2(1) 5 w1 | pelvis*.7 thigh*.3
rotator-sink | Hip rotators | Forearm flat behind the hip bone, lean in at a slant. Wait until it lets you, then let the knee fall out. | DM P A work 5(3) 6 s1 | pelvis
trochanter-circle | Trochanter circles | Heel of the hand circles around and over the trochanter. | AR P D work 3(2) 5 w1 | pelvis*.8
sit-bone-hook | Sit-bone hook | Angled elbow at the sit bone, heel turned the other way. | SM P D work 2(1) 6 s1 | pelvis*.6 thigh*.6 | consent
thigh-skin | Thigh skin roll | Roll the skin of the thigh, lighter towards the knee. | SF PS D warm 3(2) 4 t1 | thigh*.8
band-ham-split | Band and hamstring split | Between outer band and hamstrings; lighten towards the knee. | DF P A work 3(2) 5 t1 | thigh
palm-part-ham | Back-thigh part | Crossed palms part the back of the thigh. | DF P D warm 2(1) 4 w1 | thigh
ham-osc | Hamstring waves | Oscillating compression and lengthening, felt up to the low back. | DF P D warm 3(2) 4 w1 | thigh*.8 pelvis*.3
ham-iron | Hamstring iron | Forearm, slow; broad and light near the knee. | SM P O work 4(2) 6 s1 | thigh
ham-chisel | Hamstring line | Short strokes along one tight line and at the tendons. | DM P O work 3(2) 5 f2 | thigh
ham-pin-straighten | Pin and straighten | Knee bent; soft fist up the thigh while the leg lowers. | SM P D work 2(1) 5 w1 | thigh
calf-skin | Calf skin roll | Roll the skin from ankle to knee. | SF PS D warm 2(1) 4 t1 | leg*.8
calf-lift | Calf lift | Lift the calf to the ceiling, down to the heel cord; S-shear there. | DF P D warm 2(1) 4 f2 | leg
calf-pin | Calf pin | Foot pointed; pin, move down as the ankle bends up. | SM P D work 2(1) 5 w1 | leg
deep-calf-sink | Deep calf sink | Braced fingers sink between the calf's two heads and wait while the foot moves. | DM P A work 3(2) 5 f2 | leg
shin-line | Outer shin line | The lower leg carried across; follow the outer shin line. | SM P D work 2(1) 5 b1 | leg
thigh-wring | Thigh wring | Hands above and below shear across; take slack, then more. | DF S D warm 3(2) 4 s1 | thigh
thigh-spread | Front-thigh spread | Hold the hip bone headward; the other hand spreads down the thigh. | DF S D work 3(2) 4 w1 | thigh*.8 belly*.5
quad-iron | Front-thigh iron | Knuckles or forearm, either way. | SM S O work 3(2) 5 w1 | thigh
patella-spread | Kneecap spread | Spread the fascia around the kneecap. | DF S A work 2(1) 4 t1 | thigh*.3 leg*.6
rectus-bend | Rectus with knee bend | Leg over yours; palm, then braced fingers from knee to hip as the client bends the knee. | DM S W work 4(2) 5 f1 | thigh belly*.3
band-side-iron | Outer-band iron | Side-lying: back border, front border, short oblique strokes. | DF L O work 4(2) 5 f1 s1 | thigh pelvis*.4
adductor-lean | Inner-thigh lean | Knee towards the same shoulder, extra folded towel, forearm lean. | SM S D work 4(2) 5 b1 | thigh pelvis*.3 | consent
belly-skin | Belly skin lift | Lift and roll the skin of the belly and side waist. | SF S D warm 2(1) 3 f1 | belly*.8 | consent
side-waist-draw | Side-waist draw | Draw the side waist forward and up between ribs and crest. | DF SL D work 3(2) 4 f1 | belly low-back*.4 | consent
oblique-slide | Rib-edge slide | Soft fingers slide along the rib edge and obliques on the out-breath. | SM S D work 3(2) 4 f1 | belly chest*.3 | consent
psoas-wait | Hip-flexor wait | Knee bent; flat fingers sink beside the belly on out-breaths, never on a pulse; the client slides the heel. | DM S D work 4(3) 4 f2 | belly | consent; stop: a pulse is felt, or any sharpness
leg-as-lever | Leg as lever | The leg carried over works the low back through the leg. Slow. | AR S D balance 3(2) 4 b1 | low-back*.7 pelvis*.6
hip-hike | Hip hike | Hold at the ankle and lengthen; the client hikes that hip at a tenth of strength, breath in. Three times. | AR S D balance 2(2) 2 b1 | pelvis low-back*.4
knee-press | Knee press | Hip at a right angle, back off a touch; the client presses the knee at a tenth. Three times. | AR S D balance 2(2) 3 b1 | pelvis
foot-open | Foot opening | Sole and heel, last in the chain. | DF PS O work 3(2) 5 t2 | leg
ankle-rounds | Ankle and foot rounds | Slow rounds at the ankle, then each arch in turn. | AR S A balance 2(1) 3 f1 | leg
neck-rounds | Head rounds | Carry the head in small slow rounds, then rest it at each side. | AR S A balance 2(1) 2 f1 | neck | whole
shoulder-rounds | Arm-pull rounds | Draw the arm gently and let the shoulder roll. | AR S D balance 2(1) 3 s1 | shoulder*.8 arm*.4
# light touch: weight of a coin, follow, no push
lt-still-point | Still point at the feet | Hold the heels, follow, rest at one end until the rhythm stops; wait for its return. | LT S A open 4(2) 1 | leg.SF*.3 | whole
lt-sheets | Cross-wise sheets | One hand under, one over: pelvis, breath, chest inlet. Wait for each to let go. | LT S A work 8(5) 1 s1 | pelvis.SF*.3 chest.SF*.3 neck.SF*.3 | whole
lt-skull-base | Skull base | Fingertips under the skull edge, the head balanced like on a pedestal, until the tissue softens. | LT S A work 6(4) 1 f1 | neck.DM*.4 head.DF*.4 | whole
lt-sacrum | Sacral ease, light | Hand under the sacrum; ease it footward and follow. | LT S A work 5(3) 1 | pelvis.DF*.4 low-back.DF*.3 | whole
lt-tube | Sacrum and skull | One hand at each end. Follow the rocking, add the weight of a coin at the ends. | LT S A work 6(4) 1 s1 | low-back.DF*.3 neck.DF*.3 head.SF*.2 | whole
lt-vault | Vault and jaw | Lift the forehead, then the sides, then let the jaw be drawn footward: follow small turns until each floats. | LT S A work 8(5) 1 f1 | head.DF*.6 head.SM*.4 | whole
lt-unwind-neck | Neck unwinding | Take the head's weight and follow its own path. Stop on a word. | LT S A work 6(4) 1 w1 | neck.DF*.4 neck.SM*.3 | whole
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
  return {
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
    doses: (reach === "-" ? [] : reach.split(" ")).map((text) => {
      const [place, share] = text.split("*");
      const [region, own] = place!.split(".");
      return {
        region: region as RegionKey,
        layer: (own ?? (layer === "LT" ? "AR" : layer)) as LayerKey,
        share: Number(share ?? 1),
      };
    }),
    stopWhen: stop?.slice("stop: ".length) ?? "the client guards, holds the breath or says so",
    ...(options.includes("consent") ? { consent: true as const } : {}),
  };
}

export const catalogue: readonly Technique[] = rows
  .split("\n")
  .filter((row) => row.includes(" | "))
  .map(parse);

const byKey = new Map(catalogue.map((technique) => [technique.key, technique]));

export function techniqueOf(key: string): Technique {
  const technique = byKey.get(key);
  if (!technique) throw new RangeError(`technique "${key}" is not in the catalogue`);
  return technique;
}
