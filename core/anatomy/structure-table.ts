/**
 * Structures that hands find, name and work, head to foot within each layer.
 *
 * A row: name | layer places ["mid"] | from – to | moves | fibres | other words.
 * - layer: SF surface fascia, DF deep fascia, SM outer muscle, DM inner muscle; joints are a table of their own
 * - places: where it can be reached, its own place first
 * - moves: joint motion[, motion]; joint motion …
 * - fibres: degrees from the long axis of the part it lies in, 0 along, 90 across; plus: the upper end is nearer the
 *   mid-line (down and outward), minus: the upper end is farther out (down and inward). "-": no one direction
 * Attachments and actions as in the handbooks of anatomy (Gray's Anatomy; Platzer, Color Atlas; Kendall, Muscles), from
 * memory; layers as hands meet them: common practice.
 */
export const structureRows = `
Scalp | SF crown forehead back-of-head temple mid | skin over the galea – brow and nape | - | - | scalp skin
Skin of the face | SF face jaw ear | brow – jaw | - | - | facial skin, skin of the cheek
Skin of the nape | SF neck-back skull-base shoulder-top | hairline – shoulders | - | - | neck skin fold, neck skin
Skin of the throat | SF neck-side throat collarbone | jaw – collarbone | - | - | front neck skin
Platysma | SF neck-side jaw collarbone | fascia below the collarbone – jaw and corner of the mouth | jaw opening | 10 | neck skin muscle
Skin over the blade | SF blade blade-edge shoulder-point | spine of the blade – side of the trunk | - | - | shoulder skin
Skin of the armpit | SF armpit side-ribs | arm – side ribs | - | - | axillary skin
Skin of the upper arm | SF upper-arm-front upper-arm-back | shoulder – elbow | - | - | arm skin
Skin of the forearm | SF forearm-front forearm-back elbow inner-elbow wrist | elbow – wrist | - | - | forearm skin fold
Skin of the hand | SF hand palm thumb fingers | wrist – finger tips | - | - | hand skin
Skin of the chest | SF upper-chest breastbone breast rib-edge collarbone | collarbone – rib edge | - | - | chest skin
Skin of the side ribs | SF side-ribs waist | armpit – waist | - | - | side skin
Skin of the upper back | SF t-upper t-mid t-low | neck – last rib | - | - | upper back skin
Skin of the low back | SF l-upper l-low flank | last rib – crest | - | - | low back skin
Skin of the belly | SF mid-belly upper-belly lower-belly groin waist pubis | rib edge – groin | - | - | belly skin, abdominal skin
Skin over the sacrum | SF sacrum tailbone buttock | crest – cleft | - | - | sacral skin
Skin of the hip | SF hip-side buttock hip-front sit-bone | crest – thigh | - | - | hip skin, buttock skin
Skin of the front thigh | SF thigh-front thigh-inner knee | groin – kneecap | - | - | skin of the thigh
Skin of the back thigh | SF thigh-back thigh-outer knee-back | sit bone – hollow of the knee | - | - | back thigh skin
Skin of the lower leg | SF calf shin outer-leg heel-cord ankle | knee – ankle | - | - | calf skin
Skin of the foot | SF instep sole heel big-toe toes | ankle – toes | - | - | foot skin
Galea | DF crown forehead back-of-head mid | frontalis – occipitalis | - | 0 | epicranial aponeurosis, scalp fascia
Temporal fascia | DF temple ear | temporal line – cheekbone arch | - | - | fascia of the temple
Masseteric fascia | DF jaw face | cheekbone arch – jaw | - | - | parotid fascia
Nuchal fascia | DF neck-back skull-base shoulder-top | skull – shoulders, around trapezius | - | - | back neck fascia
Nuchal ligament | DF neck-back skull-base mid | occiput – C7 | - | 0 | ligamentum nuchae
Investing neck fascia | DF neck-side throat jaw collarbone | jaw – collarbone and breastbone | - | - | superficial layer of the deep neck fascia
Shoulder fascia | DF shoulder-point shoulder-top blade | acromion – arm, over deltoid and cuff | - | - | deltoid fascia
Infraspinous fascia | DF blade blade-edge | spine of the blade – its lower angle | - | - | cuff fascia
Axillary fascia | DF armpit side-ribs | pectoral border – latissimus border | - | 90 | armpit fascia
Clavipectoral fascia | DF upper-chest collarbone armpit | collarbone – pectoralis minor and armpit | - | - | fascia under the pectoral
Arm fascia | DF upper-arm-front upper-arm-back | shoulder – elbow | - | - | brachial fascia
Forearm fascia | DF forearm-front forearm-back elbow inner-elbow | elbow – wrist | - | - | antebrachial fascia
Wrist bands | DF wrist | across the wrist, front and back | - | 90 | retinacula of the wrist, carpal ligament
Palm fascia | DF palm fingers | wrist – fingers | - | 0 | palmar aponeurosis
Pectoral fascia | DF upper-chest breast breastbone | collarbone – breastbone and rib edge | - | - | chest fascia
Breastbone fascia | DF breastbone upper-chest mid | notch – xiphoid | - | 0 | sternal fascia
Side-rib fascia | DF side-ribs rib-edge | armpit – rib edge, over serratus | - | - | serratus fascia
Upper back fascia | DF t-upper t-mid t-low blade-edge | neck – last rib, over trapezius and latissimus | - | - | thoracic fascia
Thoracolumbar fascia | DF l-low l-upper flank t-low | spines, crest and last ribs – latissimus and transversus | - | -45 | lumbodorsal fascia, low back fascia
Side-waist seam | DF flank waist | last rib – crest, where the layers of the waist meet | - | 0 | lateral raphe
Abdominal fascia | DF mid-belly upper-belly lower-belly waist | rib edge – groin | - | - | rectus sheath, belly fascia
White line | DF mid-belly upper-belly mid | xiphoid – pubis | - | 0 | linea alba
Inguinal ligament | DF groin hip-front | front hip bone – pubic tubercle | - | -45 | groin band
Sacral fascia | DF sacrum tailbone mid | crest – tailbone | - | - | fascia over the sacrum
Gluteal fascia | DF buttock hip-side | crest – outer band | - | 30 | buttock fascia
Iliotibial band | DF thigh-outer hip-side knee | crest, tensor and gluteus maximus – outer shin head | - | 0 | it band, outer band, iliotibial tract
Thigh fascia | DF thigh-front thigh-inner thigh-back | groin – knee | - | - | fascia lata
Outer thigh septum | DF thigh-outer thigh-back | outer band – thigh bone, between front and back | - | 0 | lateral intermuscular septum
Kneecap bands | DF knee | front thigh – shin, either side of the kneecap | - | 0 | patellar retinacula
Kneecap tendon | DF knee shin | kneecap – shin knob | knee-joint extension | 0 | patellar tendon, patellar ligament
Hollow fascia | DF knee-back calf | back thigh – calf | - | 90 | popliteal fascia
Crural fascia | DF calf shin outer-leg | knee – ankle | - | - | lower leg fascia
Ankle bands | DF ankle instep | across the ankle, front and sides | - | 90 | retinacula of the ankle
Achilles tendon | DF heel-cord heel | calf – heel bone | ankle-joint plantarflexion | 0 | heel cord, calcaneal tendon
Sole of the foot | DF sole heel | heel bone – toes | - | 0 | plantar fascia, plantar aponeurosis
Frontalis | SM forehead crown | galea – skin of the brow | - | 0 | forehead muscle
Occipitalis | SM back-of-head | nuchal line – galea | - | 0 | back of the scalp muscle
Temporalis | SM temple | temporal fossa – coronoid process of the jaw | jaw closing, retraction | 20 | temple muscle
Masseter | SM jaw face | cheekbone arch – angle of the jaw | jaw closing | -10 | jaw muscle, chewing muscle
Upper trapezius | SM neck-back shoulder-top neck-side skull-base | occiput and nuchal ligament – outer collarbone and acromion | blade-on-ribs elevation, upward-turn; neck-joints extension, side-bend | 35 | upper trap, descending trapezius
Sternocleidomastoid | SM neck-side | breastbone and collarbone – mastoid | neck-joints flexion, side-bend, rotation | -30 | scm, big neck muscle
Middle trapezius | SM blade blade-edge shoulder-top t-upper | spines C7 to T3 – acromion and spine of the blade | blade-on-ribs retraction | 90 | mid trap, transverse trapezius
Lower trapezius | SM blade-edge blade t-mid t-low | spines T4 to T12 – root of the spine of the blade | blade-on-ribs depression, upward-turn, retraction | -35 | lower trap, ascending trapezius
Deltoid, front | SM shoulder-point upper-arm-front | outer collarbone – deltoid knob | shoulder-joint flexion, inward-turn | 20 | anterior deltoid, deltoid
Deltoid, middle | SM shoulder-point | acromion – deltoid knob | shoulder-joint abduction | 0 | lateral deltoid
Deltoid, back | SM shoulder-point upper-arm-back blade | spine of the blade – deltoid knob | shoulder-joint extension, outward-turn | 30 | posterior deltoid
Infraspinatus | SM blade | infraspinous fossa – greater tubercle | shoulder-joint outward-turn | 70 | cuff, rotator cuff back
Teres minor | SM blade armpit | outer border of the blade – greater tubercle | shoulder-joint outward-turn, adduction | 55 | small round muscle
Teres major | SM blade armpit | lower angle of the blade – front of the upper arm | shoulder-joint inward-turn, adduction, extension | -45 | big round muscle
Supraspinatus | DM shoulder-top shoulder-point | supraspinous fossa – greater tubercle | shoulder-joint abduction | 80 | cuff top
Serratus anterior | SM side-ribs armpit | ribs 1 to 9 – inner border of the blade, its front | blade-on-ribs protraction, upward-turn | 60 | serratus, saw muscle
Biceps, long head | SM upper-arm-front inner-elbow | above the socket – radius | elbow-joint flexion; forearm-turn supination; shoulder-joint flexion | 0 | biceps brachii
Biceps, short head | SM upper-arm-front | coracoid – radius | elbow-joint flexion; forearm-turn supination; shoulder-joint flexion, adduction | 5 | short biceps
Coracobrachialis | SM upper-arm-front armpit | coracoid – inner upper arm | shoulder-joint flexion, adduction | 10 | inner arm muscle
Triceps, long head | SM upper-arm-back armpit | below the socket – olecranon | elbow-joint extension; shoulder-joint extension, adduction | 0 | triceps brachii, triceps
Triceps, outer head | SM upper-arm-back | back of the upper arm – olecranon | elbow-joint extension | -10 | lateral head of triceps
Brachioradialis | SM forearm-front inner-elbow elbow | outer upper arm – end of the radius | elbow-joint flexion | 0 | forearm bulge
Pronator teres | SM forearm-front inner-elbow | inner elbow knob – middle of the radius | forearm-turn pronation; elbow-joint flexion | 45 | round pronator
Flexor carpi radialis | SM forearm-front | inner elbow knob – second metacarpal | wrist-joint flexion, abduction | 15 | wrist flexors, thumb-side wrist flexor
Palmaris longus | SM forearm-front palm | inner elbow knob – palm fascia | wrist-joint flexion | 10 | long palm muscle
Flexor carpi ulnaris | SM forearm-front | inner elbow knob and ulna – pisiform | wrist-joint flexion, adduction | 0 | little-finger-side wrist flexor
Extensor carpi radialis | SM forearm-back elbow | outer elbow – second and third metacarpal | wrist-joint extension, abduction | 0 | wrist extensors, thumb-side wrist extensor
Extensor digitorum | SM forearm-back hand | outer elbow knob – backs of the fingers | wrist-joint extension; knuckles extension; finger-joints extension | 0 | finger extensor
Extensor carpi ulnaris | SM forearm-back | outer elbow knob – fifth metacarpal | wrist-joint extension, adduction | 10 | little-finger-side wrist extensor
Ball of the thumb | SM thumb palm | wrist bones – thumb | thumb-base flexion, abduction, opposition | 40 | thenar muscles
Ball of the little finger | SM palm | wrist bones – little finger | knuckles flexion, abduction | -20 | hypothenar muscles
Pectoralis major, upper | SM upper-chest collarbone | inner collarbone – upper arm crest | shoulder-joint flexion, adduction, inward-turn | 60 | clavicular pectoral, pec major
Pectoralis major, lower | SM upper-chest breast breastbone armpit | breastbone and rib cartilage – upper arm crest | shoulder-joint adduction, inward-turn, extension | -60 | sternal pectoral, pectoralis major
Thoracic erectors | SM t-mid t-low t-upper | crest, spines and ribs – ribs and thoracic processes | thoracic-segments extension, side-bend | 0 | upper back ropes, longissimus thoracis
Latissimus | SM flank t-low l-upper armpit blade side-ribs | spines T7 to crest, last ribs – front of the upper arm | shoulder-joint extension, adduction, inward-turn | -35 | latissimus dorsi, lats, broad back muscle
Lumbar erectors | SM l-upper l-low | sacrum and crest – lower ribs and lumbar processes | lumbar-segments extension, side-bend | 0 | erector spinae, low back ropes, iliocostalis lumborum
Rectus abdominis | SM mid-belly upper-belly lower-belly | pubis – xiphoid and ribs 5 to 7 | lumbar-segments flexion | 0 | six pack, straight belly muscle
External oblique | SM waist rib-edge lower-belly | ribs 5 to 12 – crest, white line | lumbar-segments flexion, side-bend, rotation | -45 | obliques, outer oblique
Gluteus maximus | SM buttock | crest, sacrum and tailbone – outer band and thigh bone | hip-joint extension, outward-turn | 45 | glute max, big buttock muscle
Gluteus medius | SM hip-side buttock | outer hip bone – top of the trochanter | hip-joint abduction, inward-turn | 10 | glute med
Tensor fasciae latae | SM hip-front hip-side thigh-outer | front hip bone – outer band | hip-joint flexion, abduction, inward-turn | 10 | tfl, band tensor
Sartorius | SM thigh-front thigh-inner hip-front | front hip bone – inner shin head | hip-joint flexion, abduction, outward-turn; knee-joint flexion | -30 | tailor muscle
Rectus femoris | SM thigh-front hip-front | front hip bone below its point, rim of the socket – kneecap and shin knob | hip-joint flexion; knee-joint extension | 0 | straight thigh muscle
Vastus lateralis | SM thigh-outer thigh-front | back of the thigh bone, trochanter – kneecap | knee-joint extension | -15 | outer quadriceps
Vastus medialis | SM thigh-front thigh-inner | back of the thigh bone, inner side – kneecap | knee-joint extension | 30 | inner quadriceps, teardrop
Adductor longus | SM thigh-inner groin | pubis – middle of the thigh bone | hip-joint adduction, flexion | 30 | long adductor, rider muscle
Gracilis | SM thigh-inner | pubis – inner shin head | hip-joint adduction; knee-joint flexion | 5 | slender muscle
Biceps femoris, long head | SM thigh-back thigh-outer | sit bone – head of the fibula | hip-joint extension; knee-joint flexion, outward-turn | 15 | outer hamstring
Semitendinosus | SM thigh-back | sit bone – inner shin head | hip-joint extension; knee-joint flexion, inward-turn | -5 | inner hamstring
Semimembranosus | SM thigh-back knee-back | sit bone – back of the inner shin head | hip-joint extension; knee-joint flexion, inward-turn | -10 | deep inner hamstring
Gastrocnemius | SM calf knee-back | above the knee, either side – heel cord | ankle-joint plantarflexion; knee-joint flexion | 0 | calf, twin calf muscle
Peroneus longus | SM outer-leg ankle | head and upper fibula – sole, base of the big toe | subtalar eversion; ankle-joint plantarflexion | 5 | peroneals, fibularis longus
Tibialis anterior | SM shin ankle | outer shin – inner midfoot | ankle-joint dorsiflexion; subtalar inversion | -10 | shin muscle
Extensor digitorum longus | SM shin instep | upper shin and fibula – toes | toe-joints extension; ankle-joint dorsiflexion | 0 | long toe extensor
Short toe flexor | SM sole | heel bone – toes | toe-joints flexion | 0 | flexor digitorum brevis
Abductor hallucis | SM sole heel big-toe | heel bone – big toe | big-toe-joint abduction, flexion | 0 | inner arch muscle
Short toe extensor | SM instep | heel bone – toes | toe-joints extension | -30 | extensor digitorum brevis
Buccinator | DM face jaw | upper and lower jaw – corner of the mouth | - | 90 | cheek muscle
Medial pterygoid | DM jaw | pterygoid process – inside of the jaw angle | jaw closing, side-shift | -10 | inner jaw muscle
Lateral pterygoid | DM jaw ear | sphenoid – neck and disc of the jaw joint | jaw opening, protraction, side-shift | 80 | outer pterygoid
Digastric | DM throat jaw ear | mastoid – hyoid – chin | jaw opening | 60 | double-bellied jaw muscle
Floor of the mouth | DM throat jaw mid | inside of the jaw – hyoid | jaw opening | 90 | mylohyoid
Strap muscles | DM throat | breastbone and blade – hyoid and larynx | neck-joints flexion | 0 | infrahyoid muscles
Longus colli | DM throat | front of C2 to T3 | neck-joints flexion | 10 | deep neck flexor, longus capitis
Levator scapulae | DM neck-side neck-back shoulder-top | side processes C1 to C4 – upper angle of the blade | blade-on-ribs elevation, downward-turn; neck-joints side-bend, extension | 20 | levator, blade lifter
Anterior scalene | DM neck-side collarbone | side processes C3 to C6 – first rib | neck-joints side-bend, flexion; rib-joints elevation | 15 | scalenes, front scalene
Middle scalene | DM neck-side | side processes C2 to C7 – first rib | neck-joints side-bend; rib-joints elevation | 20 | scalenus medius
Posterior scalene | DM neck-side shoulder-top | side processes C4 to C6 – second rib | neck-joints side-bend; rib-joints elevation | 25 | scalenus posterior
Splenius capitis | DM neck-back skull-base t-upper | nuchal ligament and spines C7 to T3 – mastoid | neck-joints extension, side-bend, rotation | -25 | splenius, bandage muscle
Splenius cervicis | DM neck-back t-upper t-mid | spines T3 to T6 – side processes C1 to C3 | neck-joints extension, side-bend, rotation | -15 | lower splenius
Semispinalis capitis | DM neck-back skull-base t-upper | side processes C4 to T6 – occiput | neck-joints extension | 10 | deep neck rope
Longissimus capitis | DM neck-back skull-base | side processes C4 to T5 – mastoid | neck-joints extension, side-bend | -5 | long neck strip
Rectus capitis posterior major | DM skull-base | spine of the axis – occiput | skull-atlas extension; atlas-axis rotation | -20 | suboccipitals, large suboccipital
Rectus capitis posterior minor | DM skull-base | atlas – occiput | skull-atlas extension | 0 | small suboccipital
Obliquus capitis superior | DM skull-base | side of the atlas – occiput | skull-atlas extension, side-bend | 15 | upper oblique of the head
Obliquus capitis inferior | DM skull-base | spine of the axis – side of the atlas | atlas-axis rotation | -70 | lower oblique of the head
Rhomboid minor | DM blade-edge t-upper | spines C7 and T1 – root of the spine of the blade | blade-on-ribs retraction, elevation, downward-turn | 50 | small rhomboid
Rhomboid major | DM blade-edge t-mid t-upper | spines T2 to T5 – inner border of the blade | blade-on-ribs retraction, elevation, downward-turn | 50 | rhomboids, big rhomboid
Serratus posterior superior | DM blade-edge t-upper | spines C7 to T3 – ribs 2 to 5 | rib-joints elevation | 45 | upper back serratus
Subscapularis | DM armpit blade | front of the blade – lesser tubercle | shoulder-joint inward-turn | 70 | cuff front, underside of the blade
Brachialis | DM upper-arm-front inner-elbow | front of the upper arm – ulna | elbow-joint flexion | 0 | deep elbow flexor
Triceps, inner head | DM upper-arm-back elbow | back of the upper arm, below – olecranon | elbow-joint extension | 0 | medial head of triceps
Supinator | DM forearm-back elbow | outer elbow and ulna – radius | forearm-turn supination | 60 | turning muscle
Finger flexors | DM forearm-front wrist | inner elbow, ulna and radius – fingers | finger-joints flexion; knuckles flexion; wrist-joint flexion | 0 | flexor digitorum
Long thumb flexor | DM forearm-front thumb | radius – tip of the thumb | thumb-base flexion | 0 | flexor pollicis longus
Thumb extensors | DM forearm-back thumb | ulna and radius – thumb | thumb-base extension, abduction | 20 | thumb tendons, snuffbox tendons
Pronator quadratus | DM forearm-front wrist | lower ulna – lower radius | forearm-turn pronation | 90 | square pronator
Hand spreaders | DM hand palm | between the metacarpals | knuckles abduction, adduction, flexion | 0 | interossei, lumbricals of the hand
Thumb adductor | DM palm thumb | third metacarpal – thumb | thumb-base adduction | 80 | adductor pollicis, web of the thumb
Pectoralis minor | DM upper-chest armpit | ribs 3 to 5 – coracoid | blade-on-ribs protraction, depression, downward-turn | -25 | pec minor
Subclavius | DM collarbone upper-chest | first rib – underside of the collarbone | collarbone-outer depression | 75 | under-collarbone muscle
Outer rib spaces | DM side-ribs breast rib-edge upper-chest | rib to rib, down and forward | rib-joints elevation | 45 | rib spaces, external intercostals
Inner rib spaces | DM breastbone upper-chest breast | rib to rib, down and back | rib-joints depression | -45 | internal intercostals
Diaphragm | DM rib-edge upper-belly | rib edge, xiphoid, lumbar spine – central tendon | rib-joints elevation | 0 | breathing muscle
Transversus thoracis | DM breastbone mid | inside of the breastbone – cartilage 2 to 6 | rib-joints depression | 40 | inside chest muscle
Thoracic groove | DM t-mid t-low t-upper | side processes – spines above | thoracic-segments extension, rotation | -20 | thoracic multifidus, rotatores, semispinalis thoracis
Serratus posterior inferior | DM t-low flank | spines T11 to L2 – ribs 9 to 12 | rib-joints depression | -45 | lower back serratus
Lifters of the ribs | DM t-mid t-upper | side processes – ribs below | rib-joints elevation | 40 | levatores costarum
Multifidus groove | DM l-low l-upper sacrum | sacrum, mamillary processes – spines two to four above | lumbar-segments extension, rotation | -20 | lumbar multifidus, multifidus
Quadratus lumborum | DM flank l-upper l-low | crest and iliolumbar ligament – last rib and side processes L1 to L4 | lumbar-segments side-bend, extension; rib-joints depression | -15 | ql, square loin muscle
Iliolumbar ligament | DM l-low flank | side process L5 – crest | - | 70 | ilio-lumbar band
Internal oblique | DM waist lower-belly | crest, thoracolumbar fascia – lower ribs, white line | lumbar-segments flexion, side-bend, rotation | 45 | inner oblique
Transversus abdominis | DM waist lower-belly mid-belly | thoracolumbar fascia, crest, ribs – white line | - | 90 | deep corset
Psoas major | DM lower-belly mid-belly groin | bodies and side processes T12 to L5 – lesser trochanter | hip-joint flexion, outward-turn; lumbar-segments flexion | 15 | psoas, hip flexor
Iliacus | DM hip-front groin lower-belly | inside of the hip bone – lesser trochanter | hip-joint flexion, outward-turn | -20 | hip bowl muscle
Pelvic floor | DM pubis tailbone sit-bone mid | pubis and ischium – tailbone | tail-joint flexion | 90 | levator ani
Gluteus minimus | DM hip-side | outer hip bone, below medius – front of the trochanter | hip-joint abduction, inward-turn | 10 | glute min
Piriformis | DM buttock | front of the sacrum – top of the trochanter | hip-joint outward-turn, abduction | 70 | hip rotators, pear muscle
Gemelli and obturators | DM buttock sit-bone | rim of the obturator hole, sit bone – trochanter | hip-joint outward-turn | 85 | obturator internus, gemellus
Quadratus femoris | DM sit-bone buttock | sit bone – back of the thigh bone | hip-joint outward-turn, adduction | 90 | square hip rotator
Sacrotuberous ligament | DM buttock sit-bone sacrum | sacrum – sit bone | - | 40 | sacral sling
Back sacroiliac ligaments | DM sacrum | sacrum – hip bone | - | 45 | posterior sacroiliac ligaments
Vastus intermedius | DM thigh-front | front of the thigh bone – kneecap | knee-joint extension | 0 | deep quadriceps
Pectineus | DM groin thigh-inner | pubis – below the lesser trochanter | hip-joint adduction, flexion | 45 | comb muscle
Adductor brevis | DM thigh-inner | pubis – upper thigh bone | hip-joint adduction | 35 | short adductor
Adductor magnus | DM thigh-inner thigh-back sit-bone | pubis and sit bone – thigh bone down to the knee | hip-joint adduction, extension | 25 | big adductor
Biceps femoris, short head | DM thigh-back thigh-outer | thigh bone – head of the fibula | knee-joint flexion, outward-turn | 15 | short hamstring
Popliteus | DM knee-back | outer thigh-bone knob – back of the shin | knee-joint flexion, inward-turn | -45 | knee unlocker
Plantaris | DM knee-back calf | above the outer knee – heel bone | ankle-joint plantarflexion | -10 | thin calf tendon
Soleus | DM calf heel-cord | shin and fibula – heel cord | ankle-joint plantarflexion | 0 | deep calf, flat calf muscle
Tibialis posterior | DM calf ankle | shin and fibula, between – inner midfoot and sole | ankle-joint plantarflexion; subtalar inversion | -5 | deep inner calf
Long toe flexor | DM calf ankle | back of the shin – toes | toe-joints flexion; ankle-joint plantarflexion | -5 | flexor digitorum longus
Long big-toe flexor | DM calf ankle | back of the fibula – big toe | big-toe-joint flexion; ankle-joint plantarflexion | -10 | flexor hallucis longus
Peroneus brevis | DM outer-leg ankle | lower fibula – fifth metatarsal | subtalar eversion; ankle-joint plantarflexion | 5 | fibularis brevis
Long big-toe extensor | DM shin instep big-toe | middle fibula – big toe | big-toe-joint extension; ankle-joint dorsiflexion | -10 | extensor hallucis longus
Square sole muscle | DM sole heel | heel bone – toe flexor tendons | toe-joints flexion | 0 | quadratus plantae
Big-toe adductor | DM sole big-toe | metatarsals – big toe | big-toe-joint adduction, flexion | 50 | adductor hallucis
Short big-toe flexor | DM sole big-toe | midfoot – big toe | big-toe-joint flexion | 0 | flexor hallucis brevis
Foot spreaders | DM instep sole | between the metatarsals | toe-joints abduction | 0 | interossei of the foot
`;

/** Several structures that hands often take as one: name | their keys | other words. */
export const groupRows = `
Scalenes | anterior-scalene middle-scalene posterior-scalene | scalene muscles
Splenius | splenius-capitis splenius-cervicis | splenii
Suboccipitals | rectus-capitis-posterior-major rectus-capitis-posterior-minor obliquus-capitis-superior obliquus-capitis-inferior | short neck extensors
Rhomboids | rhomboid-minor rhomboid-major | rhomboid muscles
Deltoid | deltoid-front deltoid-middle deltoid-back | deltoid muscle
Biceps | biceps-long-head biceps-short-head | biceps muscle
Triceps | triceps-long-head triceps-outer-head triceps-inner-head | triceps muscle
Wrist flexors | flexor-carpi-radialis palmaris-longus flexor-carpi-ulnaris pronator-teres | inner forearm muscles
Wrist extensors | extensor-carpi-radialis extensor-digitorum extensor-carpi-ulnaris | outer forearm muscles
Pectoralis major | pectoralis-major-upper pectoralis-major-lower | pecs, pectorals
Rib spaces | outer-rib-spaces inner-rib-spaces | intercostals
Obliques | external-oblique internal-oblique | oblique muscles
Iliopsoas | psoas-major iliacus | hip flexors
Hip rotators | piriformis gemelli-and-obturators quadratus-femoris | deep six, deep hip rotators
Hamstrings | biceps-femoris-long-head semitendinosus semimembranosus | hamstring muscles
Quadriceps | rectus-femoris vastus-lateralis vastus-medialis vastus-intermedius | quads
Adductors | adductor-longus gracilis adductor-magnus adductor-brevis | inner thigh muscles
Calf | gastrocnemius soleus | calf muscles
Deep calf | soleus tibialis-posterior long-toe-flexor long-big-toe-flexor | deep flexors of the leg
Peroneals | peroneus-longus peroneus-brevis | fibular muscles
`;
