import type { HandMeasurement } from "../../core/measure/by-hand";
import { none, type Kind } from "../kind";

export const measurement: Kind<HandMeasurement> = {
  name: "Measurements by hand",
  homes: none("taken on Stand, beside the picture"),
  tables: { measurement: { rights: "select, insert, update, delete", of: "visit" } },
  moments: (list) => list.map(({ ordinal, moment }) => ({ visit: ordinal, moment })),
  differences: none("compared with the figures of pictures, on Change"),
  summary: none("the sheet of a visit says what was felt"),
  note: none("what changed in the figures stands on Change"),
  exported: (list) =>
    list.map(({ ordinal, moment, readingId, method, standing, value }) => ({
      visit: ordinal,
      moment,
      measured: readingId,
      method,
      standing: standing ?? 1,
      value,
    })),
};
