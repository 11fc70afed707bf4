import '@/client/ui/global.css';
import { TamaguiProvider, Theme, View } from '@tamagui/core';
import { router, Slot, usePathname } from 'expo-router';
import { startTransition, useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import { Provider, useSelector } from 'react-redux';
import { makeFrame, makeRoom } from '@/client/room';
import { makeStore, type RootState } from '@/client/store';
import { keepTyping, useIsWide, useKeys } from '@/client/ui';
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
const Enter = makeRoom(async () => (await import('@/client/rooms')).EnterScreen);

/** It has nothing to say on the first screen, and comes after it. */
const NewsBars = makeFrame(async () => (await import('@/client/features/news')).NewsBars);

/** Which keys do what; few ask. */
const KeyList = makeFrame<{ onClose: () => void }>(async () => (await import('@/client/rooms')).KeyList);

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

/** The same from every screen. */
const WAYS: Readonly<Record<string, () => void>> = {
  '/': () => {
    keepTyping();
    router.push('/search');
  },
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
  return open ? <KeyList onClose={() => setOpen(false)} /> : null;
}
