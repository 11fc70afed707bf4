import type { RequestListener } from 'node:http';
import { createServer, type Server } from 'node:https';
import { fail, succeed, type Result } from '@/core/shared';
import type { Authority } from './authority';
import { listen } from '../listen';
import { localName } from './addresses';

export interface Door {
  /** Lets phones in over the network of the house; opening an open door changes nothing. */
  open: () => Promise<Result<null>>;
  close: () => Promise<void>;
  /** Where phones find the shop while the door is open: the address to read out first. */
  urls: () => string[];
  /** The names it answers to; none while it is closed. */
  hosts: () => readonly string[];
  authority: () => Promise<Authority>;
}

interface DoorParts {
  /** Where the authority and its keys lie. */
  folder: string;
  handle: RequestListener;
  /** The private addresses to stand on, asked anew each time. */
  addresses: () => string[];
  /** The port wanted; another where it is taken. */
  port: number;
  /** How often addresses and the end of the certificate are looked at, ms. */
  lookEveryMs?: number;
}

const LOOK_EVERY_MS = 10 * 60_000;

/**
 * The door for phones: HTTPS on every private address of this machine, and on no other. When the machine gets another
 * address, or the certificate nears its end, it is opened anew.
 */
export function makeDoor({ folder, handle, addresses, port, lookEveryMs = LOOK_EVERY_MS }: DoorParts): Door {
  let authority: Promise<Authority> | null = null;
  let servers: Server[] = [];
  let standing: { hosts: readonly string[]; chain: string; port: number } | null = null;
  let watch: ReturnType<typeof setInterval> | null = null;

  // What makes certificates is a fifth of the program's start, and few let phones in.
  const theAuthority = (): Promise<Authority> => {
    authority ??= import('./authority').then(({ openAuthority }) => openAuthority(folder));
    // What could not be read or made now may be later.
    authority.catch(() => (authority = null));
    return authority;
  };

  const stopServers = async (): Promise<void> => {
    const old = servers;
    servers = [];
    standing = null;
    await Promise.all(
      old.map(
        (server) =>
          new Promise<void>((resolve) => {
            server.close(() => resolve());
            server.closeAllConnections();
          }),
      ),
    );
  };

  /** Stands on every address that can be had; one that has just gone from the machine is passed over. */
  const stand = async (certificate: { cert: string; key: string }, own: readonly string[]) => {
    const stood: string[] = [];
    let wanted = port;
    for (const address of own) {
      const server = createServer({ ...certificate, minVersion: 'TLSv1.2' }, handle);
      try {
        wanted = await listen(server, address, wanted);
        servers.push(server);
        stood.push(address);
      } catch (error) {
        if ((error as NodeJS.ErrnoException).code !== 'EADDRNOTAVAIL') throw error;
      }
    }
    return { stood, port: wanted };
  };

  const openNow = async (): Promise<Result<null>> => {
    const own = addresses();
    if (own.length === 0) {
      await stopServers();
      return fail('no_network');
    }
    const { chain, key } = await (await theAuthority()).certify([...own, localName()]);
    if (standing?.chain === chain) return succeed(null);
    await stopServers();
    const { stood, port: found } = await stand({ cert: chain, key }, own);
    if (stood.length === 0) return fail('no_network');
    const named = [...stood, localName()].map((host) => (host.includes(':') ? `[${host}]` : host));
    standing = { hosts: named, chain, port: found };
    return succeed(null);
  };

  /** A door that cannot be opened is told, and keeps nobody from working at the computer itself; it is tried again. */
  const open = async (): Promise<Result<null>> => {
    watch ??= setInterval(() => void open(), lookEveryMs);
    try {
      return await openNow();
    } catch (error) {
      await stopServers();
      return fail('door_not_opened', '', { detail: error instanceof Error ? error.message : '' });
    }
  };

  return {
    open,
    close: async () => {
      if (watch) clearInterval(watch);
      watch = null;
      await stopServers();
    },
    urls: () => standing?.hosts.map((host) => `https://${host}:${standing!.port}`) ?? [],
    hosts: () => standing?.hosts ?? [],
    authority: theAuthority,
  };
}
