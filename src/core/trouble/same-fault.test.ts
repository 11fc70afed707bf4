import { DOSSIER_FORMAT, type Dossier, type LogEntry, type Trouble } from '../dossier';
import { judgeCauses } from './causes';
import { listRecoveries } from './recover';
import { listSameFault } from './same-fault';

const LAMINATE = { substrate: 'hpl_laminate', finish: 'factory_film' } as const;
const zones = ['top', 'left', 'right', 'back'].map((id) => ({ id, role: 'side' as const, stated: LAMINATE }));
const prime = (zone: string, thinned_pct?: number): LogEntry => ({
  zone,
  op: 'prime',
  class: 'bonding_primer_wb',
  coats: 1,
  at: '2026-03-01T09:00:00Z',
  ...(thinned_pct === undefined ? {} : { thinned_pct }),
});
const trouble: Trouble = { id: 'x', zone: 'top', symptom: 'scratches_off', seen_at: '2026-03-10T09:00:00Z' };
const piece: Dossier = {
  format: DOSSIER_FORMAT,
  piece: { kind: 'desk', history: { era: 'since_2000' } },
  zones,
  log: [prime('top', 10), prime('left', 10), prime('right', 10), prime('back')],
  troubles: [trouble],
};

describe('the same fault on other zones', () => {
  it('is asked about where the same thinned coat lies, and nowhere else', () => {
    expect(listSameFault(piece, judgeCauses(piece, trouble))).toEqual(['left', 'right']);
    expect(listRecoveries(piece, trouble, '2026-03-11T09:00:00Z').alsoAsk).toEqual(['left', 'right']);
  });

  it('is asked about no more where something is logged as wrong already', () => {
    const both = { ...piece, troubles: [trouble, { ...trouble, id: 'y', zone: 'left' }] };
    expect(listSameFault(both, judgeCauses(both, trouble))).toEqual(['right']);
  });
});
