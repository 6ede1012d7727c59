import Button from "@mui/material/Button";
import ListItemText from "@mui/material/ListItemText";
import Menu from "@mui/material/Menu";
import MenuItem from "@mui/material/MenuItem";
import * as Comlink from "comlink";
import { useState } from "react";
import type { MarkKey, Marks } from "~core/measure/calibration";
import { isReference } from "~core/measure/marking";
import { fromPose } from "~core/measure/from-pose";
import { fromEarlier, fromProportions } from "~core/measure/propose";
import type { MarkedPhoto } from "~core/measure/read-photo";
import type { PointsWorker } from "~app/workers/points.worker";
import type { PoseWorker } from "~app/workers/pose.worker";
import type { Earlier } from "./earlier";

/** Guesses, and how sure their source is of each (0–1) where it says. */
export type Proposal = { marks: Marks; sure?: Partial<Record<MarkKey, number>> };

/** Asks the pose model, in a worker of its own that is made for it and ended after it. */
async function askModel(photo: MarkedPhoto, image: HTMLImageElement): Promise<Proposal | string> {
  const worker = new Worker(new URL("../../../workers/pose.worker.ts", import.meta.url), { type: "module" });
  const failed = new Promise<never>((_, reject) => {
    worker.onerror = () => reject(new Error("worker"));
  });
  try {
    const finder = Comlink.wrap<PoseWorker>(worker);
    const bitmap = await createImageBitmap(image);
    const pose = await Promise.race([finder.find(Comlink.transfer(bitmap, [bitmap])), failed]);
    if (!pose) return "The model sees nobody in this picture. Mark it by hand; nothing was changed.";
    return fromPose(photo.view, pose);
  } catch {
    return "The model could not be run here. Mark the picture by hand; nothing was changed.";
  } finally {
    worker.terminate();
  }
}

/** The points a worker finds: dots, and what can be followed from the last standing of the same minute. */
export async function findPoints(
  photo: MarkedPhoto,
  image: HTMLImageElement,
  earlier: Earlier | undefined,
): Promise<Proposal | string> {
  const worker = new Worker(new URL("../../../workers/points.worker.ts", import.meta.url), { type: "module" });
  const failed = new Promise<never>((_, reject) => {
    worker.onerror = () => reject(new Error("worker"));
  });
  try {
    const finder = Comlink.wrap<PointsWorker>(worker);
    const guess = earlier && fromEarlier(photo, earlier.photo);
    const picture = await createImageBitmap(image);
    const last =
      earlier?.same && guess
        ? { picture: await createImageBitmap(await load(earlier.url)), marks: earlier.photo.marks, guess }
        : undefined;
    const found = await Promise.race([
      finder.find(
        Comlink.transfer(picture, [picture]),
        photo.view,
        guess,
        last && Comlink.transfer(last, [last.picture]),
      ),
      failed,
    ]);
    if (Object.keys(found.marks).length === 0)
      return "No dots are seen in this picture. Mark it by hand; nothing was changed.";
    // plumb and stick hang about where they hung; they are looked at one by one
    const references = Object.fromEntries(
      Object.entries(guess ?? {}).filter(([key]) => isReference(key as MarkKey) && !found.marks[key as MarkKey]),
    );
    return { ...found, marks: { ...references, ...found.marks } };
  } catch {
    return "The picture could not be searched here. Mark it by hand; nothing was changed.";
  } finally {
    worker.terminate();
  }
}

const load = async (url: string): Promise<Blob> => {
  const answer = await fetch(url);
  if (!answer.ok) throw new Error("picture");
  return answer.blob();
};

/** Where guesses may come from. They are shown as guesses, and each waits to be confirmed. */
export function Proposals({
  photo,
  image,
  earlier,
  propose,
}: {
  /** The picture as it is marked when it is asked for. */
  photo: () => MarkedPhoto;
  image: HTMLImageElement | undefined;
  earlier: Earlier | undefined;
  /** Guesses, or the reason why there are none. */
  propose: (guesses: Proposal | string) => void;
}) {
  const [anchor, setAnchor] = useState<HTMLElement | undefined>();
  const [copied, setCopied] = useState<Marks | undefined>();
  const [asking, setAsking] = useState(false);
  const choose = (guesses: Marks | string) => {
    setAnchor(undefined);
    propose(typeof guesses === "string" ? guesses : { marks: guesses });
  };
  const ask = async (how: (photo: MarkedPhoto, image: HTMLImageElement) => Promise<Proposal | string>) => {
    setAnchor(undefined);
    if (!image) return;
    setAsking(true);
    propose(await how(photo(), image));
    setAsking(false);
  };
  const open = (button: HTMLElement) => {
    setCopied(earlier && fromEarlier(photo(), earlier.photo));
    setAnchor(button);
  };
  return (
    <>
      <Button
        size="small"
        variant="outlined"
        disabled={asking}
        onClick={(event) => open(event.currentTarget)}
        aria-haspopup="menu"
      >
        {asking ? "Looking at the picture" : "Suggest points"}
      </Button>
      {anchor && (
        <Menu open anchorEl={anchor} onClose={() => setAnchor(undefined)}>
          <MenuItem disabled={!copied} onClick={() => choose(copied!)}>
            <ListItemText
              primary={copied && earlier ? `As marked ${earlier.name}` : "As marked at an earlier visit"}
              secondary={copied ? "the same places on the body" : "this view was not marked before"}
            />
          </MenuItem>
          <MenuItem
            onClick={() =>
              choose(
                fromProportions(photo()) ??
                  "Mark plumb and stick first: stature and scale say where the points may be.",
              )
            }
          >
            <ListItemText primary="From proportions" secondary="from stature, once plumb and stick are marked" />
          </MenuItem>
          <MenuItem disabled={!image} onClick={() => void ask((photo, image) => findPoints(photo, image, earlier))}>
            <ListItemText
              primary={earlier?.same ? `Followed from ${earlier.name}, and from dots` : "From dots in the picture"}
              secondary={
                earlier?.same
                  ? "what looks the same; what is not sure is asked"
                  : "adhesive dots worn on the bony points"
              }
            />
          </MenuItem>
          <MenuItem disabled={!image} onClick={() => void ask(askModel)}>
            <ListItemText
              primary="From the picture"
              secondary="a pose model in this browser; joint centres, so look closely"
            />
          </MenuItem>
        </Menu>
      )}
    </>
  );
}
