import type { FinishCode, SubstrateCode } from '../knowledge';
import { listStops, STATES, type Hazard } from '../survey';
import { sumOf, type Draw } from './draws';
import type { ZoneSurfaces } from './surfaces';

/** Why a piece is worth what it is at the door. Amounts in the major unit: what it adds to or takes off the price. */
export type DoorReason = { amount: number } & (
  | { code: 'lead_found' | 'lead_nursery' | 'woodworm'; zone: string }
  | { code: 'no_system'; zone: string }
  | { code: 'costs_more'; sale: number; costs: number }
  | { code: 'asking_over' | 'asking_under' }
  | { code: 'surface'; zone: string; substrate: SubstrateCode; finish: FinishCode; bleeds: boolean; p: number }
  | { code: 'own_time'; hours: number }
  | { code: 'redo' }
  | { code: 'materials' }
);

const MOST_REASONS = 2;
/** Nothing outweighs what stops a piece. */
const STOPS = Infinity;

/** What stops a piece from being bought at any price. */
export function findStops(
  zones: readonly ZoneSurfaces[],
  hazards: readonly { zone: string; hazard: Hazard }[],
): DoorReason[] {
  const nursery = hazards.some(({ hazard }) => hazard.code === 'nursery');
  const stop = (code: 'lead_found' | 'lead_nursery' | 'woodworm' | 'no_system', zone: string): DoorReason => ({
    code,
    zone,
    amount: STOPS,
  });
  return [
    ...hazards.flatMap(({ zone, hazard }) =>
      listStops([hazard]).flatMap((own) => {
        if (own.by === 'lead_found') return [stop('lead_found', zone)];
        if (own.by === 'fault') return own.defect === 'woodworm' ? [stop('woodworm', zone)] : [];
        return nursery ? [stop('lead_nursery', zone)] : [];
      }),
    ),
    ...zones.flatMap(({ zone, surfaces }) => (surfaces.length === 0 ? [stop('no_system', zone.id)] : [])),
  ];
}

/** The two strongest reasons, by the money each moves. */
export function listReasons(
  stops: readonly DoorReason[],
  zones: readonly ZoneSurfaces[],
  draws: readonly Draw[],
  { walkAway, asked }: { walkAway: number; asked: number | undefined },
): DoorReason[] {
  const mean = (of: (draw: Draw) => number): number => draws.reduce((sum, own) => sum + of(own), 0) / draws.length;
  const [sale, costs] = [mean((own) => own.sale), mean(({ cost }) => sumOf(cost))];
  const reasons: DoorReason[] = [
    ...stops.slice(0, 1),
    ...(costs > sale ? [{ code: 'costs_more' as const, sale, costs, amount: costs - sale }] : []),
    ...(asked === undefined || stops.length > 0
      ? []
      : [
          {
            code: asked > walkAway ? ('asking_over' as const) : ('asking_under' as const),
            amount: Math.abs(asked - walkAway),
          },
        ]),
    ...weighSurfaces(zones, draws),
    { code: 'own_time', hours: mean(({ hours }) => hours), amount: mean(({ cost }) => cost.ownTime) },
    { code: 'redo', amount: mean(({ cost }) => cost.redo) },
    { code: 'materials', amount: mean(({ cost }) => cost.materials) },
  ];
  return reasons
    .filter(({ amount }) => amount >= LEAST_TOLD)
    .sort((a, b) => weightOf(b) - weightOf(a))
    .slice(0, MOST_REASONS);
}

/** What is worth less than one unit of money is no reason. */
const LEAST_TOLD = 1;

/** A surface that may be counts for as much as it may be. */
const weightOf = (reason: DoorReason): number =>
  reason.code === 'surface' ? reason.amount * Math.min(1, 2 * reason.p) : reason.amount;

/** For each zone the surface that would take most off the price, were it found to be that. */
function weighSurfaces(zones: readonly ZoneSurfaces[], draws: readonly Draw[]): DoorReason[] {
  const all = draws.reduce((sum, { most }) => sum + most, 0) / draws.length;
  return zones.flatMap(({ zone, surfaces }, z): DoorReason[] => {
    if (surfaces.length < 2) return [];
    const worst = surfaces
      .map((surface, i) => {
        const own = draws.filter(({ picks }) => picks[z] === i);
        const taken = own.length === 0 ? 0 : all - own.reduce((sum, { most }) => sum + most, 0) / own.length;
        return { surface, taken };
      })
      .reduce((most, own) => (own.taken * own.surface.p > most.taken * most.surface.p ? own : most));
    const { state, bleeds, p } = worst.surface;
    const { substrate, finish } = STATES[state]!;
    return [{ code: 'surface', zone: zone.id, substrate, finish, bleeds, p, amount: worst.taken }];
  });
}
