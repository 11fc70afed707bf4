import type { Dossier, ShelfItem, Treatment } from '@/core/dossier';
import { proposeForZone } from '@/core/piece';
import { listRecoveries, type Recoveries } from '@/core/trouble';
import { listRecipes, type MixRequest, type Recipe } from '@/core/mix';
import { judgeDoor, type Door } from '@/core/price';
import type { Sale } from '@/core/earned';
import { listWays, type Ways } from '@/core/ways';
import { markText } from '@/core/shared';
import type { Air, StartPace, Workshop } from '@/core/workshop';
import {
  askByDate,
  dateSystems,
  learnPace,
  learnPiecePace,
  placeShop,
  planShop,
  readPieceWork,
  readToday,
  type ByDate,
  type SystemDates,
  type PaceOf,
  type PieceWork,
  type ShopFacts,
  type ShopPlan,
  type Today,
} from '@/core/work';
import {
  listConsidered,
  listTurningPoints,
  planPiece,
  type CoatingSystem,
  type Layer,
  type ZonePlan,
} from '@/core/systems';

/** What the screen asks of the planner. */
export type PlannerRequest =
  | { kind: 'plan'; dossier: Dossier }
  | { kind: 'alternatives'; dossiers: Dossier[] }
  | { kind: 'turning_points'; dossier: Dossier }
  | { kind: 'ways'; dossier: Dossier; sales: readonly Sale[]; hourRate: number }
  | { kind: 'proposal'; dossier: Dossier; zone: string }
  | { kind: 'recoveries'; dossier: Dossier; trouble: string; now: string; air: Air[] }
  | { kind: 'door'; dossier: Dossier; paced: Pick<Dossier, 'log'>[]; start?: StartPace }
  | { kind: 'mix'; request: MixRequest }
  | { kind: 'considered'; dossier: Dossier; zone: ZonePlan; layer: Layer }
  | ({ kind: 'shop' } & ShopQuestion)
  | ({ kind: 'by_date'; date: string } & ShopQuestion)
  | ({ kind: 'dates'; dossier: Dossier; systems: CoatingSystem[] } & ShopQuestion);

/** The pieces in work with all that a plan of the shop hangs on. `paced`: what has been logged on every piece. */
export interface ShopQuestion {
  dossiers: Dossier[];
  paced: Pick<Dossier, 'log'>[];
  tins: ShelfItem[];
  workshop: Workshop;
  now: string;
  timeZone: string;
  freeFor: number;
  /** The shop's order of the open jobs; null where the server could not be asked for it. */
  order: string[] | null;
}

export interface ShopAnswer {
  pieces: PieceWork[];
  plan: ShopPlan;
  today: Today;
  /** How long each kind of work takes the owner. */
  paces: Record<string, PaceOf>;
  /** Tells the facts it was made by from all others; the time is none of them. */
  facts: string;
}

interface Answers {
  plan: ReturnType<typeof planPiece>;
  /** The best system of each dossier. */
  alternatives: (CoatingSystem | null)[];
  turning_points: ReturnType<typeof listTurningPoints>;
  /** Paint or wood, side by side. */
  ways: Ways;
  proposal: ReturnType<typeof proposeForZone>;
  /** Mixes of tins that come nearest to a colour. */
  mix: Recipe[];
  /** What it may cost at the door, `rough` with fewer draws. */
  door: Door;
  considered: ReturnType<typeof listConsidered>;
  /** Ways out of a trouble; none where it was taken off meanwhile. What is believed is worked out where it is shown. */
  recoveries: Omit<Recoveries, 'belief'> | null;
  shop: ShopAnswer;
  by_date: ByDate;
  /** When the piece could be collected with each of the systems, as `dateSystems` tells. */
  dates: SystemDates[];
}
export type PlannerAnswer<R extends PlannerRequest> = Answers[R['kind']];

/** Answers a request; `rough`: in haste, where that makes a difference. */
export function answerPlanner(request: PlannerRequest, rough: boolean): Answers[keyof Answers] {
  switch (request.kind) {
    case 'shop':
      return answerShop(request);
    case 'plan':
      return planPiece(request.dossier);
    case 'alternatives':
      return request.dossiers.map((dossier) => planPiece(dossier).systems[0] ?? null);
    case 'turning_points':
      return listTurningPoints(request.dossier);
    case 'ways':
      return listWays(request.dossier, request);
    case 'proposal':
      return proposeForZone(request.dossier, request.zone, findPlanned(request.dossier, request.zone));
    case 'mix':
      return listRecipes(request.request);
    case 'door':
      return judgeDoor(request.dossier, {
        pace: learnPiecePace(request.paced, request.start),
        rough,
      });
    case 'considered':
      return listConsidered(request.dossier, request.zone, request.layer);
    case 'recoveries': {
      const { dossier, now, air } = request;
      const trouble = dossier.troubles?.find(({ id }) => id === request.trouble);
      if (!trouble) return null;
      const { belief: _belief, ...recoveries } = listRecoveries(dossier, trouble, now, air);
      return recoveries;
    }
    case 'by_date': {
      const { pieces, facts } = readShop(request);
      return askByDate(pieces, facts, request.date, request.order);
    }
    case 'dates': {
      const { pieces, facts } = readShop(request);
      return dateSystems(request.dossier, request.systems, pieces, facts, request.order);
    }
  }
}

function readShop({ dossiers, paced, freeFor, tins, workshop, now, timeZone }: ShopQuestion): {
  pieces: PieceWork[];
  facts: ShopFacts;
} {
  const facts = {
    tins,
    workshop,
    now,
    timeZone,
    pace: learnPace(paced, workshop.setup.pace),
    ...(freeFor > 0 ? { freeFor } : {}),
  };
  return { pieces: dossiers.map((dossier) => readPieceWork(dossier, facts)), facts };
}

function answerShop(question: ShopQuestion): ShopAnswer {
  const { pieces, facts } = readShop(question);
  const { dossiers, tins, workshop, order } = question;
  const ops = new Set(pieces.flatMap(({ tasks }) => tasks.map(({ op }) => op)));
  const paces = Object.fromEntries([...ops].map((op) => [op, facts.pace(op)]));
  const plan = order ? placeShop(pieces, facts, order) : planShop(pieces, facts);
  const made = markText(JSON.stringify([dossiers, tins, workshop]));
  return { pieces, plan, today: readToday(pieces, plan, facts), paces, facts: made };
}

/** What the plan of the whole piece takes on a zone. */
const findPlanned = (dossier: Dossier, zone: string): Treatment | undefined =>
  planPiece(dossier).systems[0]?.zones.find(({ id }) => id === zone)?.treatment;
