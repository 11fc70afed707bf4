import { readDossier } from '../dossier';
import { listTestKinds, TEST_KIND_FACTS, TEST_KINDS } from '../knowledge';
import { severityOf } from './judge';
import { listAskedKinds, listProofs } from './requirements';
import { sayReading } from '@/words';
import { letsGo, listAnswers, makeReading } from './readings';

describe('kinds of test', () => {
  it('have a row each, with six anchors or a number, and a source where the scale is published', () => {
    expect(listTestKinds().sort()).toEqual([...TEST_KINDS].sort());
    for (const { anchors, basis, source, label, hint } of Object.values(TEST_KIND_FACTS)) {
      expect(anchors?.length ?? 6).toBe(6);
      expect(Boolean(source)).toBe(basis === 'published');
      expect(label && hint).toBeTruthy();
    }
  });

  it('ask a patch for the two touches of the gate, and for a watch where colour may come', () => {
    expect(listAskedKinds(listProofs({ bleeds: 0.9, pale: false }))).toEqual(['nail', 'cross_cut']);
    expect(listAskedKinds(listProofs({ bleeds: 0.9, pale: true }))).toEqual(['nail', 'cross_cut', 'bleed_watch']);
  });
});

describe('a reading', () => {
  it.each(TEST_KINDS)('of a %s is written from its answer, taken by the reader of files, and said', (kind) => {
    const answers = listAnswers(kind);
    const codes = answers.length > 0 ? answers.map(({ code }) => code) : ['0', '40', '120'];
    const severities = codes.map((code) => {
      const reading = makeReading(kind, code, '48h');
      const read = readDossier({
        format: 'bricolage.dossier/1',
        piece: { kind: 'desk' },
        zones: [{ id: 'top', role: 'top' }],
        tests: [{ zone: 'top', kind, reading }],
      });
      expect(read).toMatchObject({ ok: true });
      expect(sayReading(kind, reading)).not.toMatch(/undefined|NaN|: $/);
      return severityOf(kind, reading);
    });
    // The ends of every scale are the ends of the one scale, whichever way it runs.
    expect([Math.min(...severities), Math.max(...severities)]).toEqual([0, 5]);
  });

  it('of something that came off asks where, and of nothing does not', () => {
    expect(letsGo('cross_cut', { removed_pct: 0.4 })).toBe(true);
    expect(letsGo('x_cut', { astm: '5A' })).toBe(false);
    expect(letsGo('nail', { score: 1 })).toBe(true);
    expect(letsGo('pencil', { grade: '6B' })).toBe(false);
    expect(letsGo('bleed_watch', { at: '48h', score: 4 })).toBe(false);
  });

  it('is said as it was written down', () => {
    expect(sayReading('cross_cut', { removed_pct: 12 })).toBe('12 % bare');
    expect(sayReading('cross_cut', { astm: '3B' })).toBe('severity 2 of 5: Flakes along edges, 5 to 15 %');
    expect(sayReading('solvent_rub', { double_rubs: 40 })).toBe('40 double rubs');
    expect(sayReading('bleed_watch', { at: '48h', de_mean: 0.4, de_worst: 1.1 })).toBe(
      'ΔE00 0.4 on average, 1.1 at the worst spot',
    );
  });
});
