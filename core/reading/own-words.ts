/** What a client's own words (complaint, occupation) say of habits and of how it feels. Common words only; what is not said says nothing. */
const said: Record<string, RegExp> = {
  headache: /headache|migraine|head hurts|skull base/i,
  bent: /\b(bench(es)?|bent|stoop\w*|screens?|desks?|computers?|laptops?|offices?|luthier|sewing|seamst\w*|surgeon|dentist|hunch\w*)\b/i,
  sits: /\b(sits?|sitting|seated|driv(e|es|er|ing)|pilots?|desks?|offices?|coach|armchair)\b/i,
  hands:
    /\b(hands?|grip\w*|carv\w*|luthier|til(e|er|es|ing)|tools?|typ(es?|ing|ist)|strings?|guitar\w*|violin\w*|pian\w+|knit\w*|weav\w*|potter\w*|plaster\w*)\b/i,
  carries: /\b(carr(y|ies|ying)|bags?|overhead|bell.?ring\w*|ladders?|lift(s|ing)?|porter|child on)\b/i,
  tingling: /\b(tingl\w*|numb(ness)?|pins and needles|asleep)\b/i,
  sole: /\bsoles?\b|\bheels?\b|foot hurts|feet hurt|plantar|arch of/i,
  "down-the-leg": /down (the|my|her|his|one|left|right)[\w ]* ?leg|sciatic/i,
};

export type OwnWord = keyof typeof said;

/** A "no" that reaches what stands right behind it: "no headache", "without any tingling". */
const denied = /\b(no|not|never|without|free of|denies)(\s+(any|a|the|more|longer|much|real))*\s*$/i;

/** The words of a text that are known and not denied, each with what of it matched. */
export const wordsIn = (text: string): Map<string, string> =>
  new Map(
    Object.entries(said).flatMap(([key, pattern]) => {
      const all = [...text.matchAll(new RegExp(pattern.source, "gi"))];
      const found = all.find((match) => !denied.test(text.slice(0, match.index)));
      return found ? [[key, found[0]] as const] : [];
    }),
  );
