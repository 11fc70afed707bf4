import type { Server as HttpServer } from 'node:http';
import type { Server as HttpsServer } from 'node:https';
import type { AddressInfo } from 'node:net';

/**
 * A line on which nothing moves for so long is given up, ms. How long a whole request may take is left open: a picture over
 * a slow line takes its time.
 */
const STILL_MS = 10 * 60_000;

/** Listens where it may, and on a free port where the wanted one is taken; gives the port. */
export function listen(server: HttpServer | HttpsServer, address: string, port: number): Promise<number> {
  server.requestTimeout = 0;
  server.timeout = STILL_MS;
  return new Promise((resolve, reject) => {
    server.once('error', (error: NodeJS.ErrnoException) =>
      error.code === 'EADDRINUSE' && port !== 0 ? resolve(listen(server, address, 0)) : reject(error),
    );
    server.listen(port, address, () => resolve((server.address() as AddressInfo).port));
  });
}
