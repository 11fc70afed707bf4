import { useAccess } from '@/client/features/access';
import { makeTimes } from '@/client/features/shop-plan';
import { OWN_ZONE } from '@/client/locale';
import { piecesApi, useNow } from '@/client/store';
import { Button } from '@/client/ui';
import type { BackupList } from '@/contract';
import { COMPUTER_CLOCK_BAR_WORDS } from '@/words';
import { Bar } from './bar';

const api = piecesApi.injectEndpoints({
  endpoints: (build) => ({
    getKeeping: build.query<BackupList, void>({ query: () => '/keeping/backups' }),
    confirmClock: build.mutation<BackupList, void>({
      query: () => ({ url: '/keeping/clock', method: 'PUT' }),
      onQueryStarted: async (_asked, { dispatch, queryFulfilled }) => {
        const { data } = await queryFulfilled.catch(() => ({ data: undefined }));
        if (data) dispatch(api.util.upsertQueryData('getKeeping', undefined, data));
      },
    }),
  }),
});

const HOUR_MS = 3_600_000;
const TIMES = makeTimes(OWN_ZONE);

/** Asks, at the computer itself, whether its clock is right where that has jumped: bins are emptied by it. */
export function ComputerClockBar() {
  const access = useAccess();
  const { data } = api.useGetKeepingQuery(undefined, { skip: !access?.local });
  const [confirm] = api.useConfirmClockMutation();
  const now = useNow(HOUR_MS);
  if (data?.clock_seen === undefined) return null;
  return (
    <Bar
      label={COMPUTER_CLOCK_BAR_WORDS.theComputersClock}
      title={COMPUTER_CLOCK_BAR_WORDS.hasGoneOn(TIMES.day(data.clock_seen), TIMES.day(now))}
      lines={[COMPUTER_CLOCK_BAR_WORDS.nothingIsDeletedUntil]}
    >
      <Button onPress={() => void confirm()}>{COMPUTER_CLOCK_BAR_WORDS.itIsRight}</Button>
    </Bar>
  );
}
