import { KIND_LABELS } from '../knowledge';
import type { Dossier, Zone } from './schema';

export const zoneName = (zone: Pick<Zone, 'id' | 'name'>): string => zone.name ?? zone.id;

/** The name of a zone by its id. */
export const nameZone = (dossier: Pick<Dossier, 'zones'>, id: string): string =>
  zoneName(dossier.zones?.find((zone) => zone.id === id) ?? { id });

/** What a piece is called: by its owner, or else what kind it is. */
export const namePiece = ({ name, kind }: Pick<Dossier['piece'], 'name' | 'kind'>): string => name ?? KIND_LABELS[kind];

/** The highest number among names that are a base alone or with a number; 0 where none is. Example: Chair, Chair 3 → 3. */
export const highestNumber = (base: string, names: readonly string[]): number =>
  Math.max(
    0,
    ...names.map((name) => {
      if (name === base) return 1;
      const rest = name.startsWith(`${base} `) ? name.slice(base.length + 1) : '';
      return /^[1-9]\d{0,4}$/.test(rest) ? Number(rest) : 0;
    }),
  );

/** A name that none of those before it has: the second chair is "Chair 2". `highest`: of those there are. */
export const numberName = (base: string, highest: number): string => (highest === 0 ? base : `${base} ${highest + 1}`);
