import { serveEachTest } from './harness';

/* What went wrong with a piece, over real HTTP. */
const server = serveEachTest();

const desk = {
  format: 'bricolage.dossier/1',
  piece: { kind: 'desk', name: 'Desk' },
  zones: [
    { id: 'top', role: 'top', area_m2: 1 },
    { id: 'side', role: 'side' },
  ],
};
const bled = { id: 'x', zone: 'top', symptom: 'bleed', clues: { colour: 'pink' } };
const put = (trouble: object) => server.call('PUT', '/api/pieces/p/troubles/x', trouble);
const find = async () => (await server.call('GET', '/api/pieces/p')).body;
beforeEach(() => server.call('PUT', '/api/pieces/p', desk));

describe('troubles of a piece', () => {
  it('are kept, changed clue by clue, settled and taken off', async () => {
    expect((await put(bled)).status).toBe(200);
    await put({ ...bled, clues: { colour: 'pink', where: 'all_over' }, settled: { how: 'live_with' } });
    expect((await find()).troubles).toEqual([
      { ...bled, clues: { colour: 'pink', where: 'all_over' }, settled: { how: 'live_with' } },
    ]);
    expect((await server.call('DELETE', '/api/pieces/p/troubles/x')).status).toBe(200);
    expect((await find()).troubles).toEqual([]);
  });

  it.each([
    ['an unknown symptom', { ...bled, symptom: 'melts' }, 422, 'unknown_code', 'symptom'],
    ['a clue of another symptom', { ...bled, clues: { flake_back: 'waxy' } }, 422, 'unknown_clue', 'clues.flake_back'],
    ['a zone that is gone', { ...bled, zone: 'lid' }, 404, 'zone_not_found', ''],
    ['a day still to come', { ...bled, seen_at: '2097-05-03T09:00:00Z' }, 422, 'in_future', 'seen_at'],
  ])('are refused with %s, and nothing is kept', async (_what, trouble, status, code, path) => {
    const answer = await put(trouble);
    expect(answer.status).toBe(status);
    expect(answer.body.error).toMatchObject({ code, ...(path === '' ? {} : { path }) });
    expect((await find()).troubles ?? []).toEqual([]);
  });

  it('go with their zone into the bin, and come back with it', async () => {
    await put(bled);
    await server.call('DELETE', '/api/pieces/p/zones/top');
    expect((await find()).troubles ?? []).toEqual([]);
    await server.call('PUT', '/api/pieces/p/zones/top', { role: 'top' });
    expect((await find()).troubles).toMatchObject([{ id: 'x' }]);
  });
});
