import { Column, Figure, Small } from '@/client/ui';

export const sayHours = (minutes: number): string =>
  minutes < 90 ? `${Math.round(minutes)} min` : `${Math.round(minutes / 6) / 10} h`;
export const sayDays = (hours: number): string =>
  hours < 36 ? `${Math.round(hours)} h` : `${Math.round(hours / 24)} days`;

/** A figure that is read from a distance, with what it is of. */
export function FigureBlock({ figure, words }: { figure: string; words: string }) {
  return (
    <Column flexBasis="44%" flexGrow={1}>
      <Figure>{figure}</Figure>
      <Small>{words}</Small>
    </Column>
  );
}
