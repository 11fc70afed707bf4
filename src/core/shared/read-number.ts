const NUMBER = /^-?\d+([.,]\d+)?$/;

/** A number as it is typed, with a point or a comma; nothing where it is none. */
export const readNumber = (text: string): number | undefined =>
  NUMBER.test(text.trim()) ? Number(text.trim().replace(',', '.')) : undefined;
