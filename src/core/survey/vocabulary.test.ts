import { CHECK_CODES, CHECKS } from '../knowledge';
import type { Observation } from '../dossier';
import { computeBelief } from './belief';

/** The vocabulary of checks in the open format: removing or renaming one would break files people keep. */
const FIXED =
  'edge_line pattern_repeat core_view corner_lift pores knots_seen wood_colour weight nail_dent water_drop damp_rag alcohol_rub thinner_rub spirit_rub sand_spot tape_pull cross_cut_old gloss_look coat_thickness grease_wipe crawl_dab bleed_probe lead_test moisture_meter odour edge_wrap pattern_end alcohol_dab thinner_dab'.split(
    ' ',
  );

describe('the vocabulary of checks', () => {
  it('is whole', () => expect([...CHECK_CODES].sort()).toEqual([...FIXED].sort()));

  it('moves the belief with a class of the old coat, written either way', () => {
    const failing = (observation: Observation): number =>
      computeBelief({ piece: { kind: 'desk' } }, { id: 'z', role: 'top', observations: [observation] }).soundness.find(
        ({ code }) => code === 'failing',
      )!.p;
    expect(failing({ check: 'cross_cut_old', result: '5' })).toBeGreaterThan(0.5);
    expect(failing({ check: 'cross_cut_old', value: 5 })).toBe(failing({ check: 'cross_cut_old', result: '5' }));
    expect(CHECKS.length).toBe(FIXED.length - 1);
  });
});
