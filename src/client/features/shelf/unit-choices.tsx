import { useMemo } from 'react';
import { useDispatch, useSelector } from 'react-redux';
import { OWN_LOCALE } from '@/client/locale';
import { unitsPicked, useSetup, useWorkshop, type AppDispatch, type RootState } from '@/client/store';
import { Choices, Column, Disclosure, SelectField, Small, Strong } from '@/client/ui';
import { DEFAULT_CURRENCY } from '@/core/money';
import { UNIT_CHOICES_WORDS } from '@/words';

/** Every currency the browser knows, by its name. */
function listCurrencies(): { code: string; label: string }[] {
  const names = new Intl.DisplayNames(OWN_LOCALE, { type: 'currency' });
  return Intl.supportedValuesOf('currency')
    .map((code) => ({ code, label: `${names.of(code) ?? code} (${code})` }))
    .sort((a, b) => a.label.localeCompare(b.label));
}

/** Measures as the owner writes them, and the money of the shop. */
export function UnitChoices() {
  const units = useSelector((state: RootState) => state.settings.units);
  const dispatch = useDispatch<AppDispatch>();
  return (
    <Disclosure label={UNIT_CHOICES_WORDS.measuresAndMoney}>
      {() => (
        <Column gap="$m">
          <Strong>{UNIT_CHOICES_WORDS.measures}</Strong>
          <Choices
            label={UNIT_CHOICES_WORDS.measures}
            options={[
              { code: 'metric', label: UNIT_CHOICES_WORDS.metric },
              { code: 'us', label: UNIT_CHOICES_WORDS.us },
            ]}
            value={units}
            onPick={(picked) => dispatch(unitsPicked(picked))}
          />
          <Currency />
        </Column>
      )}
    </Disclosure>
  );
}

function Currency() {
  const { workshop, known } = useWorkshop();
  const set = useSetup(workshop);
  const options = useMemo(
    () => [{ code: '', label: UNIT_CHOICES_WORDS.notPickedYet(DEFAULT_CURRENCY) }, ...listCurrencies()],
    [],
  );
  if (!known) return <Small>{UNIT_CHOICES_WORDS.theCurrencyCanBePickedOnce}</Small>;
  return (
    <SelectField
      label={UNIT_CHOICES_WORDS.currencyOfTheShop}
      value={workshop.setup.currency ?? ''}
      options={options}
      onPick={(code) => set({ currency: code === '' ? undefined : code })}
    />
  );
}
