import { useEffect } from 'react';
import { BackLink, Screen, useRouteParam } from '@/client/features/piece-frame';
import { Body, Column, Row, Subheading, Title } from '@/client/ui';
import { GLOSSARY } from '@/words';

/** The words of the trade as they are used here; one of them is come to by its address. */
export function GlossaryScreen() {
  const asked = useRouteParam('term');
  useEffect(() => {
    if (asked !== '') document.getElementById(`term-${asked}`)?.scrollIntoView({ block: 'center' });
  }, [asked]);
  return (
    <Screen
      title="Words"
      header={
        <Row
          render="header"
          alignItems="center"
          borderBottomWidth={1}
          borderColor="$line"
          minHeight={64}
          paddingHorizontal="$l"
          gap="$xs"
        >
          <BackLink />
          <Title>Words</Title>
        </Row>
      }
    >
      <Column gap="$s" role="list" width="100%" maxWidth={720} alignSelf="center">
        {GLOSSARY.map(({ code, term, says }) => (
          <Column
            key={code}
            id={`term-${code}`}
            role="listitem"
            padding="$s"
            borderLeftWidth={3}
            borderColor={code === asked ? '$act' : 'transparent'}
          >
            <Subheading>{term}</Subheading>
            <Body>{says}</Body>
          </Column>
        ))}
      </Column>
    </Screen>
  );
}
