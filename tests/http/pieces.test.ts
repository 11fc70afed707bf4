import { applyChange, DOSSIER_FORMAT, type Dossier, type PieceChange } from '@/core/dossier';
import { toRequest } from '@/contract';
import { serveEachTest } from './harness';

const DESK: Dossier = {
  format: DOSSIER_FORMAT,
  piece: { id: 'p-1', kind: 'desk', name: 'Desk', colour_of_the_month: 'lichen' },
  zones: [
    { id: 'top', role: 'top', area_m2: 1, observations: [{ id: 'o-0', check: 'edge_line', result: 'dark_line' }] },
    { id: 'side', role: 'side', defects: [{ code: 'dent', count: 2 }] },
  ],
  climate: { temperature_c: 18, humidity_pct: 60 },
};
const CHANGES: PieceChange[] = [
  {
    type: 'observation_recorded',
    zoneId: 'top',
    observation: { id: 'o-1', check: 'damp_rag', result: 'clean', at: '2026-11-23T10:00:00Z' },
  },
  { type: 'observation_recorded', zoneId: 'top', observation: { id: 'o-2', check: 'moisture_meter', value: 11 } },
  { type: 'observation_withdrawn', zoneId: 'top', observationId: 'o-0' },
  { type: 'skips_set', zoneId: 'side', checks: ['pores'] },
  { type: 'defects_set', zoneId: 'side', defects: [{ code: 'gouge', extent: 'spot' }] },
  { type: 'zone_set', zoneId: 'side', facts: { role: 'side', area_m2: 0.7, name: 'Left side' } },
  { type: 'zone_set', zoneId: 'shelf', facts: { role: 'shelf' } },
  { type: 'climate_set', climate: { temperature_c: 14, humidity_pct: 72 } },
  { type: 'zone_set', zoneId: 'side', facts: { role: 'side', like: 'shelf', parts: ['side'] } },
  { type: 'goal_set', goal: { colour: '#DDE3DA', zones: { shelf: { look: 'leave' } } } },
  { type: 'piece_facts_set', piece: { kind: 'desk', name: 'Issue desk', history: { era: 'since_2000' } } },
  {
    type: 'choice_taken',
    choice: { zones: [{ id: 'top', treatment: { prep: 'scuff_150', primer: 'shellac_primer', coats: 1 } }] },
  },
  {
    type: 'test_logged',
    test: {
      id: 't-1',
      zone: 'top',
      kind: 'nail',
      age_h: 20,
      reading: { score: 1 },
      treatment: { primer: 'shellac_primer' },
    },
  },
  { type: 'test_logged', test: { id: 't-2', zone: 'side', kind: 'nail', age_h: 20, reading: { score: 4 } } },
  { type: 'gate_overridden', override: { id: 'g-1', zone: 'top', gate: 'prime_to_paint', reason: 'shed' } },
  { type: 'test_withdrawn', testId: 't-2' },
  {
    type: 'work_logged',
    work: 'w-1',
    entries: [
      {
        zone: 'top',
        op: 'prime',
        class: 'shellac_primer',
        coats: 1,
        at: '2026-11-24T19:00:00Z',
        task: '8-prime-shellac_primer-1',
        minutes: 7,
      },
      { zone: 'shelf', op: 'prime', class: 'shellac_primer', coats: 1, at: '2026-11-24T19:00:00Z' },
    ],
  },
  { type: 'work_logged', work: 'w-2', entries: [{ zone: 'top', op: 'denib', at: '2026-11-24T20:30:00Z' }] },
  {
    type: 'work_logged',
    work: 'w-1',
    entries: [{ zone: 'top', op: 'prime', at: '2026-11-24T19:05:00Z', earlier: [{ zone: 'top', op: 'prime' }] }],
  },
  { type: 'work_withdrawn', work: 'w-2' },
  {
    type: 'parts_set',
    parts: [{ id: 'shelf.1', zone: 'shelf', label: 'Sh1', place: 'Shelf', state: 'off', at: '2026-11-24T18:00:00Z' }],
  },
  { type: 'hardware_set', hardware: [{ zone: 'top', old: { holes: 1 }, next: { holes: 2, spacing_mm: 96 } }] },
  {
    type: 'mix_set',
    mix: { id: 'm-1', kind: 'colour', name: 'Blue', parts: [{ name: 'White', parts: 3 }], volume_ml: 400 },
  },
  { type: 'mix_removed', mixId: 'm-0' },
  { type: 'zone_removed', zoneId: 'shelf' },
];

const server = serveEachTest();
const put = (change: PieceChange) => {
  const { method, path, body } = toRequest('p-1', change);
  return server.call(method, path, body);
};

describe('a piece over HTTP', () => {
  it('is stored as it was sent, unknown fields and all', async () => {
    expect((await put({ type: 'piece_met', dossier: DESK })).status).toBe(200);
    expect((await server.call('GET', '/api/pieces/p-1')).body).toEqual(DESK);
    expect((await server.call('GET', '/api/pieces')).body.pieces).toEqual([DESK]);
  });

  it('changes on the server exactly as it does in the client', async () => {
    await put({ type: 'piece_met', dossier: DESK });
    let expected: Dossier | undefined = DESK;
    for (const change of CHANGES) {
      expected = applyChange(expected, change);
      const { status, body } = await put(change);
      expect([change.type, status]).toEqual([change.type, 200]);
      expect(normalise(body)).toEqual(normalise(expected!));
    }
  });

  it('takes every write twice without harm', async () => {
    for (const change of [{ type: 'piece_met', dossier: DESK } as PieceChange, ...CHANGES]) {
      const once = await put(change);
      const again = await put(change);
      expect(again).toMatchObject({ status: 200, body: once.body });
    }
  });

  it('survives a restart of the server', async () => {
    await put({ type: 'piece_met', dossier: DESK });
    for (const change of CHANGES) await put(change);
    const before = (await server.call('GET', '/api/pieces/p-1')).body;
    await server.restart();
    expect((await server.call('GET', '/api/pieces/p-1')).body).toEqual(before);
  });

  it('leaves as a file that comes back in as the same piece', async () => {
    await put({ type: 'piece_met', dossier: DESK });
    const { body, headers } = await server.call('GET', '/api/pieces/p-1/dossier');
    expect(headers.get('content-disposition')).toContain('p-1.dossier.json');
    const { status, body: copy } = await server.call('PUT', '/api/pieces/p-copy', body);
    expect(status).toBe(200);
    expect(copy.zones).toEqual(DESK.zones);
  });
});

/** An empty list and a missing one mean the same. */
function normalise(dossier: Dossier): unknown {
  return JSON.parse(
    JSON.stringify(dossier, (_key, value) => (Array.isArray(value) && value.length === 0 ? undefined : value)),
  );
}

describe('bad input', () => {
  beforeEach(() => put({ type: 'piece_met', dossier: DESK }));

  it.each([
    [
      'an unknown code',
      'PUT',
      '/api/pieces/p-1/zones/top/observations/x',
      { check: 'edge_line', result: 'purple' },
      422,
      'unknown_code',
      'result',
    ],
    [
      'a wrong type',
      'PUT',
      '/api/pieces/p-1/zones/top/observations/x',
      { check: 'moisture_meter', value: 'wet' },
      422,
      'wrong_type',
      'value',
    ],
    [
      'a negative area',
      'PUT',
      '/api/pieces/p-1/zones/top',
      { role: 'top', area_m2: -3 },
      422,
      'out_of_range',
      'area_m2',
    ],
    [
      'an over-long text',
      'PUT',
      '/api/pieces/p-1/overrides/g',
      { zone: 'top', gate: 'bleed', reason: 'x'.repeat(501) },
      422,
      'too_long',
      'reason',
    ],
    ['broken JSON', 'PUT', '/api/pieces/p-1/goal', '{ "colour": ', 400, 'not_json', ''],
    ['a missing piece', 'PUT', '/api/pieces/nobody/goal', {}, 404, 'piece_not_found', ''],
    ['a missing piece, read', 'GET', '/api/pieces/nobody', undefined, 404, 'piece_not_found', ''],
    [
      'a missing zone',
      'PUT',
      '/api/pieces/p-1/zones/lid/observations/x',
      { check: 'edge_line', result: 'dark_line' },
      404,
      'zone_not_found',
      '',
    ],
    [
      'a test of a missing zone',
      'PUT',
      '/api/pieces/p-1/tests/t',
      { zone: 'lid', kind: 'nail', reading: { score: 1 } },
      404,
      'zone_not_found',
      '',
    ],
    [
      'a score off the scale',
      'PUT',
      '/api/pieces/p-1/tests/t',
      { zone: 'top', kind: 'nail', reading: { score: 9 } },
      422,
      'wrong_reading',
      'reading.score',
    ],
    [
      'a bad id',
      'PUT',
      '/api/pieces/p-1/tests/..%2F..',
      { zone: 'top', kind: 'nail', reading: { score: 1 } },
      422,
      'bad_pattern',
      'test.id',
    ],
    [
      'another piece under the same id',
      'PUT',
      '/api/pieces/p-1',
      { ...DESK, piece: { kind: 'chair', name: 'Chair' } },
      409,
      'id_taken',
      'piece.id',
    ],
    [
      'another format',
      'PUT',
      '/api/pieces/p-2',
      { ...DESK, format: 'bricolage.dossier/7' },
      422,
      'wrong_format',
      'format',
    ],
    ['no such endpoint', 'GET', '/api/wardrobes', undefined, 404, 'no_such_endpoint', ''],
  ])(
    '%s is refused with its place and cure, and nothing is stored',
    async (_name, method, path, body, status, code, where) => {
      const answer = await server.call(method, path, body);
      expect(answer.status).toBe(status);
      expect(answer.body.error).toMatchObject({ code, path: where });
      expect(answer.body.error.message.length).toBeGreaterThan(15);
      expect(JSON.stringify(answer.body)).not.toMatch(/node_modules|\.ts:/);
      expect((await server.call('GET', '/api/pieces/p-1')).body).toEqual(DESK);
      expect((await server.call('GET', '/api/pieces')).body.pieces).toHaveLength(1);
    },
  );

  it('too much in one go is refused', async () => {
    const { status, body } = await server.call('PUT', '/api/pieces/p-1/goal', { note: 'x'.repeat(1_100_000) });
    expect(status).toBe(413);
    expect(body.error.code).toBe('body_too_large');
  });
});

describe('at the door', () => {
  it('refuses writes that come from another site', async () => {
    const foreign: Record<string, string>[] = [{ Origin: 'http://evil.example' }, { 'Sec-Fetch-Site': 'cross-site' }];
    for (const headers of foreign) {
      const { status, body } = await server.call('PUT', '/api/pieces/p-1', DESK, headers);
      expect(status).toBe(403);
      expect(body.error.code).toBe('foreign_origin');
    }
    expect((await server.call('GET', '/api/pieces')).body.pieces).toEqual([]);
    expect((await server.call('PUT', '/api/pieces/p-1', DESK, { Origin: server.base })).status).toBe(200);
  });

  it('sends security headers and does not say what it runs on', async () => {
    const { headers } = await server.call('GET', '/api/health');
    expect(headers.get('content-security-policy')).toContain("default-src 'self'");
    expect(headers.get('x-content-type-options')).toBe('nosniff');
    expect(headers.get('x-powered-by')).toBeNull();
    expect(headers.get('cache-control')).toBe('no-store');
  });
});
