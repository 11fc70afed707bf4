export const PIECE_CARD_WORDS = {
  keptHereUntilTheServerHas: 'Kept here until the server has it',
  overdue: (what: string): string => `Overdue: ${what}`,
  dueNow: (what: string): string => `Due now: ${what}`,
  driesOn: (hours: number): string => `Dries for ${hours < 48 ? `${hours} h` : `${Math.round(hours / 24)} days`} more`,
  inIt: (hours: number, days: number, what: string): string =>
    `In ${hours < 48 ? `${hours} h` : `${days} days`}: ${what}`,
};

export const PIECE_FILTERS_WORDS = {
  allInTheShop: 'All in the shop',
  heldBack: 'Held back',
  withADayTheyAreWanted: 'With a day they are wanted by',
  archived: 'Archived',
  changedLastFirst: 'Changed last first',
  wantedFirst: 'Wanted first',
  filterAndSort: 'Filter and sort',
  whichPieces: 'Which pieces',
  kind: 'Kind',
  anyKind: 'Any kind',
  inWhichOrder: 'In which order',
  showAll: 'Show all',
  compareTwo: 'Compare two',
  byName: 'By name',
};

export const PIECES_SCREEN_WORDS = {
  aNewPiece: 'A new piece',
  pieces: 'Pieces',
  archiveAndBin: 'Archive and bin',
  putAway: 'Put away',
  newPiece: 'New piece',
  hereStandsEachPieceWithA:
    'Here stands each piece with a cut through its layers, where it is and what comes next. Tell Bricolage what you have found, and it asks what it needs to know before you spend a week on it.',
  findAPiece: 'Find a piece',
  findByNameOrKind: 'Find by name or kind',
  noPieceIsSo: 'No piece is so.',
  noPieceMatches: (words: string): string => `No piece matches “${words}”.`,
};
