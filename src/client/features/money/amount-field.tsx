import { useEffect, useRef, useState } from 'react';
import { Field } from '@/client/ui';
import { hasItsDecimals } from '@/core/money';
import { readNumber } from '@/core/shared';
import { AMOUNT_FIELD_WORDS } from '@/words';

interface AmountFieldProps {
  label: string;
  value: number | undefined;
  onSet: (amount: number | undefined) => void;
  /** ISO 4217: what is finer than its own decimals is refused. Left out for what is no money. */
  currency?: string | undefined;
  /** Shown beside the label; the currency where it is left out. */
  unit?: string;
  most?: number;
  step?: number;
}

/** A typed amount is kept once the thumb has rested so long, or leaves the field. */
const REST_MS = 600;
const MOST = 1_000_000;

/** An amount of money, or a number that belongs to it. What is wrong is said, and not kept. */
export function AmountField({ label, value, onSet, currency, unit, most = MOST, step }: AmountFieldProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const text = typed ?? (value === undefined ? '' : String(value));
  const read = text.trim() === '' ? undefined : readNumber(text);
  const error = findFault(text, read, most, currency);
  const keep = useRef<() => void>(() => undefined);
  useEffect(() => {
    keep.current = () => {
      if (typed === null || error) return;
      setTyped(null);
      if (read !== value) onSet(read);
    };
  });
  useEffect(() => {
    if (typed === null) return;
    const timer = setTimeout(() => keep.current(), REST_MS);
    return () => clearTimeout(timer);
  }, [typed]);
  // What was typed just before the screen goes is kept too.
  useEffect(() => () => keep.current(), []);
  const shown = unit ?? currency;
  return (
    <Field
      label={label}
      {...(shown ? { unit: shown } : {})}
      numeric
      value={text}
      onChange={setTyped}
      onBlur={() => keep.current()}
      error={error}
      {...(step ? { step, least: 0, most } : {})}
    />
  );
}

function findFault(text: string, read: number | undefined, most: number, currency: string | undefined) {
  if (text.trim() === '') return undefined;
  if (read === undefined) return AMOUNT_FIELD_WORDS.writeAnAmountOrLeaveIt;
  if (read < 0) return AMOUNT_FIELD_WORDS.notLessThanNothing;
  if (read > most) return AMOUNT_FIELD_WORDS.atMost(most);
  return currency && !hasItsDecimals(read, currency)
    ? AMOUNT_FIELD_WORDS.finerThanHasDecimalsRoundIt(currency)
    : undefined;
}
