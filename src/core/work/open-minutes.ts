import type { Task } from './tasks';

/** Minutes of the zones that are still open. */
export const openMinutes = ({ shares, openZones }: Task): number =>
  shares.reduce((sum, { zone, minutes }) => sum + (openZones.includes(zone) ? minutes : 0), 0);
