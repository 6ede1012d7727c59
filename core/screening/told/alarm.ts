import { stemOf } from "./words";

/**
 * What a body does when something is wrong: words of signs, not names of illnesses. One of them that no reading used is
 * asked about, whatever else was read beside it: "red streaks from the cut" is more than a cut. Stems.
 */
export const alarm = new Set(
  "throb throbs throbbing pulse pulsing streak spread spreading bleed bleeding blood bloody faint fainted collapse blackout unconscious fever feverish shiver shivers chills numb numbness tingle tingling weak weakness paralysed lame limp clumsy stagger unsteady wobbly bladder bowel bowels pee peeing wee urine incontinent waterworks leak leaking lump lumps swell swollen blind blindness vision spin spins spinning dizzy slur slurred speech swallow swallowing choke droop droops spots rash blisters pus discharge weeping oozing vomit vomiting sudden suddenly worsening breathless breath gasp panting fluid fit seizure convulsion unstable cold pale jaundice yellow abscess infection infected contagious flashing curtain worst unbearable splitting tarry gums unexplained waters"
    .split(" ")
    .map(stemOf),
);

/** Words of these that only name something where they stand beside it: a blood clot, a bowel operation. Stems. */
export const organ = new Set(["blood", "bowel", "bladder"].map(stemOf));
