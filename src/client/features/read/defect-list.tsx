import type { ReactNode } from 'react';
import { PhotoButton } from '@/client/features/photos';
import {
  Button,
  Card,
  Choices,
  Column,
  DefectGlyph,
  measureDrawing,
  Row,
  Small,
  Strong,
  Subheading,
  type Place,
} from '@/client/ui';
import { makeId } from '@/client/store';
import type { Defect } from '@/core/dossier';
import { DEFECT_FACTS, detailOf, FAULT_ANSWERS } from '@/core/knowledge';
import { DEFECT_LIST_WORDS, sayAnswers } from '@/words';
import type { Shape } from '@/core/templates';
import { DefectPicker } from './defect-picker';
import type { ReadingParts } from './reading-words';
import { lowerFirst } from '@/core/shared';

interface DefectListProps extends ReadingParts {
  shapes: readonly Shape[];
  placing: number | null;
  onPlacing: (index: number | null) => void;
}

/** What is wrong with the zone: each defect is evidence and work, with its extent, number, place and picture. */
export function DefectList({ zone, dossier, diagnosis, change, shapes, placing, onPlacing }: DefectListProps) {
  const defects = zone.defects ?? [];
  const set = (next: Defect[]): void => change({ type: 'defects_set', zoneId: zone.id, defects: next });
  const update = (index: number, part: Partial<Defect>): void =>
    set(defects.map((defect, i) => (i === index ? { ...defect, ...part } : defect)));
  return (
    <Column gap="$s" render="section" aria-label={DEFECT_LIST_WORDS.damageAndStains}>
      {defects.length > 0 ? <Subheading>{DEFECT_LIST_WORDS.damageAndStains}</Subheading> : null}
      {defects.map((defect, i) => (
        <DefectCard
          key={i}
          number={i + 1}
          defect={defect}
          placing={placing === i}
          onPlacing={() => onPlacing(placing === i ? null : i)}
          onUpdate={(part) => update(i, part)}
          onRemove={() => set(defects.filter((_, j) => j !== i))}
          places={ninePlaces(shapes, zone.id)}
          photoButton={
            <PhotoButton
              dossier={dossier}
              zone={zone}
              label={defect.photo ? DEFECT_LIST_WORDS.anotherPicture : DEFECT_LIST_WORDS.picture}
              onTaken={(photo) => update(i, { photo })}
            />
          }
        />
      ))}
      <DefectPicker
        zone={zone}
        diagnosis={diagnosis}
        onPick={(code) => set([...defects, { id: makeId(), code, extent: 'spot', count: 1 }])}
      />
    </Column>
  );
}

const EXTENTS = [
  { code: 'spot', label: DEFECT_LIST_WORDS.aSpot },
  { code: 'area', label: DEFECT_LIST_WORDS.anArea },
  { code: 'all', label: DEFECT_LIST_WORDS.allOver },
] as const;

interface DefectCardProps {
  number: number;
  defect: Defect;
  placing: boolean;
  places: readonly (Place & { code: string; label: string })[];
  onPlacing: () => void;
  onUpdate: (part: Partial<Defect>) => void;
  onRemove: () => void;
  photoButton: ReactNode;
}

function DefectCard({ number, defect, placing, places, onPlacing, onUpdate, onRemove, photoButton }: DefectCardProps) {
  const { label } = DEFECT_FACTS[defect.code];
  const { question } = FAULT_ANSWERS[defect.code];
  const { ways, left } = sayAnswers(defect);
  const count = defect.count ?? 1;
  return (
    <Card gap="$s">
      <Row gap="$m" alignItems="center">
        <DefectGlyph code={defect.code} />
        <Column flex={1}>
          <Strong>{`${number}. ${label}${count > 1 ? ` ×${count}` : ''}`}</Strong>
          <Small>{ways.join(', or ')}</Small>
          <Small>{DEFECT_LIST_WORDS.left(lowerFirst(left))}</Small>
        </Column>
      </Row>
      {question ? (
        <Column gap="$xs">
          <Strong>{question.ask}</Strong>
          <Choices
            label={`${label}: ${question.ask}`}
            options={question.answers}
            value={detailOf(defect)}
            onPick={(detail) => onUpdate({ detail })}
          />
        </Column>
      ) : null}
      <Choices
        label={DEFECT_LIST_WORDS.howMuch(label)}
        options={EXTENTS}
        value={defect.extent}
        onPick={(extent) => onUpdate({ extent })}
      />
      <Row gap="$s" flexWrap="wrap">
        <Button
          label={DEFECT_LIST_WORDS.oneLess(label)}
          disabled={count <= 1}
          onPress={() => onUpdate({ count: count - 1 })}
        >
          −
        </Button>
        <Button label={DEFECT_LIST_WORDS.oneMore(label)} onPress={() => onUpdate({ count: count + 1 })}>
          +
        </Button>
        {places.length > 0 ? (
          <Button onPress={onPlacing}>
            {placing
              ? DEFECT_LIST_WORDS.closeThePlaces
              : defect.place
                ? DEFECT_LIST_WORDS.moveIt
                : DEFECT_LIST_WORDS.where}
          </Button>
        ) : null}
        {photoButton}
        <Button look="quiet" label={DEFECT_LIST_WORDS.removeNamed(label)} onPress={onRemove}>
          {DEFECT_LIST_WORDS.remove}
        </Button>
      </Row>
      {placing ? (
        <Choices
          label={DEFECT_LIST_WORDS.placeOf(label)}
          tileWidth={84}
          options={places.map(({ code, label: words }) => ({ code, label: words }))}
          onPick={(code) => {
            const found = places.find((place) => place.code === code)!;
            onUpdate({ place: { x: found.x, y: found.y } });
            onPlacing();
          }}
        />
      ) : null}
    </Card>
  );
}

const ROWS = ['upper', 'middle', 'lower'] as const;
const COLUMNS = ['left', 'centre', 'right'] as const;

/** Nine places of a zone, for those who do not tap the drawing. Empty for a zone that is not in it. */
function ninePlaces(shapes: readonly Shape[], zoneId: string): (Place & { code: string; label: string })[] {
  const own = shapes.filter(({ zone, detail }) => zone === zoneId && !detail);
  if (own.length === 0) return [];
  const all = measureDrawing(shapes);
  const zone = measureDrawing(own);
  const share = (value: number): number => Math.round(value * 1000) / 1000;
  return ROWS.flatMap((row, r) =>
    COLUMNS.map((column, c) => ({
      code: `${row} ${column}`,
      label: `${row} ${column}`,
      x: share((zone.left - all.left + (zone.wide * (2 * c + 1)) / 6) / all.wide),
      y: share((zone.top - all.top + (zone.tall * (2 * r + 1)) / 6) / all.tall),
    })),
  );
}
