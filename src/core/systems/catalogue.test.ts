import type { Dossier, Goal, Zone } from '../dossier';
import { DEFECTS, HANDS, OPERATIONS, type HandCode, type OperationCode } from '../knowledge';
import { listCautions, listFacts, listTasks } from '../work';
import { freezeSystem } from './freeze';
import { planPiece } from './plan';

/*
 * The catalogue of what may be planned: pieces made so that each operation is on somebody's plan, and each rule of the hand
 * is asked for by one piece and by none of its opposite.
 */

const FIT = { temperature_c: 20, humidity_pct: 50 };
const AT = '2026-03-02T08:00:00Z';
const PALE = '#F3EFE6';
const DARK = '#2B3A42';

const piece = (zones: Partial<Zone>[], goal: Goal = {}, more: Partial<Dossier['piece']> = {}): Dossier => ({
  format: 'bricolage.dossier/1',
  piece: { id: 'p', kind: 'dresser', history: { era: 'since_2000' }, ...more },
  zones: zones.map((zone, i) => ({ id: `z${i}`, role: 'side', area_m2: 0.6, ...zone })),
  goal,
});
const WOOD = { substrate: 'clear_softwood', finish: 'varnish_oil' } as const;
const FILM = { substrate: 'melamine_board', finish: 'factory_film' } as const;

/** The work of every system that a piece is offered. */
const worksOf = (dossier: Dossier) =>
  planPiece(dossier).systems.map((system) => {
    const chosen = freezeSystem(system, AT, { step: () => 'a step', why: () => 'because', assumes: () => 'so' });
    const taken = { ...dossier, chosen };
    return { taken, tasks: listTasks(taken, dossier.shelf ?? [], FIT) };
  });
const handsOf = (dossier: Dossier): HandCode[] =>
  planPiece(dossier).systems[0]!.zones.flatMap(({ steps }) => steps.flatMap(({ hand }) => hand ?? []));

const CASES: Dossier[] = [
  piece([{ stated: WOOD, role: 'drawer_front', area_m2: 1 }, { stated: FILM }]),
  piece([{ id: 'doors', stated: WOOD, role: 'door' }], { application: 'spray' }, { kind: 'sideboard' }),
  piece([{ stated: { substrate: 'clear_softwood', finish: 'wax' } }]),
  piece([{ stated: WOOD, observations: [{ check: 'crawl_dab', result: 'crawls' }] }]),
  piece([{ stated: { substrate: 'mdf', finish: 'bare' } }]),
  piece([{ stated: { substrate: 'open_grain_hardwood', finish: 'varnish_oil' } }], { grain: 'hide' }),
  piece([{ stated: { substrate: 'closed_grain_hardwood', finish: 'nitro_lacquer' } }], {
    schools: { dulling: 'liquid' },
  }),
  piece([{ stated: WOOD }], { look: 'stain' }),
  piece([{ stated: WOOD }], { paint: 'chalk_paint' }),
  piece([
    {
      stated: { substrate: 'thermofoil', finish: 'factory_film' },
      observations: [{ check: 'corner_lift', result: 'lifts' }],
    },
  ]),
  piece([
    { stated: { substrate: 'thermofoil', finish: 'factory_film' }, defects: [{ code: 'lifting_foil', extent: 'all' }] },
  ]),
  piece([{ id: 'edges', role: 'edge', stated: WOOD }], {
    zones: { edges: { second: { colour: DARK, lies: 'panel', margin_mm: 20 } } },
  }),
  {
    ...piece([{ stated: WOOD }], { look: 'clear', keep: 'refinish' }),
    shelf: [{ id: 'varnish', class: 'oil_polyurethane', volume_ml: 2500 }],
  },
  piece([{ stated: WOOD }], { look: 'clear' }),
  piece([{ stated: { substrate: 'wood_veneer', finish: 'shellac' }, defects: [{ code: 'alligatoring' }] }], {
    look: 'clear',
  }),
  ...DEFECTS.flatMap((code) =>
    ([WOOD, FILM, { substrate: 'wood_veneer', finish: 'varnish_oil' }] as const).map((stated) =>
      piece([{ stated, defects: [{ code, extent: 'area' }] }]),
    ),
  ),
];

describe('the catalogue of work', () => {
  const seen = new Map<OperationCode, { facts: number; cautions: number }>();
  for (const dossier of CASES)
    for (const { taken, tasks } of worksOf(dossier))
      for (const task of tasks) {
        const zones = taken.zones!.filter(({ id }) => task.zones.includes(id));
        const { application } = dossier.goal ?? {};
        const facts = listFacts(task, zones, application).length;
        const cautions = listCautions(task, { ...(application ? { application } : {}), oldCoat: false }).length;
        const known = seen.get(task.op) ?? { facts: 99, cautions: 0 };
        seen.set(task.op, { facts: Math.min(known.facts, facts), cautions: Math.max(known.cautions, cautions) });
      }

  it('has every operation on the plan of some piece', () => {
    expect(OPERATIONS.filter((op) => !seen.has(op))).toEqual([]);
  });

  it('says what matters at each, and warns at each that can harm', () => {
    expect([...seen].filter(([, { facts }]) => facts === 0).map(([op]) => op)).toEqual([]);
    // What is only written, waited for or wiped with water.
    const harmless: OperationCode[] = ['label', 'dry_out', 'cure', 'caulk', 'edges', 'wait', 'refresh', 'rub_out'];
    const silent = [...seen].filter(([, { cautions }]) => cautions === 0).map(([op]) => op);
    expect(silent.filter((op) => !harmless.includes(op))).toEqual([]);
  });
});

/** For each rule of the hand a piece that asks for it, and the same but for what the rule is about. */
const RULES: Record<Exclude<HandCode, 'dust_again' | 'dull_again'>, [asks: Dossier, asksNot: Dossier]> = (() => {
  const doors = (goal: Goal = {}, more: Partial<Dossier['piece']> = {}, role: Zone['role'] = 'door'): Dossier =>
    piece([{ id: 'doors', role, stated: WOOD }], goal, { kind: 'sideboard', ...more });
  const two = (second: NonNullable<Goal['zones']>[string]['second'], role: Zone['role'] = 'edge'): Dossier =>
    piece([{ role, stated: WOOD }], { zones: { z0: { ...(second ? { second } : {}) } } }, { kind: 'interior_door' });
  const side = (colour: string): Dossier =>
    piece([{ stated: WOOD }, { role: 'top', stated: WOOD }], { colour: PALE, zones: { z1: { colour } } });
  const band = { colour: DARK, lies: 'level' as const, bands: [{ at_mm: 100, width_mm: 50 }] };
  return {
    label_parts: [doors(), doors({ schools: { doors: 'on' } })],
    mask_room: [piece([{ stated: WOOD }], {}, { kind: 'window_sill' }), piece([{ stated: WOOD }])],
    mask_hinges: [doors({ schools: { doors: 'on' } }), doors()],
    mask_runners: [doors({ application: 'spray' }, {}, 'drawer_front'), doors({}, {}, 'drawer_front')],
    stand: [doors(), doors({ schools: { doors: 'on' } })],
    spray_tent: [doors({ application: 'spray' }), doors({ application: 'aerosol' })],
    gun_card: [doors({ application: 'spray' }), doors()],
    can_card: [doors({ application: 'aerosol' }), doors({ application: 'spray' })],
    mask_wood: [
      piece([{ stated: WOOD }, { role: 'top', stated: WOOD }], { zones: { z1: { look: 'clear' } } }),
      piece([{ stated: WOOD }, { role: 'top', stated: WOOD }], { look: 'clear', zones: { z1: { look: 'clear' } } }),
    ],
    brush_edges: [doors({ application: 'spray' }), doors()],
    room_edges: [two({ colour: DARK, lies: 'far_side' }), two({ colour: DARK, lies: 'far_side' }, 'frame')],
    tape_line: [side(DARK), side(PALE)],
    tape_second: [two(band), two({ colour: DARK, lies: 'far_side' })],
    pull_tape: [two(band), two(undefined)],
  };
})();

describe('a rule of the hand', () => {
  it.each(Object.entries(RULES) as [HandCode, [Dossier, Dossier]][])(
    '%s is asked for, and not',
    (hand, [asks, asksNot]) => {
      expect(handsOf(asks)).toContain(hand);
      expect(handsOf(asksNot)).not.toContain(hand);
    },
  );

  it.each(Object.entries(RULES) as [HandCode, [Dossier, Dossier]][])(
    '%s is left out by a wish, and still told',
    (hand, [asks]) => {
      const without: Dossier = { ...asks, goal: { ...asks.goal, without: [hand] } };
      const [planned, left] = [planPiece(asks), planPiece(without)];
      expect(handsOf(without)).not.toContain(hand);
      expect(left.hands.find((own) => own.hand === hand)?.leftOut).toBe(true);
      expect(planned.hands.find((own) => own.hand === hand)?.leftOut).toBe(false);
      const steps = planned.systems[0]!.zones.flatMap((zone) => zone.steps).filter((own) => own.hand === hand);
      expect(steps.reduce((sum, { minutes, once = 0 }) => sum + minutes + once, 0)).toBeGreaterThan(0);
    },
  );

  it('tells which colour the opening edge of a door between two rooms is', () => {
    const edgeOf = (opens_to: 'near' | 'far'): unknown => {
      const [door] = RULES.room_edges;
      const { systems } = planPiece({ ...door, goal: { ...door.goal, colour: PALE, opens_to } });
      const step = systems[0]!.zones[0]!.steps.find(({ hand }) => hand === 'room_edges')!;
      return step.why;
    };
    expect(edgeOf('near')).toEqual([{ code: 'hand', hand: 'room_edges', edge: PALE }]);
    expect(edgeOf('far')).toEqual([{ code: 'hand', hand: 'room_edges', edge: DARK }]);
  });

  it('is not asked for by a band that lies beside the face', () => {
    const beside = { colour: DARK, lies: 'upright' as const, bands: [{ at_mm: 9000, width_mm: 50 }] };
    const dossier = piece([{ role: 'frame', stated: WOOD }], { zones: { z0: { second: beside } } });
    expect(planPiece(dossier).hands.map(({ hand }) => hand)).toEqual([]);
    expect(handsOf(dossier)).toEqual([]);
  });

  it('is known to the table, each in its place', () => {
    expect(Object.keys(RULES).length + 2).toBe(HANDS.length);
  });
});
