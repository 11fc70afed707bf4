import type { Treatment } from '../dossier';

/** The same for two treatments that are the same preparation, primer and coats of it. */
export const treatmentKey = (treatment: Treatment | undefined): string =>
  [treatment?.prep ?? 'none', treatment?.primer ?? 'none', treatment?.coats ?? (treatment?.primer ? 1 : 0)].join('/');
