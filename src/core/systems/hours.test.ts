import type { Dossier, Zone } from '../dossier';
import { buildTemplate } from '../templates';
import { explainHours } from './hour-parts';
import { planPiece } from './plan';
import type { CoatingSystem } from './system';

type Piece = Dossier['piece'];

const MOVING: readonly Zone['role'][] = ['door', 'drawer_front'];
/** Seldom painted: left out unless a case names it. */
const HIDDEN = ['back', 'inside', 'drawer_sides', 'underside'];

/** A piece that is washed, scuffed, primed once and painted twice, one patch for all of it; nothing is wrong with it. */
function takePlain(
  piece: Piece,
  goal: Dossier['goal'] = {},
  also: readonly string[] = [],
  outerFaces = false,
): CoatingSystem {
  const { zones: built } = buildTemplate(piece.kind, piece.size_mm, piece.counts);
  const shown = built.filter(({ id }) => !HIDDEN.includes(id) || also.includes(id));
  const zones = shown.map((zone, i): Zone => ({
    ...zone,
    ...(outerFaces && MOVING.includes(zone.role) ? { area_m2: zone.area_m2! / 2 } : {}),
    stated: { substrate: 'closed_grain_hardwood', finish: 'alkyd_paint' },
    ...(i > 0 ? { like: shown[0]!.id } : {}),
  }));
  const treatment = { prep: 'scuff_150', primer: 'bonding_primer_wb', coats: 1 } as const;
  const stack = {
    prep: 'scuff_150',
    primers: [{ code: 'bonding_primer_wb', coats: 1 }],
    paint: 'wb_alkyd_enamel',
    paint_coats: 2,
    topcoat: 'none',
  } as const;
  const { taken } = planPiece({
    format: 'bricolage.dossier/1',
    piece,
    zones,
    goal: { colour: '#1E2A30', ...goal },
    chosen: {
      at: '2026-11-01T10:00:00Z',
      zones: zones.map(({ id }) => ({ id, treatment, stack: { ...stack, primers: [...stack.primers] } })),
    },
  });
  return taken!.system!;
}
const hours = (...args: Parameters<typeof takePlain>): number => takePlain(...args).handsOnMin / 60;
const size = (width: number, depth: number, height: number): NonNullable<Piece['size_mm']> => ({
  width,
  depth,
  height,
});

/* Hands only, no repairs, by brush and roller, everything put away: common practice. */
// prettier-ignore
const CHECKS: readonly [string, Piece, number, number, (readonly string[])?][] = [
  ['a bedside cabinet', { kind: 'bedside_cabinet' }, 2.5, 4],
  ['a chest of three drawers', { kind: 'dresser', size_mm: size(850, 450, 750), counts: { drawers: 3, doors: 0, shelves: 0, panels: 0 } }, 5, 7],
  ['a chest of four drawers', { kind: 'dresser' }, 5, 7],
  ['a wide dresser of six drawers', { kind: 'dresser', size_mm: size(1400, 480, 850), counts: { drawers: 6, doors: 0, shelves: 0, panels: 0 } }, 7, 10],
  ['a wide dresser of nine drawers', { kind: 'dresser', size_mm: size(1600, 480, 850), counts: { drawers: 9, doors: 0, shelves: 0, panels: 0 } }, 7, 10],
  ['a sideboard with doors', { kind: 'sideboard' }, 5, 8],
  ['a desk', { kind: 'desk' }, 4, 7],
  ['a bookcase of 1.15 m, inside and out', { kind: 'bookcase', size_mm: size(900, 300, 1150) }, 5, 8, ['back']],
  ['a tall bookcase, inside and out', { kind: 'bookcase' }, 8, 11, ['back']],
  ['a chair with rails', { kind: 'chair' }, 2, 3.5],
  ['a panelled door, both faces', { kind: 'interior_door' }, 4, 6.5],
  ['sixteen kitchen fronts off, both faces, and the carcass', { kind: 'kitchen_run', counts: { doors: 10, drawers: 6, shelves: 0, panels: 0 } }, 25, 35, ['inside']],
];

describe('hours', () => {
  it.each(CHECKS.map(([name, piece, least, most, also = []]) => ({ name, piece, least, most, also })))(
    'of $name are what the trade reckons',
    ({ piece, least, most, also }) => {
      const found = hours(piece, {}, also);
      expect(found).toBeGreaterThanOrEqual(least - 0.5);
      expect(found).toBeLessThanOrEqual(most + 0.05);
    },
  );

  it('of a small kitchen, outer faces with its doors left on: about eight, cheaper in hands than taken off', () => {
    const piece: Piece = { kind: 'kitchen_run', counts: { doors: 5, drawers: 2, shelves: 0, panels: 0 } };
    const on = hours(piece, { schools: { doors: 'on' } }, [], true);
    expect(on).toBeGreaterThan(6.5);
    expect(on).toBeLessThan(9.5);
    expect(on).toBeLessThan(hours(piece, {}, [], true));
  });

  it('of washing and scuffing a bedside cabinet are about half of one', () => {
    const { zones } = takePlain({ kind: 'bedside_cabinet' });
    const steps = zones.flatMap((zone) => zone.steps).filter(({ op }) => op === 'degrease' || op === 'scuff');
    const shared = Math.max(...steps.map(({ op, once = 0 }) => (op === 'degrease' ? once : 0))) + 3;
    const minutes = steps.reduce((sum, own) => sum + own.minutes, shared);
    expect(minutes).toBeGreaterThan(25);
    expect(minutes).toBeLessThan(40);
  });

  it('are fewer by gun from about three square metres on', () => {
    // Millimetres of a plain top, both lines and faces counted: 2.2 m² and 4.5 m².
    const wins = (width: number): boolean => {
      const piece: Piece = { kind: 'chest', size_mm: size(width, 600, 500) };
      return hours(piece, { application: 'spray' }) < hours(piece);
    };
    expect(wins(900)).toBe(false);
    expect(wins(2600)).toBe(true);
  });

  it('open to what they are made of, and add up', () => {
    const system = takePlain({ kind: 'dresser' });
    const { parts, sittings, once } = explainHours(system, undefined);
    expect(parts.reduce((sum, { minutes }) => sum + minutes, sittings.minutes + once)).toBe(system.handsOnMin);
    expect(sittings).toEqual({ count: 3, minutes: 54 });
    const area = system.zones.reduce((sum, { size: { areaM2 } }) => sum + areaM2, 0);
    expect(parts.find(({ op }) => op === 'paint')).toMatchObject({
      areaM2: expect.closeTo(2 * area, 6) as number,
      parts: 8,
    });
  });

  it('share what is once a sitting: two zones take less than twice one', () => {
    const both = takePlain({ kind: 'table' });
    const zones = both.zones.reduce((sum, { minutes }) => sum + minutes, 0);
    // Three sittings with a waterborne product: out and away, eight and ten minutes each; five steps have a little once.
    expect(both.handsOnMin - zones).toBe(3 * 18 + 5 + 3 + 2 + 2 + 2 + 2);
  });
});
