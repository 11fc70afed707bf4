import { useState } from 'react';
import { Body, Button, Column, Disclosure, Row, Small, Strong, printText } from '@/client/ui';
import { Coloured } from '@/client/features/colour';
import { useMeasures } from '@/client/store';
import type { SmallSupply, Supply } from '@/core/systems';
import { listToBuyCsv, listToBuyText, sayTins } from './to-buy-text';

const sayToBuy = (price: number, small: number, { sayMoney }: ReturnType<typeof useMeasures>): string =>
  price > 0
    ? `To buy: about ${sayMoney(price)}`
    : small > 0
      ? 'To buy: small things, the shelf has the coats'
      : 'To buy: nothing, the shelf has it all';

/** What to buy by tin sizes, with what the shelf has taken off; to copy or to save as a table. */
export function ToBuy({ supplies, small }: { supplies: readonly Supply[]; small: readonly SmallSupply[] }) {
  const measures = useMeasures();
  const [copied, setCopied] = useState<string | null>(null);
  const price = supplies.reduce((sum, { buy }) => sum + buy.price, 0);
  const copy = (): void => {
    navigator.clipboard
      .writeText(listToBuyText(supplies, small, measures))
      .then(() => setCopied('Copied.'))
      .catch(() => setCopied('The browser does not allow copying here. Save it as a table instead.'));
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
                <Small>{`${measures.sayVolume(supply.neededMl)} for all zones, tray and roller included`}</Small>
              </Column>
            ))}
          </Column>
          {small.length > 0 ? (
            <Column role="list" gap="$xs" aria-label="Small things">
              <Strong>Small things, in the price by the splash</Strong>
              {small.map(({ label, ml }) => (
                <Body
                  key={label}
                  role="listitem"
                >{`${label}${ml > 0 ? `, about ${measures.sayVolume(ml)}` : ''}`}</Body>
              ))}
            </Column>
          ) : null}
          <Small>Prices of classes are estimates until your own tins stand on the shelf.</Small>
          <Row gap="$s" flexWrap="wrap">
            <Button onPress={copy}>Copy the list</Button>
            <Button onPress={() => printText('To buy', listToBuyText(supplies, small, measures))}>Print it</Button>
            <a
              href={`data:text/csv;charset=utf-8,${encodeURIComponent(listToBuyCsv(supplies))}`}
              download="to-buy.csv"
              style={{ color: 'inherit', display: 'inline-block', padding: '14px 4px' }}
            >
              Save as a table (CSV)
            </a>
          </Row>
          {copied ? <Small role="status">{copied}</Small> : null}
        </Column>
      )}
    </Disclosure>
  );
}
