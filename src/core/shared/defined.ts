/** A record without the fields that are not set: what was emptied is taken out, not kept as nothing. */
export const definedOnly = <T extends object>(record: T): { [F in keyof T]: Exclude<T[F], undefined> } =>
  Object.fromEntries(Object.entries(record).filter(([, value]) => value !== undefined)) as {
    [F in keyof T]: Exclude<T[F], undefined>;
  };
