import type { AddressInfo, Server } from 'node:net';

/** Listens where it may, and on a free port where the wanted one is taken; gives the port. */
export function listen(server: Server, address: string, port: number): Promise<number> {
  return new Promise((resolve, reject) => {
    server.once('error', (error: NodeJS.ErrnoException) =>
      error.code === 'EADDRINUSE' && port !== 0 ? resolve(listen(server, address, 0)) : reject(error),
    );
    server.listen(port, address, () => resolve((server.address() as AddressInfo).port));
  });
}
