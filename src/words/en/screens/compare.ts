import { lowerFirst } from '@/core/shared';

export const COMPARE_SCREEN_WORDS = {
  goOn: (next: string): string => `Go on: ${lowerFirst(next)}`,
  compare: 'Compare',
  thereIsNothingToCompareBefore: 'There is nothing to compare before the second piece.',
  one: 'One',
  other: 'Other',
  kind: 'Kind',
  whereItStands: 'Where it stands',
  next: 'Next',
  wantedBy: 'Wanted by',
  noDay: 'no day',
  faces: 'Faces',
  theBestWay: 'The best way',
  noWayIsOpenYet: 'No way is open yet.',
  goesWrong: 'Goes wrong',
  hoursOfHands: 'Hours of hands',
  h: (handsOnMin: number): string => `${handsOnMin} h`,
  onTheCalendar: 'With every hour free',
  days: (elapsedH: number): string => `${elapsedH} days`,
  materials: 'Materials in all',
  toBuy: 'Of that, tins to buy',
};
