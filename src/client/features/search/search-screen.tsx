import { View } from '@tamagui/core';
import { Link, router, type Href } from 'expo-router';
import { useDeferredValue, useEffect, useLayoutEffect, useMemo, useState } from 'react';
import { BackHeader, Screen } from '@/client/features/piece-frame';
import { makeTimes } from '@/client/features/shop-plan';
import { OWN_ZONE } from '@/client/locale';
import { timeNow, useFindAllQuery } from '@/client/store';
import { Body, Column, Field, Heading, Small, Strong, takeTyped, useKeys } from '@/client/ui';
import { FOUND_KINDS, type FoundKind } from '@/core/find';
import { findPlaces, findTerms, placeOf } from './places';
import { SEARCH_SCREEN_WORDS } from '@/words';

const FIELD = 'find-all';
const KINDS: Record<FoundKind, string> = {
  piece: SEARCH_SCREEN_WORDS.pieces,
  zone: SEARCH_SCREEN_WORDS.faces,
  test: SEARCH_SCREEN_WORDS.tests,
  work: SEARCH_SCREEN_WORDS.theLog,
  mix: SEARCH_SCREEN_WORDS.mixes,
  tin: SEARCH_SCREEN_WORDS.tins,
};
const TIMES = makeTimes(OWN_ZONE);

/** Everything that is written down, and every screen and word, by a few letters. Arrows go through what was found. */
export function SearchScreen() {
  const [words, setWords] = useState('');
  // At once, and not before the field can take what follows: no letter is lost, and none is a key of something else.
  useLayoutEffect(() => {
    const field = document.getElementById(FIELD) as HTMLInputElement | null;
    field?.focus();
    const typed = takeTyped();
    if (field && typed !== '') enter(field, typed);
  }, []);
  const asked = useDeferredValue(words.trim());
  const { data, isFetching, error } = useFindAllQuery(asked, { skip: asked === '' });
  const found = asked === '' ? [] : (data ?? []);
  const places = useMemo(() => findPlaces(asked), [asked]);
  const terms = useMemo(() => findTerms(asked), [asked]);
  useEffect(() => {
    document.addEventListener('keydown', goThrough);
    return () => document.removeEventListener('keydown', goThrough);
  }, []);
  useKeys(useMemo(() => ({ Escape: () => router.back(), '/': () => document.getElementById(FIELD)?.focus() }), []));
  const nothing = asked !== '' && !isFetching && found.length + places.length + terms.length === 0;
  return (
    <Screen title={SEARCH_SCREEN_WORDS.find} header={<BackHeader title={SEARCH_SCREEN_WORDS.find} />}>
      <Column gap="$l" width="100%" maxWidth={720} alignSelf="center">
        <Field
          label={SEARCH_SCREEN_WORDS.findAnything}
          hideLabel
          inputId={FIELD}
          value={words}
          onChange={setWords}
          placeholder={SEARCH_SCREEN_WORDS.aPieceATinATest}
        />
        <Small role="status">
          {asked === ''
            ? SEARCH_SCREEN_WORDS.beginningsOfWordsAreEnough
            : error
              ? SEARCH_SCREEN_WORDS.theShopDoesNotAnswerWords
              : SEARCH_SCREEN_WORDS.found(found.length + places.length + terms.length)}
        </Small>
        {nothing ? <Body>{SEARCH_SCREEN_WORDS.nothingBeginsWithTryFewerLetters(asked)}</Body> : null}
        {FOUND_KINDS.map((kind) => {
          const own = found.filter((one) => one.kind === kind);
          return own.length === 0 ? null : (
            <Group key={kind} title={KINDS[kind]}>
              {own.map((one, i) => (
                <Found
                  key={`${one.piece}/${one.id}/${i}`}
                  href={placeOf(one)}
                  title={one.title}
                  more={[one.at ? TIMES.moment(one.at, timeNow()) : '', one.body].filter(Boolean).join(' · ')}
                />
              ))}
            </Group>
          );
        })}
        {terms.length > 0 ? (
          <Group title={SEARCH_SCREEN_WORDS.words}>
            {terms.map(({ code, term, says }) => (
              <Found key={code} href={`/glossary?term=${code}`} title={term} more={says} />
            ))}
          </Group>
        ) : null}
        {places.length > 0 ? (
          <Group title={SEARCH_SCREEN_WORDS.screens}>
            {places.map(({ code, name, answers, href }) => (
              <Found key={code} href={href} title={name} more={answers} />
            ))}
          </Group>
        ) : null}
      </Column>
    </Screen>
  );
}

/** Puts letters into a field as if they were typed there: the next one comes behind them, not in their place. */
function enter(field: HTMLInputElement, text: string): void {
  Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set?.call(field, text);
  field.dispatchEvent(new Event('input', { bubbles: true }));
}

const LINKS = 'a[data-found]';

/** Down from the field goes to what was found first; up from there goes back to it. Enter in the field opens the first. */
function goThrough(event: KeyboardEvent): void {
  const links = [...document.querySelectorAll<HTMLElement>(LINKS)];
  const active = document.activeElement as HTMLElement | null;
  const at = active ? links.indexOf(active) : -1;
  const inField = active?.id === FIELD;
  if (!inField && at < 0) return;
  if (event.key === 'Enter' && inField) links[0]?.click();
  else if (event.key === 'ArrowDown') links[Math.min(at + 1, links.length - 1)]?.focus();
  else if (event.key === 'ArrowUp') (at <= 0 ? document.getElementById(FIELD) : links[at - 1])?.focus();
  else return;
  event.preventDefault();
}

function Group({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <Column gap="$s" render="section" aria-label={title}>
      <Heading>{title}</Heading>
      <Column>{children}</Column>
    </Column>
  );
}

function Found({ href, title, more }: { href: Href; title: string; more: string }) {
  return (
    <Link href={href} style={{ textDecorationLine: 'none' }} {...{ dataSet: { found: '' } }}>
      <View minHeight="$target" paddingVertical="$s" borderBottomWidth={1} borderColor="$line" justifyContent="center">
        <Strong>{title}</Strong>
        {more ? <Small>{more}</Small> : null}
      </View>
    </Link>
  );
}
