import { makeRandom } from '../shared';
import { SKILLS, type Skill } from './exercise';
import { pickNext } from './memory';
import type { PracticeAnswer } from '../workshop';

/*
 * A made-up newcomer, to measure what the order of exercises is worth. The law: of each skill a share is misread, drawn
 * evenly from 0 to 40 % (20 % on average); each exercise of it with its answer shown takes a fifth off that share.
 */

const MOST_MISREAD = 0.4;
const LEARNT = 0.2;
const A_DAY = 20;
const EXERCISE_MS = 30_000;
const DAY_MS = 86_400_000;
const START = Date.parse('2026-03-02T18:00:00Z');

export type Order = 'adaptive' | 'fixed';

/** Mean share misread over all skills after so many exercises, twenty a day, in one of two orders. */
export function simulateNovice(seed: number, order: Order, exercises: number): number {
  const random = makeRandom(seed);
  const errors = new Map(SKILLS.map((skill) => [skill, random() * MOST_MISREAD]));
  const find = ({ kind, skill }: Skill): Skill => SKILLS.find((own) => own.kind === kind && own.skill === skill)!;
  const answers: PracticeAnswer[] = [];
  for (let i = 0; i < exercises; i += 1) {
    const at = new Date(START + Math.floor(i / A_DAY) * DAY_MS + (i % A_DAY) * EXERCISE_MS).toISOString();
    const skill = order === 'fixed' ? SKILLS[i % SKILLS.length]! : find(pickNext(answers, at));
    const error = errors.get(skill)!;
    const right = random() >= error;
    // Who errs little is sure of it.
    const confidence = error < 0.1 ? 'sure' : error < 0.25 ? 'fairly' : 'guessing';
    answers.push({ id: String(i), at, ...skill, seed: i, said: '', right, confidence });
    errors.set(skill, error * (1 - LEARNT));
  }
  return [...errors.values()].reduce((sum, error) => sum + error, 0) / errors.size;
}
