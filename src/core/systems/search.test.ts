import { LABEL_CLIMATE } from '../climate';
import { DOSSIER_FORMAT, type Dossier, type Zone } from '../dossier';
import type { Ground } from './ground';
import { readGround } from './take-up';
import { HARD_RULES } from './hard-rules';
import { listProducts, type Product } from './product';
import { listRejections } from './rejections';
import { beats, searchZone, type Label } from './search';
import { walkAll } from './walk-all';

const CLASSES = [
  'shellac_primer',
  'bonding_primer_wb',
  'stainblock_primer_wb',
  'wb_alkyd_enamel',
  'chalk_paint',
  'wb_clear',
];

function read(zone: Partial<Zone>, goal: Dossier['goal'] = {}): Ground {
  const own: Zone = { id: 'z', role: 'side', area_m2: 1, ...zone };
  return readGround({ format: DOSSIER_FORMAT, piece: { kind: 'sideboard' }, zones: [own], goal }, own);
}
const [PALE, DARK, RED] = ['#F3EFE6', '#2B3A42', '#C03020'] as const;
/** Tins of each colour that hide well and badly, so that the coats hang on which is taken. */
const TINS = [
  { id: 'thin', class: 'wb_alkyd_enamel', colour: RED, contrast_ratio: 0.6, volume_ml: 400 },
  { id: 'thick', class: 'wb_alkyd_enamel', colour: DARK, contrast_ratio: 0.99, volume_ml: 400 },
];
const few = (colours: readonly string[] = []): Product[] =>
  listProducts(TINS, LABEL_CLIMATE, { colours }).filter((product) => CLASSES.includes(product.class));
const coloursOf = ({ colour, second }: Ground): string[] => (second ? [colour, second.colour] : []);

const figures = ({ minutes, waitH, splashes, loss, uses, state }: Label): string =>
  JSON.stringify([
    state.paint,
    minutes,
    waitH,
    splashes,
    loss.toFixed(9),
    uses.map(({ product, ml }) => [product.key, ml]),
  ]);
const unbeaten = (ways: readonly Label[]): Set<string> =>
  new Set(
    ways.filter((way) => !ways.some((other) => other !== way && beats(other, way) && !beats(way, other))).map(figures),
  );

describe('the search of a zone', () => {
  it.each<[string, Partial<Zone>, Dossier['goal']]>([
    [
      'knotty pine in white',
      { stated: { substrate: 'knotty_softwood', finish: 'varnish_oil' }, defects: [{ code: 'knot', count: 4 }] },
      {},
    ],
    ['laminate', { stated: { substrate: 'hpl_laminate', finish: 'factory_film' } }, {}],
    ['oak with its grain hidden', { stated: { substrate: 'open_grain_hardwood', finish: 'oil' } }, { grain: 'hide' }],
    ['raw board', { stated: { substrate: 'mdf', finish: 'bare' }, defects: [{ code: 'raw_mdf_edge' }] }, {}],
    [
      'old paint with marks and a gouge',
      {
        stated: { substrate: 'clear_softwood', finish: 'alkyd_paint' },
        defects: [
          { code: 'brush_marks', extent: 'area' },
          { code: 'gouge', extent: 'spot' },
        ],
      },
      {},
    ],
    [
      'vinyl foil that lifts, with a burn',
      {
        stated: { substrate: 'thermofoil', finish: 'factory_film' },
        defects: [
          { code: 'lifting_foil', extent: 'spot' },
          { code: 'burn', extent: 'spot' },
        ],
      },
      {},
    ],
    [
      'a far side in red over white primer and none',
      { stated: { substrate: 'clear_softwood', finish: 'alkyd_paint' } },
      {
        colour: PALE,
        schools: { priming: 'when_needed' },
        zones: { z: { second: { colour: RED, lies: 'far_side' } } },
      },
    ],
    [
      'a dark field in a pale frame',
      { stated: { substrate: 'closed_grain_hardwood', finish: 'varnish_oil' } },
      { colour: PALE, zones: { z: { second: { colour: DARK, lies: 'panel', margin_mm: 60 } } } },
    ],
    ['nothing known, mouldings', { moulded: true, role: 'door' }, { schools: { priming: 'when_needed' } }],
  ])('finds every unbeaten way of the exhaustive walk, and no other: %s', (_name, zone, goal) => {
    const ground = read(zone, goal);
    const products = few(coloursOf(ground));
    const all = walkAll(ground, products);
    const { goals, labels } = searchZone(ground, products);
    expect(all.length).toBeGreaterThan(10);
    // The search drops beaten ways as it goes; what it keeps at the end still holds all that none beats.
    expect(unbeaten(goals)).toEqual(unbeaten(all));
    expect(labels).toBeGreaterThan(0);
  });

  it.each<[string, Partial<Zone>, Dossier['goal']]>([
    [
      'crazed shellac',
      { stated: { substrate: 'wood_veneer', finish: 'shellac' }, defects: [{ code: 'alligatoring' }] },
      { look: 'clear' },
    ],
    ['oiled teak', { stated: { substrate: 'oily_tropical_wood', finish: 'oil' } }, { look: 'clear' }],
    [
      'a varnished top done anew',
      { role: 'top', stated: { substrate: 'open_grain_hardwood', finish: 'varnish_oil' } },
      { look: 'clear', keep: 'refinish' },
    ],
    [
      'flaking varnish',
      { stated: { substrate: 'closed_grain_hardwood', finish: 'varnish_oil' }, defects: [{ code: 'flaking' }] },
      { look: 'clear' },
    ],
    ['pine to be stained', { stated: { substrate: 'clear_softwood', finish: 'varnish_oil' } }, { look: 'stain' }],
  ])('finds the same where the wood is to show: %s', (_name, zone, goal) => {
    const ground = read(zone, goal);
    const clears = ['shellac_clear', 'wb_clear', 'oil_polyurethane', 'wipe_on_oil', 'hardwax_oil', 'wax'];
    const products = listProducts([], LABEL_CLIMATE).filter((product) => clears.includes(product.class));
    const all = walkAll(ground, products);
    expect(all.length).toBeGreaterThan(3);
    expect(unbeaten(searchZone(ground, products).goals)).toEqual(unbeaten(all));
  });

  it('names for every cut the rule, and cuts nothing without one', () => {
    const { cuts } = searchZone(read({ stated: { substrate: 'hpl_laminate', finish: 'factory_film' } }), few());
    expect(cuts.length).toBeGreaterThan(5);
    for (const { rule } of cuts) expect(HARD_RULES).toContain(rule);
  });

  it('calls ruled out what a rule forbids, not what another way beats', () => {
    const zone: Partial<Zone> = {
      stated: { substrate: 'clear_softwood', finish: 'alkyd_paint' },
      defects: [{ code: 'prior_bleed', extent: 'spot' }],
    };
    const search = searchZone(read(zone), few());
    const codes = listRejections(search).map(({ code }) => code);
    // A finer paper would do, only less well; stripping a sound coat is forbidden.
    expect(search.goals.every(({ state }) => state.prep !== 'scuff_220')).toBe(true);
    expect(codes).not.toContain('scuff_220');
    expect(codes).toContain('strip');
  });

  it('goes through a zone that is left with cleaning only', () => {
    const { goals } = searchZone(read({}, { zones: { z: { look: 'leave' } } }), few());
    expect(goals).toHaveLength(1);
    expect(goals[0]).toMatchObject({ loss: 0, uses: [], waitH: 1 });
  });
});
