import { writeFileSync } from 'node:fs';
import path from 'node:path';
import type { Dossier } from '@/core/dossier';
import { orderShop, readPieceWork } from '@/core/work';
import { makeFacts, makePiece } from '../properties/shop-data';
import { cleanUp, startServer, type Running } from './harness';

/* The order of the day's work, worked out by the server and kept. */

let server: Running;
beforeEach(async () => {
  server = await startServer();
});
afterEach(async () => {
  await server.stop();
  cleanUp(server.file);
});
const meet = (dossier: Dossier) => server.call('PUT', `/api/pieces/${dossier.piece.id}`, dossier);
const read = async (): Promise<string[]> => (await server.call('GET', '/api/lists/order')).body.order;
const piecesOf = (order: readonly string[]): string[] => [...new Set(order.map((id) => id.split('/')[0]!))].sort();

async function until(holds: (order: string[]) => boolean): Promise<string[]> {
  for (let tries = 0; tries < 100; tries += 1) {
    const order = await read();
    if (holds(order)) return order;
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
  throw new Error('the order did not come');
}

describe('the order of the work', () => {
  it('is that of the core, all open jobs of the pieces in work, and follows what changes', async () => {
    expect(await read()).toEqual([]);
    await meet(makePiece('rack'));
    await meet({ ...makePiece('sold'), outcomes: [{ id: 'o', outcome: 'fine' }] });
    const one = await until((order) => order.length > 0);
    const facts = makeFacts({
      now: '2026-12-01T00:00:30.000Z',
      timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
    });
    expect(one).toEqual(orderShop([readPieceWork(makePiece('rack'), facts)], facts));
    await meet(makePiece('bench'));
    const two = await until((order) => order.some((id) => id.startsWith('bench/')));
    expect(piecesOf(two)).toEqual(['bench', 'rack']);
    // What was shown first stays first.
    expect(two[0]).toBe(one[0]);
  });

  it('answers with what it has while it is worked out anew, and tells all pages of a new one', async () => {
    await meet(makePiece('rack'));
    await until((order) => order.length > 0);
    const end = new AbortController();
    const line = await fetch(`${server.base}/api/events`, { signal: end.signal });
    const reader = line.body!.pipeThrough(new TextDecoderStream()).getReader();
    await server.call('PUT', '/api/pieces/bench', makePiece('bench'), { 'x-bricolage-page': 'page-1' });
    expect(piecesOf(await read())).toEqual(['rack']);
    let heard = '';
    while (!heard.includes('"order":true')) heard += (await reader.read()).value;
    end.abort();
    expect(heard).toContain('data: {"order":true}');
    expect(piecesOf(await read())).toEqual(['bench', 'rack']);
  });

  it('outlives a restart, and is made anew where what was kept cannot be read', async () => {
    await meet(makePiece('rack'));
    await meet(makePiece('bench'));
    const before = await until((order) => piecesOf(order).length === 2);
    const kept = path.join(path.dirname(server.file), 'order.json');
    await server.stop();
    // An order nobody would work out: it is taken as it stands.
    writeFileSync(kept, JSON.stringify(before.toReversed()));
    server = await startServer(server.file);
    expect(await read()).toEqual(before.toReversed());
    await server.stop();
    writeFileSync(kept, '{"order"');
    server = await startServer(server.file);
    expect(piecesOf(await read())).toEqual(['bench', 'rack']);
  });
});
