import { isPictureCode } from '@/contract';
import { createHash, randomBytes, randomInt, timingSafeEqual } from 'node:crypto';

export interface PairingCode {
  /** Nine digits, to be typed. */
  code: string;
  /** The same in the picture: too long for anybody to guess. */
  secret: string;
  /** When it ends, ISO. */
  until: string;
}

export interface Pairing {
  /** A new code; the one before it ends. */
  make: () => PairingCode;
  /** Whether this is the code, however its digits are spaced, or the secret of the picture. */
  isRight: (code: string) => boolean;
  /** The same; it serves once. */
  use: (code: string) => boolean;
}

const LASTS_MS = 10 * 60_000;
const DIGITS = 9;
const SECRET_BYTES = 32;
/**
 * A billion codes: after so many wrong tries, of whomever, two in a million would be guessed. The digits then serve no
 * longer and the picture does; the desk can show new ones.
 */
const MOST_WRONG = 2000;

const hash = (text: string): Buffer => createHash('sha256').update(text).digest();

/** One code at a time, for one device, for ten minutes. It lives in memory: a server started anew knows none. */
export function makePairing(now: () => number): Pairing {
  let current: { code: Buffer; secret: Buffer; until: number; wrong: number } | null = null;
  const isRight = (given: string): boolean => {
    if (!current || now() >= current.until) return false;
    if (isPictureCode(given)) return timingSafeEqual(hash(given), current.secret);
    if (current.wrong >= MOST_WRONG) return false;
    const right = timingSafeEqual(hash(given.replaceAll(/\D/g, '')), current.code);
    if (!right) current.wrong += 1;
    return right;
  };
  return {
    make: () => {
      const code = Array.from({ length: DIGITS }, () => randomInt(10)).join('');
      const secret = randomBytes(SECRET_BYTES).toString('base64url');
      current = { code: hash(code), secret: hash(secret), until: now() + LASTS_MS, wrong: 0 };
      return { code, secret, until: new Date(current.until).toISOString() };
    },
    isRight,
    use: (code) => {
      const right = isRight(code);
      if (right) current = null;
      return right;
    },
  };
}
