import { randomInt, timingSafeEqual } from 'node:crypto';

export interface PairingCode {
  code: string;
  /** When it ends, ISO. */
  until: string;
}

export interface Pairing {
  /** A new code; the one before it ends. */
  make: () => PairingCode;
  /** Whether this is the code, however its digits are spaced; it serves once. */
  use: (code: string) => boolean;
}

const LASTS_MS = 10 * 60_000;
/** A billion codes; in its ten minutes some forty wrong ones can be tried (`http/access`). */
const DIGITS = 9;

/** One code at a time, for one device, for ten minutes. It lives in memory: a server started anew knows none. */
export function makePairing(now: () => number): Pairing {
  let current: { code: string; until: number } | null = null;
  return {
    make: () => {
      const code = Array.from({ length: DIGITS }, () => randomInt(10)).join('');
      current = { code, until: now() + LASTS_MS };
      return { code, until: new Date(current.until).toISOString() };
    },
    use: (code) => {
      if (!current || now() >= current.until) return false;
      const [given, wanted] = [Buffer.from(code.replaceAll(/\D/g, '')), Buffer.from(current.code)];
      if (given.length !== wanted.length || !timingSafeEqual(given, wanted)) return false;
      current = null;
      return true;
    },
  };
}
