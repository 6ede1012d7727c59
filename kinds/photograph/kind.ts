import type { PhotoAtVisit } from "../../core/change/moments";
import { none, type Kind } from "../kind";

export const photograph: Kind<PhotoAtVisit> = {
  name: "Photographs with their marks",
  homes: [
    {
      path: "assess/stand",
      part: "Stand",
      command: "Stand: mark photographs",
      act: { role: "button", name: "Next view" },
    },
  ],
  // pictures are health data that a client may want gone for good
  tables: {
    photo: { rights: "select, insert, update, delete", of: "visit" },
    photo_file: { rights: "select, insert, delete", of: "photo" },
  },
  moments: (photos) => photos.map(({ ordinal, moment }) => ({ visit: ordinal, moment })),
  differences: none("their figures are compared one by one on Change, with what standing and marking differ by"),
  summary: none("the sheet of a visit says what was felt"),
  note: none("what changed in the figures stands on Change"),
  exported: (photos) =>
    photos.map(({ ordinal, moment, view, marks }) => ({
      visit: ordinal,
      moment,
      view,
      marks: JSON.stringify(marks),
    })),
};
