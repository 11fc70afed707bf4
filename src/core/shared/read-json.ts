import { fail, succeed, type Problem, type Result } from './problem';

/** How many values JSON may hold, by what it is: a small file can name millions, and each takes memory of its own. */
export const MOST_VALUES = { change: 60_000, piece: 500_000, list: 1_000_000, workshop: 2_000_000 } as const;

const [QUOTE, COMMA, BACKSLASH] = [0x22, 0x2c, 0x5c];
const [OPEN_LIST, OPEN_RECORD] = [0x5b, 0x7b];

/**
 * Counts the values of a JSON text before anything is made of them. What is not JSON is counted as if it were.
 * @param bytes UTF-8
 * @param most values (each opened list or record, and each further one in it) that are taken
 * @returns why it is refused, or null; `[[1,2],{"a":3}]` holds 5 values
 */
export function findTooMuch(bytes: Uint8Array, most: number): Problem | null {
  let values = 0;
  for (let i = 0; i < bytes.length; i += 1) {
    const byte = bytes[i];
    if (byte === QUOTE) i = endOfText(bytes, i);
    else if (byte === COMMA || byte === OPEN_LIST || byte === OPEN_RECORD) values += 1;
    if (values > most) return fail('too_many', '', { max: most }).problem;
  }
  return null;
}

function endOfText(bytes: Uint8Array, start: number): number {
  let at = start + 1;
  while (at < bytes.length && bytes[at] !== QUOTE) at += bytes[at] === BACKSLASH ? 2 : 1;
  return at;
}

/**
 * Reads JSON of a file or a request, once it was counted. A byte order mark, which some editors put in front, is passed over.
 * @param source UTF-8, or text
 */
export function readJson(source: Uint8Array | string, most: number = MOST_VALUES.piece): Result<unknown> {
  const bytes = typeof source === 'string' ? new TextEncoder().encode(source) : source;
  const problem = findTooMuch(bytes, most);
  if (problem) return { ok: false, problem };
  try {
    return succeed(JSON.parse(new TextDecoder().decode(bytes)));
  } catch (error) {
    return fail('not_json', '', { detail: error instanceof Error ? error.message : '' });
  }
}
