import { array, boolean, number, object, string } from "yup";
import { places } from "~core/anatomy/places";
import { regionKeys, type RegionKey } from "~core/anatomy/regions";
import type { Position } from "~core/techniques/technique";

export const positions: readonly Position[] = ["prone", "supine", "side", "seated"];

export const wishesSchema = object({
  version: number().integer().min(0).required(),
  covering: string<"draped" | "clothed">().oneOf(["draped", "clothed"], "Covering: choose one.").required(),
  positionsOut: array(
    string<Position>()
      .oneOf([...positions])
      .required(),
  )
    .max(3, "Positions: at least one has to be left.")
    .default([]),
  oil: boolean().required(),
  wax: boolean().required(),
  scentFree: boolean().required(),
  talk: string<"talk" | "quiet" | "either">().oneOf(["talk", "quiet", "either"]).required(),
  areasOut: array(
    object({
      region: string<RegionKey>()
        .oneOf([...regionKeys], "Area: “${value}” is not one of the regions.")
        .required(),
      places: array(
        string()
          .oneOf(
            places.map(({ key }) => key),
            "Area: “${value}” is not one of the places.",
          )
          .required(),
      )
        .max(12)
        .optional(),
      side: string<"L" | "R" | "both">().oneOf(["L", "R", "both"]).required(),
    }),
  )
    .max(60)
    .default([]),
  pauseWord: string().trim().default("").max(40, "Pause word: at most 40 characters."),
  chaperone: boolean().required(),
});
