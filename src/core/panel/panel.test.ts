import ICAL from 'ical.js';
import { writeEvents } from '../calendar';
import { DOSSIER_FORMAT, type Dossier, type Panel, type Test } from '../dossier';
import { proposeNextPanel } from '../piece';
import { crossFactors, designPanel, type PanelWish } from './design';
import { proposePanel } from './propose';
import { bleedMomentOnPanel, listReadings, scheduleMoments, treatmentOnStrip } from './schedule';
import { listStrips, sayPanelCalendar } from '@/words';
import { drawStripMap } from './strip-map';

const SHELLAC = { prep: 'scuff_150', primer: 'shellac_primer', coats: 1 } as const;
const BONDING = { prep: 'scuff_150', primer: 'bonding_primer_wb', coats: 1 } as const;
const NONE = { prep: 'scuff_150', primer: 'none', coats: 0 } as const;
const wish = (more: Partial<PanelWish> = {}): PanelWish => ({
  id: 'p1',
  zone: 'top',
  treatments: [SHELLAC, BONDING],
  control: NONE,
  replicates: 3,
  width_mm: 300,
  height_mm: 240,
  kinds: ['nail', 'cross_cut'],
  seed: 5,
  ...more,
});
const make = (more: Partial<PanelWish> = {}): Panel => {
  const design = designPanel(wish(more));
  if (!design.ok) throw new Error(design.problem);
  return design.panel;
};

describe('a panel', () => {
  it('is balanced: every treatment once in every row, each strip on its own place in the space there is', () => {
    const { strips, width_mm, height_mm } = make();
    expect(strips).toHaveLength(9);
    for (const replicate of [1, 2, 3]) {
      const row = strips.filter((strip) => strip.replicate === replicate);
      expect(row.map(({ code }) => code[0]).sort()).toEqual(['A', 'B', 'C']);
    }
    for (const strip of strips) {
      expect(strip.x_mm + strip.width_mm).toBeLessThanOrEqual(width_mm);
      expect(strip.y_mm + strip.height_mm).toBeLessThanOrEqual(height_mm);
      const overlaps = strips.filter(
        (other) =>
          other !== strip &&
          other.x_mm < strip.x_mm + strip.width_mm &&
          strip.x_mm < other.x_mm + other.width_mm &&
          other.y_mm < strip.y_mm + strip.height_mm &&
          strip.y_mm < other.y_mm + other.height_mm,
      );
      expect(overlaps).toEqual([]);
    }
    expect(strips.filter(({ control }) => control).map(({ treatment }) => treatment)).toEqual([NONE, NONE, NONE]);
  });

  it('is the same for the same seed, and favours no place over 300 seeds', () => {
    expect(make()).toEqual(make());
    const firsts = Array.from({ length: 300 }, (_, seed) => make({ seed, replicates: 1 }).strips[0]!.code);
    for (const code of ['A', 'B', 'C']) {
      // 100 are expected; five standard deviations are 41.
      expect(Math.abs(firsts.filter((first) => first === code).length - 100)).toBeLessThan(41);
    }
  });

  it('says what room it would need', () => {
    const tight = designPanel(wish({ width_mm: 100 }));
    expect(tight).toMatchObject({ ok: false, problem: 'too_small', leastWidthMm: 114, leastHeightMm: 204 });
    expect(designPanel(wish({ width_mm: 114, height_mm: 204 })).ok).toBe(true);
    expect(designPanel(wish({ treatments: [] }))).toMatchObject({ ok: false, problem: 'nothing_to_test' });
  });

  it('crosses two factors', () => {
    const grid = crossFactors(['none', 'scuff_150'], ['none', 'shellac_primer'], {});
    expect(grid.map(({ prep, primer, coats }) => `${prep}/${primer}/${coats}`)).toEqual([
      'none/none/0',
      'none/shellac_primer/1',
      'scuff_150/none/0',
      'scuff_150/shellac_primer/1',
    ]);
  });
});

describe('the map', () => {
  it('is drawn in millimetres, with codes off the strips and the marked corner', () => {
    const panel = make();
    const svg = drawStripMap(panel, 'Desk & <top>', 'Desk & <top>: mark the corner', listStrips(panel));
    expect(svg).toMatch(/width="328mm" height="\d+mm" viewBox="0 0 328 \d+"/);
    expect(svg).toContain('Desk &amp; &lt;top&gt;');
    for (const { code, x_mm, y_mm, width_mm } of panel.strips) {
      expect(svg).toContain(`<text x="${14 + x_mm + width_mm / 2}" y="${14 + y_mm - 1.2}"`);
      expect(svg).toContain(`>${code}</text>`);
    }
  });

  it('names each treatment once, with its strips', () => {
    expect(listStrips(make())).toEqual([
      'A1, A2, A3: Scuff 150, no primer (control)',
      'B1, B2, B3: Scuff 150, shellac primer',
      'C1, C2, C3: Scuff 150, waterborne bonding primer',
    ]);
  });
});

const painted = { paint: 'wb_alkyd_enamel', paint_coats: 2 } as const;

describe('the times of a panel', () => {
  it('are those of its slowest strip: bonding primer hardens 12 h, and all strips are read then', () => {
    const moments = scheduleMoments(make());
    expect(moments.map(({ atH, kind }) => [atH, kind])).toEqual([
      [0, 'coat'],
      [12, 'read'],
    ]);
    expect(moments[0]!.strips.map((code) => code[0])).not.toContain('A');
    expect(moments[1]!.strips).toHaveLength(9);
  });

  it('go on with paint, and watch for colour to a week after the last coat', () => {
    const moments = scheduleMoments(
      make({ treatments: [{ ...SHELLAC, ...painted }], control: null, kinds: ['nail', 'bleed_watch'] }),
    );
    const coats = moments.filter(({ kind }) => kind === 'coat').map(({ atH }) => atH);
    // Shellac is read next morning (12 h), then two coats 16 h apart.
    expect(coats).toEqual([0, 12, 28]);
    const watches = moments.filter(({ bleedAt }) => bleedAt).map(({ atH, bleedAt }) => [bleedAt, atH]);
    expect(watches).toEqual([
      ['1h', 13],
      ['overnight', 24],
      ['after_clear', 29],
      ['48h', 76],
      ['7d', 196],
    ]);
  });

  it('tell what lies on a strip: its primer until that has been read, then the whole system', () => {
    const panel = make({ treatments: [{ ...SHELLAC, ...painted }], control: null, replicates: 1 });
    const read: Test = { zone: 'top', panel: 'p1', strip: 'A', kind: 'nail', age_h: 13, reading: { score: 0 } };
    expect(treatmentOnStrip({}, panel, 'A', 'nail')).toEqual(SHELLAC);
    expect(treatmentOnStrip({ tests: [read] }, panel, 'A', 'nail')).toEqual({ ...SHELLAC, ...painted });
    expect(treatmentOnStrip({}, panel, 'A', 'bleed_watch')).toEqual({ ...SHELLAC, ...painted });
  });

  it('stretch in a cold workshop', () => {
    const warm = scheduleMoments(make()).at(-1)!.atH;
    expect(scheduleMoments(make(), { temperature_c: 12, humidity_pct: 75 }).at(-1)!.atH).toBeGreaterThan(warm * 1.2);
  });

  it('are due, overdue and done', () => {
    const panel = { ...make({ replicates: 1 }), coated_at: '2026-03-01T18:00:00Z' };
    const dossier = (tests: Test[]): Pick<Dossier, 'panels' | 'tests'> => ({ panels: [panel], tests });
    const state = (now: string, tests: Test[] = []) => listReadings(dossier(tests), now)[0]?.state;
    expect(state('2026-03-01T20:00:00Z')).toBe('later');
    expect(state('2026-03-02T07:00:00Z')).toBe('due');
    expect(state('2026-03-03T07:00:00Z')).toBe('overdue');
    const reading = (strip: string, age_h: number): Test => ({
      zone: 'top',
      panel: 'p1',
      strip,
      kind: 'nail',
      age_h,
      reading: { score: 0 },
    });
    const now = '2026-03-02T09:00:00Z';
    expect(listReadings(dossier([reading('A', 15), reading('B', 15)]), now)[0]?.strips).toEqual(['C']);
    expect(listReadings(dossier(['A', 'B', 'C'].map((code) => reading(code, 15))), now)).toEqual([]);
    expect(listReadings(dossier(['A', 'B', 'C'].map((code) => reading(code, 2))), now)[0]?.state).toBe('due');
    expect(listReadings({ panels: [make()] }, now)).toEqual([]);
  });

  it('are read back from the calendar file by an independent parser (RFC 5545)', () => {
    const moments = scheduleMoments(make());
    const file = writeEvents(
      sayPanelCalendar('Desk, top', 'p1', moments, '2026-03-01T18:00:00Z'),
      '2026-02-28T10:00:00Z',
    );
    const events = new ICAL.Component(ICAL.parse(file) as never)
      .getAllSubcomponents('vevent')
      .map((own) => new ICAL.Event(own));
    expect(events.map((event) => event.startDate.toJSDate().toISOString())).toEqual([
      '2026-03-01T18:00:00.000Z',
      '2026-03-02T06:00:00.000Z',
    ]);
    expect(events[1]!.summary).toBe('Desk, top: Read the primer');
    expect(new Set(events.map(({ uid }) => uid)).size).toBe(2);
    expect(file.split('\r\n').every((line) => line.length <= 75)).toBe(true);
  });
});

describe('the panel that is proposed', () => {
  const painted = { stated: { substrate: 'closed_grain_hardwood', finish: 'alkyd_paint' } } as const;
  const zone = { id: 'top', role: 'top', area_m2: 1, ...painted } as const;
  const piece: Dossier = {
    format: DOSSIER_FORMAT,
    piece: { kind: 'desk', history: { era: 'since_2000' } },
    zones: [zone],
  };

  it('has the way the plan would take, rivals that could change it, and a control one step away', () => {
    const proposal = proposePanel(piece, zone)!;
    expect(proposal.treatments.length).toBeGreaterThan(1);
    expect(new Set(proposal.treatments.map(({ prep, primer }) => `${prep}/${primer}`)).size).toBe(
      proposal.treatments.length,
    );
    expect(proposal.control).toMatchObject({ prep: proposal.treatments[0]!.prep, primer: 'none' });
    expect(proposal.worth).toBeGreaterThan(0);
    expect(proposal.kinds).toEqual(['nail', 'cross_cut']);
    const oak = { ...zone, stated: { substrate: 'tannin_rich_wood', finish: 'bare' } } as const;
    expect(proposePanel({ ...piece, zones: [oak] }, oak)!.kinds).toContain('bleed_watch');
  });

  it('holds a strip of just what was taken, in as many coats, and is proposed while only the bleed gate waits', () => {
    const oak = { ...zone, stated: { substrate: 'tannin_rich_wood', finish: 'varnish_oil' } } as const;
    const treatment = { prep: 'scuff_220', primer: 'stainblock_primer_wb', coats: 2 } as const;
    const taken: Dossier = { ...piece, zones: [oak], chosen: { zones: [{ id: 'top', treatment }] } };
    const own = proposePanel(taken, oak)!;
    expect(own.treatments[0]).toMatchObject(treatment);
    const tests = (['nail', 'cross_cut'] as const).map((kind): Test => ({
      zone: 'top',
      kind,
      treatment,
      age_h: 48,
      reading: kind === 'nail' ? { score: 0 } : { iso_class: 0 },
    }));
    expect(proposeNextPanel({ ...taken, tests })?.kinds).toContain('bleed_watch');
  });

  it('leaves out what has failed here, and has less to tell once one way is sure', () => {
    const first = proposePanel(piece, zone)!;
    const [leader] = first.treatments;
    const fail: Test = { zone: 'top', kind: 'nail', age_h: 48, treatment: leader!, reading: { score: 4 } };
    const after = proposePanel({ ...piece, tests: [fail] }, zone)!;
    expect(after.treatments.map(({ prep, primer }) => `${prep}/${primer}`)).not.toContain(
      `${leader!.prep}/${leader!.primer}`,
    );
    const held = { mode: 'adhesion', ...painted.stated, prep: leader!.prep!, primer: leader!.primer! } as const;
    const sure = proposePanel(
      { ...piece, experience: [{ ...held, held: 400, failed: 0, tests: 400, tests_held: 400 }] },
      zone,
    )!;
    expect(sure.worth).toBeLessThan(first.worth);
  });
});

describe('the moment of a bleed watch on a strip', () => {
  it('is the last of the panel’s own that has come: two days count from its last coat', () => {
    const panel = {
      kinds: ['bleed_watch' as const],
      strips: [
        {
          code: 'A',
          control: false,
          replicate: 1,
          x_mm: 0,
          y_mm: 0,
          width_mm: 50,
          height_mm: 50,
          treatment: {
            prep: 'scuff_220' as const,
            primer: 'shellac_primer' as const,
            coats: 1,
            paint: 'oil_enamel' as const,
            paint_coats: 2,
          },
        },
      ],
    };
    const two = scheduleMoments(panel).find(({ bleedAt }) => bleedAt === '48h')!.atH;
    expect(two).toBeGreaterThan(48);
    expect(bleedMomentOnPanel(panel, two - 0.1)).not.toBe('48h');
    expect(bleedMomentOnPanel(panel, two)).toBe('48h');
    expect(bleedMomentOnPanel(panel, 0)).toBe('1h');
  });
});
