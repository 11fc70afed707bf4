import { PREP_FACTS } from '../knowledge';
import { isLeft, wishOf, type Dossier, type Stack, type Treatment, type ZoneWish } from '../dossier';
import type { Choice } from './choice';
import type { HardFinding } from './findings';
import { carryStep, type TakenStep } from './freeze';
import type { Ground } from './ground';
import { readGround } from './take-up';
import { findHard } from './hard-rules';
import { priceJointly } from './joint';
import { makeCandidate, priceElapsedHour, priceNumbered, priceZone, stockNumbered, type Aim } from './prices';
import { productsOf, type Product } from './product';
import { searchZone, type Label, type ZoneSearch } from './search';
import type { SurfaceState } from './surface-state';
import { assembleSystem, describeZone, type CoatingSystem } from './system';

/** The system the owner took, judged by what is known now. */
export interface TakenSystem {
  /** Its figures now; none when a rule now forbids it. */
  system: CoatingSystem | null;
  /** Zones where a rule now cuts it. */
  broken: { zone: string; finding: HardFinding }[];
}

/** The same layers searched again with what is known now. `null` when nothing was taken or it was kept without layers. */
export function judgeTaken(
  dossier: Dossier,
  searches: readonly ZoneSearch[],
  products: readonly Product[],
  aim: Aim,
): TakenSystem | null {
  const stacks = new Map(dossier.chosen?.zones.map(({ id, stack }) => [id, stack]));
  const broken: TakenSystem['broken'] = [];
  const labels: Label[] = [];
  for (const { ground } of searches) {
    const stack = stacks.get(ground.zone.id);
    if (!stack) return null;
    const { goals, cuts } = searchStack(ground, products, stack);
    const best = pickLeast(goals, (label) => priceZone(label, ground, aim));
    if (best) labels.push(best);
    else {
      const cut = cuts.at(-1);
      const finding: HardFinding = cut
        ? findHard(cut.rule, cut.choice, cut.before, ground)
        : { rule: 'wishes_changed' };
      broken.push({ zone: ground.zone.id, finding });
    }
  }
  if (broken.length > 0 || labels.length === 0) return { system: null, broken };
  const problem = {
    zones: labels.map((label, z) => [makeCandidate(label, searches[z]!.ground, aim)]),
    price: (product: number, ml: number) => priceNumbered(products, product, ml, aim),
    stock: (product: number) => stockNumbered(products, product),
    hourPrice: priceElapsedHour(aim),
  };
  const cost = priceJointly(
    problem,
    labels.map(() => 0),
  );
  const grounds = searches.map(({ ground }) => ground);
  const assembled = assembleSystem(labels, grounds, cost, dossier.money?.consumables);
  const system = { ...assembled, id: 'taken', labels: [], assumes: [], gates: [] };
  return { system, broken };
}

/** The search of a zone kept to given layers: what else must be done for them, and the rule that cuts them if any. */
export const searchStack = (ground: Ground, products: readonly Product[], stack: Stack): ZoneSearch =>
  searchZone(ground, products, { follows: (choice, before) => keepsTo(stack, choice, before) });

/** Whether a way stays within the layers taken. */
function keepsTo(stack: Stack, choice: Choice, before: SurfaceState): boolean {
  if (choice.prep !== undefined)
    return (
      choice.prep === (PREP_FACTS[stack.prep].holdsAs ?? stack.prep) &&
      (choice.sets.renewed ?? null) === (stack.renewed ?? null)
    );
  if (choice.op === 'prime') {
    const [own, wanted] = [choice.sets.primers?.at(-1), stack.primers[before.primers.length]];
    return own?.code === wanted?.code && own?.coats === wanted?.coats;
  }
  if (choice.closesGround) return before.primers.length === stack.primers.length;
  if (choice.op === 'paint') return choice.product?.class === stack.paint;
  if (choice.op === 'topcoat' || choice.op === 'refresh')
    return choice.product?.class === stack.topcoat && before.primers.length === stack.primers.length;
  return choice.skips !== 'topcoat' || stack.topcoat === 'none';
}

export function pickLeast<T>(list: readonly T[], value: (entry: T) => number): T | undefined {
  let [best, least]: [T | undefined, number] = [undefined, Infinity];
  for (const entry of list) {
    const here = value(entry);
    if (here < least) [best, least] = [entry, here];
  }
  return best;
}

/**
 * The work of the system that was taken, zone by zone, in order: as it was written down then, or, where it was not,
 * searched again along the layers taken. A zone no way keeps to any more is left out.
 */
export function listTakenSteps(dossier: Dossier): { id: string; steps: TakenStep[] }[] {
  const taken = dossier.chosen?.zones ?? [];
  let products: Product[] | null = null;
  return taken.flatMap(({ id, treatment, stack, steps }): { id: string; steps: TakenStep[] }[] => {
    const zone = dossier.zones?.find((own) => own.id === id);
    if (!zone || isLeft(dossier, zone)) return [];
    if (steps) return [{ id, steps }];
    products ??= productsOf(dossier);
    const ground = readGround(dossier, zone);
    const { goals } = searchStack(ground, products, stack ?? toStack(treatment, wishOf(dossier, zone)));
    const best = pickLeast(goals, (label) => priceZone(label, ground, dossier.goal?.priority ?? 'balance'));
    return best ? [{ id, steps: describeZone(best, ground).steps.map(carryStep) }] : [];
  });
}

/** The layers a treatment means. */
function toStack({ prep, primer, coats, paint, paint_coats, clear }: Treatment, wish: ZoneWish): Stack {
  return {
    prep: prep ?? 'none',
    primers: primer === undefined || primer === 'none' ? [] : [{ code: primer, coats: Math.max(1, coats ?? 1) }],
    paint: paint ?? wish.paint ?? DEFAULT_PAINT,
    paint_coats: paint_coats ?? 2,
    topcoat: clear ?? 'none',
  };
}
/** A treatment that names no paint is followed by cabinet enamel, which needs no sealing (common practice). */
const DEFAULT_PAINT = 'wb_alkyd_enamel';
