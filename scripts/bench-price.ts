import { DOSSIER_FORMAT, type Dossier } from '@/core/dossier';
import { judgeDoor } from '@/core/price';
import type { Figure } from './figure';

const REPEATS = 15;

/** A sideboard at the kerb: six faces, nothing read yet. */
function makeUnread(): Dossier {
  const roles = ['top', 'side', 'front', 'door', 'leg', 'drawer_front'] as const;
  return {
    format: DOSSIER_FORMAT,
    piece: { kind: 'sideboard', history: { era: 'since_2000' } },
    zones: roles.map((role, i) => ({ id: role, role, area_m2: 0.3 + i / 10 })),
    money: { sale: { low: 150, likely: 220, high: 300 }, hour_rate: 15, asking: 60 },
  };
}

/** What a piece may cost at the door: the first answer, which solves the surfaces, and one after a sum was changed. */
export function measurePrice(): Figure[] {
  const time = (work: () => unknown): number => {
    const runs = Array.from({ length: REPEATS }, () => {
      const started = performance.now();
      work();
      return performance.now() - started;
    });
    return Number(runs.sort((a, b) => a - b)[Math.floor(REPEATS / 2)]!.toPrecision(3));
  };
  const known = makeUnread();
  judgeDoor(known);
  return [
    {
      name: 'walk-away price, six zones unread',
      value: time(() => judgeDoor(makeUnread())),
      unit: 'ms',
      target: '< 300',
      reference: '2 000 draws, surfaces solved anew',
    },
    {
      name: 'walk-away price after a sum was changed',
      value: time(() => judgeDoor({ ...known, money: { ...known.money!, asking: 70 } })),
      unit: 'ms',
      target: '< 300',
      reference: '2 000 draws',
    },
  ];
}
