import { drawPatchesShot, photographCheck, photographPatches, photographShine, type SHINES } from '@/core/camera';
import { convertHexToLinearRgb } from '@/core/colour';
import { CAMERA_LOOKS, findCheck } from '@/core/knowledge';
import { readGrain, readRepeat, readShine } from '@/core/photo';
import { simulateNovice } from '@/core/practice';
import type { Figure } from './figure';

const SIDE = 256;

/** What a picture of a check's answer is read as. */
const LOOKS: Readonly<Record<string, (answer: string, seed: number) => string | null>> = {
  pattern_repeat: (answer, seed) => readRepeat(photographCheck('pattern_repeat', answer, SIDE, seed)!).answer,
  pores: (answer, seed) => readGrain(photographCheck('pores', answer, SIDE, seed)!).answer,
  gloss_look: (answer, seed) => readShine(...photographShine(answer as (typeof SHINES)[number], SIDE, seed)).answer,
};

/** How often the looks with the camera hit on renders whose answer is known: what the table of checks takes them for. */
export function measureLooks(renders: number): Figure[] {
  return Object.entries(LOOKS).flatMap(([check, look]) =>
    findCheck(check)!.answers.map(({ code, label }) => {
      let hits = 0;
      for (let seed = 0; seed < renders; seed += 1) if (look(code, seed) === code) hits += 1;
      return {
        name: `camera, ${check}: ${label.toLocaleLowerCase()}`,
        value: Math.round((1000 * hits) / renders) / 10,
        unit: '%',
        target: `> ${Math.round(100 * (1 - CAMERA_LOOKS[check]!.misread)) - 1}`,
        reference: `${renders} renders`,
      };
    }),
  );
}

/** Pixels of a picture for each look, with the title of its check: to be blown up to a phone's size. */
export const drawLooks = () =>
  Object.keys(LOOKS).map((check) => {
    const { title, answers } = findCheck(check)!;
    const [answer] = answers;
    return {
      title,
      pictures:
        check === 'gloss_look'
          ? photographShine('high_gloss', 512, 3)
          : [photographCheck(check, answer!.code, 512, 3)!],
    };
  });

/** A colour beside white paper and a grey card, as it is matched with the tins of the shelf. */
export const drawColourShot = () =>
  photographPatches({ patches: [convertHexToLinearRgb('#AFC0B6'), [0.18, 0.18, 0.18]], seed: 2 }, drawPatchesShot(2))
    .pixels;

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
