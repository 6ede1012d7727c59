import { useRef } from "react";

/**
 * Ids for what is sent: the same content gets the same id, so that sending it again after a lost answer stores it once;
 * another content is another record, and gets one of its own.
 */
export function useOwnId(): (content: unknown) => string {
  const ids = useRef(new Map<string, string>());
  return (content) => {
    const key = JSON.stringify(content);
    const id = ids.current.get(key) ?? crypto.randomUUID();
    ids.current.set(key, id);
    return id;
  };
}
