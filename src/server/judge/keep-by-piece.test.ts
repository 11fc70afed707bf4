import { DOSSIER_FORMAT, type Dossier } from '@/core/dossier';
import { keepByPiece } from './keep-by-piece';

const piece = (id: string): Dossier => ({ format: DOSSIER_FORMAT, piece: { id, kind: 'desk' } });

const FOUND = { kind: 'piece', piece: 'b', id: 'b', title: 'B', body: '' } as const;

describe('what is judged of pieces', () => {
  const asked: string[] = [];
  let rates: Dossier['misreadings'];
  const gone = new Set<string>();
  let failing = false;
  const tell = keepByPiece<'findable'>(
    { find: (id) => (gone.has(id) ? undefined : piece(id)), misreadings: () => rates },
    async ({ piece: { id } }) => {
      asked.push(id!);
      await new Promise(setImmediate);
      if (failing) throw new Error('broken off');
      return id === 'b' ? [FOUND] : [];
    },
  );
  const marks = (...ids: string[]) => ids.map((id) => ({ id, changedAt: '1' }));
  beforeEach(() => (asked.length = 0));

  it('is judged once, also for several who ask at the same time, and again when the piece or the rates change', async () => {
    const [one, two] = await Promise.all([tell(marks('a', 'b')), tell(marks('b', 'a'))]);
    expect([one.map(({ judged }) => judged), two.map(({ id }) => id)]).toEqual([
      [[], [FOUND]],
      ['b', 'a'],
    ]);
    expect(asked).toEqual(['a', 'b']);
    await tell([{ id: 'a', changedAt: '2' }]);
    rates = { edge_line: 0.1 };
    await tell(marks('b'));
    expect(asked).toEqual(['a', 'b', 'a', 'b']);
  });

  it('leaves out what was taken away meanwhile, and asks anew for what failed', async () => {
    gone.add('c');
    expect(await tell(marks('c', 'd'))).toHaveLength(1);
    failing = true;
    await expect(tell(marks('e'))).rejects.toThrow('broken off');
    failing = false;
    expect(await tell(marks('e'))).toEqual([{ id: 'e', judged: [] }]);
    expect(asked).toEqual(['d', 'e', 'e']);
  });
});
