/** What a client's own words (complaint, occupation) say of habits and of how it feels. Common words only; what is not said says nothing. */
const said: Record<string, RegExp> = {
  headache: /headache|migraine|head hurts|skull base/i,
  bent: /bench|bent|stoop|screen|desk|computer|laptop|office|luthier|sewing|seamst|surgeon|dentist|hunch/i,
  sits: /\bsit|seated|driv|pilot|desk|office|coach|armchair/i,
  hands: /\bhand|grip|carv|luthier|tile|tools?\b|typ(e|ing|ist)|string|guitar|violin|piano|knit|weav|potter|plaster/i,
  carries: /carr(y|ies)|bag\b|overhead|bell.?ring|ladder|lifting|porter|child on/i,
  tingling: /tingl|numb|pins and needles|asleep/i,
  sole: /\bsoles?\b|\bheels?\b|foot hurts|feet hurt|plantar|arch of/i,
  "down-the-leg": /down (the|my|her|his|one|left|right)[\w ]* ?leg|sciatic/i,
};

export type OwnWord = keyof typeof said;

/** The words of a text that are known, each with what of it matched. */
export const wordsIn = (text: string): Map<string, string> =>
  new Map(
    Object.entries(said).flatMap(([key, pattern]) => {
      const found = pattern.exec(text);
      return found ? [[key, found[0]] as const] : [];
    }),
  );
