import { DOSSIER_FORMAT, type Dossier } from '@/core/dossier';
import { makePieceTexts } from './piece-texts';

const piece = (id: string, more: Partial<Dossier> = {}): Dossier => ({
  format: DOSSIER_FORMAT,
  piece: { id, kind: 'desk' },
  ...more,
});
const taken = { chosen: { at: '2026-01-01T00:00:00Z', zones: [] } };

describe('pieces as they are sent', () => {
  it('are written once, and anew when they change or how their answers are believed', async () => {
    const pieces = new Map([
      ['a', piece('a', taken)],
      ['b', piece('b')],
    ]);
    let [mark, rates, reads] = [1, undefined as Dossier['misreadings'], 0];
    const texts = makePieceTexts({
      find: (id) => ((reads += 1), pieces.get(id)),
      findMark: (id) => (pieces.has(id) ? mark : undefined),
      misreadings: () => rates,
    });
    const read = (id: string): unknown => JSON.parse(texts.find(id)!.toString());
    expect([read('a'), read('a'), reads]).toEqual([pieces.get('a'), pieces.get('a'), 1]);
    pieces.set('a', piece('a', { ...taken, goal: { colour: '#FFFFFF' } }));
    mark = 2;
    expect([read('a'), reads]).toEqual([pieces.get('a'), 2]);
    rates = { edge_line: 0.1 };
    read('a');
    expect(reads).toBe(3);
    expect(texts.find('c')).toBeUndefined();
    expect((await texts.listInWork(['b', 'c', 'a'])).map((text) => JSON.parse(text.toString()).piece.id)).toEqual([
      'a',
    ]);
  });
});
