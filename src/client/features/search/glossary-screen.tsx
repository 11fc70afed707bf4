import { useEffect, useMemo, useState } from 'react';
import { BackHeader, Screen, useRouteParam } from '@/client/features/piece-frame';
import { Body, Column, Field, Strong } from '@/client/ui';
import { matches, wordsOf } from '@/core/find';
import { GLOSSARY_SCREEN_WORDS, listTerms } from '@/words';

/** The words of the trade as they are used here; one of them is come to by its address. */
export function GlossaryScreen() {
  const asked = useRouteParam('term');
  const [words, setWords] = useState('');
  const shown = useMemo(() => {
    const wanted = wordsOf(words);
    return listTerms().filter(({ term, says }) => matches(wanted, `${term} ${says}`));
  }, [words]);
  useEffect(() => {
    if (asked !== '') document.getElementById(`term-${asked}`)?.scrollIntoView({ block: 'center' });
  }, [asked]);
  return (
    <Screen title={GLOSSARY_SCREEN_WORDS.words} header={<BackHeader title={GLOSSARY_SCREEN_WORDS.words} />}>
      <Column gap="$m" width="100%" maxWidth={720} alignSelf="center">
        <Field label={GLOSSARY_SCREEN_WORDS.whichWord} value={words} onChange={setWords} />
        <Column gap="$s" role="list" aria-label={GLOSSARY_SCREEN_WORDS.words}>
          {shown.map(({ code, term, says }) => (
            <Column
              key={code}
              id={`term-${code}`}
              role="listitem"
              padding="$s"
              borderLeftWidth={3}
              borderColor={code === asked ? '$act' : 'transparent'}
            >
              <Strong>{term}</Strong>
              <Body>{says}</Body>
            </Column>
          ))}
        </Column>
      </Column>
    </Screen>
  );
}
