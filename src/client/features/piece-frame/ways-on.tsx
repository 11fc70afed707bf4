import { router } from 'expo-router';
import { useDispatch } from 'react-redux';
import { guideBegun, useGetVisitQuery, useVisit, type AppDispatch } from '@/client/store';
import { Body, Button, Card, Column, Heading, Small } from '@/client/ui';

/** An empty shop: three ways on. */
export function WaysOn({ children }: { children: string }) {
  const dispatch = useDispatch<AppDispatch>();
  const { data } = useGetVisitQuery();
  const visit = useVisit();
  return (
    <Card padding="$xl" gap="$l" render="section" aria-label="Three ways on">
      <Column gap="$s">
        <Heading>No piece yet</Heading>
        <Body>{children}</Body>
      </Column>
      <Column gap="$xs">
        <Button
          look="main"
          onPress={() => {
            dispatch(guideBegun());
            router.push('/new');
          }}
        >
          Bring the first piece in
        </Button>
        <Small>Five short cards lead you from what it is to the first step of work.</Small>
      </Column>
      {data?.possible ? (
        <Column gap="$xs">
          <Button onPress={() => void visit(true)}>Look round an invented workshop</Button>
          <Small>Pieces in all stages, in a file of its own. One tap brings you back.</Small>
        </Column>
      ) : null}
      <Column gap="$xs">
        <Button onPress={() => router.push('/practice')}>Practise on made-up pieces</Button>
        <Small>Ten minutes: surfaces, lattices, stains, clocks.</Small>
      </Column>
    </Card>
  );
}
