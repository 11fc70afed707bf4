import { DOSSIER_FORMAT, type Dossier } from '../dossier';
import { findableTin, findAll, listFindable, wordsOf } from './findable';

const BENCH: Dossier = {
  format: DOSSIER_FORMAT,
  piece: { id: 'bench', kind: 'chair', name: 'Ōak hall bench' },
  zones: [{ id: 'seat', role: 'top', name: 'Seat', stated: { substrate: 'open_grain_hardwood', finish: 'wax' } }],
  log: [
    {
      zone: 'seat',
      op: 'prime',
      class: 'shellac_primer',
      work: 'w1',
      note: 'door was open',
      at: '2026-11-01T10:00:00Z',
    },
  ],
};

describe('what can be found', () => {
  it('is asked for by beginnings of words, without accents or capitals', () => {
    expect(wordsOf('Ōak, HALL-bench 2')).toEqual(['oak', 'hall', 'bench', '2']);
    expect(findAll(listFindable(BENCH), 'oak ben', 9).map(({ kind }) => kind)).toEqual(['piece', 'zone', 'work']);
    expect(findAll(listFindable(BENCH), 'ench', 9)).toEqual([]);
    expect(findAll(listFindable(BENCH), ' ,', 9)).toEqual([]);
  });

  it('is a piece, its zones by what they are believed to be, and its work by product and note', () => {
    const kindsOf = (question: string): string[] => findAll(listFindable(BENCH), question, 9).map(({ kind }) => kind);
    expect(kindsOf('open wax')).toEqual(['zone']);
    expect(kindsOf('shellac')).toEqual(['work']);
    expect(kindsOf('door')).toEqual(['work']);
  });

  it('names titles before the rest, and no more than asked for', () => {
    const tins = [
      { id: 'a', class: 'shellac_primer' as const, name: 'White tin' },
      { id: 'b', class: 'wb_alkyd_enamel' as const, name: 'Shellac blue' },
    ].map(findableTin);
    expect(findAll(tins, 'shellac', 9).map(({ id }) => id)).toEqual(['b', 'a']);
    expect(findAll(tins, 'shellac', 1)).toHaveLength(1);
  });
});
