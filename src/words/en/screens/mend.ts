export const NEW_TROUBLE_WORDS = {
  noFaceThatWasPainted: 'No face that was painted',
  everyZoneIsLeftAsIt: 'Every zone is left as it is, or the piece has none. Open Meet to change that.',
  somethingIsWrong: 'Something is wrong',
  onWhichFaceAndWhatDoes: 'On which face, and what does it look like? What the log says is read with it.',
  face: 'Face',
};

export const CAUSE_LIST_WORDS = {
  whatMadeIt: 'What made it',
  somethingElse: 'Something else',
  eachIsItsOwnChanceMore: 'Each is its own chance: more than one may be at work.',
  whatSpeaksForEachAndAgainst: 'What speaks for each, and against it',
  chancesByCommonPracticeMovedBy: 'Chances by common practice, moved by what was seen and by the log.',
};

export const CLUES_WORDS = {
  clues: 'Clues',
  whatItLookedLike: 'What it looked like',
  cantTell: 'Can’t tell',
  nothingLeftToLookAtWould: 'Nothing left to look at would change the way out',
  whatYouTellBesidesMakesThe: 'What you tell besides makes the causes clearer.',
  tellMoreOfHowItLooks: 'Tell more of how it looks',
  days: 'Days',
  daysUnit: 'days',
  daysOutOfRange: (most: number): string => `A number of days from 0 to ${most}.`,
  keep: 'Keep',
  toldSoFar: 'Told so far',
  byTheLog: (answer: string): string => `${answer} (by the log)`,
  takeBackNamed: (askClue: string): string => `Take back: ${askClue}`,
  takeBack: 'Take back',
};

export const STANDING_WORDS = {
  theWayOutIsDoneDoes: 'The way out is done. Does it hold?',
  itHoldsMended: 'It holds: mended',
  itCameBack: 'It came back',
  giveItTheTimeThatIts: 'Give it the time that its proof asked for. What you say here counts in the shop’s findings.',
  aWayOutIsUnderWay: 'A way out is under way',
  goOnInWork: 'Go on in Work',
  theWorkOnThisFaceIs: 'The work on this face is what it says from now on. What stood before is kept.',
  mended: 'Mended',
  itHeldWhatMadeItAnd: 'It held. What made it, and what mended it, stay with the piece.',
};

export const SPANS_WORDS = {
  min: (minutes: number): string => `${minutes} min`,
  h: (hours: number): string => `${hours} h`,
  days: (hours: number): string => `${hours} days`,
};

export const TAKEN_WAY_WORDS = {
  wayOut: 'Way out',
  takenOn: (date: string): string => `Taken on ${date}`,
  holdItWasSaid: 'hold, it was said',
  ofYourHands: 'of your hands',
  onTheCalendar: 'with every hour free',
  forMaterials: 'for materials',
  stepsAndWhy: (stepsCount: number): string => `${stepsCount} steps, and why`,
};

export const WAYS_OUT_WORDS = {
  sameWasDoneElsewhere: 'The same was done on other zones',
  lookThereToo: 'Look there too. What you do here mends only this zone.',
  itShowsOn: (zone: string): string => `It shows on the ${zone} too`,
  searching: 'Searching',
  lookingForEveryWayOutThat: 'Looking for every way out that holds.',
  wayOut: 'Way out',
  noWayOutThatMayBe: 'No way out that may be worked here',
  leadWasFoundHereWorkOn: 'Lead was found here: work on it is for certified practice.',
  theRulesLeaveNothingMoreVentilation: 'The rules leave nothing. More ventilation or another look would.',
  waysOut: 'Ways out',
  orLeaveIt: 'Or leave it',
  notTheseRuledOutAndWhy: (ruledOutCount: number): string => `Not these: ${ruledOutCount} ruled out, and why`,
  labelsSafetySheetsLocalLawAnd: 'Labels, safety sheets, local law and licensed practice go before anything said here.',
  hold: 'hold',
  ofYourHands: 'of your hands',
  onTheCalendar: 'with every hour free',
  forMaterials: 'for materials',
  takeThisWayOutNamed: (title: string): string => `Take this way out: ${title}`,
  takeThisWayOut: 'Take this way out',
  stepsAndWhy: (stepsCount: number): string => `${stepsCount} steps, and why`,
  min: (minutes: number): string => `${minutes} min`,
  then: (days: string): string => `then ${days}`,
  moreLikelyThanNotItGoes: 'more likely than not it goes on',
};

export const WHAT_HAPPENED_WORDS = {
  whatHappened: 'What happened',
  nothingIsWrittenDownOfThis: 'Nothing is written down of this face',
  whatWasNotLoggedConvictsNobody:
    'What was not logged convicts nobody: the causes go by what it looks like and what lies under it.',
  theLogOfThisFace: 'The log of this face',
  notWrittenDown: (silentCount: number): string => `Not written down: ${silentCount}`,
  leftOutOnPurpose: 'left out on purpose',
  airNotKnown: 'air not known',
  thinned: (thinnedPct: number): string => `thinned ${thinnedPct} %`,
  suspect: 'suspect',
  h: (hours: number): string => `${hours} h`,
  days: (hours: number): string => `${hours} days`,
  waitedWereAskedFor: (was: string, asked: string): string => `Waited ${was}, ${asked} were asked for`,
  stoodAsked: (was: string, asked: string, kept: boolean): string =>
    `Stood ${was}; asked ${asked}${kept ? '' : ': too soon'}`,
};

export const TROUBLE_VIEW_WORDS = {
  looks: 'Looks',
  whatHappened: 'What happened',
  wayOut: 'Way out',
  readItFromAPicture: 'Read it from a picture',
  proveReadsALatticeThatWas: 'Prove reads a lattice that was pulled, and a strip that bleeds, from a picture.',
  onThe: (zone: string): string => `On the ${zone}`,
  partOfTheStory: 'Part of the story',
  allThatWentWrong: 'All that went wrong',
  itWasNothingTakeItOff: 'It was nothing: take it off',
};

export const MEND_WORDS = {
  openFindOutWhy: 'open: find out why',
  aWayOutIsUnderWay: 'a way out is under way',
  theWayOutIsDoneDoes: 'the way out is done: does it hold?',
  itCameBack: 'it came back',
  mended: 'mended',
  leftAsItIs: 'left as it is',
};

export const MEND_SCREEN_WORDS = {
  mend: 'Mend',
  open: (open: number): string => `${open} open`,
  whatWentWrong: 'What went wrong',
  whatWentWrongWithIt: 'What went wrong with it',
  onThe: (zone: string): string => `On the ${zone}`,
};
