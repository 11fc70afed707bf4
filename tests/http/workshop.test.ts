import { toRequest, toWorkshopRequest } from '@/contract';
import { DOSSIER_FORMAT, type Dossier, type Observation } from '@/core/dossier';
import { CAMERA_LOOKS } from '@/core/knowledge';
import { computeBelief } from '@/core/survey';
import type { WorkshopChange } from '@/core/workshop';
import { serveEachTest } from './harness';

const server = serveEachTest();
const send = (change: WorkshopChange) => {
  const { method, path, body } = toWorkshopRequest(change);
  return server.call(method, path, body);
};
const AIR = {
  at: '2026-11-28T09:00:00.000Z',
  temperature_c: 16.4,
  humidity_pct: 58,
  source: 'typed' as const,
  draught: 'yes',
};

const ANSWER = {
  at: '2026-11-28T09:00:00Z',
  kind: 'bleed' as const,
  skill: 'knot',
  seed: 3,
  said: 'bleeds',
  right: true,
  confidence: 'sure' as const,
};

describe('the workshop', () => {
  it('keeps hours, air and pins with all their fields, over a restart', async () => {
    const setup = {
      time_zone: 'Europe/Lisbon',
      hours: [{ day: 6, from: '09:00', to: '13:00' }],
      places: { large: 2, small: 1 },
      heated: false,
    };
    await send({ type: 'setup_set', setup });
    await send({ type: 'air_recorded', air: AIR });
    await send({ type: 'air_recorded', air: { ...AIR, at: '2026-11-28T10:00:00+01:30', temperature_c: 15 } });
    await send({ type: 'task_pinned', pin: { task: 'p-1/8-prime-shellac_primer-1', at: '2026-11-29T09:00:00Z' } });
    const { body } = await send({ type: 'air_recorded', air: AIR });
    // 10:00 at +01:30 is 08:30 UTC: the older one.
    expect(body).toEqual({
      setup,
      air: [{ ...AIR, at: '2026-11-28T10:00:00+01:30', temperature_c: 15 }, AIR],
      pins: [{ task: 'p-1/8-prime-shellac_primer-1', at: '2026-11-29T09:00:00Z' }],
      practice: [],
    });
    await server.restart();
    expect((await server.call('GET', '/api/workshop')).body).toEqual(body);
    await send({ type: 'air_withdrawn', at: AIR.at });
    const { body: after } = await send({ type: 'task_unpinned', task: 'p-1/8-prime-shellac_primer-1' });
    expect([after.air.length, after.pins]).toEqual([1, []]);
    expect((await send({ type: 'air_withdrawn', at: AIR.at })).status).toBe(200);
  });

  it.each([
    ['/setup', { hours: [{ day: 6, from: '13:00', to: '09:00' }] }, 'hours[0].to'],
    ['/setup', { time_zone: 'Mars/Olympus' }, 'time_zone'],
    ['/air/2026-11-28T09:00:00Z', { temperature_c: 16 }, 'humidity_pct'],
    ['/air/2026-11-28T09:00:00Z', { temperature_c: 160, humidity_pct: 50 }, 'temperature_c'],
    ['/air/yesterday', { temperature_c: 16, humidity_pct: 50 }, 'at'],
    ['/pins/p%2F1', { at: 'soon' }, 'at'],
    ['/practice/a1', { ...ANSWER, confidence: 'certain' }, 'confidence'],
    ['/practice/a1', { ...ANSWER, looks: [{ check: 'water_drop', showed: 'beads' }] }, 'looks[0].said'],
    ['/practice/a1', { ...ANSWER, at: '2999-01-01T00:00:00Z' }, 'at'],
  ])('refuses a wrong %s, naming the field, and keeps nothing', async (path, body, field) => {
    const answer = await server.call('PUT', `/api/workshop${path}`, body);
    expect([answer.status, answer.body.error.path]).toEqual([422, field]);
    expect(answer.body.error.message.length).toBeGreaterThan(10);
    expect((await server.call('GET', '/api/workshop')).body).toEqual({ setup: {}, air: [], pins: [], practice: [] });
  });

  it('keeps an answered exercise once, and lets measured misreadings count only where the owner says so', async () => {
    const looks = Array.from({ length: 30 }, (_, i) => ({
      check: 'water_drop',
      showed: 'beads',
      said: i < 15 ? 'soaks_slow' : 'beads',
    }));
    const answer = { id: 'a1', ...ANSWER, looks };
    await send({ type: 'exercise_answered', answer });
    const { body } = await send({ type: 'exercise_answered', answer });
    expect(body.practice).toEqual([answer]);
    const [piece] = [{ id: 'p', kind: 'desk' as const }];
    const observations = [{ id: 'o', check: 'water_drop', result: 'beads' }];
    const zones = [{ id: 'top', role: 'top' as const, observations }];
    const {
      method,
      path,
      body: met,
    } = toRequest('p', {
      type: 'piece_met',
      dossier: { format: DOSSIER_FORMAT, piece, zones, misreadings: { water_drop: 0.4 } },
    });
    // What came with the piece is another's; it is not kept.
    expect((await server.call(method, path, met)).body.misreadings).toBeUndefined();
    await send({ type: 'setup_changed', facts: [{ path: ['own_misreadings'], value: true }] });
    // By hand: three answers, 15 slips · 3/2 = 22.5; (22.5 + 1) ÷ 50 = 0.47.
    const own = (await server.call('GET', '/api/pieces/p')).body;
    expect(own.misreadings).toEqual({ water_drop: 0.47 });
    const dropOf = (dossier: Dossier): number =>
      computeBelief(dossier, dossier.zones![0]!).finish.find(({ code }) => code === 'factory_film')!.p;
    expect(dropOf(own)).toBeLessThan(dropOf({ ...own, misreadings: undefined }));
    await server.restart();
    expect((await server.call('GET', '/api/pieces/p')).body.misreadings).toEqual({ water_drop: 0.47 });
    await send({ type: 'setup_changed', facts: [{ path: ['own_misreadings'] }] });
    expect((await server.call('GET', '/api/pieces/p')).body.misreadings).toBeUndefined();
  });

  it('lays beside every piece how often looks with the camera are wrong here, once the owner looked too', async () => {
    const observe = (piece: string, observation: Observation & { id: string }) => {
      const { method, path, body } = toRequest(piece, { type: 'observation_recorded', zoneId: 'top', observation });
      return server.call(method, path, body);
    };
    for (const id of ['a', 'b']) {
      const { method, path, body } = toRequest(id, {
        type: 'piece_met',
        dossier: { format: DOSSIER_FORMAT, piece: { id, kind: 'desk' }, zones: [{ id: 'top', role: 'top' }] },
      });
      await server.call(method, path, body);
    }
    const ratesOf = async (id: string) => (await server.call('GET', `/api/pieces/${id}`)).body.misreadings;
    const look = { id: 'o', check: 'pattern_repeat', result: 'repeats' };
    expect((await observe('a', { ...look, proposed: 'never_seen' })).status).toBe(422);
    await observe('a', { ...look, by: 'camera' });
    expect(await ratesOf('b')).toBeUndefined();
    await observe('a', { ...look, result: 'no_repeat', proposed: 'repeats' });
    const { misread } = CAMERA_LOOKS.pattern_repeat!;
    // By hand: one look of its own and it was wrong, beside twenty looks' worth of renders.
    expect((await ratesOf('b'))['camera:pattern_repeat']).toBeCloseTo((misread * 20 + 1) / 21, 3);
    await server.restart();
    expect((await ratesOf('b'))['camera:pattern_repeat']).toBeCloseTo((misread * 20 + 1) / 21, 3);
    await server.call('DELETE', '/api/pieces/a');
    expect(await ratesOf('b')).toBeUndefined();
  });

  it('takes writes from its own pages only', async () => {
    const answer = await server.call('PUT', '/api/workshop/setup', {}, { Origin: 'http://elsewhere.example' });
    expect([answer.status, answer.body.error.code]).toEqual([403, 'foreign_origin']);
  });
});

describe('work on a piece', () => {
  const met = toRequest('p', {
    type: 'piece_met',
    dossier: { format: DOSSIER_FORMAT, piece: { id: 'p', kind: 'desk' }, zones: [{ id: 'top', role: 'top' }] },
  });

  it.each([
    ['/work/w', { entries: [{ zone: 'attic', op: 'prime' }] }, 404, ''],
    ['/work/w', { entries: [{ zone: 'top', op: 'enchant' }] }, 422, 'entries[0].op'],
    ['/work/w', { entries: [] }, 422, 'entries'],
    ['/work/w', { entries: [{ zone: 'top', op: 'prime', minutes: -4 }] }, 422, 'entries[0].minutes'],
    ['/parts', { parts: [{ id: 'a', zone: 'attic', label: 'Do1', place: 'Door', state: 'off' }] }, 404, ''],
    [
      '/parts',
      { parts: [{ id: 'a', zone: 'top', label: 'Do1', place: 'Door', state: 'lost' }] },
      422,
      'parts[0].state',
    ],
    ['/hardware', { hardware: [{ zone: 'top', old: { holes: 3 }, next: { holes: 1 } }] }, 422, 'hardware[0].old.holes'],
    ['/mixes/m', { id: 'm', kind: 'colour', name: 'Blue', parts: [], volume_ml: 100 }, 422, 'parts'],
    [
      '/mixes/m',
      { id: 'm', kind: 'colour', name: 'Blue', parts: [{ name: 'White', parts: 0 }], volume_ml: 100 },
      422,
      'parts[0].parts',
    ],
  ])('refuses %s %j, and keeps nothing of it', async (path, body, status, field) => {
    await server.call(met.method, met.path, met.body);
    const before = (await server.call('GET', '/api/pieces/p')).body;
    const answer = await server.call('PUT', `/api/pieces/p${path}`, body);
    expect([answer.status, answer.body.error.path]).toEqual([status, field]);
    expect((await server.call('GET', '/api/pieces/p')).body).toEqual(before);
  });
});
