export const USE_WORK_WORDS = {
  leftOut: 'Left out',
  logged: 'Logged',
  plannedOn: 'The plan goes on from there',
  someOf: (zone: string, count: number): string => `${zone} (${count})`,
};

export const LOG_LIST_WORDS = {
  theLog: (tapsCount: number): string => `The log: ${tapsCount} ${tapsCount === 1 ? 'entry' : 'entries'}`,
  leftOutOnPurpose: 'left out on purpose',
  min: (minutes: number): string => `${minutes} min`,
  thinned: (thinnedPct: number): string => `thinned ${thinnedPct} %`,
  putRight: (earlierCount: number): string => `put right ${earlierCount}×`,
  putRightNamed: (label: string): string => `Put right: ${label}`,
  putTheLogRight: 'Put the log right',
  sayWhenItWas: 'Say when it was.',
  minutesAsANumber: 'Minutes as a number.',
  aNumberIn: (unit: string): string => `A number, in ${unit}.`,
  aNumberFrom0To100: 'A number from 0 to 100.',
  when: 'When',
  took: 'Took',
  minUnit: 'min',
  used: 'Used',
  thinnedBy: 'Thinned by',
  ofThePaint: '% of the paint',
  note: 'Note',
  keepItSo: 'Keep it so',
  takeItBack: 'Take it back',
};

export const HARDWARE_PANEL_WORDS = {
  twoHoles: 'Two holes',
  oneHole: 'One hole',
  useTheOldHolesAgain: 'Use the old holes again',
  thePlateCoversTheOldHoles: 'The plate covers the old holes',
  fillTheOldHoles: 'Fill the old holes',
  handlesOldHolesAndNew: 'Handles: old holes and new',
  handles: 'Handles',
  ofWhich: 'Of which?',
  aNumberInSuchAs: (unit: string, write: string): string => `A number, in ${unit}, such as ${write}.`,
  whatIsThereNow: 'What is there now',
  oldHandle: 'Old handle',
  oldHolesApart: 'Old holes apart',
  whatComes: 'What comes',
  newHandle: 'New handle',
  newHolesApart: 'New holes apart',
  plateLength: 'Plate length',
  none: 'none',
  plateHeight: 'Plate height',
  frontWidth: 'Front width',
  frontHeight: 'Front height',
  keepIt: 'Keep it',
  printTheTemplate: 'Print the template',
  printAt100AndMeasureThe: 'Print at 100 % and measure the line of 50 mm before you drill.',
  sayHowFarTheHolesAre: 'Say how far the holes are apart, middle to middle.',
};

export const JOB_OVERVIEW_WORDS = {
  jobDone: 'done',
  theJob: 'The job',
  ofIt: (doneCount: number, tasksCount: number): string => `${doneCount} of ${tasksCount}`,
  jobsDone: 'jobs done',
  ofHandsLeftLikelyTo: (least: string, most: string, own: number): string =>
    `of hands left, likely ${least} to ${most}${own > 0 ? ', by your own times too' : ''}`,
  canBeCollected: (due: string | undefined): string => `can be collected${due ? `; wanted by ${due}` : ''}`,
  done: (doneCount: number): string => `${doneCount} done`,
  noTimeForItYet: 'No time for it yet',
  toDo: 'To do',
  heldBack: 'Held back',
  heldBackBeside: 'held back',
  toDoBeside: 'to do',
  leftOut: 'left out',
  min: (colour: string | null, where: string, minutes: number): string =>
    `${colour ? `${colour} · ` : ''}${where} · ${minutes} min`,
  dottedToCome: 'Dotted: to come',
  wavesWet: 'Waves: wet',
  secondLineCured: 'Second line: cured',
};

export const MIX_CARD_WORDS = {
  forIt: (target: string): string => `, for ${target}`,
  ofThePaintWhichIsOf: (ofPaint: number, ofMix: number): string =>
    `${ofPaint} % of the paint, which is ${ofMix} % of the mix`,
  matchedAs: (matchCode: string): string => `Matched as ${matchCode}`,
  goodUntil: (clock: string, until: string): string => `Good until ${clock}: ${until}`,
  pastUseSinceItSetsIn: (moment: string): string => `Past use since ${moment}: it sets in the pot`,
  forAnotherVolume: 'For another volume',
  aNumberIn: (unit: string): string => `A number, in ${unit}.`,
  keepThisVolume: 'Keep this volume',
  mixedJustNow: 'Mixed just now',
  removeNamed: (mix: string): string => `Remove ${mix}`,
  remove: 'Remove',
  swatchOf: (mix: string): string => `Swatch of ${mix}`,
  anotherPictureOfItsSwatch: 'Another picture of its swatch',
  pictureOfItsSwatch: 'Picture of its swatch',
  correctItAfterATrial: 'Correct it after a trial',
  printLabelsFor: (mix: string): string => `Print labels for ${mix}`,
  printLabels: 'Print labels',
  keepMlOfOnTheShelf: (ml: number, mix: string): string => `Keep ${ml} ml of ${mix} on the shelf`,
  theJarStandsOnTheShelf: 'The jar stands on the shelf',
  keepForTouchingUp: (volume: string): string => `Keep ${volume} for touching up`,
  aDriedDabOfTheMix: 'a dried dab of the mix',
  itCameOut: (colourWays: string): string => `It came out ${colourWays}.`,
  mixedAnew: (nearness: string): string => `Mixed anew: ${nearness}`,
  whatItsTinsTintLikeIs: 'What its tins tint like is kept with them on the shelf.',
  takeTheseShares: 'Take these shares',
  itCannotBeWorkedOut: 'It cannot be worked out',
  theColourOfOneOfIts: 'The colour of one of its parts is not known. Give the tin its colour on Shelf.',
};

export const MIX_FINDER_WORDS = {
  millilitres: 'Millilitres',
  teaspoons: 'Teaspoons',
  tablespoons: 'Tablespoons',
  caps: 'Caps',
  theColourToMatch: 'The colour to match',
  orFromAPhotograph: 'Or from a photograph',
  whatIsToBeMet: 'what is to be met',
  howMuch: 'How much',
  aNumberIn: (unit: string): string => `A number, in ${unit}.`,
  measuredIn: 'Measured in',
  noTinWithAColour: 'No tin with a colour',
  giveYourTinsTheirColourOn:
    'Give your tins their colour on Shelf, or name a pot here, and the mixes that come nearest are worked out.',
  recipes: 'Recipes',
  anEstimateFromHowTheColours:
    'An estimate from how the colours look on a screen: mix a spoonful, let it dry, hold it beside what it is to match.',
  lighter: 'Lighter',
  deeper: 'Deeper',
  greyer: 'Greyer',
  stronger: 'Stronger',
  warmer: 'Warmer',
  cooler: 'Cooler',
  aShadeOf: 'A shade of',
  aStepOn: 'A step on',
  wanted: (colour: string, target: string): string => `Wanted: ${colour}, ${target}`,
  colourOf: (pot: string): string => `Colour of ${pot}`,
  pot: 'Pot',
  removeNamed: (pot: string): string => `Remove ${pot}`,
  remove: 'Remove',
  aPotThatIsNotOn: 'A pot that is not on the shelf',
  wantedComesOutAs: (target: string, colour: string): string => `Wanted ${target}, comes out as ${colour}`,
  aTenthMoreOrLessOf: (de: string | null, deIfOffByTenth: string): string =>
    `${de === null ? '' : `ΔE00 ${de} from it. `}A tenth more or less of one part moves it by ${deIfOffByTenth}.`,
  keepThisRecipe: 'Keep this recipe',
  potNumber: (number: number): string => `Pot ${number}`,
  mixFor: (target: string): string => `Mix for ${target}`,
};

export const RECIPE_BOOK_WORDS = {
  aColourThatWasMixedBefore: 'A colour that was mixed before',
  usedOn: (pieces: string): string => `Used on: ${pieces}`,
  makeForThisPiece: (volume: string): string => `Make ${volume} for this piece`,
};

export const MIXES_PANEL_WORDS = {
  thinned: 'Thinned',
  twoPart: 'Two-part',
  colour: 'Colour',
  paint: 'Paint',
  thinner: 'Thinner',
  base: 'Base',
  hardener: 'Hardener',
  white: 'White',
  black: 'Black',
  mixesCounted: (mixesCount: number): string => `Mixes: ${mixesCount}`,
  mixesThinningTwoPartColours: 'Mixes: thinning, two-part, colours',
  mixes: 'Mixes',
  mixAColourFromTins: 'Mix a colour from tins',
  aNewMix: 'A new mix',
  whatKindOfMix: 'What kind of mix?',
  name: 'Name',
  part: (i: number): string => `Part ${i}`,
  partsOf: (name: string, i: number): string => `Parts of ${name || `part ${i}`}`,
  aNumberAboveNothing: 'A number above nothing.',
  oneMoreColour: 'One more colour',
  volume: 'Volume',
  aNumberIn: (unit: string): string => `A number, in ${unit}.`,
  potLifeByItsLabel: 'Pot life by its label',
  h: 'h',
  matchCodeIfAShopMixed: 'Match code, if a shop mixed it',
  mixEnoughForAllCoatsAnd: 'Mix enough for all coats and a tenth more: a colour that runs out is never met again.',
  forThePaintToCome: (volume: string): string => `For the paint to come: ${volume}`,
  keepThisMix: 'Keep this mix',
  colourNumber: (number: number): string => `Colour ${number}`,
};

export const PARTS_PANEL_WORDS = {
  on: 'On',
  offLabelled: 'Off, labelled',
  refitted: 'Refitted',
  piece: 'Piece',
  partsAndLabelsNamed: (offCount: number, backCount: number, partsCount: number): string =>
    `Parts and labels: ${offCount > 0 ? `${offCount} off` : backCount > 0 ? `${backCount} of ${partsCount} refitted` : `${partsCount} parts`}`,
  partsAndLabels: 'Parts and labels',
  eachPartHasItsNumberTwice:
    'Each part has its number twice: where no paint goes on it, and in the opening it came from.',
  printTheLabels: 'Print the labels',
  allOff: 'All off',
  whereIs: (part: string): string => `Where is ${part}?`,
  beforeHangingScrapePaintOutOf: 'Before hanging: scrape paint out of the hinge recesses',
  beforeSlidingInSandPaintOff: 'Before sliding in: sand paint off runners, wax only there',
  allPartsAreBack: 'All parts are back',
  printAt100AnArrowShows: 'Print at 100 %. An arrow shows which way is up.',
};

export const SHEET_PANEL_WORDS = {
  jobSheet: 'Job sheet',
  jobSheetOf: (piece: string): string => `${piece}: job sheet`,
  printIt: 'Print it',
  saveAsMarkdown: 'Save as Markdown',
};

export const GUN_CARD_WORDS = {
  theGun: 'The gun',
  whichGun: 'Which gun?',
  nozzleMmSThroughADin: (
    fact: string,
    nozzleMm: string,
    gun: string,
    airBar: string,
    cupS: string,
    value: string,
    mostThinnerPct: number,
  ): string =>
    `${fact}: nozzle ${nozzleMm} mm, ${gun === 'turbine' ? 'the turbine’s own air' : `${airBar} bar`}, ${cupS} s through a DIN 4 mm cup, ${value} cm away, half over the last pass. ${mostThinnerPct === 0 ? 'Never thin it.' : `Thin by ${mostThinnerPct} % of the paint at most, and only where the label allows it.`} Common practice.`,
  lightCoatsForOneMinApart: (least: number, most: number): string =>
    `light coats for one, ${least} to ${most} min apart`,
  throughThisNozzleAbout: 'through this nozzle, about',
  throughTheCup: 'Through the cup',
  nozzle: 'Nozzle',
  airAtTheGun: 'Air at the gun',
  distance: 'Distance',
  foreseenOnCard: (stroke: string): string => `Foreseen on card: ${stroke}`,
  whatDoesYourCardLookLike: 'What does your card look like?',
  keepItSoAndStart: 'Keep it so, and start.',
  changeOneThingAtATime: 'Change one thing at a time:',
  keepThisWithTheTin: 'Keep this with the tin',
};

export const STEP_ACTION_WORDS = {
  readItInProve: 'Read it in Prove',
  seen: (unseen: string): string => `Seen: ${unseen}`,
  done: (step: string): string => `Done: ${step}`,
  doneAllTheSame: (step: string): string => `Done all the same: ${step}`,
  stopTheClockWithoutLogging: 'Stop the clock without logging',
  startTheClock: 'Start the clock',
};

export const STEP_HEAD_WORDS = {
  thisStep: 'This step',
  done: 'Done',
  leftOut: 'Left out',
  ofYourHands: 'of your hands',
  toPourWithWhatStaysIn: 'to pour, with what stays in the tray',
  inAll: 'in all',
  thenByItself: 'then, by itself',
  byHand: (lowerFirst: string): string => `By hand: ${lowerFirst}`,
  withIt: (tin: string, grit: number | undefined): string => `With: ${tin}${grit ? `, ${grit} paper` : ''}`,
  withMaterial: (material: string | undefined, grit: number | undefined): string =>
    `With: ${material ?? `${grit} paper`}`,
};

export const STEP_OTHERWISE_WORDS = {
  when: 'When it was done',
  now: 'Now',
  earlierToday: 'Earlier today',
  yesterdayEvening: 'Yesterday evening',
  atAMoment: 'Another time',
  notInTheFuture: 'That is still to come.',
  withWhat: 'With what',
  asPlanned: (label: string): string => `As planned: ${label}`,
  where: 'On which zones',
  parts: (zone: string): string => `${zone}: all of it, or only some`,
  part: (number: number): string => `${number}`,
  allParts: 'All',
  coats: 'Coats',
  coatsCount: (coats: number): string => `${coats}`,
  somethingElseOrEarlier: 'Something else, or earlier',
  aNumberFrom0To: (most: number): string => `A number from 0 to ${most}.`,
  took: 'Took',
  min: 'min',
  thinnedBy: 'Thinned by',
  ofThePaint: '% of the paint',
  note: 'Note',
  doneWithThis: 'Done, like this',
  leftOutOnPurpose: 'Not done, and it stays so',
};

export const STEP_WAITS_WORDS = {
  notBefore: (moment: string, until: string): string => `Not before ${moment}: ${until}`,
  hasToDryFirstDryTo: (label: string): string => `${label} has to dry first. Dry to the touch is not ready for a coat.`,
  untilOnly: (clock: string, until: string): string => `Until ${clock} only: ${until}`,
  first: (steps: string): string => `First: ${steps}`,
};

export const STEP_VIEW_WORDS = {
  thisStep: 'This step',
  fromWhichTin: 'From which tin?',
  onlyLeftInThisTin: (volume: string): string => `Only ${volume} left in this tin`,
  ifItIsDoneNowThis: 'If it is done now, this stands against it',
  theLabelComesFirst: (facts: string): string => `${facts}. The label comes first.`,
  howItIsDone: 'How it is done',
  aboutOfMlForThisCoat: (cans: number, canMl: number): string =>
    `About ${cans} ${cans === 1 ? 'can' : 'cans'} of ${canMl} ml for this coat.`,
  whyThisStep: 'Why this step',
};

export const EXTRA_STEP_WORDS = {
  somethingBesides: 'Add something that was done',
  what: 'What was done',
  withWhat: 'With what',
  nothingNamed: 'Nothing of the list',
  where: 'On which zones',
  when: 'When',
  note: 'Note',
  keepIt: 'Add it to the log',
};

export const DEPARTURE_WORDS = {
  otherThanPlanned: 'Not as it was planned',
  wasInstead: (zones: string, is: string, was: string): string => `${zones}: ${is}, where the plan had ${was}.`,
  planGoesOn: 'The plan goes on from there. What is on is tested before paint goes over it.',
  planOn: 'Plan on from here',
  cannotGoOver: 'Nothing can go over it',
  lookInMend: 'Mend can tell how to take it up again.',
};

export const WORK_SCREEN_WORDS = {
  work: 'Work',
  ofDone: (valueCount: number, tasksCount: number): string => `${valueCount} of ${tasksCount} done`,
  noSystemTakenYet: 'No system taken yet',
  chooseASystem: 'Choose a system',
  theWorkFollowsFromTheSystem: 'The work follows from the system you take in Choose.',
  allIsDone: 'All is done',
  nothingCanBeDoneJustNow: 'Nothing can be done just now',
  itGoesOnCuringSeeWhen: 'It goes on curing: see when it can be collected below.',
  whatIsLeftIsHeldBack: 'What is left is held back, as said above.',
  labelsSafetySheetsLocalLawAnd: 'Labels, safety sheets, local law and licensed practice go before anything said here.',
  goToRead: 'Go to Read',
  chooseAgain: 'Choose again',
  goToProve: 'Go to Prove',
  goToMend: 'Go to Mend',
  goToWork: 'Go to Work',
};
