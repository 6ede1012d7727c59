import * as Comlink from "comlink";
import { findSpots, nameSpots, proportionsOf, type Colours } from "~core/measure/dots";
import { follow } from "~core/measure/follow";
import { mergeFound, expectedFrom, type FoundPoints } from "~core/measure/found-points";
import type { Marks } from "~core/measure/calibration";
import type { Grey } from "~core/measure/snap";
import type { View } from "~core/measure/view";

/** Another standing of the same minute: its picture, its marks, and where they would lie in this one. */
export type LastStanding = { picture: ImageBitmap; marks: Marks; guess: Marks };

function coloursOf(picture: ImageBitmap): Colours {
  const canvas = new OffscreenCanvas(picture.width, picture.height);
  const context = canvas.getContext("2d", { willReadFrequently: true })!;
  context.drawImage(picture, 0, 0);
  const { data, width, height } = context.getImageData(0, 0, picture.width, picture.height);
  return { data, width, height };
}

function greyOf({ data, width, height }: Colours): Grey {
  const grey = new Uint8Array(width * height);
  for (let i = 0; i < grey.length; i++)
    grey[i] = 0.299 * data[4 * i]! + 0.587 * data[4 * i + 1]! + 0.114 * data[4 * i + 2]!;
  return { data: grey, width, height, left: 0, top: 0 };
}

const points = {
  /**
   * Points of a picture: its dots, named by proportions or by where they were marked before; what has no dot is followed
   * from the last standing, where there is one.
   */
  find(picture: ImageBitmap, view: View, guess: Marks | undefined, last: LastStanding | undefined): FoundPoints {
    const colours = coloursOf(picture);
    const spots = findSpots(colours);
    const expected = guess && expectedFrom(view, guess);
    const named = expected
      ? nameSpots(spots, expected.places, expected.stature, colours)
      : nameSpots(spots, proportionsOf(view), 1, colours);
    const followed = last && follow(greyOf(coloursOf(last.picture)), last.marks, greyOf(colours), last.guess);
    return mergeFound(named, followed);
  },
};

export type PointsWorker = typeof points;
Comlink.expose(points);
