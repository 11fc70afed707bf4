import { View } from '@tamagui/core';
import { useState } from 'react';
import { OwnColour } from '@/client/features/colour';
import { Choices, Column, Disclosure, Row, Small, Strong, Swatch, useIsWide } from '@/client/ui';
import { contrastOfPair, readHex, suggestPalettes } from '@/core/colour';
import {
  colourOfPiece,
  colourScope,
  listColours,
  listScopes,
  nameZone,
  sharedWish,
  wishOf,
  type ColourScope,
  type Dossier,
  type Goal,
} from '@/core/dossier';
import { labelProduct, isPaint, type ProductClass } from '@/core/knowledge';
import { lowerFirst } from '@/core/shared';
import { COLOUR_BOARD_WORDS, sayColour, sayPairContrast, sayPalette } from '@/words';
import { PaintedPiece } from './painted-piece';
import { SecondColourForm } from './second-colour-form';

const COLOURS = [
  { code: '#F3EFE6', label: COLOUR_BOARD_WORDS.limeWhite },
  { code: '#DDE3DA', label: COLOUR_BOARD_WORDS.lichen },
  { code: '#9DB0A5', label: COLOUR_BOARD_WORDS.sage },
  { code: '#5E7487', label: COLOUR_BOARD_WORDS.slate },
  { code: '#2B3A42', label: COLOUR_BOARD_WORDS.ink },
  { code: '#7B2E26', label: COLOUR_BOARD_WORDS.oxide },
] as const;

interface ColourBoardProps {
  dossier: Dossier;
  onChange: (goal: Goal) => void;
}

/** The colours of a piece on its drawing: a tap on a face, or a name below, says what the next colour is for. */
export function ColourBoard({ dossier, onChange }: ColourBoardProps) {
  const wide = useIsWide();
  const scopes = listScopes(dossier);
  const [picked, setPicked] = useState<ColourScope['code']>('piece');
  const scope = scopes.find(({ code }) => code === picked) ?? scopes[0];
  if (!scope || scope.ids.length === 0) return null;
  // A group of one is that zone under another name.
  const named = scopes.filter(({ code, ids }) => code === 'piece' || code.startsWith('zone:') || ids.length > 1);
  const zone = scope.code.startsWith('zone:') ? dossier.zones?.find(({ id }) => id === scope.ids[0]) : undefined;
  const colour = sharedWish(dossier, scope, 'colour');
  const name = nameScope(dossier, scope);
  const title = scope.code === 'piece' ? COLOUR_BOARD_WORDS.colour : COLOUR_BOARD_WORDS.colourOfThe(lowerFirst(name));
  const set = (hex: string): void => onChange(colourScope(dossier, scope, hex));
  return (
    <Column gap="$m">
      <Strong>{title}</Strong>
      <Row gap="$m" flexWrap="wrap" alignItems="flex-start">
        <PaintedPiece
          dossier={dossier}
          width={wide ? 420 : 340}
          mostHeight={wide ? 240 : 190}
          current={zone?.id}
          onPick={(id) => {
            const own = scopes.find(({ code }) => code === `zone:${id}`);
            if (own) setPicked(own.code);
          }}
        />
        <Column gap="$s" flex={1} minWidth={240}>
          <Choices
            label={COLOUR_BOARD_WORDS.whatIsColoured}
            options={named.map((own) => ({ code: own.code, label: nameScope(dossier, own) }))}
            value={scope.code}
            onPick={setPicked}
          />
        </Column>
      </Row>
      <Choices
        label={title}
        options={listSwatches(dossier).map(({ code, label }) => ({
          code,
          label,
          drawing: <Swatch colour={code} />,
        }))}
        value={colour}
        onPick={set}
      />
      <OwnColour key={`${scope.code}${colour ?? ''}`} colour={colour ?? colourOfPiece(dossier)} onPick={set} />
      <Pair dossier={dossier} />
      <Palettes dossier={dossier} scopes={scopes} onChange={onChange} />
      {zone ? (
        <Disclosure
          label={COLOUR_BOARD_WORDS.aSecondColourOnThe(lowerFirst(name))}
          startsOpen={wishOf(dossier, zone).second !== undefined}
        >
          {() => <SecondColourForm key={zone.id} dossier={dossier} zone={zone} onChange={onChange} />}
        </Disclosure>
      ) : (
        <Small>{COLOUR_BOARD_WORDS.bandsPanelsOrAFarSide}</Small>
      )}
    </Column>
  );
}

function nameScope(dossier: Dossier, { code, ids }: ColourScope): string {
  if (code === 'piece') return COLOUR_BOARD_WORDS.wholePiece;
  if (code === 'fronts') return COLOUR_BOARD_WORDS.fronts;
  if (code === 'body') return COLOUR_BOARD_WORDS.body;
  return nameZone(dossier, ids[0]!);
}

/** Tins of paint whose colour is known, by name, then colours to start from. */
export function listSwatches({ shelf = [] }: Pick<Dossier, 'shelf'>): { code: string; label: string }[] {
  const tins = shelf.flatMap(({ class: code, colour, name }) =>
    colour && isPaint(code) ? [{ code: colour, label: name ?? labelProduct(code as ProductClass) }] : [],
  );
  return [...tins, ...COLOURS].filter(
    (own, i, all) => all.findIndex(({ code }) => readHex(code) === readHex(own.code)) === i,
  );
}

/** What the two colours of a piece are to each other. */
function Pair({ dossier }: { dossier: Dossier }) {
  const [first, second] = listColours(dossier);
  if (!first || !second) return null;
  const contrast = contrastOfPair(first.colour, second.colour);
  return (
    <Row gap="$s" alignItems="center">
      <View
        flexDirection="row"
        role="img"
        aria-label={COLOUR_BOARD_WORDS.and(sayColour(first.colour), sayColour(second.colour))}
      >
        <Swatch colour={first.colour} />
        <Swatch colour={second.colour} />
      </View>
      <Small flex={1}>{COLOUR_BOARD_WORDS.apartInLightness(Math.round(contrast), sayPairContrast(contrast))}</Small>
    </Row>
  );
}

/** Pairs out of the shop's own tins: one tap gives body and fronts their colours. */
function Palettes({ dossier, scopes, onChange }: ColourBoardProps & { scopes: readonly ColourScope[] }) {
  const [fronts, body] = (['fronts', 'body'] as const).map((code) => scopes.find((own) => own.code === code));
  const swatches = listSwatches(dossier);
  const palettes = suggestPalettes(swatches.map(({ code }) => code));
  if (!fronts || !body || palettes.length === 0) return null;
  const name = (hex: string): string => swatches.find(({ code }) => code === hex)?.label ?? hex;
  return (
    <Column gap="$s">
      <Strong>{COLOUR_BOARD_WORDS.pairsOutOfYourTinsAnd}</Strong>
      <Choices
        label={COLOUR_BOARD_WORDS.pairsOfColours}
        tileWidth={150}
        options={palettes.map((own) => ({
          code: own.kind,
          label: sayPalette(own.kind),
          hint: `${name(own.body)}, ${name(own.fronts)}`,
          drawing: (
            <View flexDirection="row">
              <Swatch colour={own.body} />
              <Swatch colour={own.fronts} />
            </View>
          ),
        }))}
        value={
          palettes.find(
            (own) =>
              sharedWish(dossier, body, 'colour') === own.body && sharedWish(dossier, fronts, 'colour') === own.fronts,
          )?.kind
        }
        onPick={(kind) => {
          const own = palettes.find((palette) => palette.kind === kind)!;
          const goal = colourScope(dossier, body, own.body);
          onChange(colourScope({ ...dossier, goal }, fronts, own.fronts));
        }}
      />
    </Column>
  );
}
