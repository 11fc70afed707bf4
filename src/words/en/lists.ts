/** "a", "a and b", "a, b and c". */
export const listWords = (words: readonly string[]): string =>
  words.length > 1 ? `${words.slice(0, -1).join(', ')} and ${words[words.length - 1]!}` : (words[0] ?? '');
