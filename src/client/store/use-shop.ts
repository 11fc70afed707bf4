import { useMemo } from 'react';
import { withShelf, type Dossier } from '@/core/dossier';
import { withExperience } from '@/core/learning';
import { useGetExperienceQuery } from './pieces-api';
import { useShelf } from './use-shelf';

/** A piece with the shop's tins and what its other pieces taught laid beside it: what a plan is made from. */
export function useWithShop(dossier: Dossier): Dossier {
  const tins = useShelf();
  const { data } = useGetExperienceQuery(dossier.piece.id ?? '', { refetchOnMountOrArgChange: true });
  return useMemo(() => withExperience(withShelf(dossier, tins), data ?? []), [dossier, tins, data]);
}
