/**
 * Patterns: what explains findings together. The first fifteen are judgements practitioners gave, the rest is common practice; all
 * shares are estimates of the trade, never measured frequencies.
 *
 * A pattern: a head line and lines of its own.
 * - head: name | key, "*" where it has sides | how often it is met: common, usual, rare
 * - signs: SIGN[@s same side, @o other side]*SHARE: how often the pattern shows the sign. touch:STRUCTURE and point:STRUCTURE are signs, too
 * - short, long, stuck, weak: STRUCTURE[@s,@o]; what is long or weak is not lengthened
 * - before: STRUCTURES > STRUCTURES: work on the first ones comes before work on the others, where both are worked
 * - order: the same as it is said
 * - means: what is said of it
 */
export const patternRows = `
Crossed legs: one hip high | crossed-legs* | common
signs hip-high@s*.85 touch:quadratus-lumborum@s*.5 ankle-short@s*.45 touch:lumbar-erectors@o*.45 shoulder-high@o*.3 sits*.5 at-low-back*.45
short quadratus-lumborum@s adductors@s
long lumbar-erectors@o
before quadratus-lumborum@s adductors@s > lumbar-erectors@o
order The hip first, then the low back of the other side.
means Crossing the same leg holds one hip high; the other side's low back is stretched and tight.

Pelvis turned by short hip rotators | pelvis-turned* | usual
signs foot-out@s*.75 ankle-short@s*.55 hip-in-short@s*.65 touch:hip-rotators@s*.65 at-pelvis*.35
short hip-rotators@s
order Correct the pelvis first, then look at the ankle bones again.
means Uneven ankle bones with toes turned out speak for a turned pelvis that short rotators hold.

Shoulder drawn in from the front | drawn-in* | common
signs shoulder-forward@s*.85 touch:pectoralis-minor@s*.65 arm-up-short@s*.4 head-forward*.35 works-bent*.5 touch:rhomboids@s*.3
short pectoralis-minor@s coracobrachialis@s biceps-short-head@s deltoid-front@s
long rhomboids@s middle-trapezius@s
before pectoralis-minor@s coracobrachialis@s biceps-short-head@s > rhomboids@s middle-trapezius@s
order Open the front before loosening the back.
means Short chest muscles roll the upper arm in; what is felt behind is long and tired.

Blade not held by serratus | blade-not-held* | usual
signs blade-wide@s*.85 touch:rhomboids@s*.45 point:rib-spaces@s*.35 at-upper-back*.35 arm-up-short@s*.25
weak serratus-anterior@s
long rhomboids@s middle-trapezius@s
order Look for points between the ribs; do not lengthen what is long already.
means A blade far from the spine or off the ribs: serratus does not hold it, rhomboids and middle trapezius are long.

Blade held from the front | held-from-front* | usual
signs no-ridge@s*.85 arm-out-short@s*.6 touch:subscapularis@s*.6 arm-side-short@s*.45 touch:pectoralis-major@s*.35
short subscapularis@s pectoralis-major@s
before subscapularis@s pectoralis-major@s > rhomboids@s infraspinatus@s
order The front line before the back of the blade.
means With the hand behind the back the blade shows no ridge: subscapularis and the chest hold it.

Pain under the blade, referred from trapezius | under-blade* | usual
signs at-upper-back*.8 point:middle-trapezius@s*.6 touch:middle-trapezius@s*.6 touch:upper-trapezius@s*.4
stuck middle-trapezius@s upper-trapezius@s
before middle-trapezius@s upper-trapezius@s > rhomboids@s levator-scapulae@s
order Trapezius first, then everything that hooks to the blade.
means It is usually felt under the blade and comes from trapezius near its border, not from under it.

Headache from the skull base | skull-base | common
signs told-headache*.75 at-head*.6 touch:suboccipitals*.75 touch:upper-trapezius*.5 neck-flexion-short*.45 head-forward*.35
stuck suboccipitals
short upper-trapezius
before upper-trapezius > suboccipitals
order The neck's outer layers, then the skull base.
means Trapezius and the small muscles below the skull hold on to each other.

Thoracic segments held in a turn | thorax-turned* | common
signs high-t-upper@s*.45 high-t-mid@s*.7 high-t-low@s*.5 rock-thorax@s*.55 ribs-back-stuck@s*.45 touch:thoracic-erectors@s*.5
stuck thoracic-groove@s thoracic-erectors@s
order Bring the high side to the mid-line, draw the low side away, look again.
means One strip beside the spine stands high: segments or ribs are held in a turn.

Lumbar segments held in a turn | lumbar-turned* | common
signs high-l-upper@s*.65 high-l-low@s*.75 rock-lumbar@s*.55 touch:lumbar-erectors@s*.5 at-low-back*.5
stuck multifidus-groove@s lumbar-erectors@s
order Bring the high side to the mid-line, draw the low side away, look again.
means The strip beside the low back stands high on one side: segments are held in a turn.

Pelvis tipped forward by the front of the thigh | tipped-forward | common
signs pelvis-forward*.85 edge-rectus*.55 touch:lumbar-erectors*.55 low-back-short*.4 at-low-back*.45 touch:rectus-femoris*.5
short rectus-femoris lumbar-erectors
long hamstrings
before rectus-femoris > lumbar-erectors
order Front of the thigh before low back.
means Both front thighs and the low back are short; the back of the thigh is long and tight.

Low back short under a long upper back | short-under-long | usual
signs low-back-short*.7 touch:lumbar-erectors*.65 pelvis-forward*.4 leans-back*.35 touch:thoracic-erectors*.3
short lumbar-erectors
long thoracic-erectors
order Lengthen one, not both: stop at the last ribs.
means The low back is short and the back above it long: the same stroke through both would lengthen the wrong one, too.

Kneecap drawn off its line | kneecap* | usual
signs at-leg*.5 touch:kneecap-bands@s*.6 touch:iliotibial-band@s*.55 touch:vastus-lateralis@s*.5 knee-in@s*.45
stuck kneecap-bands@s iliotibial-band@s
short vastus-lateralis@s
before iliotibial-band@s vastus-lateralis@s > kneecap-bands@s
order The thigh first, then spread around the kneecap.
means Quadriceps and the outer band pull unevenly at the kneecap.

Sole drawn from above | sole-chain* | usual
signs sole-pain*.85 at-leg*.6 touch:sole-of-the-foot@s*.7 touch:calf@s*.55 ankle-stiff@s*.5 touch:hamstrings@s*.4 touch:gluteus-maximus@s*.35
stuck sole-of-the-foot@s
short calf@s hamstrings@s gluteus-maximus@s
before gluteus-maximus@s hamstrings@s calf@s > sole-of-the-foot@s
order From the hip down; the foot last.
means The sole hangs at a chain that begins at the waist.

Forearm holding the hand | forearm* | usual
signs tingling*.7 at-arm*.65 touch:wrist-flexors@s*.6 touch:forearm-fascia@s*.55 works-hands*.5 touch:wrist-extensors@s*.35
stuck forearm-fascia@s wrist-bands@s
short wrist-flexors@s
order Both faces of the forearm, then pin and let the hand move.
means Tingling in the hand with a bound forearm: its fascia holds on both faces. New or growing numbness belongs to a doctor first.

A neck that was shaken | shaken-neck | usual
signs told-whiplash*.9 sphenoid-locked*.5 head-quiet*.5 touch:suboccipitals*.45 touch:sternocleidomastoid*.4 neck-turn-short*.35 at-neck*.5
stuck suboccipitals
short sternocleidomastoid scalenes
order Light touch before any neck lever; expect more time.
means Bones of the head that hardly move and a guarded neck after a whiplash or a fall on the head.

Head forward of the trunk | head-forward | common
signs head-forward*.9 face-up*.4 touch:suboccipitals*.5 touch:sternocleidomastoid*.45 works-bent*.55 at-neck*.4
short suboccipitals sternocleidomastoid scalenes
weak longus-colli
before sternocleidomastoid scalenes pectoralis-minor > suboccipitals
order Chest and front of the neck before the skull base.
means The head hangs before the trunk; the small muscles below the skull tip it up again.

Breathing with the chest | chest-breath | common
signs chest-first*.85 breath-fast*.4 touch:scalenes*.55 chest-small*.4 touch:diaphragm*.45
short scalenes
stuck diaphragm rib-spaces
before diaphragm rib-spaces > scalenes
order The rib edge and belly first, then the neck.
means The neck lifts the ribs at every breath, because the diaphragm does not.

Stiff rib cage | stiff-ribs | usual
signs chest-small*.8 ribs-front-stuck*.45 ribs-back-stuck*.5 rock-thorax*.45 touch:rib-spaces*.5
stuck rib-spaces rib-joints
order Ribs in front and at the side before those behind.
means The ribs spring little all around, so the breath finds no room.

Shoulder lifted by carrying | lifted-shoulder* | common
signs shoulder-high@s*.8 touch:upper-trapezius@s*.65 touch:levator-scapulae@s*.5 neck-bend-short@o*.45 carries*.5
short upper-trapezius@s levator-scapulae@s
before upper-trapezius@s > levator-scapulae@s
order The upper trapezius, then what lies under it.
means What is carried on one side is held up by the neck.

Neck that turns badly to one side | turn-held* | common
signs neck-turn-short@s*.85 touch:levator-scapulae@o*.6 touch:splenius@o*.45 touch:sternocleidomastoid@s*.35 at-neck*.55
short levator-scapulae@o splenius@o sternocleidomastoid@s
before sternocleidomastoid@s > levator-scapulae@o splenius@o
order Front of the neck, then the back, then turn again.
means Turning one way is held by the other side behind and by the same side in front.

Head held to one side | head-held* | usual
signs ear-high@o*.8 touch:scalenes@s*.55 neck-bend-short@o*.5 head-shifted@s*.3
short scalenes@s
order The side of the neck before its back.
means Short scalenes draw the head to their side.

Trunk drawn to one side | trunk-drawn* | usual
signs trunk-shifted@s*.85 touch:quadratus-lumborum@s*.45 trunk-bend-short@o*.45 at-low-back*.45 told-disc*.25
short quadratus-lumborum@s
order The side that is short first; a list that came suddenly belongs to a doctor.
means The trunk stands beside its pelvis, drawn by one side or away from something that hurts.

Hanging in the hips | hanging | usual
signs hips-forward*.8 leans-back*.65 knee-beyond*.4 pelvis-back*.35 touch:hamstrings*.45
short hamstrings
long iliopsoas
before hamstrings > iliopsoas
order The back of the thighs, then the front of the hips to wake it.
means The pelvis hangs in front of the ankles and the trunk leans back over it; the front of the hips is long.

Flat back, short hamstrings | flat-back | usual
signs pelvis-back*.8 leg-raise-short*.65 touch:hamstrings*.55 finger-floor-far*.5
short hamstrings
before hamstrings > lumbar-erectors
order The back of the thighs before the low back.
means Short hamstrings tip the pelvis back and take the curve out of the low back.

Knee locked beyond straight | knee-locked* | usual
signs knee-beyond@s*.9 touch:quadriceps@s*.4 told-mobile*.35 touch:soleus@s*.3
short soleus@s quadriceps@s
long popliteus@s
before soleus@s > quadriceps@s
order The calf, then the thigh; the joint is not pressed.
means The knee is locked backward, and calf and front thigh hold it there.

Knee that does not straighten | knee-not-straight* | rare
signs knee-bent@s*.85 leg-raise-short@s*.55 touch:hamstrings@s*.5 touch:popliteus@s*.4
short hamstrings@s popliteus@s
before hamstrings@s > popliteus@s
order The back of the thigh, then behind the knee, lightly.
means The knee stays bent in standing because what crosses it behind is short.

Knee and foot rolling in | rolling-in* | common
signs knee-in@s*.7 heel-out@s*.65 foot-out@s*.4 touch:peroneals@s*.4 touch:adductors@s*.4
short peroneals@s adductors@s
weak tibialis-posterior@s gluteus-medius@s
before peroneals@s > adductors@s
order From the foot up, then the inner thigh.
means Heel, arch and knee roll in together; the outer leg is short, what would lift the arch is weak.

Knee bowed outward | bowed* | rare
signs knee-out@s*.85 touch:iliotibial-band@s*.5 touch:hip-rotators@s*.4
short iliotibial-band@s hip-rotators@s
order The outer thigh, then the hip.
means The knee stands outward, held by the outer band and the hip's rotators.

Short calf | short-calf* | common
signs ankle-stiff@s*.85 touch:soleus@s*.6 touch:gastrocnemius@s*.45 at-leg*.35
short soleus@s gastrocnemius@s
order Calf skin and fascia, then what lies deep.
means The ankle bends little because the calf is short.

Bent over work | bent-work | common
signs works-bent*.8 at-low-back*.5 touch:lumbar-erectors*.6 head-forward*.4 leans-forward*.3 touch:rectus-abdominis*.35 touch:pectoralis-minor*.35
short rectus-abdominis pectoralis-minor
stuck thoracolumbar-fascia
long lumbar-erectors
before rectus-abdominis pectoralis-minor > thoracolumbar-fascia lumbar-erectors
order Open the front of the trunk before easing the back.
means Work that bends the trunk shortens its front; the low back holds on, long and tired.

Short hip flexor | short-flexor* | common
signs edge-flexor@s*.85 touch:iliopsoas@s*.6 sits*.5 leans-forward*.35 at-low-back*.4
short iliopsoas@s
before rectus-femoris@s rectus-abdominis > iliopsoas@s
order Belly wall and front of the thigh before the deep flexor.
means The front of the hip is short and pulls at the low back from in front.

Short outer band | short-band* | usual
signs edge-band@s*.8 touch:tensor-fasciae-latae@s*.55 touch:iliotibial-band@s*.55 at-leg*.25
short tensor-fasciae-latae@s
stuck iliotibial-band@s
before tensor-fasciae-latae@s > iliotibial-band@s
order The hip's front edge, then along the band.
means The outer band draws the thigh outward when the hip is let down.

Rotators pressing down the leg | leg-pain* | usual
signs leg-pain*.75 touch:hip-rotators@s*.7 hip-in-short@s*.5 at-pelvis*.45
short hip-rotators@s
order The buttock's outer layers first; pain or numbness below the knee belongs to a doctor first.
means Short rotators lie on the nerve that runs down the leg.

Low ribs held to the crest | flank-held* | usual
signs trunk-bend-short@o*.65 touch:quadratus-lumborum@s*.65 touch:latissimus@s*.35 hip-high@s*.3
short quadratus-lumborum@s
stuck side-waist-seam@s
before side-waist-seam@s > quadratus-lumborum@s
order The waist's seam, then the deep side.
means The side of the waist is short: the last ribs do not leave the crest.

Sacrum held in a turn | sacrum-turned* | usual
signs ankle-short@s*.65 high-sacrum@s*.6 rock-sacrum@s*.55 sacrum-locked*.35 at-low-back*.4
stuck back-sacroiliac-ligaments@s sacral-fascia
order Sacrum before the low back; ankle bones again sitting.
means An ankle bone that is short lying and even sitting, with a sacrum that does not rock: the turn is in the pelvis.

A leg that may be short by bone | leg-by-bone* | rare
signs leg-short@s*.85 ankle-short@s*.7 ankle-short-sitting@s*.75 hip-high@o*.5
order Measured by someone who may; work does not change it.
means The leg is short lying, sitting and by tape: it may be bone, which hands do not change.

Shoulder that moves little every way | stiff-shoulder* | rare
signs arm-out-short@s*.85 arm-side-short@s*.75 arm-up-short@s*.75 at-shoulder*.7 touch:subscapularis@s*.4
short subscapularis@s
stuck shoulder-joint@s
order What is around it first; a joint that ends hard or hurts at night belongs to a doctor.
means Every way of the shoulder is short, turning out most.

Arm held down by the back | held-down* | usual
signs arm-up-short@s*.7 touch:latissimus@s*.65 touch:teres-major@s*.45 shoulder-high@o*.3
short latissimus@s teres-major@s
order The side of the ribs, then the arm.
means A short latissimus holds the arm down from the back and the pelvis.

Chest muscle holding the arm in | chest-held* | usual
signs touch:pectoralis-major@s*.7 arm-out-short@s*.5 shoulder-forward@s*.4 at-chest*.3
short pectoralis-major@s
order Skin and fascia of the chest before the muscle.
means The large chest muscle turns the arm in and keeps it there.

Jaw that holds | jaw | usual
signs jaw-short*.7 touch:masseter*.75 told-jaw*.6 touch:temporalis*.45 at-head*.45
short masseter
stuck temporalis medial-pterygoid
before upper-trapezius sternocleidomastoid > masseter temporalis medial-pterygoid
order Neck before jaw; outside before inside.
means The jaw opens little because what closes it does not let go.

Hands that grip all day | gripping* | usual
signs touch:wrist-extensors@s*.7 works-hands*.65 at-arm*.55 touch:brachioradialis@s*.45
short wrist-extensors@s brachioradialis@s
order Forearm skin, then along the extensors.
means Gripping asks the extensors to hold the wrist all day.

Belly that holds | belly-held | usual
signs touch:rectus-abdominis*.65 touch:diaphragm*.5 chest-first*.4 leans-forward*.3
short rectus-abdominis
stuck diaphragm
order The skin of the belly first, then the rib edge.
means A held belly takes the room the breath needs.

Outer leg short | outer-leg* | common
signs touch:peroneals@s*.85 foot-out@s*.4 heel-out@s*.4 ankle-stiff@s*.25
short peroneals@s
before peroneals@s > sole-of-the-foot@s
order Outer leg from the knee down, foot last.
means The outer leg draws the foot out and its heel over.

Rounded, stiff upper back | rounded-back | usual
signs rock-thorax*.7 head-forward*.6 arm-up-short*.45 chest-small*.4 works-bent*.45
stuck rib-spaces thoracic-segments
long thoracic-erectors
order Open the front and the breath; what is long behind is not lengthened.
means The upper back is round and does not give; its long muscles are stretched already.

A spine known to curve | known-curve* | rare
signs told-curve*.95 high-t-mid@s*.7 high-l-low@o*.55 shoulder-high@s*.5
stuck thoracic-groove@s multifidus-groove@o
order Ease both hollows; the curve itself is bone's, not the hands'.
means Two strips stand high on opposite sides in a spine that is known to curve.

Scar that tethers | tethered-scar | rare
signs told-scar*.9 touch:abdominal-fascia*.5 touch:skin-of-the-belly*.35
stuck abdominal-fascia
order The way it will not slide, then all eight ways again.
means A scar that will not slide one way tethers what lies around it.

Low-back fascia that does not slide | low-back-fascia | common
signs touch:thoracolumbar-fascia*.8 low-back-short*.4 at-low-back*.55 touch:skin-of-the-low-back*.45
stuck thoracolumbar-fascia
order Skin and fascia before muscle.
means The fascia of the low back does not slide on what lies under it.

Inner thigh short | inner-thigh* | usual
signs touch:adductors@s*.8 knee-in@s*.4 hip-high@s*.3 at-pelvis*.35
short adductors@s
order Outer thigh first, inner thigh with consent.
means The inner thigh draws the knee in and the pelvis down.
`;
