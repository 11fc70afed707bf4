import { View } from '@tamagui/core';
import { useRef, useState } from 'react';
import Svg, { Rect } from 'react-native-svg';
import { OwnColour } from '@/client/features/colour';
import { useDrag } from '@/client/features/drag';
import { useMeasures } from '@/client/store';
import { Button, Choices, Column, EDGE, Field, Row, Small, Swatch } from '@/client/ui';
import {
  LIMITS,
  secondSchema,
  wishOf,
  wishZones,
  type Dossier,
  type Goal,
  type SecondColour,
  type Zone,
} from '@/core/dossier';
import { DEFAULT_AREA_M2 } from '@/core/knowledge';
import { assignShapes, measureFaces, measureSecond, templateOf, type Face } from '@/core/templates';
import { listSwatches } from './colour-board';
import { SECOND_COLOUR_FORM_WORDS } from '@/words';

type Lies = SecondColour['lies'];
type Band = NonNullable<SecondColour['bands']>[number];

const PLACES: readonly { code: Lies | 'none'; label: string }[] = [
  { code: 'none', label: SECOND_COLOUR_FORM_WORDS.none },
  { code: 'upright', label: SECOND_COLOUR_FORM_WORDS.uprightBands },
  { code: 'level', label: SECOND_COLOUR_FORM_WORDS.levelBands },
  { code: 'panel', label: SECOND_COLOUR_FORM_WORDS.aFieldInAFrame },
  { code: 'far_side', label: SECOND_COLOUR_FORM_WORDS.theFarSide },
];

interface SecondColourFormProps {
  dossier: Dossier;
  zone: Zone;
  onChange: (goal: Goal) => void;
}

/** A second colour on the faces of a zone: where it lies, by dragging it on a face or by numbers. */
export function SecondColourForm({ dossier, zone, onChange }: SecondColourFormProps) {
  const { gauge, sayArea } = useMeasures();
  const { colour, second } = wishOf(dossier, zone);
  const area = zone.area_m2 ?? DEFAULT_AREA_M2;
  const faces = measureFaces(assignShapes(templateOf(dossier.piece).shapes, dossier.zones ?? []), zone, area);
  const face = faces.reduce((largest, own) =>
    own.width * own.height > largest.width * largest.height ? own : largest,
  );
  const set = (next: SecondColour | undefined): void =>
    onChange(wishZones(dossier.goal ?? {}, [zone.id], { second: next }));
  const swatches = listSwatches(dossier).filter(({ code }) => code !== colour);
  const pick = (lies: Lies | 'none'): void => {
    if (lies === 'none') return set(undefined);
    const across = lies === 'level' ? face.height : face.width;
    const start = Math.round(across * 0.4);
    set({
      colour: second?.colour ?? swatches.find(({ code }) => code === '#2B3A42')?.code ?? swatches[0]!.code,
      lies,
      ...(lies === 'upright' || lies === 'level'
        ? { bands: [{ at_mm: start, width_mm: Math.round(across * 0.2) }] }
        : {}),
      ...(lies === 'panel' ? { margin_mm: Math.round(Math.min(face.width, face.height) * 0.15) } : {}),
    });
  };
  const taken = second ? measureSecond(second, faces) : null;
  return (
    <Column gap="$m">
      <Choices
        label={SECOND_COLOUR_FORM_WORDS.whereItLies}
        options={PLACES}
        value={second?.lies ?? 'none'}
        onPick={pick}
      />
      {second ? (
        <>
          <Choices
            label={SECOND_COLOUR_FORM_WORDS.theSecondColour}
            options={swatches.map(({ code, label }) => ({ code, label, drawing: <Swatch colour={code} /> }))}
            value={second.colour}
            onPick={(code) => set({ ...second, colour: code })}
          />
          <OwnColour key={second.colour} colour={second.colour} onPick={(code) => set({ ...second, colour: code })} />
          {second.lies === 'far_side' ? (
            <FarSide dossier={dossier} onChange={onChange} />
          ) : (
            <FaceDrawing face={face} colour={colour} second={second} onSet={set} />
          )}
          {second.lies === 'panel' ? (
            <Numbers
              key={second.margin_mm}
              values={[{ label: SECOND_COLOUR_FORM_WORDS.widthOfTheFrame, mm: second.margin_mm! }]}
              onKeep={([margin]) => set({ ...second, margin_mm: margin! })}
              isRight={([margin]) => secondSchema.safeParse({ ...second, margin_mm: margin }).success}
            />
          ) : null}
          {second.bands?.map((band, i) => (
            <BandRow key={`${i}/${band.at_mm}/${band.width_mm}`} second={second} number={i} onSet={set} />
          ))}
          {second.bands && second.bands.length < LIMITS.bands ? (
            <Button onPress={() => set(addBand(second, second.lies === 'level' ? face.height : face.width))}>
              {SECOND_COLOUR_FORM_WORDS.oneMoreBand}
            </Button>
          ) : null}
          {taken ? (
            <Small>
              {SECOND_COLOUR_FORM_WORDS.takesOfIt(
                Math.round(taken.share * 100),
                sayArea(taken.share * area),
                taken.tapeM,
                gauge('side_mm').say(Math.round(taken.tapeM * 1000)),
              )}
            </Small>
          ) : null}
        </>
      ) : null}
    </Column>
  );
}

/** A band more, behind the last, as wide as that. */
function addBand(second: SecondColour, across: number): SecondColour {
  const bands = [...(second.bands ?? [])].sort((a, b) => a.at_mm - b.at_mm);
  const last = bands.at(-1)!;
  const room = across - last.at_mm - last.width_mm;
  const width = Math.max(5, Math.round(Math.min(last.width_mm, room / 2)));
  return { ...second, bands: [...bands, { at_mm: last.at_mm + last.width_mm + width, width_mm: width }] };
}

interface FarSideProps {
  dossier: Dossier;
  onChange: (goal: Goal) => void;
}

/** A door between two rooms: which room the opening edge belongs to. */
function FarSide({ dossier, onChange }: FarSideProps) {
  if (dossier.piece.kind !== 'interior_door') return null;
  return (
    <Column gap="$s">
      <Choices
        label={SECOND_COLOUR_FORM_WORDS.theDoorOpensIntoTheRoom}
        options={[
          { code: 'near' as const, label: SECOND_COLOUR_FORM_WORDS.theFirstColour },
          { code: 'far' as const, label: SECOND_COLOUR_FORM_WORDS.theSecondColour },
        ]}
        value={dossier.goal?.opens_to ?? 'near'}
        onPick={(code) => onChange({ ...dossier.goal, opens_to: code })}
      />
      <Small>{SECOND_COLOUR_FORM_WORDS.itsOpeningEdgeTakesThatColour}</Small>
    </Column>
  );
}

interface BandRowProps {
  second: SecondColour;
  number: number;
  onSet: (second: SecondColour) => void;
}

function BandRow({ second, number, onSet }: BandRowProps) {
  const bands = second.bands!;
  const { at_mm, width_mm } = bands[number]!;
  const put = (band: Band): SecondColour => ({ ...second, bands: bands.map((own, i) => (i === number ? band : own)) });
  return (
    <Row gap="$s" alignItems="flex-end" role="group" aria-label={SECOND_COLOUR_FORM_WORDS.band(number + 1)}>
      <Numbers
        values={[
          {
            label:
              second.lies === 'level'
                ? SECOND_COLOUR_FORM_WORDS.fromTheLowerEdge
                : SECOND_COLOUR_FORM_WORDS.fromTheLeftEdge,
            mm: at_mm,
          },
          { label: SECOND_COLOUR_FORM_WORDS.width, mm: width_mm },
        ]}
        onKeep={([at, wide]) => onSet(put({ at_mm: at!, width_mm: wide! }))}
        isRight={([at, wide]) => secondSchema.safeParse(put({ at_mm: at!, width_mm: wide! })).success}
      />
      {bands.length > 1 ? (
        <Button
          label={SECOND_COLOUR_FORM_WORDS.removeBand(number + 1)}
          onPress={() => onSet({ ...second, bands: bands.filter((_, i) => i !== number) })}
        >
          {SECOND_COLOUR_FORM_WORDS.remove}
        </Button>
      ) : null}
    </Row>
  );
}

interface NumbersProps {
  values: readonly { label: string; mm: number }[];
  onKeep: (values: number[]) => void;
  isRight: (values: number[]) => boolean;
}

/** Lengths that are kept when they are left, if they are right together. */
function Numbers({ values, onKeep, isRight }: NumbersProps) {
  const length = useMeasures().gauge('length_mm');
  const [typed, setTyped] = useState(() => values.map(({ mm }) => length.write(mm)));
  const read = typed.map((text, i) => length.read(text, values[i]!.mm) ?? NaN);
  const right = read.every((mm) => !Number.isNaN(mm)) && isRight(read);
  const keep = (): void => {
    if (right && read.some((mm, i) => mm !== values[i]!.mm)) onKeep(read);
  };
  return values.map(({ label }, i) => (
    <Field
      key={label}
      label={label}
      unit={length.unit}
      numeric
      value={typed[i]!}
      onChange={(text) => setTyped(typed.map((own, k) => (k === i ? text : own)))}
      onBlur={keep}
      error={right || i > 0 ? undefined : SECOND_COLOUR_FORM_WORDS.aLengthAndNoBandOn(length.say(5))}
    />
  ));
}

const FACE_PX = 220;

interface FaceDrawingProps {
  face: Face;
  colour: string;
  second: SecondColour;
  onSet: (second: SecondColour) => void;
}

/** One face with its bands; a band is dragged along, the numbers below do the same. */
function FaceDrawing({ face, colour, second, onSet }: FaceDrawingProps) {
  const scale = FACE_PX / Math.max(face.width, face.height);
  const [dragged, setDragged] = useState<SecondColour | null>(null);
  const grabbed = useRef<{ band: number; at: number } | null>(null);
  const shown = dragged ?? second;
  const upright = shown.lies === 'upright';
  const across = upright ? face.width : face.height;
  const host = useRef<HTMLElement | null>(null);
  const drag = useDrag({
    onStart: ({ x, y }) => {
      const box = host.current?.getBoundingClientRect();
      if (!box || !second.bands) return;
      const at = upright ? (x - box.left - window.scrollX) / scale : (box.bottom + window.scrollY - y) / scale;
      const reach = 24 / scale;
      const band = second.bands.findIndex((own) => at >= own.at_mm - reach && at <= own.at_mm + own.width_mm + reach);
      grabbed.current = band < 0 ? null : { band, at: second.bands[band]!.at_mm };
    },
    onMove: (_at, { x, y }) => {
      if (!grabbed.current || !second.bands) return;
      const { band, at } = grabbed.current;
      const moved = at + (upright ? x : -y) / scale;
      const width = second.bands[band]!.width_mm;
      const next = Math.round(Math.min(across - Math.min(width, across), Math.max(0, moved)));
      const put = { ...second, bands: second.bands.map((own, i) => (i === band ? { ...own, at_mm: next } : own)) };
      if (secondSchema.safeParse(put).success) setDragged(put);
    },
    onEnd: () => {
      if (dragged) onSet(dragged);
      setDragged(null);
      grabbed.current = null;
    },
  });
  const [width, height] = [face.width * scale, face.height * scale];
  const margin = (shown.margin_mm ?? 0) * scale;
  return (
    <View
      ref={host as never}
      width={width}
      height={height}
      role="img"
      aria-label={SECOND_COLOUR_FORM_WORDS.theFaceWithItsSecondColour}
      {...(second.bands ? drag : {})}
      {...{ style: { touchAction: 'none', cursor: second.bands ? 'grab' : 'default' } }}
    >
      <Svg width={width} height={height} pointerEvents="none">
        <Rect x={0.5} y={0.5} width={width - 1} height={height - 1} fill={colour} stroke={EDGE} />
        {shown.bands?.map(({ at_mm, width_mm }, i) => {
          const [start, wide] = [at_mm * scale, Math.min(width_mm, across - at_mm) * scale];
          return upright ? (
            <Rect key={i} x={start} y={0} width={wide} height={height} fill={shown.colour} />
          ) : (
            <Rect key={i} x={0} y={height - start - wide} width={width} height={wide} fill={shown.colour} />
          );
        })}
        {shown.lies === 'panel' && width > 2 * margin && height > 2 * margin ? (
          <Rect x={margin} y={margin} width={width - 2 * margin} height={height - 2 * margin} fill={shown.colour} />
        ) : null}
      </Svg>
    </View>
  );
}
