import * as spectral from 'spectral.js';
import { computeDeltaE00, convertHexToLinearRgb, convertLinearRgbToLab, type Lab } from '../colour';
import { makeRandom } from '../shared';
import { listRecipes, parseMixRequest, refitStrengths, type MixRequest, type MixTin } from './index';
import { absorptionOf, mixSpectra } from './mix-spectra';
import { convertHexToSpectrum, convertSpectrumToLab } from './spectrum';

const labOf = (hex: string): Lab => convertLinearRgbToLab(convertHexToLinearRgb(hex));
const FORMAT = 'bricolage.mix-request/1' as const;
const request = (tins: MixTin[], more: Partial<MixRequest>): MixRequest => ({
  format: FORMAT,
  tins,
  volume_ml: 400,
  ...more,
});
const WHITE: MixTin = { id: 'white', colour: '#F4F1E8' };
const BLACK: MixTin = { id: 'black', colour: '#1C1B1A' };
const OCHRE: MixTin = { id: 'ochre', colour: '#C08A2D' };
const BLUE: MixTin = { id: 'blue', colour: '#27508A' };
const RED: MixTin = { id: 'red', colour: '#8F2F26' };
const TINS = [WHITE, BLACK, OCHRE, BLUE, RED];

describe('recipes', () => {
  it('find the mix that a colour was made of, in what can be measured', () => {
    const [made] = listRecipes(
      request(TINS, {
        shares: [
          { tin: 'white', share: 0.9 },
          { tin: 'blue', share: 0.1 },
        ],
      }),
    );
    const [best] = listRecipes(request(TINS, { target: made!.colour, measure: 'teaspoon' }));
    expect(best!.de).toBeLessThan(0.6);
    expect(best!.parts.map(({ tin }) => tin)).toEqual(['white', 'blue']);
    for (const { measures, ml } of best!.parts) {
      expect(measures * 2).toBe(Math.round(measures * 2));
      expect(ml).toBe(measures * 5);
    }
    expect(best!.parts.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 12);
    expect(Math.abs(best!.parts.reduce((sum, { ml }) => sum + ml, 0) - 400)).toBeLessThanOrEqual(5);
  });

  it('take the tin itself where it is the colour', () => {
    const [best] = listRecipes(request(TINS, { target: '#27508A' }));
    expect(best!.parts).toMatchObject([{ tin: 'blue', share: 1, ml: 400 }]);
    expect(best!.de).toBeLessThan(0.5);
  });

  it('are five at most, nearest first, and none opens a tin for nothing', () => {
    const recipes = listRecipes(request(TINS, { target: '#9FA79A' }));
    expect(recipes.length).toBeGreaterThan(1);
    expect(recipes.length).toBeLessThanOrEqual(5);
    expect(recipes.map(({ de }) => de)).toEqual(recipes.map(({ de }) => de).toSorted((a, b) => a! - b!));
    for (const { parts } of recipes) expect(parts.length).toBeLessThanOrEqual(3);
    expect(
      listRecipes(request(TINS, { target: '#9FA79A', max_tins: 1 })).every(({ parts }) => parts.length === 1),
    ).toBe(true);
  });

  it('come as near as trying every measurable mix of three tins out of five', () => {
    const random = makeRandom(9);
    const spectra = TINS.map(({ colour }) => absorptionOf(convertHexToSpectrum(colour)));
    const halves = 20;
    for (let i = 0; i < 8; i += 1) {
      const target = `#${[0, 1, 2]
        .map(() =>
          Math.floor(60 + 160 * random())
            .toString(16)
            .padStart(2, '0'),
        )
        .join('')}`;
      const wanted = labOf(target);
      let best = Infinity;
      const counts = [0, 0, 0, 0, 0];
      const walk = (tin: number, left: number, used: number): void => {
        if (tin === counts.length - 1 || used === 3) {
          if (used === 3 && left > 0) return;
          counts[tin] = left;
          if (used + (left > 0 ? 1 : 0) <= 3) {
            const parts = spectra.map((absorption, k) => ({ absorption, strength: 1, share: counts[k]! }));
            best = Math.min(best, computeDeltaE00(wanted, convertSpectrumToLab(mixSpectra(parts))));
          }
          counts[tin] = 0;
          return;
        }
        for (let take = 0; take <= left; take += 1) {
          counts[tin] = take;
          walk(tin + 1, left - take, used + (take > 0 ? 1 : 0));
        }
        counts[tin] = 0;
      };
      walk(0, halves, 0);
      const [found] = listRecipes(request(TINS, { target, volume_ml: 50, measure: 'teaspoon' }));
      // Ours may leave the volume by a measure, so it may come nearer than all that add up to it.
      expect(found!.de!).toBeLessThanOrEqual(best + 0.35);
    }
  });

  it('say how near they come where the tins cannot reach a colour', () => {
    const [best] = listRecipes(request([WHITE, BLACK], { target: '#D01818' }));
    expect(best!.warnings).toContain('out_of_reach');
    expect(best!.de).toBeGreaterThan(10);
  });

  it('are scaled to what there is', () => {
    const shares = [
      { tin: 'white', share: 0.8 },
      { tin: 'blue', share: 0.2 },
    ];
    const { colour: target } = listRecipes(request(TINS, { shares }))[0]!;
    const [best] = listRecipes(request([{ ...WHITE, volume_ml: 100 }, BLUE], { target }));
    expect(best!.warnings).toContain('not_enough');
    const white = best!.parts.find(({ tin }) => tin === 'white')!;
    expect(white.ml).toBeLessThanOrEqual(100);
    expect(best!.de).toBeLessThan(1);
  });

  it('take nothing of an empty tin, and are none where all are empty', () => {
    const empty = { ...WHITE, volume_ml: 0 };
    const recipes = listRecipes(request([empty, BLUE, BLACK], { target: '#8FA4C0' }));
    expect(recipes.flatMap(({ parts }) => parts).map(({ tin }) => tin)).not.toContain('white');
    expect(listRecipes(request([empty, { ...BLUE, volume_ml: 0 }], { target: '#8FA4C0' }))).toEqual([]);
  });

  it('warn of water with solvent, chalk with enamel, and another sheen', () => {
    const mixed = (one: string, other: string) =>
      listRecipes(
        request(
          [
            { ...WHITE, class: one },
            { ...BLUE, class: other },
          ],
          {
            shares: [
              { tin: 'white', share: 0.5 },
              { tin: 'blue', share: 0.5 },
            ],
          },
        ),
      )[0]!.warnings;
    expect(mixed('wb_alkyd_enamel', 'oil_enamel')).toEqual(['carriers_differ', 'sheen_changes']);
    expect(mixed('chalk_paint', 'wb_alkyd_enamel')).toEqual(['chalk_with_enamel', 'sheen_changes']);
    expect(mixed('chalk_paint', 'chalk_paint')).toEqual([]);
  });

  it('tell what a tenth more or less of a part does', () => {
    const [pale] = listRecipes(
      request(TINS, {
        shares: [
          { tin: 'white', share: 0.98 },
          { tin: 'black', share: 0.02 },
        ],
      }),
    );
    expect(pale!.de).toBeNull();
    expect(pale!.deIfOffByTenth).toBeGreaterThan(0.2);
    expect(listRecipes(request(TINS, { shares: [{ tin: 'white', share: 1 }] }))[0]!.deIfOffByTenth).toBe(0);
  });
});

describe('against an independent library for mixing pigments', () => {
  interface Theirs {
    Color: new (hex: string) => { luminance: number };
    mix: (...parts: [unknown, number][]) => { toString: () => string };
  }
  const { Color, mix } = spectral as unknown as Theirs;
  /** It weighs a part by the square of its factor and its luminance: undone, so that both mix by volume. */
  const theirs = (one: string, other: string, share: number): string => {
    const [a, b] = [new Color(one), new Color(other)];
    return mix([a, Math.sqrt((1 - share) / a.luminance)], [b, Math.sqrt(share / b.luminance)]).toString();
  };

  it('500 mixes of two go the same way, and lie within a few ΔE00', () => {
    const random = makeRandom(500);
    const someHex = (): string =>
      `#${[0, 1, 2]
        .map(() =>
          Math.floor(20 + 220 * random())
            .toString(16)
            .padStart(2, '0'),
        )
        .join('')}`;
    const differences: number[] = [];
    let sameWay = 0;
    let told = 0;
    for (let i = 0; i < 500; i += 1) {
      const [one, other, share] = [someHex(), someHex(), 0.1 + 0.8 * random()];
      const tins: MixTin[] = [
        // By volume alone, as the library mixes.
        { id: 'a', colour: one, strength: 1 },
        { id: 'b', colour: other, strength: 1 },
      ];
      const [ours] = listRecipes(
        request(tins, {
          shares: [
            { tin: 'a', share: 1 - share },
            { tin: 'b', share },
          ],
        }),
      );
      const [us, them] = [labOf(ours!.colour), labOf(theirs(one, other, share))];
      differences.push(computeDeltaE00(us, them));
      // Both move from the straight mean of the two in the same way, where they move at all.
      const [a, b] = [labOf(one), labOf(other)];
      const mean = { l: a.l + share * (b.l - a.l), a: a.a + share * (b.a - a.a), b: a.b + share * (b.b - a.b) };
      const [x, y] = [us, them].map((own) => [own.l - mean.l, own.a - mean.a, own.b - mean.b]);
      if (Math.hypot(...x!) < 3 || Math.hypot(...y!) < 3) continue;
      told += 1;
      if (x!.reduce((sum, own, k) => sum + own * y![k]!, 0) > 0) sameWay += 1;
    }
    differences.sort((a, b) => a - b);
    expect(told).toBeGreaterThan(200);
    expect(sameWay / told).toBeGreaterThan(0.98);
    // The two differ in how a spectrum is made of a colour: theirs from seven basis curves, ours from one smooth one.
    expect(differences[250]).toBeLessThan(2.5);
    // It tells most on strong colours, of which there are more here than on any shelf.
    expect(differences[475]).toBeLessThan(12);
  });
});

describe('a trial', () => {
  it('teaches how strongly a tin tints, and the next recipe goes by it', () => {
    const truth = [WHITE, { ...BLUE, strength: 2.6 }];
    const shares = [
      { tin: 'white', share: 0.9 },
      { tin: 'blue', share: 0.1 },
    ];
    const cameOut = listRecipes(request(truth, { shares }))[0]!.colour;
    const learned = refitStrengths([WHITE, BLUE], [{ parts: shares, colour: cameOut }]);
    expect(learned.get('white')).toBe(1);
    expect(learned.get('blue')!).toBeGreaterThan(2.3);
    expect(learned.get('blue')!).toBeLessThan(2.9);
    const wiser = [WHITE, BLUE].map((tin) => ({ ...tin, strength: learned.get(tin.id)! }));
    const target = '#AEBBD0';
    const [recipe] = listRecipes(request(wiser, { target }));
    const [really] = listRecipes(request(truth, { shares: recipe!.parts.map(({ tin, share }) => ({ tin, share })) }));
    expect(computeDeltaE00(labOf(target), labOf(really!.colour))).toBeLessThan(recipe!.de! + 0.8);
  });

  it('of tins that are not there teaches nothing', () => {
    const parts = [
      { tin: 'white', share: 0.5 },
      { tin: 'gone', share: 0.5 },
    ];
    expect([...refitStrengths([WHITE, BLUE], [{ parts, colour: '#808080' }]).values()]).toEqual([1, 1]);
  });
});

describe('a request', () => {
  const told = (more: object) =>
    parseMixRequest(JSON.stringify({ format: FORMAT, tins: [WHITE, BLUE], volume_ml: 400, ...more }));
  it.each([
    [{ target: 'blue' }, 'target', 'bad_pattern'],
    [{}, 'target', 'missing_field'],
    [{ target: '#AABBCC', tins: [] }, 'tins', 'out_of_range'],
    [{ target: '#AABBCC', tins: [WHITE, WHITE] }, 'tins[1].id', 'duplicate_id'],
    [{ target: '#AABBCC', volume_ml: 0 }, 'volume_ml', 'out_of_range'],
    [{ target: '#AABBCC', max_tins: 4 }, 'max_tins', 'out_of_range'],
    [{ target: '#AABBCC', measure: 'bucket' }, 'measure', 'unknown_code'],
    [{ shares: [{ tin: 'white', share: 0.5 }] }, 'shares', 'out_of_range'],
    [{ shares: [{ tin: 'gone', share: 1 }] }, 'shares[0].tin', 'unknown_code'],
    [{ target: '#AABBCC', format: 'bricolage.mix/9' }, 'format', 'wrong_format'],
  ])('%j is refused with its place', (more, path, code) => {
    const read = told(more);
    expect(read.ok ? null : [read.problem.path, read.problem.code]).toEqual([path, code]);
  });

  it('that is right is taken', () => expect(told({ target: '#AABBCC' }).ok).toBe(true));
});
