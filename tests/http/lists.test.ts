import { DOSSIER_FORMAT, type Dossier } from '@/core/dossier';
import { serveEachTest } from './harness';

const server = serveEachTest();

const treatment = { prep: 'scuff_150', primer: 'shellac_primer', coats: 1 } as const;
const ZONE = { id: 'top', role: 'top', stated: { substrate: 'melamine_board', finish: 'factory_film' } } as const;
const meet = (id: string, more: Partial<Dossier> = {}, kind: Dossier['piece']['kind'] = 'desk') =>
  server.call('PUT', `/api/pieces/${id}`, {
    format: DOSSIER_FORMAT,
    piece: { id, kind, name: `Piece ${id}` },
    zones: [ZONE],
    ...more,
  });
const ids = (list: { id?: string; piece?: { id: string } }[]): (string | undefined)[] =>
  list.map(({ id, piece }) => id ?? piece?.id);

describe('the list of pieces', () => {
  it('is sent a stretch at a time, newest change first, in summaries that follow every change', async () => {
    for (const id of ['a', 'b', 'c']) await meet(id);
    const page = async (query: string) => (await server.call('GET', `/api/lists/summaries?${query}`)).body;
    const first = await page('count=2');
    expect([ids(first.pieces), first.total]).toEqual([['c', 'b'], 3]);
    expect(ids((await page('count=2&from=2')).pieces)).toEqual(['a']);
    expect(first.pieces[0]).toMatchObject({ name: 'Piece c', stage: 'choose', section: { layers: expect.any(Array) } });
    expect(first.pieces[0]).not.toHaveProperty('zones');
    await server.call('PUT', '/api/pieces/a/facts', { kind: 'desk', name: 'Renamed' });
    expect((await page('count=1')).pieces[0]).toMatchObject({ id: 'a', name: 'Renamed' });
  });

  it('is searched by words in the name or the kind, whatever their case', async () => {
    await meet('a', {}, 'desk');
    await meet('b', {}, 'chair');
    const found = async (find: string) =>
      ids((await server.call('GET', `/api/lists/summaries?find=${encodeURIComponent(find)}`)).body.pieces);
    expect(await found('CHAIR')).toEqual(['b']);
    expect(await found('piece desk')).toEqual(['a']);
    expect(await found('wardrobe')).toEqual([]);
  });

  it.each([
    ['count=0', 'count'],
    ['count=101', 'count'],
    ['from=-1', 'from'],
    ['from=x', 'from'],
    [`find=${'x'.repeat(201)}`, 'find'],
  ])('refuses %s with its place', async (query, path) => {
    const { status, body } = await server.call('GET', `/api/lists/summaries?${query}`);
    expect([status, body.error.path]).toEqual([422, path]);
  });
});

describe('pieces in work', () => {
  it('are those with a system taken that have not left, whole, with how many there are in all', async () => {
    const chosen = { at: '2026-11-20T10:00:00Z', zones: [{ id: 'top', treatment }] };
    const handed = { zone: 'top', op: 'handover', at: '2026-11-22T10:00:00Z' } as const;
    await meet('read');
    await meet('work', { chosen });
    await meet('gone', { chosen, log: [handed] });
    const inWork = async () => (await server.call('GET', '/api/lists/in-work')).body;
    expect(await inWork()).toMatchObject({ total: 3, pieces: [{ piece: { id: 'work' }, zones: [{ id: 'top' }] }] });
    await server.call('PUT', '/api/pieces/read/choice', chosen);
    expect(ids((await inWork()).pieces)).toEqual(['read', 'work']);
    await server.call('PUT', '/api/pieces/work/work/w1', { entries: [handed] });
    expect(ids((await inWork()).pieces)).toEqual(['read']);
  });
});

describe('what stands behind a figure', () => {
  const QUESTION = 'substrate=melamine_board&finish=factory_film&primer=shellac_primer&mode=adhesion&prep=scuff';
  const test = { id: 't', zone: 'top', kind: 'nail', age_h: 48, treatment, reading: { score: 0 } } as const;

  it('are the readings that count, with piece and zone', async () => {
    await meet('a', { tests: [test, { ...test, id: 'early', age_h: 0.1 }] });
    await meet('b', { tests: [{ ...test, treatment: { ...treatment, primer: 'mdf_sealer' } }] });
    const { body } = await server.call('GET', `/api/lists/readings?${QUESTION}`);
    expect(body.readings).toEqual([
      { piece: 'a', pieceName: 'Piece a', zone: 'top', kind: 'nail', treatment, held: true },
    ]);
  });

  it('are refused for what is no surface, with what there is', async () => {
    const { status, body } = await server.call(
      'GET',
      `/api/lists/readings?${QUESTION.replace('melamine_board', 'jelly')}`,
    );
    expect([status, body.error.path]).toEqual([422, 'substrate']);
    expect(body.error.params.allowed).toContain('melamine_board');
  });
});

describe('times of work', () => {
  it('are those that were measured, a list a piece', async () => {
    const timed = { zone: 'top', op: 'scuff', minutes: 12, foreseen_min: 8 } as const;
    await meet('a', { log: [timed, { zone: 'top', op: 'dust' }] });
    await meet('b');
    const { body } = await server.call('GET', '/api/lists/times');
    expect(body.times).toEqual([{ log: [expect.objectContaining(timed)] }]);
  });
});
