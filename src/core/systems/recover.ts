import { RUNNER_WAX, WORK_RATES } from '../knowledge';
import { listAskedKinds, listProofs } from '../proof';
import type { Dossier, Recovery, Zone } from '../dossier';
import { listHazards, type Hazard } from '../survey';
import { step, type Step } from './choice';
import { priceAlone, type Aim } from './prices';
import { productsOf } from './product';
import { listRejections, type Rejection } from './rejections';
import { searchZone } from './search';
import { chooseStripping } from './stripping';
import { assembleSystem, type CoatingSystem, type ZonePlan } from './system';
import { pickLeast } from './taken';
import { takeUp } from './take-up';

/** A way out of a trouble as a plan: the work on the zone and what it takes. */
export interface RecoveryPlan {
  steps: Step[];
  /** The new layers; none where the layers stay as they are. */
  zone: ZonePlan | null;
  handsOnMin: number;
  elapsedH: number;
  materialsCost: number;
  fumes: CoatingSystem['fumes'];
  /** Chance that it fails: a cause that stays, or the new layers by themselves. */
  risk: number;
  hazards: Hazard[];
}

/** Ways of a zone that go on once the ground is closed: it is searched alone, but for every aim. */
const FEW = 12;

/**
 * The best way to go on with a zone from where something failed, by the owner's priority; none where the rules leave none.
 * What was ruled out on the way comes with it.
 */
export function planRecovery(
  dossier: Dossier,
  zone: Zone,
  recovery: Recovery,
): { plan: RecoveryPlan | null; rejected: Rejection[] } {
  const ground = takeUp(dossier, zone, recovery);
  const products = productsOf(dossier);
  const aim: Aim = dossier.goal?.priority ?? 'balance';
  const search = searchZone(ground, products, { few: FEW });
  const best = pickLeast(search.goals, (label) => priceAlone(label, ground, aim));
  const rejected = listRejections(search);
  // A coat that cannot come off has no way back to the bare face.
  if (!best || (ground.failedFace && chooseStripping(ground.failedFace).ways.length === 0))
    return { plan: null, rejected };
  const system = assembleSystem([best], [ground], 0);
  const [planned] = system.zones;
  return {
    plan: {
      steps: planned!.steps,
      zone: planned!,
      handsOnMin: system.handsOnMin,
      elapsedH: system.elapsedH,
      materialsCost: system.materialsCost,
      fumes: system.fumes,
      risk: system.risk.overall,
      hazards: ground.hazards,
    },
    rejected,
  };
}

/** Waiting until a coat is as hard as it gets, `hours` from now, and testing it again where it failed; `risk`: chance that it does not help. */
export function planWaiting(dossier: Dossier, zone: Zone, hours: number, risk: number): RecoveryPlan {
  return keepLayers(dossier, zone, risk, [
    step('wait', 'harden', 1, hours, { code: 'hardens_till', hours: Math.round(hours) }),
    step(
      'proof',
      'test_again',
      WORK_RATES.read_proof.once,
      0,
      { code: 'proof', waitH: hours, bleedWatch: false },
      { tests: listAskedKinds(listProofs({ bleeds: 0, pale: false })) },
    ),
  ]);
}

/** Running faces freed of paint and waxed; `hours`: until the rest has cured. */
export function planEasing(dossier: Dossier, zone: Zone, hours: number, risk: number): RecoveryPlan {
  return keepLayers(dossier, zone, risk, [
    ...(hours > 0 ? [step('wait', 'cure', 1, hours, { code: 'hardens_till', hours: Math.round(hours) })] : []),
    step('sand', 'sand_runners', 15, 0, { code: 'runners_bare' }, { grit: 150 }),
    step('repair', 'wax_runners', 4, 0, { code: 'runners_bare' }, { material: RUNNER_WAX }),
  ]);
}

function keepLayers(dossier: Dossier, zone: Zone, risk: number, steps: Step[]): RecoveryPlan {
  const handsOnMin = steps.reduce((sum, { minutes }) => sum + minutes, 0);
  const waitH = steps.reduce((sum, own) => sum + own.waitH, 0);
  return {
    steps: steps.map((own, stage) => ({ ...own, stage })),
    zone: null,
    handsOnMin,
    elapsedH: Math.round(waitH + handsOnMin / 60),
    materialsCost: 0,
    fumes: 'low',
    risk,
    hazards: listHazards(dossier, zone),
  };
}
