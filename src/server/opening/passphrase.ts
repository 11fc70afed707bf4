import { randomBytes, scrypt, timingSafeEqual, type ScryptOptions } from 'node:crypto';
import { fail, succeed, type Result } from '@/core/shared';

/*
 * scrypt (RFC 7914) at the cost OWASP's password storage guidance gives: N = 2^17, r = 8, p = 1, which takes 128 MB. One
 * is worked out at a time, so that a crowd of tries cannot take the memory of the machine.
 */
const COST = { N: 2 ** 17, r: 8, p: 1 } as const;
const MEMORY = 160 * 2 ** 20;
const SALT_BYTES = 16;
const KEY_BYTES = 32;

const PASSPHRASE_LEAST = 12;
const PASSPHRASE_MOST = 200;
/** Fewer different letters than this are one word over and over. */
const DIFFERENT = 6;

/** Of 4: what takes ten thousand million guesses at least. */
const SAFE = 3;

/** How hard it is to guess, 0 to 4, by lists of common passwords and the ways they are varied. The lists are read when asked. */
async function guess(passphrase: string): Promise<number> {
  const [{ ZxcvbnFactory }, { adjacencyGraphs, dictionary }] = await Promise.all([
    import('@zxcvbn-ts/core'),
    import('@zxcvbn-ts/language-common'),
  ]);
  return new ZxcvbnFactory({ dictionary, graphs: adjacencyGraphs }).check(passphrase).score;
}

let turn: Promise<unknown> = Promise.resolve();

function derive(passphrase: string, salt: Buffer, options: ScryptOptions): Promise<Buffer> {
  const own = turn.then(
    () =>
      new Promise<Buffer>((resolve, reject) =>
        scrypt(passphrase.normalize('NFKC'), salt, KEY_BYTES, options, (error, key) =>
          error ? reject(error) : resolve(key),
        ),
      ),
  );
  turn = own.catch(() => undefined);
  return own;
}

/** A passphrase that is fit to guard a shop: long, and no common one however it was dressed up. Nothing else is asked of it. */
export async function checkPassphrase(passphrase: unknown): Promise<Result<string>> {
  if (typeof passphrase !== 'string') return fail('wrong_type', 'passphrase', { expected: 'text' });
  // As it will be compared: two ways to write the same letters are one.
  const normal = passphrase.normalize('NFKC');
  const letters = [...normal];
  if (letters.length < PASSPHRASE_LEAST || new Set(letters).size < DIFFERENT)
    return fail('weak_passphrase', 'passphrase', { min: PASSPHRASE_LEAST });
  if (letters.length > PASSPHRASE_MOST) return fail('too_long', 'passphrase', { max: PASSPHRASE_MOST });
  if ((await guess(normal)) < SAFE) return fail('weak_passphrase', 'passphrase', { min: PASSPHRASE_LEAST });
  return succeed(passphrase);
}

/** What is kept of a passphrase: cost, salt and key, in one line. */
export async function hashPassphrase(passphrase: string): Promise<string> {
  const salt = randomBytes(SALT_BYTES);
  const key = await derive(passphrase, salt, { ...COST, maxmem: MEMORY });
  return ['scrypt', COST.N, COST.r, COST.p, salt.toString('base64url'), key.toString('base64url')].join('$');
}

export async function isPassphrase(passphrase: string, kept: string): Promise<boolean> {
  const [, N, r, p, salt, key] = kept.split('$');
  const known = Buffer.from(key!, 'base64url');
  const options = { N: Number(N), r: Number(r), p: Number(p), maxmem: MEMORY };
  return timingSafeEqual(await derive(passphrase, Buffer.from(salt!, 'base64url'), options), known);
}
