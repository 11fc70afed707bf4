import { Card, Column, Heading, KeptField, Pressed, Row, Small, StateMark, Strong } from '@/client/ui';
import type { PieceParts } from '@/client/features/piece-frame';
import { timeNow } from '@/client/store';
import type { Handover } from '@/core/dossier';
import { listReady, type ReadyItem } from '@/core/handover';
import { READY_LIST_WORDS } from '@/words';

/** What is seen to before it leaves, one tap each. */
export function ReadyList({ dossier, change }: PieceParts) {
  const items = listReady(dossier);
  const open = items.filter(({ doneAt }) => doneAt === null).length;
  const { handover = {} } = dossier;
  const set = (part: Partial<Handover>): void => change({ type: 'handover_set', handover: { ...handover, ...part } });
  const toggle = ({ code, doneAt }: ReadyItem): void => {
    const { [code]: _was, ...others } = handover.ready ?? {};
    set({ ready: doneAt === null ? { ...others, [code]: timeNow() } : others });
  };
  return (
    <Card gap="$s" render="section" aria-label={READY_LIST_WORDS.beforeItLeaves}>
      <Row justifyContent="space-between" alignItems="center" gap="$s">
        <Heading>{READY_LIST_WORDS.beforeItLeaves}</Heading>
        <StateMark tone={open === 0 ? 'go' : 'act'}>
          {open === 0 ? READY_LIST_WORDS.allSeenTo : READY_LIST_WORDS.toSeeTo(open)}
        </StateMark>
      </Row>
      {items.map((item) => (
        <Item key={item.code} item={item} onPress={() => toggle(item)} />
      ))}
      <KeptField
        label={READY_LIST_WORDS.onTheLabelOfTheJar}
        value={handover.touch_up}
        most={120}
        onSet={(touch_up) => set({ touch_up })}
      />
      <KeptField
        label={READY_LIST_WORDS.flawsThatStay}
        value={handover.flaws}
        most={500}
        onSet={(flaws) => set({ flaws })}
      />
    </Card>
  );
}

function Item({ item: { label, why, off, doneAt }, onPress }: { item: ReadyItem; onPress: () => void }) {
  const held = off > 0;
  return (
    <Pressed
      role="checkbox"
      aria-checked={doneAt !== null}
      aria-disabled={held}
      aria-label={label}
      flexDirection="row"
      justifyContent="flex-start"
      alignItems="center"
      gap="$m"
      paddingHorizontal="$m"
      backgroundColor={doneAt === null ? '$card' : '$goTint'}
      onPress={held ? undefined : onPress}
      {...{ type: 'button' }}
    >
      <Strong width={22} textAlign="center" color={doneAt === null ? '$softInk' : '$go'} aria-hidden>
        {doneAt === null ? '○' : '✓'}
      </Strong>
      <Column flex={1} alignItems="flex-start">
        <Strong textAlign="left">{label}</Strong>
        <Small textAlign="left">{held ? READY_LIST_WORDS.offStillPutThemBackIn(off) : why}</Small>
      </Column>
    </Pressed>
  );
}
