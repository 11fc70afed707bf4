import type { Dossier, Zone } from './schema';

export const zoneName = (zone: Pick<Zone, 'id' | 'name'>): string => zone.name ?? zone.id;

/** The name of a zone by its id. */
export const nameZone = (dossier: Pick<Dossier, 'zones'>, id: string): string =>
  zoneName(dossier.zones?.find((zone) => zone.id === id) ?? { id });
