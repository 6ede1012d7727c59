import { tokens, type Token } from "./words";

/** A part of what was told, its words, and what joins it to the next one. */
export type Part = { tokens: Token[]; text: string; after: "," | "and" | "or" | "." | "but" | "" };

/** A told text in parts: at full stops, commas, and where "and" or "but" begins something new. */
export function partsOf(text: string): Part[] {
  const parts: Part[] = [];
  const joined = text.replace(
    /\b(wear|pins|d|left|right|black|hot|red|stiff|up|on|over|again|more|two|twos) and (tear|needles|c|right|left|blue|swollen|hot|sore|down|off|over|again|more|a half)\b/gi,
    "$1 $2",
  );
  for (const sentence of joined.split(/(?<=[.;!?\n])\s+|\n|;/)) {
    const pieces = sentence.split(
      /(,|\s+(?:and|but|plus|or|nor|then|also|although|however|apart from|except(?: for)?|other than|besides)\s+|\s+-\s+|:\s)/i,
    );
    for (let i = 0; i < pieces.length; i += 2) {
      const piece = pieces[i]!.trim().replace(/[.;!?]+$/, "");
      const word = (pieces[i + 1] ?? ".").trim().toLowerCase();
      if (!piece) {
        // ", but": the second word says how it goes on
        if (parts.length > 0 && word !== ".")
          parts.at(-1)!.after = word === "or" || word === "nor" ? "or" : word === "and" ? "and" : "but";
        continue;
      }
      const after =
        word === ","
          ? ","
          : word === "and" || word === "plus" || word === "also"
            ? "and"
            : word === "or" || word === "nor"
              ? "or"
              : word === "."
                ? "."
                : "but";
      parts.push({ tokens: tokens(piece), text: piece, after });
    }
  }
  return parts;
}
