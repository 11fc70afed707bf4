import { Link } from 'expo-router';
import { Body, Small } from '@/client/ui';
import { markTerms } from '@/words';

/** Links within a running text are as tall as its lines. */
const IN_TEXT = { dataSet: { inText: true } };

/** A text whose words of the trade lead to what they mean. */
export function Explained({ children, small = false }: { children: string; small?: boolean }) {
  const Text = small ? Small : Body;
  return (
    <Text>
      {markTerms(children).map(({ text, term }, i) =>
        term ? (
          <Link key={i} href={`/glossary?term=${term}`} style={{ textDecorationStyle: 'dotted' }} {...IN_TEXT}>
            {text}
          </Link>
        ) : (
          text
        ),
      )}
    </Text>
  );
}
