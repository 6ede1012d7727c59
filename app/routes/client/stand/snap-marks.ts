import type { MarkKey, Marks, Px } from "~core/measure/calibration";
import { isReference } from "~core/measure/marking";
import { snapToLine, type Grey } from "~core/measure/snap";

/** Part of a picture in grey levels. */
function greyOf(image: HTMLImageElement, corner: Px, far: Px): Grey | undefined {
  const left = Math.max(0, Math.floor(Math.min(corner.x, far.x)));
  const top = Math.max(0, Math.floor(Math.min(corner.y, far.y)));
  const width = Math.min(image.naturalWidth, Math.ceil(Math.max(corner.x, far.x))) - left;
  const height = Math.min(image.naturalHeight, Math.ceil(Math.max(corner.y, far.y))) - top;
  if (width < 2 || height < 2) return undefined;
  const canvas = document.createElement("canvas");
  canvas.width = width;
  canvas.height = height;
  const context = canvas.getContext("2d", { willReadFrequently: true });
  if (!context) return undefined;
  context.drawImage(image, left, top, width, height, 0, 0, width, height);
  const { data: rgba } = context.getImageData(0, 0, width, height);
  const data = new Uint8Array(width * height);
  for (let i = 0; i < data.length; i++)
    data[i] = 0.299 * rgba[4 * i]! + 0.587 * rgba[4 * i + 1]! + 0.114 * rgba[4 * i + 2]!;
  return { data, width, height, left, top };
}

/** Both ends of the line a mark belongs to, moved on to the plumb line or stick seen there; undefined if none is seen. */
export function snapped(image: HTMLImageElement, marks: Marks, placed: MarkKey): Marks | undefined {
  if (!isReference(placed)) return undefined;
  const stick = placed.startsWith("stick");
  const [topKey, footKey] = stick ? (["stick.top", "stick.foot"] as const) : (["plumb.top", "plumb.foot"] as const);
  const [top, foot] = [marks[topKey], marks[footKey]];
  if (!top || !foot) return undefined;
  const reach = Math.max(6, image.naturalHeight / 110);
  const room = 5 * reach + 30;
  const grey = greyOf(
    image,
    { x: Math.min(top.x, foot.x) - room, y: Math.min(top.y, foot.y) - room },
    { x: Math.max(top.x, foot.x) + room, y: Math.max(top.y, foot.y) + room },
  );
  const found = grey && snapToLine(grey, top, foot, reach, stick);
  return found && { [topKey]: found.a, [footKey]: found.b };
}
