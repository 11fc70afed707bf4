import fc from 'fast-check';
import {
  DOSSIER_FORMAT,
  type Defect,
  type Dossier,
  type Observation,
  type SecondColour,
  type Zone,
} from '@/core/dossier';
import {
  CHECKS,
  DEFECT_DETAILS,
  DEFECTS,
  ERAS,
  FINISHES,
  PAINTS,
  PIECE_KINDS,
  ROLES,
  ROOMS,
  SOLID_WOODS,
} from '@/core/knowledge';

export const SEED = 20_260_521;

const observation: fc.Arbitrary<Observation> = fc
  .constantFrom(...CHECKS.filter(({ code }) => code !== 'lead_test'))
  .chain((check) => fc.constantFrom(...check.answers).map((answer) => ({ check: check.code, result: answer.code })));

const zone = (id: string): fc.Arbitrary<Zone> =>
  fc.record({
    id: fc.constant(id),
    role: fc.constantFrom(...ROLES),
    area_m2: fc.double({ min: 0.01, max: 20, noNaN: true }),
    observations: fc.uniqueArray(observation, { maxLength: 8, selector: ({ check }) => check }),
    defects: fc.array(fc.record({ code: fc.constantFrom(...DEFECTS) }), { maxLength: 3 }),
  });

/** Any piece of two zones that the vocabulary allows, however its answers contradict each other. */
export const anyDossier: fc.Arbitrary<Dossier> = fc.record({
  format: fc.constant(DOSSIER_FORMAT),
  piece: fc.record({
    kind: fc.constantFrom(...PIECE_KINDS),
    history: fc.record({ era: fc.constantFrom(...ERAS), room: fc.constantFrom(...ROOMS) }),
  }),
  zones: fc.tuple(zone('a'), zone('b')).map((zones) => [...zones]),
  goal: fc.record({
    colour: fc.constantFrom('#F3EFE6', '#2B3A42'),
    ventilation: fc.constantFrom('good' as const, 'limited' as const, 'none' as const),
    grain: fc.constantFrom('hide' as const, 'show' as const),
  }),
});

const goal: fc.Arbitrary<NonNullable<Dossier['goal']>> = fc.record(
  {
    look: fc.constantFrom('opaque', 'opaque', 'opaque', 'opaque', 'opaque', 'opaque', 'stain', 'clear'),
    colour: fc.constantFrom('#F3EFE6', '#2B3A42', '#C03020'),
    ventilation: fc.constantFrom('good', 'limited', 'none'),
    grain: fc.constantFrom('hide', 'show'),
    sheen: fc.constantFrom('matt', 'satin', 'gloss'),
    application: fc.constantFrom('brush_roll', 'spray', 'aerosol'),
    priority: fc.constantFrom('surest', 'soonest', 'cheapest', 'least_fumes'),
    paint: fc.constantFrom(...PAINTS),
    schools: fc.record(
      {
        dulling: fc.constantFrom('mix', 'scuff', 'liquid'),
        priming: fc.constantFrom('always', 'when_needed'),
        fill: fc.constantFrom('obvious_first_then_after_prime', 'before', 'after_prime'),
        grain: fc.constantFrom('spackle_brush', 'spackle_knife', 'grain_filler', 'leave'),
        stain_block: fc.constantFrom('whole_zone', 'spots_only'),
        doors: fc.constantFrom('off', 'on'),
        topcoat: fc.constantFrom('when_needed', 'always'),
        between: fc.constantFrom('denib_every', 'only_if_rough'),
      },
      { requiredKeys: [] },
    ),
  },
  { requiredKeys: [] },
);

// prettier-ignore
const TINS = ['shellac_primer', 'shellac_clear', 'stainblock_primer_oil', 'stainblock_primer_wb', 'bonding_primer_wb', 'bonding_primer_2k', 'allpurpose_primer_wb', 'mdf_sealer', 'chalk_paint', 'mineral_paint', 'latex_wall_paint', 'wb_alkyd_enamel', 'wb_clear', 'wax'];

export const anyTin = (id: string): fc.Arbitrary<NonNullable<Dossier['shelf']>[number]> =>
  fc.record(
    {
      id: fc.constant(id),
      class: fc.constantFrom(...TINS),
      volume_ml: fc.integer({ min: 0, max: 2500 }),
      recoat_h: fc.integer({ min: 0, max: 48 }),
      coverage_m2_l: fc.integer({ min: 4, max: 16 }),
    },
    { requiredKeys: ['id', 'class', 'volume_ml'] },
  );

/** As `anyDossier`, with every wish and school, a room and a shelf. */
export const anyWishes: fc.Arbitrary<Dossier> = fc
  .record({
    dossier: anyDossier,
    goal,
    climate: fc.record({
      temperature_c: fc.integer({ min: 11, max: 30 }),
      humidity_pct: fc.integer({ min: 30, max: 70 }),
    }),
    shelf: fc.tuple(anyTin('t1'), anyTin('t2'), anyTin('t3')),
  })
  .map(({ dossier, ...more }) => ({ ...dossier, ...more, shelf: [...more.shelf] }));

/** Of wood that is to show: any wood under any old coat, anywhere. */
export const anyWood: fc.Arbitrary<Dossier> = fc
  .record({
    zones: fc.array(
      fc.record({
        role: fc.constantFrom('top' as const, 'side' as const, 'shelf' as const),
        area_m2: fc.double({ min: 0.1, max: 2, noNaN: true }),
        heat: fc.boolean(),
        stated: fc.record({
          substrate: fc.constantFrom(...SOLID_WOODS, 'wood_veneer' as const),
          finish: fc.constantFrom(...FINISHES),
        }),
        defects: fc.subarray([{ code: 'alligatoring' as const }, { code: 'water_ring' as const }], { maxLength: 1 }),
      }),
      { minLength: 1, maxLength: 2 },
    ),
    goal: fc.record(
      {
        look: fc.constantFrom('clear' as const, 'clear' as const, 'stain' as const),
        keep: fc.constantFrom('refresh' as const, 'refinish' as const),
        ventilation: fc.constantFrom('good' as const, 'limited' as const, 'none' as const),
        room: fc.constantFrom('living' as const, 'dining' as const, 'kitchen' as const),
        priority: fc.constantFrom('surest' as const, 'soonest' as const, 'cheapest' as const, 'least_fumes' as const),
      },
      { requiredKeys: ['look'] },
    ),
  })
  .map(({ zones, goal }) => ({
    format: 'bricolage.dossier/1' as const,
    piece: { kind: 'sideboard' as const, history: { era: 'since_2000' as const } },
    zones: zones.map((zone, i) => ({ id: 'ab'[i]!, ...zone })),
    goal: goal as NonNullable<Dossier['goal']>,
    shelf: [],
  }));

const hue = fc.constantFrom('#F3EFE6', '#2B3A42', '#7B2E26');
const second: fc.Arbitrary<SecondColour> = fc.oneof(
  fc.record({
    colour: hue,
    lies: fc.constantFrom('upright' as const, 'level' as const),
    bands: fc.integer({ min: 20, max: 120 }).map((width_mm) => [{ at_mm: 60, width_mm }]),
  }),
  fc.record({ colour: hue, lies: fc.constant('panel' as const), margin_mm: fc.constant(60) }),
  fc.record({ colour: hue, lies: fc.constant('far_side' as const) }),
);
const ownWish = fc.record(
  { look: fc.constantFrom('opaque' as const), colour: hue, paint: fc.constantFrom(...PAINTS), second },
  { requiredKeys: ['look'] },
);

/** As `anyWishes`, in colours and paints of their own zone by zone, and tins that say their colour. */
export const anyTwoTone: fc.Arbitrary<Dossier> = fc
  .record({ piece: anyWishes, a: ownWish, b: ownWish, hues: fc.tuple(hue, hue, hue) })
  .map(({ piece, a, b, hues }) => ({
    ...piece,
    goal: { ...piece.goal, zones: { a, b } },
    shelf: piece.shelf!.map((tin, i) => ({ ...tin, colour: hues[i]! })),
  }));

const GROUNDS = [
  { substrate: 'knotty_softwood', finish: 'varnish_oil' },
  { substrate: 'clear_softwood', finish: 'alkyd_paint' },
  { substrate: 'open_grain_hardwood', finish: 'oil' },
  { substrate: 'closed_grain_hardwood', finish: 'bare' },
  { substrate: 'wood_veneer', finish: 'nitro_lacquer' },
  { substrate: 'thermofoil', finish: 'factory_film' },
  { substrate: 'melamine_board', finish: 'factory_film' },
  { substrate: 'mdf', finish: 'bare' },
  { substrate: 'metal_ferrous', finish: 'alkyd_paint' },
] as const;

/** One zone of a stated ground with one to six faults of any extent, whether they can be there or not. */
export const anyFaulty: fc.Arbitrary<Dossier> = fc
  .record({
    stated: fc.constantFrom(...GROUNDS),
    role: fc.constantFrom('side' as const, 'drawer_front' as const, 'top' as const, 'inside' as const),
    defects: fc.array(
      fc.record(
        {
          code: fc.constantFrom(...DEFECTS),
          extent: fc.constantFrom('spot' as const, 'area' as const, 'all' as const),
          count: fc.integer({ min: 1, max: 12 }),
          detail: fc.constantFrom(...DEFECT_DETAILS),
        },
        { requiredKeys: ['code'] },
      ),
      { minLength: 1, maxLength: 6 },
    ),
    goal: fc.record({
      look: fc.constantFrom('opaque' as const, 'opaque' as const, 'opaque' as const, 'clear' as const),
      colour: fc.constantFrom('#F3EFE6', '#2B3A42'),
      ventilation: fc.constantFrom('good' as const, 'good' as const, 'none' as const),
      grain: fc.constantFrom('hide' as const, 'show' as const),
      paint: fc.constant('wb_alkyd_enamel' as const),
      schools: fc.record({
        fill: fc.constantFrom('before' as const, 'after_prime' as const, 'obvious_first_then_after_prime' as const),
        priming: fc.constantFrom('always' as const, 'when_needed' as const),
      }),
    }),
  })
  .map(({ stated, role, defects, goal }) => ({
    format: DOSSIER_FORMAT,
    piece: { kind: 'chest', history: { era: 'since_2000' } },
    zones: [{ id: 'a', role, area_m2: 0.8, stated, defects: defects as Defect[] }],
    goal,
  }));
