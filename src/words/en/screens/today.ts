import type { CoatMoment } from '@/core/work';

export const AIR_CARD_WORDS = {
  tooColdToCoat: 'Too cold to coat',
  tooHotToCoat: 'Too hot to coat',
  tooDampToCoat: 'Too damp to coat',
  tooNearTheDewPointTo: 'Too near the dew point to coat',
  air: 'Air',
  airAndSurface: 'air and surface',
  airSurface: (surfaceC: string): string => `air; surface ${surfaceC}`,
  humidity: 'humidity',
  aboveTheDewPointIsThe: (dewPointC: string, write: string): string =>
    `above the dew point (${dewPointC}); ${write} is the least`,
  measured: (moment: string): string => `Measured ${moment}.`,
  notMeasuredInTheLastSix:
    'Not measured in the last six hours: what is usual here at this time of day, or the label’s air.',
  readDevice: (name: string): string => `Read ${name}`,
  typeItIn: 'Type it in',
  withWaterborne: (stop: string): string => `${stop} with waterborne`,
  coatsDrySlowly: 'Coats dry slowly',
  fitForCoating: 'Fit for coating',
};

export const BY_DATE_CARD_WORDS = {
  canBeCollected: 'Can be collected',
  tooLateFor: 'too late for',
  inTimeFor: 'in time for',
  noDateYetSomethingHoldsEvery: 'No date yet: something holds every piece back.',
  allBy: 'All by',
  canThey: 'Can they?',
  tryingItOut: 'Trying it out…',
  yesAllCanBeCollectedBy: (date: string): string => `Yes: all can be collected by ${date}`,
  notAllBy: (date: string): string => `Not all by ${date}`,
  tooLate: (pieces: string): string => `Too late: ${pieces}.`,
  somethingHoldsAPieceBack: 'Something holds a piece back.',
  noDate: 'no date',
  allInTime: ', all in time',
  nothingTriedWouldBringItForward: 'Nothing tried would bring it forward.',
  noDateWhileItIsHeld: (own: string, block: string): string => `${own}: no date while it is held back. ${block}`,
};

export const DO_NOW_WORDS = {
  nothingIsInWork: 'Nothing is in work',
  seeThePieces: 'See the pieces',
  workBeginsWhenASystemHas: 'Work begins when a system has been taken for a piece, in Choose.',
  nothingNeedsYou: 'Nothing needs you',
  haveTimeNow: 'Nothing needs you before. If you have time now, say how long and it is planned in.',
  readBefore: (moment: string): string => `Before that a patch is to be read: ${moment}.`,
  noOpenJobWaitsForYour: 'No open job waits for your hands.',
  doNow: 'Do now',
  doNext: 'Do next',
  nowInThisOrder: 'Now, in this order',
  minOfJob: (minutes: number, goesOn: boolean): string => `${minutes} min${goesOn ? ', goes on later' : ''}`,
  pour: (volume: string): string => `pour ${volume}`,
  thenByItself: (hours: string): string => `then ${hours} by itself`,
  cleanUpMin: (cleanUpMin: number): string => `out and away ${cleanUpMin} min`,
  min: (hours: number): string => `${hours} min`,
  h: (hours: number): string => `${hours} h`,
};

const COAT_MOMENTS: Record<CoatMoment, string> = {
  touchAt: 'touch dry',
  recoatAt: 'ready for the next coat',
  handleAt: 'hard enough to refit',
  curedAt: 'cured',
};

export const DRYING_WORDS = {
  nextAt: (moment: CoatMoment, at: string, slow: string): string => `${COAT_MOMENTS[moment]} ${at}${slow}`,
  wetDoNotTouch: 'Wet: do not touch',
  touchDryNoCoatYet: 'Touch dry, no coat yet',
  mayBeRecoated: 'May be recoated',
  mayBeRefittedStillCuring: 'May be refitted, still curing',
  cured: 'Cured',
  drying: 'Drying',
  moreMostlyCuring: (clocksCount: number): string => `${clocksCount} more, mostly curing`,
  tellMeWhenACoatIs: 'Tell me when a coat is ready',
  on: (what: string, where: string): string => `${what} on ${where}`,
  wipeOffBy: (clock: string): string => `Wipe off by ${clock} what has not soaked in`,
  recoatBeforeOrNotBefore: (clock: string, moment: string): string => `Recoat before ${clock} or not before ${moment}`,
  labelHInThisAirAbout: (labelRecoatH: number, recoatH: number): string =>
    ` (label ${labelRecoatH} h; in this air about ${recoatH} h)`,
};

export const DUE_AND_BLOCKED_WORDS = {
  patchesToRead: 'Patches to read',
  overdueSince: (moment: string): string => `Overdue since ${moment}`,
  dueNow: 'Due now',
  strips: (strips: string): string => `Strips ${strips}`,
  goToRead: 'Go to Read',
  goToMend: 'Go to Mend',
  goToWork: 'Go to Work',
  chooseAgain: 'Choose again',
  goToProve: 'Go to Prove',
  heldBack: 'Held back',
  open: 'Open',
};

export const FREE_WORDS = {
  twentyMin: '20 min',
  fortyMin: '40 min',
  oneHour: '1 h',
  twoHours: '2 h',
  youHaveUntil: (clock: string): string => `You have until ${clock}`,
  howLongHaveYouGot: 'How long have you got?',
  goByMyHoursAgain: 'Go by my hours again',
};

export const IN_TROUBLE_WORDS = {
  inTrouble: 'In trouble',
  onThe: (zone: string): string => `On the ${zone}`,
  somethingIsWrongWithAPiece: 'Something is wrong with a piece',
  withWhichPiece: 'With which piece?',
  anotherOne: 'Another one',
};

export const MOVED_WORDS = {
  moved: (task: string, to: string, others: number): string =>
    `Moved: ${task}, now ${to}${others > 0 ? `, and ${others} more` : ''}`,
  noTime: 'no time found',
  whatAndWhy: 'What moved, and why',
  seen: 'Seen',
};

export const WAITING_WORDS = {
  waitsForPickUp: 'Waits for pick-up',
  seeWhenItIsCuredAnd: (date: string | null): string =>
    `${date ? `Sold ${date}. ` : 'Sold. '}See when it is cured, and what goes with it.`,
};

export const TODAY_SCREEN_WORDS = {
  today: 'Today',
  start: (task: string): string => `Start: ${task}`,
  tellBricolageWhatYouHaveFound:
    'Tell Bricolage what you have found. It asks what it needs to know of each surface, says which preparation and primer will hold, and then fits the work into your evenings.',
  theNextStep: 'the next step',
  twoWeeksAhead: 'Two weeks ahead',
  hoursPlacesAir: 'Hours, places, air',
};
