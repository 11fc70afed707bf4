import { useEffect, useMemo, useState } from 'react';
import { BackHeader, Screen, Skeleton, Unreachable } from '@/client/features/piece-frame';
import { Body, Column, Disclosure, Field, Small } from '@/client/ui';
import { matches, wordsOf } from '@/core/find';
import { NOTICES_SCREEN_WORDS } from '@/words';

/** As the build writes them. */
interface NoticeText {
  name: string;
  version: string;
  licence: string;
  text: string;
}

const MOST = 60;

/** What the application is made with, and under which licences. */
export function NoticesScreen() {
  const [notices, setNotices] = useState<readonly NoticeText[] | null>(null);
  const [failed, setFailed] = useState(false);
  const [tries, setTries] = useState(0);
  const [words, setWords] = useState('');
  useEffect(() => {
    fetch('/notices.json')
      .then(async (answer) => setNotices((await answer.json()) as NoticeText[]))
      .catch(() => setFailed(true));
  }, [tries]);
  const found = useMemo(() => {
    const asked = wordsOf(words);
    return (notices ?? []).filter(({ name, licence }) => matches(asked, `${name} ${licence}`));
  }, [notices, words]);
  return (
    <Screen title={NOTICES_SCREEN_WORDS.notices} header={<BackHeader title={NOTICES_SCREEN_WORDS.notices} />}>
      <Column gap="$m" width="100%" maxWidth={720} alignSelf="center">
        <Body>{NOTICES_SCREEN_WORDS.bricolageIsMadeWithTheWork}</Body>
        {failed && !notices ? (
          <Unreachable
            retry={() => {
              setFailed(false);
              setTries(tries + 1);
            }}
          />
        ) : null}
        {!notices && !failed ? <Skeleton /> : null}
        {notices ? (
          <>
            <Field label={NOTICES_SCREEN_WORDS.packageOrLicence} value={words} onChange={setWords} />
            <Small role="status">{NOTICES_SCREEN_WORDS.ofPackages(found.length, notices.length)}</Small>
            {found.slice(0, MOST).map(({ name, version, licence, text }) => (
              <Disclosure key={`${name}@${version}`} label={`${name} ${version}: ${licence}`}>
                {() => <Small whiteSpace="pre-wrap">{text || NOTICES_SCREEN_WORDS.itCameWithoutATextOf}</Small>}
              </Disclosure>
            ))}
            {found.length > MOST ? (
              <Small>{NOTICES_SCREEN_WORDS.moreNarrowItByAName(found.length - MOST)}</Small>
            ) : null}
          </>
        ) : null}
      </Column>
    </Screen>
  );
}
