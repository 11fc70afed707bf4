export const KEY_LIST_WORDS = {
  thePieceBeforeTheNext: 'the piece before, the next one (pieces)',
  openThePiece: 'open the piece that is shown (pieces)',
  answerTheCheck: 'answer the check',
  cantTell: 'can’t tell',
  undoWhatWasDoneLast: 'undo what was done last',
  theZoneBeforeTheNextZone: 'the zone before, the next zone',
  startARoundNextExercisePractice: 'start a round, next exercise (practice)',
  sureFairlySureGuessingPractice: 'sure, fairly sure, guessing (practice)',
  doneAtAStepOfThe: 'done (at a step of the work)',
  findAnythingPiecesTinsWordsScreens: 'find anything: pieces, tins, words, screens',
  newPiece: 'new piece',
  compareTwoPieces: 'compare two pieces',
  thisList: 'this list',
  keys: 'Keys',
  close: 'Close',
  today: 'today',
  pieces: 'pieces',
  findings: 'findings',
  practice: 'practice',
};

export const CLOCK_WATCH_WORDS = {
  isReady: (piece: string | undefined, coat: string): string =>
    `${piece ?? 'A piece'}: ${coat} is ready for the next coat`,
  bricolage: 'Bricolage',
  good: 'Good',
};

export const NAV_BAR_WORDS = {
  today: 'Today',
  pieces: 'Pieces',
  findings: 'Findings',
  earned: 'Earned',
  shelf: 'Shelf',
  bricolage: 'Bricolage',
};

export const UNDO_BAR_WORDS = {
  whatWasDoneLast: 'What was done last',
  undoWhat: (words: string): string => `Undo: ${words}`,
  undo: 'Undo',
};
