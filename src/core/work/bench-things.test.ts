import { buildTemplate } from '../templates';
import {
  drawLabels,
  drawTemplate,
  judgeHardware,
  listCautions,
  listFacts,
  listParts,
  measurePour,
  mixForJob,
  portionMix,
  readThinning,
} from './index';
import { PART_WORDS, TEMPLATE_WORDS } from '@/words';

describe('mixing', () => {
  it('says thinning of the paint and of the mix: four to one is 25 % and 20 %', () => {
    const { ofPaint, ofMix } = readThinning(4, 1);
    expect([ofPaint, ofMix]).toEqual([0.25, 0.2]);
  });

  it('portions a recipe to the millilitre, whatever the volume', () => {
    const parts = [
      { name: 'White', parts: 3 },
      { name: 'Blue', parts: 1.5 },
      { name: 'Black', parts: 0.5 },
    ];
    for (const volume of [1, 7, 100, 333, 1000, 2501]) {
      const portions = portionMix(parts, volume);
      expect(portions.reduce((sum, { ml }) => sum + ml, 0)).toBe(volume);
      expect(portions.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 12);
    }
    expect(portionMix(parts, 1000).map(({ ml }) => ml)).toEqual([600, 300, 100]);
  });

  it('makes enough for all coats and a tenth more', () => expect([0, 400, 401].map(mixForJob)).toEqual([0, 440, 450]));

  it('pours what the coat takes and what stays in the tray', () => {
    expect(measurePour({ ml: 100, op: 'paint', class: 'wb_alkyd_enamel' })).toBe(140);
    expect(measurePour({ ml: 0, op: 'scuff' })).toBeNull();
  });
});

describe('old holes and a new handle', () => {
  const two = (spacing_mm: number, plate_mm?: { length: number; height: number }) => ({
    holes: 2 as const,
    spacing_mm,
    ...(plate_mm ? { plate_mm } : {}),
  });
  it.each([
    [two(96), two(96), 'reuse', false],
    [two(96), two(96.5), 'reuse', false],
    [two(96), two(128), 'fill', false],
    [two(96), two(100), 'fill', true],
    [two(96), two(64, { length: 120, height: 24 }), 'cover', false],
    [two(96), two(64, { length: 100, height: 24 }), 'fill', false],
    [two(96), two(64, { length: 120, height: 8 }), 'fill', false],
    [two(64), { holes: 1 as const }, 'fill', false],
    [{ holes: 1 as const }, two(96, { length: 110, height: 20 }), 'cover', false],
  ])('%j to %j: %s', (old, next, verdict, clashes) =>
    expect(judgeHardware({ old, next })).toMatchObject({ verdict, clashes }),
  );

  it('are on a template at true scale, with 50 mm to check', () => {
    const svg = drawTemplate({ zone: 'doors', old: two(96), next: two(128) }, TEMPLATE_WORDS);
    const [, width, box] = /width="([\d.]+)mm".*?viewBox="0 0 ([\d.]+) /.exec(svg)!;
    expect(width).toBe(box);
    expect(svg).toContain('h50');
    const holes = [...svg.matchAll(/<circle cx="([\d.]+)"[^>]*stroke-width="0.3"\/>/g)].map((match) =>
      Number(match[1]),
    );
    expect(Math.max(...holes) - Math.min(...holes)).toBe(128);
  });
});

describe('parts', () => {
  const piece = { piece: { kind: 'kitchen_run' as const }, zones: buildTemplate('kitchen_run').zones };

  it('are numbered by place, no label twice, and keep their state', () => {
    const parts = listParts(piece, PART_WORDS);
    expect(new Set(parts.map(({ label }) => label)).size).toBe(parts.length);
    expect(parts[1]).toMatchObject({ label: 'Do2', place: 'Door 2 from the left', state: 'on' });
    const off = { ...parts[1]!, state: 'off' as const };
    expect(listParts({ ...piece, parts: [off] }, PART_WORDS)[1]).toBe(off);
  });

  it('are on the sheet twice each, names made safe', () => {
    const parts = listParts(piece, PART_WORDS);
    const svg = drawLabels(parts, 'Doors <of> the "loft"', PART_WORDS);
    expect(svg.match(/font-weight="700">Do1</g)).toHaveLength(2);
    expect(svg).not.toContain('<of>');
  });
});

describe('cautions and facts of a step', () => {
  const codes = (op: Parameters<typeof listCautions>[0]['op'], code?: string, more = { oldCoat: false }): string[] =>
    listCautions({ op, key: 'k', ...(code ? { class: code } : {}) }, more).map((caution) => caution.code);
  it('bite where they must', () => {
    expect(codes('prime', 'shellac_primer')).toEqual(['fumes']);
    expect(codes('topcoat', 'wipe_on_oil')).toEqual(['fumes', 'oily_rags']);
    expect(codes('prime', 'bonding_primer_2k')).toEqual(['two_part', 'fumes']);
    expect(codes('scuff', undefined, { oldCoat: true })).toEqual(['lead', 'dust']);
    expect(codes('paint', 'wb_alkyd_enamel')).toEqual([]);
    expect(
      listCautions({ op: 'paint', key: 'k', class: 'wb_alkyd_enamel' }, { application: 'spray', oldCoat: false })[0],
    ).toMatchObject({ code: 'spray', holds: true });
  });

  it('are three facts at most, and none of thinning what must never be thinned', () => {
    const door = [{ role: 'door' as const, orientation: 'vertical' as const }];
    for (const op of ['degrease', 'scuff', 'prime', 'paint', 'topcoat', 'refit', 'proof', 'strip'] as const)
      expect(listFacts({ op, coat: 1, coats: 2, ml: 0 }, door).length).toBeLessThanOrEqual(3);
    expect(listFacts({ op: 'prime', class: 'bonding_primer_wb', coat: 1, coats: 1, ml: 0 }, door)).toContainEqual({
      text: 'Never thin it.',
      basis: 'practice',
    });
  });
});
