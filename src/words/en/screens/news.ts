export const CLOCK_BAR_WORDS = {
  whichClockIsRight: 'Which clock is right',
  goByTheComputer: 'Go by the computer',
  thisClockIsRight: 'This clock is right',
  dryingAndCuringAreCountedFrom: 'Drying and curing are counted from the times you log here.',
  timesAreTheComputers:
    'What you log here is told by the computer’s clock, for it takes nothing of days to come. Set whichever of the two is wrong.',
};

export const COMPUTER_CLOCK_BAR_WORDS = {
  theComputersClock: 'The computer’s clock',
  hasGoneOn: (from: string, to: string): string => `The clock of this computer went from ${from} to ${to}`,
  nothingIsDeletedUntil:
    'If that is wrong, set it and start Bricolage again. Until you say it is right, nothing goes from the bin and every copy is kept.',
  itIsRight: 'It is right',
};

export const REPLACED_BAR_WORDS = {
  theWorkshop: 'The workshop',
  replacedByAnother: 'Replaced by another',
  changedWhatYouHadSet: (by: string | undefined): string => `${by ?? 'The computer'} changed what you had set`,
  putMineBack: 'Put mine back',
  leaveItSo: 'Leave it so',
};

export const UPDATE_BAR_WORDS = {
  aNewerBricolage: 'A newer Bricolage',
  aNewVersionIsReady: 'A new version is ready',
  aNewVersionWasTakenIn: 'A new version was taken in another tab',
  takeItNow: 'Take it now',
  later: 'Later',
};

export const CURRENCY_BAR_WORDS = {
  whichMoney: 'Which money do you reckon in?',
  another: 'Another: pick it on Shelf',
};

export const VISIT_BAR_WORDS = {
  lookingRound: 'Looking round',
  thisIsTheInventedWorkshop: 'This is the invented workshop',
  tryAnythingNothingOfItIs: 'Try anything: nothing of it is yours, and it is as new next time.',
  backToMyShop: 'Back to my shop',
};
