import type { Mix } from '../dossier';
import { computeDeltaE00, labOfHex } from '../colour';
import { correctMix, tinsOfMix } from './correct-mix';
import { gatherRecipes } from './recipe-book';
import { listRecipes } from './recipes';

const WHITE = { id: 'white', class: 'wb_alkyd_enamel', colour: '#F4F1E8' };
const BLUE = { id: 'blue', class: 'wb_alkyd_enamel', colour: '#27508A' };
const mix: Mix = {
  id: 'm1',
  kind: 'colour',
  name: 'Harbour',
  parts: [
    { name: 'White', parts: 460, tin: 'white' },
    { name: 'Blue', parts: 40, tin: 'blue' },
  ],
  volume_ml: 500,
  target: '#BCC9D6',
};
const foretell = (shares: Record<string, number>, strength: number): string =>
  listRecipes({
    format: 'bricolage.mix-request/1',
    tins: [WHITE, { ...BLUE, strength }],
    shares: Object.entries(shares).map(([tin, share]) => ({ tin, share })),
    volume_ml: 500,
  })[0]!.colour;

describe('a mix after a trial', () => {
  it('learns how strongly its tins tint, and comes nearer with less of what was too strong', () => {
    // In truth the blue tints three times as strongly as it was taken for.
    const came = foretell({ white: 0.92, blue: 0.08 }, 3);
    const found = correctMix(mix, [WHITE, BLUE], [came])!;
    expect(found.strengths.get('blue')).toBeCloseTo(3, 1);
    expect(found.strengths.get('white')).toBe(1);
    const share = found.recipe!.parts.find(({ tin }) => tin === 'blue')!.share;
    expect(share).toBeLessThan(0.08);
    const off = (hex: string): number => computeDeltaE00(labOfHex(hex), labOfHex(mix.target!));
    const next = foretell({ white: 1 - share, blue: share }, 3);
    expect(off(next)).toBeLessThan(off(came) / 3);
    // In whole and half teaspoons: within one of what was wanted.
    expect(Math.abs(found.recipe!.parts.reduce((sum, { ml }) => sum + ml, 0) - 500)).toBeLessThanOrEqual(5);
  });

  it('goes by what the parts were then where a tin has left the shelf, and by nothing where that is not known', () => {
    const parts = [mix.parts[0]!, { ...mix.parts[1]!, colour: '#27508A', strength: 2 }];
    expect(tinsOfMix({ parts }, [WHITE])).toEqual([
      { id: 'white', colour: '#F4F1E8', class: 'wb_alkyd_enamel' },
      { id: 'blue', colour: '#27508A', strength: 2 },
    ]);
    expect(correctMix(mix, [WHITE], ['#AAAAAA'])).toBeNull();
    expect(correctMix(mix, [WHITE, BLUE], [])).toBeNull();
  });
});

describe('the recipes of a shop', () => {
  it('are each told once, with every piece they were mixed for', () => {
    const piece = (id: string, mixes: Mix[]) => ({ piece: { id, kind: 'dresser' as const, name: id }, mixes });
    const again: Mix = { ...mix, id: 'm2', recipe: 'm1', volume_ml: 650 };
    const other: Mix = { ...mix, id: 'm3', name: 'Slip' };
    const thinned: Mix = { ...mix, id: 'm4', kind: 'thinned' };
    const found = gatherRecipes([piece('one', [again, thinned]), piece('two', [mix, other])]);
    expect(found.map(({ id, used }) => [id, used.map(({ piece: own, volumeMl }) => `${own} ${volumeMl}`)])).toEqual([
      ['m1', ['one 650', 'two 500']],
      ['m3', ['two 500']],
    ]);
  });
});
