import { timeNow } from '@/client/store';
import type { PieceParts } from '@/client/features/piece-frame';
import { Body, Button, Choices, Column, Disclosure, printSvg, Row, Small, StateMark, Strong } from '@/client/ui';
import type { Part } from '@/core/dossier';
import { drawLabels, listParts } from '@/core/work';

const STATES = [
  { code: 'on', label: 'On' },
  { code: 'off', label: 'Off, labelled' },
  { code: 'refitted', label: 'Refitted' },
] as const;

/** Doors, drawers and shelves by their numbers: off, on stands, and back where they belong. */
export function PartsPanel({ dossier, change }: PieceParts) {
  const parts = listParts(dossier);
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
  const svg = drawLabels(parts, dossier.piece.name ?? 'Piece');
  return (
    <Disclosure
      label={`Parts and labels: ${off.length > 0 ? `${off.length} off` : back.length > 0 ? `${back.length} of ${parts.length} refitted` : `${parts.length} parts`}`}
    >
      {() => (
        <Column gap="$m" role="region" aria-label="Parts and labels">
          <Body>Each part has its number twice: where no paint goes on it, and in the opening it came from.</Body>
          <Row gap="$s" flexWrap="wrap">
            <Button onPress={() => printSvg(svg)}>Print the labels</Button>
            <Button
              onPress={() =>
                set(
                  parts.filter(({ state }) => state === 'on').map(({ id }) => id),
                  'off',
                )
              }
            >
              All off
            </Button>
          </Row>
          {parts.map((part) => (
            <Column key={part.id} gap="$xs">
              <Row gap="$s" alignItems="baseline">
                <Strong minWidth={44}>{part.label}</Strong>
                <Body flexShrink={1}>{part.place}</Body>
              </Row>
              <Choices
                label={`Where is ${part.label}?`}
                options={STATES}
                value={part.state}
                onPick={(state) => set([part.id], state)}
              />
            </Column>
          ))}
          {off.length > 0 && doors ? (
            <StateMark tone="wait">Before hanging: scrape paint out of the hinge recesses</StateMark>
          ) : null}
          {off.length > 0 && drawers ? (
            <StateMark tone="wait">Before sliding in: sand paint off runners, wax only there</StateMark>
          ) : null}
          {back.length === parts.length ? <StateMark tone="go">All parts are back</StateMark> : null}
          <Small>Print at 100 %. An arrow shows which way is up.</Small>
        </Column>
      )}
    </Disclosure>
  );
}
