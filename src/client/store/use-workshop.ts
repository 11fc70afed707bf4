import { timeNow } from './clock';
import { useCallback, useMemo } from 'react';
import { useDispatch, useSelector } from 'react-redux';
import { EMPTY_WORKSHOP, type Setup, type Workshop, type WorkshopChange } from '@/core/workshop';
import { definedOnly } from '@/core/shared';
import { changeMade } from './outbox';
import { overlayWorkshop } from './overlay';
import { useGetInstrumentsQuery, useGetWorkshopQuery, useLazyGetInstrumentsQuery } from './pieces-api';
import type { AppDispatch, RootState } from './store';
import { makeId } from './use-piece';
import { OWN_ZONE } from '@/client/locale';

export interface WorkshopView {
  workshop: Workshop;
  loading: boolean;
  /** The server has told it: until then what is shown is what any shop starts with, and must not be written over. */
  known: boolean;
}

/** Hours, places, air and pinned jobs as the owner sees them: the server's with the changes still on their way. */
export function useWorkshop(): WorkshopView {
  const { data, isLoading } = useGetWorkshopQuery();
  const pending = useSelector((state: RootState) => state.outbox.pending);
  const workshop = useMemo(() => overlayWorkshop(data ?? EMPTY_WORKSHOP, pending), [data, pending]);
  return { workshop, loading: isLoading, known: data !== undefined };
}

export function useWorkshopChange(): (change: WorkshopChange) => void {
  const dispatch = useDispatch<AppDispatch>();
  return useCallback((change) => void dispatch(changeMade({ id: makeId(), pieceId: '', change })), [dispatch]);
}

/** Changes a part of the shop's setup; the zone its clocks are read in is kept with it. */
export function useSetup(workshop: Workshop): (part: { [K in keyof Setup]?: Setup[K] | undefined }) => void {
  const change = useWorkshopChange();
  return (part) => {
    const whole = { ...workshop.setup, time_zone: zoneOfShop(workshop), ...part };
    const setup = definedOnly(whole) as Setup;
    change({ type: 'setup_set', setup });
  };
}

/** The instruments that are set up; none where there are none, or before it is known. */
export function useInstruments(): { name: string; simulated: boolean } | null {
  const { data } = useGetInstrumentsQuery();
  return data?.device ?? null;
}

/** Reads the thermo-hygrometer and records what it says; a simulated one is recorded as such. */
export function useMeasureAir(): { measure: () => Promise<void>; measuring: boolean } {
  const change = useWorkshopChange();
  const [readInstruments, { isFetching }] = useLazyGetInstrumentsQuery();
  return {
    measuring: isFetching,
    measure: async () => {
      const { data } = await readInstruments();
      if (!data?.device) return;
      const source = data.device.simulated ? 'simulated' : 'instrument';
      change({ type: 'air_recorded', air: { ...data.air, at: timeNow(), source } });
    },
  };
}

/** The zone the shop's clocks are read in: the owner's, or the browser's. */
export const zoneOfShop = ({ setup }: Workshop): string => setup.time_zone ?? OWN_ZONE;
