import { useEffect, useRef, type MouseEvent, type PointerEvent } from "react";

/** How long a press lasts until it is held, ms, and how far a finger may stray meanwhile, px. */
const holdMs = 380;
const stray = 10;

/** Tells a press that is held from one that is not. A held press is no click. */
export function useHold() {
  const pressed = useRef<{ timer: number; x: number; y: number } | undefined>(undefined);
  const held = useRef(false);
  const drop = () => {
    window.clearTimeout(pressed.current?.timer);
    pressed.current = undefined;
  };
  useEffect(() => drop, []);
  return {
    /** Whether the click that comes now ends a held press. */
    wasHeld: () => held.current,
    /** Handlers for what can be held: `then` is told where, in the window. */
    on: (then: (at: { x: number; y: number }, event: PointerEvent) => void) => ({
      onPointerDown: (event: PointerEvent) => {
        const { clientX: x, clientY: y, button } = event;
        drop();
        held.current = false;
        if (button !== 0) return;
        const timer = window.setTimeout(() => {
          held.current = true;
          then({ x, y }, event);
        }, holdMs);
        pressed.current = { timer, x, y };
      },
      onPointerMove: ({ clientX, clientY }: PointerEvent) => {
        const from = pressed.current;
        if (from && Math.hypot(clientX - from.x, clientY - from.y) > stray) drop();
      },
      onPointerUp: drop,
      onPointerCancel: drop,
      // what a long press opens elsewhere
      onContextMenu: (event: MouseEvent) => event.preventDefault(),
    }),
  };
}
