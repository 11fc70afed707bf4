import { Column, Row, Title } from '@/client/ui';
import { BackLink } from './back-link';

/** Header of a screen of the whole shop: the way back to all pieces, and its name. */
export function ShopHeader({ title }: { title: string }) {
  return (
    <Column render="header" borderBottomWidth={1} borderColor="$line">
      <Row
        width="100%"
        maxWidth={1212}
        alignSelf="center"
        alignItems="center"
        paddingHorizontal="$l"
        minHeight={64}
        gap="$m"
      >
        <BackLink />
        <Title flex={1}>{title}</Title>
      </Row>
    </Column>
  );
}
