import { computeLuminance, convertHexToLinearRgb } from '../colour';
import { recoveryOf, wishOf, type Dossier, type Zone, type ZoneWish } from '../dossier';
import { showsBleed } from '../knowledge';
import { computeBelief } from '../survey';
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

/** What the coats of a zone are to stand against, as it is known now. */
export const exposureOf = (dossier: Dossier, zone: Zone): Exposure => ({
  bleeds: chanceOfBleed(dossier, zone),
  pale: isPaleWish(wishOf(dossier, zone)),
});

/**
 * Chance that colour comes out of what the next coats lie on, 0–1: as the survey believes it, as a patch that bled showed
 * it, and where something failed, as its causes are believed. Over a coat that stays only the last counts: it lay on the
 * wood and showed what comes out of it.
 */
export function chanceOfBleed(dossier: Dossier, zone: Zone): number {
  const recovery = recoveryOf(dossier, zone.id);
  const seen = sawBleed(dossier, zone) ? SEEN : 0;
  if (recovery?.over !== undefined) return Math.max(recovery.bleeds ?? 0, seen);
  return Math.max(computeBelief(dossier, zone).present.bleed, recovery?.bleeds ?? 0, seen);
}

/** A patch here was judged to have let colour through. */
const sawBleed = (dossier: Dossier, zone: Zone): boolean =>
  listReadings(dossier, zone).some(({ test, judged }) => showsBleed(test.kind) && judged.verdict === 'fail');

/** Paint this pale shows colour that comes through (relative luminance, estimate). */
const PALE = 0.35;
const isPaleColour = (hex: string): boolean => computeLightness(hex) > PALE;

/** Whether what comes through would show: the colour of a zone, or one that lies on it, is pale. */
export const isPaleWish = ({ colour, second }: Pick<ZoneWish, 'colour' | 'second'>): boolean =>
  isPaleColour(colour) || (second !== undefined && isPaleColour(second.colour));

/** Relative luminance of a colour, 0 black to 1 white. */
export const computeLightness = (hex: string): number => computeLuminance(convertHexToLinearRgb(hex));
