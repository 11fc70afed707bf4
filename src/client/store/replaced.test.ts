import { DOSSIER_FORMAT, type Dossier } from '@/core/dossier';
import { EMPTY_WORKSHOP } from '@/core/workshop';
import type { PendingChange } from './outbox';
import { findReplaced, type Known } from './replaced';

const DESK: Dossier = {
  format: DOSSIER_FORMAT,
  piece: { kind: 'desk', id: 'p' },
  zones: [{ id: 'top', role: 'top' }],
  goal: { colour: '#ffffff', sheen: 'matt' },
};
const known = (piece: Dossier): Known => ({ piece: () => piece, tins: [], workshop: EMPTY_WORKSHOP });
const set = (id: string, path: string[], value: unknown): PendingChange => ({
  id,
  pieceId: 'p',
  madeAt: new Date().toISOString(),
  change: { type: 'facts_changed', facts: [{ path, value }] },
});
const COLOUR = set('1', ['goal', 'colour'], '#ffffff');
const BY = [{ piece: 'p', by: 'page', device: 'Phone at the bench' }];
const after = (goal: Dossier['goal']): Known => known({ ...DESK, goal: goal! });

describe('what another replaced', () => {
  it('is told with who did it, what was set here, and what is now', () => {
    expect(findReplaced([COLOUR], BY, after({ colour: '#000000' }))).toEqual([
      { ...COLOUR, by: 'Phone at the bench', facts: [{ name: 'colour', mine: '#ffffff', now: '#000000' }] },
    ]);
  });

  it('is nothing where the other changed something else, or another piece', () => {
    expect(findReplaced([COLOUR], BY, after({ colour: '#ffffff', sheen: 'gloss' }))).toEqual([]);
    expect(findReplaced([COLOUR], [{ piece: 'q', by: 'page' }], after({ colour: '#000000' }))).toEqual([]);
  });

  it('is nothing where the same hand set it otherwise since', () => {
    const later = set('2', ['goal', 'colour'], '#123456');
    expect(findReplaced([COLOUR, later], BY, after({ colour: '#123456' }))).toEqual([]);
    // The later one is what was replaced, and it alone.
    expect(findReplaced([COLOUR, later], BY, after({ colour: '#000000' })).map(({ id }) => id)).toEqual(['2']);
  });

  it('is told where the thing itself was taken away, and not of what was done long ago or in another tab', () => {
    const name = set('3', ['zones', 'top', 'name'], 'Top');
    expect(findReplaced([name], BY, known({ ...DESK, zones: [] }))).toMatchObject([{ id: '3' }]);
    const old = { ...COLOUR, madeAt: new Date(Date.now() - 40 * 60_000).toISOString() };
    expect(findReplaced([old], BY, after({ colour: '#000000' }))).toEqual([]);
    expect(findReplaced([COLOUR], [{ piece: 'p' }], after({ colour: '#000000' }))).toEqual([]);
  });
});
