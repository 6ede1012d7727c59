import { array, number, object, string } from "yup";

export const mostNote = 20_000;
const note = string()
  .max(
    mostNote,
    ({ value }: { value: string }) =>
      `Note: at most ${mostNote.toLocaleString("en")} characters, got ${value.length.toLocaleString("en")}. Nothing is cut: shorten it.`,
  )
  .default("");
/** How long steps took, where hands know better than the clock. */
const times = array(
  object({
    step: number().integer().min(0).max(200).required(),
    seconds: number().min(0, "Minutes: 0 or more.").max(36_000, "Minutes: at most 600.").required(),
  }),
)
  .max(200)
  .default([]);

/** A visit as it is closed: its note, how long the work took where its clock still runs, and times put right. */
export const closingSchema = object({
  visitId: string().uuid().required(),
  note,
  minutes: number()
    .min(0, "Minutes at the table: 0 or more, got ${value}.")
    .max(600, "Minutes at the table: at most 600, got ${value}.")
    .nullable()
    .default(null),
  times,
});

/** A closed visit as it is put right. */
export const amendSchema = object({
  visitId: string().uuid().required(),
  id: string().uuid().required(),
  after: string().uuid().nullable().default(null),
  note,
  why: string()
    .trim()
    .required("Why: say what is put right.")
    .min(4, "Why: “${value}” says too little.")
    .max(2000, "Why: at most 2000 characters."),
  times,
});
