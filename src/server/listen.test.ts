import { createServer } from 'node:http';
import { connect } from 'node:net';
import { listen } from './listen';

describe('a server that listens', () => {
  it('lets a request take its time, however slowly it comes, and gives up a line on which nothing moves', async () => {
    const server = createServer((_request, response) => response.end());
    await listen(server, '127.0.0.1', 0);
    expect([server.requestTimeout, server.timeout]).toEqual([0, 600_000]);
    server.close();
  });

  it('stands on another port where the wanted one is taken, and is refused an address that is not here', async () => {
    const [first, second] = [createServer(), createServer()];
    const taken = await listen(first, '127.0.0.1', 0);
    const other = await listen(second, '127.0.0.1', taken);
    expect(other).not.toBe(taken);
    const line = connect(other, '127.0.0.1');
    await new Promise<void>((resolve) => line.once('connect', () => resolve()));
    line.destroy();
    await expect(listen(createServer(), '203.0.113.9', 0)).rejects.toThrow(/EADDRNOTAVAIL/);
    first.close();
    second.close();
  });
});
