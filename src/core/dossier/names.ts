import { KIND_LABELS } from '../knowledge';
import type { Dossier, Zone } from './schema';

export const zoneName = (zone: Pick<Zone, 'id' | 'name'>): string => zone.name ?? zone.id;

/** The name of a zone by its id. */
export const nameZone = (dossier: Pick<Dossier, 'zones'>, id: string): string =>
  zoneName(dossier.zones?.find((zone) => zone.id === id) ?? { id });

/** What a piece is called: by its owner, or else what kind it is. */
export const namePiece = ({ name, kind }: Pick<Dossier['piece'], 'name' | 'kind'>): string => name ?? KIND_LABELS[kind];
