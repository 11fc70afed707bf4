import { SPACE } from './tokens';

/** A link to a file that is saved; as high as a thumb wants it. */
export function FileLink({ href, children }: { href: string; children: string }) {
  return (
    <a href={href} style={{ color: 'inherit', display: 'inline-flex', alignItems: 'center', minHeight: SPACE.target }}>
      {children}
    </a>
  );
}
