import { useEffect } from "react";

/**
 * On a page that is worked by one key or a pedal: a button that was pressed with a finger or a mouse does not stay where keys
 * go, or the next space would press it once more. Who went there by keys stays there.
 */
export function useFreeKeys(): void {
  useEffect(() => {
    const free = (event: MouseEvent) => {
      // a press by a key counts no clicks
      if (event.detail === 0) return;
      const pressed = (event.target as Element).closest<HTMLElement>("button, a[href], [role=button]");
      if (pressed && pressed === document.activeElement) pressed.blur();
    };
    document.addEventListener("click", free);
    return () => document.removeEventListener("click", free);
  }, []);
}
