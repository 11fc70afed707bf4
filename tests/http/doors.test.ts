import { request } from 'node:http';
import { gzipSync } from 'node:zlib';
import { applyChange, DOSSIER_FORMAT, LIMITS, type Dossier, type PieceChange } from '@/core/dossier';
import { toRequest, toShelfRequest } from '@/contract';
import { runCommand } from '@/cli/run';
import { serveEachTest } from './harness';

/* The same limits at every door: what the single routes take, a file carries out and in again; what is refused is refused everywhere. */

const server = serveEachTest();
const DESK: Dossier = { format: DOSSIER_FORMAT, piece: { id: 'p', kind: 'desk' }, zones: [{ id: 'top', role: 'top' }] };
const put = (change: PieceChange) => {
  const { method, path, body } = toRequest('p', change);
  return server.call(method, path, body);
};
const raw = (
  path: string,
  { method = 'GET', headers = {}, body }: { method?: string; headers?: Record<string, string>; body?: Buffer | string },
): Promise<{ status: number; body: string }> =>
  new Promise((resolve, reject) => {
    const { port } = new URL(server.base);
    const sent = request({ port, host: '127.0.0.1', path, method, headers }, (answer) => {
      let text = '';
      answer.on('data', (chunk: Buffer) => (text += chunk.toString()));
      answer.on('end', () => resolve({ status: answer.statusCode ?? 0, body: text }));
    });
    sent.on('error', reject);
    sent.end(body);
  });

describe('limits', () => {
  const strip = {
    code: 'A',
    control: false,
    replicate: 1,
    x_mm: 0,
    y_mm: 0,
    width_mm: 40,
    height_mm: 40,
    treatment: {},
  };
  /** How one more of each list is made by its own route. */
  const ONE_MORE: Record<string, (n: number) => PieceChange> = {
    zones: (n) => ({ type: 'zone_set', zoneId: `z${n}`, facts: { role: 'side' } }),
    observations: (n) => ({
      type: 'observation_recorded',
      zoneId: 'top',
      observation: { id: `o${n}`, check: 'moisture_meter', value: 10 },
    }),
    tests: (n) => ({ type: 'test_logged', test: { id: `t${n}`, zone: 'top', kind: 'nail', reading: { score: 1 } } }),
    outcomes: (n) => ({ type: 'outcome_recorded', outcome: { id: `u${n}`, outcome: 'fine' } }),
    panels: (n) => ({
      type: 'panel_set',
      panel: { id: `p${n}`, zone: 'top', seed: 1, width_mm: 90, height_mm: 90, kinds: ['nail'], strips: [strip] },
    }),
    mixes: (n) => ({
      type: 'mix_set',
      mix: { id: `m${n}`, kind: 'colour', name: 'Blue', parts: [{ name: 'White', parts: 1 }], volume_ml: 100 },
    }),
    overrides: (n) => ({
      type: 'gate_overridden',
      override: { id: `g${n}`, zone: 'top', gate: 'bleed', reason: 'shed' },
    }),
    log: (n) => ({
      type: 'work_logged',
      work: `w${n}`,
      entries: Array.from({ length: 50 }, () => ({ zone: 'top', op: 'denib' as const, note: 'x'.repeat(40) })),
    }),
  };

  it.each(Object.keys(ONE_MORE))(
    'of %s are the same by its own route, on the way out and on the way in',
    async (list) => {
      const limit = LIMITS[list as 'zones'];
      const step = list === 'log' ? 50 : 1;
      const last = limit / step - 1;
      // All but one come in with the file, the last by its own route.
      let full: Dossier = DESK;
      for (let n = list === 'zones' ? 1 : 0; n < last; n += 1) full = applyChange(full, ONE_MORE[list]!(n))!;
      expect((await put({ type: 'piece_met', dossier: full })).status).toBe(200);
      expect((await put(ONE_MORE[list]!(last))).status).toBe(200);
      const over = await put(ONE_MORE[list]!(limit));
      expect(over).toMatchObject({ status: 422, body: { error: { code: 'too_many', params: { max: limit } } } });
      expect(over.body.error.message).toContain(String(limit));
      const file = (await server.call('GET', '/api/pieces/p/dossier')).body;
      const again = await server.call('PUT', '/api/pieces/copy', { ...file, piece: { ...file.piece, id: 'copy' } });
      expect(again.status).toBe(200);
      const count = (dossier: Dossier): number | undefined =>
        list === 'observations' ? dossier.zones?.[0]?.observations?.length : dossier[list as 'tests']?.length;
      expect([count(file as Dossier), count(again.body as Dossier)]).toEqual([limit, limit]);
    },
    120_000,
  );

  it('of parts, handles and skips are those of the schema at their routes too', async () => {
    await put({ type: 'piece_met', dossier: DESK });
    const part = (n: number) => ({ id: `a${n}`, zone: 'top', label: 'D', place: 'x', state: 'on' as const });
    const parts = (count: number) => Array.from({ length: count }, (_, n) => part(n));
    expect((await put({ type: 'parts_set', parts: parts(LIMITS.parts) })).status).toBe(200);
    expect((await put({ type: 'parts_set', parts: parts(LIMITS.parts + 1) })).status).toBe(422);
    const twice = await put({ type: 'parts_set', parts: [part(1), part(1)] });
    expect(twice).toMatchObject({ status: 422, body: { error: { code: 'duplicate_id', path: 'parts[1].id' } } });
  });

  it('of the shelf hold for tins, so that every export can come back', async () => {
    for (let n = 0; n < LIMITS.shelf; n += 1) await server.call('PUT', `/api/shelf/t${n}`, { class: 'chalk_paint' });
    const over = await server.call('PUT', '/api/shelf/more', { class: 'chalk_paint' });
    expect(over).toMatchObject({ status: 422, body: { error: { code: 'too_many' } } });
    await put({ type: 'piece_met', dossier: DESK });
    const file = (await server.call('GET', '/api/pieces/p/dossier')).body;
    expect(file.shelf).toHaveLength(LIMITS.shelf);
    expect((await server.call('PUT', '/api/pieces/copy', { ...file, piece: { kind: 'desk' } })).status).toBe(200);
  }, 60_000);
});

describe('a file under an id that is taken', () => {
  it('is a retry when it is the same, and is refused when it is another', async () => {
    expect((await put({ type: 'piece_met', dossier: DESK })).status).toBe(200);
    await put({ type: 'zone_set', zoneId: 'lid', facts: { role: 'top' } });
    const again = await put({ type: 'piece_met', dossier: DESK });
    expect(again.status).toBe(200);
    expect(again.body.zones).toHaveLength(2);
    const other = await put({ type: 'piece_met', dossier: { ...DESK, zones: [{ id: 'side', role: 'side' }] } });
    expect(other).toMatchObject({ status: 409, body: { error: { code: 'id_taken', path: 'piece.id' } } });
    expect((await server.call('GET', '/api/pieces/p')).body.zones.map(({ id }: { id: string }) => id)).toEqual([
      'top',
      'lid',
    ]);
  });
});

describe('what happened more than a day ahead', () => {
  // The harness’s clock stands at the first of December 2026.
  const FAR = '2027-06-01T10:00:00Z';
  const SOON = '2026-12-01T09:00:00Z';

  it('is refused with its place and the cure by the route, by import and on the command line', async () => {
    await put({ type: 'piece_met', dossier: DESK });
    const log = [{ zone: 'top', op: 'prime' as const, at: FAR }];
    const tap = await put({ type: 'work_logged', work: 'w', entries: log });
    expect(tap).toMatchObject({ status: 422, body: { error: { code: 'in_future', path: 'entries[0].at' } } });
    expect(tap.body.error.message).toContain('clock of the device');
    const file = { ...DESK, piece: { kind: 'desk' }, log };
    expect(await server.call('PUT', '/api/pieces/q', file)).toMatchObject({
      status: 422,
      body: { error: { code: 'in_future', path: 'log[0].at' } },
    });
    const observation = { id: 'o', check: 'moisture_meter', value: 10, at: FAR };
    expect((await put({ type: 'observation_recorded', zoneId: 'top', observation })).status).toBe(422);
    expect((await server.call('PUT', `/api/workshop/air/${FAR}`, { temperature_c: 20, humidity_pct: 50 })).status).toBe(
      422,
    );
    const err: string[] = [];
    const io = {
      readFile: () => JSON.stringify(file),
      out: () => undefined,
      err: (text: string) => err.push(text),
      now: () => SOON,
    };
    expect(runCommand(['validate', 'x.json'], io)).toBe(1);
    expect(err.join()).toContain('log[0].at');
  });

  it('by less is set to now, so that no clock runs ahead', async () => {
    await put({ type: 'piece_met', dossier: DESK });
    const { body } = await put({ type: 'work_logged', work: 'w', entries: [{ zone: 'top', op: 'prime', at: SOON }] });
    expect(Date.parse(body.log[0].at)).toBeLessThan(Date.parse(SOON));
  });
});

describe('avoidable failures', () => {
  it('are the sender’s, never ours', async () => {
    const deep = `${'['.repeat(5000)}${']'.repeat(5000)}`;
    const cases: [string, { headers?: Record<string, string>; body: Buffer | string }][] = [
      ['a format that is no word', { body: '{"format":{"toString":1}}' }],
      ['a format that cannot be said', { body: '{"format":{"toString":null,"valueOf":null}}' }],
      ['JSON without end', { body: deep }],
      ['JSON without end in a field', { body: `{"format":"bricolage.dossier/1","piece":{"kind":"desk","x":${deep}}}` }],
      ['a body that is said to be packed', { headers: { 'content-encoding': 'gzip' }, body: '{"a":1}' }],
      ['a packing nobody knows', { headers: { 'content-encoding': 'shrink' }, body: '{}' }],
      ['a charset nobody knows', { headers: { 'content-type': 'application/json; charset=klingon' }, body: '{}' }],
    ];
    for (const [name, { headers = {}, body }] of cases) {
      const answer = await raw('/api/pieces/p', { method: 'PUT', headers, body });
      expect({ name, status: answer.status }).toEqual({ name, status: expect.any(Number) });
      expect({ name, fine: answer.status >= 400 && answer.status < 500 }).toEqual({ name, fine: true });
      expect(JSON.parse(answer.body).error.message.length).toBeGreaterThan(15);
    }
    const packed = gzipSync(JSON.stringify(DESK));
    expect(
      (await raw('/api/pieces/p', { method: 'PUT', headers: { 'content-encoding': 'gzip' }, body: packed })).status,
    ).toBe(200);
  });

  it('a page read by a foreign name is refused like a write', async () => {
    await put({ type: 'piece_met', dossier: DESK });
    for (const path of ['/api/pieces', '/api/pieces/p', '/api/health', '/']) {
      const { status, body } = await raw(path, { headers: { host: 'shop.evil.example' } });
      expect({ path, status }).toEqual({ path, status: 403 });
      expect(body).not.toContain('desk');
    }
    const port = new URL(server.base).port;
    expect((await raw('/api/pieces', { headers: { host: `localhost:${port}` } })).status).toBe(200);
  });
});

describe('paint drawn off a tin', () => {
  const level = async (): Promise<number> => {
    const { tins } = (await server.call('GET', '/api/shelf')).body;
    const [tin] = tins as { volume_ml: number; drawn?: { ml: number }[] }[];
    return Math.max(0, tin!.volume_ml - (tin!.drawn ?? []).reduce((sum, { ml }) => sum + ml, 0));
  };
  const draw = async (work: string, ml: number) => {
    const { method, path, body } = toShelfRequest({
      type: 'tin_drawn',
      tinId: 'tin',
      drawing: { work, ml, on: '2026-11-30' },
    });
    return server.call(method, path, body);
  };
  const giveBack = async (work: string) => {
    const { method, path } = toShelfRequest({ type: 'tin_given_back', tinId: 'tin', work });
    return server.call(method, path);
  };
  beforeEach(() => server.call('PUT', '/api/shelf/tin', { class: 'chalk_paint', volume_ml: 100 }));

  it('is given back to the millilitre, also where more was taken than there was', async () => {
    expect((await draw('w1', 250)).status).toBe(200);
    expect(await level()).toBe(0);
    await giveBack('w1');
    expect(await level()).toBe(100);
  });

  it('counts once however often it is sent, and follows a correction', async () => {
    await draw('w1', 30);
    await draw('w1', 30);
    expect(await level()).toBe(70);
    await draw('w1', 20);
    await draw('w2', 10);
    expect(await level()).toBe(70);
  });

  it('counts until the tin is measured anew, and not when only its name is set', async () => {
    await draw('w1', 30);
    await server.call('PUT', '/api/shelf/tin', { class: 'chalk_paint', volume_ml: 100, name: 'Sage' });
    expect(await level()).toBe(70);
    await server.call('PUT', '/api/shelf/tin', { class: 'chalk_paint', volume_ml: 65, name: 'Sage' });
    expect(await level()).toBe(65);
    await giveBack('w1');
    expect(await level()).toBe(65);
  });

  it('is in the exported file as what is left', async () => {
    await draw('w1', 30);
    await put({ type: 'piece_met', dossier: DESK });
    const file = (await server.call('GET', '/api/pieces/p/dossier')).body;
    expect(file.shelf).toMatchObject([{ id: 'tin', volume_ml: 70 }]);
    expect(file.shelf[0]).not.toHaveProperty('drawn');
  });

  it('must be an amount', async () => {
    const { status, body } = await server.call('PUT', '/api/shelf/tin/drawings/w1', { ml: -5 });
    expect({ status, path: body.error.path }).toEqual({ status: 422, path: 'ml' });
  });
});
