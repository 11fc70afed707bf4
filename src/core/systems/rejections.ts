import { labelProduct } from '../knowledge';
import { describePrimers, PREP_CHOICES, PRIMER_CHOICES, type Candidate } from './candidates';
import type { Ground } from './ground';
import type { HardRule } from './hard-rules';

export interface Rejection {
  zone: string;
  /** The class or prep that was cut, as a code and in words. */
  code: string;
  what: string;
  rule: string;
  text: string;
}

/** A zone whose candidates have gone through the hard rules. */
export interface JudgedZone {
  ground: Ground;
  allowed: readonly { candidate: Candidate }[];
  cut: { candidate: Candidate; rule: HardRule }[];
}

/** Every primer and every prep that no allowed candidate of the zone has, with the rule that cut it. */
export function listRejections({ ground, allowed, cut }: JudgedZone): Rejection[] {
  if (ground.look !== 'opaque') return [];
  const rejections: Rejection[] = [];
  for (const primers of PRIMER_CHOICES) {
    const name = describePrimers(primers);
    const match = (candidate: Candidate): boolean => describePrimers(candidate.primers) === name;
    if (allowed.some((plan) => match(plan.candidate)) || rejections.some((rejection) => rejection.code === name))
      continue;
    const words = primers.map(({ code }) => labelProduct(code)).join(' and ') || 'No primer at all';
    rejections.push(...reject(ground, cut, match, name, words));
  }
  for (const prep of PREP_CHOICES) {
    const match = (candidate: Candidate): boolean => candidate.prep === prep;
    if (allowed.some((plan) => match(plan.candidate))) continue;
    rejections.push(...reject(ground, cut, match, prep, PREP_WORDS[prep] ?? prep));
  }
  return rejections;
}

const PREP_WORDS: Readonly<Record<string, string>> = {
  none: 'No dulling at all',
  scuff_150: 'Scuffing with 150',
  scuff_220: 'Scuffing with 220',
  liquid_degloss: 'Liquid deglosser',
  strip: 'Stripping',
};

/** The rule to name is the one that cuts the most of what is rejected. */
function reject(
  ground: Ground,
  cut: JudgedZone['cut'],
  match: (candidate: Candidate) => boolean,
  code: string,
  words: string,
): Rejection[] {
  const matching = cut.filter(({ candidate }) => match(candidate));
  const counts = new Map<HardRule, number>();
  for (const { rule } of matching) counts.set(rule, (counts.get(rule) ?? 0) + 1);
  const main = [...counts].sort((a, b) => b[1] - a[1])[0]?.[0];
  const example = matching.find(({ rule }) => rule === main);
  if (!main || !example) return [];
  const text = main.text(example.candidate, ground);
  return [{ zone: ground.zone.id, code, what: `${words} on ${ground.name}`, rule: main.id, text }];
}
