export const DAYS_CHART_WORDS = {
  daysFromBoughtToSold: 'Days from bought to sold',
  halfOfTookDaysOrLess: (listCount: number, median: number, low: number, high: number): string =>
    `Half of ${listCount} took ${median} days or less; the quickest ${low}, the slowest ${high}.`,
};

export const GROUP_CHART_WORDS = {
  groups: 'Groups',
  sold: (count: number): string => `${count} sold`,
  fromToTheUprightLineIs: (hour: string, hour2: string, hour3: string): string =>
    `From ${hour} to ${hour2}; the upright line is the mean of all, ${hour3}.`,
  toBeExpectedMedian: (hour: string, hour2: string): string => `${hour} to be expected, median ${hour2}`,
  cannotTellYetFrom: (count: number, hour: string, hour2: string, hour3: string): string =>
    `cannot tell yet from ${count}: ${count === 1 ? hour : `${hour2} to ${hour3}`}`,
};

export const TIED_CHART_WORDS = {
  moneyTiedUp: 'Money tied up',
  standsInTheGarageIn: (now: string, piecesCount: number): string =>
    `${now} stands in the garage in ${piecesCount} ${piecesCount === 1 ? 'piece' : 'pieces'}.`,
  inWhichPieces: 'In which pieces',
  hereForDays: (parse: number): string => `here for ${parse} days`,
  atTheEndOfAtMost: (amount: string, shortMonth: string, most: string, amount2: string): string =>
    `${amount} at the end of ${shortMonth}, at most ${most}, ${amount2} now.`,
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
