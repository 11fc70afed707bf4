import sharp from 'sharp';
import Papa from 'papaparse';
import { DOSSIER_FORMAT, type Dossier } from '@/core/dossier';
import { serveEachTest } from './harness';

const server = serveEachTest();

const meet = (id: string, money?: Dossier['money'], more: Partial<Dossier> = {}) =>
  server.call('PUT', `/api/pieces/${id}`, {
    format: DOSSIER_FORMAT,
    piece: { id, kind: 'dresser', name: `Piece ${id}` },
    zones: [{ id: 'top', role: 'top', area_m2: 0.5, stated: { substrate: 'wood_veneer', finish: 'varnish_oil' } }],
    ...(money ? { money } : {}),
    ...more,
  });
const SOLD = {
  currency: 'EUR',
  hour_rate: 15,
  bought: { amount: 40, at: '2026-10-01', from: 'Market' },
  consumables: 6,
  sold: { amount: 120, at: '2026-11-01' },
} as const;
const paint = (minutes: number) => ({
  zone: 'top',
  op: 'paint' as const,
  class: 'wb_alkyd_enamel',
  product: 'tin',
  ml: 100,
  minutes,
  at: '2026-10-10T10:00:00Z',
});
const earned = async () => (await server.call('GET', '/api/lists/earned')).body;

describe('what the shop earned', () => {
  it('is nothing in an empty shop', async () => {
    expect(await earned()).toMatchObject({ currency: 'EUR', sums: { sold: 0, sale: 0 }, perHour: null, days: null });
    expect((await server.call('GET', '/api/lists/kerb')).body).toEqual({ kinds: [], sales: [] });
  });

  it('adds up to the cent, follows every change, and what the tin cost', async () => {
    await server.call('PUT', '/api/shelf/tin', { class: 'wb_alkyd_enamel', price: 30, size_ml: 750 });
    await meet('a', SOLD, { log: [paint(120)] });
    // 100 ml and the 40 left in tray and roller, at 4 cents: 120 − 40 − 5.60 − 6 = 68.40 in two hours.
    expect(await earned()).toMatchObject({ sums: { sold: 1, sale: 12_000, beforeOwnTime: 6840 }, perHour: 3420 });
    await server.call('PUT', '/api/shelf/tin', { class: 'wb_alkyd_enamel', price: 60, size_ml: 750 });
    expect((await earned()).sums.beforeOwnTime).toBe(6280);
    await server.call('PUT', '/api/pieces/a/money', { ...SOLD, refunds: [{ amount: 20 }] });
    expect(await earned()).toMatchObject({ sums: { beforeOwnTime: 4280 }, refunds: 2000 });
  });

  it('leaves another currency out, says so, and follows the one of the shop', async () => {
    await meet('a', SOLD);
    await meet('b', { ...SOLD, currency: 'JPY' });
    expect(await earned()).toMatchObject({ sums: { sold: 1 }, foreign: 1 });
    await server.call('PUT', '/api/workshop/setup', { currency: 'JPY' });
    expect(await earned()).toMatchObject({ currency: 'JPY', sums: { sold: 1, sale: 120 } });
  });

  it('counts an archived piece, and not one in the bin', async () => {
    await meet('a', SOLD);
    await server.call('PATCH', '/api/pieces/a/facts', { facts: [{ path: ['piece', 'archived'], value: true }] });
    expect((await earned()).sums.sold).toBe(1);
    await server.call('DELETE', '/api/pieces/a');
    expect((await earned()).sums.sold).toBe(0);
  });

  it('is a table too, safe for a spreadsheet', async () => {
    await meet('a', SOLD, { piece: { kind: 'dresser', name: '=1+1' } });
    const answer = await fetch(`${server.base}/api/lists/earned.csv`);
    expect(answer.headers.get('content-type')).toContain('text/csv');
    const { data } = Papa.parse<Record<string, string>>(await answer.text(), { header: true, skipEmptyLines: true });
    expect(data).toHaveLength(1);
    expect(data[0]).toMatchObject({ piece: 'a', name: "'=1+1", sold: '120', before_own_time: '74', days: '31' });
  });
});

describe('what a new piece starts from', () => {
  it('are the kinds met, most first, and what was sold', async () => {
    await meet('a', SOLD);
    await meet('b');
    await server.call('PUT', '/api/pieces/c', { format: DOSSIER_FORMAT, piece: { kind: 'chair' } });
    expect((await server.call('GET', '/api/lists/kerb')).body).toEqual({
      kinds: [
        { kind: 'dresser', count: 2 },
        { kind: 'chair', count: 1, numbered: 1 },
      ],
      sales: [{ kind: 'dresser', size: 'small', ground: 'wood_veneer', way: 'paint', price: 120 }],
    });
  });
});

describe('money and handing over', () => {
  it('are set whole or by facts, and both stand', async () => {
    await meet('a');
    await server.call('PUT', '/api/pieces/a/money', { asking: 30 });
    await server.call('PATCH', '/api/pieces/a/facts', {
      facts: [
        { path: ['money', 'sale'], value: { low: 100, likely: 150, high: 200 } },
        { path: ['handover', 'ready', 'felt'], value: '2026-11-01T10:00:00Z' },
      ],
    });
    const { body } = await server.call('GET', '/api/pieces/a');
    expect(body.money).toEqual({ asking: 30, sale: { low: 100, likely: 150, high: 200 } });
    expect(body.handover).toEqual({ ready: { felt: '2026-11-01T10:00:00Z' } });
  });

  it.each([
    [{ asking: -1 }, 'asking'],
    [{ asking: 1e9 }, 'asking'],
    [{ asking: 1.005 }, 'asking'],
    [{ currency: 'JPY', asking: 1.5 }, 'asking'],
    [{ currency: 'XXQ' }, 'currency'],
    [{ sale: { low: 100, likely: 90, high: 200 } }, 'sale.likely'],
    [{ sold: { amount: 20, fees: 30 } }, 'sold.fees'],
    [{ bought: { amount: 1, at: '2026-02-01' }, sold: { amount: 2, at: '2026-01-01' } }, 'sold.at'],
    [{ bought: { amount: 1, at: 'yesterday' } }, 'bought.at'],
  ])('refuses %j with its place, and keeps nothing of it', async (money, path) => {
    await meet('a', { asking: 7 });
    const { status, body } = await server.call('PUT', '/api/pieces/a/money', money);
    expect([status, body.error.path]).toEqual([422, path]);
    expect((await server.call('GET', '/api/pieces/a')).body.money).toEqual({ asking: 7 });
  });
});

describe('before and after', () => {
  const picture = (colour: string, width: number) =>
    sharp({ create: { width, height: 60, channels: 3, background: colour } })
      .withExifMerge({ IFD0: { Artist: 'Nobody' } })
      .jpeg()
      .toBuffer();
  const send = async (id: string, bytes: Buffer) =>
    fetch(`${server.base}/api/pieces/a/photos/${id}?zone=top`, { method: 'PUT', body: new Uint8Array(bytes) });
  const get = (query = '') => fetch(`${server.base}/api/pieces/a/side-by-side${query}`);

  it('are the first and the last picture as one, with nothing of a camera’s in it', async () => {
    await meet('a');
    await send('first', await picture('#c02010', 80));
    await send('middle', await picture('#00ff00', 80));
    await send('last', await picture('#2010c0', 40));
    const answer = await get();
    expect(answer.headers.get('content-type')).toContain('image/png');
    const bytes = Buffer.from(await answer.arrayBuffer());
    const { width, height, exif, format } = await sharp(bytes).metadata();
    expect([format, exif, height]).toEqual(['png', undefined, 900]);
    expect(width).toBe(1200 + 24 + 600);
    const pixel = async (left: number) =>
      [...(await sharp(bytes).extract({ left, top: 450, width: 1, height: 1 }).removeAlpha().raw().toBuffer())].map(
        (own) => Math.round(own / 32),
      );
    expect([await pixel(100), await pixel(1210), await pixel(1700)]).toEqual([
      [6, 1, 1],
      [8, 8, 8],
      [1, 1, 6],
    ]);
    expect((await get('?before=middle')).status).toBe(200);
  });

  it('are refused where there is no picture, no such picture, or no such piece', async () => {
    await meet('a');
    expect((await get()).status).toBe(404);
    await send('first', await picture('#c02010', 80));
    expect((await get('?after=nobody')).status).toBe(404);
    expect((await fetch(`${server.base}/api/pieces/nobody/side-by-side`)).status).toBe(404);
  });
});
