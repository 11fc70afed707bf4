import type { RoleCode } from '../knowledge';
import type { Goal } from './goal-schema';
import type { Dossier, Zone } from './schema';

export type Look = NonNullable<Goal['look']>;

type Wished = Pick<Dossier, 'goal'>;
type OfZone = Pick<Zone, 'id' | 'role'>;

/**
 * What a role is when nobody has said anything of it (common practice). `left`: seldom painted, and then on purpose.
 * `asked`: follows the wish for the piece, for whoever lists it means it; but a new piece, whose zones we list ourselves,
 * starts with a wish to leave it.
 */
const UNASKED: Readonly<Record<RoleCode, 'treated' | 'asked' | 'left'>> = {
  top: 'treated',
  front: 'treated',
  side: 'treated',
  edge: 'treated',
  leg: 'treated',
  frame: 'treated',
  door: 'treated',
  drawer_front: 'treated',
  moulding: 'treated',
  shelf: 'treated',
  inside: 'asked',
  drawer_side: 'asked',
  back: 'left',
  hardware: 'left',
};

/** What is to be made of a zone: the owner's wish for it, else that for the piece; backs and hardware are left alone. */
export const lookOf = ({ goal }: Wished, { id, role }: OfZone): Look =>
  goal?.zones?.[id]?.look ?? (UNASKED[role] === 'left' ? 'leave' : (goal?.look ?? 'opaque'));

/** Left as it is: nothing is put on it, nothing is asked about it. */
export const isLeft = (dossier: Wished, zone: OfZone): boolean => lookOf(dossier, zone) === 'leave';

/** The zones that something is done to. */
export const listTreated = (dossier: Pick<Dossier, 'goal' | 'zones'>): Zone[] =>
  (dossier.zones ?? []).filter((zone) => !isLeft(dossier, zone));

/** The wishes of a new piece whose zones were listed for its owner. */
export const startWishes = (zones: readonly OfZone[]): Goal =>
  zones.filter(({ role }) => UNASKED[role] === 'asked').reduce<Goal>(leaveZone, {});

/** The wishes with a zone left as it is. What was wished for it before is kept, for when it is taken up again. */
export function leaveZone(goal: Goal, zone: OfZone): Goal {
  const { look, ...own } = goal.zones?.[zone.id] ?? {};
  const before = look === undefined || look === 'leave' ? {} : { look_before: look };
  return withWish(goal, zone, { ...own, ...before, look: 'leave' });
}

/** The wishes with a zone taken up again: as it was wished before it was left, else as the whole piece. */
export function takeUpZone(goal: Goal, zone: OfZone): Goal {
  return wishLook(goal, zone, goal.zones?.[zone.id]?.look_before ?? 'as_piece');
}

/** The wishes with this look for a zone. A back that is to be as the piece is named, for unasked it would be left. */
export function wishLook(goal: Goal, zone: OfZone, wish: Look | 'as_piece'): Goal {
  const { look: _look, look_before: _before, ...own } = goal.zones?.[zone.id] ?? {};
  const look = wish !== 'as_piece' ? wish : UNASKED[zone.role] === 'left' ? takenLook(goal) : undefined;
  return withWish(goal, zone, { ...own, ...(look ? { look } : {}) });
}

const takenLook = ({ look }: Goal): Look => (look === undefined || look === 'leave' ? 'opaque' : look);

function withWish(goal: Goal, { id }: OfZone, wish: NonNullable<Goal['zones']>[string]): Goal {
  const { [id]: _own, ...others } = goal.zones ?? {};
  return { ...goal, zones: Object.keys(wish).length === 0 ? others : { ...others, [id]: wish } };
}
