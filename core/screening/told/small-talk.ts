import { stemOf } from "./words";

/** Other people: what is theirs is not the client's. Stems. */
export const others = new Set(
  [
    "mother",
    "father",
    "sister",
    "brother",
    "aunt",
    "uncle",
    "grandmother",
    "grandfather",
    "granny",
    "gran",
    "grandma",
    "grandpa",
    "husband",
    "wife",
    "partner",
    "son",
    "daughter",
    "child",
    "cousin",
    "parent",
    "friend",
    "family",
    "mum",
    "dad",
    "mom",
    "niece",
    "nephew",
    "boyfriend",
    "girlfriend",
    "neighbour",
    "colleague",
    "boss",
    "flatmate",
    "grandson",
    "granddaughter",
    "nan",
  ].map(stemOf),
);

/** What says that something is taken as a medicine. */
export const medicineCue =
  /\b(tablets?|pills?|capsules?|medication|medicines?|meds|mg|mcg|injections?|inject|drops|patch(es)?|drug|drugs|prescri\w+|infusions?|i take|taking|i'm on|im on|am on|puts? me on|put me on|started on|inhaler|cream|ointment|dose)\b/;

/** What says that there is nothing to tell, or only leads up to it. */
export const filler = new Set(
  "nothing none healthy fit horse fiddle illness illnesses disease diseases problem problems trouble issue issues condition conditions medical history health complaint complaints otherwise apart except besides general happy fine great perfectly perfect strong normal medication medications medicine medicines tablet tablets operations injuries injury accidents serious major big known wrong sick ill age usual people person life body right sure else still thank hello hi"
    .split(" ")
    .map(stemOf),
);
/** What is said about something told beside it, and is no new thing itself. */
export const commentary = new Set(
  "due remove splint sling side drop night carry pen everything report finish finished mention speak remember diagnosis twin early late stage last diagnose diagnosed brace teenager scan said watch watching test testing control controlled treatment treat palm floor x-ray xray ray tomorrow idea agony check checked result results appointment specialist consultant monitored stable mild severe bad worse better hospital ambulance stitched plaster doctor's regular regularly occasionally occasional flare flares long ago time believe properly healed heal fully completely gone clear cleared hot red swollen"
    .split(" ")
    .map(stemOf),
);

/** What one was doing when, and how it was: no thing of its own. Stems. */
export const circumstance = new Set(
  "blade joint muscle spot region sit stand walk run lift garden gardening desk work computer drive stairs stair sport football tennis ski sleep bend reach turn sofa bed car bike swim gym school climb help helped high low aura heavy box shopping baby carrying twist turning cold weather rain stress wakes wake wear wearing kitchen office chair typing screen phone moving move movement exercise dance success bike golf horse riding climbing hill steep marathon training"
    .split(" ")
    .map(stemOf),
);

/** Somebody who may say so forbids work on the body: "the surgeon said no massage until the scan". */
export const forbidden =
  /\b(doctor|dr|gp|consultant|surgeon|specialist|midwife|nurse|physio\w*|hospital|oncologist|neurologist|cardiologist|told|advised|said|says|warned)\b.*\b(no|nobody|not|never|don't|dont|avoid|without|against|stop|off)\b.*\b(massages?|bodywork|treatments?|manipulat\w*|touch\w*|pressure|hands|stretch\w*|deep work|work on)\b/;
