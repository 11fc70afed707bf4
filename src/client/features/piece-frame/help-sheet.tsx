import { usePathname, router } from 'expo-router';
import { Body, Button, Column, OpenSheet, Small, Strong } from '@/client/ui';
import { HELP_SHEET_WORDS, findTerm, HELP, SCREENS, type ScreenCode } from '@/words';

/** The screen an address belongs to. */
function screenOf(path: string): ScreenCode {
  const last = path.split('/').at(-1) ?? '';
  return SCREENS.find((code) => code === last) ?? 'today';
}

export function HelpSheet({ onClosed }: { onClosed: () => void }) {
  const { name, answers, terms, numbers } = HELP[screenOf(usePathname())];
  return (
    <OpenSheet label={HELP_SHEET_WORDS.about(name)} onClosed={onClosed}>
      {(close) => (
        <Column gap="$l">
          <Column gap="$xs">
            <Strong>{HELP_SHEET_WORDS.whatItAnswers}</Strong>
            <Body>{answers}</Body>
          </Column>
          {terms.length > 0 ? (
            <Column gap="$s" role="list" aria-label={HELP_SHEET_WORDS.wordsOnThisScreen}>
              {terms.map(findTerm).map(({ code, term, says }) => (
                <Column key={code} role="listitem">
                  <Strong>{term}</Strong>
                  <Small color="$ink">{says}</Small>
                </Column>
              ))}
            </Column>
          ) : null}
          <Column gap="$xs">
            <Strong>{HELP_SHEET_WORDS.whereTheFiguresComeFrom}</Strong>
            <Body>{numbers}</Body>
          </Column>
          <Button
            onPress={() => {
              close();
              router.push('/glossary');
            }}
          >
            {HELP_SHEET_WORDS.allWords}
          </Button>
        </Column>
      )}
    </OpenSheet>
  );
}
