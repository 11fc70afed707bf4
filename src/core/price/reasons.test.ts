import { DOSSIER_FORMAT, type Dossier, type Zone } from '../dossier';
import { sayDoorReason } from '@/words';
import { STATES } from '../survey';
import { judgeDoor } from './door';
import type { Draw } from './draws';
import { listReasons } from './reasons';
import type { ZoneSurfaces } from './surfaces';

type Money = NonNullable<Dossier['money']>;
const piece = (
  money: Money,
  zone: Partial<Zone> = {},
  history: NonNullable<Dossier['piece']['history']> = { era: 'since_2000' },
): Dossier => ({
  format: DOSSIER_FORMAT,
  piece: { kind: 'sideboard', history },
  zones: [{ id: 'doors', name: 'Doors', role: 'door', area_m2: 1.2, ...zone }],
  money: { hour_rate: 15, sale: { low: 150, likely: 200, high: 260 }, ...money },
});
const say = (sum: number): string => `€${Math.round(sum)}`;
const told = (dossier: Dossier): string[] =>
  judgeDoor(dossier).reasons.map((reason) => sayDoorReason(reason, dossier, say));

describe('why a piece is worth what it is', () => {
  it('is at most two reasons, the strongest first', () => {
    const { reasons } = judgeDoor(piece({ asking: 5, hour_rate: 8 }));
    expect(reasons).toHaveLength(2);
    expect(reasons[0]!.code).toBe('asking_under');
    expect(reasons[0]!.amount).toBeGreaterThanOrEqual(reasons[1]!.amount);
  });

  it('is what they ask too much', () =>
    expect(told(piece({ asking: 900 }))[0]).toMatch(/^They ask €\d+ more than it is worth to you\.$/));

  it('is that it costs more than it brings', () => {
    const door = judgeDoor(piece({ sale: { low: 10, likely: 15, high: 20 } }));
    expect(door).toMatchObject({ verdict: 'leave', walkAway: 0 });
    expect(door.reasons[0]!.code).toBe('costs_more');
  });

  it.each<[string, Partial<Zone>, NonNullable<Dossier['piece']['history']>, string]>([
    ['lead that was found', { observations: [{ check: 'lead_test', result: 'positive' }] }, {}, 'lead_found'],
    [
      'lead that is possible, for a child',
      {},
      { era: 'before_1940', room: 'nursery', painted_before: 'yes' },
      'lead_nursery',
    ],
    ['woodworm that may be alive', { defects: [{ code: 'woodworm' }] }, { era: 'since_2000' }, 'woodworm'],
  ])('is %s, whatever it costs', (_name, zone, history, code) => {
    const dossier = piece({ asking: 0 }, zone, history);
    const door = judgeDoor(dossier);
    expect(door).toMatchObject({ verdict: 'leave', walkAway: 0 });
    expect(door.reasons[0]!.code).toBe(code);
    expect(told(dossier)[0]).toMatch(/doors/);
  });

  it('is the surface that would take most off, for as far as it may be one', () => {
    const cost = { materials: 0, consumables: 0, hardware: 0, ownTime: 0, fees: 0, transport: 0, redo: 0 };
    const draw = (pick: number, most: number): Draw => ({ picks: [pick], sale: 200, hours: 1, cost, most });
    const surface = (state: number, p: number) => ({ state, bleeds: false, p, minutes: 1, materials: 1, risk: 0 });
    const zones = [{ zone: { id: 'doors', role: 'door' }, surfaces: [surface(3, 0.6), surface(7, 0.4)] }];
    const draws = [draw(0, 100), draw(0, 100), draw(0, 100), draw(1, 40), draw(1, 40)];
    // 76 on average; were it the second, 40: that takes 36 off.
    expect(listReasons([], zones as unknown as ZoneSurfaces[], draws, { walkAway: 40, asked: undefined })).toEqual([
      { code: 'surface', zone: 'doors', ...STATES[7]!, bleeds: false, p: 0.4, amount: 36 },
    ]);
  });
});

describe('the look to make next', () => {
  it('is one whose answer moves the price, where none is worth money', () => {
    const door = judgeDoor(piece({}, {}, { era: '1940_1977' }));
    expect(door.nextLook).not.toBeNull();
    expect(door.nextLook!.moves).toBeGreaterThanOrEqual(1);
  });

  it('is none where all is known', () => {
    const door = judgeDoor(piece({}, { stated: { substrate: 'melamine_board', finish: 'factory_film' } }));
    expect(door.movesMost).toEqual([]);
  });

  it('is not one that was passed over', () => {
    const open = piece({}, {}, { era: '1940_1977' });
    const { nextLook } = judgeDoor(open);
    const passed = { ...open, zones: open.zones!.map((zone) => ({ ...zone, skipped_checks: [nextLook!.check] })) };
    expect(judgeDoor(passed).nextLook?.check).not.toBe(nextLook!.check);
  });
});

describe('the owner’s pace', () => {
  it('makes hours longer and the price lower', () => {
    const [table, slow] = [
      judgeDoor(piece({})),
      judgeDoor(piece({}), { pace: { factor: 1.5, spread: Math.log(1.25) } }),
    ];
    expect(slow.hours.median / table.hours.median).toBeCloseTo(1.5, 2);
    expect(slow.exact).toBeLessThan(table.exact);
  });
});
