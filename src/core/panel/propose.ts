import { comparePosteriors, type BetaCounts } from '../learning';
import type { Dossier, Treatment, Zone } from '../dossier';
import type { TestKind } from '../knowledge';
import { expectsBleed, exposureOf, listAskedKinds, listProofs, treatmentKey, withoutPaint } from '../proof';
import { listLeaders, type Leader } from '../systems';

export interface Proposal {
  zone: string;
  because: ProposalReason;
  treatments: Treatment[];
  /** Null where the treatment has nothing left to leave out. */
  control: Treatment | null;
  replicates: number;
  kinds: TestKind[];
  /** What the panel is worth to the plan of this zone, money: how much cheaper the choice becomes on average. */
  worth: number;
}

/** Strips that are worth their paint and masking, money each: a few minutes and a splash (estimate). */
const STRIP_PRICE = 1;
const MOST_TREATMENTS = 3;
/** Ways so much dearer than the best that no patch would make them the choice are left out. */
const CONTENDERS = 6;

/**
 * The panel that would tell most for the plan of a zone: the way the plan would take, which the gate asks proof of, and
 * those whose result could change that choice, each weighed by how much cheaper the choice becomes on average once two
 * strips of it have been read. `planned` is what the plan of the whole piece takes here, which may differ from what the
 * zone alone would. Null when nothing is to be painted there.
 */
export function proposePanel(dossier: Dossier, zone: Zone, planned?: Treatment): Proposal | null {
  const all = listLeaders(dossier, zone);
  const exposure = exposureOf(dossier, zone);
  const bleeds = expectsBleed(exposure);
  const asked = dossier.chosen?.zones.find(({ id }) => id === zone.id)?.treatment ?? planned;
  const first = (asked && leadWith(asked, all)) ?? all[0];
  if (!first) return null;
  const others = all.filter(({ treatment }) => treatmentKey(treatment) !== treatmentKey(first.treatment));
  const leaders = [first, ...others.slice(0, CONTENDERS - 1)];
  const rivals = leaders
    .slice(1)
    .map((leader) => ({ leader, worth: valueStrips(leader, leaders) }))
    .filter(({ worth }) => worth > STRIP_PRICE)
    .sort((a, b) => b.worth - a.worth)
    .slice(0, MOST_TREATMENTS - 1);
  const treatments = [first, ...rivals.map(({ leader }) => leader)].map(({ treatment }) =>
    bleeds ? treatment : withoutPaint(treatment),
  );
  return {
    zone: zone.id,
    because: explain(first, rivals[0]?.leader),
    treatments,
    control: chooseControl(treatments[0]!),
    replicates: 2,
    kinds: listAskedKinds(listProofs(exposure)),
    worth: Math.max(valueStrips(first, leaders), ...rivals.map(({ worth }) => worth), 0),
  };
}

/**
 * The treatment that was taken, or that the plan takes, exactly as it is: a strip with another number of coats would open
 * no gate. What it costs and holds is that of the way with its preparation and primer.
 */
function leadWith(asked: Treatment, all: readonly Leader[]): Leader | undefined {
  const own = all.find(({ treatment }) => treatmentKey(treatment) === treatmentKey(asked));
  const near =
    own ??
    all.find(({ treatment }) => treatmentKey({ ...treatment, coats: 1 }) === treatmentKey({ ...asked, coats: 1 })) ??
    all[0];
  return near && { ...near, treatment: asked };
}

const costOf = ({ price, failurePrice }: Leader, { a, b }: BetaCounts): number => price + (failurePrice * b) / (a + b);

/**
 * How much cheaper the choice becomes on average when a strip of a treatment has been read twice (expected value of sample
 * information, Raiffa and Schlaifer 1961): over the outcomes, the cheapest way then, against the cheapest way now.
 */
function valueStrips(tested: Leader, leaders: readonly Leader[]): number {
  const others = Math.min(
    ...leaders.filter((leader) => leader !== tested).map((leader) => costOf(leader, leader.holds)),
  );
  const now = Math.min(others, costOf(tested, tested.holds));
  const { a, b } = tested.holds;
  const total = a + b;
  const outcomes = [
    { p: (a * (a + 1)) / (total * (total + 1)), after: { a: a + 2, b } },
    { p: (2 * a * b) / (total * (total + 1)), after: { a: a + 1, b: b + 1 } },
    { p: (b * (b + 1)) / (total * (total + 1)), after: { a, b: b + 2 } },
  ];
  const then = outcomes.reduce((sum, { p, after }) => sum + p * Math.min(others, costOf(tested, after)), 0);
  return Number.isFinite(others) ? Math.max(0, now - then) : 0;
}

/** The same with the one thing left out that is most in doubt: its primer, or else its sanding. */
function chooseControl(treatment: Treatment): Treatment | null {
  const { product: _product, ...rest } = treatment;
  if ((treatment.primer ?? 'none') !== 'none') return { ...rest, primer: 'none', coats: 0 };
  return (treatment.prep ?? 'none') === 'none' ? null : { ...rest, prep: 'none' };
}

/** What a panel is to show: that one treatment holds, that a cheaper one might, or which of two alike does. */
export type ProposalReason =
  { kind: 'prove'; first: Treatment } | { kind: 'cheaper' | 'tie'; first: Treatment; rival: Treatment };

function explain(first: Leader, rival: Leader | undefined): ProposalReason {
  if (!rival) return { kind: 'prove', first: first.treatment };
  const comparison = comparePosteriors(first.holds, rival.holds);
  const kind = comparison.verdict === 'unknown' ? 'tie' : 'cheaper';
  return { kind, first: first.treatment, rival: rival.treatment };
}
