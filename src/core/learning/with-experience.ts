import type { Dossier, Experience } from '../dossier';

/** The shop's other pieces laid beside this one, so that a plan knows of them. */
export const withExperience = (dossier: Dossier, others: readonly Experience[]): Dossier =>
  others.length > 0 ? { ...dossier, experience: [...others] } : dossier;
