import { createElement, lazy, type ComponentType } from "react";

type Load<P> = () => Promise<{ default: ComponentType<P> }>;

const loading: Promise<unknown>[] = [];

/** What a page draws at once has to be there: the server waits for it before its first page. */
export const allHere = () => Promise.all(loading);

/** A component that the browser fetches when it is needed; on the server it is there from the start. */
export function whenNeeded<P extends object>(load: Load<P>): ComponentType<P> {
  if (typeof document !== "undefined") return lazy(load) as unknown as ComponentType<P>;
  let Here: ComponentType<P> | undefined;
  loading.push(load().then((it) => (Here = it.default)));
  return (props: P) => createElement(Here!, props);
}
