import { createEmptyCard, fsrs, generatorParameters, Rating, type Card, type Grade } from 'ts-fsrs';
import { SKILLS, type Skill } from './exercise';
import type { PracticeAnswer } from '../workshop';

/* When what was learnt is to be asked again: the Free Spaced Repetition Scheduler by its own library, without its chance. */

const SCHEDULER = fsrs(generatorParameters({ enable_fuzz: false }));

/** A right guess was hardly known; what one is sure of was easy. */
const GRADES: Record<PracticeAnswer['confidence'], Grade> = {
  sure: Rating.Easy,
  fairly: Rating.Good,
  guessing: Rating.Hard,
};
const gradeOf = ({ right, confidence }: Pick<PracticeAnswer, 'right' | 'confidence'>): Grade =>
  right ? GRADES[confidence] : Rating.Again;

export interface SkillState extends Skill {
  seen: number;
  right: number;
  /** ISO instant. */
  dueAt: string;
  /** Chance of still knowing it, 0–1. */
  recall: number;
}

const keyOf = ({ kind, skill }: Skill): string => `${kind}:${skill}`;

/** What is known of each skill that was practised, from all answers in order of time. `now`: ISO instant. */
export function recallSkills(answers: readonly PracticeAnswer[], now: string): SkillState[] {
  const cards = new Map<string, { card: Card; seen: number; right: number } & Skill>();
  const inOrder = [...answers].sort((a, b) => Date.parse(a.at) - Date.parse(b.at));
  for (const answer of inOrder) {
    const { kind, skill, at, right } = answer;
    const key = keyOf(answer);
    const known = cards.get(key) ?? { kind, skill, card: createEmptyCard(new Date(at)), seen: 0, right: 0 };
    const { card } = SCHEDULER.next(known.card, new Date(at), gradeOf(answer));
    cards.set(key, { ...known, card, seen: known.seen + 1, right: known.right + (right ? 1 : 0) });
  }
  return [...cards.values()].map(({ card, ...skill }) => ({
    ...skill,
    dueAt: card.due.toISOString(),
    recall: SCHEDULER.get_retrievability(card, new Date(now), false),
  }));
}

/**
 * What to ask next: what is due and least known first, then what was never asked, then what is least known. Never what was
 * asked last, where there is anything else. The seed makes each time another case.
 */
export function pickNext(
  answers: readonly PracticeAnswer[],
  now: string,
  skills: readonly Skill[] = SKILLS,
): Skill & { seed: number } {
  const asked = new Set(skills.map(keyOf));
  const last = answers.at(-1);
  const states = recallSkills(answers, now).filter((state) => asked.has(keyOf(state)));
  const others = states.filter((state) => !last || keyOf(state) !== keyOf(last));
  const known = new Set(states.map(keyOf));
  const least = (list: readonly SkillState[]): SkillState | undefined =>
    list.reduce<SkillState | undefined>((low, state) => (low && low.recall <= state.recall ? low : state), undefined);
  const due = least(others.filter(({ dueAt }) => Date.parse(dueAt) <= Date.parse(now)));
  const next = due ?? skills.find((skill) => !known.has(keyOf(skill))) ?? least(others) ?? skills[0]!;
  const seen = states.find((state) => keyOf(state) === keyOf(next))?.seen ?? 0;
  return { kind: next.kind, skill: next.skill, seed: answers.length * 13 + seen };
}

/** How many skills are due now, and how many were never asked. */
export function countDue(answers: readonly PracticeAnswer[], now: string): { due: number; fresh: number } {
  const states = recallSkills(answers, now);
  return {
    due: states.filter(({ dueAt }) => Date.parse(dueAt) <= Date.parse(now)).length,
    fresh: SKILLS.length - states.length,
  };
}
