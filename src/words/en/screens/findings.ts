export const PATTERN_LIST_WORDS = {
  whatWentWrong: 'What went wrong',
  whatWentWrongAndWhatThose: 'What went wrong, and what those pieces share',
  piece: 'piece',
  pieces: 'pieces',
  tooFewToSayFiveWith: 'Too few to say: five with it and five without are the least.',
  nothingThatTheyShareMoreThan: 'Nothing that they share more than chance would have it.',
  fishersExactTestCorrectedForAs: 'Fisher’s exact test, corrected for as many things as were tried.',
};

export const FINDINGS_WORDS = {
  patches: (count: number): string => `${count} ${count === 1 ? 'patch' : 'patches'}`,
  readings: (count: number): string => `${count} ${count === 1 ? 'reading' : 'readings'}`,
  noPrimer: 'No primer',
  byCommonPractice: 'by common practice',
  ofHeld: (patchesHeld: number, patches: string, tests: string): string =>
    `${patchesHeld} of ${patches} held, ${tests}`,
  andHoldAlikeHereAsFar: (one: string, two: string): string =>
    `${one} and ${two} hold alike here, as far as strips could ever tell.`,
  n1MoreStrip: '1 more strip',
  moreStrips: (strips: number): string => `${strips} more strips`,
  andCannotBeToldApartYet: (one: string, two: string, strips: string): string =>
    `${one} and ${two} cannot be told apart yet: ${strips} of each would.`,
  holdsBetterThanHere: (one: string, two: string): string => `${one} holds better than ${two} here.`,
  primerHoldsBetterThanHere: (primer: string, one: string): string => `${primer} holds better than ${one} here.`,
};

export const NOT_KNOWN_YET_WORDS = {
  notKnownYet: 'Not known yet',
  theyCountOnce: 'These surfaces may as well be something else. Read them, and their tests count above.',
  where: (piece: string | null, zone: string): string => (piece ? `${piece}: ${zone}` : zone),
  readings: (tests: number): string => (tests === 1 ? 'One test waits for it' : `${tests} tests wait for it`),
};

export const FINDINGS_SCREEN_WORDS = {
  notDulled: 'not dulled',
  sandedBareOrStripped: 'sanded bare or stripped',
  grip: 'Grip',
  bleed: 'Bleed',
  findings: 'Findings',
  nothingTestedYet: 'Nothing tested yet',
  everyPatchYouScratchOrWatch:
    'Every patch you scratch or watch in Prove counts here, and in the next plan. Until then plans go by common practice.',
  whatYourOwnTestsSayThe:
    'What your own tests say. The mark is the chance to hold, its bar how sure that is. Patches count: several readings of one patch stand or fall together.',
  whatWasTested: 'What was tested',
  primersOn: (surface: string): string => `Primers on ${surface}`,
  holdsOfAll: (primer: string, share: string, counts: string): string => `${primer}: holds ${share}, ${counts}`,
  never: 'never',
  always: 'always',
  holds: (share: string): string => `Holds ${share}`,
  readingsOf: (primer: string): string => `Readings of ${primer}`,
  holdsNineChancesInTenThat: (share: string, lo: number, hi: number): string =>
    `Holds ${share}; nine chances in ten that it lies between ${lo} and ${hi} in 100.`,
  noTestOfItOnThis: 'No test of it on this surface: what is shown comes from common practice and from its neighbours.',
  aPiece: 'A piece',
  held: 'Held',
  failed: 'Failed',
  deglosser: 'deglosser',
  scuffed: 'scuffed',
};
