import { useEffect, useMemo, useState } from 'react';
import { BackHeader, Screen, Skeleton, Unreachable } from '@/client/features/piece-frame';
import { Body, Column, Disclosure, Field, Small } from '@/client/ui';
import { matches, wordsOf } from '@/core/find';

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
    <Screen title="Notices" header={<BackHeader title="Notices" />}>
      <Column gap="$m" width="100%" maxWidth={720} alignSelf="center">
        <Body>Bricolage is made with the work of many others. These are their licences.</Body>
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
            <Field label="Package or licence" value={words} onChange={setWords} />
            <Small role="status">{`${found.length} of ${notices.length} packages`}</Small>
            {found.slice(0, MOST).map(({ name, version, licence, text }) => (
              <Disclosure key={`${name}@${version}`} label={`${name} ${version}: ${licence}`}>
                {() => <Small whiteSpace="pre-wrap">{text || 'It came without a text of its own.'}</Small>}
              </Disclosure>
            ))}
            {found.length > MOST ? <Small>{`${found.length - MOST} more: narrow it by a name.`}</Small> : null}
          </>
        ) : null}
      </Column>
    </Screen>
  );
}
