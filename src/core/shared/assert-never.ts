/** Closes a switch over a union: a new member fails to compile until it is handled. */
export function assertNever(value: never): never {
  throw new Error(`Unhandled case: ${JSON.stringify(value)}`);
}
