import type { Task } from './tasks';

/** Minutes of the zones that are still open. */
export const openMinutes = ({ shares, openZones }: Task): number =>
  shares.reduce((sum, { zone, minutes }) => sum + (openZones.includes(zone) ? minutes : 0), 0);

/** Minutes that a task takes of the owner's hands, the product got out for it and put away: of its open zones, or of all once it is over. */
export const handsMinutes = (task: Task): number =>
  (task.state === 'open' ? openMinutes(task) : task.minutes) + task.sittingMin;
