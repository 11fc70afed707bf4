import { DOSSIER_FORMAT } from '@/core/dossier';
import { serveEachTest } from './harness';

const server = serveEachTest();

const treatment = { prep: 'scuff_150', primer: 'shellac_primer', coats: 1 };
const meet = (id: string) =>
  server.call('PUT', `/api/pieces/${id}`, {
    format: DOSSIER_FORMAT,
    piece: { id, kind: 'desk', name: id },
    zones: [{ id: 'top', role: 'top', stated: { substrate: 'melamine_board', finish: 'factory_film' } }],
  });
const log = (piece: string, id: string, score: number) =>
  server.call('PUT', `/api/pieces/${piece}/tests/${id}`, {
    zone: 'top',
    kind: 'nail',
    age_h: 48,
    treatment,
    reading: { score },
  });
const panel = {
  id: 'p-1',
  zone: 'top',
  seed: 4,
  width_mm: 200,
  height_mm: 100,
  kinds: ['nail'],
  strips: [{ code: 'A', treatment, control: false, replicate: 1, x_mm: 6, y_mm: 6, width_mm: 60, height_mm: 80 }],
};

describe('what the shop has learned', () => {
  it('is added up over pieces, follows every change, and can leave one piece out', async () => {
    await meet('a');
    await meet('b');
    await log('a', 't1', 0);
    await log('b', 't1', 4);
    const counts = async (query = '') => {
      const { body } = await server.call('GET', `/api/experience${query}`);
      return body.experience.map(({ held, failed }: { held: number; failed: number }) => [held, failed]);
    };
    expect(await counts()).toEqual([[1, 1]]);
    expect(await counts('?except=b')).toEqual([[1, 0]]);
    await log('a', 't2', 1);
    expect(await counts('?except=b')).toEqual([[2, 0]]);
    await server.call('DELETE', '/api/pieces/a/tests/t2');
    expect(await counts('?except=b')).toEqual([[1, 0]]);
  });

  it('waits for a face that is not known to be read, and says where', async () => {
    await server.call('PUT', '/api/pieces/a', {
      format: DOSSIER_FORMAT,
      piece: { id: 'a', kind: 'desk', name: 'Desk' },
      zones: [{ id: 'top', role: 'top' }],
    });
    await log('a', 't1', 0);
    const told = async () => [
      (await server.call('GET', '/api/experience')).body.experience.length,
      (await server.call('GET', '/api/experience/open')).body.open,
    ];
    expect(await told()).toEqual([0, [{ piece: 'a', pieceName: 'Desk', zone: 'top', zoneName: 'top', tests: 1 }]]);
    await server.call('PATCH', '/api/pieces/a/facts', {
      facts: [{ path: ['zones', 'top', 'stated'], value: { substrate: 'melamine_board', finish: 'factory_film' } }],
    });
    expect(await told()).toEqual([1, []]);
  });

  it('goes with a piece that is exported', async () => {
    await meet('a');
    await meet('b');
    await log('b', 't1', 0);
    const { body } = await server.call('GET', '/api/pieces/a/dossier');
    expect(body.experience).toEqual([expect.objectContaining({ substrate: 'melamine_board', held: 1 })]);
  });
});

describe('panels and outcomes', () => {
  it('are stored, changed and taken away; doing it twice is doing it once', async () => {
    await meet('a');
    for (let i = 0; i < 2; i += 1) {
      const { status, body } = await server.call('PUT', '/api/pieces/a/panels/p-1', panel);
      expect([status, body.panels.length]).toEqual([200, 1]);
    }
    const started = { ...panel, coated_at: '2026-03-01T18:00:00Z' };
    const { body } = await server.call('PUT', '/api/pieces/a/panels/p-1', started);
    expect(body.panels[0].coated_at).toBe('2026-03-01T18:00:00Z');
    const out = await server.call('PUT', '/api/pieces/a/outcomes/o-1', { id: 'o-1', outcome: 'fine' });
    expect(out.body.outcomes).toEqual([{ id: 'o-1', outcome: 'fine' }]);
    expect((await server.call('DELETE', '/api/pieces/a/panels/p-1')).body.panels).toEqual([]);
  });

  it('go with the zone they were made on', async () => {
    await meet('a');
    await server.call('PUT', '/api/pieces/a/panels/p-1', panel);
    const { body } = await server.call('DELETE', '/api/pieces/a/zones/top');
    expect(body.panels ?? []).toEqual([]);
  });

  it.each([
    [{ zone: 'nowhere' }, 404, 'zone_not_found', ''],
    [{ strips: [] }, 422, 'out_of_range', 'strips'],
    [{ strips: [panel.strips[0], panel.strips[0]] }, 422, 'duplicate_id', 'strips[1].code'],
    [{ width_mm: -1 }, 422, 'out_of_range', 'width_mm'],
    [{ kinds: ['hammer'] }, 422, 'unknown_code', 'kinds[0]'],
  ])('%j is refused and nothing of it stays', async (change, status, code, path) => {
    await meet('a');
    const answer = await server.call('PUT', '/api/pieces/a/panels/p-1', { ...panel, ...change });
    expect(answer.status).toBe(status);
    expect(answer.body.error).toMatchObject({ code, path });
    expect((await server.call('GET', '/api/pieces/a')).body.panels ?? []).toEqual([]);
  });
});

describe('the instruments', () => {
  it('say what the air and the wood are like now, and that they are simulated', async () => {
    const { status, body } = await server.call('GET', '/api/instruments');
    expect(status).toBe(200);
    expect(body).toMatchObject({
      device: { name: expect.any(String), simulated: true },
      air: { temperature_c: expect.any(Number), humidity_pct: expect.any(Number) },
    });
    expect(body.moisture_pct).toBeGreaterThan(5);
    expect(body.moisture_pct).toBeLessThan(20);
  });
});
