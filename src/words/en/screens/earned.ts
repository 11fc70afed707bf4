export const DAYS_CHART_WORDS = {
  daysFromBoughtToSold: 'Days from bought to sold',
  halfOfTookDaysOrLess: (listCount: number, median: number, low: number, high: number): string =>
    `Half of ${listCount} took ${median} days or less; the quickest ${low}, the slowest ${high}.`,
};

export const GROUP_CHART_WORDS = {
  groups: 'Groups',
  sold: (count: number): string => `${count} sold`,
  fromToTheUprightLineIs: (least: string, most: string, mean: string): string =>
    `From ${least} to ${most}; the upright line is the mean of all, ${mean}.`,
  toBeExpectedMedian: (expected: string, median: string): string => `${expected} to be expected, median ${median}`,
  cannotTellYetFrom: (count: number, first: string, second: string, third: string): string =>
    `cannot tell yet from ${count}: ${count === 1 ? first : `${second} to ${third}`}`,
};

export const TIED_CHART_WORDS = {
  moneyTiedUp: 'Money tied up',
  standsInTheGarageIn: (now: string, piecesCount: number): string =>
    `${now} stands in the garage in ${piecesCount} ${piecesCount === 1 ? 'piece' : 'pieces'}.`,
  inWhichPieces: 'In which pieces',
  hereForDays: (parse: number): string => `here for ${parse} days`,
  atTheEndOfAtMost: (then: string, month: string, most: string, now: string): string =>
    `${then} at the end of ${month}, at most ${most}, ${now} now.`,
};

export const EARNED_SCREEN_WORDS = {
  earned: 'Earned',
  anHour: (sum: string): string => `${sum} an hour`,
  nothingBoughtOrSoldYet: 'Nothing bought or sold yet',
  whatAPieceWasBoughtAnd:
    'What a piece was bought and sold for stands on its last tab, Let go. From the first sale on it is told here what an hour of yours brings.',
  beforeOwnTimeSold: (sold: number): string => `before own time, ${sold} sold`,
  overH: (hours: number): string => `over ${hours} h`,
  afterOwnTime: 'after own time',
  inAnotherCurrencyAndNotCounted: (foreign: number): string =>
    `${foreign} ${foreign === 1 ? 'piece is' : 'pieces are'} in another currency and not counted.`,
  saveTheAccountsAsATable: 'Save the accounts as a table (CSV)',
  whatAnHourBrought: 'What an hour brought',
  comparedBy: 'Compared by',
  theMarkIsWhatTheNext:
    'The mark is what the next one may be expected to bring, drawn toward all pieces; its bar holds the truth nine times in ten. Dots are single pieces. Under three nothing is told.',
  h: (minutes: number): string => `${minutes} h`,
  whatFailedAndWhatProofSaved: 'What failed, and what proof saved',
  nothingHadToBeDoneAgain: 'Nothing had to be done again.',
  notFoundOut: 'Not found out',
  times: (count: number): string => `, ${count} times`,
  givenBackToBuyers: (refunds: string): string => `Given back to buyers: ${refunds}.`,
  leftInThatWentOffThe: (tins: number, amount: string): string =>
    `Left in ${tins} ${tins === 1 ? 'tin' : 'tins'} that went off the shelf: ${amount}.`,
  noPatchHasFailedBeforeA: 'No patch has failed before a piece was painted yet.',
  patchesFailedOnBeforeTheyWere: (faces: number, hours: string): string =>
    `Patches failed on ${faces} ${faces === 1 ? 'face' : 'faces'} before they were painted: about ${hours} of stripping spared.`,
};
