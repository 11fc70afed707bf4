import { isCoat, paceGroupOf, type OperationCode } from '../knowledge';
import type { Goal } from '../dossier';
import { addShared, listShared } from './sittings';
import type { CoatingSystem } from './system';

/** What the hours of one kind of step are made of, over all zones and coats. */
export interface HourPart {
  op: OperationCode;
  /** Hands-on minutes without what is once a sitting. */
  minutes: number;
  /** Faces, metres of edge and parts lifted, each as often as it is gone over. */
  areaM2: number;
  edgeM: number;
  parts: number;
}

/** The hours of a system: what each kind of step takes, and what is once a sitting. They add up to its `handsOnMin`. */
export interface Hours {
  parts: HourPart[];
  /** Products got out and put away: how often, and the minutes of it. */
  sittings: { count: number; minutes: number };
  /** What steps have once besides: rags, paper and buckets got ready, minutes. */
  once: number;
}

export function explainHours({ zones }: Pick<CoatingSystem, 'zones'>, application: Goal['application']): Hours {
  const parts = new Map<OperationCode, HourPart>();
  for (const { size, steps } of zones)
    for (const { op, minutes, coats = 1, between } of steps) {
      if (minutes === 0) continue;
      const times = isCoat(op) || between ? coats : 1;
      // Small work goes by the piece and not by the face; taking off and putting back by the part.
      const faces = paceGroupOf(op) === 'small' ? 0 : times;
      const lifted = op === 'hardware_off' || op === 'refit' ? 1 : faces;
      const known = parts.get(op) ?? { op, minutes: 0, areaM2: 0, edgeM: 0, parts: 0 };
      parts.set(op, {
        op,
        minutes: known.minutes + minutes,
        areaM2: known.areaM2 + faces * size.areaM2,
        edgeM: known.edgeM + faces * size.edgeM,
        parts: known.parts + lifted * size.parts,
      });
    }
  const shared = zones.map(({ steps }) => listShared(steps, application));
  const sittings = shared.map((own) => own.filter(({ sitting }) => sitting));
  const minutes = addShared(sittings);
  return {
    parts: [...parts.values()],
    sittings: { count: new Set(sittings.flat().map(({ key }) => key)).size, minutes },
    once: addShared(shared) - minutes,
  };
}
