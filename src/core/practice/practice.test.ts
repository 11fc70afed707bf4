import { createHash } from 'node:crypto';
import { createEmptyCard, fsrs, generatorParameters, type Rating } from 'ts-fsrs';
import { drawLatticeCase, photographLattice } from '../camera';
import { findCheck } from '../knowledge';
import type { Pixels } from '../photo';
import { toIsoClass } from '../scales';
import { STATES } from '../survey';
import { drawExercise, isRight, pictureOf, SKILLS } from './exercise';
import { pickNext, recallSkills } from './memory';
import { simulateNovice } from './novice';
import { latticeSeed, renderPicture } from './picture';
import { calibrate, measureSlips, tellProgress } from './progress';
import type { PracticeAnswer } from '../workshop';
import { tellSurface, type SurfaceExercise } from './surface-exercise';

const SIDE = 60;
const hashOf = (picture: Pixels): string => createHash('sha256').update(picture.data).digest('hex');

/** Mean of a channel, or of what a pixel says, over a picture. */
const meanOf = ({ data }: Pixels, tell: (r: number, g: number, b: number) => number): number => {
  let sum = 0;
  for (let i = 0; i < data.length; i += 4) sum += tell(data[i]!, data[i + 1]!, data[i + 2]!);
  return sum / (data.length / 4);
};

let count = 0;
const answer = (part: Partial<PracticeAnswer>): PracticeAnswer => ({
  id: `a${(count += 1)}`,
  at: '2026-03-02T18:00:00.000Z',
  kind: 'bleed',
  skill: 'knot',
  seed: 1,
  said: 'bleeds',
  right: true,
  confidence: 'fairly',
  ...part,
});

describe('exercises', () => {
  it('are the same again for the same seed, and offer what is right', () => {
    for (const skill of SKILLS) {
      const one = drawExercise(skill, 7);
      expect(one).toEqual(drawExercise(skill, 7));
      expect(one.skill).toBe(skill.skill);
      expect(one.options.some((code) => isRight(one, code))).toBe(true);
      expect(one.options.some((code) => !isRight(one, code))).toBe(true);
      expect(new Set(one.options).size).toBe(one.options.length);
    }
  });

  it('refuse a skill there is not', () => {
    expect(() => drawExercise({ kind: 'bleed', skill: 'rust' }, 1)).toThrow('There is no bleed of rust.');
  });

  it.each(
    ['knot', 'shadow', 'paint_primer', 'within_old', '1'].map((own) => SKILLS.find(({ skill }) => skill === own)!),
  )('show another picture with each of a hundred seeds: $kind $skill', (skill) => {
    const seen = new Set(
      Array.from({ length: 100 }, (_, seed) => hashOf(renderPicture(pictureOf(drawExercise(skill, seed))!, 24)!)),
    );
    expect(seen.size).toBe(100);
  });

  it('show what is right: as much is off a lattice as its class says', () => {
    for (let seed = 0; seed < 1; seed += 1)
      for (const grade of [0, 1, 2, 3, 4, 5] as const) {
        const { scene, shot } = drawLatticeCase(latticeSeed(grade, seed), 0.01);
        expect(toIsoClass(photographLattice(scene, shot).truth.removedPct)).toBe(grade);
      }
  });

  it('show what is right: a stain has a colour of its own, a shadow has not', () => {
    // The way from blue to red tells a stain from shade, whatever the white: measured against the palest part.
    const tint = (skill: string, seed: number): number => {
      const { data } = renderPicture(pictureOf(drawExercise({ kind: 'bleed', skill }, seed))!, SIDE)!;
      const pixels = Array.from({ length: data.length / 4 }, (_, i) => [
        data[4 * i]!,
        data[4 * i + 1]!,
        data[4 * i + 2]!,
      ]);
      const spread = pixels.map(([r, , b]) => r! / b!).sort((x, y) => x - y);
      return spread[Math.floor(spread.length * 0.98)]! / spread[Math.floor(spread.length * 0.02)]!;
    };
    for (let seed = 0; seed < 8; seed += 1) {
      const stains = Math.min(...['knot', 'red_wood', 'tannin_streak'].map((skill) => tint(skill, seed)));
      const shades = Math.max(...['shadow', 'thin_cover'].map((skill) => tint(skill, seed)));
      expect(stains).toBeGreaterThan(shades);
    }
  });

  it('draw a picture for each answer that can be seen, and tell the answers of a check apart', () => {
    const exercise = drawExercise({ kind: 'surface', skill: 'hpl_laminate' }, 3) as SurfaceExercise;
    const pictured = exercise.checks.filter((own) => own.pictured);
    expect(pictured.length).toBeGreaterThan(12);
    for (const { check } of pictured) {
      const pictures = findCheck(check)!.answers.map(({ code }) =>
        renderPicture({ of: 'check', check, answer: code, seed: 5 }, 60)!,
      );
      expect(new Set(pictures.map(hashOf)).size).toBe(pictures.length);
    }
    const wet = (picture: Pixels): number => meanOf(picture, (r, g, b) => r + g + b);
    const drop = (seed: number, code: string): number =>
      wet(renderPicture({ of: 'check', check: 'water_drop', answer: code, seed }, 60)!);
    expect(Number.isFinite(drop(1, 'beads'))).toBe(true);
  });

  it('read like the diagnosis when the diagnosis’s own looks are made', () => {
    for (const skill of ['hpl_laminate', 'knotty_softwood', 'mdf']) {
      const exercise = drawExercise({ kind: 'surface', skill }, 11) as SurfaceExercise;
      expect(STATES[exercise.surface.stateIndex]!.substrate).toBe(skill);
      const { best } = tellSurface(exercise, []);
      const own = tellSurface(
        exercise,
        best.checks.map((check) => ({ check, said: exercise.shows.get(check)! })),
      );
      expect(own.believed).toBeCloseTo(best.believed, 10);
      expect(own.minutes).toBeCloseTo(best.minutes, 10);
      expect(tellSurface(exercise, []).believed).toBeLessThan(best.believed);
    }
  });
});

describe('when it is asked again', () => {
  it('goes by the published scheduler', () => {
    // Intervals of FSRS-6 with its default weights for these ratings: the project’s own test (from memory).
    const scheduler = fsrs(generatorParameters({ enable_fuzz: false }));
    let now = new Date('2022-11-29T12:30:00Z');
    let card = createEmptyCard(now);
    const days = [3, 3, 3, 3, 3, 3, 1, 1, 3, 3, 3, 3, 3].map((rating) => {
      card = scheduler.next(card, now, rating as Rating.Good | Rating.Again).card;
      now = card.due;
      return card.scheduled_days;
    });
    expect(days).toEqual([0, 2, 11, 46, 163, 498, 0, 0, 2, 4, 7, 12, 21]);
  });

  it('asks what was wrong before what was right, and never the same twice running', () => {
    const skills = SKILLS.filter(({ kind }) => kind === 'bleed');
    const answers = skills.map(({ skill }, i) =>
      answer({ skill, right: skill !== 'shadow', confidence: 'sure', at: `2026-03-02T18:0${i}:00.000Z` }),
    );
    const later = '2026-03-03T18:00:00.000Z';
    expect(pickNext(answers, later, skills).skill).toBe('shadow');
    const again = [...answers, answer({ skill: 'shadow', right: true, at: later })];
    expect(pickNext(again, later, skills).skill).not.toBe('shadow');
    expect(recallSkills(answers, later).find(({ skill }) => skill === 'shadow')).toMatchObject({ seen: 1, right: 0 });
  });

  it('asks each skill once before any again while nothing is due', () => {
    const skills = SKILLS.filter(({ kind }) => kind === 'layer');
    const first = answer({ kind: 'layer', skill: skills[0]!.skill, confidence: 'sure' });
    expect(pickNext([first], first.at, skills).skill).toBe(skills[1]!.skill);
  });

  it('teaches a made-up newcomer faster than a fixed order', () => {
    const after = (order: 'adaptive' | 'fixed'): number =>
      [1, 2, 3, 4].reduce((sum, seed) => sum + simulateNovice(seed, order, 240), 0) / 4;
    expect(after('adaptive')).toBeLessThan(after('fixed'));
    expect(simulateNovice(1, 'fixed', 0)).toBeGreaterThan(0.15);
  });
});

describe('how sure one may be', () => {
  it('is the share that was right at each level, drawn to the share over all', () => {
    const answers = [
      ...Array.from({ length: 8 }, (_, i) => answer({ confidence: 'sure', right: i < 6 })),
      ...Array.from({ length: 2 }, () => answer({ confidence: 'guessing', right: false })),
    ];
    // By hand: 6 of 10 over all; sure (6 + 3 · 0.6) ÷ (8 + 3) = 0.709; two guesses say nothing.
    const [sure, fairly, guessing] = calibrate(answers);
    expect(sure).toEqual({ confidence: 'sure', answers: 8, right: 6, share: expect.closeTo(7.8 / 11, 10) });
    expect(fairly).toMatchObject({ answers: 0, share: null });
    expect(guessing).toMatchObject({ answers: 2, right: 0, share: null });
  });

  it('is drawn as a curve in which late answers count most', () => {
    const answers = [false, false, true, true].map((right) => answer({ right }));
    // By hand: 0, 0, then a third of the way to 1, then a quarter of the rest.
    expect(tellProgress(answers)).toEqual([
      { kind: 'bleed', answers: 4, curve: [0, 0, expect.closeTo(1 / 3, 10), expect.closeTo(1 / 2, 10)] },
    ]);
  });
});

describe('own misreadings', () => {
  it('are slips over looks, allowing for lucky ones, drawn to the general rate', () => {
    const looks = Array.from({ length: 30 }, (_, i) => ({
      check: 'water_drop',
      showed: 'beads',
      said: i < 6 ? 'soaks_slow' : 'beads',
    }));
    // By hand: three answers, 6 slips · 3/2 = 9; (9 + 0.05 · 20) ÷ (30 + 20) = 0.2.
    expect(measureSlips([answer({ looks })])).toEqual([
      { check: 'water_drop', looks: 30, slips: 6, rate: expect.closeTo(0.2, 10) },
    ]);
  });

  it('know nothing of a check there is not', () => {
    expect(measureSlips([answer({ looks: [{ check: 'gone', showed: 'a', said: 'b' }] })])).toEqual([]);
  });
});
