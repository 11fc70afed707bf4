import { Row } from './layout';
import { Strong } from './text';

/** A file to save, as a link the browser knows: it looks like a button and is as large. */
export function LinkButton({ href, children }: { href: string; children: string }) {
  return (
    <a href={href} download style={{ textDecoration: 'none' }}>
      <Row
        minHeight="$target"
        alignItems="center"
        justifyContent="center"
        borderWidth={1}
        borderColor="$softInk"
        borderRadius="$corner"
        paddingHorizontal="$m"
      >
        <Strong color="$act">{children}</Strong>
      </Row>
    </a>
  );
}
