/** The first letter small, to go on in a sentence: "Left dark" → "left dark". */
export const lowerFirst = (words: string): string =>
  /^\p{Lu}{2}/u.test(words) ? words : words.charAt(0).toLowerCase() + words.slice(1);

/** The first letter large, to begin one. */
export const upperFirst = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);
