import { DOSSIER_FORMAT, type Dossier } from '@/core/dossier';
import { readShopAccount, tellAccount, type PieceAccount } from '@/core/earned';
import { listRecipes } from '@/core/mix';
import { judgeDoor } from '@/core/price';
import { makeRandom } from '@/core/shared';
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

const PIECES = 5000;

/** A year's and more of sold pieces, each with its log: what an account is made of. */
function makeSold(): Dossier[] {
  const random = makeRandom(5);
  const kinds = ['dresser', 'sideboard', 'table', 'desk', 'bookcase', 'chair'] as const;
  return Array.from({ length: PIECES }, (_, i): Dossier => {
    const day = (offset: number): string =>
      new Date(Date.UTC(2020, 0, 1) + (i / 3 + offset) * 86_400_000).toISOString().slice(0, 10);
    return {
      format: DOSSIER_FORMAT,
      piece: { id: `p${i}`, kind: kinds[i % kinds.length]! },
      zones: [{ id: 'top', role: 'top', area_m2: 0.8, stated: { substrate: 'wood_veneer', finish: 'varnish_oil' } }],
      money: {
        hour_rate: 12,
        bought: { amount: Math.round(10 + 40 * random()), at: day(0), from: i % 2 ? 'Market' : 'Found' },
        ...(i % 10 === 0 ? {} : { sold: { amount: Math.round(120 + 150 * random()), at: day(40) } }),
      },
      log: Array.from({ length: 8 }, (_step, k) => ({
        zone: 'top',
        op: 'paint' as const,
        class: 'wb_alkyd_enamel',
        ml: 80,
        minutes: Math.round(30 + 40 * random()),
        at: `${day(5 + k)}T18:00:00.000Z`,
      })),
    };
  });
}

const MIX = {
  format: 'bricolage.mix-request/1' as const,
  volume_ml: 650,
  tins: Array.from({ length: 25 }, (_, i) => ({
    id: `t${i}`,
    colour: `#${[0, 1, 2].map((k) => (((i * 97 + k * 53 * (i + 3)) % 200) + 30).toString(16).padStart(2, '0')).join('')}`,
  })),
};

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
  const heapMb = Math.round(process.memoryUsage().heapUsed / 2 ** 20);
  const sold = makeSold();
  const told = performance.now();
  const accounts: PieceAccount[] = sold.flatMap((dossier) => tellAccount(dossier) ?? []);
  const tellMs = Math.round(performance.now() - told);
  return [
    {
      name: 'walk-away price, first answer',
      value: time(() => judgeDoor(makeUnread(), { rough: true })),
      unit: 'ms',
      target: '< 100',
      reference: '300 draws of the likeliest surfaces, solved anew',
    },
    {
      name: 'memory after a price',
      value: heapMb,
      unit: 'MB',
      target: '< 150',
      reference: 'heap of the whole process',
    },
    {
      name: `account of a shop of ${PIECES} pieces`,
      value: time(() => readShopAccount(accounts, 'EUR', '2026-11-28T09:00:00.000Z')),
      unit: 'ms',
      target: '< 300',
      reference: `${tellMs} ms once for the accounts of all pieces, which are kept`,
    },
    {
      name: 'mix of 25 tins to a colour',
      value: time(() => listRecipes({ ...MIX, target: '#8FA4C0' })),
      unit: 'ms',
      target: '< 150',
      reference: 'three tins at most, measured out in half millilitres',
    },
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
