/**
 * What a number says that is told as a measurement: blood pressure and temperature. Limits are general teaching, from memory:
 * 140/90 is high, from 180/110 on it is urgent; 38.0 °C (100.4 °F) is a fever.
 */
export type Figure = { condition: "very-high-pressure" | "blood-pressure" | "quiet" | "sign-infection" };

const pressure = /\b(\d{2,3})\s*(?:\/|over|to)\s*(\d{2,3})\b/;
const celsius = /\b(3[4-9]|4[0-2])(?:[.,](\d))?\s*(?:°\s*c?\b|degrees?\b|c\b|celsius\b)?/;
const fahrenheit = /\b(9[5-9]|10[0-7])(?:[.,](\d))?\s*(?:°\s*f?\b|degrees?\b|f\b|fahrenheit\b)?/;

const value = (match: RegExpExecArray) => Number(`${match[1]}.${match[2] ?? 0}`);

/** The measurement in a part of what was told; undefined where there is none. */
export function figureIn(text: string): Figure | undefined {
  const said = text.toLowerCase();
  // with a stroke between them two such figures are nothing else: "185/115 at the chemist's"
  const named = /\b(bp|blood pressure|pressure|reading|systolic)\b/.test(said);
  const read = named ? pressure.exec(said) : /\b(\d{3})\s*\/\s*(\d{2,3})\b/.exec(said);
  if (read) {
    const [high, low] = [Number(read[1]), Number(read[2])];
    if (high > low && high >= (named ? 70 : 100) && high <= 280 && low >= (named ? 30 : 40) && low <= 160)
      return {
        condition:
          high >= 180 || low >= 110 ? "very-high-pressure" : high >= 140 || low >= 90 ? "blood-pressure" : "quiet",
      };
  }
  // a fever is told by its number alone: "38.7 and a stiff back"; weeks, weights and lengths are not
  if (/\b(3[89]|4[01])[.,]\d\b(?!\s*(kg|kilos?|cm|mm|%|w\b|wks?|weeks?|years?))/.test(said))
    return { condition: "sign-infection" };
  if (!/\b(temperature|temp|fever|degrees?|°)/.test(said)) return undefined;
  const warm = fahrenheit.exec(said);
  if (warm) return { condition: value(warm) >= 100.4 ? "sign-infection" : "quiet" };
  const found = celsius.exec(said);
  return found ? { condition: value(found) >= 38 ? "sign-infection" : "quiet" } : undefined;
}

/** Where an operation usually is, when nobody says it. */
const usual: readonly [RegExp, string][] = [
  [
    /\b(hysterectomy|womb|ovar(y|ies)|caesarean|cesarean|c-?section|appendix|appendectomy|bladder|prostate)\b/,
    "lower belly",
  ],
  [/\b(gall ?bladder|stomach|gastric|spleen|liver)\b/, "upper belly"],
  [/\b(thyroid|thyroidectomy)\b/, "front of the neck"],
  [/\b(mastectomy|lumpectomy|breast)\b/, "breast"],
  [/\b(bypass|open heart|heart valve)\b/, "breastbone"],
  [/\bcarpal tunnel\b/, "wrist"],
  [/\bbunions?\b/, "ball of the foot"],
  [/\b(meniscus|cruciate|acl)\b/, "knee"],
  [/\brotator cuff\b/, "shoulder"],
  [/\b(laminectomy|discectomy|microdiscectomy)\b/, "low back"],
  [/\bachilles\b/, "heel"],
];

/** The usual place of an operation by its name, in words; undefined where it has none. */
export const usualPlaceOf = (text: string): string | undefined =>
  usual.find(([name]) => name.test(text.toLowerCase()))?.[1];
