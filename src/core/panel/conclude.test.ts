import { DOSSIER_FORMAT, type Dossier, type Panel, type Test, type Treatment } from '../dossier';
import { sayPanel } from '@/words';
import { concludePanel } from './conclude';

const treat = (primer: Treatment['primer']): Treatment => ({ prep: 'scuff_150', primer, coats: 1 });
const PRIMERS = ['none', 'shellac_primer', 'bonding_primer_wb'] as const;
const strips = PRIMERS.flatMap((primer, i) =>
  Array.from({ length: 5 }, (_, row) => ({
    code: `${'ABC'[i]!}${row + 1}`,
    treatment: treat(primer),
    control: primer === 'none',
    replicate: row + 1,
    x_mm: 0,
    y_mm: 0,
    width_mm: 40,
    height_mm: 70,
  })),
);
const panel: Panel = { id: 'p', zone: 'top', seed: 1, width_mm: 300, height_mm: 300, kinds: ['nail'], strips };
/** How many strips of each treatment were read as held, and as let go or bled. */
const piece = (
  read: Partial<Record<'A' | 'B' | 'C', [held: number, failed: number]>>,
  kind: Test['kind'] = 'nail',
): Dossier => ({
  format: DOSSIER_FORMAT,
  piece: { kind: 'desk' },
  zones: [{ id: 'top', role: 'top' }],
  panels: [panel],
  tests: Object.entries(read).flatMap(([name, [held, failed]]) =>
    strips
      .filter(({ code }) => code.startsWith(name))
      .slice(0, held + failed)
      .map(({ code, treatment }, i): Test => ({
        id: code,
        zone: 'top',
        panel: 'p',
        strip: code,
        kind,
        treatment,
        age_h: 60,
        reading: kind === 'nail' ? { score: i < held ? 0 : 4 } : { at: '48h', score: i < held ? 0 : 4 },
      })),
  ),
});
const conclude = (...args: Parameters<typeof piece>) => concludePanel(piece(...args), panel);

describe('what a panel shows', () => {
  it('is nothing before a strip was read', () => {
    expect(conclude({})).toMatchObject({ best: null, tied: [], strips: 15, read: 0 });
    expect(sayPanel(conclude({}))).toBe('No strip was read yet.');
  });

  it('is the best, where it is surely better than every other', () => {
    const shown = conclude({ A: [0, 5], B: [5, 0], C: [1, 4] });
    expect(shown.ranked.map(({ name }) => name)).toEqual(['B', 'C', 'A']);
    expect(shown.best?.name).toBe('B');
    expect(sayPanel(shown)).toBe('B is best: 5 of 5 held. 9 of 15 let go.');
  });

  it('is that two cannot be told apart', () => {
    const shown = conclude({ A: [0, 5], B: [5, 0], C: [4, 1] });
    expect(shown.best).toBeNull();
    expect(shown.tied.map(({ name }) => name)).toEqual(['B', 'C']);
    expect(sayPanel(shown)).toContain('B and C cannot be told apart');
  });

  it('calls none the best where most of it failed', () => {
    expect(conclude({ A: [0, 5], B: [1, 4] }).best).toBeNull();
  });

  it('tells bleeding from letting go, and counts what is too early as not read', () => {
    expect(sayPanel(conclude({ A: [0, 4], B: [3, 0] }, 'bleed_watch'))).toContain('4 of 7 bled');
    const early = piece({ B: [5, 0] });
    const young = { ...early, tests: early.tests!.map((test) => ({ ...test, age_h: 0.1 })) };
    expect(concludePanel(young, panel).read).toBe(0);
  });
});
