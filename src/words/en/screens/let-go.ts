export const CURE_CARD_WORDS = {
  nothingIsPaintedYetTheDays: 'Nothing is painted yet: the days of its cure are reckoned from its last coats.',
  cure: 'Cure',
  whatMayBeDoneWithIt: 'What may be done with it',
  since: (day: string): string => `since ${day}`,
  fromIt: (moment: string): string => `from ${moment}`,
  ifItTravelsToday: 'If it travels today',
  slowestIsOnInThisAir: (what: string, where: string): string =>
    `Slowest is ${what} on ${where}, in this air and by its label. Common practice; what your tin says comes first.`,
  saveTheseDaysForACalendar: 'Save these days for a calendar',
};

export const PAPERS_WORDS = {
  papers: 'Papers',
  whatGoesWithIt: 'What goes with it',
  careNote: 'Care note',
  readTheCareNote: 'Read the care note',
  howToLookAfterIt: (name: string): string => `${name}: how to look after it`,
  factsForTheSale: 'Facts for the sale',
  readTheFacts: 'Read the facts',
  beforeAndAfterAsOnePicture: 'Before and after as one picture',
  withAFirstAndALast: 'With a first and a last picture of it, they can be saved here side by side.',
  print: (title: string): string => `Print: ${title}`,
  printOrPdf: 'Print or PDF',
  save: (title: string): string => `Save: ${title}`,
  saveAsMarkdown: 'Save as Markdown',
};

export const READY_LIST_WORDS = {
  beforeItLeaves: 'Before it leaves',
  allSeenTo: 'All seen to',
  toSeeTo: (open: number): string => `${open} to see to`,
  onTheLabelOfTheJar: 'On the label of the jar',
  flawsThatStay: 'Flaws that stay',
  offStillPutThemBackIn: (off: number): string =>
    `${off} ${off === 1 ? 'part is' : 'parts are'} off still. Put them back in Work first.`,
};

export const SALE_CARD_WORDS = {
  sale: 'Sale',
  sold: 'Sold?',
  forIt: 'For',
  on: 'On',
  itWasBoughtOnPutOne: (date: string): string => `It was bought on ${date}. Put one of the two right.`,
  itIsSold: 'It is sold',
  soldFor: (sum: string): string => `Sold for ${sum}`,
  dayNotKnown: 'Day not known',
  feesOfSelling: 'Fees of selling',
  delivery: 'Delivery',
  handedOverOn: (date: string): string => `Handed over ${date}.`,
  notCuredYet: 'Not cured yet',
  handedOverBeforeItMarksAnd: (cure: string): string =>
    `${cure} Handed over before, it marks and sticks; say so, and wrap it. It is kept in the record either way.`,
  handedOver: 'Handed over',
  notSoldAfterAll: 'Not sold after all',
  itIsCuredRightThroughOn: (date: string): string => `It is cured right through on ${date}.`,
};

export const LET_GO_SCREEN_WORDS = {
  letGo: 'Let go',
  somethingIsWrongWithIt: 'Something is wrong with it',
  itCameBackOrABuyer: 'It came back, or a buyer complains: Mend finds out why.',
};
