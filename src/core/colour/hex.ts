/** A colour as it is written down, or null where it is none. Example: " #f3efe6" → "#F3EFE6". */
export function readHex(text: string): string | null {
  const digits = /^#([0-9a-fA-F]{6})$/.exec(text.trim())?.[1];
  // A code has no case of its own: large letters, as it is stored.
  // eslint-disable-next-line no-restricted-syntax
  return digits === undefined ? null : `#${digits.toUpperCase()}`;
}
