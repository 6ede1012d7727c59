import { boolean, number, object, string } from "yup";
import { views, type View } from "~core/measure/view";
import type { Moment } from "~core/findings/restriction";

const length = (name: string, from: number, to: number) =>
  number()
    .typeError(`${name}: type a number of millimetres.`)
    .required(`${name}: type a number of millimetres.`)
    .min(from, `${name}: \${value} mm is under ${from}.`)
    .max(to, `${name}: \${value} mm is over ${to}.`);

/** How a picture was taken; the same limits for the form and for the server. */
export const setupSchema = object({
  stickLength: length("Stick length", 200, 3000),
  cameraDistance: length("Camera distance", 1000, 10000),
  cameraHeight: length("Lens height", 200, 2500),
  stickBehind: number()
    .typeError("Stick behind the ankles: type a number of millimetres.")
    .min(-1000, "Stick behind the ankles: ${value} mm is under −1000.")
    .max(1000, "Stick behind the ankles: ${value} mm is over 1000.")
    .optional(),
  stickHangs: boolean().optional(),
  dotted: boolean().optional(),
  stature: number()
    .typeError("Stature: type a number of millimetres.")
    .min(900, "Stature: ${value} mm is under 900.")
    .max(2300, "Stature: ${value} mm is over 2300.")
    .optional(),
});

export const uploadSchema = setupSchema.concat(
  object({
    id: string().uuid("The picture's id is not valid.").required("The picture's id is missing."),
    visit: string().uuid("The visit's id is not valid.").required("The visit is missing."),
    moment: string<Moment>()
      .oneOf(["before", "after"], "Moment: before or after.")
      .required("Moment: before or after."),
    standing: number().typeError("Standing: 1, 2 or 3.").oneOf([1, 2, 3], "Standing: 1, 2 or 3.").optional(),
    view: string<View>()
      .oneOf(views, "View: front, back, left or right.")
      .required("View: front, back, left or right."),
  }),
);
