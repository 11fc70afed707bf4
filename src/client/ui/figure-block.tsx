import { Column } from './layout';
import { Figure, Small } from './text';

/** A figure that is read from a distance, with what it is of. Two stand abreast where there is room. */
export function FigureBlock({ figure, words }: { figure: string; words: string }) {
  return (
    <Column flexBasis="44%" flexGrow={1}>
      <Figure>{figure}</Figure>
      <Small>{words}</Small>
    </Column>
  );
}
