import { useDispatch, useSelector } from 'react-redux';
import { currencySet, unitsPicked, type AppDispatch, type RootState } from '@/client/store';
import { Choices, Column, Disclosure, Field, Strong } from '@/client/ui';

/** Measures and money as the owner writes them. */
export function UnitChoices() {
  const { units, currency } = useSelector((state: RootState) => state.settings);
  const dispatch = useDispatch<AppDispatch>();
  return (
    <Disclosure label="Measures and money">
      {() => (
        <Column gap="$m">
          <Strong>Measures</Strong>
          <Choices
            label="Measures"
            options={[
              { code: 'metric', label: 'Metric' },
              { code: 'us', label: 'US' },
            ]}
            value={units}
            onPick={(picked) => dispatch(unitsPicked(picked))}
          />
          <Field label="Sign of your currency" value={currency} onChange={(text) => dispatch(currencySet(text))} />
        </Column>
      )}
    </Disclosure>
  );
}
