import '@/client/ui/global.css';
import { TamaguiProvider, Theme, View } from '@tamagui/core';
import { router, Slot, usePathname } from 'expo-router';
import { startTransition, useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import { Provider, useSelector } from 'react-redux';
import { makeFrame, makeRoom } from '@/client/room';
import { makeStore, type RootState } from '@/client/store';
import { Button, Card, Heading, Row, Small, Strong, useIsWide, useKeys } from '@/client/ui';
import { config } from '@/client/ui/tamagui.config';
import { ClockWatch } from './clock-watch';
import { NavBar } from './nav-bar';
import { UndoBar } from './undo-bar';
import { OWN_LOCALE } from '@/client/locale';

/** The outermost frame: store, theme, and the list of keys. */
export function Shell() {
  const [store] = useState(() => makeStore());
  return (
    <Provider store={store}>
      <TamaguiProvider config={config} defaultTheme="light">
        <Themed />
      </TamaguiProvider>
    </Provider>
  );
}

/** What a device without a pass is shown, whatever it opens. */
const Enter = makeRoom(async () => (await import('@/client/features/access')).EnterScreen);

/** It has nothing to say on the first screen, and comes after it. */
const NewsBars = makeFrame(async () => (await import('@/client/features/news')).NewsBars);

const DARK = '(prefers-color-scheme: dark)';
const isDark = (): boolean => matchMedia(DARK).matches;
function watchDark(tell: () => void): () => void {
  const query = matchMedia(DARK);
  query.addEventListener('change', tell);
  return () => query.removeEventListener('change', tell);
}

function Themed() {
  const preferred = useSelector((state: RootState) => state.settings.scheme);
  const out = useSelector((state: RootState) => state.access.out);
  // Its own address may bring a code along.
  const coming = usePathname() === '/enter';
  const systemDark = useSyncExternalStore(watchDark, isDark);
  const wide = useIsWide();
  const scheme = preferred === 'system' ? (systemDark ? 'dark' : 'light') : preferred;
  // The frame stands at once; the screen in it is drawn in slices, so that no tap has to wait for all of it.
  const [open, setOpen] = useState(false);
  useEffect(() => startTransition(() => setOpen(true)), []);
  // The frame in the page itself stood in for this one.
  useEffect(() => document.getElementById('frame')?.remove(), []);
  useEffect(() => {
    document.documentElement.dataset.scheme = scheme;
    document.documentElement.lang = OWN_LOCALE;
  }, [scheme]);
  return (
    <Theme name={scheme}>
      <View flex={1} height="100%" backgroundColor="$ground" flexDirection={wide ? 'row' : 'column-reverse'}>
        {out ? null : <NavBar />}
        <View flex={1} minHeight={0}>
          {open ? <NewsBars /> : null}
          <View flex={1} minHeight={0}>
            {!open ? null : out && !coming ? <Enter /> : <Slot />}
          </View>
          <UndoBar />
        </View>
        <KeyHelp />
        {open && !out ? <ClockWatch /> : null}
      </View>
    </Theme>
  );
}

const KEYS: readonly [string, string][] = [
  ['1 – 9', 'answer the check'],
  ['0', 'can’t tell'],
  ['u', 'undo what was done last'],
  ['← →', 'the zone before, the next zone'],
  ['Enter', 'start a round, next exercise (practice)'],
  ['s f g', 'sure, fairly sure, guessing (practice)'],
  ['d', 'done (at a step of the work)'],
  ['/', 'find anything: pieces, tins, words, screens'],
  ['n', 'new piece'],
  ['t', 'today'],
  ['p', 'pieces'],
  ['l', 'findings'],
  ['e', 'practice'],
  ['c', 'compare two pieces'],
  ['?', 'this list'],
];

/** The same from every screen. */
const WAYS: Readonly<Record<string, () => void>> = {
  '/': () => router.push('/search'),
  n: () => router.push('/new'),
  t: () => router.push('/'),
  p: () => router.push('/pieces'),
  l: () => router.push('/findings'),
  e: () => router.push('/practice'),
  c: () => router.push('/compare'),
};

function KeyHelp() {
  const [open, setOpen] = useState(false);
  useKeys(useMemo(() => ({ ...WAYS, '?': () => setOpen((shown) => !shown), Escape: () => setOpen(false) }), []));
  if (!open) return null;
  return (
    <View
      role="dialog"
      aria-label="Keys"
      position="absolute"
      top={0}
      left={0}
      right={0}
      bottom={0}
      alignItems="center"
      justifyContent="center"
      backgroundColor="rgba(0,0,0,0.5)"
    >
      <Card width={340} gap="$m">
        <Heading>Keys</Heading>
        {KEYS.map(([key, words]) => (
          <Row key={key} gap="$m">
            <Strong width={64}>{key}</Strong>
            <Small>{words}</Small>
          </Row>
        ))}
        <Button onPress={() => setOpen(false)}>Close</Button>
      </Card>
    </View>
  );
}
