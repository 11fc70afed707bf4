export const ANSWER_PART_WORDS = {
  howSureAreYou: 'How sure are you?',
};

export const CASE_FACTS_WORDS = {
  theProbeTape: (probe: string, tape: string, bleeds: boolean, failing: boolean): string =>
    `${probe}, ${tape}. The probe ${bleeds ? 'came through brown' : 'stayed white'}; tape ${failing ? 'took off sheets of the old coat' : 'took nothing off'}.`,
  theColourItIsToBe: 'The colour it is to be',
  putOnHAgoItIs: (product: string, hours: number, temperatureC: string, humidityPct: number): string =>
    `${product}, put on ${hours} h ago. It is ${temperatureC} and ${humidityPct} % in the shop, as it was all the while.`,
  fromTheTop: 'From the top',
  paint: 'Paint',
  primer: 'Primer',
  oldCoat: 'Old coat',
  thenWood: 'then wood',
  whatIsWrittenDown: 'What is written down',
  nothingOfThisFace: 'Nothing of this face.',
  theLogOfThisCase: 'The log of this case',
  grit: (grit: number): string => `${grit} grit`,
  ml: (ml: number): string => `${ml} ml`,
  thinned: (thinnedPct: number): string => `thinned ${thinnedPct} %`,
  humidity: (humidityPct: number): string => `${humidityPct} % humidity`,
  hAfterTheCoatBefore: (wasH: number): string => `${wasH} h after the coat before`,
  leftOutOnPurpose: 'left out on purpose',
};

export const SURFACE_LOOKS_WORDS = {
  looksSoFar: 'Looks so far',
  ofLookingSoFar: (minutes: string): string => `${minutes} of looking so far.`,
  takeAFirstLook: 'Take a first look',
  takeAnotherLook: 'Take another look',
  looks: 'Looks',
  told: ', told',
  s: (minutes: number): string => `${minutes} s`,
  min: (minutes: number): string => `${minutes} min`,
  madeBefore1940: 'made before 1940',
  madeBetween1940And1977: 'made between 1940 and 1977',
  madeBetween1978And1999: 'made between 1978 and 1999',
  madeSince2000: 'made since 2000',
  nobodyKnowsWhenItWasMade: 'nobody knows when it was made',
  ofA: (roleLabel: string, kindLabel: string): string => `${roleLabel} of a ${kindLabel}`,
  saidToBePaintedOver: 'said to be painted over',
  withTheHolesAndCamsOf: 'with the holes and cams of flat packs',
  stoodInThe: (room: string): string => `stood in the ${room}`,
  look: 'Look',
  whatIsToBeSeen: 'What is to be seen',
  whatDoYouSee: 'What do you see?',
  lookAtSomethingElse: 'Look at something else',
};

export const EXERCISE_VIEW_WORDS = {
  whatIsToBeSeen: 'What is to be seen',
  right: 'Right',
  notSo: 'Not so',
  youSaid: (said: string, confidence: string): string => `You said: ${said} (${confidence}).`,
  nextExercise: 'Next exercise',
  theShortestWay: 'The shortest way',
  yourTookMinAndMadeThis: (
    looksCount: number,
    minutes: number,
    chance: string,
    checksCount: number,
    minutes2: number,
    chance2: string,
  ): string =>
    `Your ${looksCount} ${looksCount === 1 ? 'look' : 'looks'} took ${minutes} min and made this ${chance} likely. The diagnosis would have looked ${checksCount} times in ${minutes2} min, to ${chance2}:`,
  looksOfTheDiagnosis: 'Looks of the diagnosis',
  itShowedYouRead: (title: string, showed: string, read: string): string =>
    `${title}: it showed “${showed}”, you read “${read}”.`,
};

export const OWN_FIGURES_WORDS = {
  howSureYouMayBe: 'How sure you may be',
  fewAnswersAreDrawnToYour: 'Few answers are drawn to your share over all.',
  howItWent: 'How it went',
  in10RightLatelyOf: (last: number, answers: number): string =>
    `${last} in 10 right lately, of ${answers} ${answers === 1 ? 'answer' : 'answers'}`,
  all: 'all',
  none: 'none',
  howOftenYouMisread: 'How often you misread',
  aDiagnosisTakesEverybodyToMisread: (percent: string): string =>
    `A diagnosis takes everybody to misread ${percent} of looks. It can take what was measured of you here instead: what you read well then counts more, what you misread counts less. You can turn it off again at any time.`,
  countItInMyDiagnoses: 'Count it in my diagnoses',
  whatWasMeasured: 'What was measured',
  misreadingsByCheck: 'Misreadings by check',
  ofMisreadTakenAs: (title: string, wrong: number, looks: number, percent: string): string =>
    `${title}: ${wrong} of ${looks} misread, taken as ${percent}`,
  twentyLooksOfEverybodyAreCounted: 'Twenty looks of everybody are counted with yours, so that a few say little.',
};

export const PRACTICE_SCREEN_WORDS = {
  practice: 'Practice',
  tenMinutesOfPiecesThatDo: 'Ten minutes of pieces that do not exist',
  theyAreMadeUpByThe:
    'They are made up by the model that judges your surfaces, so what they truly are is known. What you get wrong is asked again soon, what you know only when you are about to forget it.',
  thingsToLearn: (fresh: number): string => `${fresh} things to learn.`,
  dueNowNeverAskedAnsweredSo: (due: number, fresh: number, practiceCount: number): string =>
    `${due} due now, ${fresh} never asked. ${practiceCount} answered so far.`,
  whatToPractise: 'What to practise',
  allOfIt: 'All of it',
  whatIsDueFirst: 'what is due first',
  startTenMinutes: 'Start ten minutes',
  answeredRightMin: (ownCount: number, right: number, minutes: number): string =>
    `${ownCount} answered, ${right} right, ${minutes} min`,
  stopHere: 'Stop here',
  tenMinutesAreOver: 'Ten minutes are over',
  shortAndOftenTeachesMoreThan: 'Short and often teaches more than long and seldom. Stop here, or go on.',
  thisExerciseCouldNotBeDrawn: 'This exercise could not be drawn.',
  takeAnother: 'Take another',
};
