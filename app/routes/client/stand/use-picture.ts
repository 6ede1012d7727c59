import { useEffect, useState } from "react";

/**
 * Pictures are fetched once and held in memory only: the server forbids every cache. The last few are kept, so that
 * the next view is there when it is asked for.
 */
// eslint-disable-next-line no-restricted-syntax -- in the browser, of one signed-in person
const held = new Map<string, Promise<HTMLImageElement>>();
const most = 6;

async function load(url: string): Promise<HTMLImageElement> {
  const response = await fetch(url);
  if (!response.ok) throw new Error(`picture: ${response.status}`);
  const image = new Image();
  image.src = URL.createObjectURL(await response.blob());
  await image.decode();
  return image;
}

/** Begins to fetch a picture that will be asked for soon. */
export function preload(url: string): Promise<HTMLImageElement> {
  const known = held.get(url);
  held.delete(url);
  const picture = known ?? load(url);
  held.set(url, picture);
  picture.catch(() => held.delete(url));
  if (held.size > most) {
    const [oldest, gone] = held.entries().next().value!;
    held.delete(oldest);
    gone.then((image) => URL.revokeObjectURL(image.src)).catch(() => undefined);
  }
  return picture;
}

/** A decoded picture; "lost" when it could not be fetched. */
export function usePicture(url: string | undefined): HTMLImageElement | "lost" | undefined {
  const [found, setFound] = useState<{ url: string; image: HTMLImageElement | "lost" } | undefined>();
  useEffect(() => {
    if (!url) return;
    let wanted = true;
    preload(url)
      .then((image) => wanted && setFound({ url, image }))
      .catch(() => wanted && setFound({ url, image: "lost" }));
    return () => {
      wanted = false;
    };
  }, [url]);
  return found && found.url === url ? found.image : undefined;
}
