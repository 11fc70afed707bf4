import { writeEvents } from '../calendar';
import { CURE_MOMENTS, momentsOf, type Cure, type CureMoment } from './cure';

/** The days of a piece's cure as a calendar file (RFC 5545), in UTC. `says` names a moment; `now`: ISO instant of writing. */
export const writeCureCalendar = (
  cure: Cure,
  id: string,
  title: string,
  says: (moment: CureMoment) => string,
  now: string,
): string =>
  writeEvents(
    CURE_MOMENTS.map((moment) => ({
      uid: `${id}-cure-${moment}@bricolage`,
      title: `${title}: ${says(moment)}`,
      description: says(moment),
      at: Date.parse(momentsOf(cure)[moment]),
      minutes: 15,
      alarm: says(moment),
    })),
    now,
  );
