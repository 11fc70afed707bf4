import { toRequest } from '@/contract';
import { DOSSIER_FORMAT, type Dossier } from '@/core/dossier';
import { findableTin, findAll, listFindable, type Findable } from '@/core/find';
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
    ['show=gone', 'show'],
    ['sort=size', 'sort'],
    ['kind=boat', 'kind'],
  ])('refuses %s with its place', async (query, path) => {
    const { status, body } = await server.call('GET', `/api/lists/summaries?${query}`);
    expect([status, body.error.path]).toEqual([422, path]);
  });
});

describe('pieces that are wanted', () => {
  const listed = async (query: string) => (await server.call('GET', `/api/lists/summaries?${query}`)).body;

  it('are of a kind, held back, wanted by a day or archived, in the order asked for', async () => {
    await meet('b', { goal: { due: '2027-02-01' } });
    await meet('a', { goal: { due: '2027-01-01' } }, 'chair');
    // Lead that was found holds a piece back.
    const observations = [{ id: 'o', check: 'lead_test', result: 'positive', kit: 'home_swab' as const }];
    await meet('c', {
      zones: [{ ...ZONE, stated: { substrate: 'clear_softwood', finish: 'alkyd_paint' }, observations }],
    });
    expect(ids((await listed('kind=chair')).pieces)).toEqual(['a']);
    expect(await listed('show=held')).toMatchObject({ total: 1, pieces: [{ id: 'c', tone: 'stop' }] });
    expect(ids((await listed('show=due&sort=due')).pieces)).toEqual(['a', 'b']);
    expect(ids((await listed('sort=due')).pieces)).toEqual(['a', 'b', 'c']);
    expect(await listed('sort=name&from=1&count=1')).toMatchObject({ total: 3, pieces: [{ id: 'b' }] });
    const archive = toRequest('a', {
      type: 'facts_changed',
      facts: [{ path: ['piece', 'archived'], value: true }],
    });
    expect((await server.call(archive.method, archive.path, archive.body)).status).toBe(200);
    expect(ids((await listed('show=archived')).pieces)).toEqual(['a']);
    expect(ids((await listed('sort=name')).pieces)).toEqual(['b', 'c']);
  });
});

describe('what is found', () => {
  const found = async (words: string): Promise<Findable[]> =>
    (await server.call('GET', `/api/lists/find?words=${encodeURIComponent(words)}`)).body.found;

  it('is the same as what a device finds by itself, and follows every change', async () => {
    const log = [{ zone: 'top', op: 'prime', class: 'shellac_primer', work: 'w', at: '2026-11-20T10:00:00Z' }] as const;
    const pieces: Dossier[] = ['Oak hall bench', 'Ōkoumé desk', 'Shell cabinet'].map((name, i) => ({
      format: DOSSIER_FORMAT,
      piece: { id: `p${i}`, kind: 'desk', name },
      zones: [ZONE],
      log: [...log],
    }));
    for (const piece of pieces) await server.call('PUT', `/api/pieces/${piece.piece.id}`, piece);
    const tin = { id: 't1', class: 'shellac_primer' as const, name: 'Shell white' };
    await server.call('PUT', '/api/shelf/t1', tin);
    const all = [...pieces.flatMap(listFindable), findableTin(tin)];
    const names = (list: readonly Findable[]): string[] =>
      list.map(({ kind, piece, id }) => `${kind} ${piece} ${id}`).sort();
    for (const words of ['shell', 'oko', 'hall bench', 'melamine', 'PRIME desk', 'w', '"', 'shellac OR 1', ''])
      expect([words, names(await found(words))]).toEqual([words, names(findAll(all, words, 40))]);
    await server.call('PUT', '/api/pieces/p0/facts', { kind: 'desk', name: 'Renamed' });
    expect(names(await found('hall'))).toEqual([]);
    expect((await found('renam')).length).toBeGreaterThan(1);
    await server.call('DELETE', '/api/pieces/p0');
    expect(await found('renam')).toEqual([]);
  });

  it('is asked for in words that are not too long', async () => {
    const { status, body } = await server.call('GET', `/api/lists/find?words=${'x'.repeat(201)}`);
    expect([status, body.error.path]).toEqual([422, 'words']);
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
