import { photographCheck } from '@/core/camera';
import { CAMERA_LOOKS, findCheck } from '@/core/knowledge';
import { readRepeat } from '@/core/photo';
import { simulateNovice } from '@/core/practice';
import type { Figure } from './figure';

const SIDE = 256;

/** How often the look with the camera hits on renders whose answer is known: what the table of checks takes it for. */
export function measureLooks(renders = 100): Figure[] {
  return findCheck('pattern_repeat')!.answers.map(({ code, label }) => {
    let hits = 0;
    for (let seed = 0; seed < renders; seed += 1)
      if (readRepeat(photographCheck('pattern_repeat', code, SIDE, seed)!).answer === code) hits += 1;
    const taken = 1 - CAMERA_LOOKS.pattern_repeat!.misread;
    return {
      name: `camera: ${label.toLocaleLowerCase()}`,
      value: (100 * hits) / renders,
      unit: '%',
      target: `about ${Math.round(100 * taken)}`,
      reference: `${renders} renders`,
    };
  });
}

/** What the order of exercises is worth to made-up newcomers: the share misread after so many, in two orders. */
export function measureNovices(novices = 10, exercises = 240): Figure[] {
  return (['adaptive', 'fixed'] as const).map((order) => {
    let sum = 0;
    for (let seed = 1; seed <= novices; seed += 1) sum += simulateNovice(seed, order, exercises);
    return {
      name: `practice: misread after ${exercises} exercises, ${order} order`,
      value: Math.round((1000 * sum) / novices) / 10,
      unit: '%',
      target: order === 'adaptive' ? 'less than fixed' : '',
      reference: `${novices} newcomers, 20 % at first`,
    };
  });
}
