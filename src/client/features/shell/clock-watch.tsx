import { View } from '@tamagui/core';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useNow, useInWork, useShelf, useWorkshop, zoneOfShop } from '@/client/store';
import { Button, Row, Strong, ToneIcon } from '@/client/ui';
import { lowerFirst } from '@/core/shared';
import { airOf, listClocks } from '@/core/work';
import { CLOCK_WATCH_WORDS } from '@/words';

const LOOK_EVERY_MS = 15_000;

interface Rung {
  id: string;
  words: string;
}

/**
 * Says when a coat is ready for the next: by a notification where the owner allowed them, otherwise by a bar over the
 * screen and a mark in the title. Only what becomes ready while the page is open is told.
 */
export function ClockWatch() {
  const { pieces } = useInWork();
  const { workshop } = useWorkshop();
  const tins = useShelf();
  const now = useNow(LOOK_EVERY_MS);
  const [rung, setRung] = useState<Rung[]>([]);
  const last = useRef(now);
  const timeZone = zoneOfShop(workshop);
  const clocks = useMemo(() => {
    const climate = airOf({ workshop, now, timeZone });
    return (pieces ?? []).flatMap((dossier) =>
      listClocks(dossier, tins, climate, now).map((clock) => ({
        id: `${clock.piece}${clock.at}${clock.where}`,
        recoatAt: clock.recoatAt,
        words: CLOCK_WATCH_WORDS.isReady(dossier.piece.name, lowerFirst(clock.what)),
      })),
    );
  }, [pieces, tins, workshop, timeZone, now]);
  useEffect(() => {
    const from = last.current;
    last.current = now;
    const ready = clocks.filter(({ recoatAt }) => recoatAt > from && recoatAt <= now);
    if (ready.length === 0) return;
    if ('Notification' in globalThis && Notification.permission === 'granted')
      for (const { id, words } of ready) new Notification(CLOCK_WATCH_WORDS.bricolage, { body: words, tag: id });
    setRung((before) => [...before, ...ready.filter(({ id }) => !before.some((own) => own.id === id))]);
  }, [clocks, now]);
  const first = rung[0];
  useEffect(() => {
    if (!first) return;
    const title = document.title;
    document.title = `● ${first.words}`;
    return () => {
      document.title = title;
    };
  }, [first]);
  if (!first) return null;
  return (
    <View position="absolute" top={0} left={0} right={0} zIndex={20} padding="$s" role="status">
      <Row
        backgroundColor="$goTint"
        borderWidth={1}
        borderColor="$go"
        borderRadius="$corner"
        alignItems="center"
        gap="$s"
        paddingLeft="$m"
      >
        <ToneIcon tone="go" />
        <Strong flex={1}>{first.words}</Strong>
        <Button look="quiet" onPress={() => setRung((all) => all.slice(1))}>
          {CLOCK_WATCH_WORDS.good}
        </Button>
      </Row>
    </View>
  );
}
