/** Tells the other tabs of this browser that something was changed at an address, and hears it from them. */
const channel = "ember-changed";

export function tellOtherTabs(path: string): void {
  if (typeof BroadcastChannel === "undefined") return;
  const tabs = new BroadcastChannel(channel);
  tabs.postMessage(path);
  tabs.close();
}

export function onOtherTabs(heard: (path: string) => void): () => void {
  if (typeof BroadcastChannel === "undefined") return () => undefined;
  const tabs = new BroadcastChannel(channel);
  tabs.onmessage = (event: MessageEvent<string>) => heard(event.data);
  return () => tabs.close();
}
