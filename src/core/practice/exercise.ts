import { BREAKS, isBleed, MARKS, type Break, type Mark } from '../camera';
import { DOSSIER_FORMAT, type Dossier } from '../dossier';
import { SYMPTOMS, type CauseCode, type SubstrateCode, type SymptomCode, SYMPTOM_CAUSES } from '../knowledge';
import type { Severity } from '../scales';
import { drawCauseCase, type CausesBelief } from '../trouble';
import { chipStackOf, type PictureSpec } from './picture';
import type { ExerciseKind } from '../workshop';
import { drawSoonExercise, SOON_CASES, type SoonCase, type SoonExercise } from './soon-exercise';
import { drawSurfaceExercise, NAMED_SUBSTRATES, type SurfaceExercise } from './surface-exercise';
import { drawSystemExercise, PRIMED_GROUNDS, type SystemExercise } from './system-exercise';

interface Asked {
  seed: number;
  options: readonly string[];
  right: readonly string[];
}
export interface LatticeExercise extends Asked {
  kind: 'lattice';
  skill: string;
  grade: Severity;
}
export interface BleedExercise extends Asked {
  kind: 'bleed';
  skill: Mark;
}
export interface LayerExercise extends Asked {
  kind: 'layer';
  skill: Break;
  stack: ReturnType<typeof chipStackOf>;
}
export interface WrongExercise extends Asked {
  kind: 'wrong';
  skill: SymptomCode;
  dossier: Dossier;
  belief: CausesBelief;
}

/** A question whose answer is known, with what it takes to show and to explain it. */
export type Exercise =
  SurfaceExercise | LatticeExercise | BleedExercise | LayerExercise | WrongExercise | SystemExercise | SoonExercise;

const CAUSES_WORTH_ASKING = 3;
const WRONG_SYMPTOMS = SYMPTOMS.filter((symptom) => Object.keys(SYMPTOM_CAUSES[symptom]).length >= CAUSES_WORTH_ASKING);
const GRADES = ['0', '1', '2', '3', '4', '5'];

/** What there is to learn of each kind, and how a case of it is drawn. */
const KINDS: { [K in ExerciseKind]: { skills: readonly string[]; draw: (skill: string, seed: number) => Exercise } } = {
  surface: { skills: NAMED_SUBSTRATES, draw: (skill, seed) => drawSurfaceExercise(skill as SubstrateCode, seed) },
  lattice: {
    skills: GRADES,
    draw: (skill, seed) => ({
      kind: 'lattice',
      skill,
      seed,
      grade: Number(skill) as Severity,
      options: GRADES,
      right: [skill],
    }),
  },
  bleed: {
    skills: MARKS,
    draw: (skill, seed) => ({
      kind: 'bleed',
      skill: skill as Mark,
      seed,
      options: ['bleeds', 'light'],
      right: [isBleed(skill as Mark) ? 'bleeds' : 'light'],
    }),
  },
  layer: {
    skills: BREAKS,
    draw: (skill, seed) => ({
      kind: 'layer',
      skill: skill as Break,
      seed,
      stack: chipStackOf(seed),
      options: BREAKS,
      right: [skill],
    }),
  },
  wrong: { skills: WRONG_SYMPTOMS, draw: (skill, seed) => drawWrong(skill as SymptomCode, seed) },
  system: { skills: PRIMED_GROUNDS, draw: (skill, seed) => drawSystemExercise(skill as SubstrateCode, seed) },
  soon: { skills: SOON_CASES, draw: (skill, seed) => drawSoonExercise(skill as SoonCase, seed) },
};

function drawWrong(symptom: SymptomCode, seed: number): WrongExercise {
  const { dossier, belief, causes } = drawCauseCase(symptom, seed);
  const options = Object.keys(SYMPTOM_CAUSES[symptom]) as CauseCode[];
  return {
    kind: 'wrong',
    skill: symptom,
    seed,
    dossier: { ...dossier, format: DOSSIER_FORMAT },
    belief,
    options,
    // Whoever names what is likeliest by all that can be seen judges well, also where it was something else.
    right: [...new Set([...causes, belief.causes[0]!.code])],
  };
}

export interface Skill {
  kind: ExerciseKind;
  skill: string;
}
/** All there is to learn, kinds by turns. */
export const SKILLS: readonly Skill[] = (() => {
  const kinds = Object.entries(KINDS) as [ExerciseKind, { skills: readonly string[] }][];
  const most = Math.max(...kinds.map(([, { skills }]) => skills.length));
  return Array.from({ length: most }, (_, i) =>
    kinds.flatMap(([kind, { skills }]) => (skills[i] === undefined ? [] : [{ kind, skill: skills[i] }])),
  ).flat();
})();

/** Draws an exercise. The same skill and seed (a whole number from 0) give the same; throws on a skill there is not. */
export function drawExercise({ kind, skill }: Skill, seed: number): Exercise {
  const { skills, draw } = KINDS[kind];
  if (!skills.includes(skill)) throw new Error(`There is no ${kind} of ${skill}.`);
  return draw(skill, seed);
}

/** What is to be looked at; null where the question is in words alone. */
export function pictureOf(exercise: Exercise): PictureSpec | null {
  const { seed } = exercise;
  switch (exercise.kind) {
    case 'lattice':
      return { of: 'lattice', grade: exercise.grade, seed };
    case 'bleed':
      return { of: 'mark', mark: exercise.skill, seed };
    case 'layer':
      return { of: 'chip', broke: exercise.skill, seed };
    case 'wrong':
      return { of: 'fault', symptom: exercise.skill, seed };
    case 'surface':
    case 'system':
    case 'soon':
      return null;
  }
}

export const isRight = ({ right }: Exercise, said: string): boolean => (right as readonly string[]).includes(said);
