import { array, number, object, string, type InferType } from "yup";
import { builds, type Build } from "~core/anatomy/shape";
import { regionKeys, type RegionKey } from "~core/anatomy/regions";
import type { Client, ClientDraft, Complaint } from "~core/client";

const blank = (value: unknown, original: unknown) =>
  original === "" || original === null || original === undefined ? null : value;

/** So many complaints beside the first can be kept in order. */
export const mostFurther = 5;

/** One schema for the form and for the action. Messages name the field, the rule and, where it helps, the value. */
export const clientSchema = object({
  name: string().trim().required("Name: type a name.").max(120, "Name: at most 120 characters."),
  born: string()
    .transform(blank)
    .nullable()
    .default(null)
    .matches(/^\d{4}-\d{2}-\d{2}$/, {
      message: "Date of birth: use year-month-day, got “${value}”.",
      excludeEmptyString: true,
    })
    .test("past", "Date of birth: ${value} is not a day between 1900 and today.", (value) => {
      if (!value) return true;
      const time = Date.parse(value);
      return !Number.isNaN(time) && time >= Date.parse("1900-01-01") && time <= Date.now();
    }),
  occupation: string().trim().default("").max(120, "Occupation: at most 120 characters."),
  complaint: string().trim().default("").max(2000, "What they come for: at most 2000 characters."),
  complaintRegion: string()
    .transform(blank)
    .nullable()
    .default(null)
    .oneOf([...regionKeys, null], "Region: “${value}” is not one of the regions."),
  furtherComplaints: array(
    object({
      words: string()
        .trim()
        .required("What else: type it, or take the line out.")
        .max(2000, "What else: at most 2000 characters."),
      region: string()
        .transform(blank)
        .nullable()
        .default(null)
        .oneOf([...regionKeys, null], "Region: “${value}” is not one of the regions."),
    }),
  )
    .max(mostFurther, `What else: at most ${mostFurther} more.`)
    .default([]),
  statureCm: number()
    .transform(blank)
    .nullable()
    .default(null)
    .typeError("Stature: type a number of centimetres.")
    .min(90, "Stature: ${value} cm is under 90.")
    .max(230, "Stature: ${value} cm is over 230."),
  build: string<Build>()
    .oneOf([...builds], "Build: slender, middle or broad, got “${value}”.")
    .default("middle"),
  pressureCeiling: number()
    .typeError("Pressure ceiling: type a number.")
    .required("Pressure ceiling: type a number from 1 to 10.")
    .integer("Pressure ceiling: whole numbers only, got ${value}.")
    .min(1, "Pressure ceiling: at least 1.")
    .max(10, "Pressure ceiling: at most 10, got ${value}."),
});

export type ClientForm = InferType<typeof clientSchema>;

export const toDraft = ({ statureCm, complaintRegion, furtherComplaints, ...form }: ClientForm): ClientDraft => ({
  ...form,
  furtherComplaints: furtherComplaints as Complaint[],
  complaintRegion: complaintRegion as RegionKey | null,
  statureMm: statureCm === null ? null : Math.round(statureCm * 10),
});

export const toForm = (client: Client): ClientForm => ({
  name: client.name,
  born: client.born,
  occupation: client.occupation,
  complaint: client.complaint,
  complaintRegion: client.complaintRegion,
  furtherComplaints: (client.furtherComplaints ?? []).map((each) => ({ ...each })),
  statureCm: client.statureMm === null ? null : client.statureMm / 10,
  build: client.build ?? "middle",
  pressureCeiling: client.pressureCeiling,
});

export const emptyForm: ClientForm = {
  name: "",
  born: null,
  occupation: "",
  complaint: "",
  complaintRegion: null,
  furtherComplaints: [],
  statureCm: null,
  build: "middle",
  pressureCeiling: 5,
};
