import { createHash, randomBytes, randomUUID } from 'node:crypto';
import type { Db } from './connection';

/** A device that was let in over the network of the house. */
export interface Session {
  id: string;
  device: string;
  made_at: string;
  seen_at: string;
}

/** What the shop is as a whole, and who is let in. */
export interface ShopStore {
  /** Written once at the shop's birth; what a browser keeps is kept under it. */
  id: string;
  isOpen: () => boolean;
  setOpen: (open: boolean) => void;
  passphrase: () => string | null;
  setPassphrase: (hash: string | null) => void;
  /** Lets a device in; the token is told once and kept nowhere. */
  begin: (device: string, now: string) => { token: string; session: Session };
  /** The session of a token that has not ended and was used lately; its last use is written down. */
  find: (token: string, now: string) => Session | undefined;
  list: (now: string) => Session[];
  /** Ends one, or all; whether there was any. */
  end: (id: string | null, now: string) => boolean;
}

const DAY_MS = 86_400_000;
/** A device not seen for so long has to be let in again; none stays longer than the second. */
export const IDLE_DAYS = 30;
export const LONGEST_DAYS = 180;
/** How exactly the last use is known, ms: a write for each request would wear the disk. */
const SEEN_EVERY_MS = 60_000;
const TOKEN_BYTES = 32;

const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex');
const before = (now: string, days: number): string => new Date(Date.parse(now) - days * DAY_MS).toISOString();

/**
 * Reads the shop of a file, which is born where there is none yet.
 * @param id what it is born as: its own where it comes back from a copy
 */
export function makeShopStore(db: Db, now: string, id: string = randomUUID()): ShopStore {
  db.prepare('INSERT INTO shop (one, id, made_at) VALUES (1, ?, ?) ON CONFLICT (one) DO NOTHING').run(id, now);
  const shop = db.prepare('SELECT id, open, passphrase FROM shop');
  const read = (): { id: string; open: number; passphrase: string | null } => shop.get() as ReturnType<typeof read>;
  const setOpen = db.prepare('UPDATE shop SET open = ?');
  const setPassphrase = db.prepare('UPDATE shop SET passphrase = ?');
  const insert = db.prepare(
    'INSERT INTO session (id, token_sha256, device, made_at, seen_at) VALUES (@id, @hash, @device, @now, @now)',
  );
  const LIVE = 'ended_at IS NULL AND seen_at > @idle AND made_at > @oldest';
  const byToken = db.prepare(`SELECT id, device, made_at, seen_at FROM session WHERE token_sha256 = @hash AND ${LIVE}`);
  const live = db.prepare(`SELECT id, device, made_at, seen_at FROM session WHERE ${LIVE} ORDER BY seen_at DESC`);
  const touch = db.prepare('UPDATE session SET seen_at = ? WHERE id = ?');
  const endOne = db.prepare('UPDATE session SET ended_at = @now WHERE ended_at IS NULL AND (@id IS NULL OR id = @id)');
  const limits = (at: string) => ({ idle: before(at, IDLE_DAYS), oldest: before(at, LONGEST_DAYS) });

  return {
    id: read().id,
    isOpen: () => read().open === 1,
    setOpen: (open) => void setOpen.run(open ? 1 : 0),
    passphrase: () => read().passphrase,
    setPassphrase: (hash) => void setPassphrase.run(hash),
    begin: (device, at) => {
      const token = randomBytes(TOKEN_BYTES).toString('base64url');
      const session: Session = { id: randomUUID(), device, made_at: at, seen_at: at };
      insert.run({ id: session.id, hash: hashOf(token), device, now: at });
      return { token, session };
    },
    find: (token, at) => {
      const session = byToken.get({ hash: hashOf(token), ...limits(at) }) as Session | undefined;
      if (session && Date.parse(at) - Date.parse(session.seen_at) > SEEN_EVERY_MS) touch.run(at, session.id);
      return session;
    },
    list: (at) => live.all(limits(at)) as Session[],
    end: (id, at) => endOne.run({ id, now: at }).changes > 0,
  };
}
