import { router } from 'expo-router';
import Plus from 'lucide-react-native/icons/plus';
import { useDeferredValue, useMemo, useState } from 'react';
import { FlatList, ScrollView } from 'react-native';
import { Screen, ShopHeader, Skeleton, Unreachable, WaysOn } from '@/client/features/piece-frame';
import { makeFrame } from '@/client/room';
import { useListSummariesInfiniteQuery, useMetHere } from '@/client/store';
import { Body, Button, Column, Field, Row, useIsWide, useKeys, useTones } from '@/client/ui';
import type { PieceSummary } from '@/core/work';
import { MetHereCard, PieceCard } from './piece-card';
import { ALL, PieceFilters, type Wanted } from './piece-filters';
import { PIECES_SCREEN_WORDS } from '@/words';

const SEARCH_ID = 'find-piece';

/** All pieces, newest change first: what each is, where it stands, what comes next. Only what is looked at is fetched. */
export function PiecesScreen() {
  const [words, setWords] = useState('');
  const [wanted, setWanted] = useState<Wanted>(ALL);
  const typed = useDeferredValue(words.trim());
  const asked = useMemo(() => ({ ...wanted, find: typed }), [wanted, typed]);
  const { data, error, isLoading, isFetching, refetch, hasNextPage, fetchNextPage, isFetchingNextPage } =
    useListSummariesInfiniteQuery(asked, { refetchOnMountOrArgChange: true });
  const pieces = useMemo(() => data?.pages.flatMap((page) => page.pieces), [data]);
  const met = useMetHere().filter(({ id }) => !pieces?.some((own) => own.id === id));
  const empty = pieces?.length === 0;
  const none = empty && typed === '' && wanted === ALL && !isFetching && met.length === 0;
  return (
    <Screen
      title={PIECES_SCREEN_WORDS.pieces}
      header={
        <ShopHeader title={PIECES_SCREEN_WORDS.pieces}>
          <Button look="quiet" label={PIECES_SCREEN_WORDS.archiveAndBin} onPress={() => router.push('/put-away')}>
            {PIECES_SCREEN_WORDS.putAway}
          </Button>
        </ShopHeader>
      }
      scrolls={false}
      action={
        pieces ? (
          <Button look="main" grow onPress={() => router.push('/new')} icon={<PlusIcon />}>
            {PIECES_SCREEN_WORDS.newPiece}
          </Button>
        ) : undefined
      }
    >
      <Column width="100%" maxWidth={1212} alignSelf="center" padding="$l" paddingBottom={0} gap="$l">
        {isLoading ? <Skeleton /> : null}
        {error && !data ? <Unreachable retry={() => void refetch()} /> : null}
        {none ? <WaysOn>{PIECES_SCREEN_WORDS.hereStandsEachPieceWithA}</WaysOn> : null}
        {pieces && !none ? (
          <Column gap="$s">
            <Field
              label={PIECES_SCREEN_WORDS.findAPiece}
              hideLabel
              inputId={SEARCH_ID}
              value={words}
              onChange={setWords}
              placeholder={PIECES_SCREEN_WORDS.findByNameOrKind}
            />
            <PieceFilters wanted={wanted} onWant={setWanted} />
          </Column>
        ) : null}
        {met.map(({ id, piece }) => (
          <MetHereCard key={id} id={id} name={piece.name ?? PIECES_SCREEN_WORDS.aNewPiece} />
        ))}
        {empty && !none && !isFetching ? (
          <Body>{typed === '' ? PIECES_SCREEN_WORDS.noPieceIsSo : PIECES_SCREEN_WORDS.noPieceMatches(words)}</Body>
        ) : null}
      </Column>
      {pieces && !empty ? (
        <PieceList
          pieces={pieces}
          onEnd={() => {
            if (hasNextPage && !isFetchingNextPage) void fetchNextPage();
          }}
        />
      ) : null}
    </Screen>
  );
}

function PlusIcon() {
  return <Plus size={20} color={useTones().onAct} aria-hidden />;
}

interface PieceListProps {
  pieces: readonly PieceSummary[];
  onEnd: () => void;
}

/** What is known of a piece at a look; few ask before they open one. */
const PieceGlance = makeFrame<{ summary: PieceSummary }>(async () => (await import('@/client/rooms')).PieceGlance);

/** Of a long list only what is near the screen is drawn. At a desk the one that is picked stands beside it. */
function PieceList({ pieces, onEnd }: PieceListProps) {
  const wide = useIsWide();
  const [picked, setPicked] = useState<string | null>(null);
  const at = Math.max(
    0,
    pieces.findIndex(({ id }) => id === picked),
  );
  const shown = pieces[at]!;
  useKeys(
    useMemo(
      (): Record<string, () => void> =>
        wide
          ? {
              ArrowDown: () => setPicked(pieces[Math.min(pieces.length - 1, at + 1)]!.id),
              ArrowUp: () => setPicked(pieces[Math.max(0, at - 1)]!.id),
              o: () => router.push(`/piece/${pieces[at]!.id}/${pieces[at]!.stage}`),
            }
          : {},
      [wide, pieces, at],
    ),
  );
  const list = (
    <FlatList
      data={pieces as PieceSummary[]}
      keyExtractor={({ id }) => id}
      renderItem={({ item }) => (
        <Column role="listitem" minWidth={0}>
          <PieceCard piece={item} {...(wide ? { onPick: () => setPicked(item.id), picked: item === shown } : {})} />
        </Column>
      )}
      extraData={shown}
      initialNumToRender={8}
      onEndReached={onEnd}
      onEndReachedThreshold={1}
      role="list"
      aria-label={PIECES_SCREEN_WORDS.pieces}
      style={{ flex: 1 }}
      contentContainerStyle={{ padding: 16, paddingBottom: 32, gap: 12 }}
    />
  );
  return wide ? (
    <Row flex={1} minHeight={0} width="100%" maxWidth={1212} alignSelf="center">
      <Column width={460} minHeight={0}>
        {list}
      </Column>
      <ScrollView style={{ flex: 1 }} contentContainerStyle={{ padding: 16, paddingBottom: 32 }}>
        <PieceGlance summary={shown} />
      </ScrollView>
    </Row>
  ) : (
    list
  );
}
