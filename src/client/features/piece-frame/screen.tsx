import { View } from '@tamagui/core';
import { createContext, useContext, useEffect, useState, type ReactNode } from 'react';
import { createPortal } from 'react-dom';
import { ScrollView } from 'react-native';
import { useTones } from '@/client/ui';
import { ServerNotices } from './server-notices';
import { SCREEN_WORDS } from '@/words';

interface ScreenProps {
  title: string;
  header: ReactNode;
  children: ReactNode;
  /** The one main action, at the thumb. */
  action?: ReactNode;
  /** Off where what is in it scrolls by itself. */
  scrolls?: boolean;
}

const ActionPlace = createContext<HTMLElement | null>(null);

/** The main action of a screen said from deep inside it: it stands at the thumb all the same. */
export function MainAction({ children }: { children: ReactNode }) {
  const place = useContext(ActionPlace);
  return place ? createPortal(children, place) : null;
}

/** The frame of every screen: header, what is scrolled, and the main action at the bottom. */
export function Screen({ title, header, children, action, scrolls = true }: ScreenProps) {
  const tones = useTones();
  const [place, setPlace] = useState<HTMLElement | null>(null);
  useEffect(() => {
    document.title = SCREEN_WORDS.bricolage(title);
  }, [title]);
  return (
    <View flex={1} backgroundColor="$ground" render="main">
      {header}
      <ServerNotices />
      <ActionPlace.Provider value={place}>
        {scrolls ? (
          <ScrollView
            style={{ flex: 1, backgroundColor: tones.ground }}
            contentContainerStyle={{ padding: 16, paddingBottom: 32 }}
          >
            <View width="100%" maxWidth={1180} alignSelf="center" gap="$l">
              {children}
            </View>
          </ScrollView>
        ) : (
          children
        )}
      </ActionPlace.Provider>
      <View ref={(node) => setPlace(node as HTMLElement | null)} />
      {action ? (
        <View padding="$m" borderTopWidth={1} borderColor="$line" backgroundColor="$ground">
          <View width="100%" maxWidth={560} alignSelf="center" flexDirection="row" flexWrap="wrap" gap="$s">
            {action}
          </View>
        </View>
      ) : null}
    </View>
  );
}
