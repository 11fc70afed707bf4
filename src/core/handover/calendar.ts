import type { CalendarEntry } from '../calendar';
import { CURE_MOMENTS, momentsOf, type Cure, type CureMoment } from './cure';

/** The days of a piece's cure as entries of a calendar. `says` names a moment. */
export const listCureEntries = (
  cure: Cure,
  id: string,
  title: string,
  says: (moment: CureMoment) => string,
): CalendarEntry[] =>
  CURE_MOMENTS.map((moment) => ({
    uid: `${id}-cure-${moment}@bricolage`,
    title: `${title}: ${says(moment)}`,
    description: says(moment),
    at: Date.parse(momentsOf(cure)[moment]),
    minutes: 15,
    alarm: says(moment),
  }));
