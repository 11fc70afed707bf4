import { DOSSIER_FORMAT, type Dossier, type LogEntry, type Trouble } from '../dossier';
import { judgeCauses } from './causes';
import { drawStory, tellWork } from './story';
import { findTaken, readTroubleState } from './trouble-state';

const at = (hours: number): string => new Date(Date.parse('2026-03-02T08:00:00Z') + hours * 3_600_000).toISOString();
const entry = (op: LogEntry['op'], hours: number, more: Partial<LogEntry> = {}): LogEntry => ({
  zone: 'top',
  op,
  at: at(hours),
  ...more,
});
const trouble: Trouble = { id: 'x', zone: 'top', symptom: 'lifts_or_wrinkles', clues: { when: 'minutes' } };
const piece: Dossier = {
  format: DOSSIER_FORMAT,
  piece: { id: 'p', kind: 'desk', history: { era: 'since_2000' } },
  zones: [{ id: 'top', role: 'top', stated: { substrate: 'closed_grain_hardwood', finish: 'varnish_oil' } }],
  log: [
    entry('scuff', 0),
    entry('prime', 2, { class: 'shellac_primer', temperature_c: 20, humidity_pct: 50 }),
    entry('paint', 10, { class: 'oil_enamel', coats: 2 }),
    entry('topcoat', 12, { class: 'oil_polyurethane' }),
  ],
  troubles: [trouble],
};

describe('what happened to a face', () => {
  const belief = judgeCauses(piece, trouble);

  it('is each thing that was done, with its wait against what was asked, its air and what is found against it', () => {
    const rows = tellWork(belief);
    expect(rows.map(({ entry: { op } }) => op)).toEqual(['scuff', 'prime', 'paint', 'topcoat']);
    expect(rows.map(({ wait }) => wait)).toEqual([null, null, { wasH: 8, askedH: 1 }, { wasH: 2, askedH: 24 }]);
    expect(rows.map(({ air }) => air?.temperature_c)).toEqual([undefined, 20, undefined, undefined]);
    expect(rows[3]!.findings.map(({ code }) => code)).toEqual(['clear_too_soon', 'oil_over_pale']);
    expect(rows.map(({ suspect }) => suspect)).toEqual([false, false, false, true]);
  });

  it('is drawn as its layers were logged, the suspect one marked', () => {
    const { layers } = drawStory(belief, at(24));
    const coats = layers.filter((layer) => layer.kind === 'coat');
    expect(coats.map(({ layer, suspect = false }) => [layer, suspect])).toEqual([
      ['primer', false],
      ['paint', false],
      ['paint', false],
      ['clear', true],
    ]);
  });
});

describe('where a trouble stands', () => {
  const recovery = { trouble: 'x', remedy: 'seal_over' as const, at: at(100), over: 'alkyd_paint' as const };
  const step = {
    op: 'prime' as const,
    label: 'Prime',
    class: 'shellac_primer',
    minutes: 5,
    wait_h: 1,
    why: '',
    stage: 8,
  };
  const taken: Dossier = {
    ...piece,
    chosen: {
      at: at(100),
      zones: [{ id: 'top', treatment: { primer: 'shellac_primer', coats: 1 }, steps: [step], recovery }],
    },
  };
  const state = (dossier: Dossier, own = trouble) => readTroubleState(dossier, own);

  it('goes from open over the way out to what came of it', () => {
    expect(state(piece)).toBe('open');
    expect(state(taken)).toBe('in_recovery');
    const done = { ...taken, log: [...taken.log!, entry('prime', 101, { class: 'shellac_primer' })] };
    expect(state(done)).toBe('recovered');
    for (const [how, is] of [
      ['mended', 'mended'],
      ['came_back', 'came_back'],
      ['live_with', 'left'],
      ['as_it_is', 'left'],
    ] as const)
      expect(state(done, { ...trouble, settled: { how } })).toBe(is);
  });

  it('keeps the way out that was taken, also when another system stands since', () => {
    expect(findTaken(piece, 'x')).toBeNull();
    expect(findTaken(taken, 'x')!.steps).toEqual([step]);
    const later: Dossier = { ...taken, earlier_choices: [taken.chosen!], chosen: { at: at(200), zones: [] } };
    expect(findTaken(later, 'x')!.recovery.remedy).toBe('seal_over');
    expect(state(later)).toBe('open');
  });
});
