import { isLeft, leaveZone, listTreated, lookOf, startWishes, takeUpZone } from './look';
import type { Goal } from './goal-schema';
import type { Zone } from './schema';

const TOP: Zone = { id: 'top', role: 'top' };
const BACK: Zone = { id: 'back', role: 'back' };
const of = (goal: Goal, zone: Zone) => lookOf({ goal }, zone);

describe('what is to be made of a zone', () => {
  it('is what is wished for it, else for the piece, else paint', () => {
    expect(of({ look: 'clear', zones: { top: { look: 'stain' } } }, TOP)).toBe('stain');
    expect(of({ look: 'clear' }, TOP)).toBe('clear');
    expect(lookOf({}, TOP)).toBe('opaque');
  });

  it('is nothing for a back or hardware, unless it is wished', () => {
    expect(isLeft({ goal: { look: 'opaque' } }, BACK)).toBe(true);
    expect(isLeft({}, { id: 'knobs', role: 'hardware' })).toBe(true);
    expect(of({ zones: { back: { look: 'opaque' } } }, BACK)).toBe('opaque');
    expect(listTreated({ zones: [TOP, BACK] })).toEqual([TOP]);
  });
});

describe('the wishes a new piece starts with', () => {
  const INSIDE: Zone = { id: 'inside', role: 'inside' };
  const SIDES: Zone = { id: 'drawer_sides', role: 'drawer_side' };

  it('leave insides and drawer sides, which a listed zone without a wish would not', () => {
    const goal = startWishes([TOP, BACK, INSIDE, SIDES]);
    expect(listTreated({ zones: [TOP, BACK, INSIDE, SIDES], goal })).toEqual([TOP]);
    expect(listTreated({ zones: [TOP, BACK, INSIDE, SIDES] })).toEqual([TOP, INSIDE, SIDES]);
    expect(of(takeUpZone(goal, INSIDE), INSIDE)).toBe('opaque');
  });

  it('say nothing of zones that are left unasked', () => {
    expect(startWishes([TOP, BACK])).toEqual({});
  });
});

describe('leaving a zone and taking it up again', () => {
  it('gives back what was wished for it before', () => {
    const wished: Goal = { zones: { top: { look: 'stain' } } };
    const left = leaveZone(wished, TOP);
    expect(of(left, TOP)).toBe('leave');
    expect(of(takeUpZone(left, TOP), TOP)).toBe('stain');
    expect(of(takeUpZone(leaveZone(left, TOP), TOP), TOP)).toBe('stain');
  });

  it('takes up a back, which is left without being asked', () => {
    expect(of(takeUpZone({}, BACK), BACK)).toBe('opaque');
    expect(of(takeUpZone({ look: 'clear' }, BACK), BACK)).toBe('clear');
  });

  it('follows the piece where nothing else was wished, and keeps the wishes of other zones', () => {
    const goal: Goal = { look: 'clear', zones: { legs: { look: 'opaque' } } };
    const again = takeUpZone(leaveZone(goal, TOP), TOP);
    expect(again).toEqual(goal);
    expect(of(again, TOP)).toBe('clear');
  });
});
