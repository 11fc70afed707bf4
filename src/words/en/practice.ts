import type { StopReason } from '@/core/climate';
import type { Confidence, ExerciseKind } from '@/core/workshop';
import {
  findCheck,
  FINISH_FACTS,
  labelProduct,
  SUBSTRATE_FACTS,
  type CauseCode,
  type ProductClass,
} from '@/core/knowledge';
import { readSurfaceCode, type Calibration, type Exercise, type SoonAnswer } from '@/core/practice';
import { astmOfSeverity, CLASS_LIMITS, type Severity } from '@/core/scales';
import { lowerFirst } from '@/core/shared';
import { nameCause, saySymptom } from './causes';
import { sayConsidered } from './plan';
import { nameSymptom } from './symptoms';
import { describeChance } from './chances';

const KINDS: Record<ExerciseKind, { name: string; teaches: string }> = {
  surface: { name: 'Name the surface', teaches: 'with as few looks as you can' },
  lattice: { name: 'Grade the lattice', teaches: '0 to 5, in both standards' },
  bleed: { name: 'Bleed or shadow?', teaches: 'what comes through, and what is only light' },
  layer: { name: 'Which layer let go?', teaches: 'from a chip and the place it came from' },
  wrong: { name: 'What went wrong?', teaches: 'from the looks and the log' },
  system: { name: 'Pick the primer', teaches: 'and what the others would cost' },
  soon: { name: 'Too soon?', teaches: 'clocks and air' },
};
export const nameExercise = (kind: ExerciseKind): string => KINDS[kind].name;
export const sayTeaches = (kind: ExerciseKind): string => KINDS[kind].teaches;

const CONFIDENCES: Record<Confidence, string> = { sure: 'Sure', fairly: 'Fairly sure', guessing: 'Guessing' };
export const nameConfidence = (confidence: Confidence): string => CONFIDENCES[confidence];

const SAYING: Record<Confidence, string> = { sure: 'sure', fairly: 'fairly sure', guessing: 'that you are guessing' };
/** "When you say sure you are right 7 in 10." */
export const sayCalibration = ({ confidence, answers, share }: Calibration): string =>
  share === null
    ? `Not enough yet to tell what “${lowerFirst(CONFIDENCES[confidence])}” is worth (${answers}).`
    : `When you say ${SAYING[confidence]}, you are right ${Math.round(share * 10)} in 10.`;

const nameState = (code: string): string => {
  const { substrate, finish } = readSurfaceCode(code);
  return `${SUBSTRATE_FACTS[substrate].label}, ${FINISH_FACTS[finish].label}`;
};
const namePrimers = (code: string): string =>
  code === 'none'
    ? 'No primer'
    : code
        .split('+')
        .map((own, i) => (i === 0 ? labelProduct(own as ProductClass) : lowerFirst(labelProduct(own as ProductClass))))
        .join(' and ');

const BREAKS = {
  paint_primer: 'The paint from the primer',
  primer_old: 'The primer from the old coat',
  old_ground: 'The old coat from the wood',
  within_old: 'The old coat broke in itself',
} as const;
const MARKS = {
  knot: 'A knot: a yellow round spot. Resin comes through anything waterborne.',
  red_wood: 'Dye of a red wood: pink, in clouds, no edge.',
  tannin_streak: 'Tannin: brown streaks along the grain.',
  shadow: 'A shadow: it goes on evenly and has no colour of its own.',
  thin_cover: 'A coat too thin: grey stripes along the roller, without a colour of their own.',
} as const;
const SOON: Record<SoonAnswer, string> = { go: 'Go on with it', wait: 'Not yet', air: 'Not in this air' };
const STOPS: Record<StopReason, string> = {
  cold: 'It is too cold to coat.',
  hot: 'It is too hot to coat.',
  damp: 'It is too damp to coat.',
  dew: 'It is too near the dew point to coat.',
};

const percent = (grade: Severity): string =>
  grade === 0
    ? 'nothing off'
    : grade === 5
      ? `more than ${CLASS_LIMITS[4]} % off`
      : `to ${CLASS_LIMITS[grade as 1]} % off`;

/** What is asked. */
export function askExercise(exercise: Exercise): string {
  switch (exercise.kind) {
    case 'surface':
      return 'What is it made of, and what is on it?';
    case 'lattice':
      return 'How much came off with the tape?';
    case 'bleed':
      return 'White paint, two days old. Does something come through, or is it only the light or the coat?';
    case 'layer':
      return 'Left the place, right the chip with its back up. Which layer let go?';
    case 'wrong':
      return `${nameSymptom(exercise.skill)}: ${lowerFirst(saySymptom(exercise.skill))} What made it?`;
    case 'system':
      return 'Which primer under the paint?';
    case 'soon':
      return 'May the next coat of the same go on now?';
  }
}

/** An answer that is offered. */
export function nameOption(exercise: Exercise, code: string): { label: string; hint?: string } {
  switch (exercise.kind) {
    case 'surface':
      return { label: nameState(code) };
    case 'lattice': {
      const grade = Number(code) as Severity;
      return { label: `${code} · ${astmOfSeverity(grade)}`, hint: percent(grade) };
    }
    case 'bleed':
      return code === 'bleeds' ? { label: 'It bleeds' } : { label: 'Only light or coat' };
    case 'layer':
      return { label: BREAKS[code as keyof typeof BREAKS] };
    case 'wrong':
      return { label: nameCause(code as CauseCode) };
    case 'system':
      return { label: namePrimers(code) };
    case 'soon':
      return { label: SOON[code as SoonAnswer] };
  }
}

const hoursOf = (hours: number): string => `${Math.round(hours * 10) / 10} h`;

/** Why it is so, line by line, once it was answered. */
export function explainExercise(exercise: Exercise): string[] {
  switch (exercise.kind) {
    case 'surface':
      return [`It is ${lowerFirst(nameState(exercise.right[0]!))}.`];
    case 'lattice':
      return [
        `Class ${exercise.grade} of ISO 2409, ${astmOfSeverity(exercise.grade)} of ASTM D3359: ${percent(exercise.grade)}.`,
      ];
    case 'bleed':
      return [MARKS[exercise.skill]];
    case 'layer':
      return [
        `${BREAKS[exercise.skill]}: ${exercise.skill === 'within_old' ? 'place and back are of the same, both rough' : 'the place shows the layer below, the back of the chip the one above'}.`,
      ];
    case 'wrong': {
      const { belief } = exercise;
      const likeliest = belief.causes[0]!;
      const lines = exercise.right.map((code) => nameCause(code as CauseCode));
      return [
        `At work, or likeliest by all that could be seen: ${lines.map(lowerFirst).join('; ')}.`,
        `Of ten such cases ${Math.round(likeliest.p * 10)} are ${lowerFirst(nameCause(likeliest.code))}.`,
      ];
    }
    case 'system':
      return [
        `${namePrimers(exercise.right[0]!)}: goes wrong ${describeChance(exercise.taken.risk.overall)}, ${Math.round(exercise.taken.minutes)} min of hands, ${Math.round(exercise.taken.waitH)} h of waiting.`,
        ...exercise.others.map((other) => {
          const { what, text } = sayConsidered(other);
          return `${what}: ${lowerFirst(text)}`;
        }),
      ];
    case 'soon': {
      const { times, hours, stop } = exercise;
      return [
        stop
          ? STOPS[stop]
          : `In this air it wants ${hoursOf(times.recoatH)}; on the label stands ${hoursOf(times.labelRecoatH)}. It has had ${hoursOf(hours)}.`,
      ];
    }
  }
}

/** What of a check was shown, by its own word. */
export const nameAnswer = (check: string, answer: string): string =>
  findCheck(check)?.answers.find(({ code }) => code === answer)?.label ?? answer;
