import Svg, { Circle, Defs, G, Line, Path, Pattern, Polyline, Rect } from 'react-native-svg';
import { useId } from 'react';
import { View } from '@tamagui/core';
import type { SubstrateCode } from '@/core/knowledge';
import type { Section, SectionLayer } from '@/core/piece';
import type { Tones } from './tokens';
import { useIsDark, useTones } from './use-tones';
import { SECTION_DRAWING_WORDS } from '@/words';

/*
 * The section: a cut through a zone. Substrates differ by hatch as well as colour; a finish lies on top; a prep is a
 * toothed line; each coat is a band as thick as its dry film.
 */

type Hatch = 'grain' | 'dashes' | 'chips' | 'dots' | 'plies' | 'plain';

interface Material {
  hatch: Hatch;
  light: string;
  dark: string;
  /** Colour of a facing sheet that belongs to the board itself. */
  face?: string;
}

const MATERIALS: Record<SubstrateCode, Material> = {
  knotty_softwood: { hatch: 'grain', light: '#E8CF9E', dark: '#5A4726' },
  clear_softwood: { hatch: 'grain', light: '#EEDDB6', dark: '#5C4D30' },
  open_grain_hardwood: { hatch: 'grain', light: '#CFA76A', dark: '#4F3A1B' },
  closed_grain_hardwood: { hatch: 'grain', light: '#E2C49B', dark: '#544128' },
  tannin_rich_wood: { hatch: 'dashes', light: '#B96A48', dark: '#4A2418' },
  oily_tropical_wood: { hatch: 'dashes', light: '#9B6A3C', dark: '#412A14' },
  wood_veneer: { hatch: 'chips', light: '#D9C3A2', dark: '#44382A', face: '#B07B4E' },
  hpl_laminate: { hatch: 'chips', light: '#DCCBAE', dark: '#3F382B', face: '#3A322C' },
  melamine_board: { hatch: 'chips', light: '#DCCBAE', dark: '#3F382B', face: '#FFFFFF' },
  thermofoil: { hatch: 'dots', light: '#CDAF86', dark: '#443624', face: '#F4F4F2' },
  paper_foil: { hatch: 'chips', light: '#D8C6A6', dark: '#41382A', face: '#A9865B' },
  mdf: { hatch: 'dots', light: '#CDAF86', dark: '#443624' },
  particleboard: { hatch: 'chips', light: '#D8C6A6', dark: '#41382A' },
  plywood: { hatch: 'plies', light: '#E0C693', dark: '#514024' },
  hardboard: { hatch: 'dots', light: '#8F6B48', dark: '#38291B' },
  metal_ferrous: { hatch: 'plain', light: '#9AA3A8', dark: '#3B4246' },
  metal_nonferrous: { hatch: 'plain', light: '#C9B273', dark: '#4A4022' },
  plastic: { hatch: 'plain', light: '#C4CCD0', dark: '#3A4144' },
  glass_ceramic: { hatch: 'plain', light: '#D3E2E4', dark: '#2E3B3D' },
};

const FINISH_COLOURS: Readonly<Record<string, string>> = {
  wax: '#E5C77A',
  oil: '#C99B55',
  shellac: '#C9772E',
  nitro_lacquer: '#D49B4E',
  varnish_oil: '#C98A3C',
  waterborne_clear: '#E9E3CF',
  catalysed_lacquer: '#DDBF7C',
  chalk_paint: '#C9D3CF',
  latex_paint: '#B9C7D3',
  mineral_paint: '#C4CBB8',
  alkyd_paint: '#A8BBB0',
  factory_film: '#4A423A',
  powder_coat: '#7A838A',
  unknown: '#B5ADA0',
};

/** Pixels a micrometre of film is drawn at, and the least a band may be to be seen. */
const PX_PER_UM = 0.62;
const MIN_BAND = 14;
const SUBSTRATE_BAND = 96;
const FINISH_BAND = 11;
const TOOTH_BAND = 7;
/** Air above the top layer. */
const HEADROOM = 6;

function bandHeight(layer: SectionLayer): number {
  switch (layer.kind) {
    case 'substrate':
      return SUBSTRATE_BAND;
    case 'finish':
      return FINISH_BAND;
    case 'tooth':
      return TOOTH_BAND;
    case 'coat':
      return Math.max(MIN_BAND, layer.filmUm * PX_PER_UM);
  }
}

interface Band {
  layer: SectionLayer;
  y: number;
  height: number;
}

/** At least this share of a drawing shows what is underneath; in a thumbnail the coats are drawn thinner for it. */
const SUBSTRATE_SHARE = 0.4;

/** Bands from the bottom up. The substrate takes what room is left, so that drawings of a row end at one level. */
export function stack(layers: readonly SectionLayer[], height: number): Band[] {
  const room = height - HEADROOM;
  const coats = layers.reduce((sum, layer) => sum + (layer.kind === 'substrate' ? 0 : bandHeight(layer)), 0);
  const scale = Math.min(1, (room * (1 - SUBSTRATE_SHARE)) / coats);
  let y = height;
  return layers.map((layer) => {
    const band = layer.kind === 'substrate' ? room - coats * scale : bandHeight(layer) * scale;
    y -= band;
    return { layer, y, height: band };
  });
}

export function measureSection(section: Section): number {
  return section.layers.reduce((sum, layer) => sum + bandHeight(layer), 0) + HEADROOM;
}

interface SectionDrawingProps {
  section: Section;
  width?: number;
  height?: number;
  /** As a thumbnail it is a picture with a name; beside its labels it is decoration. */
  /** What it shows, for whoever does not see it; without it, it stands beside words that say it. */
  says?: string;
}

export function SectionDrawing({ section, width = 104, height, says }: SectionDrawingProps) {
  const tones = useTones();
  const dark = useIsDark();
  const id = useId().replace(/[^a-zA-Z0-9]/g, '');
  const tall = height ?? measureSection(section);
  const bands = stack(section.layers, tall);
  const label = says === undefined ? {} : { role: 'img' as const, 'aria-label': SECTION_DRAWING_WORDS.section(says) };
  return (
    <View
      aria-hidden={says === undefined}
      {...label}
      width={width}
      height={tall}
      overflow="hidden"
      borderWidth={1}
      borderColor="$line"
      borderRadius="$corner"
      backgroundColor="$card"
    >
      <Svg width={width} height={tall} viewBox={`0 0 ${width} ${tall}`}>
        <Defs>{hatches(id, tones)}</Defs>
        {bands.map((band, i) => (
          <BandDrawing key={i} band={band} width={width} hatchId={id} dark={dark} tones={tones} />
        ))}
      </Svg>
    </View>
  );
}

interface BandProps {
  band: Band;
  width: number;
  hatchId: string;
  dark: boolean;
  tones: Tones;
}

function BandDrawing({ band: { layer, y, height }, width, hatchId, dark, tones }: BandProps) {
  switch (layer.kind) {
    case 'substrate': {
      const material = MATERIALS[layer.substrate];
      return (
        <G>
          <Rect x={0} y={y} width={width} height={height} fill={dark ? material.dark : material.light} />
          <Rect x={0} y={y} width={width} height={height} fill={`url(#${hatchId}${material.hatch})`} opacity={0.75} />
          {material.face ? (
            <Rect x={0} y={y} width={width} height={7} fill={material.face} stroke={tones.ink} strokeWidth={0.8} />
          ) : null}
        </G>
      );
    }
    case 'finish':
      return (
        <G>
          <Rect
            x={0}
            y={y}
            width={width}
            height={height}
            fill={FINISH_COLOURS[layer.finish] ?? '#B5ADA0'}
            opacity={0.95}
          />
          <Line x1={0} x2={width} y1={y} y2={y} stroke={tones.ink} strokeWidth={0.8} />
        </G>
      );
    case 'tooth': {
      const points = Array.from(
        { length: Math.ceil(width / 5) + 1 },
        (_, i) => `${i * 5},${i % 2 === 0 ? y + height : y + 1}`,
      ).join(' ');
      return <Polyline points={points} fill="none" stroke={tones.ink} strokeWidth={1.5} />;
    }
    case 'coat':
      if (layer.state === 'planned')
        return <PlannedBand y={y} width={width} height={height} hatchId={hatchId} tones={tones} />;
      return (
        <G>
          <Rect
            x={0}
            y={y}
            width={width}
            height={height}
            fill={layer.lies ? SOAKED : layer.colour}
            opacity={layer.layer === 'clear' ? 0.55 : 1}
          />
          {layer.lies ? (
            <Path d={(layer.lies === 'in' ? drawPores : drawMelt)(width, y + height)} fill={SOAKED} opacity={0.8} />
          ) : null}
          {layer.state === 'wet' ? (
            <Rect x={0} y={y} width={width} height={height} fill={`url(#${hatchId}wet)`} />
          ) : null}
          {layer.state === 'cured' ? (
            <Line x1={0} x2={width} y1={y + 3} y2={y + 3} stroke={tones.go} strokeWidth={2} />
          ) : null}
          {layer.layer === 'clear' && !layer.lies ? (
            <Path
              d={`M0 ${y + height} L${width} ${y}`}
              stroke={tones.softInk}
              strokeWidth={0.8}
              strokeDasharray="3 4"
            />
          ) : null}
          <Line
            x1={0}
            x2={width}
            y1={y}
            y2={y}
            stroke={layer.layer === 'primer' ? '#56635C' : '#161D19'}
            strokeWidth={0.9}
            strokeDasharray={layer.layer === 'primer' ? '5 3' : undefined}
          />
          {layer.suspect ? (
            <Rect
              x={2}
              y={y + 1}
              width={width - 4}
              height={height - 2}
              fill={`url(#${hatchId}suspect)`}
              stroke={tones.stop}
              strokeWidth={2.4}
            />
          ) : null}
        </G>
      );
  }
}

/** Oil and shellac where they have gone into what is under them. */
const SOAKED = '#C99B55';
/** Pores that oil has filled, from the face down. */
const drawPores = (width: number, y: number): string =>
  Array.from({ length: Math.ceil(width / 10) }, (_, i) => `M${i * 10 + 2} ${y} h4 l-2 ${8 + (i % 3) * 4} z`).join(' ');
/** A coat that has flowed into the one under it: no edge between them. */
const drawMelt = (width: number, y: number): string =>
  `M0 ${y} ${Array.from({ length: Math.ceil(width / 16) }, () => 'q4 7 8 0 t8 0').join(' ')} V${y} H0 Z`;

interface PlannedProps {
  y: number;
  width: number;
  height: number;
  hatchId: string;
  tones: Tones;
}

/** A coat still to come: a dotted ghost. */
function PlannedBand({ y, width, height, hatchId, tones }: PlannedProps) {
  return (
    <G>
      <Rect x={0} y={y} width={width} height={height} fill={tones.ground} />
      <Rect x={0} y={y} width={width} height={height} fill={`url(#${hatchId}ghost)`} />
      <Line x1={0} x2={width} y1={y} y2={y} stroke={tones.line} strokeWidth={1} />
    </G>
  );
}

function hatches(id: string, tones: Tones) {
  const ink = tones.ink;
  return [
    <Pattern key="grain" id={`${id}grain`} width={40} height={14} patternUnits="userSpaceOnUse">
      <Path d="M0 4 Q10 1 20 4 T40 4 M0 10 Q12 13 24 10 T40 10" fill="none" stroke={ink} strokeWidth={0.7} />
    </Pattern>,
    <Pattern key="dashes" id={`${id}dashes`} width={22} height={12} patternUnits="userSpaceOnUse">
      <Path d="M2 3 h9 M13 9 h8" stroke={ink} strokeWidth={0.9} />
    </Pattern>,
    <Pattern key="chips" id={`${id}chips`} width={22} height={18} patternUnits="userSpaceOnUse">
      <Path
        d="M2 4 l6 -2 l3 3 l-6 2 z M13 10 l5 1 l1 3 l-6 0 z M4 13 l4 1 l-2 3 z M15 3 l4 1 l-3 2 z"
        fill="none"
        stroke={ink}
        strokeWidth={0.7}
      />
    </Pattern>,
    <Pattern key="dots" id={`${id}dots`} width={9} height={9} patternUnits="userSpaceOnUse">
      <Circle cx={2} cy={2} r={0.8} fill={ink} />
      <Circle cx={6.5} cy={6} r={0.8} fill={ink} />
    </Pattern>,
    <Pattern key="plies" id={`${id}plies`} width={12} height={16} patternUnits="userSpaceOnUse">
      <Path d="M0 0.5 h12 M0 8.5 h12 M3 8.5 v8 M9 8.5 v8" stroke={ink} strokeWidth={0.7} />
    </Pattern>,
    <Pattern key="ghost" id={`${id}ghost`} width={7} height={7} patternUnits="userSpaceOnUse">
      <Circle cx={3.5} cy={3.5} r={0.9} fill={tones.softInk} />
    </Pattern>,
    // Wet: waves, as light plays on it.
    <Pattern key="wet" id={`${id}wet`} width={16} height={7} patternUnits="userSpaceOnUse">
      <Rect width={16} height={7} fill="#8A5000" opacity={0.14} />
      <Path d="M0 4 Q4 0 8 4 T16 4" fill="none" stroke="#8A5000" strokeWidth={1.1} />
    </Pattern>,
    // Suspect: struck through from both sides.
    <Pattern key="suspect" id={`${id}suspect`} width={12} height={12} patternUnits="userSpaceOnUse">
      <Path d="M2 2 L10 10 M10 2 L2 10" stroke={tones.stop} strokeWidth={1.2} />
    </Pattern>,
    <Pattern key="plain" id={`${id}plain`} width={14} height={14} patternUnits="userSpaceOnUse">
      <Path d="M0 14 L14 0" stroke={ink} strokeWidth={0.5} />
    </Pattern>,
  ];
}
