import type { Goal } from './goal-schema';
import { goalSchema } from './goal-schema';
import { listColours, wishOf, wishZones } from './wish';

const TOP = { id: 'top', role: 'top' } as const;
const BACK = { id: 'back', role: 'back' } as const;
const of = (goal: Goal) => wishOf({ goal }, TOP);

describe('what is wished for a zone', () => {
  it('is its own wish before the piece’s, in one case', () => {
    expect(of({ colour: '#aabbcc', zones: { top: { colour: '#112233' } } }).colour).toBe('#112233');
    expect(of({ colour: '#aabbcc' }).colour).toBe('#AABBCC');
    expect(of({ sheen: 'matt', zones: { top: { sheen: 'gloss' } } }).sheen).toBe('gloss');
  });

  it('is a paint of its own only where the piece is not asked to have the same', () => {
    expect(of({ zones: { top: { paint: 'oil_enamel' } } })).toMatchObject({ paint: 'oil_enamel', paintOfItsOwn: true });
    expect(of({ paint: 'oil_enamel', zones: { top: { paint: 'oil_enamel' } } }).paintOfItsOwn).toBe(false);
    expect(of({ paint: 'oil_enamel' })).toMatchObject({ paint: 'oil_enamel', paintOfItsOwn: false });
  });

  it('is no second colour under clear, nor one that is the first', () => {
    const second = { colour: '#2b3a42', lies: 'far_side' as const };
    expect(of({ zones: { top: { second } } }).second?.colour).toBe('#2B3A42');
    expect(of({ zones: { top: { second, look: 'clear' } } }).second).toBeUndefined();
    expect(of({ colour: '#2B3A42', zones: { top: { second } } }).second).toBeUndefined();
  });

  it('is taken back zone by zone, and one without a wish left follows the piece', () => {
    const set = wishZones({}, ['top', 'side'], { colour: '#112233', sheen: 'matt' });
    expect(wishZones(set, ['top'], { colour: undefined }).zones).toEqual({
      top: { sheen: 'matt' },
      side: { colour: '#112233', sheen: 'matt' },
    });
    expect(wishZones(set, ['top', 'side'], { colour: undefined, sheen: undefined }).zones).toEqual({});
  });
});

describe('the colours of a piece', () => {
  it('are those that paint is needed in, with what lies on others; what is left needs none', () => {
    const second = { colour: '#7B2E26', lies: 'panel' as const, margin_mm: 40 };
    const goal: Goal = { colour: '#F3EFE6', zones: { side: { colour: '#2B3A42' }, front: { second } } };
    const zones = [TOP, BACK, { id: 'side', role: 'side' }, { id: 'front', role: 'front' }] as const;
    expect(listColours({ goal, zones: [...zones] })).toEqual([
      { colour: '#F3EFE6', zones: ['top', 'front'] },
      { colour: '#2B3A42', zones: ['side'] },
      { colour: '#7B2E26', zones: ['front'] },
    ]);
    expect(listColours({ goal: { look: 'clear' }, zones: [TOP] })).toEqual([]);
  });
});

describe('a second colour', () => {
  const read = (second: object) =>
    goalSchema.safeParse({ zones: { top: { second: { colour: '#112233', ...second } } } });
  const problem = (second: object) => read(second).error?.issues.map(({ path }) => path.join('.'));

  it('says where it lies', () => {
    expect(read({ lies: 'far_side' }).success).toBe(true);
    expect(problem({ lies: 'panel' })).toEqual(['zones.top.second.margin_mm']);
    expect(problem({ lies: 'level' })).toEqual(['zones.top.second.bands']);
  });

  it('has bands that do not lie on each other, whatever their order', () => {
    const bands = [
      { at_mm: 100, width_mm: 30 },
      { at_mm: 0, width_mm: 120 },
    ];
    expect(problem({ lies: 'upright', bands })).toEqual(['zones.top.second.bands.0.at_mm']);
    expect(read({ lies: 'upright', bands: [bands[0]!, { at_mm: 0, width_mm: 100 }] }).success).toBe(true);
  });
});
