/** Tells the other tabs of this browser that something was changed at an address, and hears it from them. */
const channel = "ember-changed";
/** This page: it does not hear itself. */
let self: string | undefined;
const me = () => (self ??= crypto.randomUUID());

export function tellOtherTabs(path: string): void {
  if (typeof BroadcastChannel === "undefined") return;
  const tabs = new BroadcastChannel(channel);
  tabs.postMessage({ path, from: me() });
  tabs.close();
}

export function onOtherTabs(heard: (path: string) => void): () => void {
  if (typeof BroadcastChannel === "undefined") return () => undefined;
  const tabs = new BroadcastChannel(channel);
  tabs.onmessage = (event: MessageEvent<{ path: string; from: string }>) => {
    if (event.data.from !== me()) heard(event.data.path);
  };
  return () => tabs.close();
}
