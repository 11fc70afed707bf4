import { router } from 'expo-router';
import { PieceScreen, useRouteParam, type PieceParts } from '@/client/features/piece-frame';
import { Column, Heading, Pressed, Row, Small, StateMark, Strong } from '@/client/ui';
import { listTreated, nameZone, type Dossier, type Trouble } from '@/core/dossier';
import { lowerFirst } from '@/core/shared';
import { readTroubleState, type TroubleState } from '@/core/trouble';
import { MEND_SCREEN_WORDS, nameSymptom } from '@/words';
import { NewTrouble } from './new-trouble';
import { SymptomGlyph } from './symptom-glyph';
import { TroubleView } from './trouble-view';
import { TROUBLE_STATES } from './words';

/** Mend: something is wrong. What made it, and the way out. */
export function MendScreen() {
  return (
    <PieceScreen stage={MEND_SCREEN_WORDS.mend} note={countOpen}>
      {(parts) => <Mend {...parts} />}
    </PieceScreen>
  );
}

function countOpen(dossier: Dossier): string {
  const open = (dossier.troubles ?? []).filter((trouble) => readTroubleState(dossier, trouble) === 'open').length;
  return open === 0 ? '' : MEND_SCREEN_WORDS.open(open);
}

function Mend(parts: PieceParts) {
  const { dossier } = parts;
  const asked = useRouteParam('trouble');
  const trouble = dossier.troubles?.find(({ id }) => id === asked);
  if (trouble) return <TroubleView key={trouble.id} {...parts} trouble={trouble} />;
  const troubles = (dossier.troubles ?? []).toReversed();
  return (
    <Column gap="$xl">
      {troubles.length > 0 ? (
        <Column gap="$s" render="section" aria-label={MEND_SCREEN_WORDS.whatWentWrong}>
          <Heading>{MEND_SCREEN_WORDS.whatWentWrongWithIt}</Heading>
          {troubles.map((own) => (
            <TroubleCard key={own.id} dossier={dossier} trouble={own} />
          ))}
        </Column>
      ) : null}
      <NewTrouble {...parts} zones={listTreated(dossier)} />
    </Column>
  );
}

const TONES: Record<TroubleState, 'stop' | 'act' | 'go' | 'wait'> = {
  open: 'stop',
  in_recovery: 'act',
  recovered: 'act',
  mended: 'go',
  came_back: 'wait',
  left: 'wait',
};

function TroubleCard({ dossier, trouble }: { dossier: Dossier; trouble: Trouble }) {
  const state = readTroubleState(dossier, trouble);
  return (
    <Pressed
      flexDirection="row"
      justifyContent="flex-start"
      alignItems="center"
      gap="$m"
      padding="$m"
      onPress={() => router.setParams({ trouble: trouble.id })}
      {...{ type: 'button' }}
    >
      <SymptomGlyph symptom={trouble.symptom} />
      <Column flex={1} gap="$xs" alignItems="flex-start">
        <Strong textAlign="left">{nameSymptom(trouble.symptom)}</Strong>
        <Small>{MEND_SCREEN_WORDS.onThe(lowerFirst(nameZone(dossier, trouble.zone)))}</Small>
        <Row>
          <StateMark tone={TONES[state]}>{TROUBLE_STATES[state]}</StateMark>
        </Row>
      </Column>
    </Pressed>
  );
}
