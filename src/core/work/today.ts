import { listReadings, type DueReading } from '../panel';
import { isCoat } from '../knowledge';
import { readAirNow, judgeAir, type AirVerdict } from '../workshop';
import type { Climate } from '../climate';
import { listClocks, type Clock } from './clocks';
import type { Item, PieceWork, ShopFacts, ShopPlan, Sitting } from './shop-plan';
import { airOf } from './air-of';
import type { BlockReason } from './blocks';

/** What the owner needs to know now, over all pieces. */
export interface Today {
  /** What to do in the time there is, in order. */
  doNow: Item[];
  /** The end of the sitting that runs now. */
  until: string | null;
  /** The next sitting, where there is nothing to be done in this one. */
  next: Sitting | null;
  /** Coats that have not cured yet, the ones that change next first. */
  drying: (Clock & { name: string; next: { what: CoatMoment; at: string } })[];
  readings: { piece: string; name: string; reading: Omit<DueReading, 'panel'> & { panel: string; zone: string } }[];
  blocked: { piece: string; name: string; gate: string; because: BlockReason; goTo: string }[];
  /** The air, measured or expected. */
  air: { climate: Climate; verdict: AirVerdict; measuredAt: string | null };
  /** The next moment hands are wanted, when nothing is to be done now. */
  nextAt: string | null;
}

/** What is shown of the day: the sitting that runs, else the next one. */
export const listShown = ({ doNow, next }: Pick<Today, 'doNow' | 'next'>): readonly Item[] =>
  doNow.length > 0 ? doNow : (next?.items ?? []);

/** Items that follow each other on one piece, together: what is done at a bench without turning to another piece. */
export function listRuns(items: readonly Item[]): Item[][] {
  const runs: Item[][] = [];
  for (const item of items) {
    const last = runs.at(-1);
    if (last?.[0]!.piece === item.piece) last.push(item);
    else runs.push([item]);
  }
  return runs;
}

/** The moments of a coat, in order. */
const NEXT = ['touchAt', 'recoatAt', 'handleAt', 'curedAt'] as const satisfies readonly (keyof Clock)[];
export type CoatMoment = (typeof NEXT)[number];

/** Today from the shop's plan: what stands in the sitting that runs now, by the owner's hours or by the time they said. */
export function readToday(pieces: readonly PieceWork[], plan: ShopPlan, facts: ShopFacts): Today {
  const { tins, workshop } = facts;
  const now = new Date(facts.now).toISOString();
  const climate = airOf(facts);
  const measured = readAirNow(workshop.air, now);
  const running = plan.sittings.find(({ startAt, endAt }) => startAt <= now && now < endAt);
  const drying = pieces
    .flatMap(({ dossier, name, tasks }) =>
      listClocks(dossier, tins, climate, now).flatMap((clock) => {
        // Under a coat that is still to come nobody waits for a primer to cure.
        const covered = tasks.some(
          ({ op, openZones }) => isCoat(op) && openZones.some((zone) => clock.zones.includes(zone)),
        );
        const next = (covered ? NEXT.slice(0, 2) : NEXT).find((moment) => clock[moment] > now);
        return next ? [{ ...clock, name, next: { what: next, at: clock[next] } }] : [];
      }),
    )
    .sort((a, b) => a.next.at.localeCompare(b.next.at));
  const readings = pieces
    .flatMap(({ id, name, dossier }) =>
      listReadings(dossier, now)
        .filter(({ state }) => state !== 'later')
        .map(({ panel, ...reading }) => ({
          piece: id,
          name,
          reading: { ...reading, panel: panel.id, zone: panel.zone },
        })),
    )
    .sort((a, b) => a.reading.dueAt.localeCompare(b.reading.dueAt));
  const blocked = pieces.flatMap(({ id, name, blocks }) =>
    blocks.map(({ gate, because, goTo }) => ({ piece: id, name, gate, because, goTo })),
  );
  const next = running ? null : (plan.sittings.find(({ startAt }) => startAt > now) ?? null);
  const upcoming = plan.sittings.flatMap(({ items }) => items.map(({ startAt }) => startAt)).filter((at) => at > now);
  const laterReadings = pieces
    .flatMap(({ dossier }) => listReadings(dossier, now).map(({ dueAt }) => dueAt))
    .filter((at) => at > now);
  const nextAt = [...upcoming, ...laterReadings].sort()[0] ?? null;
  return {
    doNow: running?.items ?? [],
    until: running?.endAt ?? null,
    next,
    drying,
    readings,
    blocked,
    air: { climate, verdict: judgeAir(measured ?? climate), measuredAt: measured?.at ?? null },
    nextAt,
  };
}
