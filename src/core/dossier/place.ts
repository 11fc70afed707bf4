import type { RoomCode } from '../knowledge';
import type { Dossier } from './schema';

type Placed = Pick<Dossier, 'piece' | 'goal'>;

/** Where it will stand; where that is not said, where it stood. */
export const roomToBe = ({ piece, goal }: Placed): RoomCode | undefined => goal?.room ?? piece.history?.room;

/** A small child will use it. */
export const isForChild = (piece: Placed): boolean => piece.goal?.for_child === true || roomToBe(piece) === 'nursery';
