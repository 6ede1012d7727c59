/**
 * Signs: what may be found, each there or not. A sided sign is one on the left and one on the right.
 *
 * A row: name | key | sources. Sources, any of which tells it:
 * - level:METRIC the higher side of a level metric; shift:METRIC the side it is shifted to
 * - above:METRIC and below:METRIC out of a metric's usual range, that way
 * - table:CHECK off at the table; "-" after it: less than usual
 * - short:MOVEMENT short of what is usual, or of the other side; edge:PART short at the edge of the table
 * - touch:STRUCTURE bound under the hand; point:STRUCTURE a tender point in it
 * - told:CONDITION in the history; words:KEY in the client's own words (`own-words.ts`); at:REGION where the complaint is
 * - heard:head little motion at the head; locked:SEGMENT a bone of which nothing moves
 * Keys end in "*" where the sign has sides.
 */
export const signRows = `
# standing, and the same at the table
Shoulder high | shoulder-high* | level:shoulder-level table:shoulder-height
Hip high | hip-high* | level:pelvic-level table:hip-height
Ear high | ear-high* | level:head-tilt
Head shifted | head-shifted* | shift:head-shift
Trunk shifted | trunk-shifted* | shift:trunk-shift
Head forward | head-forward | below:craniovertebral above:tragus-offset
Face up | face-up | above:head-pitch
Shoulder forward | shoulder-forward* | above:shoulder-forward table:shoulder-point
Blade far from the spine | blade-wide* | above:scapula-root-distance above:scapula-low-distance table:blade-rest
No ridge of the blade, hand behind | no-ridge* | table:ridge
Pelvis tipped forward | pelvis-forward | above:pelvic-tilt
Pelvis tipped back | pelvis-back | below:pelvic-tilt
Hips in front of the ankles | hips-forward | above:trochanter-offset
Trunk leans back | leans-back | below:trunk-lean
Trunk leans forward | leans-forward | above:trunk-lean
Knee inward | knee-in* | above:knee-line
Knee outward | knee-out* | below:knee-line
Knee beyond straight | knee-beyond* | above:knee-position
Knee bent | knee-bent* | below:knee-position
Foot turned out | foot-out* | above:foot-turn-out table:turn-out
Heel tipped out | heel-out* | above:heel-line
# at the table
Ankle bone short, lying | ankle-short* | table:malleoli
Ankle bone short, sitting | ankle-short-sitting* | table:malleoli-sitting
Leg short by tape | leg-short* | table:leg-tape
Chest moves little | chest-small | table:chest-expansion-
Chest breath first | chest-first | table:breath-path
Breath fast | breath-fast | table:breath-rate
Front ribs spring little | ribs-front-stuck* | table:rib-spring-front
Back ribs spring little | ribs-back-stuck* | table:rib-spring-back
High beside the neck | high-neck* | table:high-neck
High beside the upper thoracic spine | high-t-upper* | table:high-t-upper
High beside the middle thoracic spine | high-t-mid* | table:high-t-mid
High beside the lower thoracic spine | high-t-low* | table:high-t-low
High beside the upper lumbar spine | high-l-upper* | table:high-l-upper
High beside the lower lumbar spine | high-l-low* | table:high-l-low
High side of the sacrum | high-sacrum* | table:high-sacrum
Neck rocks little | rock-neck* | table:rock-neck
Thoracic spine rocks little | rock-thorax* | table:rock-t-upper table:rock-t-mid table:rock-t-low
Lumbar spine rocks little | rock-lumbar* | table:rock-l-upper table:rock-l-low
Sacrum rocks little | rock-sacrum* | table:rock-sacrum
# moved
Neck turns little | neck-turn-short* | short:neck-rotation
Neck bends little | neck-bend-short* | short:neck-side-bend
Chin to chest short | neck-flexion-short | short:neck-flexion
Arm up short | arm-up-short* | short:shoulder-flexion
Arm out to the side short | arm-side-short* | short:shoulder-abduction
Arm turns out little | arm-out-short* | short:shoulder-outward
Low back opens little | low-back-short | short:schober
Fingertips far from the floor | finger-floor-far | short:finger-floor
Trunk bends little | trunk-bend-short* | short:trunk-side-bend
Hip turns in little | hip-in-short* | short:hip-inward
Back of the thigh short | leg-raise-short* | short:leg-raise short:knee-extension
Ankle bends little | ankle-stiff* | short:ankle-lunge short:ankle-dorsiflexion
Jaw opens little | jaw-short | short:jaw-opening
Hip flexor short | edge-flexor* | edge:hip_flexor
Front of the thigh short | edge-rectus* | edge:rectus_femoris
Outer band short | edge-band* | edge:outer_band
# told
Whiplash in the history | told-whiplash | told:whiplash told:skull-fracture
Operation or scar in the history | told-scar | told:operation told:scar told:fusion
Migraine or headache told | told-headache | told:migraine words:headache
Trouble with the jaw told | told-jaw | told:jaw
Disc trouble told | told-disc | told:disc told:disc-leg told:stenosis
Very mobile joints told | told-mobile | told:hypermobility
A curved spine told | told-curve | told:scoliosis
Works bent forward or at a screen | works-bent | words:bent
Sits much | sits | words:sits
Works with the hands | works-hands | words:hands
Carries on one side or overhead | carries | words:carries
Tingling told | tingling | words:tingling
Pain at the sole told | sole-pain | words:sole
Pain down the leg told | leg-pain | words:down-the-leg
Complaint at the head or jaw | at-head | at:head
Complaint in the neck | at-neck | at:neck
Complaint at the shoulder | at-shoulder | at:shoulder
Complaint in the upper back | at-upper-back | at:upper-back
Complaint at the chest | at-chest | at:chest
Complaint in the low back | at-low-back | at:low-back
Complaint at the pelvis or hip | at-pelvis | at:pelvis
Complaint at the arm | at-arm | at:arm
Complaint at the leg or foot | at-leg | at:leg
# light touch
Head moves little under listening hands | head-quiet | heard:head
Sphenoid locked | sphenoid-locked | locked:sphenoid
Sacrum locked | sacrum-locked | locked:sacrum
`;
