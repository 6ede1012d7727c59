import { afterWords, asksRest, skinPlace, skinWords, type SkinFound } from "../../core/findings/skin";
import { capitalised } from "../../core/words";
import { none, type Kind } from "../kind";

const what = (each: SkinFound) =>
  `${skinWords[each.response]} after ${afterWords[each.after]}${asksRest(each) ? `: ${each.gone ? "gone" : "rests until it is gone, 48 hours at least"}` : ""}`;

export const skin: Kind<SkinFound> = {
  name: "Marks on the skin",
  homes: none("recorded on Touch, where the work was"),
  tables: { skin_response: { rights: "select, insert, update", of: "visit" } },
  moments: none("a mark is what the work left, not how something stood before or after it"),
  differences: none("a mark comes and goes; it is no figure"),
  summary: (list, visit) =>
    list
      .filter((each) => each.visit === visit)
      .map((each) => ({
        id: each.id,
        name: `Skin, ${skinPlace(each)}`,
        what: what(each),
        lying: { places: [each.place], side: each.side ?? "both" },
      })),
  note: (list, visit) =>
    list.filter((each) => each.visit === visit).map((each) => `${capitalised(skinPlace(each))}: ${what(each)}.`),
  exported: (list) =>
    list.map(({ id, visit, place, side, response, after, gone }) => ({
      id,
      visit,
      place,
      side,
      response,
      after,
      gone,
    })),
};
