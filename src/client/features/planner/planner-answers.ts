import type { Dossier, Treatment } from '@/core/dossier';
import { proposeForZone } from '@/core/piece';
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
  | { kind: 'proposal'; dossier: Dossier; zone: string }
  | { kind: 'considered'; dossier: Dossier; zone: ZonePlan; layer: Layer };

interface Answers {
  plan: ReturnType<typeof planPiece>;
  /** The best system of each dossier. */
  alternatives: (CoatingSystem | null)[];
  turning_points: ReturnType<typeof listTurningPoints>;
  proposal: ReturnType<typeof proposeForZone>;
  considered: ReturnType<typeof listConsidered>;
}
export type PlannerAnswer<R extends PlannerRequest> = Answers[R['kind']];

export function answerPlanner(request: PlannerRequest): Answers[keyof Answers] {
  switch (request.kind) {
    case 'plan':
      return planPiece(request.dossier);
    case 'alternatives':
      return request.dossiers.map((dossier) => planPiece(dossier).systems[0] ?? null);
    case 'turning_points':
      return listTurningPoints(request.dossier);
    case 'proposal':
      return proposeForZone(request.dossier, request.zone, findPlanned(request.dossier, request.zone));
    case 'considered':
      return listConsidered(request.dossier, request.zone, request.layer);
  }
}

/** What the plan of the whole piece takes on a zone. */
const findPlanned = (dossier: Dossier, zone: string): Treatment | undefined =>
  planPiece(dossier).systems[0]?.zones.find(({ id }) => id === zone)?.treatment;
