import { router, usePathname } from 'expo-router';
import { useSetup, useWorkshop } from '@/client/store';
import { guessCurrency, OWN_LOCALE } from '@/client/locale';
import { Button } from '@/client/ui';
import { Bar } from './bar';
import { CURRENCY_BAR_WORDS } from '@/words';

/** Screens that tell sums. */
const TELLS_SUMS = /^\/(piece\/[^/]+\/(meet|choose|mend|let-go)|compare|earned)/;

/** Asks once in what money the shop reckons, where the first sums are told. */
export function CurrencyBar() {
  const { workshop, known } = useWorkshop();
  const set = useSetup(workshop);
  const path = usePathname();
  if (!known || workshop.setup.currency !== undefined || !TELLS_SUMS.test(path)) return null;
  const guess = guessCurrency();
  const name = new Intl.DisplayNames(OWN_LOCALE, { type: 'currency' }).of(guess) ?? guess;
  return (
    <Bar label={CURRENCY_BAR_WORDS.whichMoney} title={CURRENCY_BAR_WORDS.whichMoney}>
      <Button onPress={() => set({ currency: guess })}>{name}</Button>
      <Button look="quiet" onPress={() => router.push('/shelf')}>
        {CURRENCY_BAR_WORDS.another}
      </Button>
    </Bar>
  );
}
