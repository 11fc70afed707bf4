import type { CellMark } from '@/core/panel';
import type { Gate } from '@/core/proof';

export const SETBACK_WORDS = {
  lookingForTheNextBestWay: 'Looking for the next best way…',
  noWayIsLeftThatThe: 'No way is left that the rules allow. Open Choose to see what stands against each.',
  ofWaitingForTheseStripsIs: (hours: string): string => `${hours} of waiting for these strips is lost`,
  nextBest: (treatment: string): string => `Next best: ${treatment}`,
  whatItCosts: (costs: string): string => `What it costs: ${costs}.`,
  h: (hours: number): string => `${hours} h`,
  days: (hours: number): string => `${hours} days`,
  moreOrLess: (amount: string, less: boolean): string => `${amount} ${less ? 'less' : 'more'}`,
  againstTaken: (time: string, hands: string, tins: string): string =>
    `against the system taken ${time} on the calendar, ${hands} of hands, ${tins} for tins`,
  min: (minutes: number): string => `${minutes} min`,
};

const GATE_STATES: Record<Gate['state'], string> = {
  open: 'open',
  closed: 'closed',
  waiting: 'waiting',
  overridden: 'passed over',
  not_needed: 'not needed',
};

export const GATE_CARD_WORDS = {
  gateOpenPrimeAndPaint: 'Gate open: prime and paint',
  gateClosedDoNotPaint: 'Gate closed: do not paint',
  gateWaitingForATest: 'Gate waiting for a test',
  gatePassedOver: 'Gate passed over',
  noGate: 'No gate',
  noBleedGoOn: 'No bleed: go on',
  itBleedsDoNotPaint: 'It bleeds: do not paint',
  bleedWatchWanted: 'Bleed watch wanted',
  bleedGatePassedOver: 'Bleed gate passed over',
  curedItMayGo: 'Cured: it may go',
  notToBeHandedOver: 'Not to be handed over',
  notCuredYet: 'Not cured yet',
  handedOverBeforeItCured: 'Handed over before it cured',
  gate: (state: Gate['state']): string => `Gate: ${GATE_STATES[state]}`,
  chooseAgainWithoutIt: 'Choose again without it',
  findOutWhy: 'Find out why',
  paintWithoutProof: 'Go on without proof…',
  paintAllTheSame: 'Paint all the same?',
  yourReasonStaysInTheRecord: 'Your reason stays in the record of this piece for good.',
  reason: 'Reason',
  atMostCharacters: (most: number): string => `At most ${most} characters.`,
  passOverTheGate: 'Pass over the gate',
  leaveItShut: 'Leave it shut',
};

export const GATE_LIMITS_WORDS = {
  whatTheGatesAskForYour: 'What the gates ask for: your own limits',
  whatTheGatesAskFor: 'What the gates ask for',
  mostThatPassesAScratch: 'Most that passes a scratch',
  nothingAtAll: 'Nothing at all',
  aMarkOnly: 'A mark only',
  aDentNoLoss: 'A dent, no loss',
  bleedIsJudgedAfter: 'Bleed is judged after',
  twoDays: '48 hours',
  aWeek: 'A week',
  bleedUnderMean: 'Bleed under, mean',
  e00: 'ΔE00',
  worstSpot: 'worst spot',
  between01And20: 'Between 0.1 and 20.',
  keepTheseColourLimits: 'Keep these colour limits',
  backToTheUsualLimits: 'Back to the usual limits',
};

export const OUTCOME_WORDS = {
  inUse: (outcomesCount: number): string => `In use: ${outcomesCount} ${outcomesCount === 1 ? 'report' : 'reports'}`,
  howDidItFareInUse: 'How did it fare in use?',
  threeMonthsInAHouseSay:
    'Three months in a house say as much about a system as two patches. It counts in Findings and in the next plan.',
  wholePiece: 'Whole piece',
  whichPart: 'Which part',
  theWholePiece: 'The whole piece',
  fineAfter3Months: 'Fine after 3 months',
  cameBackItPeels: 'Came back: it peels',
  cameBackColourCameThrough: 'Came back: colour came through',
  fineInUse: 'fine in use',
  colourCameThrough: 'colour came through',
  itPeels: 'it peels',
};

export const DRIFT_CHART_WORDS = {
  lastCoat: 'last coat',
  colourIsComingThrough: 'colour is coming through',
  steady: 'steady',
  cannotTellAChangeFromThese: 'cannot tell a change from these pictures',
  bleedOverTime: 'Bleed over time',
  bleedE00FromTheReference: 'Bleed, ΔE00 from the reference',
  strip: (strip: string, value: string): string => `Strip ${strip}: ${value}`,
  oneHour: '1 h',
  night: 'night',
  twoDays: '48 h',
  sevenDays: '7 d',
};

export const STRIP_MAP_WORDS = {
  readEarly: 'read early',
  notRead: 'not read',
  stripMap: 'Strip map',
  strip: (code: string, treatment: string, control: boolean, word: string): string =>
    `Strip ${code}, ${treatment}${control ? ', control' : ''}: ${word}`,
  held: 'held',
  failed: 'failed',
  incomplete: 'incomplete',
};

export const WANTED_WORDS = {
  wanted: 'Wanted before the first coat',
  goOnWith: (zone: string): string => `Go on with the ${zone}`,
};

export const CELL_WORDS: Record<CellMark, string> = {
  held: 'Held',
  let_go: 'Let go',
  clean: 'Clean',
  bled_a_little: 'A little',
  bled: 'Bled',
};

export const PANEL_GRID_WORDS = {
  readTheStrips: 'Read the strips',
  howToTap: 'Tap once: it held. Twice: it let go or bled. Once more takes it back.',
  strip: (code: string): string => `Strip ${code}`,
  on: (kind: string, primer: boolean): string => `${kind}, ${primer ? 'primer' : 'whole system'}`,
  notRead: 'Not read',
  verdicts: { pass: 'Held', fail: 'Failed', early: 'Too early', incomplete: 'Not judged' } as const,
  cell: (strip: string, column: string, words: string): string => `Strip ${strip}, ${column}: ${words}`,
};

export const PANEL_CARD_WORDS = {
  whatItShows: 'What it shows',
  cameOut: (name: string, held: number, failed: number, unread: number): string =>
    `${name}: ${[held > 0 ? `${held} held` : '', failed > 0 ? `${failed} failed` : '', unread > 0 ? `${unread} not read` : ''].filter(Boolean).join(', ')}`,
  piece: 'Piece',
  blackCornerTopLeftMarkIt: (title: string): string => `${title}. Black corner: top left, mark it on the piece.`,
  panelNumber: (number: number | null, coatedAt: string | undefined): string =>
    `Panel${number ? ` ${number}` : ''}${coatedAt ? '' : ' to paint'}`,
  allReadingsOfItAreIn: 'All readings of it are in',
  maskTheStripsWriteNoCode:
    'Mask the strips, write no code on what is painted, mark the black corner on the piece. Then put on the first coat.',
  firstCoatIsOnStartThe: 'First coat is on, start the clocks',
  timesMapToPrintCalendar: 'Times, map to print, calendar',
  timesOfThePanel: 'Times of the panel',
  printTheMap: 'Print the map',
  saveTheMapSvg: 'Save the map (SVG)',
  throwThisPanelAway: 'Throw this panel away',
  saveTheTimesCalendar: 'Save the times (calendar)',
  next: 'Next',
  dueNow: 'Due now',
  overdue: 'Overdue',
  strips: (date: string, strips: string): string => `${date}. Strips ${strips}.`,
  measureBleedFromAPhotograph: 'Measure bleed from a photograph',
  h: (atH: number): string => `+${atH} h`,
  d: (atH: number): string => `+${atH} d`,
};

export const KINDS_WORDS = {
  oneHour: '1 hour',
  nextMorning: 'Next morning',
  afterTheLastCoat: 'After the last coat',
  twoDays: '48 hours',
  aWeek: 'A week',
};

export const PANEL_DESIGNER_WORDS = {
  testPanel: 'Test panel',
  workingOutWhichStripsWouldTell: 'Working out which strips would tell most.',
  noPanelIsProposedHere: 'No panel is proposed here.',
  testPanelForThe: 'Test panel for the ',
  width: 'Width',
  height: 'Height',
  changeTheStrips: 'Change the strips',
  treatments: 'Treatments',
  leaveOutNamed: (treatment: string): string => `Leave out ${treatment}`,
  leaveOut: 'Leave out',
  preparation: 'Preparation',
  primer: 'Primer',
  noPrimer: 'No primer',
  addThisTreatment: 'Add this treatment',
  sandedOrNotPrimedOrNot: 'Sanded or not × primed or not',
  withAControl: 'With a control',
  stripsOfEach: 'Strips of each',
  oneOfEach: 'one of each',
  ofEach: (code: string): string => `${code} of each`,
  drawAnotherOrder: 'Draw another order',
  makeThisPanel: 'Make this panel',
  addATreatment: 'Add a treatment.',
  atMost12TreatmentsOnOne: 'At most 12 treatments on one panel. Leave some out.',
  tooSmallTheseStripsNeedLeave: (leastWidthMm: string, leastHeightMm: string): string =>
    `Too small: these strips need ${leastWidthMm} × ${leastHeightMm}. Leave out a treatment, paint fewer of each, or find a larger face.`,
};

export const STRIP_READER_WORDS = {
  white: 'White',
  reference: 'Reference',
  bleedFromAPhotograph: 'Bleed from a photograph',
  layASheetOfWhitePaper:
    'Lay a sheet of white paper and the reference patch beside the strips and photograph all of it from straight above, in even light. Two or three pictures show how far they can be trusted.',
  anotherPictureOfTheSame: 'Another picture of the same',
  pickOrTakeAPicture: 'Pick or take a picture',
  notGoodEnoughToGoBy: 'Not good enough to go by',
  whatToMark: 'What to mark',
  whitePaper: 'White paper',
  referencePatch: 'Reference patch',
  stripAlone: (code: string): string => `Strip ${code}`,
  drawABoxOverItWith: 'Draw a box over it with a finger, or move it with the arrow keys (with shift: its size).',
  stripInSentence: (code: string): string => `strip ${code}`,
  measureTheseBoxes: 'Measure these boxes',
  stripE00: (code: string, deMean: number): string => `Strip ${code}: ΔE00 ${deMean}`,
  noBleed: 'No bleed',
  itBleeds: 'It bleeds',
  worstSpotGiveOrTake: (deWorst: number, spread: number, treatment: string): string =>
    `Worst spot ${deWorst}, give or take ${spread}. ${treatment}`,
  onePictureAnotherShowsHowMuch: 'One picture. Another shows how much of this is the camera.',
  picturesAveraged: (count: number): string => `${count} pictures, averaged.`,
  log: (stripsCount: number): string => `Log ${stripsCount === 1 ? 'this strip' : `these ${stripsCount} strips`}`,
};

export const CELL_GRID_WORDS = {
  squaresOfTheLattice: 'Squares of the lattice',
  theLatticeStraightened: 'The lattice, straightened',
  rowSquareBare: (r: number, c: number, share: number): string => `Row ${r}, square ${c}: ${share} % bare`,
  redSquaresHaveLostCoatWith: 'Red squares have lost coat, with how much in percent. Tap one to turn it over.',
  confirmRows: 'Confirm rows',
  rowIsRight: (r: number): string => `Row ${r} is right`,
  row: (r: number): string => `Row ${r} ✓`,
};

export const CORNER_PICTURE_WORDS = {
  topLeft: 'top left',
  topRight: 'top right',
  bottomRight: 'bottom right',
  bottomLeft: 'bottom left',
  thePhotographOfTheLattice: 'The photograph of the lattice',
  corner: (name: string): string => `Corner ${name}`,
  acrossDown: (x: number, y: number): string => `${x} across, ${y} down`,
};

export const USE_LATTICE_READING_WORDS = {
  readingTheSquares: 'Reading the squares…',
  lookingForTheCuts: 'Looking for the cuts…',
  openingThePicture: 'Opening the picture…',
};

export const LATTICE_READER_WORDS = {
  takeItAgain: 'Take it again',
  readItFromAPhotograph: 'Read it from a photograph',
  stop: 'Stop',
  cutsEachWay: 'Cuts each way',
  sixCuts: '6 cuts, 25 squares',
  elevenCuts: '11 cuts, 100 squares',
  putTheFourDotsOnThe: 'Put the four dots on the outermost cuts.',
  readingOfTheLattice: 'Reading of the lattice',
  notGoodEnoughToGoBy: 'Not good enough to go by',
  bareIsoClassAstm: (removedPct: string, isoClass: number, astm: string): string =>
    `${removedPct} % bare: ISO class ${isoClass}, ASTM ${astm}`,
  useThisReading: 'Use this reading',
  takeItAgainReadItBy: 'Take it again, read it by eye, or go through all squares below and confirm each row.',
  theClassIsSure: 'The class is sure.',
  theClassIsLikely: 'The class is likely.',
  theClassIsAGuessTake: 'The class is a guess: take it again, or confirm each row of squares.',
  tapASquareToPutIt: (sure: string, why: string): string => `${sure} ${why} Tap a square to put it right.`,
  everySquareConfirmedByYouIt: 'Every square confirmed by you: it counts as read by eye.',
  putRightByYou: (confirmed: number): string =>
    `${confirmed === 1 ? 'One square' : `${confirmed} squares`} put right by you.`,
  toGoThePictureAloneIs: (done: string, unconfirmed: number): string =>
    `${done} ${unconfirmed} to go: the picture alone is not good enough to go by.`,
};

export const TEST_DRAFT_WORDS = {
  sayHowItHeld: 'Say how it held.',
  writeHowManyHoursAgoThe: 'Write how many hours ago the patch was coated.',
  notBeforeItWasCoated: 'Not before it was coated.',
  atMost100000H: 'At most 100 000 h.',
  writeAWholeNumberOfDouble: 'Write a whole number of double rubs, 0 to 9999.',
  atMost500Characters: 'At most 500 characters.',
};

export const CUT_DRAWING_WORDS = {
  thickFilmCutAnX: 'Thick film: cut an X',
  cutsEachWayMmApart: (cuts: number, spacingMm: number): string => `${cuts} cuts each way, ${spacingMm} mm apart`,
  throughToTheSurfaceAlongAnd: (standard: string): string =>
    `Through to the surface, along and across the grain; press firm tape on, pull it off flat. (${standard})`,
  freshBladeCutAwayFromYour: 'Fresh blade, cut away from your hand, cap it at once.',
};

export const PATCH_PICKER_WORDS = {
  panel: (i: number, strip: string): string => `Panel ${i}, ${strip}`,
  strip: (strip: string): string => `Strip ${strip}`,
  whatIsTested: 'What is tested',
  anotherPatch: 'Another patch',
};

export const READING_FIELDS_WORDS = {
  howDidItHold: 'How did it hold?',
  doubleRubsUntilColourComesOff: 'Double rubs until colour comes off',
  whereDidItLetGo: 'Where did it let go?',
  howDoesItLook: 'What else is seen on it, if anything?',
  whichMomentIsIt: 'Which moment is it?',
  byTheAgeOfThePatch: (label: string): string =>
    `By the age of the patch: ${label}. Pick another where the clear coat came later.`,
  itFollowsFromTheAgeOf: 'It follows from the age of the patch, below.',
};

export const TREATMENT_FIELDS_WORDS = {
  patch: (treatment: string): string => `Patch: ${treatment} ▾`,
  preparation: 'Preparation',
  primer: 'Primer',
  noPrimer: 'No primer',
  coatsOfPrimer: 'Coats of primer',
  coat: 'coat',
  coats: 'coats',
};

export const TEST_FORM_WORDS = {
  logATest: 'Log a test',
  logATestOfThe: 'Log a test of the ',
  fromThePhotographBare: (removedPct: string): string => `From the photograph: ${removedPct} % bare`,
  readByEyeInstead: 'Read by eye instead',
  ageOfThePatch: 'Age of the patch',
  hours: 'hours',
  forThisPatchAReadingCounts: (countsFromHours: number): string =>
    `For this patch a reading counts from ${countsFromHours} h; sooner it is kept as early.`,
  noteIfAny: 'Note, if any',
  notLoggedYet: 'Not logged yet',
  logItWithoutThePicture: 'Log it without the picture',
  yourAnswersStayHere: (trouble: string): string => `${trouble} Your answers stay here.`,
  keepingThePicture: 'Keeping the picture…',
  logThisTest: 'Log this test',
  kindOfTest: 'Kind of test',
  otherKindsOfTest: 'Other kinds of test…',
};

export const TEST_LIST_WORDS = {
  held: 'Held',
  failed: 'Failed',
  early: 'Early',
  incomplete: 'Incomplete',
  testsOnThe: 'Tests on the ',
  strip: (strip: string): string => `, strip ${strip}`,
  isoClassAstm: (isoClass: string | number, astm: string): string => `ISO class ${isoClass}, ASTM ${astm}`,
  before: (reading: string): string => `Before: ${reading}.`,
  putItRight: 'Put it right',
  takeThisTestBack: 'Take this test back',
  whatItIs: 'What it is',
  doubleRubsUntilColourComesOff: 'Double rubs until colour comes off',
  keepThis: 'Keep this',
  leaveIt: 'Leave it',
};

export const PROVE_SCREEN_WORDS = {
  prove: 'Prove',
  tests: (testsCount: number): string => `${testsCount} ${testsCount === 1 ? 'test' : 'tests'}`,
  nothingToProve: 'Nothing to prove',
  noZoneIsToBePainted: 'No zone is to be painted. Open Choose or Meet to change that.',
  noSystemTakenYet: 'No system taken yet',
  chooseOne: 'Choose one',
  youCanLogTestsOfAnything: 'You can log tests of anything. The gate then opens for what held.',
  zone: 'Zone',
  anotherPanel: 'Another panel',
};
