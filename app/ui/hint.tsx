import { useEffect, useId, useRef, type ReactNode } from "react";

/** How long a pointer rests before more is said, and may be away before it goes; the same for a finger (ms). */
const wait = { before: 100, after: 120, held: 500, read: 4000 };
/** Between it and what it is about, and to the edge of the window (px). */
const gap = 8;

/**
 * More about something small: shown under it while a pointer rests on it, while it is reached by key, and for a while after a
 * finger held it (or touched it, where that does nothing else); Escape takes it away. What it is about is told where the
 * words are (`aria-describedby`).
 */
export function Hint({ says, children }: { says: string; children: (describedBy: string) => ReactNode }) {
  const id = useId();
  const about = useRef<HTMLSpanElement>(null);
  const words = useRef<HTMLSpanElement>(null);
  const timer = useRef<number>(undefined);
  const soon = (act: () => void, ms: number) => {
    window.clearTimeout(timer.current);
    timer.current = window.setTimeout(act, ms);
  };
  const hide = () => {
    window.clearTimeout(timer.current);
    if (words.current?.matches(":popover-open")) words.current.hidePopover();
  };
  const show = () => {
    if (!about.current || !words.current) return;
    if (!words.current.matches(":popover-open")) words.current.showPopover();
    const [of, own] = [about.current.getBoundingClientRect(), words.current.getBoundingClientRect()];
    const left = Math.min(Math.max(of.left + (of.width - own.width) / 2, gap), window.innerWidth - own.width - gap);
    const below = of.bottom + gap + own.height < window.innerHeight;
    words.current.style.left = `${left}px`;
    words.current.style.top = `${below ? of.bottom + gap : of.top - gap - own.height}px`;
  };
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => event.key === "Escape" && hide();
    window.addEventListener("keydown", onKey);
    window.addEventListener("scroll", hide, true);
    return () => {
      window.clearTimeout(timer.current);
      window.removeEventListener("keydown", onKey);
      window.removeEventListener("scroll", hide, true);
    };
  }, []);
  return (
    <span
      ref={about}
      className="hint"
      onPointerEnter={({ pointerType }) => pointerType === "mouse" && soon(show, wait.before)}
      onPointerLeave={({ pointerType }) => soon(hide, pointerType === "mouse" ? wait.after : wait.read)}
      onPointerUp={({ pointerType, target }) =>
        pointerType !== "mouse" && !(target as Element).closest("button, a") && show()
      }
      onPointerDown={({ pointerType }) => (pointerType === "mouse" ? hide() : soon(show, wait.held))}
      onFocus={({ target }) => target.matches(":focus-visible") && show()}
      onBlur={hide}
    >
      {children(id)}
      <span ref={words} id={id} role="tooltip" popover="manual" className="hint-words">
        {says}
      </span>
    </span>
  );
}
