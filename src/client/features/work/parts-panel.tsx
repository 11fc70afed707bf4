import { timeNow } from '@/client/store';
import type { PieceParts } from '@/client/features/piece-frame';
import { Body, Button, Choices, Column, Disclosure, printSvg, Row, Small, StateMark, Strong } from '@/client/ui';
import type { Part } from '@/core/dossier';
import { drawLabels, listParts } from '@/core/work';
import { PARTS_PANEL_WORDS, PART_WORDS } from '@/words';

const STATES = [
  { code: 'on', label: PARTS_PANEL_WORDS.on },
  { code: 'off', label: PARTS_PANEL_WORDS.offLabelled },
  { code: 'refitted', label: PARTS_PANEL_WORDS.refitted },
] as const;

/** Doors, drawers and shelves by their numbers: off, on stands, and back where they belong. */
export function PartsPanel({ dossier, change }: PieceParts) {
  const parts = listParts(dossier, PART_WORDS);
  if (parts.length === 0) return null;
  const set = (ids: readonly string[], state: Part['state']): void => {
    const at = timeNow();
    const touched = parts.filter(({ id }) => ids.includes(id)).map((part) => ({ ...part, state, at }));
    const others = (dossier.parts ?? []).filter(({ id }) => !ids.includes(id));
    // What was never touched is not in the record: it is where the drawing of the piece has it.
    change({ type: 'parts_set', parts: [...others, ...touched] });
  };
  const off = parts.filter(({ state }) => state === 'off');
  const back = parts.filter(({ state }) => state === 'refitted');
  const roles = (dossier.zones ?? []).filter(({ id }) => parts.some(({ zone }) => zone === id)).map(({ role }) => role);
  const doors = roles.includes('door');
  const drawers = roles.includes('drawer_front');
  const svg = drawLabels(parts, dossier.piece.name ?? PARTS_PANEL_WORDS.piece, PART_WORDS);
  return (
    <Disclosure label={PARTS_PANEL_WORDS.partsAndLabelsNamed(off.length, back.length, parts.length)}>
      {() => (
        <Column gap="$m" role="region" aria-label={PARTS_PANEL_WORDS.partsAndLabels}>
          <Body>{PARTS_PANEL_WORDS.eachPartHasItsNumberTwice}</Body>
          <Row gap="$s" flexWrap="wrap">
            <Button onPress={() => printSvg(svg)}>{PARTS_PANEL_WORDS.printTheLabels}</Button>
            <Button
              onPress={() =>
                set(
                  parts.filter(({ state }) => state === 'on').map(({ id }) => id),
                  'off',
                )
              }
            >
              {PARTS_PANEL_WORDS.allOff}
            </Button>
          </Row>
          {parts.map((part) => (
            <Column key={part.id} gap="$xs">
              <Row gap="$s" alignItems="baseline">
                <Strong minWidth={44}>{part.label}</Strong>
                <Body flexShrink={1}>{part.place}</Body>
              </Row>
              <Choices
                label={PARTS_PANEL_WORDS.whereIs(part.label)}
                options={STATES}
                value={part.state}
                onPick={(state) => set([part.id], state)}
              />
            </Column>
          ))}
          {off.length > 0 && doors ? (
            <StateMark tone="wait">{PARTS_PANEL_WORDS.beforeHangingScrapePaintOutOf}</StateMark>
          ) : null}
          {off.length > 0 && drawers ? (
            <StateMark tone="wait">{PARTS_PANEL_WORDS.beforeSlidingInSandPaintOff}</StateMark>
          ) : null}
          {back.length === parts.length ? <StateMark tone="go">{PARTS_PANEL_WORDS.allPartsAreBack}</StateMark> : null}
          <Small>{PARTS_PANEL_WORDS.printAt100AnArrowShows}</Small>
        </Column>
      )}
    </Disclosure>
  );
}
