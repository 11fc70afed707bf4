import { makeId, timeNow } from '@/client/store';
import { AnswerGlyph, Button, Choices, Column, Row, Small, Subheading } from '@/client/ui';
import type { PieceParts } from '@/client/features/piece-frame';
import { nameZone } from '@/core/dossier';
import { findCheck } from '@/core/knowledge';
import type { LookWorth } from '@/core/price';
import { lowerFirst } from '@/core/shared';
import { KERB_LOOK_WORDS, sayLookGain } from '@/words';

interface KerbLookProps extends PieceParts {
  look: LookWorth;
  sayMoney: (sum: number) => string;
}

/** The one look worth making before paying: its answers move the figure above. */
export function KerbLook({ look, dossier, change, sayMoney }: KerbLookProps) {
  const check = findCheck(look.check);
  const zone = dossier.zones?.find(({ id }) => id === look.zone);
  if (!check || !zone) return null;
  const answer = (result: string): void =>
    change({
      type: 'observation_recorded',
      zoneId: zone.id,
      observation: { id: makeId(), check: check.code, result, at: timeNow() },
    });
  const skip = (): void =>
    change({ type: 'skips_set', zoneId: zone.id, checks: [...(zone.skipped_checks ?? []), check.code] });
  return (
    <Column gap="$s" render="section" aria-label={KERB_LOOK_WORDS.lookFirst}>
      <Column>
        <Subheading>{`${check.title}, ${lowerFirst(nameZone(dossier, zone.id))}`}</Subheading>
        <Small>{`${check.where}. ${sayLookGain(look, sayMoney)}`}</Small>
      </Column>
      <Choices
        label={check.title}
        tileWidth={98}
        options={check.answers.map(({ code, label }) => ({
          code,
          label,
          drawing: <AnswerGlyph check={check.code} answer={code} />,
        }))}
        onPick={answer}
      />
      <Row>
        <Button onPress={skip}>{KERB_LOOK_WORDS.cantTell}</Button>
      </Row>
    </Column>
  );
}
