import { Row, Small, Swatch } from '@/client/ui';
import { sayColour } from '@/words';

/** What something is painted, as a swatch and in words. */
export const Coloured = ({ colour }: { colour: string }) => (
  <Row gap="$s" alignItems="center">
    <Swatch colour={colour} />
    <Small flexShrink={1}>{`${sayColour(colour)}, ${colour}`}</Small>
  </Row>
);
