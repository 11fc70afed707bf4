import type { Climate } from '../climate';
import type { ShelfItem } from '../dossier';
import { isCoat } from '../knowledge';
import type { CoatingSystem } from '../systems';
import { isFilm, listFilmTimes } from './film-times';

/** A system with the waits of its coats as they are in this air: those that the work and its clocks go by. */
export const inAir = (system: CoatingSystem, tins: readonly ShelfItem[], climate: Climate): CoatingSystem => ({
  ...system,
  zones: system.zones.map((zone) => ({
    ...zone,
    steps: zone.steps.map((step) => {
      const { op, class: code, product, recoatH: planned } = step;
      if (!isCoat(op) || !isFilm(code) || !planned) return step;
      const { recoatH } = listFilmTimes(
        code,
        tins.find(({ id }) => id === product),
        climate,
      );
      return { ...step, recoatH, waitH: (step.waitH * recoatH) / planned };
    }),
  })),
});
