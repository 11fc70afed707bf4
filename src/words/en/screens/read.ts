import type { ReadingState } from '@/core/piece';

/** How far the reading of a zone is. */
export const READING_STATES: Readonly<Record<ReadingState, string>> = {
  open: 'not read',
  part: 'begun',
  settled: 'settled',
  conflict: 'answers clash',
  stopped: 'stopped',
};

export const ALIKE_ZONES_WORDS = {
  readLikeACheckMadeHere: (zoneName: string): string =>
    `Read like ${zoneName}. A check made here counts for this zone alone. One lead test speaks for one coat of paint: where you doubt that it is the same, test here too.`,
  readItApartFrom: (zoneName: string): string => `Read it apart from ${zoneName}`,
  alsoRead: (checks: string): string => `Also read: ${checks}`,
  otherZonesAreJustLikeIt: 'Other zones are just like it',
  justLike: (zoneName: string): string => `Just like ${zoneName}`,
  theseTakeItsAnswersEachKeeps: 'These take its answers. Each keeps exceptions of its own, and its own lead test.',
};

export const DEFECT_PICKER_WORDS = {
  addDamageOrAStain: 'Add damage or a stain',
  likelyHere: 'Likely here',
};

export const DEFECT_LIST_WORDS = {
  damageAndStains: 'Damage and stains',
  anotherPicture: 'Another picture',
  picture: 'Picture',
  aSpot: 'A spot',
  anArea: 'An area',
  allOver: 'All over',
  left: (left: string): string => `Left: ${left}`,
  howMuch: (label: string): string => `${label}: how much`,
  oneLess: (label: string): string => `${label}: one less`,
  oneMore: (label: string): string => `${label}: one more`,
  closeThePlaces: 'Close the places',
  moveIt: 'Move it',
  where: 'Where?',
  removeNamed: (label: string): string => `Remove ${label}`,
  remove: 'Remove',
  placeOf: (label: string): string => `Place of ${label}`,
};

export const CAMERA_LOOK_WORDS = {
  holdItSquareToTheFace: 'Hold it square to the face, an arm’s length of it, no lamp in it.',
  aHandsBreadthAwayLightFrom: 'A hand’s breadth away, light from one side, the grain across the picture.',
  lampOfThePhoneOnA:
    'Lamp of the phone on, a hand’s breadth away. Then once more of the same place, the phone tilted a little.',
  takeItAgainTilted: 'Take it again, tilted',
  lookWithTheCamera: 'Look with the camera',
  startAgain: 'Start again',
  lookAtIt: 'Look at it',
  theFaceAsItWasTaken: 'The face as it was taken',
  onMadeUpPicturesOfEach: (renders: number, chance: string): string =>
    `On made-up pictures (${renders} of each) such a look is right ${chance}. It counts as that, and never alone.`,
  withWhatYouLookedAtYourself: (chance: string): string =>
    `With what you looked at yourself after a picture, such a look is right ${chance} in this shop. It counts as that, and never alone.`,
  takeIt: (proposed: string): string => `Take it: ${proposed}`,
  orLookYourselfAndAnswerAbove: 'Or look yourself and answer above: that tells how good such pictures are here.',
};

export const CHECK_CARD_WORDS = {
  solventDoorOpenGlovesNoFlames: 'Solvent: door open, gloves, no flames; the rag goes into a lidded can.',
  dustMaskOn: 'Dust: mask on.',
  leavesNoMark: 'leaves no mark',
  leavesASmallHiddenMark: 'leaves a small hidden mark',
  leavesAVisibleMark: 'leaves a visible mark',
  check: 'Check',
  worthAboutMinOfWork: (worthMinutes: number): string => ` Worth about ${worthMinutes} min of work.`,
  whichKindOfTest: 'Which kind of test?',
  kindOfLeadTest: 'Kind of lead test',
  cantTell: 'Can’t tell',
  noFreshAirHere: 'No fresh air here',
  whatWouldEachAnswerChange: 'What would each answer change?',
  minThenLookAfterH: (minutes: number, waitHours: number): string => `${minutes} min, then look after ${waitHours} h`,
  halfAMinute: 'Half a minute',
  min: (minutes: number): string => `${minutes} min`,
};

const SPEAKS: Record<'for' | 'against', string> = { for: 'for', against: 'against' };

export const EVIDENCE_WORDS = {
  veryStrong: 'Very strong',
  strong: 'Strong',
  some: 'Some',
  commonPractice: 'common practice',
  ourEstimate: 'our estimate',
  theChecksSpeakAgainstWhatYou: 'The checks speak against what you said',
  canThisBeHere: 'Can this be here?',
  theseAnswersDoNotFitTogether: 'These answers do not fit together',
  takeItBackAndAskAgain: 'Take it back and ask again',
  iMadeItTwiceItStands: 'I made it twice: it stands',
  iAmNotSureOfIt: 'I am not sure of it',
  noCheckMadeYetThisIs: 'No check made yet: this is what the kind, the age and the room suggest.',
  whySoFar: (evidenceCount: number): string =>
    `Why? ${evidenceCount === 1 ? 'One answer' : `${evidenceCount} answers`} so far`,
  evidence: (strengthWord: string, speaks: 'for' | 'against', aboutLabel: string, basisWord: string): string =>
    `${strengthWord} evidence ${SPEAKS[speaks]} ${aboutLabel} (${basisWord})`,
  doubtfulCountsForLess: 'Doubtful: counts for less',
  madeTwice: 'Made twice',
  byAPhotographItCountsAs: 'By a photograph: it counts as such looks do.',
  fromTheZoneThisOneIs: 'From the zone this one is like.',
  iAmSureOfIt: 'I am sure of it',
  iLookedMyselfItIsSo: 'I looked myself: it is so',
  takeThisAnswerBack: 'Take this answer back',
  published: 'published',
};

export const MOISTURE_CARD_WORDS = {
  aNumberFromTo: (min: number, max: number): string => `A number from ${min} to ${max}.`,
  from1To99: 'From 1 to 99 %.',
  check: 'Check',
  pressTheMetersPinsInSomewhere: 'Press the meter’s pins in, somewhere hidden',
  alongTheGrainInBareWood: 'Along the grain, in bare wood if there is any. Half a minute, leaves a small hidden mark.',
  takeItFrom: (name: string): string => `Take it from: ${name}`,
  theInstrumentsDoNotAnswerWrite: 'The instruments do not answer. Write what they show.',
  theseAreSimulatedInstrumentsForTrying: 'Simulated, for trying out: such a reading is marked and counts for nothing.',
  theMeterSays: 'The meter says',
  air: 'Air',
  humidity: 'Humidity',
  woodInThisRoomSettlesAt: (settles: string): string => `Wood in this room settles at about ${settles} %.`,
  keepThisReading: 'Keep this reading',
};

export const VERDICT_WORDS = {
  verdict: 'Verdict',
  onIt: 'On it',
  underIt: 'Under it',
  somethingElse: 'Something else',
  moistureTheRoomSettlesAt: (measuredPct: number, equilibriumPct: string, state: string): string =>
    `Moisture ${measuredPct} %, the room settles at ${equilibriumPct} %: ${state === 'damp' ? 'too damp to paint' : 'dry enough'}.`,
  belief: 'Belief',
  soItNeeds: 'So it needs',
  onTheSpots: (need: string): string => `${need}, on the spots`,
};

export const QUESTION_WORDS = {
  testForLead: 'Test it for lead',
  sameOldCoat: (zones: number): string => `The same old coat on all ${zones} zones: one test for them`,
  whereItStands: 'Where it stands',
  inTheWorkshop: 'In the workshop',
  atTheKerb: 'At the kerb',
  looksOnly: 'looks only',
  takeBack: (answer: string): string => `Take back “${answer}”`,
  takeBackTheLastAnswer: 'Take back the last answer',
  nothingMoreToBeSeenHere: 'Nothing more to be seen here',
  nothingLeftToAskWouldChange: 'Nothing left to ask would change the plan',
  butAnswersClashSettleThatFirst: 'But answers clash: settle that first, or the plan rests on a slip.',
  whatHasToBeWettedRubbed: 'What has to be wetted, rubbed or waited for comes in the workshop.',
  theIsRead: (zoneName: string): string => `The ${zoneName} is read.`,
  whatIsKnownOfThePiece: 'What is known of the piece says enough about this zone.',
  nextZone: 'Next zone',
  makeAnotherCheck: 'Make another check',
  checksThatRaiseDustAreNot: 'Checks that raise dust are not offered before the lead test.',
  otherChecks: 'Other checks',
};

export const STATED_FACTS_WORDS = {
  iDoNotKnow: 'I do not know',
  youSaid: (said: string): string => `You said: ${said}`,
  iKnowWhatThisIs: 'I know what this is',
  whatYouKnowCountsForVery:
    'What you know counts for very much. Checks can still speak against it, and you will see it.',
  theMaterial: 'The material',
  theMaterialAsYouKnowIt: 'The material, as you know it',
  theCoatOnIt: 'The coat on it',
  theCoatAsYouKnowIt: 'The coat, as you know it',
};

export const READ_SCREEN_WORDS = {
  read: 'Read',
  ofSettled: (settled: number, idsCount: number): string => `${settled} of ${idsCount} settled`,
  chooseASystem: 'Choose a system',
  chooseWithWhatIsKnownSo: 'Choose with what is known so far',
  noZoneToRead: 'No zone to read',
  everyZoneIsLeftAsIt: 'Every zone is left as it is, or the piece has none. Open Meet to change that.',
  tapThePlaceOnTheDrawing: 'Tap the place on the drawing.',
  zone: 'Zone',
};
