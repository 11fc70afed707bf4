import { lowerFirst } from '@/core/shared';

export const DIFFERENCE_WORDS = {
  leavesNoSystem: 'leaves no system',
  givesASystem: 'gives a system',
  min: (n: number): string => `${n} min`,
  hOfWaiting: (n: number): string => `${n} h of waiting`,
  materials: (money: string): string => `materials ${money}`,
  noDifferenceHere: 'no difference here',
  less: 'less',
  more: 'more',
  goWrong: (chance: string, difference: number): string => `${chance} ${difference < 0 ? 'fewer' : 'more'} go wrong`,
};

export const SCHOOLS_WORDS = {
  dullingTheOldCoat: 'Dulling the old coat',
  eitherAsItSuits: 'Either, as it suits',
  paper: 'Paper',
  liquidDeglosser: 'Liquid deglosser',
  priming: 'Priming',
  primeEverything: 'Prime everything',
  primeWhereItIsNeeded: 'Prime where it is needed',
  stainBlock: 'Stain block',
  theWholeFace: 'The whole face',
  knotsAndSpots: 'Knots and spots',
  waitAndSee: 'Wait and see',
  filling: 'Filling',
  obviousHolesFirst: 'Obvious holes first',
  allBeforePrimer: 'All before primer',
  allAfterPrimer: 'All after primer',
  hidingTheGrain: 'Hiding the grain',
  spackleBrushed: 'Spackle, brushed',
  spackleKnifed: 'Spackle, knifed',
  grainFiller: 'Grain filler',
  leaveIt: 'Leave it',
  betweenCoats: 'Between coats',
  sandEveryCoat: 'Sand every coat',
  onlyIfRough: 'Only if rough',
  doorsAndDrawers: 'Doors and drawers',
  takeThemOff: 'Take them off',
  leaveThemOn: 'Leave them on',
  clearCoatOverPaint: 'Clear coat over paint',
  whereItIsNeeded: 'Where it is needed',
  always: 'Always',
  schoolsWhereTheTradeIsOf: 'Schools: where the trade is of two minds',
  underEachSwitchStandsWhatIt: 'Under each switch stands what it would change in the best system.',
  asNow: 'as now',
};

export const FAULT_LIST_WORDS = {
  nothingIsDone: 'Nothing is done: ',
  oneFault: 'one fault',
  faults: (faultsCount: number): string => `${faultsCount} faults`,
  andWhatIsDone: (zone: string, count: string): string => `${zone}: ${count}, and what is done`,
  whichMeans: 'Which means',
  left: 'Left',
};

export const JOB_LIST_WORDS = {
  theWorkInOrderJobsFor: (jobsCount: number): string => `The work in order: ${jobsCount} jobs for the whole piece`,
  min: (minutes: number): string => `${minutes} min`,
  thenH: (waitH: number): string => `then ${waitH} h`,
  everyZoneThatIsPainted: 'Every zone that is painted',
};

export const HOUR_LIST_WORDS = {
  whatTheyAreMadeOf: (hours: string): string => `${hours} of your hands: what they are made of`,
  ofEdge: (metres: string): string => `${metres} of edge`,
  partsTurned: (parts: number): string => `${parts} parts lifted and turned`,
  gettingOut: 'Getting out and putting away',
  times: (count: number): string => (count === 1 ? 'once' : `${count} times`),
  gettingReady: 'Getting each step ready',
  basis: 'All coats counted. Round figures of common practice; times you log take their place.',
};

export const PACE_CHOICE_WORDS = {
  howQuick: 'How quick are your hands?',
  quick: 'Quick',
  quickHint: 'a fifth less time',
  usual: 'Usual',
  usualHint: 'as most people',
  slower: 'Slower',
  slowerHint: 'still learning',
  ownTimesReplace: 'Hours start from this. Times you log take its place.',
};

export const LAYERS_WORDS = {
  min: (minutes: number): string => `${minutes} min`,
  hBetweenCoats: (recoatH: number): string => `${recoatH} h between coats`,
  thenH: (waitH: number): string => `then ${waitH} h`,
  hardAfterDays: (cure: number): string => `hard after ${cure} days`,
  ruledOut: 'Ruled out',
  wouldDoButWeighsMore: 'Would do, but weighs more',
  beaten: 'Beaten',
  lookingAtWhatElseThereWas: 'Looking at what else there was …',
  whatElseWasConsidered: 'What else was considered',
};

/** What a system is best at, on the screen and on the command line. */
export const SYSTEM_LABEL_WORDS = {
  recommended: 'Best on balance',
  surest: 'Surest',
  soonest: 'Soonest',
  cheapest: 'Cheapest',
  least_fumes: 'Least fumes',
} as const;

/** How much a system smells. */
export const FUME_WORDS = { low: 'Little', mist: 'Spray mist', solvent: 'Strong', two_part: 'Two-part' } as const;

export const CHOOSE_WORDS = {
  anotherWay: 'Another way',
  anotherWayWith: (mainPrimer: string): string => `Another way, with ${mainPrimer}`,
  noPrimer: 'no primer',
  lettingGo: 'letting go',
  bleedingThrough: 'bleeding through',
  flawsShowing: 'flaws showing',
  hazeOrYellowing: 'haze or yellowing',
  nothingInSight: 'nothing in sight',
  min: (minutes: number): string => `${minutes} min`,
  hAndMin: (rounded: number, padStart: string): string => `${rounded} h ${padStart}`,
  tooLateFor: (due: string, days: number): string => `Too late for ${due} by ${days} ${days === 1 ? 'day' : 'days'}`,
  inTimeFor: (due: string, spare: number): string =>
    spare === 0
      ? `In time for ${due}, on the day itself`
      : `In time for ${due}, with ${spare} ${spare === 1 ? 'day' : 'days'} to spare`,
  byClassTablesEstimates: 'By class tables: estimates.',
  ofYourOwnPatchesCountIn: (patches: number): string => `${patches} of your own patches count in it.`,
  sticking: 'sticking',
  toLowerIt: 'More than 1 in 8. To lower it:',
  lowers: {
    adhesion: 'Paint a patch and test it: one that holds counts at once.',
    bleed: 'Watch a patch for two days, or take one more coat of the stain block.',
    grain_show: 'Fill what shows, and look along a low lamp before the paint.',
    haze_or_yellow: 'Take another clear coat, or none.',
    blocking: 'Take an enamel that hardens, and let it cure before it closes.',
  },
  whatGoesWrongMeans:
    '“Goes wrong” means: within two years of ordinary use where it will stand, some of it must be done again.',
};

export const RISK_PARTS_WORDS = {
  whatMayGoWrong: 'What may go wrong',
};

export const TO_BUY_TEXT_WORDS = {
  fromTheShelf: (volume: string): string => `${volume} from the shelf`,
  nothingToBuy: (fromIt: string): string => `${fromIt}: nothing to buy`,
  aboutTins: (fromIt: string, tins: string, money: string): string =>
    `${fromIt ? `${fromIt}, and ` : ''}${tins}, about ${money}`,
  inIt: (name: string, code: string): string => ` in ${name} (${code})`,
  about: (label: string, volume: string): string => `${label}: about ${volume}`,
  x: (count: number, volumeMl: number): string => `${count} x ${volumeMl}`,
};

export const TO_BUY_WORDS = {
  toBuyAbout: (money: string): string => `To buy: about ${money}`,
  toBuySmallThingsTheShelf: 'To buy: small things, the shelf has the coats',
  toBuyNothingTheShelfHas: 'To buy: nothing, the shelf has it all',
  copied: 'Copied.',
  theBrowserDoesNotAllowCopying: 'The browser does not allow copying here. Save it as a table instead.',
  forAllZonesTrayAndRoller: (volume: string): string => `${volume} for all zones, tray and roller included`,
  smallThings: 'Small things',
  smallThingsInThePriceBy: 'Small things, in the price by the splash',
  about: (volume: string): string => `, about ${volume}`,
  pricesOfClassesAreEstimatesUntil: 'Prices of classes are estimates until your own tins stand on the shelf.',
  copyTheList: 'Copy the list',
  toBuy: 'To buy',
  printIt: 'Print it',
  saveAsATableCsv: 'Save as a table (CSV)',
};

export const SYSTEM_CARD_WORDS = {
  onThe: (zoneName: string): string => `On the ${zoneName}`,
  goWrongMostly: (mainFailure: string, range: string, basis: string): string =>
    `go wrong, mostly ${mainFailure} (${range}). ${basis}`,
  ofYourHands: 'of your hands',
  readyInYourHours: (soonest: string | null): string =>
    `ready, in your hours and with all you have in work${soonest ? `. With every hour free: ${soonest}` : ''}`,
  dateSought: 'Date …',
  fittingItIn: 'being fitted into your hours',
  noDate: 'No date',
  heldBack: 'while something holds it back',
  forMaterialsFumes: (fumeWord: string): string => `for all materials, paper and rollers too; fumes: ${fumeWord}`,
  stepsAndWhy: (zoneName: string, stepsCount: number): string => `${zoneName}: ${stepsCount} steps, and why`,
  youTookThisOne: 'You took this one',
  keepThisOneAndProveIt: 'Keep this one and prove it',
  takeThisOne: 'Take this one',
};

export const TAKEN_NOTICE_WORDS = {
  anEarlierDay: 'an earlier day',
  versionTakenOn: (earlierCount: number, day: string): string => `Version ${earlierCount}, taken on ${day}`,
  aRuleNowForbidsIt: (versions: string): string => `${versions}: a rule now forbids it`,
  somethingBetterIsKnownNow: (versions: string): string => `${versions}: something better is known now`,
  yoursStaysAsItIsAs: (chance: string, difference: string): string =>
    `Yours stays as it is. As things stand ${chance} go wrong. Against it, the best below: ${difference}.`,
  nothingThatWasLearnedSinceSpeaks: 'Nothing that was learned since speaks against it.',
  whatWasAssumedThen: (earlierCount: number): string =>
    `What was assumed then${earlierCount > 0 ? `, and ${earlierCount} earlier` : ''}`,
  takenOn: (date: string): string => `Taken on ${date}`,
  takenEarlier: 'Taken earlier',
  thenGoesWrongMinOfHands: (chance: string, handsOnMin: number, elapsedH: number, money: string): string =>
    `Then: goes wrong ${chance}, ${handsOnMin} min of hands, ${elapsedH} h with every hour free, materials ${money}`,
  leftAsItIs: 'left as it is',
};

export const TURNING_POINTS_WORDS = {
  whatWouldChangeThis: 'What would change this?',
  planningAgainWithEachOpenQuestion: 'Planning again with each open question answered …',
  nothingThatIsStillOpenWould: 'Nothing that is still open would change it.',
  bestWouldThenBe: (then: string, saving: string): string => `Best would then be: ${then}; ${saving}.`,
  moreWouldBeWanted: (then: string, saving: string): string => `It would then take more: ${then}; ${saving}.`,
  toFindOut: (title: string): string => `To find out: ${title}`,
  less: 'less',
  more: 'more',
  hOfWaiting: 'h of waiting',
  minOfHands: 'min of hands',
  worthAboutInAll: (sum: string, saved: number): string => `worth about ${sum} ${saved > 0 ? 'saved' : 'more'} in all`,
};

export const CHOOSE_SCREEN_WORDS = {
  choose: 'Choose',
  searching: 'Searching',
  lookingThroughEveryWayThatHolds: 'Looking through every way that holds.',
  blocked: 'Blocked',
  nothingToPlan: 'Nothing to plan',
  everyZoneIsLeftAsIt: 'Every zone is left as it is. Change that under your wishes.',
  zoneShown: 'Zone shown',
  system: 'System',
  woodwormHeldBack: 'Woodworm: held back',
  mouldHeldBack: 'Mould: held back',
  leadTestFirst: 'Lead test first',
  stopLeadWasFound: 'Stop: lead was found',
  noSystemIsLeft: 'No system is left',
  noCoatInThisAir: 'No coat in this air',
  nothingForOutdoors: 'Nothing is planned for outdoors',
  ruledOutByYourOwnTest: 'Ruled out by your own test',
  notEverythingIsReadYet: 'Not everything is read yet',
  goOnReading: 'Go on reading',
  thesePlansServeWhateverTheMay: (names: string): string =>
    `These plans serve whatever the ${names} may still turn out to be. A few checks more may save work.`,
  notTheseRuledOutAndWhy: (groupsCount: number): string => `Not these: ${groupsCount} ruled out, and why`,
  ruleOfCommonPractice: (zones: string): string => `${zones} · rule of common practice`,
  comesBackWith: (what: string): string => `What would bring it back: ${lowerFirst(what)}`,
  theOthers: (count: number): string => `${count} more that hardly anybody tries`,
};
