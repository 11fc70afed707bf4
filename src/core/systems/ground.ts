import { FINISH_FACTS, type FinishCode, type PaintCode, type PrepCode, type SubstrateCode } from '../knowledge';
import { LABEL_CLIMATE, type Climate } from '../climate';
import { computeLuminance, convertHexToLinearRgb } from '../colour';
import type { Dossier, Goal, Test, Treatment, Zone } from '../dossier';
import { judgeTest } from '../proof';
import { collectTestEvidence, type TestEvidence } from './test-evidence';
import { CREDIBLE, DEFAULT_AREA_M2, diagnoseZone, STATES, type State, type ZoneDiagnosis } from '../survey';

/** What the planner needs to know of one zone: the diagnosis, the wishes and the shop's tests, in plain numbers. */
export interface Ground {
  zone: Zone;
  name: string;
  diagnosis: ZoneDiagnosis;
  area: number;
  goal: Goal;
  look: 'opaque' | 'stain' | 'clear' | 'leave';
  /** Pale paint shows bleed; dark paint hides most of it. */
  pale: boolean;
  states: (State & { p: number })[];
  pBleed: number;
  pSlick: number;
  pFailing: number;
  pMarginal: number;
  needs: ReadonlyMap<string, number>;
  climate: Climate;
  shelf: NonNullable<Dossier['shelf']>;
  /** The shop's own readings that bear on this zone. */
  evidence: TestEvidence[];
  failedTests: { test: Test; treatment: Treatment; why: string }[];
}

export const DEFAULT_COLOUR = '#F3EFE6';
/** The class of paint a plan uses unless the owner says otherwise: hard-wearing, washable, needs no topcoat. */
export const DEFAULT_PAINT: PaintCode = 'wb_alkyd_enamel';

export function readGround(dossier: Dossier, zone: Zone): Ground {
  const diagnosis = diagnoseZone(dossier, zone);
  const { belief } = diagnosis;
  const goal = dossier.goal ?? {};
  const states = [...belief.joint].map((p, s) => ({ ...STATES[s]!, p })).filter((state) => state.p > 0.001);
  const soundness = new Map(belief.soundness.map(({ code, p }) => [code, p]));
  return {
    zone,
    name: zone.name ?? zone.id,
    diagnosis,
    area: zone.area_m2 ?? DEFAULT_AREA_M2,
    goal,
    look:
      goal.zones?.[zone.id]?.look ??
      (zone.role === 'hardware' || zone.role === 'back' ? 'leave' : (goal.look ?? 'opaque')),
    pale: computeLightness(goal.colour ?? DEFAULT_COLOUR) > 0.35,
    states,
    pBleed: belief.present.bleed,
    pSlick: sumWhere(states, (state) => FINISH_FACTS[state.finish].slickness === 2),
    pFailing: soundness.get('failing') ?? 0,
    pMarginal: soundness.get('marginal') ?? 0,
    needs: new Map(diagnosis.needs.map((need) => [need.code, need.p])),
    climate: dossier.climate ?? LABEL_CLIMATE,
    shelf: dossier.shelf ?? [],
    evidence: collectTestEvidence(dossier, zone),
    failedTests: findFailedTests(dossier, zone),
  };
}

function findFailedTests(dossier: Dossier, zone: Zone): Ground['failedTests'] {
  return (dossier.tests ?? []).flatMap((test) => {
    if (test.zone !== zone.id || !test.treatment) return [];
    const judged = judgeTest(test, dossier);
    return judged.verdict === 'fail' ? [{ test, treatment: test.treatment, why: judged.why }] : [];
  });
}

export function sumWhere(states: Ground['states'], test: (state: State) => boolean): number {
  return states.reduce((sum, state) => sum + (test(state) ? state.p : 0), 0);
}

export const isCredible = (ground: Ground, test: (state: State) => boolean): boolean =>
  sumWhere(ground.states, test) >= CREDIBLE;

export const hasSubstrate =
  (...codes: SubstrateCode[]) =>
  (state: State): boolean =>
    codes.includes(state.substrate);
export const hasFinish =
  (...codes: FinishCode[]) =>
  (state: State): boolean =>
    codes.includes(state.finish);

/** Relative luminance of a colour, 0 black to 1 white. */
export const computeLightness = (hex: string): number => computeLuminance(convertHexToLinearRgb(hex));

export const isScuff = (prep: PrepCode): boolean =>
  prep.startsWith('scuff') || prep === 'sand_bare' || prep === 'strip';
