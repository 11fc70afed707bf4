/** Keeps what was made of some parts as long as they are the same objects: judgements stay so until their piece changes. */
export function keepWhile<Part, T>(make: (parts: readonly Part[]) => T): typeof make {
  let last: { parts: readonly Part[]; made: T } | null = null;
  return (parts) => {
    const same = last?.parts.length === parts.length && last.parts.every((part, i) => part === parts[i]);
    if (last === null || !same) last = { parts, made: make(parts) };
    return last.made;
  };
}
