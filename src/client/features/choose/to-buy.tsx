import { useState } from 'react';
import { Body, Button, Column, Disclosure, Row, Small, Strong, printText } from '@/client/ui';
import { Coloured } from '@/client/features/colour';
import { useMeasures } from '@/client/store';
import { priceToBuy, type SmallSupply, type Supply } from '@/core/systems';
import { listToBuyCsv, listToBuyText, sayTins } from './to-buy-text';
import { TO_BUY_WORDS } from '@/words';

const sayToBuy = (price: number, small: number, { sayMoney }: ReturnType<typeof useMeasures>): string =>
  price > 0
    ? TO_BUY_WORDS.toBuyAbout(sayMoney(price))
    : small > 0
      ? TO_BUY_WORDS.toBuySmallThingsTheShelf
      : TO_BUY_WORDS.toBuyNothingTheShelfHas;

/** What to buy by tin sizes, with what the shelf has taken off; to copy or to save as a table. */
export function ToBuy({ supplies, small }: { supplies: readonly Supply[]; small: readonly SmallSupply[] }) {
  const measures = useMeasures();
  const [copied, setCopied] = useState<string | null>(null);
  const price = priceToBuy(supplies);
  const copy = (): void => {
    navigator.clipboard
      .writeText(listToBuyText(supplies, small, measures))
      .then(() => setCopied(TO_BUY_WORDS.copied))
      .catch(() => setCopied(TO_BUY_WORDS.theBrowserDoesNotAllowCopying));
  };
  return (
    <Disclosure label={sayToBuy(price, small.length, measures)}>
      {() => (
        <Column gap="$m">
          <Column role="list" gap="$s">
            {supplies.map((supply) => (
              <Column key={`${supply.class}${supply.colour ?? ''}${supply.fromShelf[0]?.id ?? ''}`} role="listitem">
                <Strong>{supply.label}</Strong>
                {supply.colour ? <Coloured colour={supply.colour} /> : null}
                <Body>{sayTins(supply, measures)}</Body>
                <Small>{TO_BUY_WORDS.forAllZonesTrayAndRoller(measures.sayVolume(supply.neededMl))}</Small>
              </Column>
            ))}
          </Column>
          {small.length > 0 ? (
            <Column role="list" gap="$xs" aria-label={TO_BUY_WORDS.smallThings}>
              <Strong>{TO_BUY_WORDS.smallThingsInThePriceBy}</Strong>
              {small.map(({ label, ml }) => (
                <Body
                  key={label}
                  role="listitem"
                >{`${label}${ml > 0 ? TO_BUY_WORDS.about(measures.sayVolume(ml)) : ''}`}</Body>
              ))}
            </Column>
          ) : null}
          <Small>{TO_BUY_WORDS.pricesOfClassesAreEstimatesUntil}</Small>
          <Row gap="$s" flexWrap="wrap">
            <Button onPress={copy}>{TO_BUY_WORDS.copyTheList}</Button>
            <Button onPress={() => printText(TO_BUY_WORDS.toBuy, listToBuyText(supplies, small, measures))}>
              {TO_BUY_WORDS.printIt}
            </Button>
            <a
              href={`data:text/csv;charset=utf-8,${encodeURIComponent(listToBuyCsv(supplies))}`}
              download="to-buy.csv"
              style={{ color: 'inherit', display: 'inline-block', padding: '14px 4px' }}
            >
              {TO_BUY_WORDS.saveAsATableCsv}
            </a>
          </Row>
          {copied ? <Small role="status">{copied}</Small> : null}
        </Column>
      )}
    </Disclosure>
  );
}
