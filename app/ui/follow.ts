import type { MouseEvent } from "react";
import { useNavigate } from "react-router";

/**
 * For a row of plain links: hears what is pressed in it and goes there without loading the page anew. The router's own links
 * each listen to every change of the address; a page has dozens. What is to open elsewhere, the browser opens.
 */
export function useFollow(keepPlace = false): (event: MouseEvent<Element>) => void {
  const navigate = useNavigate();
  return (event) => {
    const to = (event.target as Element).closest("a[href]")?.getAttribute("href");
    if (!to || event.defaultPrevented || event.button !== 0) return;
    if (event.metaKey || event.ctrlKey || event.shiftKey || event.altKey) return;
    event.preventDefault();
    const { pathname, search, hash } = window.location;
    void navigate(to, { replace: to === pathname + search + hash, preventScrollReset: keepPlace });
  };
}
