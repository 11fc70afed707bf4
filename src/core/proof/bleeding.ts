import { computeLuminance, convertHexToLinearRgb } from '../colour';
import { recoveryOf, wishOf, type Dossier, type Recovery, type Zone, type ZoneWish } from '../dossier';
import { BLEED_PRIOR, FINISH_FACTS, leavesBare, showsBleed, type PrepCode } from '../knowledge';
import { computeBelief, STATES, type Belief } from '../survey';
import { listReadings } from './zone-readings';

/** What a coat is to stand against on a zone: all that decides whether colour has to be held back and watched for. */
export interface Exposure {
  /** Chance that colour comes out of the ground, 0–1. */
  bleeds: number;
  /** Whether it would show. */
  pale: boolean;
}

/** Bleed this likely is to be blocked, and proved against, under pale paint (estimate). */
const BLEED_LIMIT = 0.15;

/** What was seen to come through is hardly a question any more. */
const SEEN = 0.97;

/**
 * Must colour be held back here? The one place that holds a chance of bleed against a limit: plans, tests that are wanted,
 * gates and audits ask it. Example: 0.3 under white → true, under dark blue → false.
 */
export const expectsBleed = ({ bleeds, pale }: Exposure): boolean => pale && bleeds >= BLEED_LIMIT;

/** What the coats of a zone are to stand against, as it is known now and prepared as it was taken, or as is said. */
export const exposureOf = (
  dossier: Dossier,
  zone: Zone,
  prep: PrepCode | undefined = dossier.chosen?.zones.find(({ id }) => id === zone.id)?.treatment.prep,
): Exposure => ({
  bleeds: chanceOfBleed(dossier, zone, prep),
  pale: isPaleWish(wishOf(dossier, zone)),
});

/**
 * Chance that colour comes out of what the next coats lie on, 0–1: as the survey believes it, as a patch that bled showed
 * it, and where something failed, as its causes are believed. Over a coat that stays only the last counts: it lay on the
 * wood and showed what comes out of it. Paint of before holds what is under it until a preparation takes it off.
 */
export function chanceOfBleed(
  dossier: Dossier,
  zone: Zone,
  prep: PrepCode = 'none',
  recovery: Recovery | undefined = recoveryOf(dossier, zone.id),
): number {
  const seen = sawBleed(dossier, zone) ? SEEN : 0;
  if (recovery?.over !== undefined) return Math.max(recovery.bleeds ?? 0, seen);
  const belief = computeBelief(dossier, zone);
  const bared = leavesBare(prep) ? chanceUnderPaint(belief) : 0;
  return Math.max(belief.present.bleed, bared, recovery?.bleeds ?? 0, seen);
}

/** Of the wood under old paint, once that is off. */
const chanceUnderPaint = ({ joint }: Belief): number =>
  joint.reduce((sum, p, s) => {
    const { substrate, finish } = STATES[s]!;
    return sum + (FINISH_FACTS[finish].opaque ? p * BLEED_PRIOR[substrate] : 0);
  }, 0);

/** A patch here was judged to have let colour through. */
const sawBleed = (dossier: Dossier, zone: Zone): boolean =>
  listReadings(dossier, zone).some(({ test, judged }) => showsBleed(test.kind) && judged.verdict === 'fail');

/** Paint this pale shows colour that comes through (relative luminance, estimate). */
const PALE = 0.35;
const isPaleColour = (hex: string): boolean => computeLightness(hex) > PALE;

/** Whether what comes through would show: the colour of a zone, or one that lies on it, is pale. */
export const isPaleWish = ({ look, colour, second }: Pick<ZoneWish, 'look' | 'colour' | 'second'>): boolean =>
  look === 'opaque' && (isPaleColour(colour) || (second !== undefined && isPaleColour(second.colour)));

/** Relative luminance of a colour, 0 black to 1 white. */
export const computeLightness = (hex: string): number => computeLuminance(convertHexToLinearRgb(hex));
