import { DOSSIER_FORMAT, type Dossier, type Goal, type Zone } from '@/core/dossier';
import { LABEL_CLIMATE } from '@/core/climate';
import { planPiece } from '@/core/systems';
import type { HardParams, SoftParams } from '@/core/systems/findings';
import { findHard, HARD_RULES } from '@/core/systems/hard-rules';
import { listProducts } from '@/core/systems/product';
import { STAGES } from '@/core/systems/search';
import { findSoft, SOFT_RULES } from '@/core/systems/soft-rules';
import { keyOf, UNTOUCHED, type SurfaceState } from '@/core/systems/surface-state';
import { readGround } from '@/core/systems/take-up';
import type { Choice } from '@/core/systems/choice';
import type { Ground } from '@/core/systems/ground';
import { sayRuledOut, sayWarnings, sayWhatBringsBack } from '@/words';

/*
 * Every layer rule both ways: a face on which it speaks, and the nearest one on which it does not. Common practice.
 */

interface Case {
  stated?: NonNullable<Zone['stated']>;
  zone?: Partial<Zone>;
  goal?: Goal;
  piece?: Partial<Dossier['piece']>;
  more?: Partial<Dossier>;
}
/** Where a rule speaks, and what is changed so that it does not. */
type Pair = [speaks: Case, silent: Case, of?: (choice: Choice) => boolean];

const LAMINATE: Case = { stated: { substrate: 'hpl_laminate', finish: 'factory_film' } };
const VARNISHED: Case = { stated: { substrate: 'closed_grain_hardwood', finish: 'varnish_oil' } };
const PAINTED: Case = { stated: { substrate: 'clear_softwood', finish: 'alkyd_paint' } };
const WAXED: Case = { stated: { substrate: 'closed_grain_hardwood', finish: 'wax' } };
const OAK: Case = { stated: { substrate: 'open_grain_hardwood', finish: 'varnish_oil' } };
const BARE: Case = { stated: { substrate: 'clear_softwood', finish: 'bare' } };
const BOARD: Case = { stated: { substrate: 'mdf', finish: 'bare' } };
const FOIL: Case = { stated: { substrate: 'paper_foil', finish: 'factory_film' } };
const VINYL: Case = { stated: { substrate: 'thermofoil', finish: 'factory_film' } };
const VENEER: Case = { stated: { substrate: 'wood_veneer', finish: 'varnish_oil' } };
const SHELLACKED: Case = { stated: { substrate: 'closed_grain_hardwood', finish: 'shellac' } };
const OILED: Case = { stated: { substrate: 'oily_tropical_wood', finish: 'oil' } };
const CHALKED: Case = { stated: { substrate: 'closed_grain_hardwood', finish: 'chalk_paint' } };
const STEEL: Case = { stated: { substrate: 'metal_ferrous', finish: 'bare' } };
const MAHOGANY: Case = { stated: { substrate: 'tannin_rich_wood', finish: 'varnish_oil' } };
const WALL_PAINTED: Case = { stated: { substrate: 'clear_softwood', finish: 'latex_paint' } };
const CARRIED = { colour: '#F3EFE6' } as const;
const DARK = '#22303A';

const and = (base: Case, goal: Goal = {}, zone: Partial<Zone> = {}, more: Partial<Case> = {}): Case => ({
  ...base,
  goal: { ...base.goal, ...goal },
  zone: { ...base.zone, ...zone },
  ...more,
});
const defect = (base: Case, code: string, extent: 'spot' | 'area' = 'area'): Case =>
  and(base, {}, { defects: [{ code, extent }] as NonNullable<Zone['defects']> });
const looked = (base: Case, check: string, result: string): Case =>
  and(base, {}, { observations: [{ check, result }] as NonNullable<Zone['observations']> });
const school = (base: Case, schools: NonNullable<Goal['schools']>): Case => and(base, { schools });

/** A patch of the shop's own, on this very zone. */
const patched = (removed_pct: number): Partial<Case> => ({
  more: {
    tests: [
      {
        id: 'p',
        zone: 'z',
        kind: 'cross_cut',
        at: '2026-01-10T10:00:00Z',
        age_h: 72,
        treatment: { prep: 'scuff_150', primer: 'bonding_primer_wb', coats: 1 },
        reading: { removed_pct },
      },
    ] as NonNullable<Dossier['tests']>,
  },
});
const resumed = (recovery: object): Partial<Case> => ({
  more: {
    chosen: {
      at: '2026-01-01T00:00:00Z',
      zones: [{ id: 'z', treatment: { prep: 'scuff_150', primer: 'bonding_primer_wb', coats: 1 }, recovery }],
    } as unknown as NonNullable<Dossier['chosen']>,
  },
});

const HARD: { [Id in keyof HardParams]: Pair } = {
  nothing_to_stain: [and(LAMINATE, { look: 'stain' }), and(VARNISHED, { look: 'stain' })],
  wax_stays: [WAXED, looked(VARNISHED, 'spirit_rub', 'clean')],
  silicone_stays: [looked(VARNISHED, 'crawl_dab', 'crawls'), VARNISHED],
  raw_edges_unsealed: [defect(FOIL, 'raw_mdf_edge'), FOIL],
  grain_left_open: [and(OAK, { grain: 'hide' }), OAK],
  deglosser_on_film: [LAMINATE, VARNISHED],
  deglosser_on_porous: [BARE, VARNISHED],
  nothing_to_strip: [LAMINATE, defect(PAINTED, 'flaking')],
  strip_only_when_needed: [PAINTED, defect(PAINTED, 'flaking')],
  no_way_to_strip: [and(VENEER, { ventilation: 'none' }), VENEER],
  too_thin_to_sand_bare: [and(VENEER, { look: 'stain' }), and(VARNISHED, { look: 'stain' })],
  soft_pad_on_foil: [FOIL, LAMINATE],
  fine_grit_on_veneer: [VENEER, VARNISHED],
  fine_grit_on_film: [LAMINATE, FOIL],
  raw_wood_unsanded: [BARE, VARNISHED],
  school_of_paper: [school(VARNISHED, { dulling: 'scuff' }), VARNISHED],
  school_of_deglosser: [school(VARNISHED, { dulling: 'liquid' }), VARNISHED],
  no_spraying_without_air: [
    and(VARNISHED, { application: 'spray', ventilation: 'none' }),
    and(VARNISHED, { ventilation: 'none' }),
    ({ product }) => product?.sprayCan === false,
  ],
  solvent_spray_wants_air: [
    and(VARNISHED, { application: 'spray', ventilation: 'limited' }),
    and(VARNISHED, { application: 'spray', ventilation: 'good' }),
  ],
  no_fumes_without_air: [and(VARNISHED, { ventilation: 'none' }), and(VARNISHED, { ventilation: 'limited' })],
  failing_coat_stays: [defect(PAINTED, 'flaking'), PAINTED],
  silicone_needs_barrier: [looked(VARNISHED, 'crawl_dab', 'crawls'), VARNISHED],
  clear_blocker_under_pale: [VARNISHED, and(VARNISHED, { colour: DARK })],
  clear_shellac_out_of_place: [and(LAMINATE, { colour: DARK }), and(VARNISHED, { colour: DARK })],
  wrong_substrate: [VARNISHED, BOARD, ({ product }) => product?.class === 'mdf_sealer'],
  metal_needs_own_primer: [STEEL, BARE],
  aerosol_is_for_spots: [
    and(STEEL, { application: 'aerosol' }),
    and(STEEL, { application: 'aerosol' }, { area_m2: 0.2 }),
  ],
  film_needs_grip: [LAMINATE, PAINTED],
  failed_here: [
    and(
      VARNISHED,
      {},
      {},
      resumed({ trouble: 't', at: '2026-02-01T00:00:00Z', remedy: 'strip', distrusted: ['bonding_primer_wb'] }),
    ),
    VARNISHED,
  ],
  barrier_wanted: [
    and(
      VARNISHED,
      {},
      {},
      resumed({
        trouble: 't',
        at: '2026-02-01T00:00:00Z',
        remedy: 'seal_over',
        over: 'latex_paint',
        asks: ['barrier'],
      }),
    ),
    VARNISHED,
  ],
  too_weak_for_ground: [LAMINATE, VARNISHED],
  failed_own_test: [and(LAMINATE, {}, {}, patched(60)), and(LAMINATE, {}, {}, patched(0))],
  no_stain_block_on_bleed: [MAHOGANY, and(MAHOGANY, { colour: DARK })],
  stain_unsealed: [defect(VARNISHED, 'burn', 'spot'), VARNISHED],
  raw_face_unprimed: [
    school(defect(FOIL, 'lifting_foil'), { priming: 'when_needed' }),
    school(FOIL, { priming: 'when_needed' }),
  ],
  smell_left_inside: [
    and(defect(BARE, 'smoke_odour'), { zones: { z: { look: 'leave' } } }, { role: 'inside' }),
    and(BARE, { zones: { z: { look: 'leave' } } }, { role: 'inside' }),
  ],
  prime_always: [PAINTED, school(PAINTED, { priming: 'when_needed' })],
  odour_needs_blocking: [
    school(defect(VARNISHED, 'smoke_odour'), { priming: 'when_needed' }),
    school(VARNISHED, { priming: 'when_needed' }),
  ],
  wall_paint_only_if_named: [PAINTED, and(PAINTED, { paint: 'latex_wall_paint' })],
  wrong_application: [PAINTED, and(PAINTED, { application: 'aerosol' }), ({ product }) => product?.sprayCan === true],
  too_soft_for_wear: [
    and(PAINTED, { paint: 'mineral_paint' }, { role: 'top' }),
    and(PAINTED, { paint: 'mineral_paint' }, { wear: 'low' }),
  ],
  chalk_needs_sealing: [and(PAINTED, { paint: 'chalk_paint' }), and(PAINTED, { paint: 'wb_alkyd_enamel' })],
  sheen_not_made: [
    and(PAINTED, { paint: 'wb_alkyd_enamel', sheen: 'matt' }),
    and(PAINTED, { paint: 'wb_alkyd_enamel', sheen: 'satin' }),
  ],
  school_of_topcoat: [school(PAINTED, { topcoat: 'always' }), PAINTED],
  wax_on_hard_wear: [
    and(PAINTED, { paint: 'chalk_paint' }, { role: 'top' }),
    and(PAINTED, { paint: 'chalk_paint' }, { wear: 'low' }),
  ],
  other_way_wished: [and(VARNISHED, { look: 'clear', keep: 'refinish' }), and(VARNISHED, { look: 'clear' })],
  no_wood_to_show: [and(LAMINATE, { look: 'clear' }), and(VARNISHED, { look: 'clear' })],
  paint_hides_wood: [and(PAINTED, { look: 'clear' }), and(VARNISHED, { look: 'clear' })],
  refresh_wants_sound_coat: [and(BARE, { look: 'clear' }), and(VARNISHED, { look: 'clear' })],
  amalgamates_its_own_only: [and(VARNISHED, { look: 'clear' }), and(SHELLACKED, { look: 'clear' })],
  nothing_to_melt: [and(SHELLACKED, { look: 'clear' }), defect(and(SHELLACKED, { look: 'clear' }), 'alligatoring')],
  barrier_for_film_only: [and(VARNISHED, { look: 'clear' }), and(BARE, { look: 'clear' })],
  coat_takes_no_clear: [and(OILED, { look: 'clear' }), and(BARE, { look: 'clear' })],
  clear_too_soft: [and(VARNISHED, { look: 'clear' }, { role: 'top' }), and(VARNISHED, { look: 'clear' })],
  clear_near_heat: [and(VARNISHED, { look: 'clear' }, { heat: true }), and(VARNISHED, { look: 'clear' })],
  bare_wood_unprotected: [and(VARNISHED, { look: 'stain' }), VARNISHED],
};

const SOFT: { [Id in keyof SoftParams]: Pair } = {
  wall_paint_soft: [and(PAINTED, { paint: 'latex_wall_paint' }), and(PAINTED, { paint: 'wb_alkyd_enamel' })],
  sprayed_in_little_air: [
    and(PAINTED, { application: 'spray', ventilation: 'limited' }),
    and(PAINTED, { application: 'spray', ventilation: 'good' }),
  ],
  drawer_sides_painted: [and(PAINTED, {}, { role: 'drawer_side' }), PAINTED],
  soft_film_handled: [
    and(PAINTED, { paint: 'mineral_paint' }, { role: 'shelf' }),
    and(PAINTED, { paint: 'mineral_paint' }),
  ],
  doors_painted_on: [school(and(PAINTED, {}, { role: 'door' }), { doors: 'on' }), and(PAINTED, {}, { role: 'door' })],
  wb_clear_over_dark: [
    school(and(PAINTED, { colour: DARK }), { topcoat: 'always' }),
    school(PAINTED, { topcoat: 'always' }),
  ],
  oil_clear_over_pale: [
    school(PAINTED, { topcoat: 'always' }),
    school(and(PAINTED, { colour: DARK }), { topcoat: 'always' }),
  ],
  oil_enamel_yellows: [and(PAINTED, { paint: 'oil_enamel' }), and(PAINTED, { paint: 'oil_enamel', colour: DARK })],
  waterborne_over_filler: [and(OAK, { grain: 'hide' }), OAK],
  sprayed_over_pores: [and(OAK, { application: 'spray' }), OAK],
  gloss_shows_flaws: [and(PAINTED, { sheen: 'gloss' }), and(PAINTED, { paint: 'wb_alkyd_enamel' })],
  thin_aerosol_film: [
    and(STEEL, { application: 'aerosol' }, { area_m2: 0.8 }),
    and(STEEL, { application: 'aerosol' }, { area_m2: 0.2 }),
  ],
  brittle_on_flexing: [VINYL, LAMINATE],
  solvent_over_latex: [WALL_PAINTED, PAINTED],
  raw_wood_left_raw: [BARE, VARNISHED],
  rough_between_coats: [school(PAINTED, { between: 'only_if_rough' }), PAINTED],
  smell_half_sealed: [defect(VARNISHED, 'smoke_odour'), VARNISHED],
  residual_bleed: [MAHOGANY, LAMINATE],
  strong_fumes: [VARNISHED, and(VARNISHED, { ventilation: 'none' })],
  may_blotch: [and(BARE, { look: 'stain' }), and(OAK, { look: 'stain' })],
  not_reversible: [and(PAINTED, { reversible: true }), PAINTED],
  antique_first_surface: [and(SHELLACKED, {}, {}, { piece: { value: 'antique_first_surface' } }), SHELLACKED],
  two_part_needs_mask: [LAMINATE, and(LAMINATE, { ventilation: 'none' })],
};

function read({ stated, zone, goal, piece, more }: Case): {
  ground: Ground;
  products: ReturnType<typeof listProducts>;
} {
  const own: Zone = { id: 'z', role: 'side', area_m2: 1, ...(stated ? { stated } : {}), ...zone };
  const dossier: Dossier = {
    format: DOSSIER_FORMAT,
    piece: { kind: 'sideboard', history: { era: 'since_2000' }, ...piece },
    zones: [own],
    goal: { ...CARRIED, ...goal },
    ...more,
  };
  const ground = readGround(dossier, own);
  return {
    ground,
    products: listProducts([], LABEL_CLIMATE, { colours: [ground.colour], gun: ground.application === 'spray' }),
  };
}

type Met = [Choice, SurfaceState, Ground];
const isCut = (...met: Met): boolean => HARD_RULES.some((rule) => rule.cuts(...met));

/** Every way to go on that is met on a face, from every state the rules allow. */
function* walk(own: Case): Generator<Met> {
  const { ground, products } = read(own);
  const left = ['cleaning', 'repairing', 'spot_sealing', 'refitting'];
  let front = new Map([[keyOf(UNTOUCHED), UNTOUCHED]]);
  for (const stage of STAGES) {
    if (ground.look === 'leave' && !left.includes(stage.id)) continue;
    const next = new Map<string, SurfaceState>();
    for (const state of front.values())
      for (const choice of stage.choices(state, ground, products)) {
        yield [choice, state, ground];
        if (isCut(choice, state, ground)) continue;
        const after = { ...state, ...choice.sets };
        next.set(keyOf(after), after);
      }
    front = next;
  }
}

describe('the hard rules', () => {
  it.each(HARD_RULES.map((rule) => [rule.id, rule] as const))('%s', (id, rule) => {
    const [speaks, silent, of = () => true] = HARD[id];
    const cutOn = (own: Case): Met[] =>
      [...walk(own)].filter(([choice, before, ground]) => of(choice) && rule.cuts(choice, before, ground));
    const cut = cutOn(speaks);
    expect(cut.length).toBeGreaterThan(0);
    const said = cut.map(([choice, before, ground]) => sayRuledOut(findHard(rule, choice, before, ground)));
    for (const text of [...said, sayWhatBringsBack({ rule: id })]) expect(text).toMatch(/^[A-Z].{10,}[.!?]$/);
    expect(
      cutOn(silent).map(([{ op, product, prep, skips }]) => ({ op, product: product?.class, prep, skips })),
    ).toEqual([]);
  });
});

describe('the soft rules', () => {
  it.each(SOFT_RULES.map((rule) => [rule.id, rule] as const))('%s', (id, rule) => {
    const [speaks, silent] = SOFT[id];
    const warnedOn = (own: Case): Met[] =>
      [...walk(own)].filter(
        ([choice, before, ground]) =>
          choice.product !== undefined &&
          !isCut(choice, before, ground) &&
          rule.chance(choice, before, ground) !== null,
      );
    const warned = warnedOn(speaks);
    expect(warned.length).toBeGreaterThan(0);
    for (const [choice, before, ground] of warned) {
      const [text] = sayWarnings([
        { rule: id, zone: 'z', op: choice.op, finding: findSoft(rule, choice, before, ground) },
      ]);
      expect(text!.text).toMatch(/^[A-Z].{10,}[.!?]$/);
    }
    expect(warnedOn(silent).map(([{ op, product }]) => ({ op, product: product?.class }))).toEqual([]);
  });
});

/* What the plan itself does, with the fact that asks for it and without. */
type Plan = ReturnType<typeof planPiece>;
const planOf = ({ stated, zone, goal, piece, more }: Case): Plan =>
  planPiece({
    format: DOSSIER_FORMAT,
    piece: { kind: 'sideboard', history: { era: 'since_2000' }, ...piece },
    zones: [{ id: 'z', role: 'side', area_m2: 1, ...(stated ? { stated } : {}), ...zone }],
    goal: { ...CARRIED, ...goal },
    ...more,
  });
const steps = (own: Case): Plan['systems'][number]['zones'][number]['steps'] => planOf(own).systems[0]!.zones[0]!.steps;
const ops = (own: Case): string[] => steps(own).map(({ op }) => op);
const named = (own: Case, name: string): boolean => steps(own).some((step) => step.name === name);
/** The first place in the order of work of each of these; what is not there comes last of all. */
const inOrder = (own: Case, ...want: string[]): boolean => {
  const at = want.map((op) => ops(own).indexOf(op));
  return at.every((place, i) => place >= 0 && (i === 0 || place > at[i - 1]!));
};

const KEPT: [string, (own: Case) => boolean, ...Pair][] = [
  [
    'glass is taped and left',
    (own) => ops(own).includes('mask') && !ops(own).includes('paint'),
    { stated: { substrate: 'glass_ceramic', finish: 'bare' } },
    LAMINATE,
  ],
  ['metal is wiped before its first coat', (own) => named(own, 'wipe_metal'), STEEL, PAINTED],
  ['raw board is cleaned dry', (own) => named(own, 'clean_dry') && !ops(own).includes('degrease'), BOARD, PAINTED],
  ['raw wood is sanded in two grits', (own) => ops(own).filter((op) => op === 'sand').length === 2, BARE, VARNISHED],
  [
    'wax is washed off again after the strip',
    (own) => ops(own).lastIndexOf('dewax') > ops(own).indexOf('strip') && ops(own).includes('strip'),
    looked(defect(CHALKED, 'flaking'), 'spirit_rub', 'waxy_film'),
    defect(CHALKED, 'flaking'),
  ],
  [
    'nothing is filled before it is stripped',
    (own) => inOrder(own, 'strip', 'fill'),
    and(
      PAINTED,
      {},
      {
        defects: [
          { code: 'flaking', extent: 'area' },
          { code: 'gouge', extent: 'spot' },
        ],
      },
    ),
    defect(PAINTED, 'gouge', 'spot'),
  ],
  [
    'brush marks are not levelled on what is stripped',
    (own) => ops(own).includes('strip') && !steps(own).some(({ repair }) => repair !== undefined),
    and(
      PAINTED,
      {},
      {
        defects: [
          { code: 'flaking', extent: 'area' },
          { code: 'brush_marks', extent: 'area' },
        ],
      },
    ),
    defect(PAINTED, 'brush_marks'),
  ],
  [
    'raw edges are sealed after the face is dulled',
    (own) => inOrder(own, 'scuff', 'edge_seal'),
    defect(FOIL, 'raw_mdf_edge'),
    FOIL,
  ],
  [
    'drying out is asked above 12 %',
    (own) => ops(own).includes('dry_out'),
    and(BARE, {}, {}, { zone: { observations: [{ check: 'moisture_meter', value: 16 }] } as Partial<Zone> }),
    and(BARE, {}, {}, { zone: { observations: [{ check: 'moisture_meter', value: 10 }] } as Partial<Zone> }),
  ],
  [
    'doors are taken off and put back',
    (own) => inOrder(own, 'hardware_off', 'refit'),
    and(PAINTED, {}, { role: 'door' }),
    school(and(PAINTED, {}, { role: 'door' }), { doors: 'on' }),
  ],
  [
    'a stated wax finish is washed off',
    (own) => ops(own).includes('dewax'),
    WAXED,
    looked(VARNISHED, 'spirit_rub', 'clean'),
  ],
  [
    'sanding between coats is a step',
    (own) => steps(own).some(({ op, between }) => op === 'denib' && between),
    PAINTED,
    and(PAINTED, { zones: { z: { look: 'leave' } } }),
  ],
];

describe('what a plan does', () => {
  it.each(KEPT)('%s', (_name, does, asked, unasked) => {
    expect(does(asked)).toBe(true);
    expect(does(unasked)).toBe(false);
  });
});
