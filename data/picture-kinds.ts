export const mostBytes = 25 * 1024 * 1024;

/** First bytes of the kinds of file that are taken; the name and the browser's word for it count for nothing. */
const kinds: ((head: Buffer) => boolean)[] = [
  (head) => head[0] === 0xff && head[1] === 0xd8 && head[2] === 0xff,
  (head) => head.subarray(0, 8).equals(Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a])),
  (head) => head.toString("latin1", 0, 4) === "RIFF" && head.toString("latin1", 8, 12) === "WEBP",
];

/** What can be said against a file before it is read: a sentence, or undefined. */
export function unfit(bytes: Buffer): string | undefined {
  if (bytes.length === 0) return "The file is empty.";
  if (bytes.length > mostBytes)
    return `The file has ${Math.round(bytes.length / 1048576)} MB; at most 25 MB are taken.`;
  return kinds.some((kind) => kind(bytes)) ? undefined : "This is not a JPEG, PNG or WebP picture.";
}
