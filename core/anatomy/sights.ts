import { figureBox, figureViews, middleOf, placesSeen, type Drawn, type FigureView, type Point } from "./figure";
import type { PlaceKey } from "./places";
import { shaped, type Shape } from "./shape";

/** What is looked at: a view of the figure, whole or close up. */
export type Sight = {
  key: string;
  name: string;
  view: FigureView;
  box: { x: number; y: number; width: number; height: number };
};

const viewName: Record<FigureView, string> = {
  front: "front",
  back: "back",
  left: "left side",
  right: "right side",
  sole: "soles",
};

/** A whole view. */
export const whole = (view: FigureView): Sight => ({
  key: view,
  name: viewName[view],
  view,
  box: { x: 0, y: 0, ...figureBox },
});

const mirrored = (x: number, width: number) => figureBox.width - x - width;
const closeUp = (name: string, view: FigureView, x: number, y: number, width: number, height: number): Sight => ({
  key: `${name} ${view}`.replaceAll(" ", "-"),
  name,
  view,
  box: { x, y, width, height },
});

const head = { x: 72, y: 6, width: 56, height: 88 };
const hand = { x: 20, y: 218, width: 36, height: 62 };

/** The sights one may choose among. Left and right are the client's own: from the front the right hand is at the left. */
export const sightSets = {
  "front and back": [whole("front"), whole("back")],
  sides: [whole("left"), whole("right")],
  head: [
    closeUp("front", "front", head.x, head.y, head.width, head.height),
    closeUp("back", "back", head.x, head.y, head.width, head.height),
    closeUp("left side", "left", head.x, head.y, head.width, head.height),
    closeUp("right side", "right", head.x, head.y, head.width, head.height),
  ],
  hands: [
    closeUp("right palm", "front", hand.x, hand.y, hand.width, hand.height),
    closeUp("left palm", "front", mirrored(hand.x, hand.width), hand.y, hand.width, hand.height),
    closeUp("back of the left", "back", hand.x, hand.y, hand.width, hand.height),
    closeUp("back of the right", "back", mirrored(hand.x, hand.width), hand.y, hand.width, hand.height),
  ],
  soles: [closeUp("soles", "sole", 44, 16, 112, 192)],
} as const satisfies Record<string, readonly Sight[]>;
export type SightSet = keyof typeof sightSets;

const gap = 12;
const lettering = 20;

/** How sights are laid out on one sheet: two in a row, each as wide as the figure, with room for its name above. */
export function laidOut(sights: readonly Sight[]) {
  const columns = Math.min(2, sights.length);
  const tall = Math.max(...sights.map(({ box }) => (box.height * figureBox.width) / box.width));
  const rows = Math.ceil(sights.length / columns);
  return {
    width: columns * figureBox.width + (columns - 1) * gap,
    height: rows * (tall + lettering),
    at: (i: number): Point => [
      (i % columns) * (figureBox.width + gap),
      Math.floor(i / columns) * (tall + lettering) + lettering - 6,
    ],
  };
}

export const isClose = ({ box }: Sight): boolean => box.width < figureBox.width;

/**
 * The whole views that show weighted places best: the one that shows most of them, and a second when it shows one that the
 * first does not.
 */
export function bestViews(weights: ReadonlyMap<PlaceKey, number>): FigureView[] {
  const shown = (view: FigureView) => new Set(placesSeen(view).map(({ place }) => place));
  const sum = (view: FigureView, of: (place: PlaceKey) => boolean) =>
    [...weights].reduce((total, [place, weight]) => total + (shown(view).has(place) && of(place) ? weight : 0), 0);
  const ranked = (of: (place: PlaceKey) => boolean) =>
    figureViews.map((view) => ({ view, worth: sum(view, of) })).sort((a, b) => b.worth - a.worth)[0]!;
  const first = ranked(() => true).view;
  const seen = shown(first);
  const second = ranked((place) => !seen.has(place));
  return second.worth > 0 ? [first, second.view] : [first];
}

export const inSight = ({ box }: Sight, [x, y]: Point): boolean =>
  x >= box.x && x <= box.x + box.width && y >= box.y && y <= box.y + box.height;

/** The places that can be chosen in a sight: those whose middle lies in it. */
export const placesInSight = (sight: Sight): readonly Drawn[] =>
  isClose(sight)
    ? placesSeen(sight.view).filter(({ points }) => inSight(sight, middleOf(points)))
    : placesSeen(sight.view);

/** What a sight frames on the figure of a shape: a close-up goes where its part went. */
export function shapedBox(sight: Sight, shape: Shape): Sight["box"] {
  const { x, y, width, height } = sight.box;
  if (!isClose(sight)) return sight.box;
  const middle = y + height / 2;
  const at = (px: number, py: number) => shaped([px, py], sight.view, shape);
  const [left, top] = [at(x, middle)[0], at(x, y)[1]];
  return { x: left, y: top, width: at(x + width, middle)[0] - left, height: at(x, y + height)[1] - top };
}
