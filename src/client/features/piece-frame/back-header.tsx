import { Row, Title } from '@/client/ui';
import { BackLink } from './back-link';
import { HelpButton } from './help-button';

/** Header of a screen that is come to from others: the way back, its name, and what it is for. */
export function BackHeader({ title }: { title: string }) {
  return (
    <Row
      render="header"
      alignItems="center"
      borderBottomWidth={1}
      borderColor="$line"
      minHeight={64}
      paddingHorizontal="$l"
      gap="$xs"
    >
      <BackLink />
      <Title flex={1}>{title}</Title>
      <HelpButton />
    </Row>
  );
}
