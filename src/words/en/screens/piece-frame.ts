export const BACK_LINK_WORDS = {
  allPieces: 'All pieces',
  today: 'Today',
};

export const SERVER_NOTICES_WORDS = {
  aChangeWasNotStored: 'A change was not stored',
  changesWereNotStored: (parkedCount: number): string => `${parkedCount} changes were not stored`,
  seeWhy: 'See why',
  thisBrowserHasNoRoomLeft: 'This browser has no room left',
  whatYouDoNowIsKept: 'What you do now is kept in this page alone: leave it open until the workshop has answered.',
  offlineKeptHere: (waiting: string): string => `Offline: ${waiting} kept here`,
  offlineShownAsItWasLast: 'Offline: shown as it was last heard',
  noAnswerSinceWhatYouDo: (clock: string): string => `No answer since ${clock}. What you do is kept and judged here.`,
  whatWaits: 'What waits',
  is: 'is',
  are: 'are',
  theWorkshop: 'The workshop',
  mendItOn: (screen: string): string => `Mend it on ${screen}`,
  goToThePiece: 'Go to the piece',
  sendAgainNamed: (words: string): string => `Send again: ${words}`,
  sendAgain: 'Send again',
  throwAwayNamed: (words: string): string => `Throw away: ${words}`,
  throwAway: 'Throw away',
  whatItHolds: 'What it holds',
  fieldIs: (name: string, value: string): string => `${name}: ${value}`,
  thePicture: 'The picture',
  saveAsAFile: 'Save as a file',
  saveNamed: (words: string): string => `Save as a file: ${words}`,
  whatWasKeptHereWasCleared: 'What this browser kept was cleared',
  whatWaitsIsKeptAnew: (count: number): string =>
    count === 0
      ? 'Nothing was waiting to be sent. Pieces are fetched again from the workshop.'
      : `${count === 1 ? 'The change that waits is' : `The ${count} changes that wait are`} kept anew. Leave this page open until the workshop has answered.`,
  gotIt: 'Got it',
};

export const SCREEN_WORDS = {
  bricolage: (title: string): string => `${title} · Bricolage`,
};

export const NOT_FOUND_SCREEN_WORDS = {
  nothingHere: 'Nothing here',
  thereIsNothingAtThisAddress: 'There is nothing at this address',
  allPieces: 'All pieces',
  piecesAreFoundFromTheList: 'Pieces are found from the list.',
};

export const WAYS_ON_WORDS = {
  threeWaysOn: 'Three ways on',
  noPieceYet: 'No piece yet',
  bringTheFirstPieceIn: 'Bring the first piece in',
  fiveShortCardsLeadYouFrom: 'Five short cards lead you from what it is to the first step of work.',
  lookRoundAnInventedWorkshop: 'Look round an invented workshop',
  piecesInAllStagesInA: 'Pieces in all stages, in a file of its own. One tap brings you back.',
  practiseOnMadeUpPieces: 'Practise on made-up pieces',
  tenMinutesSurfacesLatticesStainsClocks: 'Ten minutes: surfaces, lattices, stains, clocks.',
};

export const GUIDE_WORDS = {
  firstSteps: 'First steps',
  iSee: 'I see',
  noMoreOfThese: 'No more of these',
};

export const HELP_BUTTON_WORDS = {
  whatIsThisScreenFor: 'What is this screen for?',
};

export const PIECE_HEADER_WORDS = {
  meet: 'Meet',
  read: 'Read',
  choose: 'Choose',
  prove: 'Prove',
  work: 'Work',
  mend: 'Mend',
  letGo: 'Let go',
  stepsOfThisPiece: 'Steps of this piece',
};

export const WAITING_STATES_WORDS = {
  theWorkshopsRecordsAreOutOf: 'The workshop’s records are out of reach',
  tryAgain: 'Try again',
  theServerOnThisMachineDoes: 'The server on this machine does not answer. Start it again; nothing you stored is lost.',
  loading: 'Loading',
};

export const PIECE_SCREEN_WORDS = {
  thereIsNoSuchPiece: 'There is no such piece',
  allPieces: 'All pieces',
  itMayHaveBeenRemovedOr: 'It may have been removed, or the address has a slip in it.',
};

export const ROOM_STATES_WORDS = {
  notHereYet: 'Not here yet',
  thisScreenHasNotCome: 'This screen has not come',
  tryAgain: 'Try again',
  theServerDoesNotAnswerAnd:
    'The server does not answer, and this screen was not opened before. Nothing you stored is lost; screens you have opened still work.',
};

export const FIND_LINK_WORDS = {
  find: 'Find',
};

export const SHOP_HEADER_WORDS = {
  useTheLightLook: 'Use the light look',
  useTheDarkLook: 'Use the dark look',
};

export const FINDINGS_TABS_WORDS = {
  ownTests: 'Own tests',
  practice: 'Practice',
  findingsAndPractice: 'Findings and practice',
};

export const HELP_SHEET_WORDS = {
  about: (name: string): string => `About ${name}`,
  whatItAnswers: 'What it answers',
  wordsOnThisScreen: 'Words on this screen',
  whereTheFiguresComeFrom: 'Where the figures come from',
  allWords: 'All words',
};
