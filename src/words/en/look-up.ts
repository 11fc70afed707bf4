/** A sentence as it stands, or made from what was found. */
export type Words<Finding> = string | ((finding: Finding) => string);

/** The words of a code. Every map that is handed in is total by its own type; here one entry of it is read. */
export function lookUp<Finding>(words: object, code: string, finding: Finding): string {
  const own = (words as Readonly<Record<string, Words<Finding>>>)[code]!;
  return typeof own === 'string' ? own : own(finding);
}
