import {
  BLOTCHES,
  CLEAR_BARRIER,
  CLEAR_FACTS,
  CLEAR_MATERIALS,
  FILM_FACTS,
  leavesBare,
  WORK_RATES,
  type ClearCode,
  type FinishCode,
  type TopcoatCode,
  type WorkRate,
} from '../knowledge';
import { measureCoats, pass, step, take, work, type Choice, type Step } from './choice';
import { coatMinutes, coatStep, sandBetween, tinOf } from './coats';
import { hasFinish, hasSubstrate, sumWhere, type Ground } from './ground';
import type { Product } from './product';
import type { StepReason } from './reasons';
import type { SurfaceState } from './surface-state';

/** More likely than not. */
const LIKELY = 0.5;

/** Wood that takes a stain in blotches. */
export const blotches = (ground: Ground): boolean => sumWhere(ground.states, hasSubstrate(...BLOTCHES)) >= LIKELY;

const isLikely = ({ states }: Ground, finish: FinishCode): boolean => sumWhere(states, hasFinish(finish)) >= LIKELY;

const isVeneer = (ground: Ground): boolean => sumWhere(ground.states, hasSubstrate('wood_veneer')) >= 0.3;

/**
 * Bared wood that is to be seen goes up through the grits until no scratch shows; veneer starts at 150 and by hand, for
 * there is no more of it (common practice).
 */
export function ladderSteps(ground: Ground, factor: number): Step[] {
  const grits = isVeneer(ground) ? [150, 180] : [120, 150, 180];
  const { once, perM2, perM, perPart, basis } = WORK_RATES.scuff;
  const rate: WorkRate = { perM2: perM2 * factor, perM, perPart, basis };
  const why: StepReason = { code: 'scratches_show' };
  return grits.map((grit, i) =>
    work('sand', 'sand_with_grain', i === 0 ? { ...rate, once } : rate, ground.size, why, { grit }),
  );
}

/** Spirit shows swirls and glue before the finish does. */
export const lookWithSpirit = (ground: Ground): Step =>
  work(
    'clean',
    'look_with_spirit',
    WORK_RATES.look_with_spirit,
    ground.size,
    { code: 'spirit_shows' },
    { class: 'mineral_spirits', ml: Math.max(5, Math.round((20 * ground.area) / 5) * 5) },
  );

/** Ways to keep the coat that is on: woken with wax or oil, or melted into itself by its own solvent and rubbed out. */
export function renewals(ground: Ground): Choice[] {
  const isShellac =
    sumWhere(ground.states, hasFinish('shellac')) >= sumWhere(ground.states, hasFinish('nitro_lacquer'));
  const melt = [
    work(
      'reamalgamate',
      isShellac ? 'melt_shellac' : 'melt_lacquer',
      WORK_RATES.melt,
      ground.size,
      { code: 'coat_flows' },
      {
        ...(isShellac ? { class: 'alcohol_wipe' } : { material: CLEAR_MATERIALS.thinner }),
        ml: Math.max(10, Math.round((150 * ground.area) / 5) * 5),
      },
    ),
    work(
      'rub_out',
      'rub_out',
      WORK_RATES.rub_out,
      ground.size,
      { code: 'rubbed_even' },
      { material: CLEAR_MATERIALS.wool },
    ),
  ];
  return [
    { ...pass({ sets: { renewed: 'refresh' } }), prep: 'none' },
    take('reamalgamate', { renewed: 'reamalgamate' }, melt, { prep: 'none' }),
  ];
}

/** Stain, on woods that blotch after a conditioner. */
export function stainSteps(ground: Ground): Step[] {
  const stain = work('stain', 'stain', WORK_RATES.stain, ground.size, { code: 'look_asked_for' });
  if (!blotches(ground)) return [stain];
  return [
    work(
      'condition',
      'condition',
      WORK_RATES.condition,
      ground.size,
      { code: 'blotches' },
      { material: CLEAR_MATERIALS.conditioner },
    ),
    stain,
  ];
}

/** A coat of dewaxed shellac parts a clear coat from what it would not hold on. */
export function barrierWith(products: readonly Product[], ground: Ground): Choice[] {
  return products
    .filter(({ class: code }) => code === CLEAR_BARRIER)
    .map((product) => {
      const ml = measureCoats(ground, product, 1, false);
      const own = coatStep(
        'prime',
        product,
        1,
        coatMinutes('clear', product, 1, ground),
        ml,
        [{ code: 'parts_coats' }],
        ground,
      );
      return take('prime', { primers: [{ code: CLEAR_BARRIER, coats: 1 }] }, [own], {
        product,
        coats: 1,
        ml,
        splashes: 0,
      });
    });
}

/** The clear coats over wood: how many, by what it is and where it stands. */
export function clearCoats(state: SurfaceState, ground: Ground, products: readonly Product[]): Choice[] {
  if (state.renewed === 'refresh') {
    const own = wakesWith(ground);
    return products.filter(({ class: code }) => code === own).map((product) => refreshWith(product, ground));
  }
  if (state.renewed === 'reamalgamate') {
    const shellac = isLikely(ground, 'shellac');
    const fresh = products.filter(({ class: code }) => code === 'wax' || (shellac && code === 'shellac_clear'));
    return fresh.map((product) => coatWood(product, FRESH_COATS, state, ground));
  }
  return [
    pass({ skips: 'topcoat' }),
    ...products
      .filter(({ class: code }) => code in CLEAR_FACTS)
      .map((product) => {
        const code = product.class as ClearCode;
        const { coats, topCoats } = CLEAR_FACTS[code];
        const all = ground.hardWorn ? topCoats : coats;
        // Wood that has this on it already drinks less.
        const again = !leavesBare(state.prep) && isLikely(ground, FILM_FACTS[code].becomes);
        return coatWood(product, Math.max(1, all - (again ? 1 : 0)), state, ground);
      }),
  ];
}
/** Over a coat that was melted one more, of wax or of shellac, is enough. */
const FRESH_COATS = 1;

/** Oiled wood is woken with its own oil, a film with wax. */
const wakesWith = (ground: Ground): ClearCode =>
  OILS.find((code) => isLikely(ground, FILM_FACTS[code].becomes)) ?? 'wax';
const OILS = ['wipe_on_oil', 'hardwax_oil'] as const;

/** A third of a coat, on a fine pad, buffed or wiped off. */
function refreshWith(product: Product, ground: Ground): Choice {
  const ml = Math.max(5, Math.round(measureCoats(ground, product, 1, false) / 15) * 5);
  const minutes = coatMinutes('clear', product, 1, ground);
  const own = step(
    'refresh',
    'refresh',
    minutes,
    product.film.touchH,
    { code: 'wakes_coat' },
    {
      class: product.class,
      ml,
      ...tinOf(product),
    },
  );
  return take('refresh', { topcoat: product.class as TopcoatCode, topcoats: 1 }, [afterPaint(own, ground)], {
    product,
    coats: 1,
    ml,
    splashes: 0,
  });
}

/** The wood is finished once the paint beside it is dry. */
const afterPaint = (coat: Step, { meetsOther }: Ground): Step =>
  meetsOther.length > 0 ? { ...coat, meets: [...meetsOther] } : coat;

/** On bare wood water raises the grain: it is raised once before, and taken off. */
const raiseGrain = (ground: Ground): Step =>
  work(
    'sand',
    'raise_grain',
    { ...WORK_RATES.denib, waitH: 4 },
    ground.size,
    { code: 'grain_raised_once' },
    { grit: 220 },
  );

function coatWood(product: Product, coats: number, state: SurfaceState, ground: Ground): Choice {
  const code = product.class as ClearCode;
  const { sanded } = CLEAR_FACTS[code];
  const bare = leavesBare(state.prep) || ground.pRawWood >= LIKELY;
  const ml = measureCoats(ground, product, coats, bare);
  const before =
    bare && product.carrier === 'water' && state.primers.length === 0 && ground.look !== 'stain'
      ? [raiseGrain(ground)]
      : [];
  const between = sanded ? sandBetween(product, coats, ground) : [];
  const minutes = coatMinutes('clear', product, coats, ground);
  const coat = coatStep('topcoat', product, coats, minutes, ml, [{ code: 'wood_wants_protection' }], ground);
  const own = afterPaint(coat, ground);
  const steps = [...before, own, ...between];
  return take('topcoat', { topcoat: code, topcoats: coats }, steps, { product, coats, ml, splashes: 0 });
}
