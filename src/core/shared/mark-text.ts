/** A short mark that tells a text from others (FNV-1a, 32 bits; Fowler, Noll and Vo), in hexadecimal with the text's length. */
export function markText(text: string): string {
  let mark = 0x811c9dc5;
  for (let i = 0; i < text.length; i += 1) mark = Math.imul(mark ^ text.charCodeAt(i), 0x01000193);
  return `${text.length.toString(16)}-${(mark >>> 0).toString(16)}`;
}
