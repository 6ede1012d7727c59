import { useTheme } from "@mui/material/styles";
import { useEffect, useRef, useState, type PointerEvent, type ReactNode } from "react";
import { pointName, type PointKey } from "~core/anatomy/landmarks";
import {
  referenceName,
  type MarkKey,
  type Marks,
  type PhotoSetup,
  type Px,
  type ReferenceKey,
} from "~core/measure/calibration";
import { isReference, marksOfView, markSide, type Marking, type MarkingCommand } from "~core/measure/marking";
import { isSideView, type View } from "~core/measure/view";
import Box from "@mui/material/Box";
import { Magnifier } from "./magnifier";
import { MarksLayer, PlumbThrough } from "./marks-layer";
import { heightOf, isWhole, panned, pinched, showing, wholePicture, zoomed, type Viewport } from "./viewport";
import { ZoomButtons } from "./zoom-buttons";

export const markName = (key: MarkKey): string =>
  isReference(key) ? referenceName[key as ReferenceKey] : pointName(key as PointKey);

/** As tall as the window leaves room for. */
export const pictureHeight = "calc(100dvh - 276px)";

/**
 * How near (screen px) a pointer must come to take hold of a mark: less while another point waits to be placed, so
 * that the canthus can be set next to the tragus.
 */
const reach = { waiting: 6, free: 16 };

const percent = (share: number) => `${100 * share}%`;
const layer = { position: "absolute", inset: 0, width: "100%", height: "100%", willChange: "transform" } as const;

/**
 * The photograph with its marks. Mouse and touch place and drag, arrows nudge, wheel and two fingers magnify; a
 * magnifier shows the place under the pointer in the corner furthest from it, so that finger and glass never cover it.
 */
export function Picture({
  image,
  view,
  setup,
  marking,
  guesses,
  sure = {},
  act,
  line,
  placed: afterPlacing,
  under,
  over,
}: {
  /** Nothing while it is on its way, or when it could not be had. */
  image: HTMLImageElement | undefined;
  view: View;
  setup: PhotoSetup;
  marking: Marking;
  /** Proposed places of marks that are not placed yet. */
  guesses: Marks;
  /** How sure the source of a guess is of it (0–1), where it says. */
  sure?: Partial<Record<MarkKey, number>>;
  act: (command: MarkingCommand) => void;
  /** Plumb through the ankles, in the picture's pixels. */
  line: { from: Px; to: Px } | undefined;
  /** Called when a pointer has set a mark down. */
  placed: (key: MarkKey) => void;
  /** Drawn between the photograph and the marks, and above the marks, in the picture's pixels. */
  under?: ReactNode;
  over?: ReactNode;
}) {
  const { tokens } = useTheme();
  const svg = useRef<SVGSVGElement>(null);
  const { width, height } = setup;
  const [shown, setShown] = useState<Viewport>(() => wholePicture(setup));
  const [hover, setHover] = useState<Px | undefined>();
  const [byKeys, setByKeys] = useState(false);
  const [dragging, setDragging] = useState<{ gesture: string; offset: Px; key: MarkKey } | undefined>();
  // fingers that are down, as shares of the screen; two of them magnify
  const fingers = useRef(new Map<number, Px>());
  const pinch = useRef<[Px, Px] | undefined>(undefined);
  const pressed = useRef<{ key: MarkKey; at: Px; on: Px } | undefined>(undefined);
  const panning = useRef<Px | undefined>(undefined);
  const placed = marksOfView(view).filter((key) => marking.marks[key]);
  const shownHeight = heightOf(shown, setup);

  const share = (event: { clientX: number; clientY: number }): Px => {
    const box = svg.current!.getBoundingClientRect();
    return { x: (event.clientX - box.left) / box.width, y: (event.clientY - box.top) / box.height };
  };
  const toPicture = (at: Px, view = shown): Px => ({
    x: view.x + at.x * view.w,
    y: view.y + at.y * heightOf(view, setup),
  });
  const nearest = (at: Px): MarkKey | undefined => {
    const px = shown.w / svg.current!.getBoundingClientRect().width;
    const there = { ...guesses, ...marking.marks };
    let best: MarkKey | undefined;
    let distance = (marking.marks[marking.active] ? reach.free : reach.waiting) * px;
    for (const key of Object.keys(there) as MarkKey[]) {
      const place = there[key]!;
      // the guess that is asked for is easier to take than its neighbours
      const d = Math.hypot(place.x - at.x, place.y - at.y) * (key === marking.active ? 0.5 : 1);
      if (d < distance) [best, distance] = [key, d];
    }
    return best;
  };

  // A magnified picture follows the point that is asked for.
  const asked = marking.marks[marking.active] ?? guesses[marking.active];
  const askedKey = marking.active;
  const [followed, setFollowed] = useState(askedKey);
  if (followed !== askedKey) {
    setFollowed(askedKey);
    setShown(asked ? showing(shown, asked, setup) : wholePicture(setup));
  }

  useEffect(() => {
    const element = svg.current!;
    const wheel = (event: WheelEvent) => {
      event.preventDefault();
      const box = element.getBoundingClientRect();
      const at = { x: (event.clientX - box.left) / box.width, y: (event.clientY - box.top) / box.height };
      setShown((view) =>
        zoomed(
          view,
          Math.exp(-event.deltaY * (event.deltaMode === 1 ? 0.06 : 0.002)),
          { x: view.x + at.x * view.w, y: view.y + at.y * heightOf(view, { width, height }) },
          { width, height },
        ),
      );
    };
    element.addEventListener("wheel", wheel, { passive: false });
    return () => element.removeEventListener("wheel", wheel);
  }, [width, height]);

  const down = (event: PointerEvent<SVGSVGElement>) => {
    event.currentTarget.setPointerCapture(event.pointerId);
    event.currentTarget.focus({ preventScroll: true });
    const on = share(event);
    if (event.pointerType === "touch") fingers.current.set(event.pointerId, on);
    if (fingers.current.size === 2) {
      // the first finger did not mean to place anything
      if (dragging) act({ kind: "undo" });
      pressed.current = undefined;
      setDragging(undefined);
      setHover(undefined);
      const [a, b] = [...fingers.current.values()] as [Px, Px];
      pinch.current = [toPicture(a), toPicture(b)];
      return;
    }
    if (event.button === 1) {
      event.preventDefault();
      panning.current = on;
      return;
    }
    if (event.button !== 0 || fingers.current.size > 2) return;
    const at = toPicture(on);
    const hit = nearest(at);
    const gesture = `drag ${event.timeStamp}`;
    if (hit && hit !== marking.active && marking.marks[hit] && !marking.marks[marking.active]) {
      // a point waits to be placed beside another: a click places it there, only a drag moves the other
      pressed.current = { key: hit, at, on };
    } else if (hit) {
      const place = marking.marks[hit] ?? guesses[hit]!;
      act({ kind: "choose", mark: hit });
      setDragging({ gesture, key: hit, offset: { x: place.x - at.x, y: place.y - at.y } });
      if (!marking.marks[hit]) act({ kind: "place", at: place, gesture });
    } else {
      act({ kind: "place", at, gesture });
      setDragging({ gesture, key: marking.active, offset: { x: 0, y: 0 } });
    }
    setHover(at);
  };
  const move = (event: PointerEvent<SVGSVGElement>) => {
    const on = share(event);
    if (fingers.current.has(event.pointerId)) fingers.current.set(event.pointerId, on);
    if (pinch.current && fingers.current.size === 2) {
      const [a, b] = [...fingers.current.values()] as [Px, Px];
      setShown(pinched(pinch.current, [a, b], setup));
      return;
    }
    if (panning.current) {
      const from = panning.current;
      panning.current = on;
      setShown((view) => panned(view, (from.x - on.x) * view.w, (from.y - on.y) * heightOf(view, setup), setup));
      return;
    }
    const at = toPicture(on);
    if (pressed.current) {
      const { key, at: from, on: start } = pressed.current;
      if (Math.hypot((on.x - start.x) * width, (on.y - start.y) * height) < 4) return;
      pressed.current = undefined;
      const place = marking.marks[key]!;
      act({ kind: "choose", mark: key });
      setDragging({
        gesture: `drag ${event.timeStamp}`,
        key,
        offset: { x: place.x - from.x, y: place.y - from.y },
      });
    } else if (dragging) {
      const place = { x: at.x + dragging.offset.x, y: at.y + dragging.offset.y };
      act({ kind: "place", at: place, gesture: dragging.gesture });
      setHover(place);
    } else setHover(at);
  };
  const up = (event: PointerEvent<SVGSVGElement>) => {
    fingers.current.delete(event.pointerId);
    panning.current = undefined;
    if (fingers.current.size < 2) pinch.current = undefined;
    if (pressed.current) {
      act({ kind: "place", at: pressed.current.at });
      pressed.current = undefined;
      afterPlacing(marking.active);
      if (marking.order === "guided") act({ kind: "advance", by: 1 });
      return;
    }
    if (!dragging) return;
    const { key, offset } = dragging;
    setDragging(undefined);
    afterPlacing(key);
    // guided: a fresh mark asks for the next one; a moved one stays chosen
    const fresh = (offset.x === 0 && offset.y === 0) || guesses[key] !== undefined;
    if (fresh && marking.order === "guided") act({ kind: "advance", by: 1 });
  };
  const zoomBy = (factor: number) => {
    const at = asked ?? { x: shown.x + shown.w / 2, y: shown.y + shownHeight / 2 };
    setShown((view) => (factor === 0 ? wholePicture(setup) : zoomed(view, factor, at, setup)));
  };
  const onKey = (event: React.KeyboardEvent) => {
    const far = event.shiftKey ? 10 : 1;
    const arrows: Record<string, [number, number]> = {
      ArrowLeft: [-far, 0],
      ArrowRight: [far, 0],
      ArrowUp: [0, -far],
      ArrowDown: [0, far],
    };
    const arrow = arrows[event.key];
    const command = (event.ctrlKey || event.metaKey) && event.key.toLowerCase();
    const here = hover ?? { x: width / 2, y: height / 2 };
    if (command === "z") act({ kind: event.shiftKey ? "redo" : "undo" });
    else if (command === "y") act({ kind: "redo" });
    else if (command) return;
    else if (arrow) {
      if (asked) act({ kind: "nudge", dx: arrow[0], dy: arrow[1] });
      else act({ kind: "place", at: here });
    } else if (event.key === "Enter") {
      if (marking.marks[marking.active]) act({ kind: "advance", by: 1 });
      else {
        act(asked ? { kind: "confirm" } : { kind: "place", at: here });
        afterPlacing(marking.active);
        if (!asked) act({ kind: "advance", by: 1 });
      }
    } else if (event.key === "Delete" || event.key === "Backspace") act({ kind: "remove" });
    else if (event.key === "[") act({ kind: "advance", by: -1 });
    else if (event.key === "]") act({ kind: "advance", by: 1 });
    else if (event.key === "+" || event.key === "=") zoomBy(1.6);
    else if (event.key === "-") zoomBy(1 / 1.6);
    else if (event.key === "0") zoomBy(0);
    else return;
    event.preventDefault();
  };

  const viewBox = `${shown.x} ${shown.y} ${shown.w} ${shownHeight}`;
  const r = shown.w / 130;
  // nothing of the picture is covered while nobody points at it
  const focus = hover ?? (byKeys ? asked : undefined);
  const order = marksOfView(view);
  const guessed = !marking.marks[marking.active] && guesses[marking.active] !== undefined;

  return (
    <Box sx={{ width: { xs: "100%", md: "auto" } }}>
      <Box
        sx={{
          position: "relative",
          borderRadius: "10px",
          overflow: "hidden",
          bgcolor: "divider",
          aspectRatio: `${width} / ${height}`,
          // on a tablet held upright the whole body shows, with room beside it to scroll by
          width: { xs: `min(100%, ${((72 * width) / height).toFixed(1)}dvh)`, md: "auto" },
          height: { xs: "auto", md: pictureHeight },
          minHeight: { md: 440 },
          maxWidth: "100%",
        }}
      >
        {/* layers of their own: a mark that is dragged does not draw twelve million pixels anew */}
        {image && (
          <Box
            component="img"
            src={image.src}
            alt=""
            draggable={false}
            data-testid="photograph"
            sx={{ position: "absolute", willChange: "transform", maxWidth: "none" }}
            style={{
              left: percent(-shown.x / shown.w),
              top: percent(-shown.y / shownHeight),
              width: percent(width / shown.w),
              height: percent(height / shownHeight),
            }}
          />
        )}
        {under && (
          <svg viewBox={viewBox} aria-hidden style={{ ...layer, pointerEvents: "none" }}>
            {under}
          </svg>
        )}
        <svg
          ref={svg}
          viewBox={viewBox}
          role="application"
          tabIndex={0}
          aria-label={`Photograph to mark. Active: ${markName(marking.active)}${guessed ? ", a guess" : ""}. Arrows move it, Enter ${guessed ? "confirms it" : "goes on"}, Delete takes it away, square brackets change the point, plus and minus magnify.`}
          style={{ ...layer, touchAction: "none", cursor: "crosshair" }}
          onPointerDown={down}
          onPointerMove={move}
          onPointerUp={up}
          onPointerCancel={up}
          onPointerLeave={() => !dragging && setHover(undefined)}
          onKeyDown={onKey}
          onFocus={() => setByKeys(true)}
          onBlur={() => setByKeys(false)}
        >
          {line && <PlumbThrough line={line} r={r} />}
          <MarksLayer view={view} marks={marking.marks} guesses={guesses} active={marking.active} r={r} />
          {over}
        </svg>
        {focus && image && (
          <Magnifier
            image={image}
            at={focus}
            size={setup}
            onRight={(focus.x - shown.x) / shown.w < 0.5}
            across={shown.w / 7}
            colour={tokens.ember}
          />
        )}
      </Box>
      {/* below the picture, where it covers no feet */}
      <Box sx={{ display: "flex", alignItems: "center", gap: 1, mt: 0.75, minHeight: 44 }}>
        <Box aria-live="polite" sx={{ flex: "1 1 0", width: 0, fontSize: 13.5, lineHeight: 1.35 }}>
          {placed.length === order.length ? "All points placed. " : guessed ? "Confirm or move " : "Place "}
          <strong>{markName(marking.active)}</strong>, {order.indexOf(marking.active) + 1} of {order.length}
          {markSide(marking.active) && !isSideView(view)
            ? (markSide(marking.active) === "R") === (view === "front")
              ? " (on the left of the picture)"
              : " (on the right of the picture)"
            : ""}
          {guessed && sure[marking.active] !== undefined
            ? `. The model is ${Math.round(100 * sure[marking.active]!)}% sure.`
            : ""}
        </Box>
        <ZoomButtons zoom={zoomBy} whole={isWhole(shown, setup)} />
      </Box>
    </Box>
  );
}
