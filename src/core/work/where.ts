import { lowerFirst } from '../shared';
import type { PieceWork } from './shop-plan';
import type { Task } from './tasks';
import { nameZone } from '../dossier';

/** Names one after another; only the first is the beginning of something. */
export const listNames = (names: readonly string[]): string =>
  names.map((name, i) => (i === 0 ? name : lowerFirst(name))).join(', ');

/** Where a task is done, in words. */
export const sayWhere = (piece: PieceWork, task: Pick<Task, 'zones'>): string =>
  listNames(task.zones.map((id) => nameZone(piece.dossier, id)));
